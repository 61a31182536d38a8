import { useId, useState } from 'react'
import type { PantryItem } from '../../api/client'
import { Badge } from '../../components/Badge'
import { OwnActions } from './OwnActions'
import { substances, type Substance } from '../../lib/substances'

/** One ingredient: name, strip, spoon; opened, all its figures with their sources. */
export function PantryRow({ item }: { item: PantryItem }) {
  const [open, setOpen] = useState(false)
  const figures = useId()
  return (
    <li className="border-b border-rule [contain-intrinsic-height:auto_3.6rem] [content-visibility:auto]">
      <button
        type="button"
        aria-expanded={open}
        aria-controls={open ? figures : undefined}
        onClick={() => {
          setOpen(!open)
        }}
        className="grid min-h-14 w-full grid-cols-[minmax(0,1fr)] cursor-pointer items-center gap-x-5 py-1 text-left wide:grid-cols-[minmax(0,1fr)_minmax(0,18rem)_minmax(0,9rem)_minmax(0,9rem)]"
      >
        <span>
          <span className="block text-[1.1rem] font-semibold">
            {item.name}
            {item.own && <span className="ml-2 text-[0.9rem] font-normal text-enamel">mine</span>}
          </span>
          <span className="block truncate text-[0.9rem] text-quiet">{item.also_called.join(', ')}</span>
        </span>
        <MakeUp item={item} />
        <span className="hidden wide:block">
          <b>{item.teaspoon}</b> <span className="text-quiet">a teaspoon</span>
        </span>
        <span className="hidden text-quiet wide:block">{item.allergens.join(', ')}</span>
      </button>
      {open && <Figures id={figures} item={item} />}
    </li>
  )
}

/** All its figures, with their sources. */
function Figures({ id, item }: { id: string; item: PantryItem }) {
  return (
    <div id={id} className="grid gap-x-8 gap-y-1 pb-4 wide:grid-cols-3">
      {item.parts.map((part) => (
        <Fact key={part.substance} name={substances[part.substance as Substance].name} value={part.shown} />
      ))}
      <Fact name="Water" value={`${item.water_g_per_100g.toFixed(0)} %`} />
      {item.ph != null && <Fact name="pH" value={item.ph.toFixed(1)} />}
      <Fact name="A teaspoon" value={item.teaspoon} />
      {item.pieces.map((piece) => (
        <Fact key={piece} name="Counted as" value={piece} />
      ))}
      {item.enzyme != null && <Fact name="Live enzyme" value={item.enzyme} />}
      {item.heat != null && <Fact name="Heat" value={item.heat} />}
      {item.dose != null && <Fact name="Usual dose" value={item.dose} />}
      {item.allergens.length > 0 && <Fact name="Allergens" value={item.allergens.join(', ')} />}
      {item.allergens_to_check.length > 0 && (
        <Fact name="Read the label for" value={item.allergens_to_check.join(', ')} />
      )}
      {item.remarks.length > 0 && <Fact name="Mind" value={item.remarks.join(', ')} />}
      <Fact name="Source" value={item.sources.join(', ')} />
      <Fact name="How sure" value={item.confidence} />
      <OwnActions item={item} />
    </div>
  )
}

/** The make-up per 100 g as a strip: what is blank is water and the rest. */
function MakeUp({ item }: { item: PantryItem }) {
  const isAroma = /aromatic|herb|spice|chilli/.test(item.group)
  const words = item.parts.map((part) => `${part.substance} ${part.shown}`).join(', ')
  return (
    <span className="flex items-center gap-2">
      <span
        role="img"
        aria-label={words === '' ? 'no salt, sugar, acid or fat' : words}
        className="flex h-5 w-52 border border-rule bg-raised"
      >
        <Strip parts={item.parts} />
      </span>
      {item.enzyme != null && <Badge substance="enzyme" />}
      {isAroma && <Badge substance="aroma" />}
    </span>
  )
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <p className="flex justify-between gap-4 border-t border-rule py-0.5">
      <span className="text-quiet">{name}</span>
      <span className="text-right font-semibold">{value}</span>
    </p>
  )
}

/** Each part as wide as its share, in its colour and texture: one drawing, since there are hundreds of rows. */
function Strip({ parts }: { parts: PantryItem['parts'] }) {
  const ends = parts.map((_, place) =>
    parts.slice(0, place + 1).reduce((sum, part) => sum + part.g_per_100g, 0),
  )
  return (
    <svg className="block size-full" aria-hidden>
      {parts.map((part, place) => {
        const field = {
          x: `${(ends[place] ?? 0) - part.g_per_100g}%`,
          width: `${part.g_per_100g}%`,
          height: '100%',
        }
        return (
          <g key={part.substance}>
            <rect {...field} style={{ fill: `var(--${part.substance})` }} />
            <rect {...field} fill={`url(#texture-${part.substance})`} />
          </g>
        )
      })}
    </svg>
  )
}
