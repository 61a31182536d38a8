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
          {at(stretch.to - stretch.from) > 7 && (
            <div className="px-1 text-[0.9rem] text-quiet">{stretch.name}</div>
          )}
        </div>
      ))}
      <Mark at={at(opens)} label={earliest.shown} lower />
      <Mark at={at((best.low_hours + best.high_hours) / 2)} label={best.shown} lower strong />
      <div className="absolute top-0 h-12 w-1 bg-stop" style={{ left: `${at(closes)}%` }} />
      <Mark at={at(closes)} label={latest.shown} lower strong />
    </div>
  )
}

function Mark({
  at,
  label,
  strong = false,
  lower = false,
}: {
  at: number
  label: string
  strong?: boolean
  lower?: boolean
}) {
  return (
    <div
      className={`absolute -translate-x-1/2 whitespace-nowrap ${lower ? 'top-16' : 'top-0'} ${strong ? 'font-bold' : ''}`}
      style={{ left: `${Math.min(96, Math.max(3, at))}%` }}
    >
      {label}
    </div>
  )
}
