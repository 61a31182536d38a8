/** Key, fetcher and type of each resource in one value. */
import { keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query'
import {
  api,
  type ComparisonQuestion,
  type CorrectionsQuestion,
  type Draft,
  type Label,
  type LogbookAsked,
  type EventInput,
  type SwapsQuestion,
} from './client'

export const batchesQuery = queryOptions({
  queryKey: ['batches'],
  queryFn: api.batches,
  refetchInterval: 60_000,
})
/** What cannot be read any more: a file does not get worse while it is looked at. */
export const unreadQuery = queryOptions({
  queryKey: ['unread'],
  queryFn: api.unread,
  staleTime: Infinity,
})
export const householdQuery = queryOptions({ queryKey: ['household'], queryFn: api.household })
export const tablesQuery = queryOptions({ queryKey: ['tables'], queryFn: api.tables, staleTime: Infinity })
/** What is chosen from, cuts and the pantry: nothing until they have come, empty where they do not come. */
export function useLists() {
  const { data, isError } = useQuery(tablesQuery)
  return data ?? (isError ? NO_LISTS : undefined)
}
const NO_LISTS = { cuts: [], ingredients: [] }
export const examplesQuery = queryOptions({
  queryKey: ['examples'],
  queryFn: api.examples,
  staleTime: Infinity,
})
export const cubesQuery = (identity: string, revision: number) =>
  queryOptions({
    queryKey: ['cubes', identity, revision],
    queryFn: () => api.cubes(identity),
    placeholderData: keepPreviousData,
  })
/** Ways to the salt target: each is tried on the cut, so that they come after the figures. */
export const saltOffersQuery = (identity: string, revision: number) =>
  queryOptions({
    queryKey: ['salt offers', identity, revision],
    queryFn: () => api.saltOffers(identity),
    placeholderData: (before, asked) => (asked?.queryKey[1] === identity ? before : undefined),
  })
export const balanceInMixQuery = (identity: string, revision: number) =>
  queryOptions({
    queryKey: ['balance in mix', identity, revision],
    queryFn: () => api.balanceInMix(identity),
    placeholderData: (before, asked) => (asked?.queryKey[1] === identity ? before : undefined),
  })
export const courseQuery = (identity: string, revision: number) =>
  queryOptions({
    queryKey: ['course', identity, revision],
    queryFn: () => api.course(identity),
    placeholderData: keepPreviousData,
  })
/** How far long work is; looked at twice a second while it is waited for. */
export const workQuery = queryOptions({
  queryKey: ['work'],
  queryFn: api.work,
  refetchInterval: 500,
  gcTime: 0,
})
export const lineQuery = (text: string, meatG?: number) =>
  queryOptions({
    queryKey: ['line', text, meatG],
    queryFn: () => api.readLine(text, meatG),
    enabled: text.trim() !== '',
    staleTime: Infinity,
  })
export const pantryQuery = (search: string) =>
  queryOptions({
    queryKey: ['pantry', search],
    queryFn: () => api.pantry(search),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  })
export const correctionsQuery = (question: CorrectionsQuestion) =>
  queryOptions({
    queryKey: ['corrections', question],
    queryFn: () => api.corrections(question),
    placeholderData: keepPreviousData,
    retry: false,
  })
export const swapsQuery = (question: SwapsQuestion) =>
  queryOptions({
    queryKey: ['swaps', question],
    queryFn: () => api.swaps(question),
    placeholderData: keepPreviousData,
    retry: false,
  })
export const ownIngredientsQuery = queryOptions({
  queryKey: ['own ingredients'],
  queryFn: api.ownIngredients,
})
export const labelQuery = (label: Label) =>
  queryOptions({
    queryKey: ['label', label],
    queryFn: () => api.readLabel(label),
    enabled: label.label.trim() !== '' || label.name.trim() !== '',
    placeholderData: keepPreviousData,
  })
export const comparisonQuery = (question: ComparisonQuestion, enabled: boolean) =>
  queryOptions({
    queryKey: ['comparison', question],
    queryFn: () => api.compared(question),
    enabled,
    placeholderData: keepPreviousData,
    retry: false,
  })
export const lessonsQuery = queryOptions({
  queryKey: ['lessons'],
  queryFn: api.lessons,
  staleTime: Infinity,
})
export const outcomeQuery = (identity: string, enabled: boolean) =>
  queryOptions({ queryKey: ['outcome', identity], queryFn: () => api.outcome(identity), enabled })
export const offersQuery = (draft: Draft) =>
  queryOptions({
    queryKey: ['offers', draft],
    queryFn: () => api.offers(draft),
    placeholderData: keepPreviousData,
    retry: false,
  })
export const tableQuery = queryOptions({ queryKey: ['batches', 'table'], queryFn: api.table })
export const weighQuery = (identity: string) =>
  queryOptions({ queryKey: ['weigh', identity], queryFn: () => api.weigh(identity), refetchInterval: 2000 })
export const typedQuery = (mass: string, kind: EventInput['kind']) =>
  queryOptions({
    queryKey: ['typed', kind, mass],
    queryFn: () => api.typedMass(mass, kind),
    retry: false,
    staleTime: Infinity,
  })
export const scalesQuery = queryOptions({ queryKey: ['scales'], queryFn: api.scales, staleTime: Infinity })
export const tasteQuery = (identity: string) =>
  queryOptions({ queryKey: ['taste', identity], queryFn: () => api.taste(identity) })
/** The last batch of the same dish that was just right; by its name too. */
export const lastGoodQuery = (identity: string, name: string) =>
  queryOptions({ queryKey: ['taste', identity, 'last-good', name], queryFn: () => api.lastGood(identity) })
export const correctionQuery = queryOptions({ queryKey: ['correction'], queryFn: api.correction })
export const logbookQuery = (asked: LogbookAsked) =>
  queryOptions({
    queryKey: ['logbook', asked],
    queryFn: () => api.logbook(asked),
    placeholderData: keepPreviousData,
  })
export const besideQuery = (ids: string[]) =>
  queryOptions({
    queryKey: ['logbook', 'beside', ids],
    queryFn: () => api.beside(ids),
    placeholderData: keepPreviousData,
  })
export const threadQuery = (identity: string) =>
  queryOptions({ queryKey: ['logbook', 'thread', identity], queryFn: () => api.thread(identity) })
export const sharedQuery = queryOptions({ queryKey: ['shared'], queryFn: api.shared })
export const weekQuery = queryOptions({ queryKey: ['week'], queryFn: api.week })
export const busyQuery = (zone: string) =>
  queryOptions({
    queryKey: ['busy', zone],
    queryFn: async () =>
      (await api.busy(zone)).map((stretch) => ({
        what: stretch.what,
        begins: new Date(stretch.begins),
        ends: new Date(stretch.ends),
      })),
    staleTime: 600_000,
  })
export const todayQuery = (hours: number) =>
  queryOptions({
    queryKey: ['batches', 'today', hours],
    queryFn: () => api.today(hours),
    placeholderData: keepPreviousData,
    refetchInterval: 60_000,
  })
export const cautionsQuery = queryOptions({
  queryKey: ['cautions'],
  queryFn: api.cautions,
  staleTime: Infinity,
})
export const batchCautionsQuery = (identity: string, revision: number) =>
  queryOptions({
    queryKey: ['cautions', identity, revision],
    queryFn: () => api.cautionsOf(identity),
    placeholderData: keepPreviousData,
  })
