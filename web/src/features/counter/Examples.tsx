import { useQuery } from '@tanstack/react-query'
import { examplesQuery } from '../../api/queries'

/** Three example starts and a line on each. */
export function Examples({ onStart }: { onStart: (id: string) => void }) {
  const examples = useQuery(examplesQuery)
  return (
    <ul aria-label="Examples">
      {(examples.data ?? []).map((example) => (
        <li
          key={example.id}
          className="grid items-center gap-4 border-b border-rule py-4 wide:grid-cols-[minmax(0,1fr)_auto]"
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
