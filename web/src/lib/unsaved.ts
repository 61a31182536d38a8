import { forget, keep, kept } from './device'

/**
 * What was typed but not yet kept by the kitchen, held on this device, so that neither a sleeping
 * tablet nor a stopped server loses it.
 */
const key = (identity: string) => `vadouvan.unsaved.${identity}`

export interface Unsaved<T> {
  revision: number
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
