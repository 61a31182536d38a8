import { useEffect, useState } from 'react'
import type { Batch, Draft, EventInput } from '../../api/client'
import { useDevices } from '../../api/useDevices'
import { useWeigh } from '../../api/useWeigh'
import { Aside } from './Aside'
import { AtTheScale } from './AtTheScale'
import { Advice } from './Advice'
import { Beside } from './Beside'
import { ContactPanel } from './ContactPanel'
import { InTheMix } from './InTheMix'
import { Tasting } from './Tasting'
import { Tins } from './Tins'
import { useWakeLock } from './useWakeLock'

interface WeighStageProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
  refresh: () => Promise<void>
}

const STEPS = { weigh: 'weigh', taste: 'taste', set_aside: 'set aside', contact: 'contact' } as const

/** Weigh-in: one thing at a time, in an order that cannot be skipped by accident. */
export function WeighStage({ batch, draft, change, refresh }: WeighStageProps) {
  const { weigh, trouble, busy, press: send } = useWeigh(batch.id)
  const [asked, setAsked] = useState<EventInput>()
  const devices = useDevices()
  const number = weigh?.number
  useEffect(() => {
    if (number !== undefined && number > 0) void refresh() // pressed here, or on another device
  }, [number, refresh])
  useWakeLock(weigh !== undefined && weigh.phase !== 'out')
  if (!weigh) return <p>Looking at the counter</p>
  const question = asked && weigh.questions[asked.kind]
  const press = (said: EventInput) => {
    const asks = (weigh.questions[said.kind] ?? '') !== '' && said.sure !== true
    setAsked(asks ? said : undefined)
    return asks ? Promise.resolve(false) : send(said)
  }
  const shared = { weigh, busy, press, devices }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 wide:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        {weigh.contact_at === null && <Where phase={weigh.phase} />}
        {trouble !== '' && (
          <p role="alert" className="my-2 rounded-md border-2 border-stop bg-raised p-3">
            {trouble}
          </p>
        )}
        {weigh.clock_went_back && (
          <p className="my-2 rounded-md border-2 border-warn bg-raised p-3">
            <span aria-hidden>▲ </span>
            This clock was set back. Hours count from the last press until it has caught up.
          </p>
        )}
        {asked && question && (
          <div role="alert" className="my-2 grid gap-2 rounded-md border-2 border-warn bg-raised p-3">
            <p className="text-lg font-semibold">
              <span aria-hidden>▲ </span>
              {question}
            </p>
            <div className="flex flex-wrap gap-3">
              <button
                type="button"
                className="act"
                disabled={busy}
                onClick={() => void press({ ...asked, sure: true })}
              >
                Yes, I am sure
              </button>
              <button
                type="button"
                className="act"
                onClick={() => {
                  setAsked(undefined)
                }}
              >
                No
              </button>
            </div>
          </div>
        )}
        {weigh.phase === 'weigh' && <AtTheScale {...shared} batch={batch} change={change} />}
        {weigh.phase === 'taste' && (
          <>
            <Advice advice={weigh.advice} busy={shared.busy} press={shared.press} change={change} />
            <Tasting {...shared} />
          </>
        )}
        {weigh.phase === 'set_aside' && <Aside {...shared} batch={batch} />}
        {weigh.phase === 'contact' && <ContactPanel {...shared} batch={batch} />}
        {(weigh.phase === 'hold' || weigh.phase === 'out') && (
          <InTheMix {...shared} batch={batch} draft={draft} />
        )}
        <Beside {...shared} batch={batch} />
        {weigh.last_says !== '' && (
          <p className="mt-3 flex flex-wrap items-center gap-3 border-t border-rule pt-2 text-quiet">
            <span>Last: {weigh.last_says}.</span>
            <button
              type="button"
              className="act"
              disabled={busy}
              onClick={() => void press({ kind: 'undone' })}
            >
              Take it back
            </button>
          </p>
        )}
      </div>
      <Tins weigh={weigh} busy={busy} press={press} />
    </div>
  )
}

/** Where in the order it stands. */
function Where({ phase }: { phase: string }) {
  return (
    <ol className="flex flex-wrap gap-x-5 text-quiet" aria-label="Order of the weigh-in">
      {Object.entries(STEPS).map(([name, words]) => (
        <li
          key={name}
          aria-current={name === phase ? 'step' : undefined}
          className="aria-[current]:font-bold aria-[current]:text-ink"
        >
          {words}
        </li>
      ))}
    </ol>
  )
}
