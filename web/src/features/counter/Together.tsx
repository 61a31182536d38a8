import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Together as Plan } from '../../api/client'
import { tableQuery } from '../../api/queries'

/** What the batches want at the same time, and one press that plans them around each other. */
export function Together() {
  const table = useQuery(tableQuery)
  const queries = useQueryClient()
  const [plan, setPlan] = useState<Plan>()
  const { attempt, trouble, busy } = useAttempt()
  const clashes = table.data?.clashes ?? []
  const change = (work: () => Promise<void>) =>
    attempt(async () => {
      await work()
      await askAnew(queries, 'batches')
    })
  const takeLater = async (left: Plan['left_out'][number]) => {
    if (!left.draft) return
    const { revision } = await api.batch(left.batch_id)
    await api.change(left.batch_id, { revision, draft: left.draft, since: left.since })
    setPlan((was) => was && { ...was, left_out: was.left_out.filter((one) => one !== left) })
  }
  if (clashes.length === 0 && !plan && trouble === '') return null
  return (
    <section
      aria-label="All dishes together"
      className={`rounded-md border-2 bg-raised p-3 ${clashes.length > 0 ? 'border-warn' : 'border-rule'}`}
    >
      {clashes.map((says) => (
        <p key={says}>
          <span aria-hidden>▲ </span>
          {says}
        </p>
      ))}
      {clashes.length > 0 && (
        <button
          type="button"
          className="act act-first mt-2"
          disabled={busy}
          onClick={() =>
            void change(async () => {
              setPlan(await api.planTogether())
            })
          }
        >
          Plan them around each other
        </button>
      )}
      <div role="status">
        {plan && clashes.length === 0 && plan.left_out.length === 0 && (
          <p>
            They go together now{plan.proven ? '' : '; a better plan may exist'}. Each change can be undone in
            its batch.
          </p>
        )}
        {plan && plan.moved.length > 0 && (
          <ul className="text-[0.95rem] text-quiet">
            {plan.moved.map((says) => (
              <li key={says}>{says}</li>
            ))}
          </ul>
        )}
        {plan?.left_out.map((left) => (
          <div key={left.batch_id} className="mt-2">
            <p>
              <span aria-hidden>▲ </span>
              <b>{left.batch}</b> finds no place. {left.says}
            </p>
            {left.draft ? (
              <button
                type="button"
                className="act mt-1"
                disabled={busy}
                onClick={() => void change(() => takeLater(left))}
              >
                {left.later_says}
              </button>
            ) : (
              <p>
                No meal within six hours after works: another day, the grill instead of the oven, or a bag.
              </p>
            )}
          </div>
        ))}
        {trouble !== '' && <p className="text-stop">{trouble}</p>}
      </div>
    </section>
  )
}
