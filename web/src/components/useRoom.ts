import { useSyncExternalStore, type RefObject } from 'react'

const listen = (changed: () => void) => {
  addEventListener('resize', changed)
  return () => {
    removeEventListener('resize', changed)
  }
}

/**
 * Room of an element in px: its width, and from its top down to the end of the screen, where that is wide enough for
 * two columns; 0 while it is not drawn, and the height on a phone.
 */
export function useRoom(element: RefObject<HTMLElement | null>): { width: number; below: number } {
  const width = useSyncExternalStore(listen, () =>
    Math.round(element.current?.getBoundingClientRect().width ?? 0),
  )
  const below = useSyncExternalStore(listen, () => {
    const top = element.current?.getBoundingClientRect().top
    return top === undefined || innerWidth < 960 ? 0 : Math.round(innerHeight - top - scrollY)
  })
  return { width, below }
}
