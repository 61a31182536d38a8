/**
 * Where the focus goes when what had it is gone: a button that was pressed and went with its line, a view that was left.
 * It never falls out of the page: it goes to what took the place, so that the next Tab, or a reader, goes on from there.
 */
const REACHED =
  'a[href], button:not(:disabled), input:not(:disabled), textarea:not(:disabled), [tabindex="0"], [role=combobox]'
const GOES_FIRST = '[data-goes-first]' // where a part says itself where to go on, whatever else can be pressed by then
const MOST_WAITS = 8 // for a press to be answered, once the browser has let go of the button
const SETTLED_MS = 60 // menus give the focus back to their button a moment after they close

interface Step {
  element: Element
  place: number // among the children of its parent
}

const wayTo = (element: Element | null): Step[] => {
  const way: Step[] = []
  for (let here = element; here !== null && here !== document.body; here = here.parentElement)
    way.push({
      element: here,
      place: here.parentElement ? [...here.parentElement.children].indexOf(here) : 0,
    })
  return way
}

/** Not so what lies in a folded part of the page: it has its place, and cannot have the focus. */
const isShown = (element: Element) => element.getClientRects().length > 0 && element.checkVisibility()

function firstIn(part: Element | undefined): HTMLElement | undefined {
  if (part === undefined) return undefined
  if (part instanceof HTMLElement && part.matches(REACHED) && isShown(part)) return part
  const told = part.querySelector<HTMLElement>(GOES_FIRST)
  if (told !== null && isShown(told)) return told
  return [...part.querySelectorAll<HTMLElement>(REACHED)].find(isShown)
}

/** What stands now where the way led to: the next beside it, else anything near it, else the main part of the page. */
function afterAll(way: Step[]): HTMLElement | undefined {
  const main = document.querySelector<HTMLElement>('main') ?? undefined
  for (const [depth, { element }] of way.entries()) {
    if (!element.isConnected) continue
    if (!main?.contains(element)) break
    const place = way[depth - 1]?.place ?? 0
    const beside = [...element.children]
    const found = firstIn(beside[place]) ?? firstIn(beside[place - 1]) ?? firstIn(element)
    if (found !== undefined) return found
  }
  return main
}

/** Under a finger a field would bring up the letters: what holds it has the focus then. */
function focusOn(found: HTMLElement, byTouch: boolean): void {
  const isTyped = found.matches('input, textarea, [role=combobox]')
  const element =
    (byTouch && isTyped ? found.closest<HTMLElement>('section, [role=region], main') : null) ?? found
  if (!element.matches(REACHED)) element.tabIndex = -1
  element.focus({ preventScroll: !element.matches(REACHED) })
}

/** Watch the page from now on. */
export function keepFocus(): void {
  let last: Element | undefined // that had the focus
  let way: Step[] = [] // to it, or to the button of the menu that it is in
  let isShaky = false // it is gone, or could not be pressed for a moment; the browser may not have let go of it yet
  let byTouch = false
  let path = location.pathname
  let waiting: number | undefined
  let waits = 0
  document.addEventListener('focusin', (event) => {
    if (!(event.target instanceof Element)) return
    last = event.target
    isShaky = false
    // What lies over the page is gone when it is closed: the way back leads to what opened it.
    if (document.getElementById('root')?.contains(last) && last.closest('dialog') === null) way = wayTo(last)
    soon()
  })
  document.addEventListener('focusout', () => {
    soon()
  })
  document.addEventListener('pointerdown', (event) => (byTouch = event.pointerType === 'touch'), true)
  document.addEventListener('keydown', () => (byTouch = false), true)
  const isNowhere = () => document.activeElement === null || document.activeElement === document.body
  const isBusy = () => last?.isConnected === true && last.matches(':disabled')
  const isGone = () => last !== undefined && (!last.isConnected || isBusy())
  const hasMoved = () => location.pathname !== path && document.querySelector('main') !== null
  const askedIn = () => {
    const dialog = [...document.querySelectorAll<HTMLElement>('dialog')].at(-1)
    return dialog !== undefined && !dialog.contains(document.activeElement) ? dialog : undefined
  }
  /** What opened the dialog that had the focus, if it is still there. */
  const opener = () => {
    const from = way[0]?.element
    return from !== undefined && from !== last && from.isConnected ? firstIn(from) : undefined
  }
  const next = () => {
    const dialog = askedIn()
    if (dialog !== undefined) return firstIn(dialog)
    if (!isNowhere()) return undefined
    if (isShaky) return isGone() ? (opener() ?? afterAll(way)) : last
    return hasMoved() ? afterAll([]) : undefined
  }
  const mend = () => {
    if (isBusy() && (waits < MOST_WAITS || !isNowhere())) {
      waits += 1
      waiting = window.setTimeout(mend, SETTLED_MS)
      return
    }
    waiting = undefined
    const to = next()
    if (hasMoved()) path = location.pathname
    if (to instanceof HTMLElement) {
      isShaky = false
      focusOn(to, byTouch)
    }
    // A dialog that could not have it yet; a button that the browser may still let go of.
    const goesOn = (isShaky || askedIn() !== undefined) && waits < MOST_WAITS
    waits = goesOn ? waits + 1 : 0
    if (goesOn) waiting = window.setTimeout(mend, SETTLED_MS)
    else isShaky = false
  }
  /** A dialog that something on the page took the focus from, however late, gets it back. */
  const soon = () => {
    if (waiting === undefined && askedIn() !== undefined) waiting = window.setTimeout(mend, SETTLED_MS)
  }
  new MutationObserver(() => {
    isShaky ||= isGone()
    if (waiting === undefined && (isShaky || hasMoved() || askedIn() !== undefined))
      waiting = window.setTimeout(mend, SETTLED_MS)
  }).observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  })
}
