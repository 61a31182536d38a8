import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { BatchPage } from './app/BatchPage'
import { CautionsShell } from './app/CautionsShell'
import { CounterShell } from './app/CounterShell'
import { KeysHelp } from './app/KeysHelp'
import { LearnShell } from './app/LearnShell'
import { PantryShell } from './app/PantryShell'
import { SettingsShell } from './app/SettingsShell'
import { TodayShell } from './app/TodayShell'
import { applyTheme, startingTheme } from './app/useTheme'
import { TextureDefinitions } from './components/Texture'
import './styles.css'

applyTheme(startingTheme())

const router = createBrowserRouter([
  { path: '/', element: <CounterShell /> },
  { path: '/today', element: <TodayShell /> },
  { path: '/pantry', element: <PantryShell /> },
  { path: '/learn', element: <LearnShell /> },
  { path: '/cautions', element: <CautionsShell /> },
  { path: '/settings', element: <SettingsShell /> },
  { path: '/batch/:identity/:stage?', element: <BatchPage /> },
  { path: '*', element: <CounterShell /> },
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
