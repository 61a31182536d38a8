import { describe, expect, it } from 'vitest'
import cases from './told-cases.json'
import {
  lengthTold,
  massTold,
  onScale,
  probeTold,
  warmthSaid,
  warmthTold,
  weightSaid,
  weightTold,
} from './told'
import type { System } from './units'

type Telling = (value: number, system: System) => string

const TELLINGS: Record<Exclude<keyof typeof cases, 'scale'>, Telling> = {
  mass: massTold,
  weight: weightTold,
  length: lengthTold,
  warmth: warmthTold,
  probe: probeTold,
}

describe('the page tells as the core does', () => {
  it.each(Object.entries(TELLINGS))('%s', (name, tell) => {
    const told = cases[name as keyof typeof TELLINGS] as [number, System, string][]
    expect(told.map(([value, system]) => tell(value, system))).toEqual(told.map(([, , says]) => says))
  })

  it('a scale on the way to its target', () => {
    const told = cases.scale as [number, number, System, string, string][]
    expect(told.map(([grams, target, system]) => onScale(grams, target, system))).toEqual(
      told.map(([, , , number, unit]) => ({ number, unit })),
    )
  })
})

describe('what is typed as a bare number', () => {
  it('is in the unit that is asked for; another says its own', () => {
    expect([weightSaid('1.5', 'oz'), weightSaid('1 1/2', 'oz'), weightSaid('40 g', 'oz')]).toEqual([
      '1.5 oz',
      '1 1/2 oz',
      '40 g',
    ])
    expect([weightSaid('1.5', 'g'), weightSaid('', 'oz')]).toEqual(['1.5', ''])
    expect([
      warmthSaid('38', 'customary'),
      warmthSaid('4 C', 'customary'),
      warmthSaid('4', 'metric'),
    ]).toEqual(['38 F', '4 C', '4'])
  })
})
