/** The controls of the page by themselves, for those who build screens: a page of its own, so that no cook loads it. */
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { KitPage } from './app/KitPage'
import { TextureDefinitions } from './components/Texture'
import { applyTheme, startingTheme } from './lib/light'
import './styles.css'

applyTheme(startingTheme())
const root = document.getElementById('root')
if (root)
  createRoot(root).render(
    <StrictMode>
      <TextureDefinitions />
      <main>
        <h1 className="px-4 pt-4 text-2xl wide:px-8">Kit</h1>
        <KitPage />
      </main>
    </StrictMode>,
  )
