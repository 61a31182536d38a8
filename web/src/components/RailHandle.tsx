import { useEffect, useRef, useState } from 'react'
import { hoursLater, told } from '../lib/clock'

const STEP_H = 5 / 60
const SETTLES_MS = 350
/** How wide a handle is: two near each other lie beside each other. */
export const HANDLE_PX = 26
const ASKS_AFTER_MS = 120
/** A finger that only brushes the rail moves nothing: it has to rest on the mark first. */
const HOLD_MS = 450
const STILL_PX = 10

interface RailHandleProps {
  /** "Meal of Slip skewers". */
  label: string
  at: Date
  /** The whole span of the rail, for those who hear it. */
  span: [Date, Date]
  x: (moment: Date) => number
  momentAt: (px: number) => Date
  top: number
  height: number
  /** Where the handle lies in px, beside its mark: two near each other stay apart. */
  left: number
  zone: string | undefined
  /** Answers whether it was moved. */
  onMove: (to: Date) => Promise<boolean>
  /** Answers what a move would do, in words. */
  onAsk: (to: Date) => Promise<string>
}

/** A mark of the rail that is moved by arrow keys, mouse or touch; it settles a moment later. */
export function RailHandle(props: RailHandleProps) {
  const { label, at, span, x, momentAt, top, height, left, zone, onMove, onAsk } = props
  const [wish, setWish] = useState<{ from: number; to: Date }>()
  const [does, setDoes] = useState('')
  const dragged = useRef<{ from: number; at: Date } | null>(null)
  const hold = useRef(0)
  const touched = useRef(0)
  const asking = useRef(0)
  const timer = useRef(0)
  const asked = wish?.from === at.getTime() ? wish.to : undefined
  const shown = asked ?? at
  const setAsked = (to: Date | undefined) => {
    setWish(to && { from: at.getTime(), to })
  }
  useEffect(
    () => () => {
      for (const one of [timer, hold, asking]) window.clearTimeout(one.current)
    },
    [],
  )
  const preview = (to: Date) => {
    setAsked(to)
    window.clearTimeout(asking.current)
    asking.current = window.setTimeout(() => void onAsk(to).then(setDoes), ASKS_AFTER_MS)
  }
  const takeHold = (from: number) => {
    dragged.current = { from, at: shown }
    setDoes('')
    setAsked(shown)
  }
  const letGo = () => {
    window.clearTimeout(hold.current)
    dragged.current = null
  }
  const ask = (to: Date) => {
    setAsked(to)
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => {
      void onMove(to).then(() => {
        setWish(undefined) // moved or not, from here on it stands where the plan says
      })
    }, SETTLES_MS)
  }
  const hours: Record<string, number> = {
    ArrowLeft: -STEP_H,
    ArrowRight: STEP_H,
    ArrowDown: -STEP_H,
    ArrowUp: STEP_H,
    PageDown: -1,
    PageUp: 1,
  }
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={span[0].getTime()}
      aria-valuemax={span[1].getTime()}
      aria-valuenow={shown.getTime()}
      aria-valuetext={told(shown, zone)}
      title={`${label}: ${told(shown, zone)}. Drag it, or use the arrow keys.`}
      className={`absolute cursor-ew-resize touch-none ${asked ? 'bg-enamel/25' : ''}`}
      style={{ left: left + x(shown) - x(at), width: HANDLE_PX, top, height }}
      onKeyDown={(event) => {
        const by = hours[event.key]
        if (by === undefined) return
        event.preventDefault()
        event.stopPropagation()
        ask(hoursLater(shown, by))
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        touched.current = event.clientX
        if (event.pointerType !== 'touch') takeHold(event.clientX)
        else hold.current = window.setTimeout(takeHold, HOLD_MS, event.clientX)
      }}
      onPointerMove={(event) => {
        const start = dragged.current
        if (start) preview(momentAt(x(start.at) + event.clientX - start.from))
        else if (Math.abs(event.clientX - touched.current) > STILL_PX) window.clearTimeout(hold.current)
      }}
      onPointerUp={(event) => {
        const start = dragged.current
        letGo()
        if (start && event.clientX !== start.from) ask(momentAt(x(start.at) + event.clientX - start.from))
        else setAsked(undefined)
      }}
      onPointerCancel={() => {
        letGo()
        setAsked(undefined)
      }}
    >
      {asked && (
        <span className="pointer-events-none absolute bottom-full left-1/2 -translate-x-1/2 rounded-sm bg-ink px-2 text-[1.05rem] font-bold whitespace-nowrap text-paper">
          {told(shown, zone)}
          {does !== '' && (
            <span className="block max-w-80 text-[0.9rem] font-normal whitespace-normal">{does}</span>
          )}
        </span>
      )}
    </div>
  )
}
