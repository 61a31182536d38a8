import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react'
import type { ReactNode } from 'react'

interface SureProps {
  title: string
  yes: string
  no: string
  trouble?: string
  /** Whether it may be done yet. */
  ready?: boolean
  children: ReactNode
  onYes: () => void
  onNo: () => void
}

/** A question before something that cannot be undone here; the safe answer comes first. */
export function Sure({ title, yes, no, trouble = '', ready = true, children, onYes, onNo }: SureProps) {
  return (
    <Dialog open onClose={onNo} className="relative z-30">
      <DialogBackdrop className="fixed inset-0 bg-black/40" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="max-w-md rounded-md border-2 border-enamel bg-raised p-6">
          <DialogTitle className="text-xl">{title}</DialogTitle>
          <div className="mt-2">{children}</div>
          {trouble !== '' && (
            <p role="alert" className="mt-2 text-stop">
              {trouble}
            </p>
          )}
          <div className="mt-4 flex gap-3">
            <button type="button" className="act act-first" onClick={onNo}>
              {no}
            </button>
            <button type="button" className="act" disabled={!ready} onClick={onYes}>
              {yes}
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
