/** Each view is fetched when it is first entered; the Counter comes with the first screen. */
import { room } from './room'
import { stageNamed, stageRooms } from './stageRooms'

/** The stage that is to be shown is fetched beside the page that holds it. */
async function batchPage() {
  const stage = stageRooms[stageNamed(location.pathname.split('/')[3])].open()
  const page = (await import('./BatchPage')).BatchPage
  await stage
  return page
}

export const rooms = {
  batch: room(batchPage),
  today: room(async () => (await import('../features/today/TodayPage')).TodayPage),
  logbook: room(async () => (await import('../features/logbook/LogbookPage')).LogbookPage),
  pantry: room(async () => (await import('../features/pantry/PantryPage')).PantryPage),
  learn: room(async () => (await import('../features/lessons/LearnPage')).LearnPage),
  cautions: room(async () => (await import('../features/cautions/CautionsPage')).CautionsPage),
  settings: room(async () => (await import('../features/settings/SettingsPage')).SettingsPage),
}

/** Fetch the room that an address leads to. */
export async function openRoomOf(path: string): Promise<void> {
  const name = path.split('/')[1] ?? ''
  if (name in rooms) await rooms[name as keyof typeof rooms].open()
}
