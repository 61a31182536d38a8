import measures from './measures.json'
import { chosenSystem, type System } from './units'

/**
 * Weights, lengths and warmth in words: what devices show changes faster than the server is asked, and a drawing
 * names what lies under the pointer. The numbers of the units are the core's, and told.test.ts holds every word here
 * to what the core tells.
 */
const {
  ounce_g: OUNCE_G,
  pound_g: POUND_G,
  inch_mm: INCH_MM,
  least_in_ounces_g: LEAST_IN_OUNCES_G,
  oven_from_c: OVEN_FROM_C,
} = measures
const OUNCES_IN_POUND = 16

const trimmed = (value: number, digits: number): string => {
  const told = value.toFixed(digits)
  const bare = told.includes('.') ? told.replace(/\.?0+$/, '') : told
  return bare === '-0' ? '0' : bare
}

/** Two figures that count below ten, whole numbers from ten on. */
function numberTold(value: number): string {
  const size = Math.abs(value)
  if (size < 0.005) return '0'
  if (size < 0.095) return value.toFixed(2)
  return size < 9.95 ? value.toFixed(1).replace(/\.0$/, '') : value.toFixed(0)
}

/** So many parts of a whole, as cooks write it: "1 1/8". */
export function inParts(count: number, parts: number): string {
  const whole = Math.floor(count / parts)
  let [above, below] = [count % parts, parts]
  while (above > 0 && above % 2 === 0) [above, below] = [above / 2, below / 2]
  return [
    ...(whole > 0 ? [String(whole)] : []),
    ...(above > 0 ? [`${String(above)}/${String(below)}`] : []),
  ].join(' ')
}

/** Grams as a scale shows them: whole from a hundred on, tenths below. */
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

/** What a scale shows, in words. */
export function weightTold(grams: number, system: System = chosenSystem()): string {
  if (system === 'metric' || grams < POUND_G) {
    const { number, unit } = onScale(grams, grams, system)
    return `${number} ${unit}`
  }
  const tenths = Math.round((grams / OUNCE_G) * 10)
  const rest = trimmed((tenths % (OUNCES_IN_POUND * 10)) / 10, 1)
  const pounds = `${String(Math.floor(tenths / (OUNCES_IN_POUND * 10)))} lb`
  return rest === '0' ? pounds : `${pounds} ${rest} oz`
}

/** A mass as a cook says it. */
export function massTold(grams: number, system: System = chosenSystem()): string {
  if (system === 'metric' || grams < LEAST_IN_OUNCES_G)
    return grams >= 1000 ? `${trimmed(grams / 1000, 2)} kg` : `${numberTold(grams)} g`
  const ounces = Math.round(grams / OUNCE_G)
  if (ounces < OUNCES_IN_POUND) return `${numberTold(grams / OUNCE_G)} oz`
  const rest = ounces % OUNCES_IN_POUND
  const pounds = `${String(Math.floor(ounces / OUNCES_IN_POUND))} lb`
  return rest === 0 ? pounds : `${pounds} ${String(rest)} oz`
}

/** What a probe shows, to the tenth. */
export const probeTold = (celsius: number, system: System = chosenSystem()): string =>
  system === 'metric' ? `${celsius.toFixed(1)} °C` : `${(celsius * 1.8 + 32).toFixed(1)} °F`

/** A temperature as a cook says it; that of an oven in steps of five, as its dial has them. */
export function warmthTold(celsius: number, system: System = chosenSystem()): string {
  if (system === 'metric') return `${numberTold(celsius)} °C`
  const fahrenheit = celsius * 1.8 + 32
  return `${String(celsius >= OVEN_FROM_C ? 5 * Math.round(fahrenheit / 5) : Math.round(fahrenheit))} °F`
}

/** A length as a cook says it: in eighths of an inch, the least in sixteenths. */
export function lengthTold(mm: number, system: System = chosenSystem()): string {
  if (system === 'metric') return `${numberTold(mm)} mm`
  const parts = mm / INCH_MM < 0.5 ? 16 : 8
  return `${inParts(Math.max(1, Math.round((mm / INCH_MM) * parts)), parts)} in`
}

const BARE = /^\s*[\d.,/½¼¾ ]+\s*$/

/** A weight typed as a bare number is one in the unit that its label asks for; any other says its own. */
export const weightSaid = (text: string, unit: Amount['unit']): string =>
  unit === 'oz' && BARE.test(text) ? `${text.trim()} oz` : text

/** A temperature typed as a bare number is one in the degrees that this device reads. */
export const warmthSaid = (text: string, system: System = chosenSystem()): string =>
  system === 'customary' && BARE.test(text) ? `${text.trim()} F` : text
