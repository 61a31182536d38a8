import type { Batch, Draft } from '../../api/client'
import { useLists } from '../../api/queries'
import { Pick } from '../../components/Pick'
import { CutPicker } from '../../components/CutPicker'
import { Said } from '../../components/Said'
import type { System } from '../../lib/units'
import { faultOf } from '../timelineRows'
import { appetites, bones, covers, evenness, shapes, sides, thicknessQuestion } from './words'

interface QuestionsProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
  system: System
}

type Cut = Draft['cut']

/** Every question about the piece; any may stay open, and what is then assumed is told. */
export function Questions({ batch, draft, change, system }: QuestionsProps) {
  const lists = useLists()
  const { assumed, piece } = batch.judgement
  const { cut } = draft
  const say = (part: Partial<Cut>) => {
    change((was) => ({ ...was, cut: { ...was.cut, ...part } }))
  }
  const shape = cut.shape || (assumed['cut.shape'] ?? '')
  const field = (name: string) => ({ assumed: assumed[`cut.${name}`], fault: faultOf(batch, `cut.${name}`) })
  const pick = (name: string) => ({
    assumedValue: assumed[`cut.${name}`],
    fault: faultOf(batch, `cut.${name}`),
  })
  const facts = piece?.facts[system]
  const bone = cut.bone || (assumed['cut.bone'] ?? 'none')
  const covered = (cut.cover || (assumed['cut.cover'] ?? 'none')) !== 'none'
  return (
    <div className="grid gap-x-6 wide:grid-cols-3">
      <div className="wide:col-span-2">
        <CutPicker
          stack
          question="What is it?"
          options={lists?.cuts}
          value={cut.kind}
          fault={faultOf(batch, 'cut.kind')}
          onPick={(kind) => {
            say({ kind })
          }}
        />
      </div>
      <Said
        stack
        question="How heavy?"
        placeholder="such as 2.6 kg"
        value={cut.mass}
        {...field('mass_g')}
        hint={echo(cut.mass, facts?.mass)}
        onType={(mass) => {
          say({ mass })
        }}
      />
      <Pick
        question="What shape?"
        value={cut.shape}
        options={shapes}
        {...pick('shape')}
        onPick={(value) => {
          say({ shape: value })
        }}
      />
      <Said
        stack
        question={thicknessQuestion[shape] ?? 'How thick at the thickest?'}
        placeholder="such as 30 mm"
        value={cut.thickness}
        {...field('thickness_mm')}
        hint={echo(cut.thickness, facts?.thickness)}
        onType={(thickness) => {
          say({ thickness })
        }}
      />
      <Pick
        question="How even?"
        value={cut.evenness}
        options={evenness}
        {...pick('evenness')}
        onPick={(value) => {
          say({ evenness: value })
        }}
      />
      <Said
        stack
        question="How many pieces?"
        placeholder="not said"
        value={cut.pieces}
        inputMode="numeric"
        {...field('pieces')}
        onType={(pieces) => {
          say({ pieces })
        }}
      />
      <Pick
        question="Bone?"
        value={cut.bone}
        options={bones}
        {...pick('bone')}
        onPick={(value) => {
          say({ bone: value })
        }}
      />
      {bone === 'none' ? (
        <Sides cut={cut} shape={shape} batch={batch} say={say} />
      ) : (
        <Said
          stack
          question="Bone, % of the weight?"
          placeholder="not said"
          value={cut.bone_share}
          inputMode="decimal"
          {...field('bone_share_pct')}
          onType={(bone_share) => {
            say({ bone_share })
          }}
        />
      )}
      <Pick
        question="What lies over it?"
        value={cut.cover}
        options={covers}
        {...pick('cover')}
        onPick={(cover) => {
          say({ cover })
        }}
      />
      {covered && (
        <Pick
          question="Where?"
          value={cut.cover_on}
          options={sides}
          {...pick('cover_on')}
          onPick={(cover_on) => {
            say({ cover_on })
          }}
        />
      )}
      <div className={`grid gap-x-4 wide:grid-cols-3 ${covered ? 'wide:col-span-3' : 'wide:col-span-2'}`}>
        <Occasion batch={batch} draft={draft} change={change} system={system} />
      </div>
    </div>
  )
}

/** A block's or strip's width, where it is asked for. */
function Sides({
  cut,
  shape,
  batch,
  say,
}: {
  cut: Cut
  shape: string
  batch: Batch
  say: (part: Partial<Cut>) => void
}) {
  if (shape !== 'cuboid' && shape !== 'strip') return null
  return (
    <Said
      stack
      question="How wide?"
      placeholder="not said"
      value={cut.width}
      fault={faultOf(batch, 'cut.width_mm')}
      onType={(width) => {
        say({ width })
      }}
    />
  )
}

/** For how many, and whether what lies on the board is enough. */
function Occasion({ batch, draft, change, system }: QuestionsProps) {
  const { occasion } = draft
  const { assumed, occasion: told } = batch.judgement
  const say = (part: Partial<Draft['occasion']>) => {
    change((was) => ({ ...was, occasion: { ...was.occasion, ...part } }))
  }
  const needed = told?.needed_told[system]
  return (
    <>
      <Said
        stack
        question="For how many?"
        placeholder="not said"
        inputMode="numeric"
        value={occasion.servings}
        fault={faultOf(batch, 'occasion.servings')}
        hint={told ? `${told.says}; ${needed ?? ''} needed` : undefined}
        onType={(servings) => {
          say({ servings })
        }}
      />
      {occasion.servings !== '' && (
        <>
          <Pick
            question="Appetite?"
            value={occasion.appetite}
            options={appetites}
            assumedValue={assumed['occasion.appetite']}
            fault={faultOf(batch, 'occasion.appetite')}
            onPick={(appetite) => {
              say({ appetite })
            }}
          />
          <Said
            stack
            question="For the freezer, %?"
            placeholder="not said"
            inputMode="decimal"
            value={occasion.frozen}
            assumed={assumed['occasion.frozen_pct']}
            fault={faultOf(batch, 'occasion.frozen_pct')}
            onType={(frozen) => {
              say({ frozen })
            }}
          />
        </>
      )}
    </>
  )
}

/** What was typed in the units that the cook reads, unless it is the same already. */
function echo(typed: string, told: string | undefined): string | undefined {
  return told === undefined || typed === '' || typed.trim() === told ? undefined : `that is ${told}`
}
