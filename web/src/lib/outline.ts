/** Outlines and depths of a cut's section, in px, for drawing. Depths are told in mm. */
export type Face = 'round' | 'above' | 'below' | 'left' | 'right'

export interface Drawn {
  shape: string
  width: number
  height: number
  scale: number
  torn: boolean
  /** Bone along the lower face, or in the middle with this radius. */
  boneFace: boolean
  boneRadius: number
  coverAllRound: boolean
  coverBelow: boolean
  /** Faces that let the mix in, as the core has them. */
  openFaces: readonly Face[]
  /** The profile runs from the open upper face right through. */
  across: boolean
}

export const isRound = (drawn: Drawn) => drawn.openFaces.includes('round')

/** The outline of the meat, as a path. */
export function outline(drawn: Drawn): string {
  const { width, height, torn } = drawn
  if (isRound(drawn)) return ellipse(width, height)
  if (drawn.shape === 'irregular') return uneven(width, height)
  return box(width, height, torn)
}

function ellipse(width: number, height: number): string {
  const [rx, ry] = [width / 2, height / 2]
  return `M0 ${ry}A${rx} ${ry} 0 0 1 ${width} ${ry}A${rx} ${ry} 0 0 1 0 ${ry}Z`
}

type Spot = readonly [number, number]
/** A cubic curve: where it begins, what draws it at either end, where it ends. */
type Curve = readonly [Spot, Spot, Spot, Spot]

const FLAT_FROM = 0.16
const FLAT_TO = 0.8

/** An uneven piece of width and height 1: thick in one place, thinner towards one end; it lies on the flat rest. */
const UNEVEN: readonly Curve[] = [
  [
    [FLAT_FROM, 1],
    [0.05, 1],
    [0, 0.92],
    [0, 0.72],
  ],
  [
    [0, 0.72],
    [0, 0.3],
    [0.2, 0],
    [0.45, 0],
  ],
  [
    [0.45, 0],
    [0.72, 0],
    [1, 0.26],
    [1, 0.64],
  ],
  [
    [1, 0.64],
    [1, 0.88],
    [0.93, 1],
    [FLAT_TO, 1],
  ],
]
const ALONG = 16

/** Spots along the curves, from the flat base round to it again. */
const AROUND: readonly Spot[] = UNEVEN.flatMap((curve) =>
  Array.from({ length: ALONG + 1 }, (_, index) => spotOn(curve, index / ALONG)),
)

function spotOn([from, by, to, end]: Curve, share: number): Spot {
  const rest = 1 - share
  const weights = [rest ** 3, 3 * rest ** 2 * share, 3 * rest * share ** 2, share ** 3] as const
  const along = (axis: 0 | 1) =>
    weights[0] * from[axis] + weights[1] * by[axis] + weights[2] * to[axis] + weights[3] * end[axis]
  return [along(0), along(1)]
}

function uneven(w: number, h: number): string {
  const said = ([x, y]: Spot) => `${x * w} ${y * h}`
  const curves = UNEVEN.map(([, by, to, end]) => `C${said(by)} ${said(to)} ${said(end)}`)
  return `M${said([FLAT_FROM, 1])}${curves.join('')}Z`
}

/** Where the upper outline runs at a place along the width. */
export function topAt(drawn: Drawn, x: number): number {
  const { width, height } = drawn
  if (isRound(drawn)) {
    const reach = (x - width / 2) / (width / 2)
    return (height / 2) * (1 - Math.sqrt(Math.max(0, 1 - reach * reach)))
  }
  return drawn.shape === 'irregular' ? Math.min(1, ...crossings(x / width)) * height : 0
}

const SIDES = AROUND.slice(1).map((to, index) => [AROUND[index] ?? to, to] as const)
/** Heights at which the outline of an uneven piece is crossed at a place along it. */
function crossings(x: number): number[] {
  return SIDES.filter(([a, b]) => Math.min(a[0], b[0]) <= x && x <= Math.max(a[0], b[0])).map(([a, b]) =>
    a[0] === b[0] ? a[1] : a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1]),
  )
}

/** The lower end of an uneven piece at a place along it: where it lies, or where it curves up from that. */
function bottomAt(x: number): number {
  return x < FLAT_FROM || x > FLAT_TO ? Math.max(0, ...crossings(x)) : 1
}

/** Soft corners; a torn right edge where the drawing leaves the rest out. */
function box(width: number, height: number, torn: boolean): string {
  const r = Math.min(10, height / 4)
  const left = `H${r}Q0 ${height} 0 ${height - r}V${r}Q0 0 ${r} 0Z`
  if (!torn)
    return `M${r} 0H${width - r}Q${width} 0 ${width} ${r}V${height - r}Q${width} ${height} ${width - r} ${height}${left}`
  const step = height / 4
  return `M${r} 0H${width}q-7 ${step / 2} 0 ${step}q7 ${step / 2} 0 ${step}q-7 ${step / 2} 0 ${step}q7 ${step / 2} 0 ${step}${left}`
}

/** Distance in mm from a point of the drawing to the nearest face that lets the mix in; negative outside. */
export function depthAt(drawn: Drawn, x: number, y: number): number {
  const { width, height, scale, shape, openFaces, torn } = drawn
  if (isRound(drawn)) {
    const reach = Math.hypot((x - width / 2) / (width / 2), (y - height / 2) / (height / 2))
    return ((1 - reach) * (height / 2)) / scale
  }
  if (shape === 'irregular') return unevenDepth(drawn, x, y)
  if (drawn.across) return y / scale
  const ways: Record<Face, number> = { round: 0, above: y, below: height - y, left: x, right: width - x }
  // Where the drawing leaves the rest out, its right edge is no face.
  const faces = openFaces.filter((face) => face !== 'right' || !torn)
  return Math.min(...faces.map((face) => ways[face])) / scale
}

/** Half the width of a bone in the middle: as much broader than it is high as the piece is. */
export const boneHalfWidth = ({ boneRadius, width, height }: Drawn): number => (boneRadius * width) / height

/** Whether a spot lies in the bone in the middle. */
export function isInBone(drawn: Drawn, x: number, y: number): boolean {
  if (drawn.boneRadius === 0) return false
  return (
    Math.hypot((x - drawn.width / 2) / boneHalfWidth(drawn), (y - drawn.height / 2) / drawn.boneRadius) < 1
  )
}

/** To the nearest of the curved sides, or to what it lies on where that is open. */
function unevenDepth(drawn: Drawn, x: number, y: number): number {
  const { width, height, scale, openFaces } = drawn
  const side = Math.min(...SIDES.map(([from, to]) => toSide(from, to, x, y, width, height)))
  const inside = y >= topAt(drawn, x) && y <= bottomAt(x / width) * height
  const below = openFaces.includes('below') ? height - y : Infinity
  return (inside ? Math.min(side, below) : -side) / scale
}

/** Distance from a point to a stretch of the outline between two spots. */
function toSide(from: Spot, to: Spot, x: number, y: number, width: number, height: number): number {
  const [ax, ay, bx, by] = [from[0] * width, from[1] * height, to[0] * width, to[1] * height]
  const long = (bx - ax) ** 2 + (by - ay) ** 2
  const share =
    long === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / long))
  return Math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay))
}

const LOOKS = 40

/** The point of the drawing that the mix reaches last: at a bone in the middle its lower edge, else the nearest to the middle. */
export function deepestPoint(drawn: Drawn): { x: number; y: number } {
  const { width, height, boneRadius } = drawn
  if (boneRadius > 0) return { x: width / 2, y: height / 2 + boneRadius }
  const spots = Array.from({ length: (LOOKS + 1) ** 2 }, (_, index) => ({
    x: ((index % (LOOKS + 1)) / LOOKS) * width,
    y: (Math.floor(index / (LOOKS + 1)) / LOOKS) * height,
  }))
  const worth = ({ x, y }: { x: number; y: number }) =>
    depthAt(drawn, x, y) - Math.hypot(x / width - 0.5, y / height - 0.5) / 50
  return spots.reduce((best, spot) => (worth(spot) > worth(best) ? spot : best))
}

/** The line of one depth under the upper face, as a path. */
export function contourAt(drawn: Drawn, mm: number): string {
  const points: string[] = []
  for (let x = 2; x < drawn.width - 1; x += 3) {
    for (let y = 0; y <= drawn.height / 2 + 2; y += 0.5) {
      if (depthAt(drawn, x, y) >= mm) {
        points.push(`${x} ${y}`)
        break
      }
    }
  }
  return points.length > 1 ? `M${points.join('L')}` : ''
}
