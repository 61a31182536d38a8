import type { Batch, Draft } from '../../api/client'
import { told } from '../../lib/clock'
import { Done } from './Done'
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
  const onHeat = plan?.steps.filter(
    (step) => ['pull', 'temper', 'rest', 'keep-warm'].includes(step.id) || step.id.startsWith('cook'),
  )
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 wide:grid-cols-[minmax(0,1fr)_27rem]">
      <div className="grid min-w-0 content-start gap-4">
        <Stages batch={batch} draft={draft} change={change} />
        {onHeat && onHeat.length > 0 && (
          <ol aria-label="On the clock" className="flex flex-wrap gap-x-6 gap-y-1 border-t border-rule pt-2">
            {onHeat.map((step) => (
              <li key={step.id}>
                <b>{told(new Date(step.at), zone)}</b> {CLOCK_WORDS[step.id] ?? 'on the heat'}
              </li>
            ))}
          </ol>
        )}
        {fire.last_brush_says !== '' && <p className="font-semibold">{fire.last_brush_says}</p>}
        <Told told={fire.told} />
      </div>
      <div className="grid content-start gap-5">
        <Done batch={batch} draft={draft} change={change} />
        <Probe batch={batch} />
        <Sauce batch={batch} draft={draft} change={change} />
      </div>
    </div>
  )
}

const CLOCK_WORDS: Record<string, string> = {
  pull: 'out and dry',
  temper: 'out of the fridge',
  rest: 'rest',
  'keep-warm': 'keep warm',
}
