import { onScale } from '../../lib/told'
import type { WeighLine } from '../../api/client'

interface CountdownProps {
  line: WeighLine
  shown: number
  settled: boolean
}

const LENGTH = 1000 // of the target on the bar, in its own units

/** What the grams are: still to go, or over; and whether it is near enough. */
function toGo(left: number, there: boolean): string {
  const way = left < 0 ? 'over' : 'to go'
  return there ? `${way}: enough` : left < 0 ? 'too much' : way
}

/** The big figure: grams still to go, nothing, or too much; and how far along it is, with the mark of enough. */
export function Countdown({ line, shown, settled }: CountdownProps) {
  const { left_g, enough_from_g: enough, enough_to_g: most, target_g: target } = line
  const left = left_g - shown
  const over = shown > most
  const there = shown >= enough && !over
  const { number, unit } = onScale(Math.abs(left), target)
  const along = (grams: number): number => ((target - left_g + grams) / target) * LENGTH
  return (
    <div className="py-1">
      <p
        className={`text-[clamp(5rem,20vw,10.5rem)] short:text-[clamp(3.5rem,16vh,10.5rem)] leading-none font-bold tabular-nums ${over ? 'text-stop' : ''} ${settled ? '' : 'opacity-70'}`}
        aria-live="off"
      >
        {number}
        <span className="ml-3 text-[2rem] font-semibold">
          {unit} {toGo(left, there)}
        </span>
      </p>
      <svg viewBox="0 0 1150 26" className="h-6 w-full" aria-hidden preserveAspectRatio="none">
        <rect x="0" y="8" width="1150" height="10" fill="var(--rule)" />
        <rect
          x="0"
          y="4"
          width={Math.min(1150, Math.max(0, along(shown)))}
          height="18"
          fill={over ? 'var(--stop)' : 'var(--enamel)'}
        />
        <rect
          x={along(enough)}
          y="0"
          width={Math.max(6, along(most) - along(enough))}
          height="26"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
        />
      </svg>
    </div>
  )
}
