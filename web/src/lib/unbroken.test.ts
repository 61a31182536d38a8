import { describe, expect, it } from 'vitest'
import { unbroken } from './unbroken'

describe('unbroken', () => {
  it('keeps figures with their units, and hours with their minutes', () => {
    expect(unbroken('Pull by 4 h 30; best about 1 h 20, 2.6 kg at 63 °C for 5 days.')).toBe(
      'Pull by 4\u00a0h\u00a030; best about 1\u00a0h\u00a020, 2.6\u00a0kg at 63\u00a0°C for 5\u00a0days.',
    )
    expect(unbroken('Sat 5 Dec 17:40, 3 hens, 12 greens')).toBe('Sat 5 Dec 17:40, 3 hens, 12 greens')
  })
})
