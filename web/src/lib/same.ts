/** Whether two answers of a form say the same. */
export const isSame = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other)
