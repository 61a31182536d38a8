import type { ComparisonQuestion } from '../../api/client'

export interface Choice {
  change: ComparisonQuestion['change'] | 'nothing'
  value: string
}

/** What can be different beside, as a cook would say it. */
export const CHANGES: { value: Choice['change']; label: string }[] = [
  { value: 'nothing', label: 'nothing' },
  { value: 'hour', label: 'another hour' },
  { value: 'thickness', label: 'another thickness or cube' },
  { value: 'salt_target', label: 'another salt target' },
  { value: 'scored', label: 'scored, or not' },
  { value: 'heat_treated', label: 'its fruit heat-treated' },
  { value: 'fridge', label: 'another fridge' },
  { value: 'turned', label: 'left lying, or turned' },
  { value: 'vacuum', label: 'a vacuum bag, for contact' },
  { value: 'vacuum_faster', label: 'a vacuum bag, claimed faster' },
]

/** Changes that have to be said in a figure. */
export const ASKS: Record<string, { question: string; placeholder: string }> = {
  hour: { question: 'At', placeholder: '20 h' },
  thickness: { question: 'How thick', placeholder: '20 mm' },
  salt_target: { question: 'Grams a kilogram', placeholder: '8' },
  fridge: { question: 'Degrees', placeholder: '2' },
}

export const needsValue = (change: string) => change in ASKS
