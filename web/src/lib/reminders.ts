import { forget, keep, kept } from './device'

/** Reminders by the browser, while it is open. */
export type Allowed = 'on' | 'off' | 'refused' | 'missing'

const WANTED = 'vadouvan.reminders'

/** Whether reminders are shown, may be asked for, were refused, or do not exist here. */
export function remindersAllowed(): Allowed {
  if (!('Notification' in window)) return 'missing'
  if (Notification.permission === 'denied') return 'refused'
  return Notification.permission === 'granted' && kept(WANTED) === 'yes' ? 'on' : 'off'
}

/** Ask the browser; answers with what it said. */
export async function askForReminders(): Promise<Allowed> {
  if (!('Notification' in window)) return 'missing'
  keep(WANTED, 'yes')
  await Notification.requestPermission()
  return remindersAllowed()
}

export function stopReminders(): Allowed {
  forget(WANTED)
  return remindersAllowed()
}

/** Steps that begin now: each is due from its minute on, and for five minutes at most. */
export function dueNow<Step extends { at: string; hands_on: boolean }>(steps: Step[], now: Date): Step[] {
  return steps.filter((step) => {
    const late = now.getTime() - new Date(step.at).getTime()
    return step.hands_on && late >= 0 && late < 300_000
  })
}
