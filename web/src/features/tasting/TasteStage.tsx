import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'wouter'
import { navigate } from 'wouter/use-browser-location'
import { api, type Batch, type Taste } from '../../api/client'
import { scalesQuery, tasteQuery } from '../../api/queries'
import { useHeld } from '../../components/useHeld'
import { CutFace } from './CutFace'
import { EMPTY, VerdictForm } from './VerdictForm'

/** Taste: what each eater says, the depth on the knife, and what to change next time. */
export function TasteStage({ batch }: { batch: Batch }) {
  const taste = useQuery(tasteQuery(batch.id))
  const scales = useQuery(scalesQuery)
  const held = useHeld(`vadouvan.verdict.${batch.id}`, EMPTY)
  if (!taste.data || !scales.data) return <p>Looking at the table</p>
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 wide:grid-cols-[minmax(0,1fr)_26rem]">
      <VerdictForm batch={batch} scales={scales.data} taste={taste.data} held={held} />
      <div className="grid content-start gap-5">
        <Said batch={batch} taste={taste.data} />
        <NextTime batch={batch} taste={taste.data} />
        <CutFace
          batchId={batch.id}
          face={taste.data.cut_face}
          onDepth={(depth) => {
            held.set({ depth })
          }}
        />
      </div>
    </div>
  )
}

/** What was said so far, eater by eater. */
function Said({ batch, taste }: { batch: Batch; taste: Taste }) {
  const queries = useQueryClient()
  const [takenBack, setTakenBack] = useState<Taste['verdicts'][number]>()
  const { attempt, trouble } = useAttempt()
  const remove = (one: Taste['verdicts'][number]) =>
    attempt(async () => {
      await api.removeVerdict(batch.id, one.eater)
      setTakenBack(one)
      await askAnew(queries)
    })
  const putBack = ({ eater, words, depth, note }: Taste['verdicts'][number]) =>
    attempt(async () => {
      await api.keepVerdict(batch.id, { eater, words, depth, note })
      setTakenBack(undefined)
      await askAnew(queries)
    })
  return (
    <section aria-labelledby="said">
      <h2 id="said" className="heading">
        what was said
      </h2>
      {taste.from_name !== '' && (
        <p className="py-1 text-[0.95rem]">
          Goes on from <b>{taste.from_name}</b>
          {taste.changed.length > 0 && `: ${taste.changed.join(' ')}`}
        </p>
      )}
      {taste.verdicts.length > 0 && <p className="py-1 text-[0.95rem] text-quiet">{taste.learned_says}</p>}
      {taste.verdicts.length === 0 && <p className="py-1 text-quiet">Nothing yet.</p>}
      <ul>
        {taste.verdicts.map((one) => (
          <li key={one.eater} className="flex items-start gap-3 border-b border-rule py-1">
            <span className="min-w-0 grow">
              <b>{one.eater || 'Somebody'}:</b>{' '}
              {Object.entries(one.words)
                .map(([aspect, word]) => `${aspect} ${word}`)
                .join(', ')}
              {one.depth !== '' &&
                `; ${one.depth === 'through' ? 'seen right through' : `seen to ${one.depth}`}`}
              {one.note !== '' && <span className="block text-quiet">{one.note}</span>}
            </span>
            <button
              type="button"
              className="grid size-12 shrink-0 cursor-pointer place-items-center text-quiet hover:text-stop"
              aria-label={`Take back what ${one.eater || 'somebody'} said`}
              onClick={() => void remove(one)}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
      {takenBack && (
        <p role="status" className="flex flex-wrap items-center gap-x-4 py-1">
          What {takenBack.eater || 'somebody'} said is taken back.
          <button type="button" className="act" onClick={() => void putBack(takenBack)}>
            Put it back
          </button>
        </p>
      )}
      {trouble !== '' && (
        <p role="alert" className="text-stop">
          {trouble}
        </p>
      )}
    </section>
  )
}

/** What to change, with what it costs; one press makes the next batch with all of it. */
function NextTime({ batch, taste }: { batch: Batch; taste: Taste }) {
  const { once, trouble } = useAttempt()
  const queries = useQueryClient()
  const make = () =>
    once(async () => {
      const next = await api.makeNext(batch.id)
      await askAnew(queries, 'batches')
      navigate(`/batch/${next.id}/mix`)
    })
  return (
    <section aria-labelledby="next-time">
      <h2 id="next-time" className="heading">
        next time
      </h2>
      {taste.advice.length === 0 && (
        <p className="py-1 text-quiet">
          {taste.verdicts.length === 0 ? 'Say how it was; then it is worked out.' : 'Nothing to change.'}
        </p>
      )}
      <ul>
        {taste.advice.map((one) => (
          <li key={one.id} className="border-b border-rule py-1">
            <p className="font-semibold">{one.says}</p>
            {one.costs.length > 0 && <p className="text-[0.9rem] text-quiet">{one.costs.join(', ')}</p>}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-4 pt-3">
        <button type="button" className="act act-first" onClick={() => void make()}>
          {taste.advice.length > 0 ? 'Make the next batch with it' : 'Make it again'}
        </button>
        <Link to="/logbook" className="grid min-h-12 place-items-center underline underline-offset-4">
          The logbook
        </Link>
      </div>
      {trouble !== '' && (
        <p role="alert" className="text-stop">
          {trouble}
        </p>
      )}
    </section>
  )
}
