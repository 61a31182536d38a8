import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { faultOf } from '../timelineRows'
import { Scale } from './Scale'
import type { DrawerProps } from './drawer'

const FORMS = [
  { value: 'rub', label: 'a dry rub' },
  { value: 'paste', label: 'a paste on it' },
  { value: 'liquid', label: 'a wet mix round it' },
  { value: 'bath', label: 'a bath that covers it' },
]
const CONTAINERS = [
  { value: 'bag', label: 'a bag in a bowl' },
  { value: 'tub', label: 'a tub' },
  { value: 'jar', label: 'a jar' },
  { value: 'vacuum', label: 'a vacuum bag' },
  { value: 'tray', label: 'a tray under wrap' },
]
const COATS = [
  { value: 'thin', label: 'thin, half a millimetre' },
  { value: 'usual', label: 'usual, a millimetre' },
  { value: 'thick', label: 'thick, two to three' },
]

/** How the mix meets the meat, what is kept clean, and the same batch in another size. */
export function Quantity({ batch, draft, change }: DrawerProps) {
  const { quantity } = draft
  const { assumed, mix } = batch.judgement
  const say = (changed: Partial<typeof quantity>) => {
    change((was) => ({ ...was, quantity: { ...was.quantity, ...changed } }))
  }
  const form = quantity.form || assumed['quantity.form'] || 'paste'
  const container = quantity.container || 'bag'
  return (
    <div className="grid gap-1">
      <div className="grid grid-cols-2 gap-x-4">
        <Pick
          question="The mix is"
          value={quantity.form}
          assumedValue={assumed['quantity.form']}
          options={FORMS}
          fault={faultOf(batch, 'quantity.form')}
          onPick={(value) => {
            say({ form: value })
          }}
        />
        <Pick
          question="Held in"
          value={quantity.container}
          assumedValue={assumed['quantity.container']}
          options={CONTAINERS}
          fault={faultOf(batch, 'quantity.container')}
          onPick={(value) => {
            say({ container: value })
          }}
        />
        {form === 'paste' && (
          <Pick
            question="The coat is"
            value={quantity.coat}
            assumedValue={assumed['quantity.coat']}
            options={COATS}
            fault={faultOf(batch, 'quantity.coat')}
            onPick={(value) => {
              say({ coat: value })
            }}
          />
        )}
        {(container === 'tub' || container === 'jar') && (
          <Said
            question="Its volume or floor"
            stack
            value={quantity.size}
            placeholder="2.5 l, or 22 x 16 cm"
            fault={faultOf(batch, 'quantity.size')}
            onType={(size) => {
              say({ size })
            }}
          />
        )}
        <Said
          question="Set aside clean"
          stack
          value={quantity.set_aside}
          placeholder="120 g, or 15 %"
          hint="before raw meat goes in"
          fault={faultOf(batch, 'quantity.set_aside')}
          onType={(text) => {
            say({ set_aside: text })
          }}
        />
        <Said
          question="What for"
          stack
          value={quantity.set_aside_for}
          placeholder="the baste"
          onType={(text) => {
            say({ set_aside_for: text })
          }}
        />
        {quantity.set_aside !== '' && (
          <Said
            question="Boiled down to"
            stack
            value={quantity.set_aside_to}
            placeholder="not, or 60 %"
            fault={faultOf(batch, 'quantity.set_aside_to')}
            onType={(text) => {
              say({ set_aside_to: text })
            }}
          />
        )}
      </div>
      {mix && mix.on_meat_pct < 99.5 && (
        <p className="text-[0.95rem] text-quiet">
          {mix.on_meat_pct.toFixed(0)} % of the mix meets the meat; balance and window count only that.
        </p>
      )}
      <Scale batch={batch} draft={draft} change={change} />
    </div>
  )
}
