import { useCallback, useState } from 'react'
import { forget, keep, kept } from '../lib/device'

/** What is typed into a form, held on this device until it is kept: a server that is down loses nothing of it. */
export function useHeld<T extends object>(name: string, empty: T) {
  const [value, setValue] = useState<T>(() => ({ ...empty, ...read<T>(name) }))
  const set = useCallback(
    (part: Partial<T>) => {
      setValue((was) => {
        const now = { ...was, ...part }
        keep(name, JSON.stringify(now))
        return now
      })
    },
    [name],
  )
  const clear = useCallback(
    (left: T) => {
      forget(name)
      setValue(left)
    },
    [name],
  )
  return { value, set, clear }
}

function read<T>(name: string): Partial<T> {
  const text = kept(name)
  if (text === null) return {}
  try {
    return JSON.parse(text) as Partial<T>
  } catch {
    forget(name) // damaged: it cannot be used
    return {}
  }
}
