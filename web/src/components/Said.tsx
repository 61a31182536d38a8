import type { ReactNode } from 'react'
import { useId } from 'react'

export interface Fault {
  wrong: string
  accepted: string
  /** What may have been meant. */
  choices?: readonly { text: string; shown: string }[]
}

interface RowProps {
  question: string
  hint?: string | undefined
  assumed?: string | undefined
  fault?: Fault | undefined
  /** Question above its answer instead of beside it. */
  stack?: boolean
  /** What stands under that. */
  after?: ReactNode
  children: (ids: { labelledBy: string; describedBy: string; invalid: boolean }) => ReactNode
}

/** A question on the left, the answer on the right, and under it what is assumed or wrong. */
export function Row({ question, hint, assumed, fault, stack = false, after, children }: RowProps) {
  const id = useId()
  const below = fault ? undefined : (assumed !== undefined && `assumed: ${assumed}`) || hint
  return (
    <div
      className={`grid items-baseline gap-x-4 pt-1 pb-1 ${stack ? 'content-start py-0.5! [&>span]:text-[0.92rem] [&>span]:leading-tight' : 'wide:grid-cols-[var(--questions,13rem)_1fr]'}`}
    >
      <span id={`${id}-q`} className="text-quiet">
        {question}
      </span>
      <div className="min-w-0">
        {children({ labelledBy: `${id}-q`, describedBy: `${id}-d`, invalid: fault !== undefined })}
        <div id={`${id}-d`} className="text-[0.9rem]">
          {fault ? <Faulty fault={fault} /> : <span className="text-quiet">{below}</span>}
        </div>
        {after}
      </div>
    </div>
  )
}

/** What is wrong and what would do, marked by more than colour. */
export function Faulty({ fault }: { fault: Fault }) {
  return (
    <span className="text-stop">
      <span aria-hidden className="mr-1 inline-block font-bold">
        ✕
      </span>
      {fault.wrong} <span className="text-ink">{fault.accepted}</span>
    </span>
  )
}

/** What may have been meant, each with what it comes to: one press takes it. */
export function Meant({
  choices,
  onTake,
}: {
  choices: readonly { text: string; shown: string }[]
  onTake: (text: string) => void
}) {
  if (choices.length === 0) return null
  return (
    <span role="group" aria-label="What may be meant" className="flex flex-wrap gap-2 py-1">
      {choices.map((choice) => (
        <button
          key={choice.text}
          type="button"
          className="min-h-11 cursor-pointer rounded-md border-2 border-enamel bg-raised px-3 text-ink"
          onClick={() => {
            onTake(choice.text)
          }}
        >
          {choice.text} <span className="text-quiet">{choice.shown}</span>
        </button>
      ))}
    </span>
  )
}

interface SaidProps extends Omit<RowProps, 'after' | 'children'> {
  value: string
  placeholder?: string
  inputMode?: 'text' | 'decimal' | 'numeric'
  onType: (text: string) => void
}

/** A question answered in words: "2.6 kg", "30 mm". */
export function Said({ value, placeholder, inputMode = 'text', onType, ...row }: SaidProps) {
  return (
    <Row {...row}>
      {({ labelledBy, describedBy, invalid }) => (
        <input
          className="said"
          value={value}
          placeholder={placeholder}
          inputMode={inputMode}
          autoComplete="off"
          aria-labelledby={labelledBy}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          onChange={(event) => {
            onType(event.target.value)
          }}
        />
      )}
    </Row>
  )
}
