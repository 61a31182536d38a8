import { Component, type ReactNode } from 'react'
import { deviceRefuses } from '../lib/device'

/** A fault of the page: what was typed is still held, and there is a way on. */
function Broken({ fault }: { fault: unknown }) {
  return (
    <main className="grid justify-items-start gap-4 p-8">
      <h1 className="font-slab text-[2rem]">This page broke</h1>
      <p role="alert">
        That is a fault of Vadouvan, not yours.{' '}
        {deviceRefuses()
          ? 'This browser keeps nothing, so what was not sent yet is lost when it opens again.'
          : 'What you typed is held on this device, and sent when the page opens again.'}
      </p>
      <p className="text-quiet">{fault instanceof Error ? fault.message : String(fault)}</p>
      <div className="flex gap-3">
        <button
          type="button"
          className="act act-first"
          onClick={() => {
            location.reload()
          }}
        >
          Open it again
        </button>
        <a className="act inline-flex items-center" href="/">
          To the Counter
        </a>
      </div>
    </main>
  )
}

interface GuardedProps {
  children: ReactNode
}

/** A view whose fault takes no other away: what broke is told in its place. */
export class Guarded extends Component<GuardedProps, { fault: unknown }> {
  override state: { fault: unknown } = { fault: undefined }

  static getDerivedStateFromError(fault: unknown) {
    return { fault: fault ?? new Error('Something broke, and did not say what.') }
  }

  override render() {
    return this.state.fault === undefined ? this.props.children : <Broken fault={this.state.fault} />
  }
}
