import { afterEach, describe, expect, it, vi } from 'vitest'
import { dayTold, hoursLater, hoursOfDay, told, toldLocal } from './clock'
import * as units from './units'

const clock = vi.spyOn(units, 'chosenClock').mockReturnValue('24')
afterEach(() => {
  clock.mockReturnValue('24')
})

const NOW = new Date('2026-11-28T09:00:00Z')

describe('told', () => {
  it('tells all of a day alike, in the zone of the batch', () => {
    const now = new Date('2026-11-29T17:00Z')
    const [morning, evening] = [new Date('2026-12-05T07:00Z'), new Date('2026-12-05T19:00Z')]
    expect([told(morning, 'UTC', now), told(evening, 'UTC', now)]).toEqual([
      'Sat 5 Dec 07:00',
      'Sat 5 Dec 19:00',
    ])
    expect(told(new Date('2026-12-04T23:30Z'), 'UTC', now)).toBe('Fri 23:30')
    expect(told(new Date('2026-12-04T23:30Z'), 'Europe/Berlin', now)).toBe('Sat 5 Dec 00:30')
  })

  it('names the weekday, and the date where it could be another week', () => {
    expect(told(new Date('2026-11-29T19:00:00Z'), 'UTC', NOW)).toBe('Sun 19:00')
    expect(told(new Date('2026-12-05T19:00:00Z'), 'UTC', NOW)).toBe('Sat 5 Dec 19:00')
  })

  it('is on the clock that this device reads', () => {
    clock.mockReturnValue('12')
    expect(told(new Date('2026-11-29T19:00:00Z'), 'UTC', NOW)).toBe('Sun 7:00 pm')
    expect(told(new Date('2026-11-29T00:05:00Z'), 'UTC', NOW)).toBe('Sun 12:05 am')
    expect(toldLocal('2026-12-05T07:30')).toBe('Sat 5 Dec 7:30 am')
  })

  it('is in the zone of the batch', () => {
    expect(told(new Date('2026-11-28T23:30:00Z'), 'Asia/Tokyo', NOW)).toBe('Sun 08:30')
  })
})

describe('dayTold', () => {
  it('is told in the language of the page', () => {
    expect([dayTold('2026-11-17'), dayTold('some day')]).toEqual(['17 Nov 2026', 'some day'])
  })
})

describe('toldLocal', () => {
  it('tells what a draft keeps, whatever the browser’s zone, and leaves what is no moment', () => {
    expect(toldLocal('2026-12-05T19:00')).toBe('Sat 5 Dec 19:00')
    expect(toldLocal('next week')).toBe('next week')
  })
})

describe('hoursOfDay', () => {
  it('finds each noon, on days of 23 and 25 hours too', () => {
    for (const day of ['2026-03-29', '2026-10-25']) {
      const from = new Date(`${day}T00:00:00Z`)
      const noons = hoursOfDay(from, hoursLater(from, 48), [12], 'Europe/Lisbon')
      expect(noons).toHaveLength(2)
      for (const noon of noons) expect(told(noon, 'Europe/Lisbon', noon)).toMatch(/12:00$/)
    }
  })

  it('knows zones half an hour off', () => {
    const found = hoursOfDay(NOW, hoursLater(NOW, 24), [0], 'Asia/Kolkata')
    expect(found.map((at) => at.toISOString())).toEqual(['2026-11-28T18:30:00.000Z'])
  })
})
