import { useQuery } from '@tanstack/react-query'
import { batchCautionsQuery } from '../../api/queries'
import { CautionList } from '../../components/CautionList'
import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { faultOf } from '../timelineRows'
import type { AnswersProps } from './Answers'

const CONTAINERS = [
  { value: 'bag', label: 'a bag in a bowl' },
  { value: 'tub', label: 'a tub' },
  { value: 'jar', label: 'a jar' },
  { value: 'vacuum', label: 'a vacuum bag' },
  { value: 'tray', label: 'a tray' },
]
const METALS = [
  { value: 'none', label: 'no metal' },
  { value: 'stainless', label: 'stainless steel' },
  { value: 'aluminium', label: 'aluminium' },
  { value: 'copper', label: 'copper' },
  { value: 'iron', label: 'bare iron' },
  { value: 'galvanised', label: 'galvanised' },
]
const TURNS = [
  { value: 'turned', label: 'turned now and then' },
  { value: 'left', label: 'left lying' },
]
const AIR = [
  { value: 'wrapped', label: 'wrapped or closed' },
  { value: 'open', label: 'uncovered' },
]
const SALTING_METHODS = [
  { value: 'contact', label: 'better contact, no faster' },
  { value: 'faster', label: 'faster: claimed' },
]
/** What it lies in, whether it is turned and covered, how warm it was; and what that means. */
export function Vessel({ batch, draft, change }: AnswersProps) {
  const { assumed, remarks } = batch.judgement
  const cautions = useQuery(batchCautionsQuery(batch.id, batch.revision))
  const hold = (part: Partial<typeof draft.hold>) => {
    change((was) => ({ ...was, hold: { ...was.hold, ...part } }))
  }
  const pick = (
    question: string,
    field: 'metal' | 'turned' | 'open_air' | 'vacuum_school',
    options: typeof AIR,
  ) => (
    <Pick
      question={question}
      value={draft.hold[field]}
      assumedValue={assumed[`hold.${field}`]}
      options={options}
      fault={faultOf(batch, `hold.${field}`)}
      onPick={(value) => {
        hold({ [field]: value })
      }}
    />
  )
  return (
    <div>
      <div className="grid grid-cols-2 gap-x-4">
        <Pick
          question="It lies in"
          value={draft.quantity.container}
          assumedValue={assumed['quantity.container']}
          options={CONTAINERS}
          fault={faultOf(batch, 'quantity.container')}
          onPick={(container) => {
            change((was) => ({ ...was, quantity: { ...was.quantity, container } }))
          }}
        />
        {pick('made of', 'metal', METALS)}
        {draft.quantity.container === 'vacuum'
          ? pick('A vacuum is', 'vacuum_school', SALTING_METHODS)
          : pick('and is', 'turned', TURNS)}
        {pick('and', 'open_air', AIR)}
      </div>
      <Said
        question="Temperatures noted since contact"
        stack
        value={draft.hold.readings}
        placeholder="0 h 4 C, 6 h 9 C, 7 h 4 C"
        hint="empty: the fridge as above all the time"
        fault={faultOf(batch, 'hold.readings')}
        onType={(readings) => {
          hold({ readings })
        }}
      />
      <CautionList cautions={remarks} label="What that means" />
      <CautionList
        cautions={(cautions.data ?? []).filter(
          (one) => one.where === 'hold' && !remarks.some((remark) => remark.id === one.id),
        )}
        label="Cautions for the hold"
      />
    </div>
  )
}
