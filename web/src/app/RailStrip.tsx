import { useState, type ReactNode } from 'react'
import { keep, kept } from '../lib/device'
import type { Batch } from '../api/client'
import { momentsTold } from '../lib/clock'

const OPENED = 'vadouvan.rail'

/** The rail where there is room for it; on a phone or a low screen a strip that says what is next, and opens. */
export function RailStrip({ batches, children }: { batches: Batch[]; children: ReactNode }) {
  const [open, setOpen] = useState(kept(OPENED) === 'open')
  return (
    <>
      <button
        type="button"
        className="hidden min-h-9 w-full cursor-pointer items-center gap-3 border-t-4 border-double border-rule bg-raised px-4 text-left tight:flex wide:px-7"
        aria-expanded={open}
        onClick={() => {
          keep(OPENED, open ? '' : 'open')
          setOpen(!open)
        }}
      >
        <span className="grow truncate">{nextOf(batches)}</span>
        <span className="shrink-0 underline underline-offset-4">{open ? 'hide hours' : 'hours'}</span>
      </button>
      <div className={open ? '' : 'tight:hidden'}>{children}</div>
    </>
  )
}

/** One batch's moments, or which of several is next and what it wants; what a plan fails by comes first. */
function nextOf(batches: Batch[]): string {
  const [first, another] = batches.filter(({ judgement }) => judgement.plan)
  const plan = first?.judgement.plan
  if (!first || !plan) return 'Nothing planned yet'
  if (another) return `${first.draft.name || 'Unnamed batch'}, ${plan.due.left}: ${plan.due.deed}`
  if (plan.trouble !== null) return plan.trouble
  const zone = first.draft.meal.time_zone || undefined
  return momentsTold(new Date(plan.contact_at), new Date(plan.pull_at), new Date(plan.meal_at), zone)
}
