import { memo } from 'react'
import type { Figure, Ingredient, Problem } from '../../api/client'
import { Faulty, Meant } from '../../components/Said'
import { Texture } from '../../components/Texture'
import { Working } from '../../components/Working'
import type { Line, Mark } from '../../lib/draft'
import { LineMenu, LockButton } from './LineMenu'
import type { Substance } from '../../lib/substances'

interface LedgerLineProps {
  line: Line
  item: Ingredient | undefined
  figure: Figure | undefined
  fault: Problem | undefined
  chosen: boolean
  deeds: LineDeeds
}

/** Deeds with a line; the same ones at every drawing, so that lines that stay as they are need not be drawn anew. */
export interface LineDeeds {
  choose: (id: string) => void
  type: (id: string, text: string) => void
  mark: (id: string, mark: Mark) => void
  swap: (line: Line) => void
  remove: (id: string) => void
}

const STRIP: Substance[] = ['salt', 'sugar', 'acid', 'fat', 'aroma']
/** A weight as the server tells it, "33 g" or "1 lb 2 oz": its last unit stands small beside it. */
const lastUnit = (shown: string) =>
  /^(?<number>.*) (?<unit>\S+)$/.exec(shown)?.groups ?? { number: shown, unit: '' }

/** One line of the ledger: grams in big figures, the ingredient, what was typed, what it brings. */
export const LedgerLine = memo(function LedgerLine({
  line,
  item,
  figure,
  fault,
  chosen,
  deeds,
}: LedgerLineProps) {
  const onType = (text: string) => {
    deeds.type(line.id, text)
  }
  const onMark = (mark: Mark) => {
    deeds.mark(line.id, mark)
  }
  return (
    <li
      className={`grid grid-cols-[4.6rem_minmax(0,1fr)_auto] max-[23rem]:grid-cols-[3.6rem_minmax(0,1fr)_auto] max-[23rem]:gap-x-2 items-center gap-x-3 wide:grid-cols-[5.2rem_minmax(0,1fr)_auto] wide:gap-x-4 border-b border-rule py-px ${chosen ? 'bg-raised' : ''}`}
    >
      <div
        className={`text-right font-bold whitespace-nowrap ${(item?.grams_shown.length ?? 0) > 7 ? 'text-[1.1rem]' : 'text-[1.45rem]'}`}
      >
        {item && figure ? (
          <Working name={item.name} figure={figure}>
            {lastUnit(item.grams_shown).number}
          </Working>
        ) : (
          <span aria-hidden className={fault ? 'text-stop' : 'text-quiet'}>
            {fault ? '?' : '…'}
          </span>
        )}
        {item && (
          <span className="ml-1 text-base font-normal text-quiet">{lastUnit(item.grams_shown).unit}</span>
        )}
      </div>
      <div className="min-w-0">
        <div className="flex flex-wrap items-baseline gap-x-3 wide:flex-nowrap">
          <span className="max-w-full min-w-24 truncate font-semibold">{item?.name ?? line.text}</span>
          {item?.guessed && item.band_shown !== null && (
            <button
              type="button"
              className="min-h-6 cursor-pointer whitespace-nowrap text-[0.9rem] text-warn underline decoration-dotted underline-offset-4"
              title={`Make it ${item.weighed}`}
              onClick={() => {
                onType(item.weighed)
              }}
            >
              guess, {item.band_shown}
            </button>
          )}
          <Marks line={line} />
          {item && <Strip item={item} />}
        </div>
        <input
          className="w-full truncate border-b border-transparent bg-transparent text-quiet hover:border-rule focus:border-enamel"
          value={line.text}
          aria-label={`What you wrote: ${line.text}`}
          aria-invalid={fault !== undefined}
          onFocus={() => {
            deeds.choose(line.id)
          }}
          onChange={(event) => {
            onType(event.target.value)
          }}
        />
        {fault && (
          <p className="text-[0.95rem]" role="status">
            <Faulty fault={fault} />
            <Meant choices={fault.choices} onTake={onType} />
          </p>
        )}
      </div>
      <div className="flex max-[23rem]:flex-col">
        <LockButton line={line} onMark={onMark} />
        <LineMenu
          line={line}
          onMark={onMark}
          onSwap={() => {
            deeds.swap(line)
          }}
          onRemove={() => {
            deeds.remove(line.id)
          }}
        />
      </div>
    </li>
  )
})

const TOLD: Record<Mark, string> = { locked: 'amount fixed', lifted: 'fished out', first: 'first step' }

/** What was said about a line besides its amount. */
function Marks({ line }: { line: Line }) {
  const on = (['locked', 'lifted', 'first'] as const).filter((mark) => line[mark] === 'yes')
  if (on.length === 0) return null
  return (
    <span className="whitespace-nowrap text-[0.9rem] text-enamel">
      {on.map((mark) => TOLD[mark]).join(', ')}
    </span>
  )
}

/** Which substances a line is made of, as a small strip. */
function Strip({ item }: { item: Ingredient }) {
  const brought = STRIP.map((name) => ({
    name,
    amount: item[`${name}_g_per_kg` as keyof Ingredient] as number,
  })).filter((part) => part.amount > 0.05)
  const total = brought.reduce((sum, part) => sum + part.amount, 0)
  return (
    <span className="ml-auto hidden h-3 w-24 shrink-0 gap-px wider:flex" aria-hidden>
      {brought.map((part) => (
        <span key={part.name} className="block h-full" style={{ width: `${(part.amount / total) * 100}%` }}>
          <Texture substance={part.name} />
        </span>
      ))}
    </span>
  )
}
