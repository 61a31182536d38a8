import { useEffect, useRef, useState } from 'react'
import { hoursLater, told } from '../lib/clock'

const STEP_H = 5 / 60
const SETTLES_MS = 350
const WIDE_PX = 26

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
  /** How wide the rail is: the handle stays on it. */
  width: number
  /** On which side of its mark the handle is taken, so that two near each other stay apart. */
  side: 'before' | 'after'
  /** Answers whether it was moved. */
  onMove: (to: Date) => Promise<boolean>
}

/** A mark of the rail that is moved by arrow keys, mouse or touch; it settles a moment later. */
export function RailHandle(props: RailHandleProps) {
  const { label, at, span, x, momentAt, top, height, width, side, onMove } = props
  const [wish, setWish] = useState<{ from: number; to: Date }>()
  const dragged = useRef<{ from: number; at: Date } | null>(null)
  const timer = useRef(0)
  const asked = wish?.from === at.getTime() ? wish.to : undefined
  const shown = asked ?? at
  const setAsked = (to: Date | undefined) => {
    setWish(to && { from: at.getTime(), to })
  }
  useEffect(
    () => () => {
      window.clearTimeout(timer.current)
    },
    [],
  )
  const ask = (to: Date) => {
    setAsked(to)
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => {
      void onMove(to).then((moved) => {
        if (!moved) setWish(undefined)
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
  const left = Math.min(x(shown) - (side === 'before' ? WIDE_PX : 0), width - WIDE_PX)
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={span[0].getTime()}
      aria-valuemax={span[1].getTime()}
      aria-valuenow={shown.getTime()}
      aria-valuetext={told(shown)}
      title={`${label}: ${told(shown)}. Drag it, or use the arrow keys.`}
      className={`absolute cursor-ew-resize touch-none ${asked ? 'bg-enamel/25' : ''}`}
      style={{ left, width: WIDE_PX, top, height }}
      onKeyDown={(event) => {
        const by = hours[event.key]
        if (by === undefined) return
        event.preventDefault()
        event.stopPropagation()
        ask(hoursLater(shown, by))
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        dragged.current = { from: event.clientX, at: shown }
      }}
      onPointerMove={(event) => {
        if (dragged.current) setAsked(momentAt(x(dragged.current.at) + event.clientX - dragged.current.from))
      }}
      onPointerUp={(event) => {
        const start = dragged.current
        dragged.current = null
        if (start && event.clientX !== start.from) ask(momentAt(x(start.at) + event.clientX - start.from))
      }}
      onPointerCancel={() => {
        dragged.current = null
        setAsked(undefined)
      }}
    >
      {asked && (
        <span className="pointer-events-none absolute bottom-full left-1/2 -translate-x-1/2 rounded-sm bg-ink px-2 text-[1.05rem] font-bold whitespace-nowrap text-paper">
          {told(shown)}
        </span>
      )}
    </div>
  )
}
