import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react'

const IN = 0.7
const SHORTEST_MS = 2 * 3_600_000
const LONGEST_MS = 21 * 86_400_000
const NOW_AT = 0.2 // of the rail's width, where "now" is put

interface Zoomed {
  begins: number
  ends: number
}

export interface RailSpan {
  domain: [Date, Date]
  isZoomed: boolean
  /** Nearer (below 1) or wider, about a place on the rail from 0 to 1. */
  zoom: (factor: number, about: number) => void
  toNow: () => void
  whole: () => void
  onKeyDown: (event: KeyboardEvent) => void
  /** Two fingers that part or close. */
  pinch: {
    onPointerDown: (event: PointerEvent) => void
    onPointerMove: (event: PointerEvent) => void
    onPointerUp: (event: PointerEvent) => void
    onPointerCancel: (event: PointerEvent) => void
  }
}

/** The stretch of time that a rail shows: the whole plan until the cook looks nearer, by keys, wheel or fingers. */
export function useRailSpan(whole: [Date, Date], now: Date, frame: RefObject<HTMLElement | null>): RailSpan {
  const [zoomed, setZoomed] = useState<Zoomed>()
  const begins = zoomed?.begins ?? whole[0].getTime()
  const ends = zoomed?.ends ?? whole[1].getTime()
  const fingers = useRef(new Map<number, number>())
  const zoom = (factor: number, about: number) => {
    setZoomed((was) => {
      const from = was ?? { begins: whole[0].getTime(), ends: whole[1].getTime() }
      const span = from.ends - from.begins
      const wanted = Math.min(LONGEST_MS, Math.max(SHORTEST_MS, span * factor))
      const still = from.begins + about * span
      return { begins: still - about * wanted, ends: still + (1 - about) * wanted }
    })
  }
  const pan = (share: number) => {
    const by = share * (ends - begins)
    setZoomed({ begins: begins + by, ends: ends + by })
  }
  const toNow = () => {
    const span = Math.min(ends - begins, 86_400_000)
    setZoomed({ begins: now.getTime() - NOW_AT * span, ends: now.getTime() + (1 - NOW_AT) * span })
  }
  const back = () => {
    setZoomed(undefined)
  }
  const latest = useRef(zoom)
  useEffect(() => {
    latest.current = zoom
  })
  useEffect(() => {
    const element = frame.current
    if (!element) return
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return // a wheel alone scrolls the page
      event.preventDefault()
      const box = element.getBoundingClientRect()
      latest.current(event.deltaY < 0 ? IN : 1 / IN, (event.clientX - box.left) / box.width)
    }
    element.addEventListener('wheel', wheel, { passive: false })
    return () => {
      element.removeEventListener('wheel', wheel)
    }
  }, [frame])
  const apart = () => {
    const [first, second] = fingers.current.values()
    return first === undefined || second === undefined ? 0 : Math.abs(first - second)
  }
  const lift = (event: PointerEvent) => {
    fingers.current.delete(event.pointerId)
  }
  return {
    domain: [new Date(begins), new Date(ends)],
    isZoomed: zoomed !== undefined,
    zoom,
    toNow,
    whole: back,
    onKeyDown: (event) => {
      const deeds: Record<string, () => void> = {
        '+': () => {
          zoom(IN, 0.5)
        },
        '=': () => {
          zoom(IN, 0.5)
        },
        '-': () => {
          zoom(1 / IN, 0.5)
        },
        ArrowLeft: () => {
          pan(-0.2)
        },
        ArrowRight: () => {
          pan(0.2)
        },
        Home: toNow,
        Escape: back,
      }
      const deed = deeds[event.key]
      if (!deed) return
      event.preventDefault()
      event.stopPropagation()
      deed()
    },
    pinch: {
      onPointerDown: (event) => {
        if (event.pointerType === 'touch') fingers.current.set(event.pointerId, event.clientX)
      },
      onPointerMove: (event) => {
        if (!fingers.current.has(event.pointerId)) return
        const before = apart()
        fingers.current.set(event.pointerId, event.clientX)
        const after = apart()
        if (before > 10 && after > 10) zoom(before / after, 0.5)
      },
      onPointerUp: lift,
      onPointerCancel: lift,
    },
  }
}
