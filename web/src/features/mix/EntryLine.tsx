import { useAttempt } from '../../api/useAttempt'
import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { lineQuery } from '../../api/queries'
import { Badge } from '../../components/Badge'
import { api, type Pasted } from '../../api/client'
import { Meant } from '../../components/Said'
import { useHeldField } from '../../components/useHeld'
import { WhichMix } from '../../components/WhichMix'

/** The one line of text entry; a pasted list becomes a line for each ingredient, two mixes are asked about. */
export function EntryLine({
  batchId,
  meatG,
  onEnter,
}: {
  batchId: string
  /** What amounts for each kilogram, and usual doses, are worked out for. */
  meatG: number | undefined
  onEnter: (texts: string[], beside?: Pasted['companions']) => void
}) {
  const { text, set: setText } = useHeldField('entry', batchId)
  const [several, setSeveral] = useState<Pasted>()
  const { attempt, trouble } = useAttempt()
  const [leftOut, setLeftOut] = useState('')
  const looked = useDeferredValue(text)
  const reading = useQuery(lineQuery(looked, meatG))
  const answer = text === '' ? undefined : reading.data
  const paste = (pasted: string) =>
    attempt(async () => {
      const found = await api.pasted(pasted)
      const meat =
        found.meat.length > 0 ? `Left out, the meat stands under Cut: ${found.meat.join('; ')}.` : ''
      const others = [found.name, ...found.left_out].filter(Boolean)
      const more = others.length > 0 ? `Left out: ${others.join('; ')}` : ''
      setLeftOut([...found.told, meat, more].filter(Boolean).join(' '))
      if (found.mixes.length > 1) setSeveral(found)
      else
        onEnter(
          found.mixes.flatMap((mix) => mix.lines),
          found.companions,
        )
    })
  return (
    <form
      className="mt-3 rounded-md border-2 border-enamel bg-raised px-4 py-2 focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-enamel print:hidden"
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim() === '') return
        // A line that holds several ingredients becomes a line for each, if it is this line that was read.
        const items = looked === text ? (reading.data?.items ?? []) : []
        onEnter(items.length > 0 ? items.map((one) => one.text) : [text.trim()])
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
            const pasted = event.clipboardData.getData('text')
            if (!pasted.trim().includes('\n')) return
            event.preventDefault()
            void paste(pasted)
          }}
        />
        <button type="submit" className="act">
          Add
        </button>
      </div>
      <p
        id="entry-reading"
        className={`flex items-center gap-2 text-quiet ${answer ? 'min-h-6' : 'wide:min-h-6 short:min-h-0'}`}
        aria-live="polite"
      >
        {answer === undefined && (
          <span className="short:hidden">
            An amount and an ingredient, as you would say it; a pasted list works too.
          </span>
        )}
        {answer?.problem && `${answer.problem.wrong} ${answer.problem.accepted}`}
        {answer &&
          answer.items.length > 0 &&
          answer.items.map((one) => `${one.shown} ${one.name}`).join(' · ')}
        {answer && !answer.problem && answer.items.length === 0 && (
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
      {answer?.problem && (
        <Meant
          choices={answer.problem.choices}
          onTake={(meant) => {
            onEnter([meant])
            setText('')
          }}
        />
      )}
      {trouble + leftOut !== '' && <p role="alert">{trouble || leftOut}</p>}
      {several && (
        <WhichMix
          mixes={several.mixes}
          onTake={(lines) => {
            setSeveral(undefined)
            onEnter(lines, several.companions)
          }}
        />
      )}
    </form>
  )
}
