import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Week } from '../../api/client'
import { weekQuery } from '../../api/queries'
import { useKeep } from '../../api/useKeep'
import { useKeptOnLeaving } from '../../components/useKeptOnLeaving'
import { Said } from '../../components/Said'
import { isSame, onceTaken } from '../../lib/same'
import { Tick } from '../../components/Tick'

const DAYS = [
  { id: 'mon', name: 'Monday' },
  { id: 'tue', name: 'Tuesday' },
  { id: 'wed', name: 'Wednesday' },
  { id: 'thu', name: 'Thursday' },
  { id: 'fri', name: 'Friday' },
  { id: 'sat', name: 'Saturday' },
  { id: 'sun', name: 'Sunday' },
]

/** When hands are not free. */
export function WeekForm() {
  const kept = useQuery(weekQuery)
  return kept.data ? <Form start={kept.data} /> : <p>Looking it up</p>
}

function Form({ start }: { start: Week }) {
  const [week, setWeek] = useState(start)
  const [since, setSince] = useState(start)
  const { answer, fault, keep, quiet } = useKeep()
  const form = useKeptOnLeaving(answer === '' && !isSame(week, since))
  const say = (changed: Partial<Week>) => {
    setWeek((was) => ({ ...was, ...changed }))
    quiet()
  }
  const field = (
    name: 'sleep_from' | 'sleep_to' | 'work_from' | 'work_to',
    question: string,
    hint: string,
  ) => (
    <Said
      question={question}
      stack
      value={week[name]}
      placeholder={hint}
      fault={fault(name)}
      onType={(text) => {
        say({ [name]: text })
      }}
    />
  )
  return (
    <form
      ref={form}
      aria-label="Your week"
      onSubmit={(event) => {
        event.preventDefault()
        void keep(async (prefer) => {
          const kept = await api.keepWeek({ ...week, since, prefer })
          setSince(kept)
          setWeek(onceTaken(week, kept))
        }, 'Kept. Every plan is made around it.')
      }}
    >
      <h2 className="heading">when your hands are not free</h2>
      <p className="py-2">No step that needs hands is planned into these hours.</p>
      <div className="grid grid-cols-2 gap-x-6">
        {field('sleep_from', 'Sleep from', '23:00')}
        {field('sleep_to', 'to', '06:30')}
        {field('work_from', 'At work from', 'empty: not away')}
        {field('work_to', 'until', '16:30')}
      </div>
      <fieldset className="pt-2">
        <legend className="text-[0.92rem] text-quiet">on</legend>
        <div className="flex flex-wrap gap-x-6">
          {DAYS.map((day) => (
            <Tick
              key={day.id}
              ticked={week.work_days.includes(day.id)}
              onTick={(ticked) => {
                const others = week.work_days.filter((one) => one !== day.id)
                say({ work_days: ticked ? [...others, day.id] : others })
              }}
            >
              {day.name}
            </Tick>
          ))}
        </div>
      </fieldset>
      <Said
        question="Away besides"
        stack
        placeholder="sat 14:00 to 17:00"
        hint='every week, or once: "2026-12-05 09:00 to 12:00"; commas between'
        value={week.away}
        fault={fault('away')}
        onType={(away) => {
          say({ away })
        }}
      />
      <button type="submit" className="act act-first mt-4">
        Keep this week
      </button>
      {answer !== '' && (
        <p role="status" className="mt-3 whitespace-pre-line">
          {answer}
        </p>
      )}
    </form>
  )
}
