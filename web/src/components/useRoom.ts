import { useCallback, useSyncExternalStore, type RefObject } from 'react'

/** Its own box is watched too: a screen that changes may tell so before the page is laid out anew. */
function watch(element: RefObject<HTMLElement | null>, changed: () => void): () => void {
  const box = new ResizeObserver(changed)
  if (element.current !== null) box.observe(element.current)
  addEventListener('resize', changed)
  return () => {
    box.disconnect()
    removeEventListener('resize', changed)
  }
}

/**
 * Room of an element in px: its width, and from its top down to the end of the screen, where that is wide enough for
 * two columns; 0 while it is not drawn, and the height on a phone.
 */
export function useRoom(element: RefObject<HTMLElement | null>): { width: number; below: number } {
  const listen = useCallback((changed: () => void) => watch(element, changed), [element])
  const width = useSyncExternalStore(listen, () =>
    Math.round(element.current?.getBoundingClientRect().width ?? 0),
  )
  const below = useSyncExternalStore(listen, () => {
    const top = element.current?.getBoundingClientRect().top
    return top === undefined || innerWidth < 960 ? 0 : Math.round(innerHeight - top - scrollY)
  })
  return { width, below }
}
