import { api, type Batch, type Taste } from '../../api/client'
import { useKeep } from '../../api/useKeep'
import { Faulty } from '../../components/Said'
import type { useHeld } from '../../components/useHeld'
import { DepthMark } from './DepthMark'
import { Steps } from './Steps'

interface VerdictFormProps {
  batch: Batch
  scales: Record<string, string[]>
  taste: Taste
  held: ReturnType<typeof useHeld<typeof EMPTY>>
}

export const EMPTY = { eater: '', words: {} as Record<string, string>, depth: '', note: '' }

/** One eater's verdict: a word for each thing, the depth on the knife, a note. */
export function VerdictForm({ batch, scales, taste, held }: VerdictFormProps) {
  const { value: said, set, taken } = held
  const { eater, words, depth, note } = said
  const { answer, problems, keep } = useKeep()
  const send = async () => {
    const earlier = taste.verdicts.find((one) => one.eater === eater.trim()) ?? { ...EMPTY, eater }
    const kept = await keep(
      (prefer) => api.keepVerdict(batch.id, { ...said, since: earlier, prefer }),
      `Kept, from ${eater || 'somebody'}.`,
    )
    if (kept) taken(said, { ...EMPTY, eater })
  }
  const keeping = (
    <div className="flex items-center gap-4 pt-1">
      <button type="submit" className="act act-first">
        Keep this verdict
      </button>
      <span role="status">{problems.length === 0 ? answer : ''}</span>
    </div>
  )
  return (
    <form
      aria-label="A verdict"
      className="grid content-start gap-1"
      onSubmit={(event) => {
        event.preventDefault()
        void send()
      }}
    >
      <div className="grid gap-x-6 wide:grid-cols-[14rem_minmax(0,1fr)]">
        <label className="grid text-[0.92rem]">
          <span className="text-quiet">Who says it</span>
          <input
            className="said"
            value={eater}
            onChange={(event) => {
              set({ eater: event.target.value })
            }}
          />
        </label>
        <label className="grid text-[0.92rem]">
          <span className="text-quiet">A note</span>
          <textarea
            className="said"
            rows={1}
            value={note}
            onChange={(event) => {
              set({ note: event.target.value })
            }}
          />
        </label>
      </div>
      {Object.entries(scales).map(([aspect, five]) => (
        <Steps
          key={aspect}
          aspect={aspect}
          words={five}
          value={words[aspect] ?? ''}
          onChoose={(word) => {
            set({ words: { ...words, [aspect]: word } })
          }}
        />
      ))}
      {problems.map((problem) => (
        <Faulty key={problem.field} fault={problem} />
      ))}
      {taste.middle_mm !== null && batch.judgement.piece ? (
        <DepthMark
          piece={batch.judgement.piece}
          middle={taste.middle_mm}
          model={taste.model_depth_mm}
          value={depth}
          onMark={(marked) => {
            set({ depth: marked })
          }}
        >
          {keeping}
        </DepthMark>
      ) : (
        keeping
      )}
    </form>
  )
}
