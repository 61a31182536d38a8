import { AS_TINS, Radios } from '../../components/Radios'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Lesson } from '../../api/client'
import { lessonsQuery, outcomeQuery } from '../../api/queries'
import { Pieces, Sides } from './Sides'

/** Guided examples: guess first, then see what the model works out. */
export function LearnPage() {
  const lessons = useQuery(lessonsQuery)
  const [at, setAt] = useState(0)
  const lesson = lessons.data?.[at]
  return (
    <div className="grid gap-8 px-4 py-5 wide:grid-cols-[17rem_minmax(0,1fr)] wide:px-7">
      <nav aria-label="Examples">
        <ol className="grid gap-2">
          {(lessons.data ?? []).map((one, number) => (
            <li key={one.id}>
              <button
                type="button"
                className={`tin min-h-14 w-full cursor-pointer px-4 text-left font-semibold ${number === at ? 'bg-enamel text-on-enamel [--tin-fill:var(--enamel)]' : 'text-enamel [--tin-fill:var(--raised)]'}`}
                aria-current={number === at}
                onClick={() => {
                  setAt(number)
                }}
              >
                {one.title}
              </button>
            </li>
          ))}
        </ol>
      </nav>
      {lesson && <Question key={lesson.id} lesson={lesson} />}
    </div>
  )
}

function Question({ lesson }: { lesson: Lesson }) {
  const [guess, setGuess] = useState<number | null>(null)
  const outcome = useQuery(outcomeQuery(lesson.id, guess !== null))
  return (
    <section aria-labelledby="asks">
      <h2 id="asks" className="text-[1.5rem] leading-tight">
        {lesson.asks}
      </h2>
      <Radios
        about={{ labelledBy: 'asks' }}
        value={guess}
        options={lesson.options.map((label, value) => ({ value, label }))}
        disabled={guess !== null}
        className="mt-3 flex flex-wrap gap-3"
        look={AS_TINS}
        onChoose={setGuess}
      />
      {guess === null && (
        <>
          <p className="mt-3 text-quiet">Guess first; then it is worked out.</p>
          <Pieces sides={lesson.sides} />
        </>
      )}
      {outcome.isError && <p role="alert">{outcome.error.message}</p>}
      {guess !== null && outcome.data && (
        <div className="mt-4" role="status">
          <p className="text-[1.2rem] font-semibold">
            {guess === outcome.data.right
              ? 'So it is.'
              : `The model says: ${lesson.options[outcome.data.right] ?? ''}.`}
          </p>
          <p className="mt-1 max-w-[44rem]">{outcome.data.says}</p>
          <Sides outcome={outcome.data} />
        </div>
      )}
    </section>
  )
}
