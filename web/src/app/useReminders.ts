import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useRef } from 'react'
import { todayQuery } from '../api/queries'
import { dueNow, remindersAllowed } from '../lib/reminders'
import { useNow } from './useNow'

/** Shows a reminder when a step that needs hands begins, on any page that is open. */
export function useReminders(): void {
  const now = useNow()
  // Asked once a minute, and not at every drawing: a browser takes milliseconds to say so.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const wanted = useMemo(() => remindersAllowed() === 'on', [now])
  const today = useQuery({ ...todayQuery(24), enabled: wanted })
  const shown = useRef(new Set<string>())
  useEffect(() => {
    if (!today.data || remindersAllowed() !== 'on') return
    for (const step of dueNow(today.data.steps, now)) {
      const tag = `${step.batch_id} ${step.step_id} ${step.at}`
      if (shown.current.has(tag)) continue
      shown.current.add(tag)
      new Notification(step.batch, { body: `${step.hour}: ${step.says}`, tag })
    }
  }, [now, today.data])
}
