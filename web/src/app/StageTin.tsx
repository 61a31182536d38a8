import { Link } from 'react-router'

/** A stage as a label on a tin: its name, and its state in words. */
export function StageTin({
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
  const look = current
    ? 'bg-paper text-ink [--tin-fill:var(--paper)]'
    : 'text-on-band [--tin-fill:var(--band)]'
  return (
    <Link
      to={to}
      aria-current={current ? 'page' : undefined}
      className={`tin grid min-h-12 min-w-0 wide:min-h-14 content-center px-1 py-1 text-center wide:px-1.5 ${look}`}
    >
      <span className="font-slab text-[1rem] leading-tight whitespace-nowrap wide:text-[1.1rem]">
        {title}
      </span>
      <span className="text-[0.8rem] leading-tight text-balance wide:text-[0.85rem]">{words}</span>
    </Link>
  )
}
