import { useState } from 'react'
import { chooseLight, chosenLight, type Light } from '../../lib/light'
import { Choice } from '../../components/Choice'
import { chooseSystem, chosenSystem, type System } from '../../lib/units'

/** What is kept on this device alone: units of what is told, and the light. */
export function ThisDevice() {
  const [system, setSystem] = useState<System>(chosenSystem)
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
          { value: 'metric', label: 'millimetres' },
          { value: 'customary', label: 'inches' },
        ]}
        onChoose={(value) => {
          const chosen: System = value === 'customary' ? 'customary' : 'metric'
          chooseSystem(chosen)
          setSystem(chosen)
        }}
      />
      <p className="text-[0.95rem] text-quiet">
        Lengths on drawings. What you type stays as you type it, in any unit; the mix is weighed in grams.
      </p>
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
