import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { api, type Taste } from '../../api/client'
import { tasteQuery } from '../../api/queries'
import { useKeep } from '../../api/useKeep'
import { Faulty } from '../../components/Said'
import { RemovePhotograph } from './RemovePhotograph'

type Face = NonNullable<Taste['cut_face']>
type PointName = 'face' | 'opposite' | 'reached'
interface Place {
  x: number
  y: number
}

const POINTS: { name: PointName; words: string }[] = [
  { name: 'face', words: 'Face in the mix' },
  { name: 'opposite', words: 'Face opposite' },
  { name: 'reached', words: 'Seasoned to here' },
]
const START: Record<PointName, Place> = {
  face: { x: 0.5, y: 0.12 },
  opposite: { x: 0.5, y: 0.88 },
  reached: { x: 0.5, y: 0.4 },
}
const STEP: Record<string, Place> = {
  ArrowLeft: { x: -0.01, y: 0 },
  ArrowRight: { x: 0.01, y: 0 },
  ArrowUp: { x: 0, y: -0.01 },
  ArrowDown: { x: 0, y: 0.01 },
}

interface CutFaceProps {
  batchId: string
  face: Face | null
  onDepth: (depth: string) => void
}

/** A photograph of the cut face: two points tell its thickness, a third how deep the seasoning shows. */
export function CutFace({ batchId, face, onDepth }: CutFaceProps) {
  const queries = useQueryClient()
  const { answer, problems, keep } = useKeep()
  const take = (taste: Taste) => {
    queries.setQueryData(tasteQuery(batchId).queryKey, taste)
    return taste
  }
  const send = (file: File) =>
    keep(async () => take(await api.keepPhotograph(batchId, file)), 'The photograph is kept with this batch.')
  const mark = (points: Record<PointName, Place>) =>
    keep(async () => {
      const taste = take(await api.markPhotograph(batchId, points))
      if (taste.cut_face?.depth) onDepth(taste.cut_face.depth)
    }, '')
  const remove = () =>
    keep(async () => take(await api.removePhotograph(batchId)), 'The photograph is removed.')
  return (
    <section aria-labelledby="cut-face">
      <h2 id="cut-face" className="heading">
        the cut face
      </h2>
      {face && <Marked key={`${batchId} ${face.width}`} batchId={batchId} face={face} onMark={mark} />}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
        <label className="act grid cursor-pointer place-items-center focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-enamel">
          {face ? 'Another photograph' : 'Keep a photograph'}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            className="sr-only"
            onChange={(event) => {
              const [file] = event.target.files ?? []
              if (file) void send(file)
              event.target.value = ''
            }}
          />
        </label>
        {face && <RemovePhotograph onRemove={() => void remove()} />}
        {!face && (
          <span className="text-[0.92rem] text-quiet">
            JPEG, PNG or WebP up to 8 MB; it is made small, and where it was taken is left out.
          </span>
        )}
      </div>
      {problems.map((problem) => (
        <Faulty key={problem.field} fault={problem} />
      ))}
      <p role="status">{problems.length === 0 ? answer : ''}</p>
    </section>
  )
}

interface MarkedProps {
  batchId: string
  face: Face
  onMark: (points: Record<PointName, Place>) => Promise<boolean>
}

/** The picture with its three points: press where the chosen one belongs, or move it by the arrow keys. */
function Marked({ batchId, face, onMark }: MarkedProps) {
  const kept = { face: face.face, opposite: face.opposite, reached: face.reached }
  const [placed, setPlaced] = useState<Partial<Record<PointName, Place | null>>>(kept)
  const [chosen, setChosen] = useState<PointName>('face')
  const wanted = useRef<Record<PointName, Place> | null>(null)
  const sending = useRef(false)
  const put = (name: PointName, place: Place) => {
    const all = { ...placed, [name]: place }
    setPlaced(all)
    const { face: first, opposite, reached } = all
    if (!first || !opposite || !reached) return
    wanted.current = { face: first, opposite, reached }
    if (!sending.current) void send()
  }
  // One at a time and the latest last, so that no earlier mark comes to stand.
  const send = async () => {
    sending.current = true
    while (wanted.current) {
      const points = wanted.current
      wanted.current = null
      await onMark(points)
    }
    sending.current = false
  }
  const press = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    put(chosen, {
      x: inside((event.clientX - box.left) / box.width),
      y: inside((event.clientY - box.top) / box.height),
    })
    const next = POINTS.find((point) => point.name !== chosen && !placed[point.name])
    if (next) setChosen(next.name)
  }
  const move = (event: KeyboardEvent, name: PointName) => {
    const step = STEP[event.key]
    if (!step) return
    event.preventDefault()
    const from = placed[name] ?? START[name]
    setChosen(name)
    put(name, { x: inside(from.x + step.x), y: inside(from.y + step.y) })
  }
  return (
    <div className="grid gap-2 py-1">
      <p className="text-[0.95rem]">{face.says}</p>
      <div className="relative w-full max-w-96 cursor-crosshair touch-none" onPointerDown={press}>
        <img
          src={`/api/taste/${batchId}/photograph`}
          width={face.width}
          height={face.height}
          alt="The cut face"
          draggable={false}
          className="h-auto w-full rounded-md border-2 border-rule"
        />
        <Lines placed={placed} chosen={chosen} />
      </div>
      <div className="grid gap-1">
        {POINTS.map(({ name, words }, place) => (
          <button
            key={name}
            type="button"
            className="act flex items-center gap-2 text-left aria-pressed:bg-enamel aria-pressed:text-on-enamel"
            aria-pressed={chosen === name}
            onClick={() => {
              setChosen(name)
            }}
            onKeyDown={(event) => {
              move(event, name)
            }}
          >
            <span
              aria-hidden="true"
              className="grid size-7 place-items-center rounded-full bg-ink text-[0.85rem] text-paper"
            >
              {place + 1}
            </span>
            {words}
            {!placed[name] && <span className="font-normal">: not marked</span>}
          </button>
        ))}
        <p className="text-[0.9rem] text-quiet">
          Choose one, then press its place on the picture; arrow keys move it.
        </p>
      </div>
    </div>
  )
}

function Lines({ placed, chosen }: { placed: Partial<Record<PointName, Place | null>>; chosen: PointName }) {
  const { face, opposite } = placed
  return (
    <svg aria-hidden="true" className="pointer-events-none absolute inset-0 size-full overflow-visible">
      {face && opposite && (
        <line
          x1={percent(face.x)}
          y1={percent(face.y)}
          x2={percent(opposite.x)}
          y2={percent(opposite.y)}
          stroke="var(--paper)"
          strokeWidth="3"
          strokeDasharray="6 5"
        />
      )}
      {POINTS.map(({ name }, place) => {
        const at = placed[name]
        return (
          at && (
            <g key={name}>
              <circle
                cx={percent(at.x)}
                cy={percent(at.y)}
                r={name === chosen ? 14 : 11}
                fill="var(--ink)"
                stroke="var(--paper)"
                strokeWidth="3"
              />
              <text
                x={percent(at.x)}
                y={percent(at.y)}
                dy="0.35em"
                textAnchor="middle"
                fill="var(--paper)"
                fontSize="13"
              >
                {place + 1}
              </text>
            </g>
          )
        )
      })}
    </svg>
  )
}

const percent = (share: number) => `${share * 100}%`
const inside = (share: number) => Math.min(1, Math.max(0, share))
