import { toldOf } from '../../api/answered'
import { useState } from 'react'

/** One question to the kitchen at a time: its answer, and what went wrong. */
export function useAsking<T>() {
  const [answer, setAnswer] = useState<T>()
  const [trouble, setTrouble] = useState('')
  const ask = async (asking: Promise<T>): Promise<T | undefined> => {
    try {
      const found = await asking
      setTrouble('')
      setAnswer(found)
      return found
    } catch (error) {
      setTrouble(toldOf(error))
      setAnswer(undefined)
      return undefined
    }
  }
  const forget = () => {
    setAnswer(undefined)
    setTrouble('')
  }
  return { answer, trouble, ask, forget }
}
