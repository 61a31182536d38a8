/** Parts of a page that have a name of their own, in the order they stand in. */
const PARTS =
  'header nav, main section[aria-labelledby], main section[aria-label], main aside[aria-label], main [role=region], main [role=tablist], main [role=search], footer'

const isShown = (part: HTMLElement) => part.getClientRects().length > 0

/** The focus to the next part of the page, or the one before; from the last to the first. */
export function jump(way: 1 | -1): void {
  const parts = [...document.querySelectorAll<HTMLElement>(PARTS)].filter(isShown)
  if (parts.length === 0) return
  const here = document.activeElement
  const within = parts.findLastIndex((part) => here !== null && part.contains(here))
  const before = (part: HTMLElement) =>
    here !== null && (part.compareDocumentPosition(here) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0
  const at = within >= 0 ? within : parts.findLastIndex(before)
  const next = way === 1 ? at + 1 : within >= 0 ? at - 1 : at
  const part = parts[(next + parts.length) % parts.length]
  if (part === undefined) return
  const inside = part.matches('[role=tablist]')
    ? part.querySelector<HTMLElement>('[role=tab][aria-selected=true]')
    : null
  if (inside === null && !part.hasAttribute('tabindex')) part.tabIndex = -1
  ;(inside ?? part).focus()
}
