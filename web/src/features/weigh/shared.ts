import type { PressSaid, Weigh } from '../../api/client'
import type { Devices } from '../../api/useDevices'

/** What every part of the weigh-in gets. */
export interface AtCounter {
  weigh: Weigh
  busy: boolean
  press: (press: PressSaid) => Promise<boolean>
  devices: Devices
}

/** Typed grams; nothing for what is no number. */
export function typedGrams(text: string): number | null {
  const grams = Number(text.trim().replace(',', '.').replace(/\s*g$/, ''))
  return text.trim() === '' || Number.isNaN(grams) ? null : grams
}
