import { useLocation } from 'react-router'
import type { CutAsked, Draft } from '../api/client'
import { SmallSection } from '../components/SmallSection'

/** What could not be taken over from the file that this batch was read from, until another page is opened. */
export function Brought({
  draft,
  change,
}: {
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}) {
  const from: unknown = useLocation().state
  if (!isBrought(from)) return null
  const asks = draft.cut.kind === '' ? from.asks : undefined
  if (from.notes.length === 0 && !asks) return null
  return (
    <div className="mb-3 rounded-md border-2 border-rule bg-raised p-3">
      <p role="status">Read in. {from.notes.join(' ')}</p>
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

interface FromFile {
  notes: string[]
  asks?: CutAsked | undefined
}

const isBrought = (state: unknown): state is FromFile =>
  typeof state === 'object' && state !== null && 'notes' in state && Array.isArray(state.notes)
