import { faultIn, toldOf } from '../../api/answered'
import { useState } from 'react'

/** One question to the kitchen at a time: its answer, and what went wrong. */
export function useAsking<T>() {
  const [answer, setAnswer] = useState<T>()
  const [error, setError] = useState<unknown>()
  const ask = async (asking: Promise<T>): Promise<T | undefined> => {
    try {
      const found = await asking
      setError(undefined)
      setAnswer(found)
      return found
    } catch (error) {
      setError(error)
      setAnswer(undefined)
      return undefined
    }
  }
  const forget = () => {
    setAnswer(undefined)
    setError(undefined)
  }
  return {
    answer,
    trouble: error === undefined ? '' : toldOf(error),
    faultAt: (field: string) => faultIn(error, field),
    ask,
    forget,
  }
}
