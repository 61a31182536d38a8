import type { Batch, Draft } from '../../api/client'
import { Choice } from '../../components/Choice'
import { Said } from '../../components/Said'
import { MomentSaid } from './MomentSaid'
import { localZone } from '../../lib/clock'
import { faultOf } from '../timelineRows'

export interface AnswersProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** When the meal is, how cold the fridge, what for. */
export function Answers({ batch, draft, change }: AnswersProps) {
  const { assumed } = batch.judgement
  const hold = (part: Partial<Draft['hold']>) => {
    change((was) => ({ ...was, hold: { ...was.hold, ...part } }))
  }
  const meal = (part: Partial<Draft['meal']>) => {
    change((was) => ({
      ...was,
      meal: { ...was.meal, ...part, time_zone: was.meal.time_zone || localZone() },
    }))
  }
  return (
    <div className="[--questions:9rem]">
      <MomentSaid
        question="Meal on the table"
        name={`${batch.id}.at`}
        value={draft.meal.at}
        zone={draft.meal.time_zone || localZone()}
        fault={faultOf(batch, 'meal.at')}
        onSay={(at) => {
          meal({ at })
        }}
      />
      <Said
        question="From the mix to the table"
        placeholder="such as 75 min"
        value={draft.meal.lead}
        assumed={assumed['meal.lead_min']}
        fault={faultOf(batch, 'meal.lead_min')}
        onType={(lead) => {
          meal({ lead })
        }}
      />
      <Said
        question="Fridge, °C"
        placeholder="not said"
        inputMode="decimal"
        value={draft.hold.fridge}
        assumed={assumed['hold.fridge_c']}
        fault={faultOf(batch, 'hold.fridge_c')}
        onType={(fridge) => {
          hold({ fridge })
        }}
      />
      <Said
        question="Bought or thawed before"
        placeholder="such as 1 day"
        value={draft.cut.age}
        assumed={assumed['cut.age_h']}
        fault={faultOf(batch, 'cut.age_h')}
        onType={(age) => {
          change((was) => ({ ...was, cut: { ...was.cut, age } }))
        }}
      />
      <Said
        question="Kitchen, °C"
        placeholder="not said"
        inputMode="decimal"
        value={draft.hold.room}
        assumed={assumed['hold.room_c']}
        fault={faultOf(batch, 'hold.room_c')}
        onType={(room) => {
          hold({ room })
        }}
      />
      <Said
        question="Salt you aim for, g/kg"
        placeholder="not said"
        inputMode="decimal"
        value={draft.hold.salt_target}
        assumed={assumed['hold.salt_target_g_per_kg']}
        fault={faultOf(batch, 'hold.salt_target_g_per_kg')}
        onType={(salt_target) => {
          hold({ salt_target })
        }}
      />
      <Choice
        question="What for"
        value={draft.hold.aim}
        assumedValue={assumed['hold.aim']}
        options={[
          { value: 'season', label: 'season' },
          { value: 'tenderise', label: 'tenderise' },
          { value: 'both', label: 'both' },
          { value: 'cure', label: 'cure in the paste' },
          { value: 'sour', label: 'sour all through' },
        ]}
        fault={faultOf(batch, 'hold.aim')}
        onChoose={(aim) => {
          hold({ aim })
        }}
      />
      <Choice
        question="Season"
        value={draft.hold.goal}
        assumedValue={assumed['hold.goal']}
        options={[
          { value: 'surface', label: 'the outside' },
          { value: 'through', label: 'all through' },
        ]}
        fault={faultOf(batch, 'hold.goal')}
        onChoose={(goal) => {
          hold({ goal })
        }}
      />
    </div>
  )
}
