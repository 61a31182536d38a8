import { usePrefetchQuery } from '@tanstack/react-query'
import { WorkingsContext } from '../components/Working'
import { Suspense } from 'react'
import { Link, useParams } from 'wouter'
import { navigate } from 'wouter/use-browser-location'
import { api, type Batch, type Draft, type Problem } from '../api/client'
import { tablesQuery } from '../api/queries'
import { useBatch, type Side } from '../api/useBatch'
import { PlanRail } from './PlanRail'
import { RailStrip } from './RailStrip'
import { Brought } from './Brought'
import { BatchHeader } from './BatchHeader'
import type { StageName } from './stages'
import { stageNamed, stageRooms } from './stageRooms'
import { useKeys } from '../components/useKeys'
import { useNow } from './useNow'
import { useReminders } from './useReminders'
import { unbroken } from '../lib/unbroken'

/** One batch: stages in work order along the top, the rail along the bottom. */
export function BatchPage() {
  const { identity, stage = 'cut' } = useParams<{ identity: string; stage?: string }>()
  return <OneBatch key={identity} identity={identity} stage={stage} /> // another batch starts anew
}

function OneBatch({ identity, stage }: { identity: string; stage: string }) {
  const { state, change, prefer, giveUp, step, refresh } = useBatch(identity)
  const name = stageNamed(stage)
  useReminders()
  usePrefetchQuery(tablesQuery) // what its rooms choose from comes beside it
  const open = (to: StageName) => {
    navigate(`/batch/${identity}/${to}`)
  }
  useKeys({
    c: () => {
      open('cut')
    },
    x: () => {
      open('mix')
    },
    h: () => {
      open('hold')
    },
    w: () => {
      open('weigh')
    },
    f: () => {
      open('fire')
    },
    t: () => {
      open('taste')
    },
    u: () => void step('undo'),
    r: () => void step('redo'),
    '/': () => document.getElementById('entry-line')?.focus(),
    b: () => {
      navigate('/')
    },
  })
  if (state.status === 'loading')
    return (
      <p className="p-8" data-opening="">
        Opening the batch
      </p>
    )
  if (state.status === 'missing') return <Missing sentence={state.sentence} />
  const Stage = stageRooms[name]
  return (
    <WorkingsContext
      value={{
        key: [identity, state.batch.revision],
        ask: (figure) => api.working(identity, figure),
      }}
    >
      <div className="flex min-h-dvh flex-col">
        <title>{`${state.draft.name || 'Unnamed batch'}, ${name} · Vadouvan`}</title>
        <BatchHeader
          batch={state.batch}
          draft={state.draft}
          status={state.status}
          stage={name}
          change={change}
          step={(way) => void step(way)}
        />
        <main className="grow px-4 py-3 wide:px-7">
          <h1 className="sr-only">
            {state.draft.name || 'Unnamed batch'}: {name}
          </h1>
          <Brought draft={state.draft} change={change} />
          {state.status === 'conflict' && <Conflict clashes={state.clashes} prefer={prefer} />}
          {state.status === 'refused' && (
            <div
              role="alert"
              className="mb-3 flex flex-wrap items-center gap-4 rounded-md border-2 border-stop bg-raised p-3"
            >
              <p className="grow">Not kept. {state.says}</p>
              <button
                type="button"
                className="act"
                onClick={() => {
                  giveUp(state.batch)
                }}
              >
                Back to what is kept
              </button>
            </div>
          )}
          {state.batch.locked && (name === 'cut' || name === 'mix') && (
            <p className="mb-2 border-b border-rule pb-1.5 text-[0.95rem]">
              The meat is in the mix: cut and mix stay as they were weighed. What is added now is noted under
              Weigh-in.
            </p>
          )}
          <Suspense
            fallback={
              <p className="p-4" data-opening="">
                Opening
              </p>
            }
          >
            <Stage batch={state.batch} draft={state.draft} change={change} refresh={refresh} />
          </Suspense>
        </main>
        <Foot
          batch={{ ...state.batch, draft: state.draft }}
          stage={name}
          onMoved={(draft) => {
            change(() => draft)
          }}
        />
      </div>
    </WorkingsContext>
  )
}

interface FootProps {
  batch: Batch
  stage: StageName
  onMoved: (draft: Draft) => void
}

function Foot({ batch, stage, onMoved }: FootProps) {
  const now = useNow()
  return (
    <footer className="low:static sticky bottom-0 z-10 bg-raised">
      {stage !== 'hold' && (
        // At the scale, where there is little room, the button that says that it is in comes first.
        <div aria-live="polite" className={stage === 'weigh' ? 'tight:sr-only' : undefined}>
          <p className="hidden border-t border-rule px-7 py-1.5 text-[1.05rem] wide:block">
            <b>{unbroken(batch.judgement.sentence)}</b>{' '}
            <span className="tight:hidden">{unbroken(batch.judgement.plan_says)}</span>
          </p>
          <p className="border-t border-rule px-4 py-1.5 font-bold wide:hidden">
            {unbroken(batch.judgement.window?.in_short ?? batch.judgement.sentence)}
          </p>
        </div>
      )}
      <RailStrip batches={[batch]}>
        <PlanRail
          batches={[batch]}
          now={now}
          current={batch.id}
          onMoved={(_, draft) => {
            onMoved(draft)
          }}
        />
      </RailStrip>
    </footer>
  )
}

interface ConflictProps {
  clashes: Problem[]
  prefer: (side: Side) => void
}

/** Only what both sides changed is asked about; all other edits of both stand. */
function Conflict({ clashes, prefer }: ConflictProps) {
  return (
    <div
      role="alert"
      className="mb-4 flex flex-wrap items-center gap-4 rounded-md border-2 border-stop bg-raised p-4"
    >
      <div className="grow">
        <p>This was changed elsewhere in the same place while you typed. Which shall stay?</p>
        <ul>
          {clashes.map((clash) => (
            <li key={clash.field}>{clash.wrong}</li>
          ))}
        </ul>
      </div>
      <button
        type="button"
        className="act"
        onClick={() => {
          prefer('theirs')
        }}
      >
        What stands elsewhere
      </button>
      <button
        type="button"
        className="act act-first"
        onClick={() => {
          prefer('mine')
        }}
      >
        What is on this screen
      </button>
    </div>
  )
}

function Missing({ sentence }: { sentence: string }) {
  return (
    <main className="p-8">
      <p className="mb-4 text-xl">{sentence}</p>
      <Link className="act inline-grid place-items-center" to="/">
        To the counter
      </Link>
    </main>
  )
}
