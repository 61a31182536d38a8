import { useAttempt } from '../api/useAttempt'
import { useEffect, useState } from 'react'
import { keepAsNew, sendHeld, type Waiting } from '../api/outbox'
import { dropUnsaved, leftUnsent } from '../lib/unsaved'

const LOOKS_EVERY_MS = 3000

/** What was typed and is not kept yet: sent from any page as soon as it can be, and told while it waits. */
export function Outbox() {
  const [waiting, setWaiting] = useState<Waiting[]>([])
  const { attempt, trouble } = useAttempt()
  useEffect(() => {
    let current = true
    let timer = 0
    const look = async () => {
      const found = await Promise.all(leftUnsent().map(sendHeld))
      if (!current) return
      setWaiting(found.filter((one) => one !== undefined))
      timer = window.setTimeout(() => void look(), LOOKS_EVERY_MS)
    }
    void look()
    return () => {
      current = false
      window.clearTimeout(timer)
    }
  }, [])
  const settle = (one: Waiting, work: () => Promise<void> | void) =>
    attempt(async () => {
      await work()
      setWaiting((was) => was.filter((other) => other !== one))
    })
  if (waiting.length === 0) return null
  return (
    <section aria-label="Not sent yet" className="border-b-2 border-warn bg-raised px-4 py-1">
      <ul role="status">
        {waiting.map((one) => (
          <li key={one.identity} className="flex flex-wrap items-center gap-x-3">
            <span className="min-w-0 grow basis-96">
              <span aria-hidden>▲ </span>
              Not sent yet, and held on this device: {one.name}. {one.says}
            </span>
            {one.gone ? (
              <>
                <button
                  type="button"
                  className="act"
                  onClick={() => void settle(one, () => keepAsNew(one.identity))}
                >
                  Make it a batch again
                </button>
                <button
                  type="button"
                  className="act"
                  onClick={() =>
                    void settle(one, () => {
                      dropUnsaved(one.identity)
                    })
                  }
                >
                  Throw away what is held
                </button>
              </>
            ) : (
              <a className="act inline-grid place-items-center" href={`/batch/${one.identity}`}>
                Open {one.name}
              </a>
            )}
          </li>
        ))}
      </ul>
      {trouble !== '' && <p role="alert">{trouble}</p>}
    </section>
  )
}
