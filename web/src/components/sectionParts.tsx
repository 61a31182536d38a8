import { boneHalfWidth, deepestPoint, isRound, type Drawn, type Face } from '../lib/outline'
import { rulerMarks } from '../lib/ruler'
import type { System } from '../lib/units'

export interface Score {
  depth_mm: number
  spacing_mm: number
  crosswise: boolean
  through_skin: boolean
}

export interface DrawnPiece {
  shape: string
  thickness_mm: number
  width_mm: number
  bone: string
  bone_radius_mm: number
  cover: string
  cover_all_round: boolean
  open_faces: readonly Face[]
  scores: Score[]
}

export const BONE_PX = 12
const LABEL_PX = 32
export const COVER_PX: Record<string, number> = { skin: 5, fat: 10, rind: 9, membrane: 3, shell: 5 }

/** Skin, fat or membrane, all round or on one side. */
export function Cover({ piece, drawn, path }: { piece: DrawnPiece; drawn: Drawn; path: string }) {
  const thick = COVER_PX[piece.cover]
  if (thick === undefined) return null
  const name = piece.cover
  const colour = piece.cover === 'fat' ? 'var(--bone)' : 'var(--aroma)'
  if (piece.cover_all_round) {
    return (
      <g>
        <path d={path} fill="none" stroke={colour} strokeWidth={thick * 2} opacity="0.75" />
        <Label x={drawn.width / 2} y={-6} text={`${name} all round`} />
      </g>
    )
  }
  const above = !drawn.coverBelow
  if (isRound(drawn) || drawn.shape === 'irregular') {
    return (
      <g>
        <clipPath id="covered">
          <rect
            x="-20"
            width={drawn.width + 40}
            y={above ? -20 : drawn.height * 0.72}
            height={above ? 20 + drawn.height * 0.45 : drawn.height}
          />
        </clipPath>
        <path d={path} fill="none" stroke={colour} strokeWidth={thick * 2} clipPath="url(#covered)" />
        <Label x={drawn.width / 2} y={above ? -6 : drawn.height - 4} text={`${name} on one side`} />
      </g>
    )
  }
  const y = above ? -thick : drawn.height + (drawn.boneFace ? BONE_PX : 0)
  return (
    <g>
      <rect y={y} width={drawn.width} height={thick} fill={colour} stroke="var(--ink)" opacity="0.9" />
      <Label
        x={!above && drawn.boneFace ? 74 : drawn.width - 4}
        y={above ? -thick - 2 : y + thick + 3}
        text={name}
      />
    </g>
  )
}

/** Where the mix comes last, and how deep that is. */
export function Deepest({ drawn, told }: { drawn: Drawn; told: string }) {
  const { x, y } = deepestPoint(drawn)
  return (
    <g>
      <path
        d={`M${x - 5} ${y - 5}l10 10m0 -10l-10 10`}
        stroke="var(--ink)"
        strokeWidth="2.4"
        strokeLinecap="round"
      />
      <Label x={x} y={y + 24 > drawn.height ? y - 12 : y + 20} text={`deepest point, ${told}`} />
    </g>
  )
}

/** A name on the section. */
export function Label({ x, y, text }: { x: number; y: number; text: string }) {
  return (
    <text
      x={x}
      y={y}
      fontSize="12"
      fontWeight="600"
      textAnchor={text.includes(' ') ? 'middle' : 'end'}
      fill="var(--ink)"
      stroke="var(--raised)"
      strokeWidth="3"
      paintOrder="stroke"
    >
      {text}
    </text>
  )
}

/** Bone along the right edge, as in a chop: both faces are open. */
export function BoneAtEdge({ x, height }: { x: number; height: number }) {
  const wide = BONE_PX
  return (
    <g>
      <rect
        x={x - wide}
        y={0}
        width={wide}
        height={height}
        rx={wide / 2}
        fill="url(#bone)"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <Label x={x - wide - 4} y={height / 2 + 4} text="bone" />
    </g>
  )
}

/** Bone along the lower face, whole or as ribs with meat between. */
export function BoneBelow({ width, y, ribs }: { width: number; y: number; ribs: boolean }) {
  const count = ribs ? Math.max(2, Math.round(width / 60)) : 1
  const step = width / count
  return (
    <g>
      {Array.from({ length: count }, (_, index) => (
        <rect
          key={index}
          x={index * step + (ribs ? step * 0.2 : 0)}
          y={y}
          width={ribs ? step * 0.6 : width}
          height={BONE_PX}
          rx={ribs ? 5 : 0}
          fill="url(#bone)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ))}
      <Label x={width - 4} y={y + 10} text={ribs ? 'ribs' : 'bone'} />
    </g>
  )
}

/** Bone in the middle. */
export function BoneCore({ drawn }: { drawn: Drawn }) {
  const [cx, cy] = [drawn.width / 2, drawn.height / 2]
  return (
    <g>
      <ellipse
        cx={cx}
        cy={cy}
        rx={boneHalfWidth(drawn)}
        ry={drawn.boneRadius}
        fill="url(#bone)"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <Label x={cx + 15} y={cy + 4} text="bone" />
    </g>
  )
}

/** Marks in the units that the cook reads. */
export function Ruler({
  length,
  scale,
  system,
  upright = false,
}: {
  length: number
  scale: number
  system: System
  upright?: boolean
}) {
  const unit = system === 'metric' ? ' mm' : ' in'
  return (
    <g stroke="var(--ink)" fill="var(--quiet)" fontSize="13">
      <path d={upright ? `M-8 0V${length}` : `M0 6H${length}`} strokeWidth="1.2" />
      {rulerMarks(length / scale, system, length / LABEL_PX).map(({ at, label }) => (
        <g key={at} transform={upright ? `translate(-8 ${at * scale})` : `translate(${at * scale} 6)`}>
          <path d={upright ? 'M0 0H-6' : 'M0 0V6'} />
          <text
            stroke="none"
            x={upright ? -9 : 0}
            y={upright ? 4 : 20}
            textAnchor={upright ? 'end' : 'middle'}
          >
            {label}
            {at === 0 && !upright ? unit : ''}
          </text>
        </g>
      ))}
    </g>
  )
}
