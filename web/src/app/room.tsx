import { lazy, useState, type ComponentType } from 'react'

/** A part of the page with a file of its own. */
export interface Room<P extends object> {
  (props: P): React.ReactNode
  /** Fetch it, so that it is there when it is entered: what suspends is shown a third of a second later. */
  open: () => Promise<void>
}

/** A room that is fetched when it is first entered, or before. */
export function room<P extends object>(load: () => Promise<ComponentType<P>>): Room<P> {
  let fetched: ComponentType<P> | undefined
  const open = async () => {
    fetched = await load()
  }
  const Fetching = lazy(async () => ({ default: await load() }))
  function Entered(props: P) {
    const [Page] = useState<ComponentType<P>>(() => fetched ?? Fetching) // the same for as long as it is shown
    return <Page {...props} />
  }
  return Object.assign(Entered, { open })
}
