import { Said } from '../../components/Said'
import { BLANK_OWN_STEP, freshId } from '../../lib/draft'
import { faultOf } from '../timelineRows'
import type { FireProps } from './FireStage'

const FIELDS = [
  { name: 'what', question: 'What', placeholder: 'rice on', path: 'what' },
  { name: 'minutes', question: 'Takes', placeholder: '40 min', path: 'time_min' },
  { name: 'before', question: 'Done before the meal', placeholder: '0 min', path: 'before_min' },
] as const

/** What else is to be done on the same clock, in the cook's words. */
export function OwnSteps({ batch, draft, change }: FireProps) {
  type Own = (typeof draft.fire.own_steps)[number]
  const put = (changed: (was: Own[]) => Own[]) => {
    change((was) => ({ ...was, fire: { ...was.fire, own_steps: changed(was.fire.own_steps) } }))
  }
  return (
    <section aria-labelledby="own-steps">
      <h2 id="own-steps" className="heading">
        beside it, on the same clock
      </h2>
      <ol>
        {draft.fire.own_steps.map((step, number) => (
          <li
            key={step.id}
            className="grid grid-cols-[1.3fr_1.2fr_1.2fr_auto] items-end gap-x-2 wide:gap-x-3 border-b border-rule"
          >
            {FIELDS.map(({ name, question, placeholder, path }) => (
              <Said
                key={name}
                question={question}
                stack
                placeholder={placeholder}
                value={step[name]}
                fault={faultOf(batch, `fire.own_steps.${number}.${path}`)}
                onType={(text) => {
                  put((was) => was.map((one) => (one.id === step.id ? { ...one, [name]: text } : one)))
                }}
              />
            ))}
            <button
              type="button"
              className="grid size-12 cursor-pointer place-items-center text-quiet hover:text-stop"
              aria-label={`Take out ${step.what || 'this step'}`}
              onClick={() => {
                put((was) => was.filter((one) => one.id !== step.id))
              }}
            >
              ✕
            </button>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="act mt-3"
        onClick={() => {
          put((was) => [...was, { ...BLANK_OWN_STEP, id: freshId() }])
        }}
      >
        Add a step of your own
      </button>
    </section>
  )
}
