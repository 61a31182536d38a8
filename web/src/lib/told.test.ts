import { describe, expect, it } from 'vitest'
import { gramsTold, lengthTold, onScale, warmthSaid, warmthTold, weightSaid, weightTold } from './told'

describe('weights', () => {
  it('are whole grams from a hundred on', () => {
    expect([gramsTold(123.4), gramsTold(12.34), gramsTold(30), gramsTold(-0.02)]).toEqual([
      '123',
      '12.3',
      '30',
      '0',
    ])
  })

  it('keep the unit of their target all the way', () => {
    expect(onScale(2, 60, 'customary')).toEqual({ number: '0.07', unit: 'oz' })
    expect(onScale(2, 5, 'customary')).toEqual({ number: '2', unit: 'g' })
    expect(onScale(2, 60, 'metric')).toEqual({ number: '2', unit: 'g' })
  })

  it('are pounds and ounces from a pound on', () => {
    expect(weightTold(453.59237, 'customary')).toBe('1 lb')
    expect(weightTold(2608, 'customary')).toBe('5 lb 12 oz')
    expect(weightTold(453.58, 'customary')).toBe('16 oz')
    expect(weightTold(2600, 'metric')).toBe('2600 g')
  })
})

describe('lengths and warmth', () => {
  it('are eighths of an inch and Fahrenheit', () => {
    expect([lengthTold(30, 'customary'), lengthTold(2, 'customary'), lengthTold(25.4, 'customary')]).toEqual([
      '1 1/8 in',
      '1/16 in',
      '1 in',
    ])
    expect([lengthTold(12.4, 'metric'), warmthTold(63, 0, 'customary'), warmthTold(4, 1, 'metric')]).toEqual([
      '12 mm',
      '145 °F',
      '4.0 °C',
    ])
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
