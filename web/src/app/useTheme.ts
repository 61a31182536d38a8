import { useCallback, useState } from 'react'

export type Theme = 'light' | 'evening'
const KEY = 'vadouvan.theme'

/** The theme chosen on this device, or what the system asks for. */
export function startingTheme(): Theme {
  const chosen = localStorage.getItem(KEY)
  if (chosen === 'light' || chosen === 'evening') return chosen
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'evening' : 'light'
}

export function applyTheme(theme: Theme): void {
  document.documentElement.dataset['theme'] = theme
}

export function useTheme() {
  const [theme, setTheme] = useState(startingTheme)
  const turn = useCallback(() => {
    const other = theme === 'evening' ? 'light' : 'evening'
    localStorage.setItem(KEY, other)
    applyTheme(other)
    setTheme(other)
  }, [theme])
  return { theme, turn }
}
