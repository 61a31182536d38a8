import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'wouter'
import { navigate } from 'wouter/use-browser-location'
import { api, type Batch } from '../../api/client'
import { batchesQuery, unreadQuery } from '../../api/queries'
import { FileButton } from '../../components/FileButton'
import { told } from '../../lib/clock'
import { BLANK } from '../../lib/draft'
import { bySoon } from '../timelineRows'
import { Examples, FromExample } from './Examples'
import { SmallSection } from '../../components/SmallSection'
import { useKeys } from '../../components/useKeys'
import { PasteList } from './PasteList'
import { Together } from './Together'
import { unbroken } from '../../lib/unbroken'

/** Making batches from nothing, from a pasted list or from a file, and opening what was made. */
export function useStart() {
  const { once, trouble } = useAttempt()
  const queries = useQueryClient()
  const open = (make: () => Promise<Batch>, stage: string) =>
    once(async () => {
      const batch = await make()
      await askAnew(queries, 'batches')
      navigate(`/batch/${batch.id}/${stage}`)
    })
  /** A text becomes a batch; what could not be taken over is told on its page. */
  const bring = (text: string, stage: string) =>
    once(async () => {
      const brought = await api.fromFile(text)
      await askAnew(queries, 'batches')
      navigate(`/batch/${brought.batch.id}/${stage}`, {
        state: { notes: brought.notes, asks: brought.asks ?? undefined },
      })
    })
  return {
    trouble,
    fromNothing: () => open(() => api.make(BLANK), 'cut'),
    fromText: (text: string) => bring(text, 'mix'),
    fromFile: async (file: File) => {
      await bring(await file.text(), 'cut')
    },
    fromExample: (id: string) => open(() => api.startExample(id), 'mix'),
  }
}

/** Counter: what needs hands next, the batches in hand, and the ways to start one. */
export function CounterPage() {
  const batches = useQuery(batchesQuery)
  const start = useStart()
  useKeys({ n: () => void start.fromNothing() })
  if (batches.isPending) return <p className="p-8">Looking at the counter</p>
  if (batches.isError)
    return (
      <p className="p-8 text-stop" role="alert">
        The kitchen does not answer. Start it again with make run; nothing is lost.
      </p>
    )
  return (
    <div className="grid gap-8 px-4 py-5 wide:grid-cols-[minmax(0,1fr)_22rem] wide:px-7">
      <section aria-labelledby="next">
        <Unread />
        <h2 id="next" className={batches.data.length === 0 ? 'heading' : 'sr-only'}>
          {batches.data.length === 0 ? 'nothing on the counter yet' : 'what needs hands next'}
        </h2>
        {batches.data.length === 0 ? (
          <Examples onStart={(id) => void start.fromExample(id)} />
        ) : (
          bySoon(batches.data).map(({ soon, batches }) => (
            <section key={soon} aria-labelledby={soon}>
              <h3 id={soon} className="pt-1 text-quiet">
                {GROUPS[soon]}
              </h3>
              <ul>
                {batches.map((batch) => (
                  <BatchRow key={batch.id} batch={batch} />
                ))}
              </ul>
            </section>
          ))
        )}
      </section>
      <div className="grid content-start gap-4 max-wide:contents">
        <div className="max-wide:order-first empty:hidden">{batches.data.length > 1 && <Together />}</div>
        <section aria-labelledby="begin" className="grid content-start gap-3">
          <h2 id="begin" className="heading">
            begin
          </h2>
          <button type="button" className="act act-first" onClick={() => void start.fromNothing()}>
            Start a batch
          </button>
          <PasteList onPaste={start.fromText} />
          <FileButton
            name="Batch file, recipe or list"
            accept=".json,.jsonld,.txt,.md,.html,application/json,application/ld+json,text/plain"
            onFile={(file) => void start.fromFile(file)}
          >
            Read a file
          </FileButton>
          {batches.data.length > 0 && <FromExample onStart={(id) => void start.fromExample(id)} />}
          {batches.data.length > 0 && (
            <Link to="/today" className="grid min-h-12 items-center underline underline-offset-4">
              Today&rsquo;s list and bag labels, to print
            </Link>
          )}
          {start.trouble !== '' && (
            <p role="alert" className="whitespace-pre-line rounded-md border-2 border-stop p-3">
              {start.trouble}
            </p>
          )}
        </section>
      </div>
    </div>
  )
}

/** Told where the cook begins: what of the kitchen's file stands aside, since it cannot be read any more. */
function Unread() {
  const unread = useQuery(unreadQuery).data
  if (unread === undefined || unread.rows === 0) return null
  return (
    <div role="alert" className="mb-4 grid gap-1 rounded-md border-2 border-stop p-3">
      <p className="font-bold">{unread.says}</p>
      <ul>
        {unread.findings.map((finding) => (
          <li key={finding} className="break-words">
            {finding}
          </li>
        ))}
      </ul>
      <p>
        All else stands. A setting can be said again under Settings; otherwise put a backup back, or write out
        an archive, which has the text of all this:{' '}
        <Link to="/settings/data" className="underline underline-offset-4">
          the kitchen&rsquo;s data
        </Link>
        .
      </p>
    </div>
  )
}

const GROUPS = {
  now: 'needs hands now',
  today: 'later today',
  later: 'another day',
  unplanned: 'without a plan',
}

function BatchRow({ batch }: { batch: Batch }) {
  const { plan, window, sentence, salt_says, piece } = batch.judgement
  const zone = batch.draft.meal.time_zone || undefined
  const tooLate = plan?.trouble != null
  const when = plan ? (tooLate ? plan.due.left : told(new Date(plan.due.at), zone)) : whyNot(batch)
  const meal = plan && `meal ${told(new Date(plan.meal_at), zone)}`
  return (
    <li className="border-b border-rule">
      <Link
        to={`/batch/${batch.id}/${piece ? 'mix' : 'cut'}`}
        className="grid gap-x-5 py-1.5 wide:grid-cols-[10rem_minmax(0,1fr)]"
      >
        <span className="max-wide:flex max-wide:items-baseline max-wide:gap-3">
          <span className={`block text-[1.4rem] font-bold leading-tight ${tooLate ? 'text-stop' : ''}`}>
            {when}
          </span>
          <span className="flex items-center justify-between gap-3">
            <span className="text-quiet">{plan && !tooLate && plan.due.left}</span>
            <span className="hidden wide:block [&>svg]:h-9 [&>svg]:w-17">
              {piece && (
                <SmallSection
                  shape={piece.shape}
                  bone={piece.bone}
                  cover={piece.cover}
                  thicknessMm={piece.thickness_mm}
                />
              )}
            </span>
          </span>
        </span>
        <span>
          <span className="flex flex-wrap items-baseline gap-x-4">
            <span className="font-slab text-[1.35rem] leading-tight">
              {batch.draft.name || 'Unnamed batch'}
            </span>
            <span className="text-quiet">{meal}</span>
          </span>
          <span className="block">
            {plan && !tooLate && <b className="mr-3">{plan.due.deed}</b>}
            <span className="text-quiet">{plan?.trouble ?? salt_says}</span>
          </span>
          <span className="block">
            {unbroken(window ? `${window.in_short}; ${window.latest.says}` : sentence)}
          </span>
        </span>
      </Link>
    </li>
  )
}

/** Why a batch has no moment: it stops, has no meal yet, or could not be planned. */
function whyNot({ draft, judgement }: Batch) {
  if (judgement.stops.length > 0) return '✕ stop'
  return draft.meal.at === '' ? 'no meal yet' : 'not planned'
}
