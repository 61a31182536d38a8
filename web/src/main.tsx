import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode, type ReactNode } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { BatchPage } from './app/BatchPage'
import { KeysHelp } from './app/KeysHelp'
import { ViewShell } from './app/ViewShell'
import { applyTheme, startingTheme } from './lib/light'
import { CautionsPage } from './features/cautions/CautionsPage'
import { CounterPage } from './features/counter/CounterPage'
import { LearnPage } from './features/lessons/LearnPage'
import { LogbookPage } from './features/logbook/LogbookPage'
import { PantryPage } from './features/pantry/PantryPage'
import { SettingsPage } from './features/settings/SettingsPage'
import { TodayPage } from './features/today/TodayPage'
import { TextureDefinitions } from './components/Texture'
import './styles.css'

applyTheme(startingTheme())

const counter = (
  <ViewShell title="Counter" first>
    <CounterPage />
  </ViewShell>
)
const view = (path: string, title: string, page: ReactNode) => ({
  path,
  element: <ViewShell title={title}>{page}</ViewShell>,
})
const router = createBrowserRouter([
  { path: '/', element: counter },
  view('/today', 'Today', <TodayPage />),
  view('/logbook', 'Logbook', <LogbookPage />),
  view('/pantry', 'Pantry', <PantryPage />),
  view('/learn', 'Learn', <LearnPage />),
  view('/cautions', 'Cautions', <CautionsPage />),
  view('/settings/:part?', 'Settings', <SettingsPage />),
  { path: '/batch/:identity/:stage?', element: <BatchPage /> },
  { path: '*', element: counter },
])
const queries = new QueryClient({ defaultOptions: { queries: { retry: 1 } } })
const root = document.getElementById('root')
if (root === null) throw new Error('index.html has no #root')

createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <TextureDefinitions />
      <RouterProvider router={router} />
      <KeysHelp />
    </QueryClientProvider>
  </StrictMode>,
)
