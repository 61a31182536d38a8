import type { ReactNode } from 'react'
import { Link, useLocation } from 'wouter'

/** A link in a row of links to views, marked where it leads to the one that is shown, or to all below it. */
export function ViewLink({
  to,
  above = false,
  className = '',
  children,
}: {
  to: string
  above?: boolean
  className?: string
  children: ReactNode
}) {
  const [here] = useLocation()
  const shown = here === to || (above && here.startsWith(`${to}/`))
  return (
    <Link
      to={to}
      aria-current={shown ? 'page' : undefined}
      className={`grid min-h-12 place-items-center aria-[current=page]:font-bold aria-[current=page]:underline aria-[current=page]:decoration-2 aria-[current=page]:underline-offset-8 ${className}`}
    >
      {children}
    </Link>
  )
}
