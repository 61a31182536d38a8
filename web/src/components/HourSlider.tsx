import { useEffect, useState } from 'react'
import { Marks } from './Marks'

interface HourSliderProps {
  hours: number[]
  /** The hours in words, and what stands where by each. */
  shown: string[]
  says: string[]
  at: number
  onMove: (index: number) => void
  /** Hours that are named under the track, in their order. */
  marks?: { hours: number; says: string }[]
}

const THUMB_PX = 16
const FRAME_MS = 160

/** Time to drag along, or to let run: arrow keys move to the next hour that was worked out. */
export function HourSlider({ hours, shown, says, at, onMove, marks = [] }: HourSliderProps) {
  const last = hours.length - 1
  const [runs, setRuns] = useState(false)
  const running = runs && at < last
  useEffect(() => {
    if (!running) return
    const timer = window.setTimeout(() => {
      onMove(at + 1)
    }, FRAME_MS)
    return () => {
      window.clearTimeout(timer)
    }
  }, [running, at, onMove])
  return (
    <div className="flex items-start gap-3">
      <span className="w-24 text-[1.5rem] leading-7 font-bold whitespace-nowrap">{shown[at]}</span>
      <div className="relative min-w-0 grow">
        <input
          type="range"
          className="m-0 block h-7 w-full accent-enamel"
          min={0}
          max={last}
          step={1}
          value={at}
          aria-label="Hour to look at"
          aria-valuetext={says[at]}
          onChange={(event) => {
            setRuns(false)
            onMove(Number(event.target.value))
          }}
        />
        {marks.length > 0 && (
          <div className="relative h-5 text-[0.85rem] text-quiet" style={{ margin: `0 ${THUMB_PX / 2}px` }}>
            {marks.map((mark) => (
              <span
                key={mark.says}
                aria-hidden
                className="absolute -top-1.5 h-2 w-0.5 bg-ink"
                style={{ left: `${placeOf(hours, mark.hours)}%` }}
              />
            ))}
            <Marks low marks={marks.map((mark) => ({ at: placeOf(hours, mark.hours), says: mark.says }))} />
          </div>
        )}
      </div>
      <button
        type="button"
        className="min-h-7 min-w-14 cursor-pointer underline underline-offset-4"
        onClick={() => {
          if (!running && at >= last) onMove(0)
          setRuns(!running)
        }}
      >
        {running ? 'stop' : 'let it run'}
      </button>
    </div>
  )
}

/** Where an hour lies on the track, in hundredths: each hour that was worked out has the same room. */
function placeOf(hours: number[], hour: number): number {
  const after = hours.findIndex((known) => known >= hour)
  if (after <= 0) return after === 0 ? 0 : 100
  const [from = 0, to = 1] = [hours[after - 1], hours[after]]
  return ((after - 1 + (hour - from) / (to - from)) / (hours.length - 1)) * 100
}

/** The index of the hour nearest to one. */
export function nearest(hours: number[], hour: number): number {
  return hours.reduce(
    (best, known, index) =>
      Math.abs(known - hour) < Math.abs((hours[best] ?? Infinity) - hour) ? index : best,
    0,
  )
}
