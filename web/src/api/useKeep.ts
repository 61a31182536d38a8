/** Keeping what was typed in a form: which fields were refused, and the answer in words. */
import { askAnew } from './askAnew'
import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { Refused, toldOf } from './answered'
import type { Problem } from './client'

export interface Keep {
  problems: Problem[]
  answer: string
  fault: (field: string) => Problem | undefined
  /** Answers whether it was kept; what was overtaken is told, and kept by a second press. */
  keep: (work: (prefer: 'mine' | null) => Promise<unknown>, words: string) => Promise<boolean>
  quiet: () => void
}

export function useKeep(): Keep {
  const [problems, setProblems] = useState<Problem[]>([])
  const [answer, setAnswer] = useState('')
  const queries = useQueryClient()
  const [overtaken, setOvertaken] = useState(false)
  const asked = useRef(0) // an answer to what was asked before this is of what no longer stands there
  const keep = async (work: (prefer: 'mine' | null) => Promise<unknown>, words: string) => {
    const mine = ++asked.current
    try {
      await work(overtaken ? 'mine' : null)
      if (mine === asked.current) {
        setOvertaken(false)
        setProblems([])
        setAnswer(words)
      }
      await askAnew(queries)
      return true
    } catch (error) {
      if (mine !== asked.current) return false
      setProblems(error instanceof Refused ? error.problems : [])
      setOvertaken(error instanceof Refused && error.status === 409)
      setAnswer(toldOf(error))
      return false
    }
  }
  return {
    problems,
    answer,
    fault: (field) => problems.find((problem) => problem.field === field),
    keep,
    quiet: () => {
      asked.current += 1
      setAnswer('')
      setOvertaken(false)
    },
  }
}
