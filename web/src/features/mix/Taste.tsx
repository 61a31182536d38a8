import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import type { Correction, CorrectionsQuestion } from '../../api/client'
import { correctionsQuery } from '../../api/queries'
import { Choice } from '../../components/Choice'
import { withLines } from '../../lib/draft'
import type { DrawerProps } from './drawer'

type Fault = CorrectionsQuestion['taste']
type Degree = CorrectionsQuestion['degree']

const FAULTS: { value: Fault; label: string }[] = [
  { value: 'too_salty', label: 'salty' },
  { value: 'too_sweet', label: 'sweet' },
  { value: 'too_sour', label: 'sour' },
  { value: 'too_hot', label: 'hot' },
  { value: 'too_thick', label: 'thick' },
  { value: 'too_thin', label: 'thin' },
]
const DEGREES: { value: Degree; label: string }[] = [
  { value: 'a_little', label: 'a little' },
  { value: 'clearly', label: 'clearly' },
  { value: 'far', label: 'far' },
]

/** After tasting the mix, before contact: what could be added, and what each addition does. */
export function Taste({ draft, change }: DrawerProps) {
  const [fault, setFault] = useState<Fault | ''>('')
  const [degree, setDegree] = useState<Degree>('a_little')
  return (
    <div className="grid gap-1 [--questions:5rem]">
      <p className="text-[0.95rem] text-quiet">Taste it before raw meat goes in, and never after.</p>
      <Choice
        question="Too"
        value={fault}
        options={FAULTS}
        onChoose={(value) => {
          setFault(value as Fault)
        }}
      />
      <Choice
        question="By how much"
        value={degree}
        options={DEGREES}
        onChoose={(value) => {
          setDegree(value as Degree)
        }}
      />
      {fault !== '' && (
        <Ways
          question={{ draft, taste: fault, degree }}
          onTake={(text) => {
            change((was) => ({ ...was, mix: withLines(was.mix, [text]) }))
          }}
        />
      )}
    </div>
  )
}

function Ways({ question, onTake }: { question: CorrectionsQuestion; onTake: (text: string) => void }) {
  const found = useQuery(correctionsQuery(useDeferredValue(question)))
  if (found.isError) return <p role="alert">{found.error.message}</p>
  if (!found.data) return null
  if (found.data.length === 0) return <p>Nothing in this mix makes it so.</p>
  return (
    <ul aria-label="What could be done" className="wide:max-h-[calc(100dvh-31rem)] wide:overflow-y-auto">
      {found.data.map((way) => (
        <Way key={way.id} way={way} onTake={onTake} />
      ))}
    </ul>
  )
}

function Way({ way, onTake }: { way: Correction; onTake: (text: string) => void }) {
  return (
    <li className="flex items-center gap-3 border-b border-rule py-1">
      <div className="min-w-0 grow">
        <p className="font-semibold">
          {way.says}
          {way.basis === 'thumb' && <span className="font-normal text-warn"> rule of thumb</span>}
        </p>
        <p className="text-[0.9rem] leading-tight text-quiet">
          {way.effects.map((effect) => effect.says).join(', ')}
        </p>
      </div>
      {way.text !== '' && (
        <button
          type="button"
          className="act"
          aria-label={`Add ${way.text}`}
          onClick={() => {
            onTake(way.text)
          }}
        >
          Add
        </button>
      )}
    </li>
  )
}
