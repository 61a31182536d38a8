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

/** An uneven piece: thick in one place, thinner towards one end, flat below. */
function uneven(w: number, h: number): string {
  return `M0 ${h * 0.72}C${w * 0.02} ${h * 0.2} ${w * 0.22} 0 ${w * 0.45} 0C${w * 0.7} 0 ${w * 0.9} ${h * 0.22} ${w} ${h * 0.6}C${w} ${h * 0.88} ${w * 0.92} ${h} ${w * 0.8} ${h}H${w * 0.16}C${w * 0.05} ${h} 0 ${h * 0.9} 0 ${h * 0.72}Z`
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

/** As for an ellipse that stands on its flat face. */
function unevenDepth({ width, height, scale, openFaces }: Drawn, x: number, y: number): number {
  const reach = Math.hypot((x - width * 0.47) / (width * 0.53), (y - height * 0.98) / (height * 0.98))
  const above = (1 - reach) * height
  const below = openFaces.includes('below') ? height - y : Infinity
  return Math.min(above, below, height) / scale
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
