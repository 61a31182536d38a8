import { navigate, useHistoryState } from 'wouter/use-browser-location'
import type { CutAsked, Draft } from '../api/client'
import { SmallSection } from '../components/SmallSection'

/** Longer notes are folded, with their beginning to be seen. */
const SHORT = 160

/** What could not be taken over from the file that this batch was read from, until it was seen. */
export function Brought({
  draft,
  change,
}: {
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}) {
  const from: unknown = useHistoryState()
  if (!isBrought(from)) return null
  const asks = draft.cut.kind === '' ? from.asks : undefined
  if (from.notes.length === 0 && !asks) return null
  return (
    <div className="mb-3 rounded-md border-2 border-rule bg-raised p-3">
      <div role="status" className="flex items-start justify-between gap-3">
        <div>
          <p className="font-semibold">Read in.</p>
          <ul>
            {from.notes.map((note) => (
              <li key={note}>
                <Note says={note} />
              </li>
            ))}
          </ul>
        </div>
        {!asks && (
          <button
            type="button"
            className="act"
            onClick={() => {
              navigate(location.pathname, { replace: true, state: null })
            }}
          >
            Seen
          </button>
        )}
      </div>
      {asks && (
        <div role="group" aria-label={`Which cut is ${asks.line}?`} className="flex flex-wrap gap-2 pt-2">
          {asks.cuts.map((one) => (
            <button
              key={one.cut.kind}
              type="button"
              className="flex min-h-12 cursor-pointer items-center gap-2 rounded-md border-2 border-enamel px-3 text-left"
              onClick={() => {
                change((was) => ({ ...was, cut: one.cut }))
              }}
            >
              <SmallSection
                shape={one.shape}
                bone={one.bone}
                cover={one.cover}
                thicknessMm={one.thickness_mm}
              />
              {one.name}
            </button>
          ))}
        </div>
      )}
    </div>
  )
}

/** A note in a line or two; the whole of a long one when it is opened. */
function Note({ says }: { says: string }) {
  if (says.length <= SHORT) return <>{says}</>
  return (
    <details>
      <summary className="min-h-6 cursor-pointer">{says.slice(0, SHORT).replace(/\s\S*$/, '')} …</summary>
      {says}
    </details>
  )
}

interface FromFile {
  notes: string[]
  asks?: CutAsked | undefined
}

const isBrought = (state: unknown): state is FromFile =>
  typeof state === 'object' && state !== null && 'notes' in state && Array.isArray(state.notes)
