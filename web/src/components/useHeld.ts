import { useRef, useState } from 'react'
import { forget, keep, kept, type Place } from '../lib/device'
import { isSame, onceTaken } from '../lib/same'

/** What is typed into a form, held on this device until it is kept: a server that is down loses nothing of it. */
export function useHeld<T extends object>(name: string, empty: T, place: Place = 'device') {
  const [value, setValue] = useState<T>(() => ({ ...empty, ...read<T>(name, place) }))
  const latest = useRef(value) // an answer may come when the form is gone
  const stand = (now: T) => {
    latest.current = now
    setValue(now)
  }
  const set = (part: Partial<T>) => {
    const now = { ...latest.current, ...part }
    if (isSame(now, empty)) forget(name, place)
    else keep(name, JSON.stringify(now), place)
    stand(now)
  }
  /** What was sent was taken: `left` stands there now, but for what was typed since. Answers whether nothing was. */
  const taken = (sent: T, left: T): boolean => {
    const isAll = isSame(latest.current, sent)
    if (isAll) forget(name, place)
    stand(onceTaken(sent, left)(latest.current))
    return isAll
  }
  return { value, set, taken }
}

/** A field that is not sent yet, held while the cook looks elsewhere, and for as long as the tab is open. */
export function useHeldField(name: string, batchId = '', start = '') {
  const { value, set, taken } = useHeld(`vadouvan.field.${name}.${batchId}`, { text: start }, 'tab')
  return {
    text: value.text,
    set: (text: string) => {
      set({ text })
    },
    /** It was sent: it is empty again, but for what was typed since. */
    taken: () => {
      taken(value, { text: '' })
    },
  }
}

function read<T>(name: string, place: Place): Partial<T> {
  const text = kept(name, place)
  if (text === null) return {}
  try {
    return JSON.parse(text) as Partial<T>
  } catch {
    forget(name, place) // damaged: it cannot be used
    return {}
  }
}
