import { useRef, useState } from 'react'
import { calendarAddress } from '../../api/addresses'
import { api } from '../../api/client'
import type { AnswersProps } from './Answers'

/** The plan to a calendar, and times that were moved there back into the plan. */
export function CalendarActions({ batch, change }: Omit<AnswersProps, 'draft'>) {
  const picker = useRef<HTMLInputElement>(null)
  const [answer, setAnswer] = useState('')
  const take = async (file: File) => {
    try {
      const moved = await api.fromCalendar(batch.id, await file.text())
      if (moved.says.length > 0) change(() => moved.draft)
      setAnswer(moved.says.length > 0 ? `Taken over: ${moved.says.join('; ')}.` : 'Nothing was moved there.')
    } catch (error) {
      setAnswer(error instanceof Error ? error.message : String(error))
    }
  }
  return (
    <div className="flex flex-wrap gap-2 py-2">
      <a className="act inline-grid place-items-center" href={calendarAddress(batch.id)} download>
        Write to a calendar
      </a>
      <button type="button" className="act" onClick={() => picker.current?.click()}>
        Take moved times back
      </button>
      <input
        ref={picker}
        type="file"
        accept=".ics,text/calendar"
        className="sr-only"
        tabIndex={-1}
        aria-label="Calendar file"
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) void take(file)
        }}
      />
      {answer !== '' && (
        <p role="status" className="w-full whitespace-pre-line">
          {answer}
        </p>
      )}
    </div>
  )
}
