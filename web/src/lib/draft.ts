/** Changes to a draft, as plain values. */
export interface Line {
  id: string
  text: string
}

/** An id for a new line that no line of the mix has. */
export function freshLineId(lines: readonly Line[]): string {
  const taken = new Set(lines.map((line) => line.id))
  let number = lines.length + 1
  while (taken.has(String(number))) number += 1
  return String(number)
}

/** Typed or pasted text as lines: one ingredient a line, empty lines dropped. */
export function linesOf(text: string): string[] {
  return text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
}

/** The mix with new lines at its end. */
export function withLines(mix: readonly Line[], texts: readonly string[]): Line[] {
  return texts.reduce<Line[]>((lines, text) => [...lines, { id: freshLineId(lines), text }], [...mix])
}
