import { Dialog } from '../../components/Dialog'
import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useId, useState } from 'react'
import { api, type Label } from '../../api/client'
import { labelQuery, useLists } from '../../api/queries'
import { useKeep } from '../../api/useKeep'
import { Pick } from '../../components/Pick'
import { Picker } from '../../components/Picker'
import { Faulty, Said } from '../../components/Said'
import { useHeld } from '../../components/useHeld'
import { isSame } from '../../lib/same'

export const NO_LABEL: Label = {
  name: '',
  like: '',
  basis: '',
  serving: '',
  label: '',
  allergens: '',
}

const BASES = [
  { value: 'per_100g', label: '100 g' },
  { value: 'per_100ml', label: '100 ml' },
  { value: 'per_serving', label: 'one serving' },
  { value: 'nothing', label: 'none: it weighs nothing that matters' },
]

const printsServing = (text: string) => /serving/i.test(text)

interface LabelFormProps {
  start: Label
  /** The kept label that is being changed; a new one if not given. */
  identity?: string | undefined
  onClose: () => void
}

/**
 * An ingredient of the cook's own, copied off its nutrition label, with what that comes to beside it. Left without being
 * kept, it stands there as it was left when it is opened again.
 */
export function LabelForm({ start, identity, onClose }: LabelFormProps) {
  const asKept = { label: start, since: start, identity }
  const { value, set, taken } = useHeld(`vadouvan.label.${identity ?? start.like}`, asKept, 'tab')
  const { label } = value
  const [wasLeft, setWasLeft] = useState(() => !isSame(value, asKept))
  const lists = useLists()
  const say = (changed: Partial<Label>) => {
    set({ label: { ...label, ...changed } })
    quiet()
  }
  const { answer: trouble, keep: kept, quiet } = useKeep()
  const [busy, setBusy] = useState(false) // a second press would make a second ingredient
  const keep = async () => {
    setBusy(true)
    await kept(async (prefer) => {
      const { id } = await api.keepLabel(label, value.identity, { since: value.since, prefer })
      if (taken(value, asKept)) onClose()
      else set({ since: label, identity: id }) // more was typed meanwhile: it is a change of what was just kept
    }, '')
    setBusy(false)
  }
  return (
    <Dialog title="From its label" className="w-[58rem] max-w-full" onClose={onClose}>
      <form
        className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-8 wide:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault()
          void keep()
        }}
      >
        {wasLeft && <p className="wide:col-span-2">As you left it, not kept yet.</p>}
        <div>
          <Said
            question="What you call it"
            stack
            value={label.name}
            placeholder="shelf soy"
            onType={(name) => {
              say({ name })
            }}
          />
          <Picker
            question="Most like"
            stack
            hint="for what the label does not say: acids, pH, weight of a spoon; without a label for all of it"
            options={lists?.ingredients}
            value={label.like}
            onPick={(like) => {
              say({ like })
            }}
          />
          <div className="grid grid-cols-2 gap-x-4">
            <Pick
              question="Figures are for"
              value={label.basis}
              assumedValue={printsServing(label.label) ? 'per_serving' : 'per_100g'}
              options={BASES}
              onPick={(basis) => {
                say({ basis })
              }}
            />
            {(label.basis || (printsServing(label.label) ? 'per_serving' : '')) === 'per_serving' && (
              <Said
                question="One serving"
                stack
                value={label.serving}
                placeholder="as printed"
                onType={(serving) => {
                  say({ serving })
                }}
              />
            )}
          </div>
          <Printed
            value={label.label}
            onType={(text) => {
              say({ label: text })
            }}
          />
          <Said
            question="Allergens it names"
            stack
            value={label.allergens}
            placeholder="soy, gluten; or none"
            onType={(allergens) => {
              say({ allergens })
            }}
          />
        </div>
        <Reading label={label} />
        <div className="mt-4 flex flex-wrap gap-3">
          <button type="submit" className="act act-first" disabled={busy}>
            Keep this ingredient
          </button>
          <button type="button" className="act" onClick={onClose}>
            Not now
          </button>
          {wasLeft && (
            <button
              type="button"
              className="act"
              onClick={() => {
                set(asKept)
                setWasLeft(false)
              }}
            >
              Begin again
            </button>
          )}
        </div>
        {trouble !== '' && (
          <p role="alert" className="mt-4 text-stop">
            {trouble}
          </p>
        )}
      </form>
    </Dialog>
  )
}

function Printed({ value, onType }: { value: string; onType: (text: string) => void }) {
  const id = useId()
  return (
    <div className="pt-1">
      <label htmlFor={id} className="text-[0.92rem] text-quiet">
        The label, line by line
      </label>
      <textarea
        id={id}
        rows={5}
        className="w-full rounded-md border-2 border-rule bg-paper p-2 focus:border-enamel"
        placeholder={'Fat 0.2 g\nSugars 3 g\nProtein 8 g\nSalt 14 g, or sodium 920 mg'}
        value={value}
        onChange={(event) => {
          onType(event.target.value)
        }}
      />
    </div>
  )
}

/** What the label comes to, and what had to be assumed. */
function Reading({ label }: { label: Label }) {
  const reading = useQuery(labelQuery(useDeferredValue(label)))
  const answer = reading.data
  return (
    <section
      aria-label="What it comes to"
      aria-live="polite"
      className="border-t border-rule pt-2 wide:border-0"
    >
      {!answer && <p className="text-quiet">What it comes to in 100 g is told here as you type.</p>}
      {answer?.problem && <Faulty fault={answer.problem} />}
      {answer?.item && (
        <>
          <p className="font-semibold">In 100 g</p>
          <ul>
            {answer.item.parts.map((part) => (
              <li key={part.substance} className="flex justify-between border-t border-rule">
                {part.substance} <b>{part.shown}</b>
              </li>
            ))}
            <li className="flex justify-between border-t border-rule">
              water <b>{answer.item.water_g_per_100g.toFixed(0)} %</b>
            </li>
            <li className="flex justify-between border-t border-rule">
              a teaspoon <b>{answer.item.teaspoon}</b>
            </li>
          </ul>
          <p className="mt-3 font-semibold">Assumed</p>
          <ul className="list-disc pl-5 text-quiet">
            {answer.assumed.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
