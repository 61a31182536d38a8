import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { lineQuery } from '../../api/queries'
import { Badge } from '../../components/Badge'
import { linesOf } from '../../lib/draft'

/** The one line of text entry; a pasted list becomes a line for each ingredient. */
export function EntryLine({ onEnter }: { onEnter: (texts: string[]) => void }) {
  const [text, setText] = useState('')
  const reading = useQuery(lineQuery(useDeferredValue(text)))
  const answer = text === '' ? undefined : reading.data
  return (
    <form
      className="mt-3 rounded-md border-2 border-enamel bg-raised px-4 py-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim() === '') return
        onEnter([text.trim()])
        setText('')
      }}
    >
      <div className="flex items-center gap-3">
        <input
          id="entry-line"
          className="min-h-12 min-w-0 grow bg-transparent text-[1.2rem] outline-none placeholder:text-quiet"
          aria-label="Add an ingredient"
          aria-describedby="entry-reading"
          placeholder="2 tbsp cider vinegar"
          autoComplete="off"
          value={text}
          onChange={(event) => {
            setText(event.target.value)
          }}
          onPaste={(event) => {
            const lines = linesOf(event.clipboardData.getData('text'))
            if (lines.length < 2) return
            event.preventDefault()
            onEnter(lines)
          }}
        />
        <button type="submit" className="act">
          Add
        </button>
      </div>
      <p id="entry-reading" className="flex min-h-6 items-center gap-2 text-quiet" aria-live="polite">
        {answer === undefined && 'An amount and an ingredient, as you would say it; a pasted list works too.'}
        {answer?.problem && `${answer.problem.wrong} ${answer.problem.accepted}`}
        {answer && !answer.problem && (
          <>
            <b className="text-ink">{answer.shown}</b> {answer.name}
            {answer.guessed && answer.band_shown !== null && (
              <span className="text-warn">guess, {answer.band_shown}</span>
            )}
            {(answer.salt_g ?? 0) >= 0.1 && (
              <>
                <Badge substance="salt" /> {answer.salt_g?.toFixed(1)} g salt
              </>
            )}
          </>
        )}
      </p>
    </form>
  )
}
