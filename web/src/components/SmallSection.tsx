/** A cut as a small section to scale: its shape, its bone, its skin or fat; so that two are told apart at a glance. */
export function SmallSection({
  shape,
  bone,
  cover,
  thicknessMm,
}: {
  shape: string
  bone: string
  cover: string
  thicknessMm: number
}) {
  const high = Math.min(44, Math.max(8, thicknessMm * 0.55))
  const round = ['cylinder', 'ball', 'irregular'].includes(shape)
  const wide = shape === 'cube' || shape === 'ball' ? high : Math.min(84, high * (round ? 1.5 : 3.2))
  const [left, top] = [(88 - wide) / 2, (48 - high) / 2]
  return (
    <svg viewBox="0 0 88 48" className="h-12 w-22 shrink-0" aria-hidden>
      <rect
        x={left}
        y={top}
        width={wide}
        height={high}
        rx={round ? high / 2 : 3}
        className="fill-(--flesh) stroke-ink"
        strokeWidth="1.5"
      />
      {cover !== 'none' && (
        <path
          d={`M${left + high / 3} ${top + 1.5}H${left + wide - high / 3}`}
          className="stroke-ink"
          strokeWidth="4"
        />
      )}
      {bone === 'core' && (
        <ellipse cx="44" cy="24" rx={high / 5} ry={high / 6} className="fill-raised stroke-ink" />
      )}
      {bone === 'edge' && (
        <rect
          x={left + 2}
          y={top + 2}
          width={wide / 7}
          height={high - 4}
          className="fill-raised stroke-ink"
        />
      )}
      {bone === 'face' && (
        <rect
          x={left + 4}
          y={top + high - 6}
          width={wide - 8}
          height="5"
          className="fill-raised stroke-ink"
        />
      )}
      {bone === 'ribs' &&
        [0.2, 0.5, 0.8].map((at) => (
          <circle
            key={at}
            cx={left + wide * at}
            cy={top + high - 5}
            r={Math.min(5, high / 4)}
            className="fill-raised stroke-ink"
          />
        ))}
    </svg>
  )
}
