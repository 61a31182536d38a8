/** Looking things up anew after a change. */
import type { QueryClient } from '@tanstack/react-query'

/**
 * All that is shown, or what is under a key, asked for anew. What is still on its way was asked before the change and is
 * let go first: a first answer under way would otherwise stand for the new one.
 */
export async function askAnew(queries: QueryClient, ...key: string[]): Promise<void> {
  const wanted = key.length > 0 ? { queryKey: key } : {}
  await queries.cancelQueries(wanted)
  await queries.invalidateQueries(wanted)
}
