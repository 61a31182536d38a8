import { useSyncExternalStore } from 'react'
import { deviceRefuses, REFUSED } from '../lib/device'

function listen(told: () => void): () => void {
  window.addEventListener(REFUSED, told)
  return () => {
    window.removeEventListener(REFUSED, told)
  }
}

/** Told when this browser keeps nothing: choices and unsent text then last as long as the page. */
export function DeviceNotice() {
  const refuses = useSyncExternalStore(listen, deviceRefuses)
  if (!refuses) return null
  return (
    <p role="status" className="border-b-2 border-warn bg-raised px-4 py-1">
      <span aria-hidden>▲ </span>
      This browser keeps nothing for the page (its storage is full or forbidden). What is not sent yet is lost
      if you close it.
    </p>
  )
}
