import { CautionsPage } from '../features/cautions/CautionsPage'
import { Header } from './Header'

/** The cautions as a view of their own. */
export function CautionsShell() {
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Cautions" />
      <main className="grow">
        <CautionsPage />
      </main>
    </div>
  )
}
