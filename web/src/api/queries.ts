/** Key, fetcher and type of each resource in one value. */
import { queryOptions } from '@tanstack/react-query'
import { api } from './client'

export const batchesQuery = queryOptions({
  queryKey: ['batches'],
  queryFn: api.batches,
  refetchInterval: 60_000,
})
export const tablesQuery = queryOptions({ queryKey: ['tables'], queryFn: api.tables, staleTime: Infinity })
export const examplesQuery = queryOptions({
  queryKey: ['examples'],
  queryFn: api.examples,
  staleTime: Infinity,
})
export const lineQuery = (text: string) =>
  queryOptions({
    queryKey: ['line', text],
    queryFn: () => api.readLine(text),
    enabled: text.trim() !== '',
    staleTime: Infinity,
  })
