import { useState } from 'react'
import { told } from '../lib/clock'
import type { TimelineRow } from './Rail'

const REACH_PX = 24
const WORDS_PX = 480

interface RailStepsProps {
  lane: TimelineRow
  /** Where a moment lies on the rail, in its px. */
  x: (moment: Date) => number
  from: number
  until: number
  top: number
  height: number
  zone: string | undefined
}

/** Names the steps of a batch: the one under the mouse or a finger, or one after another by the arrow keys. */
export function RailSteps({ lane, x, from, until, top, height, zone }: RailStepsProps) {
  const [at, setAt] = useState<number>()
  const ticks = lane.ticks.filter((tick) => x(tick.at) >= from && x(tick.at) <= until)
  const shown = at === undefined ? undefined : ticks[at]
  if (ticks.length === 0) return null
  const nearest = (px: number): number | undefined => {
    const far = ticks.map((tick) => Math.abs(x(tick.at) - px))
    const least = Math.min(...far)
    return least <= REACH_PX ? far.indexOf(least) : undefined
  }
  const walk: Record<string, (now: number) => number> = {
    ArrowRight: (now) => Math.min(ticks.length - 1, now + 1),
    ArrowLeft: (now) => Math.max(0, now - 1),
    Home: () => 0,
    End: () => ticks.length - 1,
  }
  const words = (tick: (typeof ticks)[number]) => `${told(tick.at, zone)} ${tick.says}`
  const first = ticks[0]
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`Steps of ${lane.name}`}
      aria-valuemin={1}
      aria-valuemax={ticks.length}
      aria-valuenow={(at ?? 0) + 1}
      aria-valuetext={words(shown ?? first ?? { at: lane.contact, says: '' })}
      className="absolute touch-pan-y"
      style={{ left: from, width: until - from, top, height }}
      onFocus={() => {
        setAt((was) => was ?? 0)
      }}
      onBlur={() => {
        setAt(undefined)
      }}
      onKeyDown={(event) => {
        const to = walk[event.key]
        if (!to) return
        event.preventDefault()
        event.stopPropagation()
        setAt((was) => to(was ?? 0))
      }}
      onPointerMove={(event) => {
        if (event.pointerType !== 'touch') setAt(nearest(placeOf(event)))
      }}
      onPointerDown={(event) => {
        // A press names the step that it is at, not the first, until something else is pressed.
        event.preventDefault()
        event.currentTarget.focus({ preventScroll: true })
        setAt(nearest(placeOf(event)))
      }}
      onPointerLeave={(event) => {
        if (event.pointerType !== 'touch') setAt(undefined)
      }}
    >
      {shown && (
        <span
          aria-hidden
          className="pointer-events-none absolute bottom-full z-10 rounded-sm bg-ink px-2 text-[1rem] text-paper"
          style={{
            left: Math.max(0, Math.min(x(shown.at) - from, until - from - WORDS_PX)),
            maxWidth: Math.min(WORDS_PX, until - from),
          }}
        >
          <b>{told(shown.at, zone)}</b> {shown.says}
        </span>
      )}
    </div>
  )

  function placeOf(event: { clientX: number; currentTarget: Element }): number {
    return from + event.clientX - event.currentTarget.getBoundingClientRect().left
  }
}
