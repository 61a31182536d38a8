import { useQuery } from '@tanstack/react-query'
import type { Batch } from '../api/client'
import { busyQuery } from '../api/queries'
import { Rail } from '../components/Rail'
import { lanesOf } from '../features/lanes'

interface PlanRailProps {
  batches: Batch[]
  now: Date
  current?: string | undefined
}

/** The rail with the batches at hand, around the cook's sleep and work. */
export function PlanRail({ batches, now, current }: PlanRailProps) {
  const zone = batches.find((batch) => batch.draft.meal.time_zone !== '')?.draft.meal.time_zone
  const busy = useQuery(busyQuery(zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone))
  return <Rail lanes={lanesOf(batches)} busy={busy.data ?? []} now={now} current={current} />
}
