/** Answers of the server as they come: what was understood, and what was refused with its sentence. */
import type { components } from './generated'

type Trouble = components['schemas']['TroubleOut']

/** A request that the server understood and refused, with its sentence. */
export class Refused extends Error {
  readonly status: number
  readonly problems: Trouble['problems']

  constructor(status: number, trouble: Trouble) {
    super(trouble.sentence)
    this.status = status
    this.problems = trouble.problems
  }
}

/** What went wrong, in words. */
export function toldOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}

/** What is wrong with one field, where the kitchen refused for that. */
export function faultIn(error: unknown, field: string) {
  return error instanceof Refused ? error.problems.find((problem) => problem.field === field) : undefined
}

interface Result<T> {
  data?: T
  error?: unknown
  response: Response
}

export function isTrouble(error: unknown): error is Trouble {
  return typeof error === 'object' && error !== null && 'sentence' in error
}

export function answered<T>(result: Result<T>): T {
  if (result.data !== undefined) return result.data
  if (isTrouble(result.error)) throw new Refused(result.response.status, result.error)
  throw new Error(`The kitchen answered ${result.response.status}.`)
}

/** Send a file as it is; the answer is that of the address. */
export async function sent<T>(address: string, file: File, method: 'POST' | 'PUT' = 'POST'): Promise<T> {
  const response = await fetch(address, { method, body: file })
  const body: unknown = await response.json()
  if (response.ok) return body as T
  if (isTrouble(body)) throw new Refused(response.status, body)
  throw new Error(`The kitchen answered ${response.status}.`)
}
