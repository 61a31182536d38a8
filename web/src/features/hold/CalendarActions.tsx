import { toldOf } from '../../api/answered'
import { useState } from 'react'
import { calendarAddress } from '../../api/addresses'
import { api } from '../../api/client'
import { FileButton } from '../../components/FileButton'
import type { AnswersProps } from './Answers'

/** The plan to a calendar, and times that were moved there back into the plan. */
export function CalendarActions({ batch, change }: Omit<AnswersProps, 'draft'>) {
  const [answer, setAnswer] = useState('')
  const take = async (file: File) => {
    try {
      const moved = await api.fromCalendar(batch.id, await file.text())
      if (moved.says.length > 0) change(() => moved.draft)
      setAnswer(moved.says.length > 0 ? `Taken over: ${moved.says.join('; ')}.` : 'Nothing was moved there.')
    } catch (error) {
      setAnswer(toldOf(error))
    }
  }
  return (
    <div className="flex flex-wrap gap-2 py-2">
      <a className="act inline-grid place-items-center" href={calendarAddress(batch.id)} download>
        Write to a calendar
      </a>
      <FileButton name="Calendar file" accept=".ics,text/calendar" onFile={(file) => void take(file)}>
        Take moved times back
      </FileButton>
      {answer !== '' && (
        <p role="status" className="w-full whitespace-pre-line">
          {answer}
        </p>
      )}
    </div>
  )
}
