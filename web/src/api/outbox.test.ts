import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** A server with one batch: what it was sent, and how it answers. */
function server(answer: (body: unknown) => { status: number; body: unknown }) {
  const sent: unknown[] = []
  const asked = async (request: Request) => {
    if (request.method === 'GET') return Response.json({ revision: 7, draft: { name: 'theirs' } })
    const body: unknown = await request.json()
    sent.push(body)
    const found = answer(body)
    return Response.json(found.body, { status: found.status })
  }
  return { sent, fetch: vi.fn(asked) }
}

async function page(fetch: unknown) {
  vi.resetModules()
  const held = new Map<string, string>()
  vi.stubGlobal('localStorage', {
    getItem: (name: string) => held.get(name) ?? null,
    setItem: (name: string, text: string) => held.set(name, text),
    removeItem: (name: string) => held.delete(name),
  })
  vi.stubGlobal('window', { dispatchEvent: () => undefined })
  vi.stubGlobal('fetch', fetch)
  vi.stubGlobal('location', { href: 'http://127.0.0.1/' })
  const NativeRequest = Request
  vi.stubGlobal(
    'Request',
    class extends NativeRequest {
      constructor(input: string | URL | Request, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, 'http://127.0.0.1') : input, init)
      }
    },
  )
  return { outbox: await import('./outbox'), unsaved: await import('../lib/unsaved') }
}

describe('what could not be sent', () => {
  beforeEach(() => {
    vi.unstubAllGlobals()
  })
  afterEach(() => {
    vi.unstubAllGlobals()
  })

  it('is sent with what it was typed on, and then no longer held', async () => {
    const { sent, fetch } = server(() => ({ status: 200, body: { revision: 8 } }))
    const { outbox, unsaved } = await page(fetch)
    unsaved.holdUnsaved('a', { since: { name: 'old' }, draft: { name: 'mine' } })
    expect(await outbox.sendHeld('a')).toBeUndefined()
    expect(sent).toEqual([{ revision: 7, draft: { name: 'mine' }, since: { name: 'old' } }])
    expect(unsaved.heldUnsaved('a')).toBeUndefined()
  })

  it('waits with the server’s own words where it is refused', async () => {
    const { fetch } = server(() => ({ status: 409, body: { sentence: 'Changed elsewhere.', problems: [] } }))
    const { outbox, unsaved } = await page(fetch)
    unsaved.holdUnsaved('a', { draft: { name: 'mine' } })
    expect(await outbox.sendHeld('a')).toEqual({
      identity: 'a',
      name: 'mine',
      says: 'Changed elsewhere.',
      gone: false,
    })
    expect(unsaved.heldUnsaved('a')).toEqual({ draft: { name: 'mine' } })
  })

  it('waits while nobody answers', async () => {
    const { outbox, unsaved } = await page(vi.fn(() => Promise.reject(new TypeError('offline'))))
    unsaved.holdUnsaved('a', { draft: { name: '' } })
    const waiting = await outbox.sendHeld('a')
    expect(waiting?.says).toBe('The kitchen does not answer.')
    expect(waiting?.name).toBe('Unnamed batch')
  })

  it('stays held where more was typed while it was sent', async () => {
    const { outbox, unsaved } = await page(vi.fn())
    unsaved.holdUnsaved('a', { draft: { name: 'mine, and more' } })
    outbox.settleHeld('a', { name: 'mine' } as never)
    expect(unsaved.heldUnsaved('a')).toEqual({ since: { name: 'mine' }, draft: { name: 'mine, and more' } })
  })
})
