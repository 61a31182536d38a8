import { TodayPage } from '../features/today/TodayPage'
import { Header } from './Header'

/** Today's list and the bag labels as a view of their own, made for paper. */
export function TodayShell() {
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Today" />
      <main className="grow">
        <TodayPage />
      </main>
    </div>
  )
}
