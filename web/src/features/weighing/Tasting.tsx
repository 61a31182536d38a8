import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { CorrectionsQuestion } from '../../api/client'
import { correctionsQuery } from '../../api/queries'
import { Choice } from '../../components/Choice'
import type { AtCounter } from './shared'

const FAULTS: { value: CorrectionsQuestion['taste']; label: string }[] = [
  { value: 'too_salty', label: 'too salty' },
  { value: 'too_sour', label: 'too sour' },
  { value: 'too_sweet', label: 'too sweet' },
  { value: 'too_hot', label: 'too hot' },
  { value: 'too_thick', label: 'too thick' },
  { value: 'too_thin', label: 'too thin' },
]
const DEGREES: { value: CorrectionsQuestion['degree']; label: string }[] = [
  { value: 'a_little', label: 'a little' },
  { value: 'clearly', label: 'clearly' },
  { value: 'far', label: 'far' },
]

/** The last moment to taste: the mix is still open, and corrected in grams. */
export function Tasting({ weigh, busy, press }: AtCounter) {
  const [fault, setFault] = useState('')
  const [degree, setDegree] = useState('a_little')
  return (
    <section aria-label="Taste" className="grid gap-3 pt-2">
      <h2 className="font-slab text-[2.2rem] leading-tight">Taste it now</h2>
      <p className="text-[1.15rem]">
        Before any raw meat has touched it, with a clean spoon. It is stronger than the meat will be.{' '}
        {weigh.salt_says}
      </p>
      <button
        type="button"
        className="act act-first min-h-16! justify-self-start px-8! text-xl"
        disabled={busy}
        onClick={() => void press({ kind: 'tasted', words: 'good as it is' })}
      >
        Good as it is
      </button>
      <Choice question="Or it is" value={fault} options={FAULTS} onChoose={setFault} />
      {fault !== '' && (
        <>
          <Choice question="By how much" value={degree} options={DEGREES} onChoose={setDegree} />
          <Corrections
            question={{ draft: weigh.draft, taste: fault, degree } as CorrectionsQuestion}
            busy={busy}
            press={press}
          />
          <button
            type="button"
            className="act justify-self-start"
            disabled={busy}
            onClick={() =>
              void press({
                kind: 'tasted',
                words: FAULTS.find((one) => one.value === fault)?.label ?? fault,
              })
            }
          >
            Leave it so and go on
          </button>
        </>
      )}
    </section>
  )
}

interface CorrectionsProps {
  question: CorrectionsQuestion
  busy: boolean
  press: AtCounter['press']
}

function Corrections({ question, busy, press }: CorrectionsProps) {
  const found = useQuery(correctionsQuery(question))
  if (found.isError) return <p className="text-stop">{found.error.message}</p>
  return (
    <ul className="grid gap-1 wide:max-h-56 wide:overflow-y-auto">
      {found.data?.map((one) => (
        <li key={one.says} className="flex flex-wrap items-center gap-3 border-b border-rule py-1">
          <span className="grow">
            <b>{one.says}</b>
            <span className="block text-[0.9rem] leading-tight text-quiet">
              {one.effects.map((effect) => effect.says).join(', ')}
            </span>
          </span>
          {one.mass_g !== null && (
            <button
              type="button"
              className="act"
              disabled={busy}
              onClick={() => void press({ kind: 'added', mass_g: one.mass_g, words: one.words })}
            >
              {one.text} is in
            </button>
          )}
        </li>
      ))}
      {found.data?.length === 0 && <li>Nothing in a kitchen mends that now.</li>}
    </ul>
  )
}
