import { Dialog } from './Dialog'
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
    <Dialog title={title} className="max-w-md" onClose={onNo}>
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
    </Dialog>
  )
}
