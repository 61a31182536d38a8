import { type ReactNode, useRef, useState } from 'react'
import { substances, type Substance } from '../lib/substances'
import { Badge } from './Badge'
import { Texture } from './Texture'

interface Part {
  line_id: string
  name: string
  g_per_kg: number
}

interface SpanRuleProps {
  substance: Substance
  value: number
  targetLow: number | null
  targetHigh: number | null
  end: number
  parts: Part[]
  unit: string
  figure: ReactNode
  /** As much as the last good batch of the same dish had. */
  before?: { value: number; shown: string } | undefined
  chosenLine: string | undefined
  onChooseLine: (line: string) => void
  /** Given where the mark may be moved: asks for amounts that bring so much. */
  onAsk: ((value: number) => void) | undefined
}

/** Parts shorter than this share of the rule are told in the working, not drawn. */
const SLIVER = 0.008

const short = (name: string) => name.split(/[,(]/)[0]?.trim() ?? name

/** One substance on a rule: the target an open span, the present a filled mark, its parts end to end. */
export function SpanRule(props: SpanRuleProps) {
  const { substance, value, end, parts, unit, figure, chosenLine, onChooseLine } = props
  const place = (amount: number) => `${Math.min(100, (amount / end) * 100)}%`
  const biggest = parts.filter((part) => part.g_per_kg > SLIVER * end).sort((a, b) => b.g_per_kg - a.g_per_kg)
  const name = substances[substance].name
  if (value <= 0 && props.targetLow === null)
    return (
      <section aria-label={name} className="flex items-baseline gap-3 text-quiet">
        <span className="self-center opacity-60">
          <Badge substance={substance} />
        </span>
        <h2 className="grow font-sans! text-[1.05rem] font-semibold">{name}</h2>
        none
      </section>
    )
  const told = biggest
    .slice(0, 3)
    .map((part) => short(part.name))
    .join(' · ')
  return (
    <section aria-label={name}>
      <div className="flex items-baseline gap-3">
        <span className="self-center">
          <Badge substance={substance} />
        </span>
        <h2 className="font-sans! text-[1.05rem] font-semibold">{name}</h2>
        <span className="min-w-0 grow truncate text-[0.85rem] text-quiet">
          {told}
          {biggest.length > 3 && ` · ${biggest.length - 3} more`}
        </span>
        {props.before && (
          <span className="text-[0.85rem] whitespace-nowrap text-quiet">
            <span aria-hidden>◇</span> was {props.before.shown}
          </span>
        )}
        <span className="text-[1.3rem] font-bold whitespace-nowrap">{figure}</span>
      </div>
      <Mark {...props} place={place} />
      <ul className="relative -mt-4 flex h-5 gap-px">
        {biggest.map((part) => (
          <li key={part.line_id} className="moves min-w-px" style={{ width: place(part.g_per_kg) }}>
            <button
              type="button"
              tabIndex={-1}
              title={`${short(part.name)}: ${part.g_per_kg.toFixed(1)} ${unit}`}
              aria-label={`${short(part.name)}: ${part.g_per_kg.toFixed(1)} ${unit}`}
              className={`hit block h-4 w-full cursor-pointer ${chosenLine === part.line_id ? 'outline-3 outline-ink' : ''}`}
              onClick={() => {
                onChooseLine(part.line_id)
              }}
            >
              <Texture substance={substance} />
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}

interface MarkProps extends SpanRuleProps {
  place: (amount: number) => string
}

/** The rule with its target and the mark; where amounts can be asked for, the mark moves by drag and by keys. */
function Mark({ substance, value, targetLow, targetHigh, end, before, onAsk, place }: MarkProps) {
  const rule = useRef<HTMLDivElement>(null)
  const [wanted, setWanted] = useState<number>()
  const shown = wanted ?? value
  const step = end / 100
  const within = (amount: number) => Math.min(end, Math.max(0, Math.round(amount / step) * step))
  const at = (clientX: number) => {
    const box = rule.current?.getBoundingClientRect()
    return box ? within(((clientX - box.left) / box.width) * end) : value
  }
  const finish = (amount: number | undefined) => {
    setWanted(undefined)
    if (amount !== undefined && onAsk) onAsk(amount)
  }
  const moves: Record<string, number> = {
    ArrowRight: 1,
    ArrowUp: 1,
    ArrowLeft: -1,
    ArrowDown: -1,
    PageUp: 10,
    PageDown: -10,
  }
  const look = {
    left: place(shown),
    background: `var(--${substance})`,
  }
  const diamond =
    'absolute top-0 -ml-2 size-4 translate-y-0.5 rotate-45 border-2 border-raised touch-none ' +
    (wanted === undefined ? 'moves' : 'outline-2 outline-ink')
  return (
    <div ref={rule} className="relative h-7">
      <div aria-hidden className="absolute inset-x-0 top-2.5 h-px bg-quiet" />
      {targetLow !== null && targetHigh !== null && (
        <Target left={place(targetLow)} right={place(targetHigh)} />
      )}
      {before && (
        <span
          aria-hidden
          className="moves absolute top-0 -ml-2 size-4 translate-y-0.5 rotate-45 border-2 border-ink"
          style={{ left: place(before.value) }}
        />
      )}
      {onAsk === undefined ? (
        <div aria-hidden className={diamond} style={look} />
      ) : (
        <div
          role="slider"
          tabIndex={0}
          aria-label={`${substances[substance].name} wanted in the mix`}
          aria-valuemin={0}
          aria-valuemax={end}
          aria-valuenow={shown}
          aria-valuetext={
            wanted === undefined
              ? `${value.toFixed(1)} g/kg`
              : `${wanted.toFixed(1)} g/kg; Enter works out the amounts`
          }
          className={`${diamond} cursor-ew-resize`}
          style={look}
          onKeyDown={(event) => {
            const by = moves[event.key]
            if (by !== undefined) setWanted(within(shown + by * step))
            else if (event.key === 'Enter') finish(wanted)
            else if (event.key === 'Escape') setWanted(undefined)
            else return
            event.preventDefault()
            event.stopPropagation()
          }}
          onBlur={() => {
            setWanted(undefined)
          }}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            setWanted(at(event.clientX))
          }}
          onPointerMove={(event) => {
            if (event.currentTarget.hasPointerCapture(event.pointerId)) setWanted(at(event.clientX))
          }}
          onPointerUp={(event) => {
            event.currentTarget.releasePointerCapture(event.pointerId)
            finish(wanted)
          }}
        />
      )}
      {wanted !== undefined && (
        <span
          aria-hidden
          className="absolute -top-4 -ml-8 w-16 bg-paper text-center text-[0.95rem] font-bold"
          style={{ left: place(wanted) }}
        >
          {wanted.toFixed(1)}
        </span>
      )}
    </div>
  )
}

function Target({ left, right }: { left: string; right: string }) {
  return (
    <span aria-hidden>
      <span className="moves absolute top-0 h-5 w-2 border-y-2 border-l-2 border-ink" style={{ left }} />
      <span
        className="moves absolute top-0 -ml-2 h-5 w-2 border-y-2 border-r-2 border-ink"
        style={{ left: right }}
      />
    </span>
  )
}
