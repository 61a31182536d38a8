import type { ReactNode } from 'react'

interface TickProps {
  ticked: boolean
  onTick: (ticked: boolean) => void
  /** Beside others in one row of a form: no taller than they are. */
  low?: boolean
  className?: string
  children: ReactNode
}

/** A box to tick, with its words. */
export function Tick({ ticked, onTick, low = false, className = '', children }: TickProps) {
  return (
    <label className={`flex cursor-pointer items-center gap-2 ${low ? 'min-h-8' : 'min-h-12'} ${className}`}>
      <input
        type="checkbox"
        className="size-6 shrink-0 accent-enamel"
        checked={ticked}
        onChange={(event) => {
          onTick(event.target.checked)
        }}
      />
      {children}
    </label>
  )
}
