/** A batch at the counter: one state for every device that looks at it, and presses that change it. */
import { askAnew } from './askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useState } from 'react'
import { Refused, toldOf } from './answered'
import { api, type EventInput, type Weigh } from './client'
import { weighQuery } from './queries'

const ELSEWHERE = 'Something was pressed on another device meanwhile; this is how it stands now.'

export interface WeighState {
  weigh: Weigh | undefined
  trouble: string
  busy: boolean
  /** Answers whether it was carried out. */
  press: (press: EventInput) => Promise<boolean>
}

export function useWeigh(identity: string): WeighState {
  const found = useQuery(weighQuery(identity))
  const queries = useQueryClient()
  const [trouble, setTrouble] = useState('')
  const [busy, setBusy] = useState(false)
  const weigh = found.data
  const press = useCallback(
    async (said: EventInput) => {
      if (!weigh) return false
      const { queryKey } = weighQuery(identity)
      setBusy(true)
      try {
        const after = await api.press(identity, { after: weigh.number, ...said })
        await queries.cancelQueries({ queryKey }) // asked before the press: its answer would put back what was before
        queries.setQueryData(queryKey, after)
        setTrouble('')
        void askAnew(queries, 'batches')
        return true
      } catch (error) {
        const overtaken = error instanceof Refused && error.status === 409
        setTrouble(overtaken ? ELSEWHERE : toldOf(error))
        await queries.invalidateQueries({ queryKey })
        return false
      } finally {
        setBusy(false)
      }
    },
    [identity, queries, weigh],
  )
  return { weigh, trouble, busy, press }
}
