import { describe, expect, it } from 'vitest'
import { logScale, timeScale } from './scale'

describe('timeScale', () => {
  it('finds each moment at its place, and the moment at a place', () => {
    const [from, to] = [new Date('2026-11-28T00:00Z'), new Date('2026-11-29T00:00Z')]
    const x = timeScale([from, to], [100, 340])
    expect([x(from), x(new Date('2026-11-28T12:00Z')), x(to)]).toEqual([100, 220, 340])
    for (const px of [100, 163, 340, 400]) expect(x(x.invert(px))).toBeCloseTo(px, 3)
    expect(Number.isFinite(timeScale([from, from], [0, 0])(to))).toBe(true)
  })
})

describe('logScale', () => {
  it('gives each doubling the same room, within its ends', () => {
    const x = logScale([0.25, 16], [0, 600])
    const places = [x(0.25), x(0.5), x(4), x(16), x(99), x(0.01)].map(Math.round)
    expect(places).toEqual([0, 100, 400, 600, 600, 0])
  })
})
