import type { ReactNode } from 'react'
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
  figure: ReactNode
  chosenLine: string | undefined
  onChooseLine: (line: string) => void
}

/** Parts shorter than this share of the rule are told in the working, not drawn. */
const SLIVER = 0.008

const short = (name: string) => name.split(/[,(]/)[0]?.trim() ?? name

/** One substance on a rule: the target an open span, the present a filled mark, its parts end to end. */
export function SpanRule({
  substance,
  value,
  targetLow,
  targetHigh,
  end,
  parts,
  figure,
  chosenLine,
  onChooseLine,
}: SpanRuleProps) {
  const place = (amount: number) => `${Math.min(100, (amount / end) * 100)}%`
  const biggest = parts.filter((part) => part.g_per_kg > SLIVER * end).sort((a, b) => b.g_per_kg - a.g_per_kg)
  return (
    <section aria-label={substances[substance].name}>
      <div className="flex items-baseline gap-3">
        <span className="self-center">
          <Badge substance={substance} />
        </span>
        <h2 className="grow font-sans! text-[1.05rem] font-semibold">{substances[substance].name}</h2>
        <span className="text-[1.3rem] font-bold">{figure}</span>
      </div>
      <div className="relative h-8" aria-hidden>
        <div className="absolute inset-x-0 top-2.5 h-px bg-quiet" />
        {targetLow !== null && targetHigh !== null && (
          <Target left={place(targetLow)} right={place(targetHigh)} />
        )}
        <div
          className="moves absolute top-0 -ml-2 size-4 translate-y-0.5 rotate-45 border-2 border-raised"
          style={{ left: place(value), background: `var(--${substance})` }}
        />
      </div>
      <ul className="relative -mt-4 flex h-6 gap-px">
        {biggest.map((part) => (
          <li key={part.line_id} className="moves min-w-px" style={{ width: place(part.g_per_kg) }}>
            <button
              type="button"
              tabIndex={-1}
              title={`${short(part.name)}: ${part.g_per_kg.toFixed(1)} g/kg`}
              aria-label={`${short(part.name)}: ${part.g_per_kg.toFixed(1)} g/kg`}
              className={`block h-4 w-full cursor-pointer ${chosenLine === part.line_id ? 'outline-3 outline-ink' : ''}`}
              onClick={() => {
                onChooseLine(part.line_id)
              }}
            >
              <Texture substance={substance} />
            </button>
          </li>
        ))}
      </ul>
      <p className="-mt-1 truncate text-[0.85rem] leading-tight text-quiet">
        {biggest.length === 0
          ? 'none'
          : biggest
              .slice(0, 3)
              .map((part) => short(part.name))
              .join(' · ') + (biggest.length > 3 ? ` · ${biggest.length - 3} more` : '')}
      </p>
    </section>
  )
}

function Target({ left, right }: { left: string; right: string }) {
  return (
    <>
      <div className="moves absolute top-0 h-5 w-2 border-y-2 border-l-2 border-ink" style={{ left }} />
      <div
        className="moves absolute top-0 -ml-2 h-5 w-2 border-y-2 border-r-2 border-ink"
        style={{ left: right }}
      />
    </>
  )
}
