import { describe, expect, it } from 'vitest'
import { spread } from './spread'

describe('spread', () => {
  it('leaves words that stand clear around their places', () => {
    expect(
      spread(
        [
          { middle: 50, width: 20 },
          { middle: 150, width: 40 },
        ],
        300,
      ),
    ).toEqual([40, 130])
  })

  it('keeps them in the row and off each other', () => {
    const crowded = [
      { middle: 4, width: 50 },
      { middle: 30, width: 50 },
      { middle: 298, width: 60 },
    ]
    expect(spread(crowded, 300)).toEqual([0, 58, 240])
    expect(spread([...crowded.slice(0, 2), { middle: 60, width: 40 }], 170)).toEqual([0, 58, 116])
  })

  it('pushes back what the end of the row leaves no room for', () => {
    const late = [80, 90, 99].map((middle) => ({ middle, width: 20 }))
    expect(spread(late, 100)).toEqual([24, 52, 80])
  })

  it('drops the first where they cannot all stand', () => {
    const wide = [10, 20, 30].map((middle) => ({ middle, width: 40 }))
    expect(spread(wide, 100)).toEqual([null, 0, 48])
  })
})
