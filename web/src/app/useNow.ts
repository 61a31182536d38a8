import { useEffect, useState } from 'react'

const A_MINUTE_MS = 60_000

/** The present, moving once a minute. */
export function useNow(): Date {
  const [now, setNow] = useState(() => new Date())
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(new Date())
    }, A_MINUTE_MS)
    return () => {
      clearInterval(timer)
    }
  }, [])
  return now
}
