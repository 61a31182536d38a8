import type { Effect, Step } from '../../api/client'
import { Faulty } from '../../components/Said'
import { stepWords } from './words'
import { Tick } from '../../components/Tick'

interface StepLineProps {
  step: Step
  effect: Effect | undefined
  fault: { wrong: string; accepted: string } | undefined
  onChange: (part: Partial<Step>) => void
  onRemove: () => void
}

/** One step: its sizes, what it does, its time, its caution. */
export function StepLine({ step, effect, fault, onChange, onRemove }: StepLineProps) {
  const words = stepWords[step.kind] ?? step.kind
  return (
    <li className="border-b border-rule py-1">
      <div className="flex flex-wrap items-center gap-x-3">
        <span className="font-semibold">{words}</span>
        <StepFields step={step} words={words} onChange={onChange} />
        <span className="grow text-[0.95rem] text-quiet">
          {effect?.says}
          {effect && effect.minutes > 0 ? ` (${effect.minutes.toFixed(0)} min)` : ''}
        </span>
        <button
          type="button"
          className="grid size-12 cursor-pointer place-items-center text-quiet hover:text-stop"
          aria-label={`Take out ${words}`}
          onClick={onRemove}
        >
          ✕
        </button>
      </div>
      {effect?.caution && (
        <p className="text-[0.9rem] text-warn">
          <span aria-hidden className="font-bold">
            !{' '}
          </span>
          <b>{effect.caution_kind === 'warn' ? 'Take care. ' : 'Note. '}</b>
          <span className="text-ink">{effect.caution}</span>
        </p>
      )}
      {fault && <Faulty fault={fault} />}
    </li>
  )
}

function StepFields({
  step,
  words,
  onChange,
}: {
  step: Step
  words: string
  onChange: (part: Partial<Step>) => void
}) {
  if (step.kind === 'trimmed')
    return (
      <Small
        name={`${words}: how much`}
        hint="such as 120 g"
        value={step.amount}
        onType={(amount) => {
          onChange({ amount })
        }}
      />
    )
  if (step.kind === 'divided')
    return (
      <Small
        name={`${words}: how far apart`}
        hint="every 25 mm"
        value={step.spacing}
        onType={(spacing) => {
          onChange({ spacing })
        }}
      />
    )
  if (step.kind === 'slits') {
    return (
      <>
        <Small
          name={`${words}: how many`}
          hint="10"
          value={step.count}
          onType={(count) => {
            onChange({ count })
          }}
        />
        <Small
          name={`${words}: depth`}
          hint="15 mm deep"
          value={step.depth}
          onType={(depth) => {
            onChange({ depth })
          }}
        />
        <Small
          name={`${words}: stuffed with`}
          hint="stuffed with"
          value={step.stuffed_with}
          onType={(stuffed_with) => {
            onChange({ stuffed_with })
          }}
        />
      </>
    )
  }
  if (step.kind !== 'scored') return null
  return (
    <>
      <Small
        name={`${words}: depth`}
        hint="5 mm deep"
        value={step.depth}
        onType={(depth) => {
          onChange({ depth })
        }}
      />
      <Small
        name={`${words}: spacing`}
        hint="every 20 mm"
        value={step.spacing}
        onType={(spacing) => {
          onChange({ spacing })
        }}
      />
      <Tick
        ticked={step.crosswise === 'yes'}
        className="text-[0.95rem]"
        onTick={(ticked) => {
          onChange({ crosswise: ticked ? 'yes' : '' })
        }}
      >
        crosswise
      </Tick>
      <Tick
        ticked={step.through_skin === 'yes'}
        className="text-[0.95rem]"
        onTick={(ticked) => {
          onChange({ through_skin: ticked ? 'yes' : '' })
        }}
      >
        through the skin
      </Tick>
    </>
  )
}

function Small({
  name,
  hint,
  value,
  onType,
}: {
  name: string
  hint: string
  value: string
  onType: (text: string) => void
}) {
  return (
    <input
      className="said w-28! text-base! font-semibold"
      aria-label={name}
      placeholder={hint}
      value={value}
      autoComplete="off"
      onChange={(event) => {
        onType(event.target.value)
      }}
    />
  )
}
