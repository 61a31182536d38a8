import type { ReactNode } from 'react'

/** What stays as it was weighed once the meat is in the mix: it is read, and not typed over. */
export function AsWeighed({ locked, children }: { locked: boolean; children: ReactNode }) {
  return (
    <fieldset disabled={locked} className="contents">
      {children}
    </fieldset>
  )
}
