/**
 * One batch being worked on: typed changes show at once, are held on this device, and are kept by
 * the kitchen a moment later. Each answer brings the new judgement, and what was changed elsewhere.
 */
import { askAnew } from './askAnew'
import { replaceEqualDeep, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { dropUnsaved, heldUnsaved, holdUnsaved, setOpen } from '../lib/unsaved'
import { Refused, toldOf } from './answered'
import { api, type Batch, type Draft, type Problem } from './client'
import { sendHeld, settleHeld, underWay } from './outbox'

/** What is typed on after this long is sent at once; while somebody types, a moment after the last letter. */
const QUIET_MS = 400
const PAUSE_MS = 120
const RETRY_MS = 3000

export type Side = 'mine' | 'theirs'

interface Edited {
  batch: Batch
  /** What was typed on; the kitchen brings together what changed since on either side. */
  since: Draft
  draft: Draft
  /** What was sent without an answer: it may stand there already, so it goes again before what was typed after it. */
  unsure?: Draft | undefined
}

export type BatchState =
  | { status: 'loading' }
  | { status: 'missing'; sentence: string }
  | (Edited & {
      status: 'settled' | 'changed' | 'saving' | 'unreachable'
    })
  /** Not kept, and why; what was typed stays. */
  | (Edited & { status: 'refused'; says: string })
  | (Edited & { status: 'conflict'; clashes: Problem[] })

type Action =
  | ({ type: 'loaded' } & Edited)
  | { type: 'missing'; sentence: string }
  | { type: 'typed'; change: (draft: Draft) => Draft }
  | { type: 'sent' }
  | { type: 'kept'; batch: Batch; sent: Draft }
  | { type: 'unreachable'; sent: Draft }
  | { type: 'refused'; batch: Batch; says: string }
  | { type: 'conflict'; clashes: Problem[] }

function next(state: BatchState, action: Action): BatchState {
  if (action.type === 'missing') return { status: 'missing', sentence: action.sentence }
  if (action.type === 'loaded') {
    const { batch, since, draft } = action
    return { status: draft === batch.draft ? 'settled' : 'changed', batch, since, draft }
  }
  if (state.status === 'loading' || state.status === 'missing') return state
  const { batch, since, draft, unsure } = state
  switch (action.type) {
    case 'typed':
      if (state.status === 'conflict') return { ...state, draft: action.change(draft) }
      return { status: 'changed', batch, since, draft: action.change(draft), unsure }
    case 'sent':
      return { status: 'saving', batch, since, draft, unsure }
    case 'kept': {
      const kept = replaceEqualDeep(batch, action.batch) // what is as it was is not drawn anew
      if (draft === action.sent)
        return { status: 'settled', batch: kept, since: kept.draft, draft: kept.draft }
      return { status: 'changed', batch: kept, since: action.sent, draft }
    }
    case 'refused':
      return { status: 'refused', batch: action.batch, since, draft, says: action.says }
    case 'unreachable':
      return { status: 'unreachable', batch, since, draft, unsure: action.sent }
    case 'conflict':
      return { status: 'conflict', batch, since, draft, clashes: action.clashes }
  }
}

async function loaded(identity: string): Promise<Action> {
  try {
    const batch = await api.batch(identity)
    const held = heldUnsaved<Draft>(identity)
    const since = held?.since ?? batch.draft
    return { type: 'loaded', batch, since, draft: held?.draft ?? batch.draft }
  } catch (error) {
    const sentence = toldOf(error)
    return { type: 'missing', sentence }
  }
}

async function saved(identity: string, edited: Edited, prefer?: Side): Promise<Action> {
  const { batch, since } = edited
  const draft = edited.unsure ?? edited.draft
  try {
    const change = { revision: batch.revision, draft, since, prefer: prefer ?? null }
    return { type: 'kept', batch: await api.change(identity, change), sent: draft }
  } catch (error) {
    if (!(error instanceof Refused)) return { type: 'unreachable', sent: draft }
    if (error.status === 409) return { type: 'conflict', clashes: error.problems }
    if (error.status === 422)
      return { type: 'refused', batch: await api.batch(identity), says: error.message }
    return { type: 'missing', sentence: error.message }
  }
}

async function stepped(identity: string, at: Batch, way: 'undo' | 'redo'): Promise<Action> {
  try {
    const batch = await api.step(identity, at.revision, way)
    return { type: 'loaded', batch, since: batch.draft, draft: batch.draft }
  } catch (error) {
    if (!(error instanceof Refused)) return { type: 'unreachable', sent: at.draft }
    const batch = await api.batch(identity)
    if (error.status === 422) return { type: 'refused', batch, says: error.message }
    return { type: 'loaded', batch, since: batch.draft, draft: batch.draft } // it was changed elsewhere: look first
  }
}

export function useBatch(identity: string) {
  const [state, setState] = useState<BatchState>({ status: 'loading' })
  // What came last, drawn or not yet: what is typed goes on from there.
  const latest = useRef(state)
  const dispatch = useCallback((action: Action) => {
    latest.current = next(latest.current, action)
    setState(latest.current)
  }, [])
  const queries = useQueryClient()
  const sending = useRef(false)
  const typing = useRef({ at: -QUIET_MS, pause: 0 })

  useEffect(() => {
    let current = true
    void loaded(identity).then((action) => {
      if (current) dispatch(action)
    })
    return () => {
      current = false
    }
  }, [identity, dispatch])

  // While it is open it sends by itself; what is left when the page is gone is sent from wherever the cook is then.
  const gone = useRef(false)
  const leave = useCallback(async () => {
    await sendHeld(identity)
    await askAnew(queries, 'batches')
  }, [identity, queries])
  const isOpen = state.status !== 'loading' && state.status !== 'missing'
  useEffect(() => {
    setOpen(identity, isOpen)
    gone.current = false
    return () => {
      setOpen(identity, false)
      gone.current = true
      if (isOpen) void leave()
    }
  }, [identity, isOpen, leave])

  const send = useCallback(
    async (edited: Edited, prefer?: Side) => {
      sending.current = true
      dispatch({ type: 'sent' })
      const action = await underWay(identity, saved(identity, edited, prefer))
      sending.current = false
      if (action.type === 'kept') {
        settleHeld(identity, action.sent)
        void askAnew(queries, 'batches')
      }
      dispatch(action)
    },
    [identity, queries, dispatch],
  )

  useEffect(() => {
    if (state.status === 'loading' || state.status === 'missing') return
    if (state.status === 'settled' || state.status === 'saving') return
    holdUnsaved(identity, { since: state.since, draft: state.draft })
    if (sending.current || state.status === 'conflict' || state.status === 'refused') return
    const timer = setTimeout(
      () => void send(state),
      state.status === 'unreachable' ? RETRY_MS : typing.current.pause,
    )
    return () => {
      clearTimeout(timer)
    }
  }, [identity, send, state])

  const change = useCallback(
    (typed: (draft: Draft) => Draft) => {
      const at = performance.now()
      typing.current = { at, pause: at - typing.current.at > QUIET_MS ? 0 : PAUSE_MS }
      const was = latest.current
      if (was.status !== 'settled' || sending.current || typing.current.pause > 0) {
        dispatch({ type: 'typed', change: typed })
        const now = latest.current
        if (gone.current && 'draft' in now) {
          holdUnsaved(identity, { since: now.since, draft: now.draft }) // words that were read when the cook had gone on
          void leave()
        }
        return
      }
      const draft = typed(was.draft)
      holdUnsaved(identity, { since: was.since, draft })
      dispatch({ type: 'typed', change: () => draft })
      void send({ ...was, draft })
    },
    [identity, send, leave, dispatch],
  )

  /** Where both changed one field, this side stands; all other edits of both do. */
  const prefer = useCallback(
    (side: Side) => {
      if (state.status === 'conflict') void send(state, side)
    },
    [send, state],
  )

  /** What was typed since is given up. */
  const giveUp = useCallback(
    (batch: Batch) => {
      dropUnsaved(batch.id)
      dispatch({ type: 'loaded', batch, since: batch.draft, draft: batch.draft })
    },
    [dispatch],
  )

  const step = useCallback(
    async (way: 'undo' | 'redo') => {
      if (state.status !== 'settled') return
      const action = await stepped(identity, state.batch, way)
      void askAnew(queries, 'batches')
      dispatch(action)
    },
    [identity, queries, state, dispatch],
  )

  /** Look again: a press at the counter may have changed it. */
  const refresh = useCallback(async () => {
    dispatch(await loaded(identity))
  }, [identity, dispatch])

  return { state, change, prefer, giveUp, step, refresh }
}
