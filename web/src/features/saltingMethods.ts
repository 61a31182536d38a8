/** Ways of setting salt, in words. */
export const SALTING_METHODS = [
  { value: 'per_kg', label: 'by the kilogram' },
  { value: 'equilibrium', label: 'what a bath settles to' },
  { value: 'strong_bath', label: 'strong bath, by time' },
  { value: 'spoon_per_pound', label: 'spoons to the pound' },
]
