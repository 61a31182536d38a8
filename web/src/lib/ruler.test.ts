import { describe, expect, it } from 'vitest'
import { rulerMarks } from './ruler'

describe('rulerMarks', () => {
  it('fit, in millimetres or in inches', () => {
    for (const system of ['metric', 'customary'] as const) {
      for (const length of [4, 12, 30, 80, 200, 600]) {
        const marks = rulerMarks(length, system, 6)
        expect(marks.length).toBeGreaterThan(1)
        expect(marks.length).toBeLessThanOrEqual(9)
        expect(marks[0]).toEqual({ at: 0, label: '0' })
        for (const mark of marks) expect(mark.at).toBeLessThanOrEqual(length + 1e-6)
      }
    }
  })

  it('stand where they say', () => {
    expect(rulerMarks(30, 'metric', 3).map((mark) => mark.label)).toEqual(['0', '10', '20', '30'])
    const inch = rulerMarks(60, 'customary', 6).find((mark) => mark.label === '1')
    expect(inch?.at).toBeCloseTo(25.4)
    const eighths = rulerMarks(12, 'customary', 6).map((mark) => mark.label)
    expect(eighths).toEqual(['0', '1/8', '1/4', '3/8'])
  })
})
