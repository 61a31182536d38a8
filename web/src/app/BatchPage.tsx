import { Link, useNavigate, useParams } from 'react-router'
import type { Batch, Draft } from '../api/client'
import { useBatch, type BatchState } from '../api/useBatch'
import { PlanRail } from './PlanRail'
import { CutStage } from '../features/cut/CutStage'
import { HoldStage } from '../features/hold/HoldStage'
import { MixStage } from '../features/mix/MixStage'
import { BatchActions } from './BatchActions'
import { StageTin } from './StageTin'
import { useKeys } from './keys'
import { useNow } from './useNow'

const stages = { cut: CutStage, mix: MixStage, hold: HoldStage }
type StageName = keyof typeof stages

/** One batch: stages in work order along the top, the rail along the bottom. */
export function BatchPage() {
  const { identity = '', stage = 'cut' } = useParams()
  const { state, change, takeNewer, keepMine, step } = useBatch(identity)
  const name: StageName = stage in stages ? (stage as StageName) : 'cut'
  const go = useNavigate()
  const open = (to: StageName) => void go(`/batch/${identity}/${to}`)
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
    u: () => void step('undo'),
    r: () => void step('redo'),
    '/': () => document.getElementById('entry-line')?.focus(),
    b: () => void go('/'),
  })
  if (state.status === 'loading') return <p className="p-8">Opening the batch</p>
  if (state.status === 'missing') return <Missing sentence={state.sentence} />
  const Stage = stages[name]
  return (
    <div className="flex min-h-dvh flex-col">
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
        {state.status === 'conflict' && <Conflict state={state} takeNewer={takeNewer} keepMine={keepMine} />}
        <Stage batch={state.batch} draft={state.draft} change={change} />
      </main>
      <Foot batch={state.batch} stage={name} />
    </div>
  )
}

interface HeaderProps {
  batch: Batch
  draft: Draft
  status: BatchState['status']
  stage: StageName
  change: (typed: (draft: Draft) => Draft) => void
  step: (way: 'undo' | 'redo') => void
}

function BatchHeader({ batch, draft, status, stage, change, step }: HeaderProps) {
  const { piece, ingredients, salt_says, window, problems } = batch.judgement
  const wrongIn = (room: string) => problems.filter((problem) => problem.field.startsWith(room)).length
  const words = {
    cut:
      wrongIn('cut') > 0
        ? 'to mend'
        : piece
          ? `${(piece.meat_g / 1000).toFixed(1)} kg, ${piece.thickness_mm.toFixed(0)} mm`
          : 'not said',
    mix:
      wrongIn('mix') > 0
        ? 'to mend'
        : ingredients.length === 0
          ? 'empty'
          : (salt_says ?? `${ingredients.length} ingredients`),
    hold:
      wrongIn('hold') + wrongIn('meal') > 0
        ? 'to mend'
        : window
          ? window.closed
            ? 'no good time'
            : `${window.earliest.shown} to ${window.latest.shown}`
          : 'not judged',
  }
  return (
    <header className="flex flex-wrap items-stretch gap-x-5 gap-y-2 bg-band px-4 py-2 text-on-band wide:px-5">
      <Link
        to="/"
        className="hidden place-items-center font-slab text-xl wide:grid"
        aria-label="Vadouvan, to the counter"
      >
        Vadouvan
      </Link>
      <input
        className="min-h-12 min-w-28 grow basis-full wide:basis-28 border-b-2 border-transparent bg-transparent font-slab text-[1.35rem] placeholder:text-on-band/70 hover:border-on-band/40 focus:border-on-band"
        aria-label="Name of the dish"
        placeholder="Name the dish"
        value={draft.name}
        onChange={(event) => {
          change((was) => ({ ...was, name: event.target.value }))
        }}
      />
      <p
        className={`self-center text-[0.95rem] ${status === 'settled' ? 'max-wide:sr-only' : ''} ${status === 'unreachable' || status === 'conflict' ? 'font-bold underline' : ''}`}
        role="status"
      >
        {saving[status]}
      </p>
      <Link to="/" className="grid min-h-12 place-items-center px-2 underline underline-offset-4 wide:hidden">
        Counter
      </Link>
      <nav aria-label="Stages" className="flex grow basis-96 gap-2 max-wide:order-last max-wide:basis-full">
        <StageTin to={`/batch/${batch.id}/cut`} title="Cut" words={words.cut} current={stage === 'cut'} />
        <StageTin to={`/batch/${batch.id}/mix`} title="Mix" words={words.mix} current={stage === 'mix'} />
        <StageTin to={`/batch/${batch.id}/hold`} title="Hold" words={words.hold} current={stage === 'hold'} />
      </nav>
      <StepBack batch={batch} settled={status === 'settled'} step={step} />
      <BatchActions batch={batch} />
    </header>
  )
}

/** One change back, or forward again. */
function StepBack({ batch, settled, step }: { batch: Batch; settled: boolean; step: HeaderProps['step'] }) {
  const look =
    'min-h-12 cursor-pointer rounded-md px-2 underline underline-offset-4 disabled:cursor-default disabled:no-underline disabled:opacity-60'
  return (
    <div className="flex items-center">
      <button
        type="button"
        className={look}
        disabled={!settled || !batch.can_undo}
        onClick={() => {
          step('undo')
        }}
      >
        Undo
      </button>
      <button
        type="button"
        className={look}
        disabled={!settled || !batch.can_redo}
        onClick={() => {
          step('redo')
        }}
      >
        Redo
      </button>
    </div>
  )
}

const saving: Record<BatchState['status'], string> = {
  loading: '',
  missing: '',
  settled: 'All kept',
  changed: 'Keeping',
  saving: 'Keeping',
  unreachable: 'The kitchen does not answer. What you typed is held on this device; trying again.',
  conflict: 'Not kept yet',
}

function Foot({ batch, stage }: { batch: Batch; stage: StageName }) {
  const now = useNow()
  return (
    <footer className="sticky bottom-0 z-10 bg-raised">
      {stage !== 'hold' && (
        <>
          <p className="hidden border-t border-rule px-7 py-1.5 text-[1.05rem] wide:block">
            <b>{batch.judgement.sentence}</b> {batch.judgement.plan_says}
          </p>
          <p className="border-t border-rule px-4 py-1.5 font-bold wide:hidden">
            {batch.judgement.window?.in_short ?? batch.judgement.sentence}
          </p>
        </>
      )}
      <div className="hidden wide:block">
        <PlanRail batches={[batch]} now={now} current={batch.id} />
      </div>
    </footer>
  )
}

interface ConflictProps {
  state: Extract<BatchState, { status: 'conflict' }>
  takeNewer: (newer: Batch) => void
  keepMine: (newer: Batch, mine: Draft) => void
}

function Conflict({ state, takeNewer, keepMine }: ConflictProps) {
  return (
    <div
      role="alert"
      className="mb-4 flex flex-wrap items-center gap-4 rounded-md border-2 border-stop bg-raised p-4"
    >
      <p className="grow">This batch was changed elsewhere while you typed. Which one shall stay?</p>
      <button
        type="button"
        className="act"
        onClick={() => {
          takeNewer(state.newer)
        }}
      >
        The one from elsewhere
      </button>
      <button
        type="button"
        className="act act-first"
        onClick={() => {
          keepMine(state.newer, state.draft)
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
