import { describe, expect, it } from 'vitest'
import { BLANK, companionOf, freshId, withInstead, withLines, withTexts } from './draft'

describe('lines', () => {
  const mix = withLines([], ['12 g salt', '40 g oil'])

  it('are added unmarked, each with an identity of its own', () => {
    expect(mix.map((line) => [line.text, line.locked, line.lifted, line.first])).toEqual([
      ['12 g salt', '', '', ''],
      ['40 g oil', '', '', ''],
    ])
    expect(new Set(mix.map((line) => line.id)).size).toBe(2)
  })

  it('take new words by identity, and keep their marks', () => {
    const [salt] = mix
    const locked = mix.map((line) => ({ ...line, locked: 'yes' }))
    const changed = withTexts(locked, [{ line_id: salt?.id ?? '', text: '10 g salt' }])
    expect(changed.map((line) => [line.text, line.locked])).toEqual([
      ['10 g salt', 'yes'],
      ['40 g oil', 'yes'],
    ])
  })

  it('become several in the place of one', () => {
    const several = withInstead(mix, mix[0]?.id ?? '', ['6 g salt', '6 g sugar'])
    expect(several.map((line) => line.text)).toEqual(['6 g salt', '6 g sugar', '40 g oil'])
    expect(several[0]?.id).toBe(mix[0]?.id)
  })
})

describe('blanks', () => {
  it('say nothing', () => {
    expect(BLANK.mix).toEqual([])
    expect(Object.values(BLANK.cut).every((said) => said.length === 0)).toBe(true)
    expect(companionOf('glaze', ['80 g honey', '20 g soy']).text).toBe('80 g honey\n20 g soy')
  })

  it('have identities that no other has', () => {
    expect(new Set(Array.from({ length: 500 }, freshId)).size).toBe(500)
  })
})
