/** Changes to a draft, as plain values. */
import blank from './blank.json'

export interface Line {
  id: string
  text: string
  /** Marks: "yes" or nothing. */
  locked: string
  lifted: string
  first: string
}

export type Mark = 'locked' | 'lifted' | 'first'

/** Drafts and their parts with nothing said, as the server has them (`make types`): a new question is declared there. */
export const {
  draft: BLANK,
  step: BLANK_STEP,
  stage: BLANK_STAGE,
  own_step: BLANK_OWN_STEP,
  companion: BLANK_COMPANION,
  line: BLANK_LINE,
} = blank

/** An id for a new line, step or stage, that no other device makes at the same time. */
export function freshId(): string {
  return Array.from(crypto.getRandomValues(new Uint32Array(2)), (part) => part.toString(36)).join('')
}

/** The mix with new lines at its end. */
export function withLines(mix: readonly Line[], texts: readonly string[]): Line[] {
  return [...mix, ...texts.map((text) => ({ ...BLANK_LINE, id: freshId(), text }))]
}

/** The mix with new words for some of its lines. */
export function withTexts(mix: readonly Line[], words: readonly { line_id: string; text: string }[]): Line[] {
  const byId = new Map(words.map((word) => [word.line_id, word.text]))
  return mix.map((line) => ({ ...line, text: byId.get(line.id) ?? line.text }))
}

/** The mix with one line replaced by others, in its place. */
export function withInstead(mix: readonly Line[], id: string, texts: readonly string[]): Line[] {
  const [first, ...rest] = texts
  return mix.flatMap((line) => {
    if (line.id !== id) return [line]
    return first === undefined ? [] : [{ ...line, text: first }, ...withLines([], rest)]
  })
}

/** A mix beside the marinade, from its heading and its lines. */
export function companionOf(title: string, lines: readonly string[]) {
  return { ...BLANK_COMPANION, id: freshId(), title, text: lines.join('\n') }
}
