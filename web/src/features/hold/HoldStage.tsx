import type { Batch, Draft } from '../../api/client'
import { Choice } from '../../components/Choice'
import { Ribbon } from '../../components/Ribbon'
import { Said } from '../../components/Said'
import { Section } from '../../components/Section'
import { Working } from '../../components/Working'
import { faultOf } from '../lanes'

interface StageProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** Hold: the judgement in a sentence, the window, and when the meal asks for the pull. */
export function HoldStage({ batch, draft, change }: StageProps) {
  const { judgement } = batch
  const { window, piece, section, figures } = judgement
  const inMeat = figures['salt_in_meat_g_per_kg']
  const left = figures['salt_left_g']
  return (
    <div className="grid gap-3">
      <p className="font-slab text-[1.65rem] leading-tight" aria-live="polite">
        {judgement.sentence}
      </p>
      {judgement.plan_says !== '' && <p className="text-[1.2rem] font-semibold">{judgement.plan_says}</p>}
      {window && !window.closed && (
        <Ribbon
          earliest={window.earliest}
          best={window.best}
          latest={window.latest}
          opens={window.safe_earliest_hours}
          closes={window.safe_latest_hours}
        />
      )}
      <div className="grid gap-6 wide:grid-cols-[21rem_minmax(0,1fr)_25rem]">
        {piece ? (
          <figure>
            <figcaption className="font-slab text-lg">
              {window ? `at ${window.best.shown}` : 'the cut'}
            </figcaption>
            <Section piece={piece} salt={section} room={{ width: 270, height: 110 }} />
            {inMeat && left && (
              <p className="text-[0.95rem] text-quiet">
                <b className="text-ink">
                  <Working name="Salt in the meat" figure={inMeat}>
                    {inMeat.shown}
                  </Working>
                </b>{' '}
                in the meat by then,{' '}
                <b className="text-ink">
                  <Working name="Salt left behind" figure={left}>
                    {left.shown}
                  </Working>
                </b>{' '}
                stays in the bag.
              </p>
            )}
          </figure>
        ) : (
          <p className="text-quiet">Nothing to draw yet.</p>
        )}
        <Limits batch={batch} />
        <Questions batch={batch} draft={draft} change={change} />
      </div>
    </div>
  )
}

/** Each end of the window with the limit that sets it, and what else was near. */
function Limits({ batch }: { batch: Batch }) {
  const { window, figures } = batch.judgement
  if (!window) return <div />
  return (
    <dl>
      {(['earliest', 'best', 'latest'] as const).map((name) => {
        const edge = window[name]
        const figure = figures[`window.${name}`]
        return (
          <div key={name} className="border-b border-rule py-2">
            <dt className="flex items-baseline justify-between gap-3">
              <span className="text-quiet">{name}</span>
              <span className="text-[1.35rem] font-bold">
                {figure && (
                  <Working name={name} figure={{ ...figure, shown: edge.shown }}>
                    {edge.shown}
                  </Working>
                )}
              </span>
            </dt>
            <dd>
              {edge.says}
              {figure?.band_shown && <span className="text-quiet"> (somewhere in {figure.band_shown})</span>}
            </dd>
          </div>
        )
      })}
    </dl>
  )
}

function Questions({ batch, draft, change }: StageProps) {
  const { assumed } = batch.judgement
  const hold = (part: Partial<Draft['hold']>) => {
    change((was) => ({ ...was, hold: { ...was.hold, ...part } }))
  }
  const meal = (part: Partial<Draft['meal']>) => {
    const time_zone = Intl.DateTimeFormat().resolvedOptions().timeZone
    change((was) => ({ ...was, meal: { ...was.meal, ...part, time_zone: was.meal.time_zone || time_zone } }))
  }
  return (
    <div className="[--questions:9rem]">
      <Said
        question="Meal on the table"
        type="datetime-local"
        value={draft.meal.at}
        fault={faultOf(batch, 'meal.at')}
        onType={(at) => {
          meal({ at })
        }}
      />
      <Said
        question="From the mix to the table"
        placeholder="such as 75 min"
        value={draft.meal.lead}
        assumed={assumed['meal.lead_min']}
        fault={faultOf(batch, 'meal.lead_min')}
        onType={(lead) => {
          meal({ lead })
        }}
      />
      <Said
        question="Fridge, °C"
        placeholder="not said"
        inputMode="decimal"
        value={draft.hold.fridge}
        assumed={assumed['hold.fridge_c']}
        fault={faultOf(batch, 'hold.fridge_c')}
        onType={(fridge) => {
          hold({ fridge })
        }}
      />
      <Said
        question="Salt you aim for, g/kg"
        placeholder="not said"
        inputMode="decimal"
        value={draft.hold.salt_target}
        assumed={assumed['hold.salt_target_g_per_kg']}
        fault={faultOf(batch, 'hold.salt_target_g_per_kg')}
        onType={(salt_target) => {
          hold({ salt_target })
        }}
      />
      <Choice
        question="Season"
        value={draft.hold.goal}
        assumedValue={assumed['hold.goal']}
        options={[
          { value: 'surface', label: 'the outside' },
          { value: 'through', label: 'all through' },
        ]}
        fault={faultOf(batch, 'hold.goal')}
        onChoose={(goal) => {
          hold({ goal })
        }}
      />
    </div>
  )
}
