import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { lazy, StrictMode, Suspense, type ReactNode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Route, Routes } from 'react-router'
import { Guarded } from './app/Broken'
import { DeviceNotice } from './app/DeviceNotice'
import { KeysHelp } from './app/KeysHelp'
import { Outbox } from './app/Outbox'
import { ViewShell } from './app/ViewShell'
import { applyTheme, startingTheme } from './lib/light'
import { tellServer } from './lib/units'
import { CounterPage } from './features/counter/CounterPage'
import { TextureDefinitions } from './components/Texture'
import './styles.css'

applyTheme(startingTheme())
tellServer()

// Each room is fetched when it is first entered; the Counter comes with the first screen.
const BatchPage = lazy(() => import('./app/BatchPage').then((room) => ({ default: room.BatchPage })))
const CautionsPage = lazy(() =>
  import('./features/cautions/CautionsPage').then((room) => ({ default: room.CautionsPage })),
)
const LearnPage = lazy(() =>
  import('./features/lessons/LearnPage').then((room) => ({ default: room.LearnPage })),
)
const LogbookPage = lazy(() =>
  import('./features/logbook/LogbookPage').then((room) => ({ default: room.LogbookPage })),
)
const PantryPage = lazy(() =>
  import('./features/pantry/PantryPage').then((room) => ({ default: room.PantryPage })),
)
const SettingsPage = lazy(() =>
  import('./features/settings/SettingsPage').then((room) => ({ default: room.SettingsPage })),
)
const TodayPage = lazy(() =>
  import('./features/today/TodayPage').then((room) => ({ default: room.TodayPage })),
)

const opening = (
  <p className="p-8" data-opening="">
    Opening
  </p>
)

const counter = (
  <ViewShell title="Counter" first>
    <CounterPage />
  </ViewShell>
)
const view = (path: string, title: string, page: ReactNode) => (
  <Route
    key={path}
    path={path}
    element={
      <Guarded key={path}>
        <ViewShell title={title}>
          <Suspense fallback={opening}>{page}</Suspense>
        </ViewShell>
      </Guarded>
    }
  />
)
const views = (
  <Routes>
    {view('/today', 'Today', <TodayPage />)}
    {view('/logbook', 'Logbook', <LogbookPage />)}
    {view('/pantry', 'Pantry', <PantryPage />)}
    {view('/learn', 'Learn', <LearnPage />)}
    {view('/cautions', 'Cautions', <CautionsPage />)}
    {view('/settings/:part?', 'Settings', <SettingsPage />)}
    <Route
      path="/batch/:identity/:stage?"
      element={
        <Guarded key="batch">
          <Suspense fallback={opening}>
            <BatchPage />
          </Suspense>
        </Guarded>
      }
    />
    <Route path="*" element={<Guarded key="counter">{counter}</Guarded>} />
  </Routes>
)
const queries = new QueryClient({ defaultOptions: { queries: { retry: 1 } } })
const root = document.getElementById('root')
if (root === null) throw new Error('index.html has no #root')

createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <TextureDefinitions />
      <DeviceNotice />
      <Outbox />
      <BrowserRouter>{views}</BrowserRouter>
      <KeysHelp />
    </QueryClientProvider>
  </StrictMode>,
)
