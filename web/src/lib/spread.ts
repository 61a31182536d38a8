export interface Wanted {
  middle: number
  width: number
}

const GAP_PX = 8

/**
 * Left edges for words on one row, in their order: each around its middle, pushed no further than it must be to stay in
 * the row and clear of the others. Where they cannot all stand, the first is dropped (null), then the next.
 */
export function spread(wanted: Wanted[], room: number): (number | null)[] {
  const needed = wanted.reduce((sum, { width }) => sum + width + GAP_PX, -GAP_PX)
  if (wanted.length > 1 && needed > room) return [null, ...spread(wanted.slice(1), room)]
  const lefts: number[] = []
  let from = 0
  for (const { middle, width } of wanted) {
    lefts.push(Math.max(from, middle - width / 2))
    from = (lefts.at(-1) ?? 0) + width + GAP_PX
  }
  let until = room
  for (let n = wanted.length - 1; n >= 0; n--) {
    const { width } = wanted[n] ?? { width: 0 }
    lefts[n] = Math.max(0, Math.min(lefts[n] ?? 0, until - width))
    until = (lefts[n] ?? 0) - GAP_PX
  }
  return lefts
}
