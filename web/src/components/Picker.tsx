import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { useState, type ReactNode } from 'react'
import { Row, type Fault } from './Said'

export interface Pick {
  id: string
  name: string
  also_called?: string[]
}

export interface PickerProps<T extends Pick = Pick> {
  question: string
  options: T[]
  value: string
  fault?: Fault | undefined
  hint?: string
  stack?: boolean
  /** What stands before the name of each. */
  picture?: (option: T) => ReactNode
  onPick: (id: string) => void
}

/** Whether every typed word is found in a name or in one that it also goes by, in any order. */
function matches(option: Pick, typed: string): boolean {
  const lower = [option.name, ...(option.also_called ?? [])].join(' ').toLowerCase()
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => lower.includes(word))
}

/** A question answered from a long list by typing part of a name. */
export function Picker<T extends Pick>({
  question,
  options,
  value,
  picture,
  onPick,
  ...row
}: PickerProps<T>) {
  const [typed, setTyped] = useState('')
  const shown = options.filter((option) => matches(option, typed)).slice(0, 60)
  const chosen = options.find((option) => option.id === value) ?? null
  return (
    <Row question={question} {...row}>
      {({ describedBy, invalid }) => (
        <Combobox
          value={chosen}
          by="id"
          immediate
          onChange={(option) => {
            if (option) onPick(option.id)
          }}
          onClose={() => {
            setTyped('')
          }}
        >
          <ComboboxInput
            className="opens said"
            aria-label={question}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            autoComplete="off"
            placeholder="type part of a name"
            displayValue={(option: Pick | null) => option?.name ?? ''}
            onChange={(event) => {
              setTyped(event.target.value)
            }}
          />
          <ComboboxOptions
            modal={false}
            className="beside z-20 w-(--input-width) rounded-md border-2 border-enamel bg-raised empty:hidden"
          >
            {shown.map((option) => (
              <ComboboxOption
                key={option.id}
                value={option}
                className="flex min-h-12 cursor-pointer items-center gap-3 px-3 py-1 data-focus:bg-enamel data-focus:text-on-enamel data-selected:font-bold"
              >
                {picture?.(option)}
                {option.name}
              </ComboboxOption>
            ))}
          </ComboboxOptions>
        </Combobox>
      )}
    </Row>
  )
}
