import { Choice } from '../../components/Choice'
import { Said } from '../../components/Said'
import { faultOf } from '../timelineRows'
import type { FireProps } from './FireStage'

const CHOICES = [
  { value: 'discard', label: 'throw it away' },
  { value: 'boil', label: 'boil it for sauce' },
]

const FREEZES = [
  { value: 'raw', label: 'raw, in its mix' },
  { value: 'cooked', label: 'cooked' },
]

/** The used mix: thrown away, or boiled and what comes of it. */
export function Sauce({ batch, draft, change }: FireProps) {
  const { fire, assumed } = batch.judgement
  const say = (part: Partial<typeof draft.fire>) => {
    change((was) => ({ ...was, fire: { ...was.fire, ...part } }))
  }
  const sauce = fire.sauce
  const along = sauce?.verdict === 'along'
  return (
    <section aria-labelledby="used-mix" className="[--questions:9rem]">
      <h2 id="used-mix" className="heading">
        the used mix
      </h2>
      {along && <p className="pt-2">{sauce.says}</p>}
      {!along && (
        <Choice
          question="What becomes of it"
          value={draft.fire.sauce}
          assumedValue={assumed['fire.sauce']}
          options={CHOICES}
          fault={faultOf(batch, 'fire.sauce')}
          onChoose={(sauce) => {
            say({ sauce })
          }}
        />
      )}
      {draft.fire.sauce === 'boil' && !along && (
        <>
          <div className="grid grid-cols-2 gap-x-4">
            <Said
              question="At a rolling boil for"
              stack
              placeholder="5 min"
              value={draft.fire.boil}
              assumed={assumed['fire.boil_min']}
              fault={faultOf(batch, 'fire.boil_min')}
              onType={(boil) => {
                say({ boil })
              }}
            />
            <Said
              question="Boiled down to"
              stack
              placeholder="60 %"
              value={draft.fire.reduce_to}
              fault={faultOf(batch, 'fire.reduce_to')}
              onType={(reduce_to) => {
                say({ reduce_to })
              }}
            />
          </div>
          {sauce && (
            <p className={sauce.verdict === 'discard' ? 'font-semibold text-warn' : ''}>
              {sauce.verdict === 'discard' && <span aria-hidden>▲ </span>}
              {sauce.says}
            </p>
          )}
        </>
      )}
      {draft.occasion.frozen !== '' && (
        <Choice
          question="For the freezer"
          value={draft.fire.freeze}
          assumedValue={assumed['fire.freeze']}
          options={FREEZES}
          fault={faultOf(batch, 'fire.freeze')}
          onChoose={(freeze) => {
            say({ freeze })
          }}
        />
      )}
      {draft.fire.sauce !== 'boil' && !along && (
        <p className="text-quiet">Raw meat has been in it: boiled it can be a sauce, as it is it cannot.</p>
      )}
    </section>
  )
}
