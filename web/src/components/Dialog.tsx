import { useId, useLayoutEffect, useRef, type ReactNode } from 'react'

interface DialogProps {
  title: string
  className?: string
  onClose: () => void
  children: ReactNode
}

/** Whether it was pressed beside the dialog: its own bar to scroll by counts as the dialog, like what lies behind it. */
function isBeside({ clientX, clientY }: { clientX: number; clientY: number }, dialog: HTMLElement): boolean {
  const { left, right, top, bottom } = dialog.getBoundingClientRect()
  return clientX < left || clientX > right || clientY < top || clientY > bottom
}

/** What has to be answered, or closed, before the page goes on; its first field has the focus, or what goes first. */
export function Dialog({ title, className = '', onClose, children }: DialogProps) {
  const dialog = useRef<HTMLDialogElement>(null)
  const heading = useId()
  // Closed before it is gone: the focus goes back to what had it.
  useLayoutEffect(() => {
    const shown = dialog.current
    shown?.showModal()
    shown?.querySelector<HTMLElement>('[data-goes-first]')?.focus() // a list that opened at once would hide the rest
    return () => {
      shown?.close()
    }
  }, [])
  return (
    <dialog
      ref={dialog}
      aria-labelledby={heading}
      className="m-auto max-h-[calc(100dvh-2rem)] max-w-[calc(100vw-2rem)] overflow-y-auto rounded-md border-2 border-enamel bg-raised text-left text-base font-normal whitespace-normal text-ink backdrop:bg-black/40"
      onCancel={(event) => {
        if (event.target !== dialog.current) return // a chooser of files within it was left
        event.preventDefault()
        onClose()
      }}
      onPointerDown={(event) => {
        if (event.target === dialog.current && isBeside(event, dialog.current)) onClose()
      }}
    >
      <div className={`p-6 ${className}`}>
        <h2 id={heading} className="text-xl">
          {title}
        </h2>
        {children}
      </div>
    </dialog>
  )
}
