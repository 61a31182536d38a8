import { Marks } from './Marks'

interface Edge {
  shown: string
  says: string
  low_hours: number
  high_hours: number
}

export interface RibbonProps {
  earliest: Edge
  best: Edge
  latest: Edge
  opens: number
  closes: number
}

/** The window along the hours: early, working, best, fading, stop, told apart by height and edge. */
export function Ribbon({ earliest, best, latest, opens, closes }: RibbonProps) {
  const end = closes * 1.12
  const at = (hours: number) => (hours / end) * 100
  const stretches = [
    { name: 'early', from: 0, to: opens, look: 'h-1.5 bg-rule' },
    { name: 'working', from: opens, to: best.low_hours, look: 'h-5 bg-enamel/45' },
    { name: 'best', from: best.low_hours, to: best.high_hours, look: 'h-9 bg-enamel' },
    {
      name: 'fading',
      from: best.high_hours,
      to: closes,
      look: 'h-5 bg-enamel/45 border-t-2 border-dashed border-raised',
    },
  ].filter((stretch) => stretch.to > stretch.from)
  const label = `Opens at ${earliest.shown}, best at ${best.shown}, ends at ${latest.shown}`
  return (
    <div role="img" aria-label={label} className="relative mt-1 h-22 forced-color-adjust-none">
      {stretches.map((stretch) => (
        <div
          key={stretch.name}
          className="absolute inset-y-0"
          style={{ left: `${at(stretch.from)}%`, width: `${at(stretch.to - stretch.from)}%` }}
        >
          <div className="grid h-10 items-center">
            <div className={stretch.look} />
          </div>
          {/* A word that does not fit wraps below what is seen. */}
          <div className="flex h-6 flex-wrap overflow-hidden text-[0.9rem] text-quiet">
            <span className="h-6 w-1" />
            <span className="h-6 whitespace-nowrap">{stretch.name}</span>
          </div>
        </div>
      ))}
      <div className="absolute top-0 h-12 w-1 bg-stop" style={{ left: `${at(closes)}%` }} />
      <Marks
        marks={[
          { at: at(opens), says: earliest.shown },
          { at: at((best.low_hours + best.high_hours) / 2), says: best.shown, strong: true },
          { at: at(closes), says: latest.shown, strong: true },
        ]}
      />
    </div>
  )
}
