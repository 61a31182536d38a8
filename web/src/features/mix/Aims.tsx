import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Amounts } from '../../api/client'
import { tablesQuery } from '../../api/queries'
import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { withTexts } from '../../lib/draft'
import { faultOf } from '../timelineRows'
import { Proposal } from './Proposal'
import { SALTING_METHODS } from '../saltingMethods'
import type { DrawerProps } from './drawer'
import { useAsking } from './useAsking'
import { Tick } from '../../components/Tick'

/** Aims: school of salting, targets, and the amounts that reach them. */
export function Aims({ batch, draft, change }: DrawerProps) {
  const { assumed, mix } = batch.judgement
  const { aims } = draft
  const say = (changed: Partial<typeof aims>) => {
    change((was) => ({ ...was, aims: { ...was.aims, ...changed } }))
  }
  return (
    <div className="grid gap-1">
      <Pick
        question="Salt is set"
        value={aims.school}
        assumedValue={mix?.school ?? undefined}
        options={SALTING_METHODS}
        fault={faultOf(batch, 'aims.school')}
        onPick={(school) => {
          say({ school })
        }}
      />
      <School batch={batch} draft={draft} change={change} />
      <p className="text-[0.95rem] text-quiet">{mix?.school_says}</p>
      <div className="grid grid-cols-2 gap-x-4">
        <Said
          question="Salt, g a kilogram"
          stack
          inputMode="decimal"
          value={draft.hold.salt_target}
          assumed={assumed['hold.salt_target_g_per_kg']}
          fault={faultOf(batch, 'hold.salt_target_g_per_kg')}
          onType={(text) => {
            change((was) => ({ ...was, hold: { ...was.hold, salt_target: text } }))
          }}
        />
        <Said
          question="Acid, g a kilogram"
          stack
          inputMode="decimal"
          value={aims.acid}
          placeholder="left alone"
          fault={faultOf(batch, 'aims.acid_g_per_kg')}
          onType={(acid) => {
            say({ acid })
          }}
        />
        <Said
          question="Sugar, g a kilogram"
          stack
          inputMode="decimal"
          value={aims.sugar}
          placeholder="left alone"
          fault={faultOf(batch, 'aims.sugar_g_per_kg')}
          onType={(sugar) => {
            say({ sugar })
          }}
        />
        <Said
          question="Heat, Scoville over the meat"
          stack
          inputMode="decimal"
          value={aims.heat}
          placeholder="left alone"
          hint="20 is mild, 100 warm, 400 hot"
          fault={faultOf(batch, 'aims.heat_shu_per_kg')}
          onType={(heat) => {
            say({ heat })
          }}
        />
      </div>
      <WorkOut draft={draft} change={change} />
    </div>
  )
}

/** What the chosen school needs to know. */
function School({ batch, draft, change }: DrawerProps) {
  const tables = useQuery(tablesQuery)
  const { aims } = draft
  const { assumed } = batch.judgement
  const say = (changed: Partial<typeof aims>) => {
    change((was) => ({ ...was, aims: { ...was.aims, ...changed } }))
  }
  if (aims.school === 'strong_bath')
    return (
      <Said
        question="Out of the bath after"
        stack
        value={aims.bath_time}
        placeholder="12 h"
        assumed={assumed['aims.bath_h']}
        fault={faultOf(batch, 'aims.bath_h')}
        onType={(text) => {
          say({ bath_time: text })
        }}
      />
    )
  if (aims.school !== 'spoon_per_pound') return null
  const salts = (tables.data?.ingredients ?? []).filter((item) => item.group === 'salt')
  return (
    <div className="grid grid-cols-2 gap-x-4">
      <Said
        question="Level teaspoons a pound"
        stack
        value={aims.spoons}
        placeholder="1"
        assumed={assumed['aims.spoons']}
        fault={faultOf(batch, 'aims.spoons')}
        onType={(spoons) => {
          say({ spoons })
        }}
      />
      <Pick
        question="Of this salt"
        value={aims.spoon_salt}
        assumedValue="salt_table"
        options={salts.map((item) => ({ value: item.id, label: item.name }))}
        fault={faultOf(batch, 'aims.spoon_salt')}
        onPick={(salt) => {
          say({ spoon_salt: salt })
        }}
      />
    </div>
  )
}

/** Asks for amounts, shows them, takes them over. */
function WorkOut({ draft, change }: Omit<DrawerProps, 'batch'>) {
  const { answer, trouble, ask, forget } = useAsking<Amounts>()
  const [measures, setMeasures] = useState<'scale' | 'kitchen'>('scale')
  const [cover, setCover] = useState(false)
  return (
    <div className="border-t border-rule pt-1">
      <div className="grid grid-cols-2 items-end gap-x-4">
        <Pick
          question="Amounts in"
          value={measures}
          options={[
            { value: 'scale', label: 'grams' },
            { value: 'kitchen', label: 'spoons and pieces' },
          ]}
          onPick={(name) => {
            setMeasures(name === 'kitchen' ? 'kitchen' : 'scale')
          }}
        />
        <Tick ticked={cover} onTick={setCover}>
          enough for this cut
        </Tick>
      </div>
      <button
        type="button"
        className="act act-first mt-1"
        onClick={() => void ask(api.amounts({ draft, in_mix_g_per_kg: {}, cover, measures }))}
      >
        Work out the amounts
      </button>
      {trouble !== '' && (
        <p role="alert" className="mt-2 text-stop">
          {trouble}
        </p>
      )}
      {answer && (
        <Proposal
          lines={answer.lines}
          says={answer.reached.map((one) => ({ words: one.says, met: one.met }))}
          onTake={() => {
            change((was) => ({ ...was, mix: withTexts(was.mix, answer.lines) }))
            forget()
          }}
        />
      )}
    </div>
  )
}
