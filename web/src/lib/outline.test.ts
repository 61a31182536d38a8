import { describe, expect, it } from 'vitest'
import { contourAt, deepestPoint, depthAt, type Drawn, type Face } from './outline'

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

describe('contourAt', () => {
  it('lies at its depth under the upper face', () => {
    const line = contourAt(drawn(['above', 'below']), 8)
    expect(line).toMatch(/^M2 80/)
    expect(contourAt(drawn(['above', 'below']), 40)).toBe('')
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
