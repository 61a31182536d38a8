/**
 * Stands in the build for the package that draws only part of a very long list: the combobox brings it along, a
 * twenty-fifth of all that the page is, and no list here is so long.
 */
export function useVirtualizer(): never {
  throw new Error('No list here is drawn in part: take the alias out of vite.config.ts first.')
}
