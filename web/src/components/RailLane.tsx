import { told } from '../lib/clock'
import type { TimelineRow } from './Rail'

const LETTER_PX = 7

interface RailLaneProps {
  lane: TimelineRow
  y: number
  x: (moment: Date) => number
  names: number
  width: number
  current: boolean
  zone: string | undefined
}

/** One batch on the rail: its window, its steps as ticks, its pull and its meal. */
export function RailLane({ lane, y, x, names, width, current, zone }: RailLaneProps) {
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
  const isShown = (moment: Date) => x(moment) >= names && x(moment) <= width - 8
  const visible = isShown(lane.closes)
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
        .filter((tick) => isShown(tick.at))
        .map((tick) => (
          <path
            key={tick.at.getTime()}
            d={`M${x(tick.at)} ${y + 17}v6`}
            stroke="var(--ink)"
            strokeWidth="2"
          />
        ))}
      {x(lane.contact) > width - 8 && (
        <text x={width - 10} y={y + 16} fontSize="14" textAnchor="end" fill="var(--quiet)">
          {`in at ${told(lane.contact, zone)} ›`}
        </text>
      )}
      {isShown(lane.pull) && (
        <path d={`M${x(lane.pull) - 5} ${y + 1}h10l-5 7z`} fill="var(--ink)" stroke="var(--raised)" />
      )}
      {isShown(lane.meal) && (
        <path d={`M${x(lane.meal)} ${y}v22`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="3 3" />
      )}
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
