/** Stages of a batch in work order, and the state of each in words. */
import { lengthTold, massTold } from '../lib/told'
import type { Batch } from '../api/client'

export type StageName = 'cut' | 'mix' | 'hold' | 'weigh' | 'fire' | 'taste'

export const STAGES: { name: StageName; title: string }[] = [
  { name: 'cut', title: 'Cut' },
  { name: 'mix', title: 'Mix' },
  { name: 'hold', title: 'Hold' },
  { name: 'weigh', title: 'Weigh-in' },
  { name: 'fire', title: 'Fire' },
  { name: 'taste', title: 'Taste' },
]

const ROOMS: Record<StageName, string[]> = {
  cut: ['cut', 'occasion'],
  mix: ['mix', 'aims', 'quantity', 'making'],
  hold: ['hold', 'meal'],
  weigh: [],
  fire: ['fire'],
  taste: [],
}

/** The state of each stage: what is to mend, or what it came to. */
export function stageWords(batch: Batch): Record<StageName, string> {
  const { piece, ingredients, salt_says, window, problems, fire, plan, stops } = batch.judgement
  const wrong = (stage: StageName) =>
    problems.some((problem) => ROOMS[stage].some((room) => problem.field.startsWith(room)))
  const words = {
    cut: piece
      ? `${batch.draft.cut.mass.trim() || massTold(piece.meat_g)}, ${lengthTold(piece.thickness_mm)}`
      : 'not said',
    mix: ingredients.length === 0 ? 'empty' : (salt_says ?? `${ingredients.length} ingredients`),
    hold: !window
      ? stops.length > 0
        ? '✕ stop'
        : 'not judged'
      : window.closed
        ? 'no good time'
        : `${window.earliest.shown} to ${window.latest.shown}`,
    weigh: plan?.has_come_out ? 'it is out' : batch.locked ? 'in the mix' : 'not weighed',
    fire: fire.in_short,
    taste: batch.tasted ? 'tasted' : 'to come',
  }
  for (const stage of STAGES) if (wrong(stage.name)) words[stage.name] = 'to mend'
  return words
}
