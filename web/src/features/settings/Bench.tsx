import { useAttempt } from '../../api/useAttempt'
import { probeTold, weightTold } from '../../lib/told'
import { useState } from 'react'
import { api, type BenchAction } from '../../api/client'
import { useDevices } from '../../api/useDevices'

/** A bench with the simulated devices: put things on the scale, open the fridge, pull a plug. */
export function Bench() {
  const { readings, broken } = useDevices()
  const [grams, setGrams] = useState('100')
  const { attempt, trouble } = useAttempt()
  const act = (action: BenchAction, amount = 0) =>
    attempt(async () => {
      await api.bench(action, amount)
    })
  const button = (words: string, action: BenchAction, amount?: number) => (
    <button type="button" className="act" onClick={() => void act(action, amount)}>
      {words}
    </button>
  )
  const shown = (
    name: string,
    value: number | null | undefined,
    tell: (value: number) => string,
    state: string | undefined,
  ) =>
    `${name} ${value == null ? (state ?? '') : `${tell(value)}${state === 'settling' ? ', settling' : ''}`}`
  return (
    <section aria-labelledby="bench">
      <h2 id="bench" className="heading">
        bench: simulated devices
      </h2>
      <p className="py-2">
        Until a real scale, thermometer or printer is connected, these stand in for them.
      </p>
      <p className="font-semibold" role="status">
        {broken
          ? 'The readings have stopped coming.'
          : `${shown('Scale', readings?.scale.value, weightTold, readings?.scale.state)} · ${shown('fridge', readings?.fridge.value, probeTold, readings?.fridge.state)} · ${shown('probe', readings?.probe.value, probeTold, readings?.probe.state)}`}
      </p>
      <div className="flex flex-wrap items-center gap-2 py-2">
        <input
          className="said w-24!"
          inputMode="decimal"
          aria-label="Grams to put on the scale"
          value={grams}
          onChange={(event) => {
            setGrams(event.target.value)
          }}
        />
        {button('Put so many grams on', 'put', Number(grams.replace(',', '.')))}
        {button('Clear the scale', 'clear')}
        {button('Its own tare', 'tare_scale')}
        {button('Unplug the scale', 'unplug_scale')}
        {button('Plug it in', 'plug_scale')}
      </div>
      <div className="flex flex-wrap gap-2 py-1">
        {button('Open the fridge door', 'open_door')}
        {button('Shut it', 'shut_door')}
        {button('Probe into the heat', 'heat_probe', 180)}
        {button('Probe into the cold', 'cool_probe')}
        {button('Printer out of paper', 'paper_out')}
        {button('Paper in', 'paper_in')}
      </div>
      {trouble !== '' && (
        <p role="alert" className="text-stop">
          {trouble}
        </p>
      )}
    </section>
  )
}
