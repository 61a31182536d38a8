/** The six substances: one letter, one colour and one texture each, wherever they appear. */
export const substances = {
  salt: { letter: 'S', name: 'Salt' },
  sugar: { letter: 'U', name: 'Sugar' },
  acid: { letter: 'A', name: 'Acid' },
  enzyme: { letter: 'E', name: 'Enzyme' },
  fat: { letter: 'F', name: 'Fat' },
  aroma: { letter: 'R', name: 'Aroma' },
} as const

export type Substance = keyof typeof substances
