import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** A browser's storage, with so much room; without any it forbids even a look. */
function storage(room: number) {
  const held = new Map<string, string>()
  const forbidden = () => {
    if (room < 0) throw new Error('forbidden')
  }
  return {
    get length() {
      forbidden()
      return held.size
    },
    key: (at: number) => [...held.keys()][at] ?? null,
    getItem: (name: string) => {
      forbidden()
      return held.get(name) ?? null
    },
    setItem: (name: string, text: string) => {
      if (text.length > room) throw new Error('full')
      held.set(name, text)
    },
    removeItem: (name: string) => {
      forbidden()
      held.delete(name)
    },
  }
}

const told = vi.fn()

async function page(room: number) {
  vi.resetModules()
  vi.stubGlobal('localStorage', storage(room))
  vi.stubGlobal('window', { dispatchEvent: told })
  const device = await import('./device')
  return { device, unsaved: await import('./unsaved') }
}

describe('what a device keeps', () => {
  beforeEach(() => {
    told.mockClear()
  })
  afterEach(() => {
    vi.unstubAllGlobals()
  })

  it('is kept and forgotten where there is room', async () => {
    const { device, unsaved } = await page(1000)
    unsaved.holdUnsaved('a', { draft: { name: 'n' } })
    expect(unsaved.heldUnsaved('a')).toEqual({ draft: { name: 'n' } })
    expect(unsaved.leftUnsent()).toEqual(['a'])
    unsaved.setOpen('a', true)
    expect(unsaved.leftUnsent()).toEqual([])
    unsaved.dropUnsaved('a')
    expect(unsaved.heldUnsaved('a')).toBeUndefined()
    expect(device.deviceRefuses()).toBe(false)
  })

  it.each([
    ['full', 3],
    ['forbidden', -1],
  ])('is held by the page where the storage is %s, and that is told once', async (_, room) => {
    const { device, unsaved } = await page(room)
    unsaved.holdUnsaved('a', { draft: { name: 'n' } })
    unsaved.holdUnsaved('b', { draft: { name: 'm' } })
    expect(unsaved.heldUnsaved('a')).toEqual({ draft: { name: 'n' } })
    expect(unsaved.leftUnsent().sort()).toEqual(['a', 'b'])
    expect(device.deviceRefuses()).toBe(true)
    expect(told).toHaveBeenCalledOnce()
  })

  it('drops what is damaged', async () => {
    const { device, unsaved } = await page(1000)
    device.keep('vadouvan.unsaved.a', '{"draft":')
    expect(unsaved.heldUnsaved('a')).toBeUndefined()
    expect(unsaved.leftUnsent()).toEqual([])
  })
})
