import { Link } from 'react-router'
import type { Batch, Draft } from '../api/client'
import type { BatchState } from '../api/useBatch'
import { BatchActions } from './BatchActions'
import { StageTin } from './StageTin'
import { STAGES, stageWords, type StageName } from './stages'

interface HeaderProps {
  batch: Batch
  draft: Draft
  status: BatchState['status']
  stage: StageName
  change: (typed: (draft: Draft) => Draft) => void
  step: (way: 'undo' | 'redo') => void
}

/** The strip on top: the dish, whether it is kept, and the stages with their state. */
export function BatchHeader({ batch, draft, status, stage, change, step }: HeaderProps) {
  const words = stageWords(batch)
  return (
    <header className="flex flex-wrap items-stretch gap-x-4 gap-y-1.5 bg-band px-4 py-1.5 text-on-band wide:px-5">
      <Link
        to="/"
        className="hidden place-items-center font-slab text-xl wide:grid"
        aria-label="Vadouvan, to the counter"
      >
        Vadouvan
      </Link>
      <div className="min-w-40 grow basis-full content-center wide:grid wide:basis-36">
        <input
          className="min-h-12 w-full border-b-2 wide:min-h-9 border-transparent bg-transparent font-slab text-[1.35rem] placeholder:text-on-band/70 hover:border-on-band/40 focus:border-on-band"
          aria-label="Name of the dish"
          placeholder="Name the dish"
          value={draft.name}
          onChange={(event) => {
            change((was) => ({ ...was, name: event.target.value }))
          }}
        />
        <p
          className={`text-[0.85rem] leading-tight ${status === 'settled' ? 'max-wide:sr-only' : ''} ${['unreachable', 'refused', 'conflict'].includes(status) ? 'font-bold underline' : ''}`}
          role="status"
        >
          {saving[status]}
        </p>
      </div>
      <Link to="/" className="grid min-h-12 place-items-center px-2 underline underline-offset-4 wide:hidden">
        Counter
      </Link>
      <nav
        aria-label="Stages"
        className="grid grow-[3] basis-[34rem] auto-cols-fr gap-1.5 max-wide:grid-cols-3 wide:grid-flow-col max-wide:order-last max-wide:basis-full"
      >
        {STAGES.map(({ name, title }) => (
          <StageTin
            key={name}
            to={`/batch/${batch.id}/${name}`}
            title={title}
            words={words[name]}
            current={stage === name}
          />
        ))}
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
  refused: 'Not kept',
  conflict: 'Not kept yet',
}
