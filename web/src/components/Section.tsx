import { saltAt, type Profile } from '../lib/depth'
import { depthAt, isRound, outline, type Drawn } from '../lib/outline'
import type { System } from '../lib/units'
import { BONE_PX, BoneBelow, BoneCore, Cover, COVER_PX, Ruler, Scores, type DrawnPiece } from './sectionParts'

interface SectionProps {
  piece: DrawnPiece
  salt?: (Profile & { across: boolean }) | null | undefined
  /** Space for the drawing of the cut itself, in px. */
  room: { width: number; height: number }
  system?: System
}

const MARGIN = 40
const DOT_PX = 9
const FULL_DOT_AT = 22
/** The cut, cut through at its thickest place and true to scale, with a ruler; salt as dots that grow. */
export function Section({ piece, salt, room, system = 'metric' }: SectionProps) {
  const drawn = toDraw(piece, salt?.across ?? false, room)
  const { width, height } = drawn
  const below = (drawn.boneFace ? BONE_PX : 0) + (drawn.coverBelow ? (COVER_PX[piece.cover] ?? 0) : 0)
  const path = outline(drawn)
  return (
    <svg
      viewBox={`${-MARGIN} -16 ${width + MARGIN + 24} ${height + below + 66}`}
      width={width + MARGIN + 24}
      className="max-w-full"
      role="img"
      aria-label={words(piece)}
    >
      <path d={path} fill="var(--flesh)" />
      {salt && <Dots profile={salt} drawn={drawn} />}
      <Scores scores={piece.scores} drawn={drawn} />
      <Cover piece={piece} drawn={drawn} path={path} />
      <path d={path} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {drawn.boneFace && <BoneBelow width={width} y={height} ribs={piece.bone === 'ribs'} />}
      {drawn.boneRadius > 0 && <BoneCore drawn={drawn} />}
      <Ruler length={height} scale={drawn.scale} system={system} upright />
      <g transform={`translate(0 ${height + below + 8})`}>
        <Ruler length={width} scale={drawn.scale} system={system} />
      </g>
    </svg>
  )
}

function toDraw(piece: DrawnPiece, across: boolean, room: { width: number; height: number }): Drawn {
  const round = piece.shape === 'cylinder' || piece.shape === 'ball' || piece.bone === 'core'
  const broad = piece.shape === 'irregular' ? 1.25 : piece.shape === 'slab' ? 1.8 : 1
  const wide = round ? piece.thickness_mm * broad : piece.width_mm
  const scale = Math.min(room.height / piece.thickness_mm, 9)
  const whole = wide * scale
  const boneFace = piece.bone === 'face' || piece.bone === 'ribs'
  const capped = piece.cover !== 'none' && !piece.cover_all_round
  return {
    shape: piece.shape === 'slab' && piece.bone === 'core' ? 'cylinder' : piece.shape,
    width: Math.min(whole, room.width),
    height: piece.thickness_mm * scale,
    scale,
    torn: whole > room.width,
    boneFace,
    boneRadius: piece.bone === 'core' ? piece.bone_radius_mm * scale : 0,
    coverAllRound: piece.cover !== 'none' && piece.cover_all_round,
    coverBelow: capped && (!boneFace || piece.bone === 'ribs'),
    across,
  }
}

function words(piece: DrawnPiece): string {
  const parts = [`Section to scale, ${piece.thickness_mm.toFixed(0)} mm thick`]
  if (piece.bone === 'face') parts.push('bone along one face')
  if (piece.bone === 'ribs') parts.push('ribs on one side')
  if (piece.bone === 'core') parts.push('bone in the middle')
  if (piece.cover !== 'none')
    parts.push(`${piece.cover} ${piece.cover_all_round ? 'all round' : 'on one side'}`)
  if (piece.scores.length > 0) parts.push('scored')
  return parts.join(', ')
}

function Dots({ profile, drawn }: { profile: Profile; drawn: Drawn }) {
  const { width, height, torn } = drawn
  const columns = Math.max(2, Math.floor(width / DOT_PX))
  const rows = Math.max(2, Math.floor(height / DOT_PX))
  const spots = Array.from({ length: columns * rows }, (_, index) => {
    const row = Math.floor(index / columns)
    return {
      x: ((index % columns) + (row % 2 ? 0.75 : 0.25)) * (width / columns),
      y: (row + 0.5) * (height / rows),
    }
  })
  const edge = drawn.shape === 'irregular' || isRound(drawn) ? 0.3 : -1
  return (
    <g fill="var(--salt)">
      {spots
        .map((spot) => ({ ...spot, depth: depthAt(drawn, spot.x, spot.y) }))
        .filter((spot) => spot.depth > edge && spot.x < width - (torn ? 9 : 3) && spot.x > 3)
        .map((spot, index) => {
          const share = saltAt(profile, Math.max(0, spot.depth)) / FULL_DOT_AT
          return (
            <circle
              key={index}
              cx={spot.x}
              cy={spot.y}
              r={Math.min(DOT_PX / 2, 0.3 + Math.sqrt(Math.max(0, share)) * (DOT_PX / 2 - 0.4))}
            />
          )
        })}
    </g>
  )
}
