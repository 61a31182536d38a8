import { timeScale } from '../lib/scale'
import { useEffect, useRef, useState } from 'react'
import { dayOf, hoursOfDay, momentsTold, told } from '../lib/clock'
import { HANDLE_PX, RailHandle } from './RailHandle'
import { RailLane } from './RailLane'
import { apart, hoursTold, spanOf } from './railHours'
import { RailNearer } from './RailNearer'
import { RailSteps } from './RailSteps'
import { useRailSpan } from './useRailSpan'

/** One batch on the rail; times are set by the plan. */
export interface TimelineRow {
  id: string
  name: string
  contact: Date
  opens: Date
  bestFrom: Date
  bestUntil: Date
  closes: Date
  pull: Date
  meal: Date
  ends: string
  /** Hands-on steps, as ticks. */
  ticks: { at: Date; says: string }[]
  /** Which marks may still be moved. */
  movable: Mark[]
}

export type Mark = 'meal' | 'pull' | 'start'

const USUAL_LETTERS_PX = 17
const LANE_PX = 24
const NARROW_LANE_PX = 36
const NAMES_PX = 168
const BUTTONS_PX = 200 // hours under the buttons are not told
const NOW_PX = 90 // hours nearer than this would stand under the mark of the present

/** The rail's width in units of its drawing, and how many px a unit is: it grows with the reader's letters. */
function useWidth() {
  const frame = useRef<HTMLDivElement>(null)
  const [size, setSize] = useState({ width: 1200, unit: 1 })
  useEffect(() => {
    const element = frame.current
    if (!element) return
    const observer = new ResizeObserver(() => {
      const letters = parseFloat(getComputedStyle(document.documentElement).fontSize)
      const unit = Math.min(2.5, Math.max(1, letters / USUAL_LETTERS_PX))
      setSize({ width: element.clientWidth / unit, unit })
    })
    observer.observe(element)
    return () => {
      observer.disconnect()
    }
  }, [])
  return { frame, ...size }
}

interface RailProps {
  rows: TimelineRow[]
  /** Hours in which hands are not free. */
  busy: { what: string; begins: Date; ends: Date }[]
  now: Date
  /** The time zone that moments are told in: that of the batches, not of the browser. */
  zone?: string | undefined
  current?: string | undefined
  onMove?: ((lane: string, mark: Mark, to: Date) => Promise<boolean>) | undefined
  /** Answers what a move would do, in words. */
  onAsk?: ((lane: string, mark: Mark, to: Date) => Promise<string>) | undefined
}

/** Time from left to right: now, sleep, work, the meals, and each batch with its window. */
export function Rail({ rows, busy, now, zone, current, onMove, onAsk }: RailProps) {
  const { frame, width, unit } = useWidth()
  const names = width < 700 ? 0 : NAMES_PX
  const span = useRailSpan(spanOf(rows, now), now, frame)
  const { domain } = span
  const x = timeScale(domain, [names, width - 8])
  const step = names === 0 ? NARROW_LANE_PX : LANE_PX
  const height = 26 + Math.max(rows.length, 1) * step + 6
  const mark = Math.max(x(now), names === 0 ? 26 : 0) // the word stays on a narrow screen
  const days = (domain[1].getTime() - domain[0].getTime()) / 86_400_000
  const hours = hoursOfDay(domain[0], domain[1], hoursTold(days, width), zone).filter(
    (hour) => x(hour) >= names,
  )
  const midnights = new Set(hoursOfDay(domain[0], domain[1], [0], zone).map((hour) => hour.getTime()))
  const named = apart(
    hours.filter((hour) => Math.abs(x(hour) - x(now)) > NOW_PX && x(hour) < width - BUTTONS_PX),
    x,
  )
  return (
    <div
      ref={frame}
      className="relative overflow-x-clip border-t-4 border-double border-rule bg-raised"
      {...span.pinch}
    >
      <svg
        width={width * unit}
        height={height * unit}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={railWords(rows, zone)}
      >
        {busy.map((stretch) => {
          const left = Math.max(names, x(stretch.begins))
          const right = Math.min(width, Math.max(names, x(stretch.ends)))
          return (
            <rect
              key={`${stretch.what}-${stretch.begins.getTime()}`}
              x={left}
              width={Math.max(0, right - left)}
              y={stretch.what === 'sleep' ? 0 : height - 8}
              height={stretch.what === 'sleep' ? height : 8}
              fill="url(#night)"
            />
          )
        })}
        {hours.map((hour) => (
          <g key={hour.getTime()} transform={`translate(${x(hour)} 0)`}>
            <path
              d={`M0 0V${height}`}
              stroke={midnights.has(hour.getTime()) ? 'var(--field)' : 'var(--rule)'}
              strokeWidth={midnights.has(hour.getTime()) ? 2 : 1}
            />
            {named.has(hour) && (
              <text x="4" y="16" fontSize="14" fill="var(--quiet)">
                {midnights.has(hour.getTime()) ? dayOf(hour, zone) : told(hour, zone)}
              </text>
            )}
          </g>
        ))}
        {rows.map((lane, index) => (
          <RailLane
            key={lane.id}
            lane={lane}
            y={26 + index * step + (names === 0 ? 13 : 0)}
            x={x}
            names={names}
            width={width}
            current={lane.id === current}
            zone={zone}
          />
        ))}
        {x(now) >= names && (
          <>
            <path d={`M${x(now)} 0V${height}`} stroke="var(--ink)" strokeWidth="2" />
            <rect x={mark - 24} width="48" height="20" fill="var(--ink)" />
            <text x={mark} y="15" fontSize="14" fontWeight="700" textAnchor="middle" fill="var(--paper)">
              now
            </text>
          </>
        )}
      </svg>
      {rows.map((lane, index) => (
        <RailSteps
          key={lane.id}
          lane={lane}
          x={(moment) => x(moment) * unit}
          from={names * unit}
          until={(width - 8) * unit}
          top={(26 + index * step) * unit}
          height={step * unit}
          zone={zone}
        />
      ))}
      {onMove &&
        rows.flatMap((lane, index) =>
          handlesOf(lane, x, names, width).map(({ mark, left }) => (
            <RailHandle
              key={`${lane.id} ${mark}`}
              label={`${words[mark]} of ${lane.name}`}
              at={lane[places[mark]]}
              span={domain}
              x={(moment) => x(moment) * unit}
              momentAt={(px) => x.invert(px / unit)}
              top={(26 + index * step) * unit}
              height={step * unit}
              left={left * unit}
              zone={zone}
              onMove={(to) => onMove(lane.id, mark, to)}
              onAsk={(to) => onAsk?.(lane.id, mark, to) ?? Promise.resolve('')}
            />
          )),
        )}
      <RailNearer span={span} />
    </div>
  )
}

/** Where the handles of a batch lie: each at its mark, none over another. */
function handlesOf(lane: TimelineRow, x: (moment: Date) => number, names: number, width: number) {
  const shown = lane.movable
    .map((mark) => ({ mark, at: x(lane[places[mark]]) }))
    .filter(({ at }) => at >= names && at <= width)
    .sort((one, other) => one.at - other.at)
  const rightmost = width - HANDLE_PX * shown.length
  let free = Math.max(names, 0)
  return shown.map(({ mark, at }, place) => {
    const wanted = mark === 'meal' ? at : at - HANDLE_PX
    const left = Math.min(Math.max(wanted, free), rightmost + place * HANDLE_PX)
    free = left + HANDLE_PX
    return { mark, left }
  })
}

const places = { meal: 'meal', pull: 'pull', start: 'contact' } as const
const words = { meal: 'Meal', pull: 'Pull', start: 'Start' }

const railWords = (rows: TimelineRow[], zone: string | undefined) =>
  rows.length === 0
    ? 'Nothing planned yet'
    : rows.map((lane) => `${lane.name}: ${momentsTold(lane.contact, lane.pull, lane.meal, zone)}`).join('. ')
