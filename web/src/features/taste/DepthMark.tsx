interface DepthMarkProps {
  /** From the face to the point reached last, in mm. */
  middle: number
  model: number | null
  value: string
  onMark: (depth: string) => void
}

const WIDE = 600

/** From the face to the middle: how deep seasoning shows on the knife, beside what the model tells. */
export function DepthMark({ middle, model, value, onMark }: DepthMarkProps) {
  const through = value === 'through'
  const marked = through ? middle : Number.parseFloat(value)
  const x = (depth: number) => (Math.min(depth, middle) / middle) * WIDE
  return (
    <div className="py-1 wide:flex wide:items-start wide:gap-3">
      <span className="block shrink-0 pt-2 text-quiet wide:w-24">on the knife</span>
      <div className="grow">
        <svg
          viewBox={`0 0 ${WIDE} 44`}
          className="w-full"
          role="img"
          aria-label={`From the face to the middle, ${middle.toFixed(0)} mm`}
        >
          <rect width={WIDE} height="28" fill="var(--flesh)" stroke="var(--ink)" />
          {!Number.isNaN(marked) && <rect width={x(marked)} height="28" fill="var(--salt)" opacity="0.55" />}
          {model !== null && (
            <path d={`M${x(model)} 0v32`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="5 4" />
          )}
          <text x="2" y="42" fontSize="13" fill="var(--quiet)">
            face
          </text>
          {model !== null && (
            <text x={Math.min(x(model) + 4, WIDE - 170)} y="42" fontSize="13" fill="var(--quiet)">
              the model tells {model.toFixed(0)} mm
            </text>
          )}
          <text x={WIDE - 2} y="42" fontSize="13" textAnchor="end" fill="var(--quiet)">
            {model !== null && x(model) > WIDE - 240 ? '' : `middle, ${middle.toFixed(0)} mm`}
          </text>
        </svg>
        <div className="flex flex-wrap items-center gap-4">
          <input
            type="range"
            className="h-11 grow accent-enamel"
            aria-label="Depth seen on the knife"
            aria-valuetext={value === '' ? 'not said' : through ? 'right through' : value}
            min={0}
            max={Math.ceil(middle * 2)}
            value={Number.isNaN(marked) ? 0 : marked * 2}
            onChange={(event) => {
              onMark(`${Number(event.target.value) / 2} mm`)
            }}
          />
          <b className="w-24">{value === '' ? 'not said' : through ? 'right through' : value}</b>
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-6 accent-enamel"
              checked={through}
              onChange={(event) => {
                onMark(event.target.checked ? 'through' : '')
              }}
            />
            right through
          </label>
        </div>
      </div>
    </div>
  )
}
