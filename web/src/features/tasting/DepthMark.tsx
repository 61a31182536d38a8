import { lengthTold } from '../../lib/told'
import type { ReactNode } from 'react'
import type { Piece } from '../../api/client'
import { Section } from '../../components/Section'
import { Tick } from '../../components/Tick'

interface DepthMarkProps {
  piece: Piece
  /** From the face to the point reached last, in mm. */
  middle: number
  model: number | null
  value: string
  onMark: (depth: string) => void
  /** What ends the form, beside the section. */
  children: ReactNode
}

const ROOM = { width: 230, height: 84 }

/** The cut face as it lies on the board: how deep seasoning shows on the knife, beside what the model tells. */
export function DepthMark({ piece, middle, model, value, onMark, children }: DepthMarkProps) {
  const through = value === 'through'
  const said = through ? middle : Number.parseFloat(value)
  const marked = Number.isNaN(said) ? null : said
  const mark = (mm: number) => {
    onMark(`${Math.round(Math.min(mm, middle) * 2) / 2} mm`)
  }
  return (
    <div className="grid items-center gap-x-4 py-1 wide:grid-cols-[auto_minmax(0,1fr)]">
      <Section piece={piece} room={ROOM} seen={{ mm: marked, modelMm: model, onPoint: mark }} />
      <div>
        <p className="text-[0.95rem] text-quiet">
          Seasoned how deep, on the knife? Point at it, or slide.
          {model !== null && ` Dashed: the model’s ${lengthTold(model)} of ${lengthTold(middle)}.`}
        </p>
        <div className="flex flex-wrap items-center gap-x-4">
          <input
            type="range"
            className="h-11 min-w-24 grow accent-enamel"
            aria-label="Depth seen on the knife"
            aria-valuetext={value === '' ? 'not said' : through ? 'right through' : value}
            min={0}
            max={Math.ceil(middle * 2)}
            value={marked === null ? 0 : marked * 2}
            onChange={(event) => {
              mark(Number(event.target.value) / 2)
            }}
          />
          <b className="w-24">{value === '' ? 'not said' : through ? 'right through' : value}</b>
          <Tick
            ticked={through}
            onTick={(ticked) => {
              onMark(ticked ? 'through' : '')
            }}
          >
            right through
          </Tick>
        </div>
        {children}
      </div>
    </div>
  )
}
