import { useQuery } from '@tanstack/react-query'
import type { EventInput, Weigh } from '../../api/client'
import { typedQuery } from '../../api/queries'
import type { Devices } from '../../api/useDevices'

/** What every part of the weigh-in gets. */
export interface AtCounter {
  weigh: Weigh
  busy: boolean
  press: (press: EventInput) => Promise<boolean>
  devices: Devices
}

/** Grams as they are being typed, read by the kitchen: the figure, or why it is none. */
export function useTypedGrams(
  text: string,
  kind: EventInput['kind'],
): { grams: number | null; fault: string } {
  const typed = text.trim()
  const read = useQuery({ ...typedQuery(typed, kind), enabled: typed !== '' })
  if (typed === '') return { grams: null, fault: '' }
  return { grams: read.data?.grams ?? null, fault: read.error?.message ?? '' }
}
