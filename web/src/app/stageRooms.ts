/** The stages of a batch, each in a file of its own. */
import type { StageName } from './stages'
import { room } from './room'

export const stageRooms = {
  cut: room(async () => (await import('../features/cut/CutStage')).CutStage),
  mix: room(async () => (await import('../features/mix/MixStage')).MixStage),
  hold: room(async () => (await import('../features/hold/HoldStage')).HoldStage),
  weigh: room(async () => (await import('../features/weighing/WeighStage')).WeighStage),
  fire: room(async () => (await import('../features/cooking/FireStage')).FireStage),
  taste: room(async () => (await import('../features/tasting/TasteStage')).TasteStage),
} satisfies Record<StageName, unknown>

/** The stage that an address names: the first where it names none. */
export const stageNamed = (name: string | undefined): StageName =>
  name !== undefined && name in stageRooms ? (name as StageName) : 'cut'
