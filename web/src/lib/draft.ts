/** Changes to a draft, as plain values. */
export interface Line {
  id: string
  text: string
  /** Marks: "yes" or nothing. */
  locked: string
  lifted: string
  first: string
}

export type Mark = 'locked' | 'lifted' | 'first'

/** A draft with nothing said. */
export const BLANK = {
  name: '',
  cut: {
    kind: '',
    state: '',
    mass: '',
    shape: '',
    thickness: '',
    width: '',
    length: '',
    pieces: '',
    bone: '',
    bone_share: '',
    cover: '',
    cover_on: '',
    evenness: '',
    age: '',
    steps: [],
  },
  mix: [],
  hold: {
    fridge: '',
    goal: '',
    aim: '',
    salt_target: '',
    vacuum_school: '',
    turned: '',
    metal: '',
    open_air: '',
    room: '',
    readings: '',
  },
  meal: { at: '', lead: '', time_zone: '', start: '', contact: '', pulled: '', early: '', thaw_for: '' },
  occasion: { servings: '', appetite: '', frozen: '' },
  aims: { school: '', spoon_salt: '', spoons: '', bath_time: '', sugar: '', acid: '', heat: '' },
  quantity: {
    form: '',
    container: '',
    size: '',
    coat: '',
    set_aside: '',
    set_aside_for: '',
    set_aside_to: '',
  },
  making: {
    method: '',
    simmer: '',
    reduce_to: '',
    cooling: '',
    texture: '',
    first_contact: '',
    strained: '',
  },
  fire: {
    surface: '',
    stages: [],
    doneness: '',
    core: '',
    sauce: '',
    boil: '',
    reduce_to: '',
    freeze: '',
    dries: '',
    travels: '',
    rest: '',
    own_steps: [],
    crust: '',
  },
  companions: [],
}

const unmarked = { locked: '', lifted: '', first: '' }

/** An id for a new line, step or stage, that no other device makes at the same time. */
export function freshId(): string {
  return Array.from(crypto.getRandomValues(new Uint32Array(2)), (part) => part.toString(36)).join('')
}

/** The mix with new lines at its end. */
export function withLines(mix: readonly Line[], texts: readonly string[]): Line[] {
  return [...mix, ...texts.map((text) => ({ id: freshId(), text, ...unmarked }))]
}

/** The mix with new words for some of its lines. */
export function withTexts(mix: readonly Line[], words: readonly { line_id: string; text: string }[]): Line[] {
  const byId = new Map(words.map((word) => [word.line_id, word.text]))
  return mix.map((line) => ({ ...line, text: byId.get(line.id) ?? line.text }))
}

/** The mix with one line replaced by others, in its place. */
export function withInstead(mix: readonly Line[], id: string, texts: readonly string[]): Line[] {
  const [first, ...rest] = texts
  return withLines(
    mix.flatMap((line) => (line.id !== id ? [line] : first === undefined ? [] : [{ ...line, text: first }])),
    rest,
  )
}

/** A mix beside the marinade, from its heading and its lines. */
export function companionOf(title: string, lines: readonly string[]) {
  return { id: freshId(), kind: '', title, text: lines.join('\n'), eaten: '', reduce_to: '', when: '' }
}
