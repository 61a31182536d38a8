import { useRef, useState } from 'react'
import { api } from '../../api/client'
import { Row, type Fault } from '../../components/Said'
import { toldLocal } from '../../lib/clock'
import { onceTaken } from '../../lib/same'

interface MomentSaidProps {
  question: string
  hint?: string
  stack?: boolean
  /** As a draft keeps it: 2026-12-05T19:00. */
  value: string
  zone: string
  fault: Fault | undefined
  onSay: (moment: string) => void
}

const KEPT = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/

/** A date and time in the cook's words, read by the server when the field is left; or picked from a calendar. */
export function MomentSaid({ question, hint, stack = false, value, zone, fault, onSay }: MomentSaidProps) {
  const [typed, setTyped] = useState<string>()
  const calendar = useRef<HTMLInputElement>(null)
  const shown = typed ?? (KEPT.test(value) ? toldLocal(value) : value)
  const read = async () => {
    if (typed === undefined) return
    const said = typed.trim()
    const isSame = said === value || said === toldLocal(value)
    // What cannot be read stays in the draft as it was typed, and the judgement says what would do.
    if (!isSame) onSay(said === '' ? '' : await api.readMoment(said, zone).catch(() => said))
    setTyped(onceTaken(typed, undefined))
  }
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
                setTyped(undefined)
                onSay(event.target.value)
              } else setTyped(event.target.value)
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
              setTyped(undefined)
              onSay(event.target.value)
            }}
          />
        </span>
      )}
    </Row>
  )
}
