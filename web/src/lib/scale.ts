/** Moments along a rail: from a moment to its place in px, and back. */
export interface TimeScale {
  (moment: Date): number
  invert: (px: number) => Date
}

/** A rail from one moment to another over so many px. */
export function timeScale([from, to]: [Date, Date], [left, right]: [number, number]): TimeScale {
  const span = to.getTime() - from.getTime() || 1
  return Object.assign(
    (moment: Date) => left + ((moment.getTime() - from.getTime()) / span) * (right - left),
    { invert: (px: number) => new Date(from.getTime() + ((px - left) / (right - left || 1)) * span) },
  )
}

/** Hours spaced by their logarithm, kept within the px that there are. */
export function logScale([first, last]: [number, number], [left, right]: [number, number]) {
  const span = Math.log(last / first) || 1
  return (hours: number) => left + Math.min(1, Math.max(0, Math.log(hours / first) / span)) * (right - left)
}
