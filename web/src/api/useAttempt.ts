/** One deed that the kitchen may refuse: whether it goes on, and what was wrong, in words. */
import { useMutation } from '@tanstack/react-query'
import { useRef } from 'react'
import { faultIn, toldOf } from './answered'

export interface Attempt {
  /** Do it; answers whether it worked. What was wrong with the one before is forgotten. */
  attempt: (work: () => Promise<unknown>) => Promise<boolean>
  /** The same for what makes something: pressed again while it is on its way, it is made once. */
  once: Attempt['attempt']
  /** Empty while nothing is wrong. */
  trouble: string
  /** What of that is told beside a field of its own. */
  faultAt: (field: string) => ReturnType<typeof faultIn>
  busy: boolean
  quiet: () => void
}

export function useAttempt(): Attempt {
  const { mutateAsync, error, isPending, reset } = useMutation({
    mutationFn: (work: () => Promise<unknown>) => work(),
    // The kitchen is on this machine: it answers though the network is away.
    networkMode: 'always',
  })
  const onItsWay = useRef<Promise<boolean>>(undefined)
  const attempt: Attempt['attempt'] = (work) =>
    mutateAsync(work).then(
      () => true,
      () => false,
    )
  return {
    attempt,
    once: (work) =>
      (onItsWay.current ??= attempt(work).finally(() => {
        onItsWay.current = undefined
      })),
    trouble: error === null ? '' : toldOf(error),
    faultAt: (field) => faultIn(error, field),
    busy: isPending,
    quiet: reset,
  }
}
