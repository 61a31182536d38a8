import { memo, useEffect, useRef } from 'react'
import { Link } from 'wouter'

/** A stage as a label on a tin: its name, and its state in words. */
export const StageTin = memo(function StageTin({
  to,
  title,
  words,
  current,
}: {
  to: string
  title: string
  words: string
  current: boolean
}) {
  const tin = useRef<HTMLAnchorElement>(null)
  // On a phone the stages are one row to swipe: the one that is open is in sight.
  useEffect(() => {
    if (current) tin.current?.scrollIntoView({ block: 'nearest', inline: 'center' })
  }, [current])
  const look = current
    ? 'bg-paper text-ink [--tin-fill:var(--paper)]'
    : 'text-on-band [--tin-fill:var(--band)]'
  return (
    <Link
      ref={tin}
      to={to}
      title={words}
      aria-current={current ? 'page' : undefined}
      className={`tin grid h-14 min-w-0 content-center px-1 text-center wide:h-15 wider:px-1.5 ${look}`}
    >
      <span className="font-slab text-[1rem] leading-tight whitespace-nowrap wide:max-wider:text-[0.95rem] wider:text-[1.1rem]">
        {title}
      </span>
      <span className="line-clamp-2 text-[0.8rem] leading-[1.1] text-balance wide:text-[0.85rem]">
        {words}
      </span>
    </Link>
  )
})
