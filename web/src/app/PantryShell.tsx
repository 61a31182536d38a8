import { PantryPage } from '../features/pantry/PantryPage'
import { Header } from './Header'

/** The pantry as a view of its own. */
export function PantryShell() {
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Pantry" />
      <main className="grow">
        <PantryPage />
      </main>
    </div>
  )
}
