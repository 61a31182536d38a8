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

/** "20 g water" as its grams and its name. */
export function gramsAndName(text: string): { mass_g: number; words: string } | null {
  const [grams, ...name] = text.split(' g ')
  const mass_g = Number(grams)
  return name.length === 0 || Number.isNaN(mass_g) ? null : { mass_g, words: name.join(' g ') }
}
