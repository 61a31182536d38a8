import { describe, expect, it } from 'vitest'
import { profileAt, saltAt } from './depth'

const COURSE = {
  hours: [1, 2, 4],
  depth_mm: [0, 5, 10],
  salt_g_per_kg: [
    [20, 4, 0],
    [18, 8, 2],
    [14, 10, 6],
  ],
  white_mm: [0, 1, 2],
  soft_mm: [0, 0, 1],
  across: false,
}

describe('profileAt', () => {
  it('lies between the two nearest hours', () => {
    const at = profileAt(COURSE, 3)
    expect(at.salt_g_per_kg).toEqual([16, 9, 4])
    expect(at.white_mm).toBeCloseTo(1.5)
    expect(at.soft_mm).toBeCloseTo(0.5)
  })

  it('is the first before the first hour, and the last after the last', () => {
    expect(profileAt(COURSE, 0.1).salt_g_per_kg).toEqual([20, 4, 0])
    expect(profileAt(COURSE, 40).salt_g_per_kg).toEqual([14, 10, 6])
  })
})

describe('saltAt', () => {
  it('lies between the two nearest depths, and stops at the last', () => {
    const profile = profileAt(COURSE, 2)
    expect(saltAt(profile, 2.5)).toBeCloseTo(13)
    expect(saltAt(profile, 0)).toBe(18)
    expect(saltAt(profile, 99)).toBe(2)
  })
})
