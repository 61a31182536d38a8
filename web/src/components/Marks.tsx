import { useLayoutEffect, useRef, useState } from 'react'
import { spread } from '../lib/spread'

interface MarksProps {
  /** Places along the ribbon in hundredths of its length, in their order. */
  marks: { at: number; says: string; strong?: boolean }[]
  /** Under a thin track rather than under the ribbon. */
  low?: boolean
}

/** Hours under a ribbon, each as near to its place as the others let it: by their measured widths, none over another. */
export function Marks({ marks, low = false }: MarksProps) {
  const row = useRef<HTMLDivElement>(null)
  const [lefts, setLefts] = useState<(number | null)[]>([])
  const words = marks.map((mark) => `${mark.says} ${String(mark.at)}`).join('|')
  useLayoutEffect(() => {
    const here = row.current
    if (here === null) return
    const place = () => {
      const widths = [...here.children].map((child) => (child as HTMLElement).offsetWidth)
      setLefts(
        spread(
          marks.map((mark, n) => ({ middle: (mark.at / 100) * here.clientWidth, width: widths[n] ?? 0 })),
          here.clientWidth,
        ),
      )
    }
    const watch = new ResizeObserver(place)
    watch.observe(here)
    place()
    return () => {
      watch.disconnect()
    }
    // The words hold all that the places depend on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [words])
  return (
    <div ref={row} className={`absolute inset-x-0 ${low ? 'top-0 h-5' : 'top-16 h-6'}`}>
      {marks.map((mark, n) => {
        const left = lefts[n]
        return (
          <span
            key={n}
            className={`absolute whitespace-nowrap ${mark.strong ? 'font-bold' : ''} ${left === null ? 'invisible' : ''}`}
            style={{ left: left ?? 0 }}
          >
            {mark.says}
          </span>
        )
      })}
    </div>
  )
}
