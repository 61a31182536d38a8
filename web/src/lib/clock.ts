import { chosenClock } from './units'

/** Moments placed on a rail and told in the cook's own time zone. */
const HOUR_MS = 3_600_000

export const hoursLater = (moment: Date, hours: number) => new Date(moment.getTime() + hours * HOUR_MS)

/** How an hour is told on this device: "19:00", or "7:00 pm". */
const hourAndMinute = (): Intl.DateTimeFormatOptions =>
  chosenClock() === '12'
    ? { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' }
    : { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }

/** The hour of a moment alone, in the zone of the batch where one is known. */
export const hourTold = (moment: Date, timeZone?: string) =>
  formatter(hourAndMinute(), timeZone).format(moment)

const THIS_WEEK_DAYS = 6
const DAY_MS = 24 * HOUR_MS

const formatters = new Map<string, Intl.DateTimeFormat>()

/** A way to tell moments, made once for all that ask for the same: making one costs more than telling with it. */
function formatter(options: Intl.DateTimeFormatOptions, timeZone?: string): Intl.DateTimeFormat {
  const wanted = { ...options, ...(timeZone ? { timeZone } : {}) }
  const key = JSON.stringify(wanted)
  const known = formatters.get(key)
  if (known !== undefined) return known
  const made = new Intl.DateTimeFormat('en-GB', wanted)
  formatters.set(key, made)
  return made
}

/** The day of a moment in a zone, counted from any fixed one. */
function dayCount(moment: Date, timeZone?: string): number {
  const [day = 0, month = 1, year = 0] = formatter(
    { day: '2-digit', month: '2-digit', year: 'numeric' },
    timeZone,
  )
    .format(moment)
    .split('/')
    .map(Number)
  return Date.UTC(year, month - 1, day) / DAY_MS
}

/** "Sat 19:00", in the zone of the batch where one is known; with its date where it could be another week's. */
export function told(moment: Date, timeZone?: string, now = new Date()): string {
  const far = Math.abs(dayCount(moment, timeZone) - dayCount(now, timeZone)) >= THIS_WEEK_DAYS
  const day = far ? ({ day: 'numeric', month: 'short' } as const) : {}
  return formatter({ weekday: 'short', ...day, ...hourAndMinute() }, timeZone)
    .format(moment)
    .replaceAll(',', '')
}

/** When a batch goes in and comes out, and its meal: "in Sat 07:00, out Sat 17:40, meal Sat 19:00". */
export function momentsTold(contact: Date, pull: Date, meal: Date, timeZone?: string): string {
  return `in ${told(contact, timeZone)}, out ${told(pull, timeZone)}, meal ${told(meal, timeZone)}`
}

/** The day of a moment in a zone: "Sat 5 Dec". */
export function dayOf(moment: Date, timeZone?: string): string {
  return formatter({ weekday: 'short', day: 'numeric', month: 'short' }, timeZone)
    .format(moment)
    .replaceAll(',', '')
}

const QUARTER_MS = HOUR_MS / 4

/** Whole hours of a given kind between two moments, such as every midnight, in a zone; by quarters, as zones differ. */
export function hoursOfDay(from: Date, to: Date, wanted: number[], timeZone?: string): Date[] {
  const clock = formatter({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }, timeZone)
  const tops = wanted.map((hour) => `${String(hour).padStart(2, '0')}:00`)
  const found: Date[] = []
  for (let at = Math.ceil(from.getTime() / QUARTER_MS) * QUARTER_MS; at <= to.getTime(); at += QUARTER_MS) {
    if (tops.includes(clock.format(at))) found.push(new Date(at))
  }
  return found
}

/** The browser's own zone, for a batch that has none yet. */
export const localZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone

/** A day that was, "2026-11-17", as it is told: "17 Nov 2026"; what is no day as it is. */
export function dayTold(day: string): string {
  const at = new Date(`${day}T00:00Z`)
  return Number.isNaN(at.getTime())
    ? day
    : formatter({ day: 'numeric', month: 'short', year: 'numeric' }, 'UTC').format(at)
}

/** A moment as a draft keeps it, told with its date: "Sat 5 Dec 19:00". */
export function toldLocal(moment: string): string {
  const at = new Date(`${moment}Z`)
  if (Number.isNaN(at.getTime())) return moment
  const day = formatter({ weekday: 'short', day: 'numeric', month: 'short' }, 'UTC').format(at)
  return `${day.replace(',', '')} ${hourTold(at, 'UTC')}`
}
