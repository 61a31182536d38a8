/** Addresses of what is downloaded or shown as a picture. */

/** Address of a batch as a file, a recipe or a card. */
export const fileAddress = (identity: string, kind: 'file' | 'recipe' | 'card' | 'card.pdf' = 'file') =>
  `/api/batches/${identity}/${kind}`

/** Address of the whole kitchen as an archive, and of a copy of its file. */
export const ARCHIVE = '/api/kitchen/archive'
export const BACKUP = '/api/kitchen/backup'

/** Address of today's list and the labels on paper. */
export const todayPaper = (hours: number) => `/api/plan/today.pdf?hours=${hours}`

/** Address of the label of one bag on paper. */
export const labelPaper = (identity: string) => `/api/plan/${identity}/label.pdf`

/** Address of the code that opens a batch. */
export const codePicture = (identity: string) => `/api/plan/${identity}/code.svg`

/** Address of a plan as a calendar; of all plans without an identity. */
export const calendarAddress = (identity?: string) =>
  identity === undefined ? '/api/plan/calendar.ics' : `/api/plan/${identity}/calendar.ics`
