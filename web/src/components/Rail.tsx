import { scaleTime } from 'd3-scale'
import { useEffect, useRef, useState } from 'react'
import { hoursLater, hoursOfDay, told } from '../lib/clock'
import { RailHandle } from './RailHandle'

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

const LANE_PX = 24
const NARROW_LANE_PX = 36
const NAMES_PX = 168
const LETTER_PX = 7
const NOW_PX = 90 // hours nearer than this would stand under the mark of the present

function useWidth() {
  const frame = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(1200)
  useEffect(() => {
    const element = frame.current
    if (!element) return
    const observer = new ResizeObserver(() => {
      setWidth(element.clientWidth)
    })
    observer.observe(element)
    return () => {
      observer.disconnect()
    }
  }, [])
  return { frame, width }
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
  const { frame, width } = useWidth()
  const names = width < 700 ? 0 : NAMES_PX
  const domain = spanOf(rows, now)
  const x = scaleTime()
    .domain(domain)
    .range([names, width - 8])
  const step = names === 0 ? NARROW_LANE_PX : LANE_PX
  const height = 26 + Math.max(rows.length, 1) * step + 6
  const mark = Math.max(x(now), names === 0 ? 26 : 0) // the word stays on a narrow screen
  const days = (domain[1].getTime() - domain[0].getTime()) / 86_400_000
  return (
    <div ref={frame} className="relative border-t-4 border-double border-rule bg-raised">
      <svg width={width} height={height} role="img" aria-label={railWords(rows, zone)}>
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
        {hoursOfDay(domain[0], domain[1], hoursTold(days, width), zone).map((hour) => (
          <g key={hour.getTime()} transform={`translate(${x(hour)} 0)`}>
            <path d={`M0 0V${height}`} stroke="var(--rule)" />
            {Math.abs(x(hour) - x(now)) > NOW_PX && (
              <text x="4" y="16" fontSize="14" fill="var(--quiet)">
                {told(hour, zone)}
              </text>
            )}
          </g>
        ))}
        {rows.map((lane, index) => (
          <LaneMarks
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
      {onMove &&
        rows.flatMap((lane, index) =>
          lane.movable
            .filter((mark) => x(lane[places[mark]]) >= names && x(lane[places[mark]]) <= width)
            .map((mark) => (
              <RailHandle
                key={`${lane.id} ${mark}`}
                label={`${words[mark]} of ${lane.name}`}
                at={lane[places[mark]]}
                span={domain}
                x={x}
                momentAt={(px) => x.invert(px)}
                top={26 + index * step}
                height={step}
                width={width}
                side={mark === 'meal' ? 'after' : 'before'}
                zone={zone}
                onMove={(to) => onMove(lane.id, mark, to)}
                onAsk={(to) => onAsk?.(lane.id, mark, to) ?? Promise.resolve('')}
              />
            )),
        )}
    </div>
  )
}

const places = { meal: 'meal', pull: 'pull', start: 'contact' } as const
const words = { meal: 'Meal', pull: 'Pull', start: 'Start' }

/** From now to after the last meal; one batch alone from its first step, so that a short hold is no speck. */
function spanOf(rows: TimelineRow[], now: Date): [Date, Date] {
  const [only, another] = rows
  if (only && !another) {
    const first = Math.min(only.contact.getTime(), ...only.ticks.map((tick) => tick.at.getTime()))
    const begins = Math.max(hoursLater(now, -2).getTime(), first - FIRST_STEP_MS)
    return [new Date(begins), hoursLater(new Date(Math.max(only.meal.getTime(), now.getTime())), 3)]
  }
  const last = Math.max(hoursLater(now, 12).getTime(), ...rows.map((lane) => lane.meal.getTime()))
  return [hoursLater(now, -2), hoursLater(new Date(last), 7)]
}

/** Which hours of a day bear a line and a name, so that names stay apart. */
function hoursTold(days: number, width: number): number[] {
  const pxPerHour = width / (days * 24)
  const every = [1, 2, 3, 6, 12, 24].find((hours) => hours * pxPerHour >= LABEL_PX) ?? 24
  const first = every === 24 ? 12 : 0
  return Array.from({ length: 24 / every }, (_, at) => first + at * every)
}

const LABEL_PX = 96
const FIRST_STEP_MS = 3_600_000

const railWords = (rows: TimelineRow[], zone: string | undefined) =>
  rows.length === 0
    ? 'Nothing planned yet'
    : rows
        .map(
          (lane) =>
            `${lane.name}: in ${told(lane.contact, zone)}, out ${told(lane.pull, zone)}, meal ${told(lane.meal, zone)}`,
        )
        .join('. ')

interface LaneMarksProps {
  lane: TimelineRow
  y: number
  x: (moment: Date) => number
  names: number
  width: number
  current: boolean
  zone: string | undefined
}

function LaneMarks({ lane, y, x, names, width, current, zone }: LaneMarksProps) {
  const clamp = (moment: Date) => Math.min(width - 8, Math.max(names, x(moment)))
  const bar = (from: Date, to: Date, height: number, fill: string, opacity = 1) => (
    <rect
      x={clamp(from)}
      width={Math.max(0, clamp(to) - clamp(from))}
      y={y + 11 - height / 2}
      height={height}
      fill={fill}
      opacity={opacity}
    />
  )
  const visible = x(lane.closes) <= width - 8
  return (
    <g>
      {bar(lane.contact, lane.opens, 4, 'var(--quiet)', 0.6)}
      {bar(lane.opens, lane.bestFrom, 10, 'var(--enamel)', 0.45)}
      {bar(lane.bestFrom, lane.bestUntil, 16, 'var(--enamel)')}
      {bar(lane.bestUntil, lane.closes, 10, 'var(--enamel)', 0.45)}
      {visible && <rect x={x(lane.closes)} width="3" y={y + 1} height="20" fill="var(--stop)" />}
      {visible && x(lane.closes) + 16 + lane.ends.length * LETTER_PX < width && (
        <text x={x(lane.closes) + 8} y={y + 16} fontSize="14" fill="var(--stop)">
          {lane.ends}
        </text>
      )}
      {lane.ticks
        .filter((tick) => x(tick.at) >= names && x(tick.at) <= width - 8)
        .map((tick) => (
          <path key={tick.at.getTime()} d={`M${x(tick.at)} ${y + 17}v6`} stroke="var(--ink)" strokeWidth="2">
            <title>{`${told(tick.at, zone)} ${tick.says}`}</title>
          </path>
        ))}
      <path d={`M${x(lane.pull) - 5} ${y + 1}h10l-5 7z`} fill="var(--ink)" stroke="var(--raised)" />
      <path d={`M${x(lane.meal)} ${y}v22`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="3 3" />
      <text
        x={names > 0 ? 14 : 4}
        y={names > 0 ? y + 16 : y - 1}
        fontSize={names > 0 ? 15 : 13}
        fontFamily="Besley"
        fontWeight={current ? 700 : 500}
        fill="var(--ink)"
      >
        {lane.name}
      </text>
    </g>
  )
}
