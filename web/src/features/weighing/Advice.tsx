import type { Draft, EventInput, Weigh } from '../../api/client'

interface AdviceProps {
  advice: Weigh['advice']
  busy: boolean
  press: (press: EventInput) => Promise<boolean>
  change: (typed: (draft: Draft) => Draft) => void
}

/** After an overshoot: what to change elsewhere, one press each. */
export function Advice({ advice, busy, press, change }: AdviceProps) {
  return advice.map((one, index) => (
    <section
      key={one.line_id}
      aria-label={index === 0 ? 'Too much' : `Too much, ${index + 1}`}
      className="mt-3 rounded-md border-2 border-warn bg-raised p-3"
    >
      <p>
        <span aria-hidden>▲ </span>
        {one.says}
      </p>
      {one.ways.length > 0 && (
        <ul className="mt-1 list-disc pl-6" aria-label={`Ways out, ${index + 1}`}>
          {one.ways.map((way) => (
            <li key={way.id}>{way.says}.</li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {one.changes.length > 0 && (
          <button
            type="button"
            className="act act-first"
            onClick={() => {
              const texts = new Map(one.changes.map((line) => [line.line_id, line.text]))
              change((was) => ({
                ...was,
                mix: was.mix.map((line) => ({ ...line, text: texts.get(line.id) ?? line.text })),
              }))
            }}
          >
            Weigh the rest so
          </button>
        )}
        {one.ways
          .filter((way) => way.text !== '')
          .map(({ id, text, mass_g, words, says }) => (
            <button
              key={id}
              type="button"
              className="act"
              disabled={busy}
              title={says}
              onClick={() => void press({ kind: 'added', mass_g: mass_g ?? null, words })}
            >
              {text} is in
            </button>
          ))}
        <button
          type="button"
          className="act"
          disabled={busy}
          onClick={() => void press({ kind: 'taken_back', line_id: one.line_id })}
        >
          Take it back and weigh again
        </button>
      </div>
    </section>
  ))
}
