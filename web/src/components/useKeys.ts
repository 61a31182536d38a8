import { useEffect, useRef } from 'react'
import { keysAct } from '../lib/letters'

/** Single keys that act only while no field has the focus, unless they were turned off on this device. */
export function useKeys(actions: Record<string, () => void>): void {
  const latest = useRef(actions)
  useEffect(() => {
    latest.current = actions
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (!keysAct() || event.ctrlKey || event.metaKey || event.altKey || isField(event.target)) return
      const action = latest.current[event.key]
      if (action === undefined) return
      event.preventDefault()
      action()
    }
    window.addEventListener('keydown', pressed)
    return () => {
      window.removeEventListener('keydown', pressed)
    }
  }, [])
}

function isField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, select, [role=listbox], dialog') !== null
  )
}
