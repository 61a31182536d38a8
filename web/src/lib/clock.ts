/** Moments placed on a rail and told in the cook's own time zone. */
const HOUR_MS = 3_600_000

export const hoursLater = (moment: Date, hours: number) => new Date(moment.getTime() + hours * HOUR_MS)

const THIS_WEEK_H = 144

/** "Sat 19:00", in the zone of the batch where one is known; with its date where it could be another week's. */
export function told(moment: Date, timeZone?: string, now = new Date()): string {
  const far = Math.abs(moment.getTime() - now.getTime()) >= THIS_WEEK_H * HOUR_MS
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    ...(far ? { day: 'numeric', month: 'short' } : {}),
    hour: '2-digit',
    minute: '2-digit',
    ...(timeZone ? { timeZone } : {}),
  })
    .format(moment)
    .replaceAll(',', '')
}

/** Whole local hours of a given kind between two moments, such as every midnight. */
export function hoursOfDay(from: Date, to: Date, wanted: number[]): Date[] {
  const found: Date[] = []
  const cursor = new Date(from)
  cursor.setMinutes(0, 0, 0)
  while (cursor <= to) {
    if (cursor >= from && wanted.includes(cursor.getHours())) found.push(new Date(cursor))
    cursor.setHours(cursor.getHours() + 1)
  }
  return found
}
