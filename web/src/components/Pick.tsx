import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'
import { describedBy } from './describedBy'
import { Row, type Fault } from './Said'

export interface Option {
  value: string
  label: string
}

interface PickProps {
  question: string
  value: string
  options: Option[]
  /** The value that is assumed while nothing is said. */
  assumedValue?: string | undefined
  fault?: Fault | undefined
  onPick: (value: string) => void
}

/** A question with a handful of answers, one of them shown. */
export function Pick({ question, value, options, assumedValue, fault, onPick }: PickProps) {
  const shown = options.find((option) => option.value === (value || (assumedValue ?? '')))
  const isAssumed = value === '' && shown !== undefined && shown.value !== '' && shown.value === assumedValue
  return (
    <Row question={question} fault={fault} stack>
      {({ describedBy: id }) => (
        <Listbox value={value || (assumedValue ?? '')} onChange={onPick}>
          <ListboxButton
            ref={describedBy(id)}
            className="opens said flex cursor-pointer items-center justify-between gap-2 text-left"
            aria-label={`${question} ${shown?.label ?? 'not said'}${isAssumed ? ' assumed' : ''}`}
          >
            <span className="min-w-0 leading-tight text-balance">
              {shown?.label ?? <span className="font-normal text-quiet">not said</span>}
              {isAssumed && <span className="text-[0.9rem] font-normal text-quiet"> assumed</span>}
            </span>
            <span aria-hidden className="text-quiet">
              ▾
            </span>
          </ListboxButton>
          <ListboxOptions className="beside z-20 min-w-(--button-width) rounded-md border-2 border-enamel bg-raised">
            {options.map((option) => (
              <ListboxOption
                key={option.value}
                value={option.value}
                className="min-h-12 cursor-pointer px-4 py-3 data-focus:bg-enamel data-focus:text-on-enamel data-selected:font-bold"
              >
                {option.label}
              </ListboxOption>
            ))}
          </ListboxOptions>
        </Listbox>
      )}
    </Row>
  )
}
