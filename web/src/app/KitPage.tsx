import { TabGroup } from '@headlessui/react'
import { useState } from 'react'
import { Badge } from '../components/Badge'
import { Choice } from '../components/Choice'
import { DrawerTabs } from '../components/DrawerTabs'
import { Pick } from '../components/Pick'
import { Said } from '../components/Said'
import { Texture } from '../components/Texture'
import { substances, type Substance } from '../lib/substances'
import { Tick } from '../components/Tick'

const OPTIONS = [
  { value: 'patted', label: 'patted dry' },
  { value: 'wiped', label: 'wiped off' },
  { value: 'as_is', label: 'left as it is' },
]
const FAULT = { wrong: '"3 furlongs" is no thickness.', accepted: 'Write 2 mm to 1 m, such as "40 mm".' }

/** One kind of each control in all its states, for those who build screens. It is not linked from anywhere. */
export function KitPage() {
  const [said, setSaid] = useState('2.6 kg')
  const [picked, setPicked] = useState('')
  const [chosen, setChosen] = useState('wiped')
  const [ticked, setTicked] = useState(true)
  const nothing = () => undefined
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 px-4 py-5 wide:grid-cols-2 wide:px-8">
      <section aria-labelledby="kit-acts">
        <h2 id="kit-acts" className="heading">
          acts
        </h2>
        <p className="flex flex-wrap gap-3 py-3">
          <button type="button" className="act act-first">
            What is done first
          </button>
          <button type="button" className="act">
            What may be done
          </button>
          <button type="button" className="act" disabled>
            What may not
          </button>
        </p>
      </section>
      <section aria-labelledby="kit-said">
        <h2 id="kit-said" className="heading">
          said in words
        </h2>
        <Said question="How heavy?" value={said} onType={setSaid} hint="any unit will do" />
        <Said question="How thick?" value="" placeholder="such as 30 mm" assumed="45 mm" onType={nothing} />
        <Said question="How wide?" value="3 furlongs" fault={FAULT} onType={nothing} />
        <Said question="Above its answer" stack value="" placeholder="not said" onType={nothing} />
      </section>
      <section aria-labelledby="kit-picked">
        <h2 id="kit-picked" className="heading">
          picked from a few
        </h2>
        <Choice question="Side by side" value={chosen} options={OPTIONS} onChoose={setChosen} />
        <Choice
          question="Assumed"
          value=""
          assumedValue="patted"
          options={OPTIONS}
          hint="what is assumed is told"
          onChoose={nothing}
        />
        <Pick
          question="From a list"
          value={picked}
          assumedValue="patted"
          options={OPTIONS}
          onPick={setPicked}
        />
        <Pick question="At fault" value="wiped" options={OPTIONS} fault={FAULT} onPick={nothing} />
        <Tick ticked={ticked} onTick={setTicked}>
          ticked
        </Tick>
        <input type="range" aria-label="Sliding" className="h-11 w-full accent-enamel" defaultValue={40} />
        <TabGroup defaultIndex={1}>
          <DrawerTabs names={['Balance', 'Aims', 'Taste']} />
        </TabGroup>
      </section>
      <section aria-labelledby="kit-substances">
        <h2 id="kit-substances" className="heading">
          substances
        </h2>
        <ul className="grid gap-2 py-2">
          {(Object.keys(substances) as Substance[]).map((substance) => (
            <li key={substance} className="grid grid-cols-[2rem_6rem_1fr] items-center gap-3">
              <Badge substance={substance} />
              {substances[substance].name}
              <span className="block h-4">
                <Texture substance={substance} />
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  )
}
