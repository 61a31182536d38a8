/** Sends what was typed on a batch's page and could not be sent from there. */
import { dropUnsaved, heldUnsaved, holdUnsaved } from '../lib/unsaved'
import { Refused } from './answered'
import { api, type Draft } from './client'

export interface Waiting {
  identity: string
  name: string
  /** Why it is not kept yet. */
  says: string
  /** Its batch was removed elsewhere: it can only become a batch of its own. */
  gone: boolean
}

const sending = new Map<string, Promise<unknown>>()

/** Marks a change of a batch as being sent: nothing else is sent for it meanwhile. */
export async function underWay<T>(identity: string, work: Promise<T>): Promise<T> {
  sending.set(identity, work)
  try {
    return await work
  } finally {
    sending.delete(identity)
  }
}

/** What was sent is kept: what was typed after it now stands on it. */
export function settleHeld(identity: string, sent: Draft): void {
  const held = heldUnsaved<Draft>(identity)
  if (!held) return
  if (JSON.stringify(held.draft) === JSON.stringify(sent)) dropUnsaved(identity)
  else holdUnsaved(identity, { since: sent, draft: held.draft })
}

/** Try once; answers what still waits. */
export async function sendHeld(identity: string): Promise<Waiting | undefined> {
  await sending.get(identity)?.catch(() => undefined) // its own page tells what came of it
  const held = heldUnsaved<Draft>(identity)
  if (!held) return undefined
  const name = held.draft.name || 'Unnamed batch'
  try {
    const { revision, draft } = await api.batch(identity)
    const change = { revision, draft: held.draft, since: held.since ?? draft }
    await underWay(identity, api.change(identity, change))
    settleHeld(identity, held.draft)
    return undefined
  } catch (error) {
    if (error instanceof Refused) return { identity, name, says: error.message, gone: error.status === 404 }
    return { identity, name, says: 'The kitchen does not answer.', gone: false }
  }
}

/** What is held becomes a batch of its own. */
export async function keepAsNew(identity: string): Promise<void> {
  const held = heldUnsaved<Draft>(identity)
  if (held) await api.make(held.draft)
  dropUnsaved(identity)
}
