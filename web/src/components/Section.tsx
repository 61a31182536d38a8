import { lengthTold } from '../lib/told'
import { chosenSystem } from '../lib/units'
import { useId, useRef, type PointerEvent } from 'react'
import { saltAt, type Profile } from '../lib/depth'
import { contourAt, depthAt, isRound, outline, type Drawn } from '../lib/outline'
import type { System } from '../lib/units'
import { AtPointer } from './sectionPointer'
import { Scores } from './sectionScores'
import {
  BONE_PX,
  BoneAtEdge,
  BoneBelow,
  BoneCore,
  Cover,
  COVER_PX,
  Deepest,
  Ruler,
  type DrawnPiece,
} from './sectionParts'

interface SectionProps {
  piece: DrawnPiece
  /** What has gone in by the hour that is shown, and whether depth runs from the open face right through. */
  course?: { profile: Profile; across: boolean } | null | undefined
  /** Space for the drawing of the cut itself, in px. */
  room: { width: number; height: number }
  system?: System
  /** A depth marked on it, what the model tells, and where a finger points. */
  seen?: Seen
  /** How deep the deepest point lies, in words, where it is to be named. */
  deepest?: string | undefined
}

export interface Seen {
  mm: number | null
  modelMm: number | null
  onPoint: (mm: number) => void
}

const MARGIN = 40
const DOT_PX = 9
const FULL_DOT_AT = 22
const MOST_PX_PER_MM = 28
/** The cut, cut through at its thickest place and true to scale, with a ruler; salt as dots that grow, acid as slants, enzyme as waves. */
export function Section({ piece, course, room, system = chosenSystem(), seen, deepest }: SectionProps) {
  const drawn = toDraw(piece, course?.across ?? false, room)
  const { width, height } = drawn
  const below = (drawn.boneFace ? BONE_PX : 0) + (drawn.coverBelow ? (COVER_PX[piece.cover] ?? 0) : 0)
  const path = outline(drawn)
  return (
    <svg
      viewBox={`${-MARGIN} -16 ${width + MARGIN + 24} ${height + below + 66}`}
      width={width + MARGIN + 24}
      className="max-w-full overflow-visible"
      role="img"
      aria-label={words(piece)}
    >
      <path d={path} fill="var(--flesh)" />
      {course && <Dots profile={course.profile} drawn={drawn} path={path} />}
      {course && <Bands profile={course.profile} drawn={drawn} path={path} />}
      {seen && <SeenDepth seen={seen} drawn={drawn} path={path} />}
      <Scores scores={piece.scores} drawn={drawn} named={deepest !== undefined} system={system} />
      <Cover piece={piece} drawn={drawn} path={path} />
      <path d={path} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {piece.bone === 'edge' && <BoneAtEdge x={width} height={height} />}
      {drawn.boneFace && <BoneBelow width={width} y={height} ribs={piece.bone === 'ribs'} />}
      {drawn.boneRadius > 0 && <BoneCore drawn={drawn} />}
      {deepest !== undefined && <Deepest drawn={drawn} told={deepest} />}
      {course && !seen && <AtPointer profile={course.profile} drawn={drawn} system={system} />}
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
  const scale = Math.min(room.height / piece.thickness_mm, MOST_PX_PER_MM)
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
    openFaces: piece.open_faces,
    coverAllRound: piece.cover !== 'none' && piece.cover_all_round,
    coverBelow: capped && (!boneFace || piece.bone === 'ribs'),
    across,
  }
}

function words(piece: DrawnPiece): string {
  const parts = [`Section to scale, ${lengthTold(piece.thickness_mm)} thick`]
  if (piece.bone === 'face') parts.push('bone along one face')
  if (piece.bone === 'edge') parts.push('bone along one edge')
  if (piece.bone === 'ribs') parts.push('ribs on one side')
  if (piece.bone === 'core') parts.push('bone in the middle')
  if (piece.cover !== 'none')
    parts.push(`${piece.cover} ${piece.cover_all_round ? 'all round' : 'on one side'}`)
  if (piece.scores.length > 0) parts.push('scored')
  return parts.join(', ')
}

/** What shows on the knife: shaded from every open face; the model's depth as a dashed line; marked by pointing. */
function SeenDepth({ seen, drawn, path }: { seen: Seen; drawn: Drawn; path: string }) {
  const clip = useId()
  const area = useRef<SVGRectElement>(null)
  const point = (event: PointerEvent) => {
    const toDrawing = area.current?.getScreenCTM()?.inverse()
    if (!toDrawing) return
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(toDrawing)
    seen.onPoint(Math.max(0, depthAt(drawn, at.x, at.y)))
  }
  return (
    <g>
      <clipPath id={clip}>
        <path d={path} />
      </clipPath>
      {seen.mm !== null && (
        <g clipPath={`url(#${clip})`} opacity="0.5">
          <Band mm={seen.mm} drawn={drawn} path={path} look="var(--salt)" />
        </g>
      )}
      {seen.modelMm !== null && (
        <path
          d={contourAt(drawn, seen.modelMm)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
      )}
      <rect
        ref={area}
        width={drawn.width}
        height={drawn.height}
        fill="transparent"
        className="cursor-crosshair touch-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          point(event)
        }}
        onPointerMove={(event) => {
          if (event.buttons > 0) point(event)
        }}
      />
    </g>
  )
}

/** A band this thin is still seen. */
const LEAST_BAND_PX = 2.5

/** The white band of acid as slants, the softened layer as waves, along every open face. */
function Bands({ profile, drawn, path }: { profile: Profile; drawn: Drawn; path: string }) {
  const id = useId()
  return (
    <g>
      <defs>
        <clipPath id={`${id}-meat`}>
          <path d={path} />
        </clipPath>
        <pattern id={`${id}-acid`} width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 6L6 0" stroke="var(--acid)" strokeWidth="2.2" />
        </pattern>
        <pattern id={`${id}-enzyme`} width="8" height="4" patternUnits="userSpaceOnUse">
          <path d="M0 2q2 -3 4 0t4 0" fill="none" stroke="var(--enzyme)" strokeWidth="1.8" />
        </pattern>
      </defs>
      <g clipPath={`url(#${id}-meat)`}>
        <Band mm={profile.white_mm} drawn={drawn} path={path} look={`url(#${id}-acid)`} />
        <Band mm={profile.soft_mm} drawn={drawn} path={path} look={`url(#${id}-enzyme)`} />
      </g>
    </g>
  )
}

interface BandProps {
  mm: number
  drawn: Drawn
  path: string
  look: string
}

/** One band of a depth, on the faces that let the mix in. */
function Band({ mm, drawn, path, look }: BandProps) {
  if (mm < 0.05) return null
  const { width, height } = drawn
  const deep = Math.max(LEAST_BAND_PX, mm * drawn.scale)
  const closedBelow = drawn.boneFace || drawn.coverBelow || drawn.across
  if (drawn.shape === 'slab' && !isRound(drawn))
    return (
      <g fill={look}>
        <rect width={width} height={deep} />
        {!closedBelow && <rect y={height - deep} width={width} height={deep} />}
      </g>
    )
  const open = closedBelow ? height - 3 : height + 9
  return (
    <svg x={-9} y={-9} width={width + 18} height={open + 9} viewBox={`-9 -9 ${width + 18} ${open + 9}`}>
      <path d={path} fill="none" stroke={look} strokeWidth={deep * 2} />
    </svg>
  )
}

function Dots({ profile, drawn, path }: { profile: Profile; drawn: Drawn; path: string }) {
  const inside = useId()
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
    <g fill="var(--salt)" clipPath={`url(#${inside})`}>
      <clipPath id={inside}>
        <path d={path} />
      </clipPath>
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
