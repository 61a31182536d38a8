import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { faultOf } from '../timelineRows'
import type { FireProps } from './FireStage'

const SALTING_METHODS = [
  { value: 'guidance', label: 'as guidance says' },
  { value: 'own', label: 'a core of my own' },
]
const SURFACES = [
  { value: 'patted', label: 'patted dry' },
  { value: 'wiped', label: 'wiped off' },
  { value: 'rinsed', label: 'rinsed off' },
  { value: 'as_is', label: 'left as it is' },
]

const CRUSTS = [
  { value: 'browned', label: 'browned' },
  { value: 'dark', label: 'dark, as I mean it' },
]

/** When it is done, and what is done to its surface first. */
export function Done({ batch, draft, change }: FireProps) {
  const { fire, assumed } = batch.judgement
  const say = (part: Partial<typeof draft.fire>) => {
    change((was) => ({ ...was, fire: { ...was.fire, ...part } }))
  }
  return (
    <section aria-labelledby="done-at">
      <h2 id="done-at" className="heading">
        when it is done
      </h2>
      {fire.target_says !== '' && (
        <p className="pt-1 text-[2.4rem] leading-tight font-bold">
          {fire.target_says} <span className="text-[1.2rem] font-semibold">in the middle</span>
          {fire.is_below && <span className="block text-[1.1rem] text-warn">▲ below guidance</span>}
        </p>
      )}
      <div className="grid grid-cols-2 gap-x-4">
        <Pick
          question="Doneness"
          value={draft.fire.doneness}
          assumedValue="guidance"
          options={SALTING_METHODS}
          fault={faultOf(batch, 'fire.doneness')}
          onPick={(doneness) => {
            say({ doneness })
          }}
        />
        <Pick
          question="Its surface"
          value={draft.fire.surface}
          assumedValue={assumed['fire.surface']}
          options={SURFACES}
          fault={faultOf(batch, 'fire.surface')}
          onPick={(surface) => {
            say({ surface })
          }}
        />
        <Pick
          question="Its crust"
          value={draft.fire.crust}
          assumedValue={assumed['fire.crust']}
          options={CRUSTS}
          fault={faultOf(batch, 'fire.crust')}
          onPick={(crust) => {
            say({ crust })
          }}
        />
        {draft.fire.doneness === 'own' && (
          <Said
            question="Core"
            stack
            placeholder="58 C"
            value={draft.fire.core}
            fault={faultOf(batch, 'fire.core_c')}
            onType={(core) => {
              say({ core })
            }}
          />
        )}
      </div>
    </section>
  )
}
