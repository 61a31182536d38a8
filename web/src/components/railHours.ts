/** Which hours a rail shows, and which of them it names. */
import { hoursLater } from '../lib/clock'
import { chosenClock } from '../lib/units'
import type { TimelineRow } from './Rail'

/** What is next: to after the last meal of the coming two days, or the next one; one batch alone from its first step,
 * so that a short hold is no speck. */
export function spanOf(rows: TimelineRow[], now: Date): [Date, Date] {
  const [only, another] = rows
  if (only && !another) {
    const first = Math.min(only.contact.getTime(), ...only.ticks.map((tick) => tick.at.getTime()))
    const begins = Math.max(hoursLater(now, -2).getTime(), first - FIRST_STEP_MS)
    return [new Date(begins), hoursLater(new Date(Math.max(only.meal.getTime(), now.getTime())), 3)]
  }
  const meals = rows.map((lane) => lane.meal.getTime()).filter((meal) => meal > now.getTime())
  const soon = meals.filter((meal) => meal <= hoursLater(now, NEXT_H).getTime())
  const next = soon.length > 0 ? Math.max(...soon) : Math.min(...meals, Infinity)
  const last = Math.max(hoursLater(now, 12).getTime(), Number.isFinite(next) ? next : 0)
  return [hoursLater(now, -2), hoursLater(new Date(last), 7)]
}

/** Which hours of a day bear a line and a name, so that names stay apart. */
export function hoursTold(days: number, width: number): number[] {
  const pxPerHour = width / (days * 24)
  const every = [1, 2, 3, 6, 12, 24].find((hours) => hours * pxPerHour >= labelPx()) ?? 24
  return Array.from({ length: 24 / every }, (_, at) => at * every)
}

/** Those hours whose names do not run into each other. */
export function apart(hours: Date[], x: (moment: Date) => number): Set<Date> {
  const kept: Date[] = []
  for (const hour of hours) {
    const before = kept.at(-1)
    if (!before || x(hour) - x(before) >= labelPx()) kept.push(hour)
  }
  return new Set(kept)
}

const NEXT_H = 48
/** Room for "Sun 12:00", or for "Sun 12:00 pm". */
const labelPx = () => (chosenClock() === '12' ? 124 : 96)
const FIRST_STEP_MS = 3_600_000
