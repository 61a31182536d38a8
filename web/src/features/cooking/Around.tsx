import { Said } from '../../components/Said'
import { faultOf } from '../timelineRows'
import type { FireProps } from './FireStage'

const FIELDS = [
  { name: 'dries', question: 'Uncovered, cold', placeholder: 'no', path: 'fire.dries_min' },
  { name: 'travels', question: 'In a cold box', placeholder: 'no', path: 'fire.travels_min' },
  { name: 'rest', question: 'Rests after it', placeholder: 'as is usual', path: 'fire.rest_min' },
] as const

/** Between the mix and the heat, and after it: drying, the way to where it is cooked, the rest. */
export function Around({ batch, draft, change }: FireProps) {
  return (
    <section aria-labelledby="around-the-heat">
      <h2 id="around-the-heat" className="heading">
        before the heat and after
      </h2>
      <div className="grid grid-cols-3 gap-x-4">
        {FIELDS.map(({ name, question, placeholder, path }) => (
          <Said
            key={name}
            question={question}
            stack
            placeholder={placeholder}
            value={draft.fire[name]}
            fault={faultOf(batch, path)}
            onType={(text) => {
              change((was) => ({ ...was, fire: { ...was.fire, [name]: text } }))
            }}
          />
        ))}
      </div>
    </section>
  )
}
