/** Grams as they are read at arm's length: whole from a hundred on, tenths below. */
export const gramsTold = (grams: number): string => {
  const digits = Math.abs(grams) >= 100 ? 0 : 1
  const told = grams.toFixed(digits)
  return told === '-0.0' || told === '-0' ? told.slice(1) : told.replace(/\.0$/, '')
}
