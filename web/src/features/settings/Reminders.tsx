import { useState } from 'react'
import { askForReminders, remindersAllowed, stopReminders, type Allowed } from '../../lib/reminders'

const SAYS: Record<Allowed, string> = {
  on: 'While a page of Vadouvan is open, this browser tells you when a step needs your hands. Closed, it cannot: then the calendar does.',
  off: 'This browser can tell you when a step needs your hands, while a page of Vadouvan is open.',
  refused:
    'This browser was told not to show reminders; allow them in its settings for this page. Until then write the plan to a calendar: its alarms ring ten minutes ahead.',
  missing:
    'This browser shows no reminders. Write the plan to a calendar instead: its alarms ring ten minutes ahead.',
}

/** Reminders by the browser, and what to do where there are none. */
export function Reminders() {
  const [allowed, setAllowed] = useState(remindersAllowed)
  return (
    <section aria-labelledby="reminders">
      <h2 id="reminders" className="heading">
        reminders
      </h2>
      <p className="py-2" role="status">
        {SAYS[allowed]}
      </p>
      {allowed === 'off' && (
        <button
          type="button"
          className="act"
          onClick={() => {
            void askForReminders().then(setAllowed)
          }}
        >
          Remind me
        </button>
      )}
      {allowed === 'on' && (
        <button
          type="button"
          className="act"
          onClick={() => {
            setAllowed(stopReminders())
          }}
        >
          No reminders
        </button>
      )}
    </section>
  )
}
