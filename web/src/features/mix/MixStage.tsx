import { useState } from 'react'
import type { Batch, Draft, SaltOffer } from '../../api/client'
import { SpanRule } from '../../components/SpanRule'
import { Working } from '../../components/Working'
import { EntryLine } from './EntryLine'
import { LedgerLine } from './LedgerLine'
import { withLines } from '../../lib/draft'
import { Faulty } from '../../components/Said'
import { faultOf } from '../lanes'

interface StageProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** Mix: the ledger by weight on the left, a rule for each substance on the right. */
export function MixStage({ batch, draft, change }: StageProps) {
  const [chosen, setChosen] = useState<string>()
  const { judgement } = batch
  const setMix = (mix: (was: Draft['mix']) => Draft['mix']) => {
    change((was) => ({ ...was, mix: mix(was.mix) }))
  }
  const made = judgement.figures['made_g']
  const tooMany = faultOf(batch, 'mix')
  return (
    <div className="grid gap-6 wide:grid-cols-[minmax(0,1fr)_27rem]">
      <div>
        <div className="flex flex-wrap items-baseline gap-x-6 border-b-4 border-double border-rule pb-1">
          <p className="text-quiet">
            made{' '}
            <b className="text-[1.5rem] text-ink">
              {made ? (
                <Working name="Mix made" figure={made}>
                  {made.shown}
                </Working>
              ) : (
                '0 g'
              )}
            </b>
          </p>
          {judgement.salt_says !== null && <p className="font-semibold">{judgement.salt_says}</p>}
        </div>
        <Offers
          batch={batch}
          onTake={(offer) => {
            setMix((mix) =>
              offer.line_id === ''
                ? withLines(mix, [offer.text])
                : mix.map((old) => (old.id === offer.line_id ? { ...old, text: offer.text } : old)),
            )
          }}
        />
        {tooMany && <Faulty fault={tooMany} />}
        <ol
          className={`${judgement.salt_offers.length > 0 ? 'wide:max-h-[calc(100dvh-26.5rem)]' : 'wide:max-h-[calc(100dvh-22.5rem)]'} wide:overflow-y-auto`}
        >
          {draft.mix.map((line) => (
            <LedgerLine
              key={line.id}
              line={line}
              item={judgement.ingredients.find((item) => item.line_id === line.id && item.text === line.text)}
              figure={judgement.figures[`mix.${line.id}`]}
              fault={faultOf(batch, `mix.${line.id}`)}
              chosen={chosen === line.id}
              onChoose={() => {
                setChosen(line.id)
              }}
              onType={(text) => {
                setMix((mix) => mix.map((old) => (old.id === line.id ? { ...old, text } : old)))
              }}
              onRemove={() => {
                setMix((mix) => mix.filter((old) => old.id !== line.id))
              }}
            />
          ))}
        </ol>
        <EntryLine
          onEnter={(texts) => {
            setMix((mix) => withLines(mix, texts))
          }}
        />
      </div>
      <Spans batch={batch} chosen={chosen} onChoose={setChosen} />
    </div>
  )
}

/** Ways to bring the salt to where it is wanted, one press each. */
function Offers({ batch, onTake }: { batch: Batch; onTake: (offer: SaltOffer) => void }) {
  const offers = batch.judgement.salt_offers
  if (offers.length === 0) return null
  return (
    <ul className="flex flex-wrap gap-2 border-b border-rule py-2" aria-label="Ways to the salt you aim for">
      {offers.map((offer) => (
        <li key={offer.says}>
          <button
            type="button"
            className="act"
            onClick={() => {
              onTake(offer)
            }}
          >
            {offer.says}
            {offer.also !== '' && <span className="font-normal text-quiet"> ({offer.also} g/kg)</span>}
          </button>
        </li>
      ))}
    </ul>
  )
}

function Spans({
  batch,
  chosen,
  onChoose,
}: {
  batch: Batch
  chosen: string | undefined
  onChoose: (line: string) => void
}) {
  const { judgement } = batch
  const ph = judgement.figures['ph']
  if (judgement.spans.length === 0)
    return (
      <p className="self-start rounded-md border-2 border-dashed border-rule p-6 text-quiet">
        {judgement.sentence} The balance per kilogram of meat is drawn here.
      </p>
    )
  return (
    <div className="grid content-start gap-2">
      {judgement.spans.map((span) => {
        const figure = judgement.figures[`${span.substance}_g_per_kg`]
        return (
          <SpanRule
            key={span.substance}
            substance={span.substance}
            value={span.value}
            targetLow={span.target_low}
            targetHigh={span.target_high}
            end={span.rule_end}
            parts={span.parts}
            figure={
              figure && (
                <Working name={`${span.substance} per kilogram of meat`} figure={figure}>
                  {figure.shown}
                </Working>
              )
            }
            chosenLine={chosen}
            onChooseLine={onChoose}
          />
        )
      })}
      <p className="border-t border-rule pt-1 text-quiet">
        {ph ? (
          <>
            pH about{' '}
            <b className="text-ink">
              <Working name="pH of the mix" figure={ph}>
                {ph.shown}
              </Working>
            </b>{' '}
            ({ph.band_shown})
          </>
        ) : (
          'no acid in the mix'
        )}
      </p>
    </div>
  )
}
