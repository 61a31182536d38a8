import { useQuery } from '@tanstack/react-query'
import { batchesQuery } from '../api/queries'
import { Rail } from '../components/Rail'
import { CounterPage } from '../features/counter/CounterPage'
import { inOrder, lanesOf } from '../features/lanes'
import { told } from '../lib/clock'
import { Header } from './Header'
import { useKeys } from './keys'
import { useNow } from './useNow'

/** The first screen: header, counter, rail. */
export function CounterShell() {
  const now = useNow()
  const batches = useQuery(batchesQuery)
  useKeys({ n: () => document.getElementById('start-batch')?.click() })
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Counter" note={told(now)} />
      <main className="grow">
        <CounterPage />
      </main>
      <footer className="sticky bottom-0">
        <Rail lanes={lanesOf(inOrder(batches.data ?? []))} now={now} />
      </footer>
    </div>
  )
}
