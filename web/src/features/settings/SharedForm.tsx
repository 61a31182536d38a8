import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Shared } from '../../api/client'
import { sharedQuery } from '../../api/queries'
import { useKeep } from '../../api/useKeep'
import { useKeptOnLeaving } from '../../components/useKeptOnLeaving'
import { Said } from '../../components/Said'
import { isSame, onceTaken } from '../../lib/same'

/** What all batches share: room in the fridge, and tubs. */
export function SharedForm() {
  const kept = useQuery(sharedQuery)
  if (!kept.data) return null
  return <Form start={kept.data} />
}

function Form({ start }: { start: Shared }) {
  const [shared, setShared] = useState(start)
  const [since, setSince] = useState(start)
  const { answer, fault, keep, quiet } = useKeep()
  const form = useKeptOnLeaving(answer === '' && !isSame(shared, since))
  const say = (part: Partial<Shared>) => {
    setShared((was) => ({ ...was, ...part }))
    quiet()
  }
  return (
    <form
      ref={form}
      aria-label="Fridge and tubs"
      onSubmit={(event) => {
        event.preventDefault()
        void keep(async (prefer) => {
          const kept = await api.keepShared({ ...shared, since, prefer })
          setSince(kept)
          setShared(onceTaken(shared, kept))
        }, 'Kept. Dishes are planned around each other with it.')
      }}
    >
      <h2 className="heading">what all dishes share</h2>
      <p className="py-2">One oven at one heat, one pair of hands, and:</p>
      <Said
        question="Free in the fridge"
        stack
        placeholder="38 l"
        hint="empty: no limit"
        value={shared.fridge}
        fault={fault('fridge')}
        onType={(fridge) => {
          say({ fridge })
        }}
      />
      <Said
        question="Tubs"
        stack
        placeholder="2.5 l, 5 l"
        hint="each by its volume; empty: no limit"
        value={shared.tubs}
        fault={fault('tubs')}
        onType={(tubs) => {
          say({ tubs })
        }}
      />
      <button type="submit" className="act act-first mt-4">
        Keep fridge and tubs
      </button>
      {answer !== '' && (
        <p role="status" className="mt-3 whitespace-pre-line">
          {answer}
        </p>
      )}
    </form>
  )
}
