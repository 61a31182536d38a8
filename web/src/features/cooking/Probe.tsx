import { probeTold, warmthSaid, warmthTold } from '../../lib/told'
import { useState } from 'react'
import type { Batch } from '../../api/client'
import { useDevices } from '../../api/useDevices'
import { useWeigh } from '../../api/useWeigh'
import { told } from '../../lib/clock'
import { onceTaken } from '../../lib/same'

/** The core as the probe shows it, when it will be done, and the boil of the used mix. */
export function Probe({ batch }: { batch: Batch }) {
  const { weigh, press, trouble, busy } = useWeigh(batch.id)
  const devices = useDevices()
  const [typed, setTyped] = useState('')
  if (!weigh || weigh.pulled_at === null) return null
  const shown = devices.readings?.probe.value ?? null
  const nothing = typed.trim() === ''
  return (
    <section aria-labelledby="probe">
      <h2 id="probe" className="heading">
        the probe
      </h2>
      <p className="py-1 text-[1.3rem] font-semibold" aria-live="polite">
        {weigh.probe_says ||
          (shown === null ? 'It does not answer: type what it shows.' : `${probeTold(shown)} now.`)}
      </p>
      <Curve readings={weigh.probe} target={batch.judgement.fire.target_c} />
      <div className="flex flex-wrap items-center gap-3 pt-1">
        <label className="flex items-center gap-2">
          <span>{shown === null ? 'It shows' : `${probeTold(shown)}, or type`}</span>
          <input
            className="said w-24!"
            placeholder={warmthTold(62)}
            aria-label="Core in degrees"
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value)
            }}
          />
        </label>
        <button
          type="button"
          className="act"
          disabled={busy || (nothing && shown === null)}
          onClick={() =>
            void press({
              kind: 'probe',
              ...(nothing ? { celsius: shown } : { degrees: warmthSaid(typed) }),
            }).then((kept) => {
              if (kept) setTyped(onceTaken(typed, ''))
            })
          }
        >
          Note the core
        </button>
        <button type="button" className="act" disabled={busy} onClick={() => void press({ kind: 'boiled' })}>
          The used mix has boiled
        </button>
      </div>
      {weigh.boiled_at !== null && (
        <p>The used mix boiled at {told(new Date(weigh.boiled_at))}: now it may be brushed on or served.</p>
      )}
      {trouble !== '' && (
        <p role="alert" className="text-stop">
          {trouble}
        </p>
      )}
    </section>
  )
}

const WIDE = 400
const HIGH = 90

/** Core against time, and the core to reach. */
function Curve({ readings, target }: { readings: { at: string; celsius: number }[]; target: number | null }) {
  const first = readings[0]
  const last = readings.at(-1)
  if (!first || !last || readings.length < 2) return null
  const start = new Date(first.at).getTime()
  const span = Math.max(1, new Date(last.at).getTime() - start)
  const top = Math.max(target ?? 0, ...readings.map((one) => one.celsius)) + 5
  const y = (celsius: number) => HIGH - (celsius / top) * HIGH
  const points = readings.map(
    (one) => `${((new Date(one.at).getTime() - start) / span) * WIDE},${y(one.celsius)}`,
  )
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full"
      role="img"
      aria-label={`Core from ${probeTold(first.celsius)} to ${probeTold(last.celsius)} in ${Math.round(span / 60_000)} minutes`}
    >
      {target !== null && (
        <path d={`M0 ${y(target)}H${WIDE}`} stroke="var(--quiet)" strokeDasharray="6 4" fill="none" />
      )}
      <polyline points={points.join(' ')} fill="none" stroke="var(--enamel)" strokeWidth="3" />
    </svg>
  )
}
