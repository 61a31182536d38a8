import { Link } from 'wouter'
import type { LogEntry } from '../../api/client'
import { dayTold } from '../../lib/clock'
import { SmallSection } from '../../components/SmallSection'

/** Batches as a wall of their sections, each with where its eaters put it. */
export function Wall({ entries }: { entries: LogEntry[] }) {
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-4 pt-3">
      {entries.map((entry) => (
        <li key={entry.id} className="tin grid content-start px-3 py-2 [--tin-fill:var(--raised)]">
          <span className="grid h-24 place-items-center [&>svg]:h-24 [&>svg]:w-full">
            {entry.thickness_mm !== null && (
              <SmallSection
                shape={entry.shape}
                bone={entry.bone}
                cover={entry.cover}
                thicknessMm={entry.thickness_mm}
              />
            )}
          </span>
          <Link to={`/batch/${entry.id}/taste`} className="font-slab text-[1.15rem] leading-tight">
            {entry.name}
          </Link>
          <span className="text-[0.92rem] text-quiet">
            {dayTold(entry.eaten_on)}
            {entry.held !== '' && ` · ${entry.held}`}
          </span>
          <ul className="mt-auto pt-1">
            {Object.entries(entry.steps).map(([aspect, step]) => (
              <li key={aspect} className="flex items-center gap-2 text-[0.92rem]">
                <span className="w-20">{aspect}</span>
                <Balance step={step} />
                <span className="sr-only">{entry.verdicts[aspect]}</span>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  )
}

const FARTHEST = 2

/** A beam that tips to where it was put: level is just right, to the left too little, to the right too much. */
function Balance({ step }: { step: number }) {
  const way = (step / FARTHEST) * 34
  const drop = (step / FARTHEST) * 5
  return (
    <svg viewBox="-42 -9 84 20" className="h-5 w-21" aria-hidden>
      <path d="M-5 10L0 0L5 10Z" className="fill-quiet" />
      <path d={`M-38 ${-drop}L38 ${drop}`} className="stroke-quiet" strokeWidth="1.5" />
      <circle
        cx={way}
        cy={(drop * way) / 38 - 4}
        r="4.5"
        className={step === 0 ? 'fill-enamel' : 'fill-(--stop)'}
      />
    </svg>
  )
}
