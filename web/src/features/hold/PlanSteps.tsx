import { useQuery } from '@tanstack/react-query'
import type { Draft } from '../../api/client'
import { offersQuery } from '../../api/queries'
import { StepWords } from '../../components/StepWords'
import { told } from '../../lib/clock'
import type { AnswersProps } from './Answers'
import { CalendarActions } from './CalendarActions'
import { Happened } from './Happened'

/** The plan step by step, with plans that work where this one does not. */
export function PlanSteps({ batch, draft, change }: AnswersProps) {
  const { plan, plan_says: says } = batch.judgement
  return (
    <div>
      {draft.meal.at === '' && (
        <p className="text-quiet">Say under Answers when the meal is; then it is planned.</p>
      )}
      {says !== '' && (!plan || plan.trouble !== null) && (
        <Offers draft={draft} says={says} change={change} />
      )}
      {plan && (
        <ol aria-label="The plan step by step">
          {plan.steps.map((step) => (
            <Step
              key={step.id}
              when={told(new Date(step.at), draft.meal.time_zone || undefined)}
              says={step.says}
              minutes={step.minutes}
              hands={step.hands_on}
              next={plan.next_step?.id === step.id}
            />
          ))}
        </ol>
      )}
      {plan?.trouble === null && <CalendarActions batch={batch} change={change} />}
      <Happened batch={batch} draft={draft} change={change} />
    </div>
  )
}

interface StepProps {
  when: string
  says: string
  minutes: number
  hands: boolean
  next: boolean
}

function Step({ when, says, minutes, hands, next }: StepProps) {
  return (
    <li
      className={`grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-1 ${hands ? '' : 'text-quiet'}`}
    >
      <b className="whitespace-nowrap">{when}</b>
      <span>
        {next && <b className="mr-1 text-enamel">next:</b>}
        <StepWords says={says} minutes={minutes} hands={hands} />
      </span>
    </li>
  )
}

interface OffersProps {
  draft: Draft
  says: string
  change: (typed: (draft: Draft) => Draft) => void
}

/** What collides, and the nearest plans that work, one press each. */
function Offers({ draft, says, change }: OffersProps) {
  const found = useQuery(offersQuery(draft))
  return (
    <section aria-label="Plans that work" className="mb-2 rounded-md border-2 border-warn bg-raised p-3">
      <p>
        <span aria-hidden>▲ </span>
        {says}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {found.data?.map((offer) => (
          <button
            key={offer.id}
            type="button"
            className="act"
            onClick={() => {
              change(() => offer.draft)
            }}
          >
            {offer.says}
          </button>
        ))}
        {found.data?.length === 0 && <p>Nothing near works: another day, another cut or another mix.</p>}
      </div>
    </section>
  )
}
