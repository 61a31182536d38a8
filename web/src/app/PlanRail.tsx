import { toldOf } from '../api/answered'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Batch, type Draft } from '../api/client'
import { busyQuery } from '../api/queries'
import { Rail, type Mark } from '../components/Rail'
import { timelineRowsOf } from '../features/timelineRows'

interface PlanRailProps {
  batches: Batch[]
  now: Date
  current?: string | undefined
  /** Takes a batch whose meal, pull or start was moved; without it nothing can be. */
  onMoved?: ((batch: Batch, draft: Draft) => Promise<void> | void) | undefined
}

/** The rail with the batches at hand, around the cook's sleep and work. */
export function PlanRail({ batches, now, current, onMoved }: PlanRailProps) {
  const [refused, setRefused] = useState('')
  const zone = batches.find((batch) => batch.draft.meal.time_zone !== '')?.draft.meal.time_zone
  const busy = useQuery(busyQuery(zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone))
  const [done, setDone] = useState<{ id: string; before: Draft; after: Draft; says: string }>()
  const ask = async (id: string, mark: Mark, to: Date) => {
    const batch = batches.find((one) => one.id === id)
    if (!batch) return ''
    try {
      return (await api.move({ draft: batch.draft, mark, to: to.toISOString() })).says
    } catch (error) {
      return toldOf(error)
    }
  }
  const takeBack = async () => {
    const batch = batches.find((one) => one.id === done?.id)
    if (batch && done && onMoved) await onMoved(batch, done.before)
    setDone(undefined)
  }
  const move = async (id: string, mark: Mark, to: Date) => {
    const batch = batches.find((one) => one.id === id)
    if (!batch || !onMoved) return false
    try {
      const { draft, says } = await api.move({ draft: batch.draft, mark, to: to.toISOString() })
      setRefused('')
      await onMoved(batch, draft)
      setDone({ id, before: batch.draft, after: draft, says })
      return true
    } catch (error) {
      setRefused(toldOf(error))
      return false
    }
  }
  const moved = batches.find((one) => one.id === done?.id)
  const stands = done && JSON.stringify(moved?.draft) === JSON.stringify(done.after)
  return (
    <>
      {refused !== '' && (
        <p role="alert" className="border-t border-stop bg-raised px-4 py-1 font-semibold text-stop">
          Not moved. {refused}
        </p>
      )}
      {stands && (
        <p
          role="status"
          className="flex flex-wrap items-center gap-3 border-t border-rule bg-raised px-4 py-1"
        >
          <span>Moved. {done.says}</span>
          <button type="button" className="act" onClick={() => void takeBack()}>
            Move it back
          </button>
        </p>
      )}
      <Rail
        rows={timelineRowsOf(batches)}
        busy={busy.data ?? []}
        now={now}
        zone={zone}
        current={current}
        onMove={onMoved && move}
        onAsk={ask}
      />
    </>
  )
}
