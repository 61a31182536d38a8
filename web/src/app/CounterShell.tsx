import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api, type Batch, type Draft } from '../api/client'
import { batchesQuery } from '../api/queries'
import { CounterPage } from '../features/counter/CounterPage'
import { inOrder } from '../features/lanes'
import { told } from '../lib/clock'
import { Header } from './Header'
import { PlanRail } from './PlanRail'
import { useKeys } from './keys'
import { useNow } from './useNow'

/** The first screen: header, counter, rail. */
export function CounterShell() {
  const now = useNow()
  const batches = useQuery(batchesQuery)
  const queries = useQueryClient()
  const keep = async (batch: Batch, draft: Draft) => {
    await api.change(batch.id, batch.revision, draft)
    await queries.invalidateQueries({ queryKey: ['batches'] })
  }
  useKeys({ n: () => document.getElementById('start-batch')?.click() })
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Counter" note={told(now)} />
      <main className="grow">
        <CounterPage />
      </main>
      <footer className="sticky bottom-0">
        <PlanRail batches={inOrder(batches.data ?? [])} now={now} onMoved={keep} />
      </footer>
    </div>
  )
}
