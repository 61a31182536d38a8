import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'wouter'
import type { LogEntry } from '../../api/client'
import { threadQuery } from '../../api/queries'
import { dayTold } from '../../lib/clock'
import { MakeAgain } from './MakeAgain'

interface EntriesProps {
  entries: LogEntry[]
  chosen: string[]
  onChoose: (id: string, on: boolean) => void
}

/** Batches, the latest first: what they were, and what was said of them. */
export function Entries({ entries, chosen, onChoose }: EntriesProps) {
  const [thread, setThread] = useState('')
  const [again, setAgain] = useState<LogEntry>()
  return (
    <>
      <ul>
        {entries.map((entry) => (
          <li key={entry.id} className="border-b border-rule py-2">
            <div className="flex items-start gap-3">
              <label className="grid size-11 shrink-0 place-items-center">
                <input
                  type="checkbox"
                  className="size-6 shrink-0 accent-enamel"
                  aria-label={`${entry.name} side by side`}
                  checked={chosen.includes(entry.id)}
                  onChange={(event) => {
                    onChoose(entry.id, event.target.checked)
                  }}
                />
              </label>
              <div className="min-w-0 grow">
                <p className="flex flex-wrap items-baseline gap-x-4">
                  <Link to={`/batch/${entry.id}/taste`} className="font-slab text-[1.25rem] leading-tight">
                    {entry.name}
                  </Link>
                  <span className="text-quiet">
                    {dayTold(entry.eaten_on)} · {entry.cut}
                    {entry.held !== '' && ` · ${entry.held} in the mix`}
                  </span>
                </p>
                <p>
                  {Object.entries(entry.verdicts)
                    .map(([aspect, word]) => `${aspect} ${word}`)
                    .join(', ')}
                  {entry.note !== '' && <span className="text-quiet"> · {entry.note}</span>}
                </p>
                {entry.changed.length > 0 && (
                  <p className="text-[0.95rem]">Changed: {entry.changed.join(' ')}</p>
                )}
                <button
                  type="button"
                  className="min-h-11 cursor-pointer text-[0.95rem] underline underline-offset-4"
                  aria-expanded={thread === entry.id}
                  onClick={() => {
                    setThread(thread === entry.id ? '' : entry.id)
                  }}
                >
                  All repeats of this dish
                </button>
                <button
                  type="button"
                  className="ml-6 min-h-11 cursor-pointer text-[0.95rem] underline underline-offset-4"
                  onClick={() => {
                    setAgain(entry)
                  }}
                >
                  Make it again
                </button>
                {thread === entry.id && <Thread id={entry.id} />}
              </div>
            </div>
          </li>
        ))}
      </ul>
      {again && (
        <MakeAgain
          entry={again}
          onClose={() => {
            setAgain(undefined)
          }}
        />
      )}
    </>
  )
}

/** A dish from its first time on: what was changed, and what the verdict did. */
function Thread({ id }: { id: string }) {
  const found = useQuery(threadQuery(id))
  return (
    <ol aria-label="Repeats of this dish" className="list-decimal pl-6">
      {found.data?.map((one) => (
        <li key={one.id}>
          <b>{dayTold(one.eaten_on)}</b> {one.changed.join(' ')}{' '}
          <span className="text-quiet">
            {Object.entries(one.verdicts)
              .map(([aspect, word]) => `${aspect} ${word}`)
              .join(', ')}
          </span>
        </li>
      ))}
    </ol>
  )
}
