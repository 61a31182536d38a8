import measures from './measures.json'
import { inParts } from './told'
import type { System } from './units'

const PARTS_OF_AN_INCH = 8

/** Marks of a ruler: positions in mm with their labels, no more than fit; inches in eighths, as they are told. */
export function rulerMarks(lengthMm: number, system: System, most: number): { at: number; label: string }[] {
  const unit = system === 'metric' ? 1 : measures.inch_mm
  const steps = system === 'metric' ? [1, 2, 5, 10, 20, 50, 100] : [0.125, 0.25, 0.5, 1, 2, 4]
  const step =
    steps.find((size) => lengthMm / unit / size <= Math.min(8, Math.max(1, most))) ??
    steps[steps.length - 1] ??
    1
  const count = Math.floor(lengthMm / unit / step + 1e-6)
  return Array.from({ length: count + 1 }, (_, index) => ({
    at: index * step * unit,
    label:
      system === 'metric' || index === 0
        ? String(index * step)
        : inParts(Math.round(index * step * PARTS_OF_AN_INCH), PARTS_OF_AN_INCH),
  }))
}
