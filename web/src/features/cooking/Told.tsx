import type { Batch } from '../../api/client'

const LOOK: Record<string, { mark: string; word: string; colour: string }> = {
  stop: { mark: '✕', word: 'Stop. ', colour: 'text-stop' },
  warn: { mark: '▲', word: 'Take care. ', colour: 'text-warn' },
  note: { mark: '·', word: '', colour: 'text-note' },
}

/** What to mind at the fire, gravest first. */
export function Told({ told }: { told: Batch['judgement']['fire']['told'] }) {
  if (told.length === 0) return null
  return (
    <ul aria-label="What to mind" className="grid gap-1">
      {told.map((one) => {
        const look = LOOK[one.kind] ?? { mark: '·', word: '', colour: 'text-note' }
        return (
          <li key={one.id} className="grid grid-cols-[1.2rem_minmax(0,1fr)]">
            <span aria-hidden className={`font-bold ${look.colour}`}>
              {look.mark}
            </span>
            <span>
              {look.word !== '' && <b className={look.colour}>{look.word}</b>}
              {one.says}
            </span>
          </li>
        )
      })}
    </ul>
  )
}
