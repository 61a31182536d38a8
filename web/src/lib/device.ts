/**
 * What this device keeps for the page. A browser may forbid it or have no room left: then it is held in memory for as
 * long as the page is open, and that is told, since what was not sent yet would be lost with the page.
 */
export const REFUSED = 'vadouvan-device-refused'
const inMemory = new Map<string, string>()
let refused = false

/** Whether the browser would not keep something. */
export function deviceRefuses(): boolean {
  return refused
}

/** What outlives the page on this device, or as long as its tab is open. */
export type Place = 'device' | 'tab'
const storage = (place: Place) => (place === 'tab' ? sessionStorage : localStorage)

function refuse(): void {
  if (refused) return
  refused = true
  window.dispatchEvent(new Event(REFUSED))
}

export function kept(name: string, place: Place = 'device'): string | null {
  const held = inMemory.get(name)
  if (held !== undefined) return held
  try {
    return storage(place).getItem(name)
  } catch {
    refuse()
    return null
  }
}

export function keep(name: string, text: string, place: Place = 'device'): void {
  try {
    storage(place).setItem(name, text)
    inMemory.delete(name)
  } catch {
    inMemory.set(name, text)
    refuse()
  }
}

export function forget(name: string, place: Place = 'device'): void {
  inMemory.delete(name)
  try {
    storage(place).removeItem(name)
  } catch {
    refuse()
  }
}

/** Names under which something is kept that begin so. */
export function keptNames(prefix: string): string[] {
  const names = new Set(inMemory.keys())
  try {
    for (let i = 0; i < localStorage.length; i += 1) names.add(localStorage.key(i) ?? '')
  } catch {
    refuse()
  }
  return [...names].filter((name) => name.startsWith(prefix))
}
