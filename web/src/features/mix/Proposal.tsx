import { massTold } from '../../lib/told'
interface NewLine {
  line_id: string
  text: string
  grams_before: number
  grams_after: number
  changed: boolean
}

interface ProposalProps {
  lines: NewLine[]
  /** What the amounts come to, a sentence each; those that miss are marked. */
  says: { words: string; met: boolean }[]
  onTake: () => void
}

/** Worked-out amounts to look at before they are taken over. */
export function Proposal({ lines, says, onTake }: ProposalProps) {
  const changed = lines.filter((line) => line.changed)
  return (
    <section aria-label="Worked-out amounts" className="mt-2 rounded-md border-2 border-enamel bg-raised p-3">
      <ul>
        {says.map(({ words, met }) => (
          <li key={words} className={met ? '' : 'font-semibold text-stop'}>
            {!met && <span aria-hidden>✕ </span>}
            {words}
          </li>
        ))}
      </ul>
      <ul className="mt-1 border-t border-rule" aria-label="Changed lines">
        {changed.map((line) => (
          <li key={line.line_id} className="flex justify-between gap-3">
            <b>{line.text}</b>
            <span className="whitespace-nowrap text-quiet">
              {massTold(line.grams_before)} to {massTold(line.grams_after)}
            </span>
          </li>
        ))}
        {changed.length === 0 && <li>Every amount stays as it is.</li>}
      </ul>
      {changed.length > 0 && (
        <button type="button" className="act act-first mt-2" onClick={onTake}>
          Take these amounts
        </button>
      )}
    </section>
  )
}
