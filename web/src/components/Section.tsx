import { saltAt, rulerStep, type Profile } from '../lib/depth'

interface Piece {
  shape: 'slab' | 'cube'
  thickness_mm: number
  width_mm: number
  blocked_faces: number
}

interface SectionProps {
  piece: Piece
  salt?: Profile | null | undefined
  /** Space for the drawing of the cut itself, in px. */
  room: { width: number; height: number }
}

const MARGIN = 34
const DOT_PX = 9
const FULL_DOT_AT = 22

/** The cut, cut through at its thickest place and true to scale, with a ruler; salt as dots that grow. */
export function Section({ piece, salt, room }: SectionProps) {
  const scale = Math.min(room.height / piece.thickness_mm, 9)
  const height = piece.thickness_mm * scale
  const whole = piece.width_mm * scale
  const width = Math.min(whole, room.width)
  const torn = whole > room.width
  const bone = piece.blocked_faces > 0
  const label = `Section to scale, ${piece.thickness_mm.toFixed(0)} mm thick${bone ? ', bone along one face' : ''}`
  return (
    <svg
      viewBox={`${-MARGIN} -10 ${width + MARGIN + 20} ${height + MARGIN + 34}`}
      width={width + MARGIN + 20}
      className="max-w-full"
      role="img"
      aria-label={label}
    >
      <path d={outline(width, height, torn)} fill="var(--flesh)" />
      {salt && <Dots profile={salt} piece={piece} scale={scale} width={width} height={height} torn={torn} />}
      <path d={outline(width, height, torn)} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {bone && <Bone width={width} height={height} />}
      <Ruler length={height} scale={scale} total={piece.thickness_mm} upright />
      <g transform={`translate(0 ${height + (bone ? 20 : 8)})`}>
        <Ruler length={width} scale={scale} total={width / scale} />
      </g>
    </svg>
  )
}

/** A piece with soft corners; a torn right edge where the drawing leaves the rest out. */
function outline(width: number, height: number, torn: boolean): string {
  const r = Math.min(10, height / 4)
  if (!torn)
    return `M${r} 0H${width - r}Q${width} 0 ${width} ${r}V${height - r}Q${width} ${height} ${width - r} ${height}H${r}Q0 ${height} 0 ${height - r}V${r}Q0 0 ${r} 0Z`
  const step = height / 4
  return `M${r} 0H${width}q-7 ${step / 2} 0 ${step}q7 ${step / 2} 0 ${step}q-7 ${step / 2} 0 ${step}q7 ${step / 2} 0 ${step}H${r}Q0 ${height} 0 ${height - r}V${r}Q0 0 ${r} 0Z`
}

/** Distance to the nearest open face that the drawing shows; sides of a slab count as closed. */
function depthAt(piece: Piece, x: number, y: number, scale: number, width: number, height: number): number {
  const faces = [y]
  if (piece.blocked_faces === 0) faces.push(height - y)
  if (piece.shape === 'cube') faces.push(x, width - x)
  return Math.min(...faces) / scale
}

interface DotsProps {
  profile: Profile
  piece: Piece
  scale: number
  width: number
  height: number
  torn: boolean
}

function Dots({ profile, piece, scale, width, height, torn }: DotsProps) {
  const columns = Math.floor(width / DOT_PX)
  const rows = Math.max(2, Math.floor(height / DOT_PX))
  const dots = Array.from({ length: columns * rows }, (_, index) => {
    const row = Math.floor(index / columns)
    const x = ((index % columns) + (row % 2 ? 0.75 : 0.3)) * (width / columns)
    const y = (row + 0.5) * (height / rows)
    const share = saltAt(profile, depthAt(piece, x, y, scale, width, height)) / FULL_DOT_AT
    return { x, y, radius: Math.min(DOT_PX / 2, 0.3 + Math.sqrt(share) * (DOT_PX / 2 - 0.4)) }
  })
  return (
    <g fill="var(--salt)">
      {dots
        .filter((dot) => dot.x < width - (torn ? 9 : 3))
        .map((dot, index) => (
          <circle key={index} cx={dot.x} cy={dot.y} r={dot.radius} />
        ))}
    </g>
  )
}

function Bone({ width, height }: { width: number; height: number }) {
  return (
    <g>
      <rect
        x="0"
        y={height}
        width={width}
        height="12"
        fill="url(#bone)"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <text
        x={width / 2}
        y={height + 10}
        textAnchor="middle"
        fontSize="11"
        fill="var(--ink)"
        fontWeight="600"
      >
        bone
      </text>
    </g>
  )
}

interface RulerProps {
  length: number
  scale: number
  total: number
  upright?: boolean
}

function Ruler({ length, scale, total, upright = false }: RulerProps) {
  const step = rulerStep(total)
  const marks = Array.from({ length: Math.floor(total / step) + 1 }, (_, index) => index * step)
  return (
    <g stroke="var(--ink)" fill="var(--quiet)" fontSize="13">
      <path d={upright ? `M-8 0V${length}` : `M0 6H${length}`} strokeWidth="1.2" />
      {marks.map((mark) => (
        <g key={mark} transform={upright ? `translate(-8 ${mark * scale})` : `translate(${mark * scale} 6)`}>
          <path d={upright ? 'M0 0H-6' : 'M0 0V6'} />
          <text
            stroke="none"
            x={upright ? -9 : 0}
            y={upright ? 4 : 20}
            textAnchor={upright ? 'end' : 'middle'}
          >
            {mark}
            {mark === 0 && !upright ? ' mm' : ''}
          </text>
        </g>
      ))}
    </g>
  )
}
