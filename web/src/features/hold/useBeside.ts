import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import type { Draft } from '../../api/client'
import { comparisonQuery } from '../../api/queries'
import { needsValue, type Choice } from './choices'

/** Another way of holding the same batch, as chosen, judged by the kitchen. */
export function useBeside(draft: Draft, hour: number) {
  const [choice, setChoice] = useState<Choice>({ change: 'nothing', value: '' })
  const at_h = useDeferredValue(hour)
  const { change, value } = choice
  const ready = change !== 'nothing' && (!needsValue(change) || value.trim() !== '')
  const found = useQuery(
    comparisonQuery({ draft, change: change === 'nothing' ? 'scored' : change, value, at_h }, ready),
  )
  return {
    choice,
    setChoice,
    trouble: ready && found.isError ? found.error.message : '',
    other: ready && !found.isError ? found.data : undefined,
  }
}
