import { useEffect } from 'react'

/** Keeps the screen awake while wanted, and again after the page was hidden. */
export function useWakeLock(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | undefined
    let done = false
    const hold = async () => {
      if (document.visibilityState !== 'visible') return
      const asked = await navigator.wakeLock.request('screen').catch(() => undefined) // refused on low battery
      if (done) void asked?.release()
      else lock = asked
    }
    const again = () => void hold()
    again()
    document.addEventListener('visibilitychange', again)
    return () => {
      done = true
      document.removeEventListener('visibilitychange', again)
      void lock?.release()
    }
  }, [wanted])
}
