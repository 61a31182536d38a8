import { askAnew } from '../api/askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { api, type Batch, type Draft } from '../api/client'
import { batchesQuery } from '../api/queries'
import { inOrder } from '../features/timelineRows'
import { told } from '../lib/clock'
import { Header } from './Header'
import { PlanRail } from './PlanRail'
import { RailStrip } from './RailStrip'
import { useNow } from './useNow'

const LANES_BESIDE = 3

interface ViewShellProps {
  title: string
  /** The first screen shows the hour and every batch on the rail, on a phone too. */
  first?: boolean
  children: ReactNode
}

/** A view that is not a batch: header, the view, and the rail on the bottom edge. */
export function ViewShell({ title, first = false, children }: ViewShellProps) {
  const now = useNow()
  const batches = useQuery(batchesQuery)
  const queries = useQueryClient()
  const keep = async (batch: Batch, draft: Draft) => {
    await api.change(batch.id, { revision: batch.revision, draft, since: batch.draft })
    await askAnew(queries, 'batches')
  }
  const inHand = inOrder(batches.data ?? [])
  return (
    <div className="flex min-h-dvh flex-col">
      <Header title={title} note={first ? told(now) : undefined} />
      <main className="grow">{children}</main>
      <footer className={`low:static sticky bottom-0 z-10 print:hidden ${first ? '' : 'hidden wide:block'}`}>
        <RailStrip batches={inHand}>
          <PlanRail batches={first ? inHand : inHand.slice(0, LANES_BESIDE)} now={now} onMoved={keep} />
        </RailStrip>
      </footer>
    </div>
  )
}
