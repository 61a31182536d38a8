import type { Batch, Draft } from '../../api/client'

/** What every drawer beside the ledger gets. */
export interface DrawerProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}
