import { describe, expect, it } from 'vitest'
import { contourAt, depthAt, type Drawn, type Face } from './outline'

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
