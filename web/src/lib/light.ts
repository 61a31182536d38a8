import { forget, keep, kept } from './device'

/** The light of the page: chosen on this device, or as the system asks for. */
export type Theme = 'light' | 'evening'
export type Light = Theme | 'system'
const KEY = 'vadouvan.theme'
export const CHANGED = 'vadouvan-light'
export const DARK = '(prefers-color-scheme: dark)'

/** What was chosen on this device. */
export function chosenLight(): Light {
  const chosen = kept(KEY)
  return chosen === 'light' || chosen === 'evening' ? chosen : 'system'
}

/** The theme chosen on this device, or what the system asks for. */
export function startingTheme(): Theme {
  const chosen = chosenLight()
  if (chosen !== 'system') return chosen
  return matchMedia(DARK).matches ? 'evening' : 'light'
}

export function applyTheme(theme: Theme): void {
  document.documentElement.dataset['theme'] = theme
}

export function chooseLight(light: Light): void {
  if (light === 'system') forget(KEY)
  else keep(KEY, light)
  applyTheme(startingTheme())
  window.dispatchEvent(new Event(CHANGED))
}
