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
      className={`tin grid min-h-14 min-w-0 grow basis-0 content-center px-2 py-1.5 wide:px-3 text-center ${look}`}
    >
      <span className="font-slab text-[1.1rem] leading-tight">{title}</span>
      <span className="text-[0.8rem] leading-tight text-balance wide:text-[0.9rem]">{words}</span>
    </Link>
  )
}
