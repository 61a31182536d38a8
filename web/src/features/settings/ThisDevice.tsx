import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { chooseLight, chosenLight, type Light } from '../../lib/light'
import { keysAct, letKeysAct } from '../../lib/letters'
import { Choice } from '../../components/Choice'
import {
  chooseClock,
  chooseSystem,
  chosenClock,
  chosenSystem,
  type Clock,
  type System,
} from '../../lib/units'

/** What is kept on this device alone: units of what is told, and the light. */
export function ThisDevice() {
  const [system, setSystem] = useState<System>(chosenSystem)
  const [clock, setClock] = useState<Clock>(chosenClock)
  const queries = useQueryClient()
  const [letters, setLetters] = useState(() => (keysAct() ? 'on' : 'off'))
  const [light, setLight] = useState<Light>(chosenLight)
  return (
    <section aria-labelledby="device">
      <h2 id="device" className="heading">
        this device
      </h2>
      <Choice
        question="Told in"
        value={system}
        options={[
          { value: 'metric', label: 'grams, mm, °C' },
          { value: 'customary', label: 'ounces, inches, °F' },
        ]}
        onChoose={(value) => {
          const chosen: System = value === 'customary' ? 'customary' : 'metric'
          chooseSystem(chosen)
          setSystem(chosen)
          void queries.invalidateQueries()
        }}
      />
      <Choice
        question="Clock"
        value={clock}
        options={[
          { value: '24', label: '19:00' },
          { value: '12', label: '7:00 pm' },
        ]}
        onChoose={(value) => {
          const chosen: Clock = value === '12' ? '12' : '24'
          chooseClock(chosen)
          setClock(chosen)
          void queries.invalidateQueries()
        }}
      />
      <p className="text-[0.95rem] text-quiet">
        For all that is told, on sheets and labels too. What you type stays as you type it, in any unit; less
        than a quarter of an ounce stays in grams.
      </p>
      <Choice
        question="Single letters as keys"
        value={letters}
        options={[
          { value: 'on', label: 'act' },
          { value: 'off', label: 'do nothing' },
        ]}
        onChoose={(value) => {
          letKeysAct(value === 'on')
          setLetters(value)
        }}
      />
      <Choice
        question="Light"
        value={light}
        options={[
          { value: 'system', label: 'as the device' },
          { value: 'light', label: 'daylight' },
          { value: 'evening', label: 'evening' },
        ]}
        onChoose={(value) => {
          const chosen: Light = value === 'light' || value === 'evening' ? value : 'system'
          chooseLight(chosen)
          setLight(chosen)
        }}
      />
    </section>
  )
}
