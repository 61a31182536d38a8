import { keep, kept } from './device'

/** Which units a cook reads in. What was typed stays as typed; only what is told changes. */
export type System = 'metric' | 'customary'
const KEY = 'vadouvan.units'

export function chosenSystem(): System {
  return kept(KEY) === 'customary' ? 'customary' : 'metric'
}

export function chooseSystem(system: System): void {
  keep(KEY, system)
}

const INCH_MM = 25.4

/** Marks of a ruler: positions in mm with their labels, no more than fit. */
export function rulerMarks(lengthMm: number, system: System, most: number): { at: number; label: string }[] {
  const unit = system === 'metric' ? 1 : INCH_MM
  const steps = system === 'metric' ? [1, 2, 5, 10, 20, 50, 100] : [0.125, 0.25, 0.5, 1, 2, 4]
  const step =
    steps.find((size) => lengthMm / unit / size <= Math.min(8, Math.max(1, most))) ??
    steps[steps.length - 1] ??
    1
  const count = Math.floor(lengthMm / unit / step + 1e-6)
  return Array.from({ length: count + 1 }, (_, index) => ({
    at: index * step * unit,
    label: String(index * step),
  }))
}
