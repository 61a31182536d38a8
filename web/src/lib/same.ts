/** Whether two answers of a form say the same. */
export const isSame = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other)

/** What stands in a form once what was sent has been taken: `after`, but what was typed meanwhile stays. */
export const onceTaken =
  <T>(sent: T, after: T) =>
  (now: T): T =>
    isSame(now, sent) ? after : now
