import { keep, kept } from './device'

/** Which units and which clock a cook reads. What was typed stays as typed; only what is told changes. */
export type System = 'metric' | 'customary'
export type Clock = '24' | '12'
const KEY = 'vadouvan.units'
const CLOCK_KEY = 'vadouvan.clock'
const A_YEAR_S = 31_536_000

export function chosenSystem(): System {
  return kept(KEY) === 'customary' ? 'customary' : 'metric'
}

export function chosenClock(): Clock {
  return kept(CLOCK_KEY) === '12' ? '12' : '24'
}

export function chooseSystem(system: System): void {
  keep(KEY, system)
  tellServer()
}

export function chooseClock(clock: Clock): void {
  keep(CLOCK_KEY, clock)
  tellServer()
}

/** Lets the server tell its sentences, sheets and labels as this device reads them. */
export function tellServer(): void {
  const read = `${chosenSystem()}-${chosenClock()}`
  document.cookie = `vadouvan_told_in=${read}; path=/; max-age=${String(A_YEAR_S)}; SameSite=Strict`
}
