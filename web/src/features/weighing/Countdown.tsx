import { onScale } from '../../lib/told'

interface CountdownProps {
  left: number
  tolerance: number
  target: number
  settled: boolean
}

/** What the grams are: still to go, or over; and whether it is near enough. */
function toGo(left: number, there: boolean): string {
  const way = left < 0 ? 'over' : 'to go'
  return there ? `${way}: enough` : left < 0 ? 'too much' : way
}

/** The big figure: grams still to go, nothing, or too much; and how far along it is. */
export function Countdown({ left, tolerance, target, settled }: CountdownProps) {
  const over = left < -tolerance
  const there = Math.abs(left) <= tolerance
  const { number, unit } = onScale(Math.abs(left), target)
  const share = Math.min(1.15, Math.max(0, (target - left) / target))
  return (
    <div className="py-1">
      <p
        className={`text-[clamp(5rem,20vw,10.5rem)] leading-none font-bold tabular-nums ${over ? 'text-stop' : ''} ${settled ? '' : 'opacity-70'}`}
        aria-live="off"
      >
        {number}
        <span className="ml-3 text-[2rem] font-semibold">
          {unit} {toGo(left, there)}
        </span>
      </p>
      <svg viewBox="0 0 1150 26" className="h-6 w-full" aria-hidden preserveAspectRatio="none">
        <rect x="0" y="8" width="1150" height="10" fill="var(--rule)" />
        <rect x="0" y="4" width={share * 1000} height="18" fill={over ? 'var(--stop)' : 'var(--enamel)'} />
        <rect
          x={1000 - (tolerance / target) * 1000}
          y="0"
          width={Math.max(6, (tolerance / target) * 2000)}
          height="26"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
        />
      </svg>
    </div>
  )
}
