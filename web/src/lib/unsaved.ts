import { forget, keep, kept, keptNames } from './device'

/**
 * What was typed but not yet kept by the kitchen, held on this device, so that neither a sleeping
 * tablet nor a stopped server loses it.
 */
const PREFIX = 'vadouvan.unsaved.'
const key = (identity: string) => `${PREFIX}${identity}`

export interface Unsaved<T> {
  /** What it was typed on; texts held by an older page do not know it. */
  since?: T
  draft: T
}

export function holdUnsaved<T>(identity: string, unsaved: Unsaved<T>): void {
  keep(key(identity), JSON.stringify(unsaved))
}

export function dropUnsaved(identity: string): void {
  forget(key(identity))
}

/** What is held for a batch, or nothing; a damaged entry is dropped, since it cannot be used. */
export function heldUnsaved<T>(identity: string): Unsaved<T> | undefined {
  const text = kept(key(identity))
  if (text === null) return undefined
  try {
    return JSON.parse(text) as Unsaved<T>
  } catch {
    dropUnsaved(identity)
    return undefined
  }
}

/** Batches that are open on this page: they send what is held for them by themselves. */
const open = new Set<string>()

export function setOpen(identity: string, isOpen: boolean): void {
  if (isOpen) open.add(identity)
  else open.delete(identity)
}

/** Batches with something unsent that no page is open for. */
export function leftUnsent(): string[] {
  return keptNames(PREFIX)
    .map((name) => name.slice(PREFIX.length))
    .filter((identity) => !open.has(identity))
}
