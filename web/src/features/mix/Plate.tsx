import type { Batch, Companion, PlateOut } from '../../api/client'
import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { Texture } from '../../components/Texture'
import { Working } from '../../components/Working'
import { companionOf } from '../../lib/draft'
import { faultOf } from '../timelineRows'
import type { DrawerProps } from './drawer'

const KINDS = [
  { value: 'glaze', label: 'a glaze, brushed on' },
  { value: 'sauce', label: 'a sauce or gravy' },
  { value: 'dip', label: 'a dip beside it' },
  { value: 'finish', label: 'a last seasoning' },
  { value: 'pot', label: 'what cooks with it' },
  { value: 'coating', label: 'a coating to fry in' },
]

/** What goes to the table with the meat: each mix beside the marinade, and a serving of it all. */
export function Plate({ batch, draft, change }: DrawerProps) {
  const { companions, plate } = batch.judgement
  const put = (changed: (was: typeof draft.companions) => typeof draft.companions) => {
    change((was) => ({ ...was, companions: changed(was.companions) }))
  }
  return (
    <div className="grid gap-2">
      {plate && <Serving batch={batch} plate={plate} />}
      {draft.companions.map((said) => {
        const say = (part: Partial<typeof said>) => {
          put((was) => was.map((one) => (one.id === said.id ? { ...one, ...part } : one)))
        }
        const read = companions.find((one) => one.id === said.id)
        const path = `companions.${said.id}`
        const title = said.title || read?.title || 'a mix'
        return (
          <section key={said.id} aria-label={title} className="border-t border-rule pt-1">
            <div className="grid grid-cols-2 gap-x-4">
              <Said
                question="Called"
                stack
                value={said.title}
                placeholder="late honey glaze"
                onType={(text) => {
                  say({ title: text })
                }}
              />
              <Pick
                question="It is"
                value={said.kind}
                assumedValue={batch.judgement.assumed[`${path}.kind`]}
                options={KINDS}
                fault={faultOf(batch, `${path}.kind`)}
                onPick={(kind) => {
                  say({ kind })
                }}
              />
            </div>
            <label className="grid text-[0.92rem]">
              <span className="text-quiet">What is in it, one ingredient a line</span>
              <textarea
                className="said"
                rows={Math.max(2, said.text.split('\n').length)}
                placeholder={'80 g honey\n20 g soy sauce'}
                value={said.text}
                onChange={(event) => {
                  say({ text: event.target.value })
                }}
              />
            </label>
            {read && <Read read={read} />}
            <div className="grid grid-cols-2 items-end gap-x-4">
              <Said
                question="Boiled down or thinned to"
                stack
                value={said.reduce_to}
                placeholder="as it is"
                fault={faultOf(batch, `${path}.reduce_to`)}
                onType={(reduce_to) => {
                  say({ reduce_to })
                }}
              />
              <Said
                question="How much of it is eaten"
                stack
                value={said.eaten}
                placeholder="half, or 80 %"
                assumed={batch.judgement.assumed[`${path}.eaten_pct`]}
                fault={faultOf(batch, `${path}.eaten_pct`)}
                onType={(eaten) => {
                  say({ eaten })
                }}
              />
              <Said
                question="When, while it cooks"
                stack
                value={said.when}
                placeholder="after 1 h"
                fault={faultOf(batch, `${path}.when`)}
                onType={(when) => {
                  say({ when })
                }}
              />
              <button
                type="button"
                className="act justify-self-end"
                onClick={() => {
                  put((was) => was.filter((one) => one.id !== said.id))
                }}
              >
                Remove {title}
              </button>
            </div>
          </section>
        )
      })}
      <button
        type="button"
        className="act justify-self-start"
        onClick={() => {
          put((was) => [...was, companionOf('', [])])
        }}
      >
        Add a glaze, sauce, dip …
      </button>
    </div>
  )
}

/** The lines as they were read, what could not be, and what is to know of it. */
function Read({ read }: { read: Companion }) {
  return (
    <div className="text-[0.95rem]">
      {read.lines.length > 0 && (
        <p className="text-quiet">
          {read.lines.map((line) => `${line.mass_shown} ${line.ingredient}`).join(' · ')}
        </p>
      )}
      {read.unread.map((line) => (
        <p key={line.given} className="text-stop">
          <span aria-hidden className="mr-1 font-bold">
            ✕
          </span>
          Not weighed: {line.wrong} <span className="text-ink">{line.accepted}</span>
        </p>
      ))}
      {read.says.map((says) => (
        <p key={says}>{says}</p>
      ))}
    </div>
  )
}

/** One serving as eaten: salt and sugar, part by part, as bars of one scale. */
function Serving({ batch, plate }: { batch: Batch; plate: PlateOut }) {
  const { figures } = batch.judgement
  const most = Math.max(...plate.parts.flatMap((part) => [part.salt_g, part.sugar_g]), 0.1)
  return (
    <section aria-label="A serving as eaten">
      {plate.says.map((says) => (
        <p key={says}>{says}</p>
      ))}
      <table className="mt-1 w-full text-[0.95rem]">
        <thead>
          <tr className="text-left text-quiet">
            <th className="font-normal">a serving</th>
            <Total name="Salt" figure={figures['plate.salt_g']} />
            <Total name="Sugar" figure={figures['plate.sugar_g']} />
          </tr>
        </thead>
        <tbody>
          {plate.parts.map((part) => (
            <tr key={part.id} className="border-t border-rule">
              <th className="pr-2 text-left font-normal">
                {part.title} <span className="whitespace-nowrap text-quiet">{part.mass_shown}</span>
              </th>
              <Bar substance="salt" share={part.salt_g / most} shown={part.salt_shown} />
              <Bar substance="sugar" share={part.sugar_g / most} shown={part.sugar_shown} />
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function Total({
  name,
  figure,
}: {
  name: string
  figure: Batch['judgement']['figures'][string] | undefined
}) {
  return (
    <th className="w-[32%] font-normal">
      {name}{' '}
      {figure && (
        <Working name={`${name} of a serving`} figure={figure}>
          {figure.shown}
        </Working>
      )}
    </th>
  )
}

function Bar({ substance, share, shown }: { substance: 'salt' | 'sugar'; share: number; shown: string }) {
  return (
    <td className="pr-2 align-middle">
      <span className="grid grid-cols-[3.4rem_1fr] items-center gap-1">
        <span className="text-right">{shown}</span>
        <span className="block h-3" style={{ width: `${share * 100}%` }}>
          <Texture substance={substance} />
        </span>
      </span>
    </td>
  )
}
