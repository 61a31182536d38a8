import { SettingsPage } from '../features/settings/SettingsPage'
import { Header } from './Header'

/** The settings as a view of their own. */
export function SettingsShell() {
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title="Settings" />
      <main className="grow">
        <SettingsPage />
      </main>
    </div>
  )
}
