import { toldOf } from '../../api/answered'
import { useState } from 'react'
import { Link } from 'wouter'
import { labelPaper } from '../../api/addresses'
import { api, type Batch, type Draft } from '../../api/client'
import { useHeldField } from '../../components/useHeld'
import { told } from '../../lib/clock'
import { onceTaken } from '../../lib/same'
import { probeTold, warmthSaid, warmthTold, weightTold } from '../../lib/told'
import type { AtCounter } from './shared'

interface InTheMixProps extends AtCounter {
  batch: Batch
  draft: Draft
}

/** While it is in the mix: whether it may come out, turns, the fridge, what was added, the label. */
export function InTheMix({ weigh, busy, press, devices, batch, draft }: InTheMixProps) {
  const zone = draft.meal.time_zone || undefined
  const hour = (at: string) => told(new Date(at), zone)
  const turns = batch.judgement.plan?.steps.filter((step) => step.kind === 'turn') ?? []
  const next = turns[weigh.turned_at.length]
  const out = weigh.pulled_at !== null
  return (
    <section aria-label="In the mix" className="grid gap-4">
      <h2 className="font-slab text-[2.2rem] leading-tight">
        {out ? `Out since ${hour(weigh.pulled_at ?? '')}` : `In since ${hour(weigh.contact_at ?? '')}`}
      </h2>
      {!out && (
        <>
          <p className="text-[1.4rem] leading-snug font-semibold" aria-live="polite">
            {batch.judgement.pull_now || batch.judgement.plan_says || batch.judgement.sentence}
          </p>
          <div className="flex flex-wrap gap-3">
            <button
              type="button"
              className={`act min-h-16! px-8! text-xl ${weigh.questions.pulled ? '' : 'act-first'}`}
              disabled={busy}
              onClick={() => void press({ kind: 'pulled' })}
            >
              It is out
            </button>
            <button
              type="button"
              className="act min-h-16!"
              disabled={busy}
              onClick={() => void press({ kind: 'turned' })}
            >
              Turned{next ? ` (due ${hour(next.at)})` : ''}
            </button>
          </div>
          <Fridge weigh={weigh} busy={busy} press={press} devices={devices} />
          <Later busy={busy} press={press} batch={batch} />
        </>
      )}
      {out && (
        <p className="text-[1.2rem]">
          {batch.judgement.plan_says}{' '}
          <Link to={`/batch/${batch.id}/fire`} className="underline underline-offset-4">
            Go on at the fire
          </Link>
        </p>
      )}
      <ol aria-label="What happened" className="text-[0.95rem]">
        {weigh.turned_at.map((at) => (
          <li key={at}>{hour(at)}: turned</li>
        ))}
        {weigh.fridge.map((one) => (
          <li key={one.at}>
            {hour(one.at)}: fridge at {warmthTold(one.celsius)}
          </li>
        ))}
        {weigh.later.map((one) => (
          <li key={one.at}>
            {hour(one.at)}: {weightTold(one.mass_g)} {one.words} added later; judged as if from the start
          </li>
        ))}
      </ol>
      <LabelActions identity={batch.id} />
    </section>
  )
}

function Fridge({ weigh, busy, press, devices }: AtCounter) {
  const [typed, setTyped] = useState('')
  const fridge = devices.readings?.fridge
  const shown = fridge?.value ?? null
  const given = typed.trim() !== '' || shown !== null
  return (
    <div className="flex flex-wrap items-center gap-3 border-t border-rule pt-2">
      <span>
        {shown === null
          ? devices.broken || fridge?.state === 'unplugged'
            ? 'The fridge thermometer does not answer.'
            : 'Looking at the fridge.'
          : `The fridge is at ${probeTold(shown)}.`}
      </span>
      <label className="flex items-center gap-2">
        <span>or type it</span>
        <input
          className="said w-24!"
          inputMode="decimal"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value)
          }}
        />
      </label>
      <button
        type="button"
        className="act"
        disabled={busy || !given || weigh.contact_at === null}
        onClick={() =>
          void press({
            kind: 'fridge',
            ...(typed.trim() === '' ? { celsius: shown } : { degrees: warmthSaid(typed) }),
          }).then((kept) => {
            if (kept) setTyped(onceTaken(typed, ''))
          })
        }
      >
        Note it
      </button>
    </div>
  )
}

function Later({ busy, press, batch }: Pick<AtCounter, 'busy' | 'press'> & { batch: Batch }) {
  const grams = useHeldField('later-grams', batch.id)
  const words = useHeldField('later-words', batch.id)
  return (
    <form
      className="flex flex-wrap items-center gap-3 border-t border-rule pt-2"
      onSubmit={(event) => {
        event.preventDefault()
        void press({ kind: 'later', mass: grams.text, words: words.text }).then((kept) => {
          if (!kept) return
          grams.taken()
          words.taken()
        })
      }}
    >
      <span>Added later:</span>
      <input
        className="said w-24!"
        inputMode="decimal"
        placeholder="15 g"
        aria-label="Grams added later"
        value={grams.text}
        onChange={(event) => {
          grams.set(event.target.value)
        }}
      />
      <input
        className="said w-56!"
        placeholder="lemon juice"
        aria-label="What was added later"
        value={words.text}
        onChange={(event) => {
          words.set(event.target.value)
        }}
      />
      <button type="submit" className="act" disabled={busy}>
        Note it as later
      </button>
    </form>
  )
}

function LabelActions({ identity }: { identity: string }) {
  const [answer, setAnswer] = useState('')
  const print = async () => {
    try {
      setAnswer((await api.printLabel(identity)).says)
    } catch (error) {
      setAnswer(toldOf(error))
    }
  }
  return (
    <div className="flex flex-wrap items-center gap-3 border-t border-rule pt-2">
      <button type="button" className="act" onClick={() => void print()}>
        Print the label
      </button>
      <a className="act inline-grid place-items-center" href={labelPaper(identity)}>
        The label as PDF
      </a>
      <span role="status">{answer}</span>
    </div>
  )
}
