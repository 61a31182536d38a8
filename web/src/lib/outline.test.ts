import { describe, expect, it } from 'vitest'
import { contourAt, deepestPoint, isInBone, depthAt, outline, topAt, type Drawn, type Face } from './outline'

/** A piece of 30 mm drawn at 10 px a millimetre. */
function drawn(openFaces: Face[], part: Partial<Drawn> = {}): Drawn {
  return {
    shape: 'slab',
    width: 600,
    height: 300,
    scale: 10,
    torn: false,
    boneFace: false,
    boneRadius: 0,
    coverAllRound: false,
    coverBelow: false,
    openFaces,
    across: false,
    ...part,
  }
}

describe('depthAt', () => {
  it('is the way to the nearest face that the core calls open', () => {
    const all: Face[] = ['above', 'below', 'left', 'right']
    expect(depthAt(drawn(all), 300, 50)).toBe(5)
    expect(depthAt(drawn(all), 300, 280)).toBe(2)
    expect(depthAt(drawn(all), 20, 150)).toBe(2)
    expect(depthAt(drawn(all), 570, 150)).toBe(3)
    expect(depthAt(drawn(['above', 'left']), 570, 280)).toBe(28)
  })

  it('does not count the edge at which the drawing leaves the rest out', () => {
    const all: Face[] = ['above', 'below', 'left', 'right']
    expect(depthAt(drawn(all, { torn: true }), 570, 150)).toBe(15)
  })

  it('runs inwards from all round, and right through where it is told so', () => {
    expect(depthAt(drawn(['round'], { width: 300 }), 150, 150)).toBe(15)
    expect(depthAt(drawn(['round'], { width: 300 }), 150, 0)).toBe(0)
    expect(depthAt(drawn(['above'], { across: true }), 10, 280)).toBe(28)
  })
})

describe('an uneven piece', () => {
  const piece = drawn(['above', 'left', 'right'], { shape: 'irregular' })

  it('is no depth at its outline and as deep inside as the nearest of it', () => {
    for (const x of [30, 150, 270, 450, 570]) {
      const top = topAt(piece, x)
      expect(depthAt(piece, x, top)).toBeCloseTo(0, 1)
      expect(depthAt(piece, x, top - 12)).toBeLessThan(0)
      expect(depthAt(piece, x, top + 12)).toBeGreaterThan(0.2)
      expect(depthAt(piece, x, top + 12)).toBeLessThanOrEqual(1.2)
    }
    expect(depthAt(piece, 592, 192)).toBeCloseTo(0.8, 1)
    expect(depthAt(piece, 8, 216)).toBeCloseTo(0.8, 1)
    expect(depthAt(piece, 8, 295)).toBeLessThan(0)
  })

  it('goes all round without a corner', () => {
    const ends = [
      ...outline(piece).matchAll(/C([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+)/g),
    ].map((found) => found.slice(1).map(Number))
    const directions = ends.map(([bx = 0, by = 0, tx = 0, ty = 0, ex = 0, ey = 0], index) => {
      const [, , , , fx = 96, fy = 300] = ends[index - 1] ?? []
      return { begins: Math.atan2(by - fy, bx - fx), ends: Math.atan2(ey - ty, ex - tx) }
    })
    for (const [index, one] of directions.slice(1).entries())
      expect(one.begins).toBeCloseTo(directions[index]?.ends ?? NaN, 6)
  })
})

describe('contourAt', () => {
  it('lies at its depth under the upper face', () => {
    const line = contourAt(drawn(['above', 'below']), 8)
    expect(line).toMatch(/^M2 80/)
    expect(contourAt(drawn(['above', 'below']), 40)).toBe('')
  })
})

describe('isInBone', () => {
  it('is as much broader than it is high as the piece is, and nowhere without a bone', () => {
    const piece = drawn(['round'], { boneRadius: 60 }) // 600 by 300
    expect(isInBone(piece, 300 + 110, 150)).toBe(true)
    expect(isInBone(piece, 300 + 130, 150)).toBe(false)
    expect(isInBone(piece, 300, 150 + 70)).toBe(false)
    expect(isInBone(drawn(['round']), 300, 150)).toBe(false)
  })
})

describe('deepestPoint', () => {
  it('is the middle of what is open all round, and the far side where one is closed', () => {
    expect(deepestPoint(drawn(['above', 'below', 'left', 'right']))).toEqual({ x: 300, y: 150 })
    expect(deepestPoint(drawn(['above'])).y).toBe(300)
    expect(deepestPoint(drawn(['above', 'below', 'left'])).x).toBeGreaterThan(140)
  })

  it('lies at a bone in the middle, never in it', () => {
    expect(deepestPoint(drawn(['round'], { boneRadius: 60 }))).toEqual({ x: 300, y: 210 })
  })
})
