import { Said } from '../../components/Said'
import { localZone } from '../../lib/clock'
import { faultOf } from '../timelineRows'
import type { AnswersProps } from './Answers'
import { MomentSaid } from './MomentSaid'

/** What the cook wants of the plan, and what has happened: everything after is planned from it. */
export function Happened({ batch, draft, change }: AnswersProps) {
  const meal = (part: Partial<typeof draft.meal>) => {
    change((was) => ({ ...was, meal: { ...was.meal, ...part } }))
  }
  const moment = (name: 'start' | 'contact' | 'pulled' | 'thaw_for', question: string, hint: string) => (
    <MomentSaid
      question={question}
      stack
      name={`${batch.id}.${name}`}
      value={draft.meal[name]}
      zone={draft.meal.time_zone || localZone()}
      hint={hint}
      fault={faultOf(batch, `meal.${name}`)}
      onSay={(text) => {
        meal({ [name]: text })
      }}
    />
  )
  return (
    <div className="grid gap-1 border-t border-rule pt-2">
      {draft.meal.contact === '' && moment('start', 'Put it in at', 'empty: the best hour is chosen for you')}
      {moment('contact', 'It went in at', 'once it has: everything after is planned from it')}
      {draft.meal.contact !== '' && moment('pulled', 'It came out at', 'once it has')}
      <Said
        question="Done and kept warm before the meal"
        stack
        placeholder="not at all"
        value={draft.meal.early}
        fault={faultOf(batch, 'meal.early_min')}
        onType={(early) => {
          meal({ early })
        }}
      />
      {draft.occasion.frozen !== '' &&
        moment('thaw_for', 'The frozen part is for', 'empty: it stays in the freezer')}
    </div>
  )
}
