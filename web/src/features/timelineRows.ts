/** Batches with a plan, as rows of the rail. */
import type { Batch } from '../api/client'
import type { TimelineRow, Mark } from '../components/Rail'
import { hoursLater } from '../lib/clock'

export function timelineRowsOf(batches: Batch[]): TimelineRow[] {
  return batches.flatMap(({ id, draft, judgement: { plan, window } }) => {
    if (!plan || !window) return []
    const contact = new Date(plan.contact_at)
    return [
      {
        id,
        name: draft.name || 'Unnamed',
        contact,
        opens: new Date(plan.pull_from),
        bestFrom: hoursLater(contact, window.best.low_hours),
        bestUntil: hoursLater(contact, window.best.high_hours),
        closes: new Date(plan.pull_until),
        pull: new Date(plan.pull_at),
        meal: new Date(plan.meal_at),
        ends: window.latest.says,
        ticks: plan.steps
          .filter((step) => step.hands_on && step.kind !== 'serve')
          .map((step) => ({ at: new Date(step.at), says: step.says })),
        movable: movable(plan),
      },
    ]
  })
}

/** What has been is not moved. */
function movable(plan: NonNullable<Batch['judgement']['plan']>): Mark[] {
  if (plan.has_come_out) return ['meal']
  return plan.has_gone_in ? ['pull', 'meal'] : ['start', 'pull', 'meal']
}

/** Batches by the moment they ask for hands; those without a meal last. */
export function inOrder(batches: Batch[]): Batch[] {
  const when = ({ judgement: { plan } }: Batch) => (plan ? new Date(plan.due.at).getTime() : Infinity)
  return [...batches].sort((a, b) => (when(a) === when(b) ? 0 : when(a) - when(b)))
}

/** The same in groups: what wants hands now, today and later, then what has no plan; empty ones are left out. */
export function bySoon(batches: Batch[]) {
  const groups = ['now', 'today', 'later', 'unplanned'] as const
  const ordered = inOrder(batches)
  return groups
    .map((soon) => ({
      soon,
      batches: ordered.filter(({ judgement: { plan } }) => (plan?.due.soon ?? 'unplanned') === soon),
    }))
    .filter((group) => group.batches.length > 0)
}

/** What is wrong with one field of a draft, if anything. */
export function faultOf(batch: Batch, field: string) {
  const { problems, unweighed } = batch.judgement
  return [...problems, ...unweighed].find((problem) => problem.field === field)
}
