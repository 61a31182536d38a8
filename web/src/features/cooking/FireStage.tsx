import type { Batch, Draft } from '../../api/client'
import { told } from '../../lib/clock'
import { Around } from './Around'
import { Done } from './Done'
import { OwnSteps } from './OwnSteps'
import { Probe } from './Probe'
import { Sauce } from './Sauce'
import { Stages } from './Stages'
import { Told } from './Told'

export interface FireProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** Fire: what the hold left, how it is cooked stage by stage, when it is done, and the used mix. */
export function FireStage({ batch, draft, change }: FireProps) {
  const { fire, plan } = batch.judgement
  const zone = draft.meal.time_zone || undefined
  const onTheClock = plan?.steps.filter((step) => fire.on_the_clock.includes(step.id)) ?? []
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 wide:grid-cols-[minmax(0,1fr)_27rem]">
      <div className="grid min-w-0 content-start gap-4">
        <Stages batch={batch} draft={draft} change={change} />
        <OwnSteps batch={batch} draft={draft} change={change} />
        {onTheClock.length > 0 && (
          <ol aria-label="On the clock" className="grid gap-y-1 border-t border-rule pt-2">
            {onTheClock.map((step) => (
              <li key={step.id} className="grid grid-cols-[7.5rem_1fr] gap-x-3">
                <b>{told(new Date(step.at), zone)}</b>
                <span>{step.says}</span>
              </li>
            ))}
          </ol>
        )}
        {fire.last_brush_says !== '' && <p className="font-semibold">{fire.last_brush_says}</p>}
        <Told told={fire.told} />
      </div>
      <div className="grid content-start gap-5">
        <Done batch={batch} draft={draft} change={change} />
        <Around batch={batch} draft={draft} change={change} />
        <Probe batch={batch} />
        <Sauce batch={batch} draft={draft} change={change} />
      </div>
    </div>
  )
}
