import { useEffect, useEffectEvent, useRef } from 'react'
import { Refused } from '../../api/answered'
import { api } from '../../api/client'
import { Row, type Fault } from '../../components/Said'
import { useHeld } from '../../components/useHeld'
import { toldLocal } from '../../lib/clock'

interface MomentSaidProps {
  question: string
  hint?: string
  stack?: boolean
  /** Under what it is held while it is not read yet. */
  name: string
  /** As a draft keeps it: 2026-12-05T19:00. */
  value: string
  zone: string
  fault: Fault | undefined
  onSay: (moment: string) => void
}

const NOTHING_TYPED: { typed: string | null } = { typed: null }

const KEPT = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/

/** A date and time in the cook's words, read by the server when the field is left; or picked from a calendar. */
export function MomentSaid({
  question,
  hint,
  stack = false,
  name,
  value,
  zone,
  fault,
  onSay,
}: MomentSaidProps) {
  const { value: held, set, taken } = useHeld(`vadouvan.moment.${name}`, NOTHING_TYPED, 'tab')
  const { typed } = held
  const calendar = useRef<HTMLInputElement>(null)
  const shown = typed ?? (KEPT.test(value) ? toldLocal(value) : value)
  const read = async () => {
    if (typed === null) return
    const said = typed.trim()
    if (!KEPT.test(value) || said !== toldLocal(value)) {
      try {
        onSay(said === '' ? '' : await api.readMoment(said, zone))
      } catch (error) {
        onSay(said) // stays in the draft as it was typed, and the judgement says what would do
        if (!(error instanceof Refused)) return // nobody has read it yet
      }
    }
    taken(held, NOTHING_TYPED)
  }
  // The page went before it was read: it was left then, and is read now.
  const readWhatWasLeft = useEffectEvent(read)
  useEffect(() => {
    void readWhatWasLeft()
  }, [])
  return (
    <Row question={question} hint={hint} fault={fault} stack={stack}>
      {({ labelledBy, describedBy, invalid }) => (
        <span className="relative flex">
          <input
            className="said"
            value={shown}
            placeholder="tomorrow 19:00"
            autoComplete="off"
            aria-labelledby={labelledBy}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            onChange={(event) => {
              if (KEPT.test(event.target.value)) {
                set(NOTHING_TYPED)
                onSay(event.target.value)
              } else set({ typed: event.target.value })
            }}
            onBlur={() => void read()}
            onKeyDown={(event) => {
              if (event.key === 'Enter') void read()
            }}
          />
          <button
            type="button"
            className="grid size-11 shrink-0 cursor-pointer place-items-center text-quiet hover:text-ink"
            aria-label="Pick from a calendar"
            aria-describedby={labelledBy}
            onClick={() => {
              calendar.current?.showPicker()
            }}
          >
            <svg
              aria-hidden="true"
              width="20"
              height="20"
              viewBox="0 0 20 20"
              fill="none"
              stroke="currentColor"
            >
              <path d="M2 4h16v14H2zM2 8h16M6 1v5M14 1v5M6 12h2M11 12h3" strokeWidth="2" />
            </svg>
          </button>
          <input
            ref={calendar}
            type="datetime-local"
            tabIndex={-1}
            aria-hidden="true"
            className="pointer-events-none absolute right-0 bottom-0 size-px opacity-0"
            value={KEPT.test(value) ? value : ''}
            onChange={(event) => {
              set(NOTHING_TYPED)
              onSay(event.target.value)
            }}
          />
        </span>
      )}
    </Row>
  )
}
