import { keep, kept } from './device'

/** Whether single letters act as keys on this device: who speaks to it, or has a pet on the keyboard, turns them off. */
const KEY = 'vadouvan.letters'

export const keysAct = () => kept(KEY) !== 'off'

export function letKeysAct(act: boolean): void {
  keep(KEY, act ? 'on' : 'off')
}
