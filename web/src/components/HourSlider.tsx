interface HourSliderProps {
  hours: number[]
  /** The hours in words, and what stands where by each. */
  shown: string[]
  says: string[]
  at: number
  onMove: (index: number) => void
}

/** Time to drag along: arrow keys move to the next hour that was worked out. */
export function HourSlider({ hours, shown, says, at, onMove }: HourSliderProps) {
  return (
    <label className="flex items-center gap-4">
      <span className="w-24 text-[1.5rem] font-bold whitespace-nowrap">{shown[at]}</span>
      <input
        type="range"
        className="h-12 min-w-0 grow accent-enamel"
        min={0}
        max={hours.length - 1}
        step={1}
        value={at}
        aria-label="Hour to look at"
        aria-valuetext={says[at]}
        onChange={(event) => {
          onMove(Number(event.target.value))
        }}
      />
    </label>
  )
}

/** The index of the hour nearest to one. */
export function nearest(hours: number[], hour: number): number {
  return hours.reduce(
    (best, known, index) =>
      Math.abs(known - hour) < Math.abs((hours[best] ?? Infinity) - hour) ? index : best,
    0,
  )
}
