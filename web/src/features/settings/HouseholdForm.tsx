import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Household } from '../../api/client'
import { householdQuery } from '../../api/queries'
import { useKeep } from '../../api/useKeep'
import { Pick, type Option } from '../../components/Pick'
import { Faulty, Said } from '../../components/Said'
import { SALTING_METHODS } from '../saltingMethods'
import { onceTaken } from '../../lib/same'
import { Tick } from '../../components/Tick'

/** Who eats, and what stands on the shelf. */
export function HouseholdForm() {
  const kept = useQuery(householdQuery)
  if (!kept.data) return <p>Looking it up</p>
  const salts = kept.data.salts.map((salt) => ({ value: salt.id, label: salt.name }))
  return <Form start={kept.data.said} salts={salts} allergens={kept.data.allergens} />
}

interface FormProps {
  start: Household
  salts: Option[]
  allergens: string[]
}

function Form({ start, salts, allergens }: FormProps) {
  const [said, setSaid] = useState(start)
  const [since, setSince] = useState(start)
  const { answer, fault, keep, quiet } = useKeep()
  const say = (part: Partial<Household>) => {
    setSaid((was) => ({ ...was, ...part }))
    quiet()
  }
  const wrong = fault('allergens')
  return (
    <form
      aria-label="Household"
      className="grid max-w-[76rem] gap-x-12 gap-y-6 wide:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault()
        void keep(async (prefer) => {
          const kept = await api.keepHousehold({ ...said, since, prefer })
          setSince(kept.said)
          setSaid(onceTaken(said, kept.said))
        }, 'Kept. Every mix is judged for it.')
      }}
    >
      <section aria-labelledby="shelf">
        <h2 id="shelf" className="heading">
          salt
        </h2>
        <Pick
          question="“Salt” in a mix means"
          value={said.salt}
          options={[
            { value: '', label: 'fine table salt' },
            ...salts.filter((one) => one.value !== 'salt_table'),
          ]}
          onPick={(salt) => {
            say({ salt })
          }}
        />
        <p className="mb-3 text-[0.95rem] text-quiet">
          A spoon of flakes weighs half of what a spoon of fine salt weighs. What a line names itself stays.
        </p>
        <Pick
          question="New batches set their salt"
          value={said.school}
          options={[{ value: '', label: 'as each batch needs' }, ...SALTING_METHODS]}
          onPick={(school) => {
            say({ school })
          }}
        />
        <Said
          question="Who eats low in salt, by number"
          stack
          inputMode="numeric"
          placeholder="0"
          hint="a mix is told when its serving brings more than a third of a day"
          value={said.low_salt}
          fault={fault('low_salt')}
          onType={(low_salt) => {
            say({ low_salt })
          }}
        />
      </section>
      <fieldset>
        <legend className="w-full border-b-4 font-slab border-double border-rule pb-1 text-lg text-quiet">
          somebody keeps off
        </legend>
        <div className="grid grid-cols-2 wide:grid-cols-3">
          {allergens.map((name) => (
            <Tick
              key={name}
              ticked={said.allergens.includes(name)}
              onTick={(ticked) => {
                const others = said.allergens.filter((one) => one !== name)
                say({ allergens: ticked ? [...others, name] : others })
              }}
            >
              {name}
            </Tick>
          ))}
        </div>
        {wrong && <Faulty fault={wrong} />}
        <p className="text-[0.95rem] text-quiet">
          A mix with one of these says so, and swaps leave it out. Labels of bought things come first.
        </p>
      </fieldset>
      <div>
        <button type="submit" className="act act-first">
          Keep the household
        </button>
        {answer !== '' && (
          <p role="status" className="mt-3 whitespace-pre-line">
            {answer}
          </p>
        )}
      </div>
    </form>
  )
}
