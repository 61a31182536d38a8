import { Link } from 'wouter'
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
    <header className="flex flex-wrap items-center gap-x-1 bg-band px-2 text-on-band wide:items-stretch wide:gap-x-3 wide:px-5 wide:py-1.5">
      <Link
        to="/"
        className="grid min-h-12 shrink-0 content-center px-2 underline-offset-4 hover:underline max-wide:underline"
      >
        <span className="hidden font-slab text-xl leading-tight wider:block">Vadouvan</span>
        <span className="text-[1rem] leading-tight wider:text-[0.85rem]">
          <span aria-hidden className="max-wide:hidden">
            ‹{' '}
          </span>
          Counter
        </span>
      </Link>
      <div className="min-w-0 grow basis-0 content-center wide:grid wide:basis-34 wider:basis-44">
        <input
          className="min-h-12 w-full border-b-2 border-transparent bg-transparent font-slab text-[1.2rem] text-ellipsis placeholder:text-on-band/70 hover:border-on-band/40 focus:border-on-band wide:min-h-9 wide:text-[1.35rem]"
          aria-label="Name of the dish"
          placeholder="Name the dish"
          title={draft.name}
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
      <nav
        aria-label="Stages"
        className="grid auto-cols-[minmax(6.2rem,1fr)] grid-flow-col gap-1.5 max-wide:order-last max-wide:-mx-2 max-wide:basis-[calc(100%+1rem)] max-wide:overflow-x-auto max-wide:px-2 max-wide:pb-1.5 wide:grow-[3] wide:basis-[30rem] wide:auto-cols-fr wider:basis-[34rem]"
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
      <div className="flex items-center wide:max-wider:grid wide:max-wider:content-center">
        <StepBack batch={batch} settled={status === 'settled'} step={step} />
        <BatchActions identity={batch.id} name={batch.draft.name} />
      </div>
    </header>
  )
}

/** One change back, or forward again. */
function StepBack({ batch, settled, step }: { batch: Batch; settled: boolean; step: HeaderProps['step'] }) {
  const look =
    'min-h-12 cursor-pointer rounded-md px-2 wide:max-wider:min-h-8 underline underline-offset-4 disabled:cursor-default disabled:no-underline disabled:opacity-60'
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
        className={`${look} ${batch.can_redo ? '' : 'max-wide:hidden'}`}
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
