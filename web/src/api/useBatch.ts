/**
 * One batch being worked on: typed changes show at once, are held on this device, and are kept by
 * the kitchen a moment later. Each answer brings the new judgement.
 */
import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useReducer, useRef } from 'react'
import { dropUnsaved, heldUnsaved, holdUnsaved } from '../lib/unsaved'
import { api, Refused, type Batch, type Draft } from './client'

const PAUSE_MS = 200
const RETRY_MS = 3000

export type BatchState =
  | { status: 'loading' }
  | { status: 'missing'; sentence: string }
  | {
      status: 'settled' | 'changed' | 'saving' | 'unreachable'
      batch: Batch
      draft: Draft
      /** Why the last change was not kept, if it was refused. */
      refused?: string
    }
  | { status: 'conflict'; batch: Batch; draft: Draft; newer: Batch }

type Action =
  | { type: 'loaded'; batch: Batch; draft: Draft }
  | { type: 'missing'; sentence: string }
  | { type: 'typed'; change: (draft: Draft) => Draft }
  | { type: 'sent' }
  | { type: 'kept'; batch: Batch; sent: Draft }
  | { type: 'unreachable' }
  | { type: 'refused'; batch: Batch; sentence: string }
  | { type: 'conflict'; newer: Batch }

function next(state: BatchState, action: Action): BatchState {
  if (action.type === 'missing') return { status: 'missing', sentence: action.sentence }
  if (action.type === 'loaded') {
    const same = action.draft === action.batch.draft
    return { status: same ? 'settled' : 'changed', batch: action.batch, draft: action.draft }
  }
  if (action.type === 'refused')
    return { status: 'settled', batch: action.batch, draft: action.batch.draft, refused: action.sentence }
  if (state.status === 'loading' || state.status === 'missing') return state
  const { batch, draft } = state
  switch (action.type) {
    case 'typed':
      if (state.status === 'conflict') return { ...state, draft: action.change(draft) }
      return { status: 'changed', batch, draft: action.change(draft) }
    case 'sent':
      return { status: 'saving', batch, draft }
    case 'kept':
      return { status: draft === action.sent ? 'settled' : 'changed', batch: action.batch, draft }
    case 'unreachable':
      return { status: 'unreachable', batch, draft }
    case 'conflict':
      return { status: 'conflict', batch, draft, newer: action.newer }
  }
}

async function loaded(identity: string): Promise<Action> {
  try {
    const batch = await api.batch(identity)
    const held = heldUnsaved<Draft>(identity)
    return {
      type: 'loaded',
      batch: held ? { ...batch, revision: held.revision } : batch,
      draft: held?.draft ?? batch.draft,
    }
  } catch (error) {
    const sentence = error instanceof Error ? error.message : String(error)
    return { type: 'missing', sentence }
  }
}

async function saved(identity: string, revision: number, draft: Draft): Promise<Action> {
  try {
    return { type: 'kept', batch: await api.change(identity, revision, draft), sent: draft }
  } catch (error) {
    if (!(error instanceof Refused)) return { type: 'unreachable' }
    if (error.status === 409) return { type: 'conflict', newer: await api.batch(identity) }
    if (error.status === 422)
      return { type: 'refused', batch: await api.batch(identity), sentence: error.message }
    return { type: 'missing', sentence: error.message }
  }
}

async function stepped(identity: string, revision: number, way: 'undo' | 'redo'): Promise<Action> {
  try {
    const batch = await api.step(identity, revision, way)
    return { type: 'loaded', batch, draft: batch.draft }
  } catch (error) {
    if (!(error instanceof Refused)) return { type: 'unreachable' }
    const batch = await api.batch(identity)
    if (error.status === 422) return { type: 'refused', batch, sentence: error.message }
    return { type: 'conflict', newer: batch }
  }
}

export function useBatch(identity: string) {
  const [state, dispatch] = useReducer(next, { status: 'loading' })
  const queries = useQueryClient()
  const sending = useRef(false)

  useEffect(() => {
    let current = true
    void loaded(identity).then((action) => {
      if (current) dispatch(action)
    })
    return () => {
      current = false
    }
  }, [identity])

  useEffect(() => {
    if (state.status !== 'changed' && state.status !== 'unreachable') return
    holdUnsaved(identity, { revision: state.batch.revision, draft: state.draft })
    if (sending.current) return
    const send = async () => {
      sending.current = true
      dispatch({ type: 'sent' })
      const action = await saved(identity, state.batch.revision, state.draft)
      sending.current = false
      if (action.type === 'refused') dropUnsaved(identity)
      if (action.type === 'kept') {
        const held = heldUnsaved<Draft>(identity)
        if (JSON.stringify(held?.draft) === JSON.stringify(state.draft)) dropUnsaved(identity)
        void queries.invalidateQueries({ queryKey: ['batches'] })
      }
      dispatch(action)
    }
    const timer = setTimeout(() => void send(), state.status === 'unreachable' ? RETRY_MS : PAUSE_MS)
    return () => {
      clearTimeout(timer)
    }
  }, [identity, queries, state])

  const change = useCallback((typed: (draft: Draft) => Draft) => {
    dispatch({ type: 'typed', change: typed })
  }, [])

  const takeNewer = useCallback((newer: Batch) => {
    dropUnsaved(newer.id)
    dispatch({ type: 'loaded', batch: newer, draft: newer.draft })
  }, [])

  const keepMine = useCallback((newer: Batch, mine: Draft) => {
    dispatch({ type: 'loaded', batch: newer, draft: mine })
  }, [])

  const step = useCallback(
    async (way: 'undo' | 'redo') => {
      if (state.status !== 'settled') return
      const action = await stepped(identity, state.batch.revision, way)
      void queries.invalidateQueries({ queryKey: ['batches'] })
      dispatch(action)
    },
    [identity, queries, state],
  )

  /** Look again: a press at the counter may have changed it. */
  const refresh = useCallback(async () => {
    dispatch(await loaded(identity))
  }, [identity])

  return { state, change, takeNewer, keepMine, step, refresh }
}
