import type { CookStage, Problem } from '../../api/client'
import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'

const PLACES = [
  { value: 'oven', label: 'oven' },
  { value: 'grill', label: 'grill' },
  { value: 'pan', label: 'pan' },
  { value: 'pot', label: 'pot' },
  { value: 'fryer', label: 'fryer' },
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
  { name: 'heat', question: 'How hot', placeholder: '200 C', path: 'heat_c' },
  { name: 'minutes', question: 'How long', placeholder: 'what is left', path: 'time_min' },
  { name: 'core', question: 'To a core of', placeholder: 'not said', path: 'core_c' },
] as const

interface StageLineProps {
  stage: CookStage
  number: number
  says: string | undefined
  estimated: boolean
  problems: Problem[]
  onChange: (part: Partial<CookStage>) => void
  onRemove: () => void
}

/** One stage: where, how hot, how long or up to which core, turned, brushed. */
export function StageLine({ stage, number, says, estimated, problems, onChange, onRemove }: StageLineProps) {
  const fault = (field: string) => problems.find((one) => one.field === `fire.stages.${number}.${field}`)
  return (
    <li className="border-b border-rule py-2">
      <div className="flex items-baseline gap-3">
        <b className="font-slab text-[1.15rem]">{number + 1}</b>
        <p className="grow text-quiet">{says}</p>
        <button
          type="button"
          className="grid size-12 cursor-pointer place-items-center text-quiet hover:text-stop"
          aria-label={`Take out stage ${number + 1}`}
          onClick={onRemove}
        >
          ✕
        </button>
      </div>
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
            assumedValue="plain"
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
        <label className="flex min-h-12 items-center gap-2 self-end">
          <input
            type="checkbox"
            className="size-6 accent-enamel"
            checked={stage.turn === 'yes'}
            onChange={(event) => {
              onChange({ turn: event.target.checked ? 'yes' : '' })
            }}
          />
          turned halfway
        </label>
      </div>
    </li>
  )
}
