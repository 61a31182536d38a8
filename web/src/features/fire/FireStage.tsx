import type { Batch, Draft } from '../../api/client'
import { Stages } from './Stages'

export interface FireProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** Fire: how it is cooked, stage by stage. */
export function FireStage({ batch, draft, change }: FireProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 wide:grid-cols-[minmax(0,1fr)_26rem]">
      <Stages batch={batch} draft={draft} change={change} />
    </div>
  )
}
