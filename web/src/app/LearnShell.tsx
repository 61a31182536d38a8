import { LearnPage } from '../features/learn/LearnPage'
import { Header } from './Header'

/** The guided examples as a view of their own. */
export function LearnShell() {
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Learn" />
      <main className="grow">
        <LearnPage />
      </main>
    </div>
  )
}
