import { chosenSystem, type System } from './units'

/**
 * Weights and warmth of devices and of a weigh-in, which change faster than the server is asked, as they are read at
 * arm's length. Everything else is told by the server in the units that this device reads.
 */
const OUNCE_G = 28.349523125
const POUND_OZ = 16
const LEAST_IN_OUNCES_G = OUNCE_G / 4 // less is told in grams, as the server does
const INCH_MM = 25.4

const trimmed = (value: number, digits: number): string => {
  const told = value.toFixed(digits)
  const bare = told.includes('.') ? told.replace(/\.?0+$/, '') : told
  return bare === '-0' ? '0' : bare
}

/** Grams: whole from a hundred on, tenths below. */
export const gramsTold = (grams: number): string => trimmed(grams, Math.abs(grams) >= 100 ? 0 : 1)

export interface Amount {
  number: string
  unit: 'g' | 'oz'
}

/** A reading on the way to a target, in the unit of the target all along, so that none changes under the hand. */
export function onScale(grams: number, target: number, system: System = chosenSystem()): Amount {
  if (system === 'metric' || Math.abs(target) < LEAST_IN_OUNCES_G)
    return { number: gramsTold(grams), unit: 'g' }
  return { number: trimmed(grams / OUNCE_G, Math.abs(grams) >= 10 * OUNCE_G ? 1 : 2), unit: 'oz' }
}

/** A weight in words. */
export function weightTold(grams: number, system: System = chosenSystem()): string {
  const ounces = grams / OUNCE_G
  if (system === 'metric' || ounces < POUND_OZ) {
    const { number, unit } = onScale(grams, grams, system)
    return `${number} ${unit}`
  }
  const tenths = Math.round(ounces * 10)
  const rest = trimmed((tenths % (POUND_OZ * 10)) / 10, 1)
  const pounds = `${String(Math.floor(tenths / (POUND_OZ * 10)))} lb`
  return rest === '0' ? pounds : `${pounds} ${rest} oz`
}

/** A temperature in words. */
export function warmthTold(celsius: number, digits = 1, system: System = chosenSystem()): string {
  return system === 'metric'
    ? `${celsius.toFixed(digits)} °C`
    : `${(celsius * 1.8 + 32).toFixed(digits === 0 ? 0 : 1)} °F`
}

/** A length in words: whole millimetres, or inches in eighths. */
export function lengthTold(mm: number, system: System = chosenSystem()): string {
  if (system === 'metric') return `${mm.toFixed(0)} mm`
  const parts = mm / INCH_MM < 0.5 ? 16 : 8
  const count = Math.max(1, Math.round((mm / INCH_MM) * parts))
  const whole = Math.floor(count / parts)
  let [above, below] = [count % parts, parts]
  while (above > 0 && above % 2 === 0) [above, below] = [above / 2, below / 2]
  const words = [
    ...(whole > 0 ? [String(whole)] : []),
    ...(above > 0 ? [`${String(above)}/${String(below)}`] : []),
  ]
  return `${words.join(' ')} in`
}

const BARE = /^\s*[\d.,/½¼¾ ]+\s*$/

/** A weight typed as a bare number is one in the unit that its label asks for; any other says its own. */
export const weightSaid = (text: string, unit: Amount['unit']): string =>
  unit === 'oz' && BARE.test(text) ? `${text.trim()} oz` : text

/** A temperature typed as a bare number is one in the degrees that this device reads. */
export const warmthSaid = (text: string, system: System = chosenSystem()): string =>
  system === 'customary' && BARE.test(text) ? `${text.trim()} F` : text
