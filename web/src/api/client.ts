/** The one client: typed from the OpenAPI document, and the only place that talks to the server. */
import createClient from 'openapi-fetch'
import { answered, isTrouble, Refused, sent } from './answered'
import type { components, paths } from './generated'

type Schemas = components['schemas']
export type Batch = Schemas['BatchOut']
export type Draft = Schemas['Draft']
export type Piece = Schemas['PieceOut']
export type Companion = Schemas['CompanionOut']
export type PlateOut = Schemas['PlateOut']
export type Problem = Schemas['ProblemOut']
export type CutAsked = Schemas['CutAskedOut']
export type Figure = Schemas['FigureShown']
export type Ingredient = Schemas['IngredientOut']
export type Trouble = Schemas['TroubleOut']
export type CubeChoice = Schemas['CubeChoiceOut']
export type SaltOffer = Schemas['SaltOfferOut']
export type PantryItem = Schemas['PantryItemOut']
export type Step = Schemas['StepInput']
export type Effect = Schemas['EffectOut']
export type Amounts = Schemas['AmountsOut']
export type AmountsQuestion = Schemas['AmountsQuestion']
export type Correction = Schemas['CorrectionOut']
export type CorrectionsQuestion = Schemas['CorrectionsQuestion']
export type Swap = Schemas['SwapOut']
export type SwapsQuestion = Schemas['SwapsQuestion']
export type Scaled = Schemas['ScaledOut']
export type ScaledQuestion = Schemas['ScaledQuestion']
export type Pasted = Schemas['PastedOut']
export type Span = Schemas['SpanOut']
export type Mix = Schemas['MixShown']
export type BalanceInMix = Schemas['BalanceInMixOut']
export type Course = Schemas['CourseOut']
export type HoldWindow = Schemas['WindowOut']
export type ComparisonQuestion = Schemas['ComparisonQuestion']
export type Comparison = Schemas['ComparisonOut']
export type Lesson = Schemas['LessonOut']
export type Outcome = Schemas['OutcomeOut']
export type Today = Schemas['TodayOut']
export type Week = Schemas['RoutineBody']
export type Weigh = Schemas['WeighAnswer']
export type WeighLine = Schemas['WeighLineOut']
export type EventInput = Partial<Omit<Schemas['EventBody'], 'after' | 'kind'>> &
  Pick<Schemas['EventBody'], 'kind'>
export type DeviceReadings = Schemas['ReadingsOut']
export type BenchAction = Schemas['BenchBody']['action']
export type Taste = Schemas['TasteOut']
export type VerdictInput = Schemas['VerdictKept']
export type LogEntry = Schemas['EntryOut']
export type Learned = Schemas['LearnedOut']
export interface LogbookAsked {
  search: string
  cut: string
  species: string
  school: string
  verdict: string
  ingredient: string
  page: number
}
export type Shared = Schemas['SharedBody']
export type Household = Schemas['HouseholdBody']
export type Merge = Schemas['MergeOut']
export type StoreCheck = Schemas['CheckOut']
export type Together = Schemas['TogetherOut']
export type CookStage = Schemas['StageInput']
export type Label = Schemas['LabelBody']
export type LineAnswer = Schemas['LineAnswer']

const client = createClient<paths>({ baseUrl: '/' })

export const api = {
  batches: async () => answered(await client.GET('/api/batches')),
  batch: async (identity: string) =>
    answered(await client.GET('/api/batches/{identity}', { params: { path: { identity } } })),
  make: async (draft: Draft) => answered(await client.POST('/api/batches', { body: draft })),
  change: async (identity: string, change: Schemas['ChangeBody']): Promise<Batch> => {
    const request = { params: { path: { identity } }, body: change }
    const kept = answered(await client.PUT('/api/batches/{identity}', request))
    return { ...kept, draft: kept.draft ?? change.draft } // the draft is told where it is another than was sent
  },
  remove: async (identity: string) => {
    const { error, response } = await client.DELETE('/api/batches/{identity}', {
      params: { path: { identity } },
    })
    if (isTrouble(error)) throw new Refused(response.status, error)
  },
  step: async (identity: string, revision: number, way: 'undo' | 'redo') => {
    const request = { params: { path: { identity } }, body: { revision } }
    return answered(
      way === 'undo'
        ? await client.POST('/api/batches/{identity}/undo', request)
        : await client.POST('/api/batches/{identity}/redo', request),
    )
  },
  cubes: async (identity: string) =>
    answered(await client.GET('/api/batches/{identity}/cubes', { params: { path: { identity } } })),
  saltOffers: async (identity: string) =>
    answered(await client.GET('/api/batches/{identity}/salt-offers', { params: { path: { identity } } })),
  balanceInMix: async (identity: string) =>
    answered(await client.GET('/api/batches/{identity}/balance-in-mix', { params: { path: { identity } } })),
  course: async (identity: string) =>
    answered(await client.GET('/api/batches/{identity}/course', { params: { path: { identity } } })),
  working: async (identity: string, figure: string) =>
    answered(
      await client.GET('/api/batches/{identity}/working', {
        params: { path: { identity }, query: { figure } },
      }),
    ),
  keepCut: async (batch: string, name: string) =>
    answered(await client.POST('/api/own-cuts', { body: { batch, name } })),
  fromFile: async (text: string) => answered(await client.POST('/api/batches/from-file', { body: { text } })),
  readLine: async (text: string, meatG?: number) =>
    answered(await client.POST('/api/lines/reading', { body: { text, meat_g: meatG ?? null } })),
  amounts: async (question: AmountsQuestion) =>
    answered(await client.POST('/api/mix/amounts', { body: question })),
  corrections: async (question: CorrectionsQuestion) =>
    answered(await client.POST('/api/mix/corrections', { body: question })),
  swaps: async (question: SwapsQuestion) => answered(await client.POST('/api/mix/swaps', { body: question })),
  scaled: async (question: ScaledQuestion) =>
    answered(await client.POST('/api/mix/scaled', { body: question })),
  compared: async (question: ComparisonQuestion) =>
    answered(await client.POST('/api/hold/comparison', { body: question })),
  move: async (body: Schemas['MoveBody']) => answered(await client.POST('/api/plan/move', { body })),
  table: async () => answered(await client.GET('/api/plan/table')),
  planTogether: async () => answered(await client.POST('/api/plan/table')),
  weigh: async (identity: string) =>
    answered(await client.GET('/api/weigh/{identity}', { params: { path: { identity } } })),
  press: async (identity: string, press: EventInput & { after: number }) =>
    answered(
      await client.POST('/api/weigh/{identity}', {
        params: { path: { identity } },
        body: { line_id: '', words: '', how: '', mass: '', degrees: '', sure: false, ...press },
      }),
    ),
  typedMass: async (mass: string, kind: EventInput['kind']) =>
    answered(await client.POST('/api/weigh/typed', { body: { mass, kind } })),
  scales: async () => answered(await client.GET('/api/taste/scales')),
  taste: async (identity: string) =>
    answered(await client.GET('/api/taste/{identity}', { params: { path: { identity } } })),
  keepVerdict: async (identity: string, body: VerdictInput) =>
    answered(await client.PUT('/api/taste/{identity}', { params: { path: { identity } }, body })),
  removeVerdict: async (identity: string, eater: string) =>
    answered(
      await client.DELETE('/api/taste/{identity}', { params: { path: { identity }, query: { eater } } }),
    ),
  keepPhotograph: (identity: string, file: File) =>
    sent<Taste>(`/api/taste/${encodeURIComponent(identity)}/photograph`, file, 'PUT'),
  markPhotograph: async (identity: string, body: Schemas['MarksBody']) =>
    answered(
      await client.PUT('/api/taste/{identity}/photograph/marks', { params: { path: { identity } }, body }),
    ),
  removePhotograph: async (identity: string) =>
    answered(await client.DELETE('/api/taste/{identity}/photograph', { params: { path: { identity } } })),
  makeNext: async (identity: string) =>
    answered(await client.POST('/api/taste/{identity}/next', { params: { path: { identity } } })),
  correction: async () => answered(await client.GET('/api/taste/correction')),
  weighLesson: async (batch_id: string | null, lesson: Schemas['LessonBody']['lesson']) =>
    answered(await client.POST('/api/taste/lesson', { body: { batch_id, lesson } })),
  logbook: async (query: LogbookAsked) => answered(await client.GET('/api/logbook', { params: { query } })),
  beside: async (ids: string[]) =>
    answered(await client.GET('/api/logbook/beside', { params: { query: { ids: ids.join(',') } } })),
  makeAgain: async (identity: string, body: Schemas['AgainBody']) =>
    answered(await client.POST('/api/logbook/{identity}/again', { params: { path: { identity } }, body })),
  lastGood: async (identity: string) =>
    answered(await client.GET('/api/taste/{identity}/last-good', { params: { path: { identity } } })),
  thread: async (identity: string) =>
    answered(await client.GET('/api/logbook/{identity}/thread', { params: { path: { identity } } })),
  bench: async (action: BenchAction, amount: number) =>
    answered(await client.POST('/api/devices/bench', { body: { action, amount } })),
  printLabel: async (identity: string) =>
    answered(await client.POST('/api/devices/print/{identity}', { params: { path: { identity } } })),
  shared: async () => answered(await client.GET('/api/settings/shared')),
  keepShared: async (shared: Schemas['SharedChange']) =>
    answered(await client.PUT('/api/settings/shared', { body: shared })),
  household: async () => answered(await client.GET('/api/settings/household')),
  keepHousehold: async (body: Schemas['HouseholdChange']) =>
    answered(await client.PUT('/api/settings/household', { body })),
  previewArchive: (file: File, settings: boolean) =>
    sent<Merge>(`/api/kitchen/archive/preview?settings=${settings}`, file),
  takeArchiveIn: (file: File, settings: boolean) =>
    sent<Merge>(`/api/kitchen/archive?settings=${settings}`, file),
  work: async () => answered(await client.GET('/api/kitchen/work')),
  stopWork: async () => {
    await client.POST('/api/kitchen/work/stop')
  },
  restore: (file: File) => sent<StoreCheck>('/api/kitchen/restore', file),
  unread: async () => answered(await client.GET('/api/kitchen/unread')),
  checkStore: async () => answered(await client.GET('/api/kitchen/check')),
  removeEverything: async (sure: string) =>
    answered(await client.DELETE('/api/kitchen', { params: { query: { sure } } })),
  offers: async (draft: Draft) => answered(await client.POST('/api/plan/offers', { body: { draft } })),
  readMoment: async (text: string, time_zone: string) =>
    answered(await client.POST('/api/plan/moment', { body: { text, time_zone } })).at,
  fromCalendar: async (identity: string, text: string) =>
    answered(
      await client.POST('/api/plan/{identity}/from-calendar', {
        params: { path: { identity } },
        body: { text },
      }),
    ),
  week: async () => answered(await client.GET('/api/settings/routine')),
  keepWeek: async (week: Schemas['RoutineChange']) =>
    answered(await client.PUT('/api/settings/routine', { body: week })),
  busy: async (zone: string) =>
    answered(await client.GET('/api/settings/busy', { params: { query: { zone } } })),
  today: async (hours: number) =>
    answered(await client.GET('/api/plan/today', { params: { query: { hours } } })),
  cautions: async () => answered(await client.GET('/api/cautions')),
  cautionsOf: async (identity: string) =>
    answered(await client.GET('/api/cautions/{identity}', { params: { path: { identity } } })),
  lessons: async () => answered(await client.GET('/api/lessons')),
  outcome: async (identity: string) =>
    answered(await client.GET('/api/lessons/{identity}', { params: { path: { identity } } })),
  pasted: async (text: string) => answered(await client.POST('/api/mix/pasted', { body: { text } })),
  ownIngredients: async () => answered(await client.GET('/api/own-ingredients')),
  readLabel: async (label: Label) =>
    answered(await client.POST('/api/own-ingredients/reading', { body: label })),
  labelOf: async (identity: string) =>
    answered(await client.GET('/api/own-ingredients/start/{identity}', { params: { path: { identity } } })),
  keepLabel: async (
    label: Label,
    identity: string | undefined,
    from: Pick<Schemas['LabelChange'], 'since' | 'prefer'>,
  ) =>
    answered(
      identity === undefined
        ? await client.POST('/api/own-ingredients', { body: label })
        : await client.PUT('/api/own-ingredients/{identity}', {
            params: { path: { identity } },
            body: { ...label, ...from },
          }),
    ),
  removeLabel: async (identity: string) => {
    const { error, response } = await client.DELETE('/api/own-ingredients/{identity}', {
      params: { path: { identity } },
    })
    if (isTrouble(error)) throw new Refused(response.status, error)
  },
  tables: async () => answered(await client.GET('/api/tables')),
  pantry: async (search: string) =>
    answered(await client.GET('/api/pantry', { params: { query: { search } } })),
  examples: async () => answered(await client.GET('/api/examples')),
  startExample: async (example: string) =>
    answered(await client.POST('/api/examples/{example}', { params: { path: { example } } })),
}
