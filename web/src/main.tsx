import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode, Suspense, type ReactNode } from 'react'
import { createRoot } from 'react-dom/client'
import { Route, Switch } from 'wouter'
import { Guarded } from './app/Broken'
import { DeviceNotice } from './app/DeviceNotice'
import { keepFocus } from './app/keepFocus'
import { KeysHelp } from './app/KeysHelp'
import { Outbox } from './app/Outbox'
import { openRoomOf, rooms } from './app/rooms'
import { ViewShell } from './app/ViewShell'
import { Way } from './app/Way'
import { applyTheme, startingTheme } from './lib/light'
import { tellServer } from './lib/units'
import { CounterPage } from './features/counter/CounterPage'
import { TextureDefinitions } from './components/Texture'
import './styles.css'

applyTheme(startingTheme())
tellServer()
keepFocus()

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
  <Route key={path} path={path}>
    <Guarded>
      <ViewShell title={title}>{page}</ViewShell>
    </Guarded>
  </Route>
)
const views = (
  <Switch>
    {view('/today', 'Today', <rooms.today />)}
    {view('/logbook', 'Logbook', <rooms.logbook />)}
    {view('/pantry', 'Pantry', <rooms.pantry />)}
    {view('/learn', 'Learn', <rooms.learn />)}
    {view('/cautions', 'Cautions', <rooms.cautions />)}
    {view('/settings/:part?', 'Settings', <rooms.settings />)}
    <Route key="batch" path="/batch/:identity/:stage?">
      <Guarded>
        <rooms.batch />
      </Guarded>
    </Route>
    <Route key="counter">
      <Guarded>{counter}</Guarded>
    </Route>
  </Switch>
)
const queries = new QueryClient({ defaultOptions: { queries: { retry: 1 } } })
const root = document.getElementById('root')
if (root === null) throw new Error('index.html has no #root')

const page = (
  <StrictMode>
    <QueryClientProvider client={queries}>
      <TextureDefinitions />
      <DeviceNotice />
      <Outbox />
      <Way>
        {/* One for all: on the way to another view the one that is shown stays until that can be shown. */}
        <Suspense fallback={opening}>{views}</Suspense>
      </Way>
      <KeysHelp />
    </QueryClientProvider>
  </StrictMode>
)
const show = () => {
  createRoot(root).render(page)
}
// What could not be fetched is asked for again by the view itself, which tells of it if it still can't be.
openRoomOf(location.pathname).then(show, show)
