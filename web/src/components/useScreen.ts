import { useSyncExternalStore } from 'react'

const listen = (changed: () => void) => {
  addEventListener('resize', changed)
  return () => {
    removeEventListener('resize', changed)
  }
}

/** How high the screen is, where it is wide enough for two columns; 0 on a phone. */
export function useScreen(): number {
  return useSyncExternalStore(listen, () => (innerWidth >= 960 ? innerHeight : 0))
}
