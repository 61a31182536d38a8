import { useQuery } from '@tanstack/react-query'
import { batchesQuery } from '../api/queries'
import { Rail } from '../components/Rail'
import { CounterPage } from '../features/counter/CounterPage'
import { inOrder, lanesOf } from '../features/lanes'
import { told } from '../lib/clock'
import { useKeys } from './keys'
import { useTheme } from './useTheme'
import { useNow } from './useNow'

/** The first screen: header, counter, rail. */
export function CounterShell() {
  const now = useNow()
  const batches = useQuery(batchesQuery)
  const { theme, turn } = useTheme()
  useKeys({ n: () => document.getElementById('start-batch')?.click() })
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="flex items-center gap-x-4 bg-band px-4 py-3 text-on-band wide:px-7">
        <h1 className="text-2xl">Vadouvan</h1>
        <p className="grow border-l border-on-band/30 pl-4 text-[1.2rem] font-semibold">{told(now)}</p>
        <button
          type="button"
          className="min-h-12 cursor-pointer px-2 text-right underline underline-offset-4"
          onClick={turn}
        >
          {theme === 'evening' ? 'Daylight' : 'Evening light'}
        </button>
      </header>
      <main className="grow">
        <CounterPage />
      </main>
      <footer className="sticky bottom-0">
        <Rail lanes={lanesOf(inOrder(batches.data ?? []))} now={now} />
      </footer>
    </div>
  )
}
