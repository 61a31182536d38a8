import { useState } from 'react'
import type { CookStage, Problem } from '../../api/client'
import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { Tick } from '../../components/Tick'

const PLACES = [
  { value: 'oven', label: 'oven' },
  { value: 'grill', label: 'grill, over the heat' },
  { value: 'grill_indirect', label: 'grill, cooler side' },
  { value: 'broiler', label: 'under the broiler' },
  { value: 'smoker', label: 'smoker' },
  { value: 'pan', label: 'pan' },
  { value: 'wok', label: 'wok' },
  { value: 'fryer', label: 'hot oil' },
  { value: 'pot', label: 'covered pot' },
  { value: 'parcel', label: 'closed parcel' },
  { value: 'steamer', label: 'steamer' },
]
const AIR = [
  { value: 'plain', label: 'no fan' },
  { value: 'fan', label: 'with the fan' },
]
const BRUSH = [
  { value: '', label: 'nothing' },
  { value: 'clean', label: 'mix set aside clean' },
  { value: 'boiled', label: 'used mix, boiled first' },
  { value: 'used', label: 'used mix as it is' },
]

const FIELDS = [
  { name: 'heat', question: 'How hot', placeholder: '200 C, medium, gas 4', path: 'heat_c' },
  { name: 'minutes', question: 'How long', placeholder: 'what is left', path: 'time_min' },
  { name: 'core', question: 'To a core of', placeholder: 'not said', path: 'core_c' },
  { name: 'every', question: 'Turned every', placeholder: 'not said', path: 'turn_every_min' },
] as const

const TICKS = [
  { name: 'turn', label: 'turned halfway' },
  { name: 'tender', label: 'until tender' },
] as const

interface StageLineProps {
  stage: CookStage
  number: number
  says: string | undefined
  estimated: boolean
  /** What a heat that was said in words is taken for. */
  heat: string | undefined
  /** The air that follows from what was said of the heat, or is usual. */
  air: string | undefined
  problems: Problem[]
  /** Whether its fields show from the start; else they do when it is to be changed. */
  opened: boolean
  onChange: (part: Partial<CookStage>) => void
  onRemove: () => void
}

/** One stage: where, how hot, how long or up to which core, turned, brushed. */
export function StageLine({
  stage,
  number,
  says,
  estimated,
  heat,
  air,
  problems,
  opened,
  onChange,
  onRemove,
}: StageLineProps) {
  const [open, setOpen] = useState(opened)
  const fault = (field: string) => problems.find((one) => one.field === `fire.stages.${number}.${field}`)
  return (
    <li className="border-b border-rule py-2">
      <div className="flex items-baseline gap-3">
        <b className="font-slab text-[1.15rem]">{number + 1}</b>
        <p className="grow text-quiet">{says}</p>
        <button
          type="button"
          className="min-h-12 cursor-pointer px-1 underline"
          aria-expanded={open}
          aria-label={`${open ? 'Fold' : 'Change'} stage ${number + 1}`}
          onClick={() => {
            setOpen(!open)
          }}
        >
          {open ? 'fold' : 'change'}
        </button>
        <button
          type="button"
          className="grid size-12 shrink-0 cursor-pointer place-items-center text-quiet hover:text-stop"
          aria-label={`Take out stage ${number + 1}`}
          onClick={onRemove}
        >
          ✕
        </button>
      </div>
      {open && (
        <div className="grid grid-cols-2 gap-x-4 wide:grid-cols-4">
          <Pick
            question="Where"
            value={stage.place}
            assumedValue="oven"
            options={PLACES}
            fault={fault('place')}
            onPick={(place) => {
              onChange({ place })
            }}
          />
          {FIELDS.map(({ name, question, placeholder, path }) => (
            <Said
              key={name}
              question={question}
              stack
              placeholder={name === 'minutes' && estimated ? 'by its core' : placeholder}
              value={stage[name]}
              assumed={name === 'heat' ? heat : undefined}
              fault={fault(path)}
              onType={(text) => {
                onChange({ [name]: text })
              }}
            />
          ))}
          {(stage.place === '' || stage.place === 'oven') && (
            <Pick
              question="Air"
              value={stage.air}
              assumedValue={air}
              options={AIR}
              fault={fault('air')}
              onPick={(air) => {
                onChange({ air })
              }}
            />
          )}
          <Pick
            question="Brushed with"
            value={stage.brush}
            assumedValue=""
            options={BRUSH}
            fault={fault('brush')}
            onPick={(brush) => {
              onChange({ brush })
            }}
          />
          <div className="grid content-end">
            {TICKS.map(({ name, label }) => (
              <Tick
                key={name}
                ticked={stage[name] === 'yes'}
                onTick={(ticked) => {
                  onChange({ [name]: ticked ? 'yes' : '' })
                }}
                low
              >
                {label}
              </Tick>
            ))}
          </div>
        </div>
      )}
    </li>
  )
}
