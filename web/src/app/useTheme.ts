import { useCallback, useSyncExternalStore } from 'react'
import { CHANGED, DARK, applyTheme, chooseLight, startingTheme } from '../lib/light'

function listen(changed: () => void): () => void {
  const asked = matchMedia(DARK)
  const follow = () => {
    applyTheme(startingTheme())
    changed()
  }
  window.addEventListener(CHANGED, changed)
  asked.addEventListener('change', follow)
  return () => {
    window.removeEventListener(CHANGED, changed)
    asked.removeEventListener('change', follow)
  }
}

export function useTheme() {
  const theme = useSyncExternalStore(listen, startingTheme)
  const turn = useCallback(() => {
    chooseLight(theme === 'evening' ? 'light' : 'evening')
  }, [theme])
  return { theme, turn }
}
