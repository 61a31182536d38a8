/** Keeping what was typed in a form: which fields were refused, and the answer in words. */
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Refused, type Problem } from './client'

export interface Keep {
  problems: Problem[]
  answer: string
  fault: (field: string) => Problem | undefined
  /** Answers whether it was kept. */
  keep: (work: () => Promise<unknown>, words: string) => Promise<boolean>
  quiet: () => void
}

export function useKeep(): Keep {
  const [problems, setProblems] = useState<Problem[]>([])
  const [answer, setAnswer] = useState('')
  const queries = useQueryClient()
  const keep = async (work: () => Promise<unknown>, words: string) => {
    try {
      await work()
      setProblems([])
      setAnswer(words)
      await queries.invalidateQueries()
      return true
    } catch (error) {
      setProblems(error instanceof Refused ? error.problems : [])
      setAnswer(error instanceof Error ? error.message : String(error))
      return false
    }
  }
  return {
    problems,
    answer,
    fault: (field) => problems.find((problem) => problem.field === field),
    keep,
    quiet: () => {
      setAnswer('')
    },
  }
}
