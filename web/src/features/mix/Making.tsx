import { useQuery } from '@tanstack/react-query'
import type { Mix } from '../../api/client'
import { batchCautionsQuery } from '../../api/queries'
import { CautionList } from '../../components/CautionList'
import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { faultOf } from '../timelineRows'
import type { DrawerProps } from './drawer'

const METHODS = [
  { value: 'raw', label: 'stirred together raw' },
  { value: 'fried', label: 'aromatics fried first' },
  { value: 'cooked', label: 'cooked, then cooled' },
  { value: 'concentrate', label: 'hot concentrate and ice' },
  { value: 'pounded', label: 'pounded or blended paste' },
]
const STRAINED = [
  { value: '', label: 'stay in it' },
  { value: 'yes', label: 'are strained off' },
]
const COOLINGS = [
  { value: 'ice_bath', label: 'in ice water' },
  { value: 'fridge', label: 'in the fridge' },
]
const TEXTURES = [
  { value: 'thick', label: 'thick, holds its shape' },
  { value: 'spreadable', label: 'spreadable' },
  { value: 'loose', label: 'loose, drops off a spoon' },
]

/** How the mix is made, with the steps that follow from it. */
export function Making({ batch, draft, change }: DrawerProps) {
  const { making } = draft
  const cautions = useQuery(batchCautionsQuery(batch.id, batch.revision))
  const { assumed, mix } = batch.judgement
  const say = (changed: Partial<typeof making>) => {
    change((was) => ({ ...was, making: { ...was.making, ...changed } }))
  }
  return (
    <div className="grid gap-1">
      <Pick
        question="It is"
        value={making.method}
        assumedValue={assumed['making.method']}
        options={METHODS}
        fault={faultOf(batch, 'making.method')}
        onPick={(method) => {
          say({ method })
        }}
      />
      {making.method === 'cooked' && (
        <div className="grid grid-cols-2 gap-x-4">
          <Said
            question="Simmer"
            stack
            value={making.simmer}
            placeholder="10 min"
            assumed={assumed['making.simmer_min']}
            fault={faultOf(batch, 'making.simmer_min')}
            onType={(simmer) => {
              say({ simmer })
            }}
          />
          <Said
            question="Boil down to"
            stack
            value={making.reduce_to}
            placeholder="400 g, or 60 %"
            fault={faultOf(batch, 'making.reduce_to')}
            onType={(text) => {
              say({ reduce_to: text })
            }}
          />
          <Pick
            question="Its solids"
            value={making.strained}
            assumedValue=""
            options={STRAINED}
            fault={faultOf(batch, 'making.strained')}
            onPick={(strained) => {
              say({ strained })
            }}
          />
        </div>
      )}
      {(making.method === 'cooked' || making.method === 'fried') && (
        <Pick
          question="Cool"
          value={making.cooling}
          assumedValue={assumed['making.cooling']}
          options={COOLINGS}
          fault={faultOf(batch, 'making.cooling')}
          onPick={(cooling) => {
            say({ cooling })
          }}
        />
      )}
      {making.method === 'pounded' && (
        <Pick
          question="To a paste that is"
          value={making.texture}
          options={TEXTURES}
          fault={faultOf(batch, 'making.texture')}
          onPick={(texture) => {
            say({ texture })
          }}
        />
      )}
      {draft.mix.some((line) => line.first === 'yes') && (
        <Said
          question="The first step stays on for"
          stack
          value={making.first_contact}
          placeholder="45 min"
          fault={faultOf(batch, 'making.first_contact_min')}
          onType={(text) => {
            say({ first_contact: text })
          }}
        />
      )}
      {mix && <Steps mix={mix} />}
      <CautionList
        cautions={(cautions.data ?? []).filter((one) => one.where === 'mix')}
        label="Cautions for the mix"
      />
    </div>
  )
}

const MARK = { note: '', warn: '▲ Mind: ', stop: '✕ Not so: ' } as const
const LOOK = { note: '', warn: 'text-warn', stop: 'text-stop font-semibold' } as const

function Steps({ mix }: { mix: Mix }) {
  return (
    <>
      <ol className="mt-1 grid gap-1 border-t border-rule pt-1">
        {mix.steps.map((step) => {
          const kind = step.kind
          return (
            <li key={step.id} className={LOOK[kind]}>
              {MARK[kind]}
              {step.says}
            </li>
          )
        })}
      </ol>
      {mix.allergens.length > 0 && (
        <p className="border-t border-rule pt-1">
          <b>Allergens.</b> {mix.allergens_told} Brought by{' '}
          {mix.allergens.map((one) => `${one.brought_by.join(', ')} (${one.name})`).join('; ')}.
        </p>
      )}
    </>
  )
}
