/** The words of a cook for the choices that the core names. */
import type { Option } from '../../components/Pick'

const options = (words: Record<string, string>): Option[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }))

export const shapes = options({
  slab: 'a slab or steak',
  strip: 'strips',
  cylinder: 'long and round',
  cube: 'cubes',
  cuboid: 'a block',
  ball: 'round as a ball',
  irregular: 'uneven',
})
export const evenness = options({ even: 'even', uneven: 'somewhat', 'very uneven': 'very uneven' })
export const bones = options({
  none: 'none',
  face: 'along one face',
  edge: 'along one edge',
  ribs: 'ribs on one side',
  core: 'in the middle',
})
export const covers = options({
  none: 'nothing',
  skin: 'skin',
  fat: 'a fat cap',
  rind: 'rind',
  membrane: 'a membrane',
  shell: 'its shell',
})
export const sides = options({ one: 'on one side', all: 'all round' })
export const appetites = options({ light: 'light', normal: 'normal', hearty: 'hearty' })

export const stepWords: Record<string, string> = {
  trimmed: 'Trimmed',
  membrane_off: 'Membrane off',
  divided: 'Cut apart',
  scored: 'Scored',
  slits: 'Slits',
  pricked: 'Pricked along the grain',
  cold_soak: 'Soaked cold, an hour',
  hot_dip: 'Dipped hot, 30 s',
  rinsed: 'Rinsed with water',
  acid_rinsed: 'Rinsed with acid',
  patted: 'Patted dry',
  pressed: 'Pressed dry',
  left_wet: 'Left wet',
  skin_salted: 'Skin salted and rinsed',
}

export const thicknessQuestion: Record<string, string> = {
  cube: 'Edge of a cube?',
  cylinder: 'How thick across?',
  ball: 'How thick across?',
  strip: 'How thick a strip?',
}
