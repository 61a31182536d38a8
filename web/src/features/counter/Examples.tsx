import { useState } from 'react'
import { useQuery } from '@tanstack/react-query'
import { examplesQuery } from '../../api/queries'

interface ExamplesProps {
  onStart: (id: string) => void
  /** One below the other, for a narrow column. */
  stack?: boolean
}

/** The same beside batches that are in hand: shown when it is asked for. */
export function FromExample({ onStart }: ExamplesProps) {
  const [open, setOpen] = useState(false)
  if (open) return <Examples stack onStart={onStart} />
  return (
    <button
      type="button"
      className="act"
      onClick={() => {
        setOpen(true)
      }}
    >
      Start from an example
    </button>
  )
}

/** Three example starts and a line on each. */
export function Examples({ onStart, stack = false }: ExamplesProps) {
  const examples = useQuery(examplesQuery)
  return (
    <ul aria-label="Examples">
      {(examples.data ?? []).map((example) => (
        <li
          key={example.id}
          className={`grid items-center border-b border-rule ${stack ? 'gap-2 py-2' : 'gap-4 py-4 wide:grid-cols-[minmax(0,1fr)_auto]'}`}
        >
          <p>
            <span className="block font-slab text-[1.35rem]">{example.name}</span>
            <span className="text-quiet">{example.about}</span>
          </p>
          <button
            type="button"
            className="act"
            aria-label={`Start with ${example.name}`}
            onClick={() => {
              onStart(example.id)
            }}
          >
            Start with this
          </button>
        </li>
      ))}
    </ul>
  )
}
