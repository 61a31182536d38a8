import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { useRef, useState, type ReactNode } from 'react'
import { describedBy } from './describedBy'
import { Meant, Row, type Fault } from './Said'

export interface Pick {
  id: string
  name: string
  also_called?: string[]
}

export interface PickerProps<T extends Pick = Pick> {
  question: string
  /** Nothing until they have come. */
  options: T[] | undefined
  value: string
  fault?: Fault | undefined
  hint?: string
  stack?: boolean
  /** What stands before the name of each. */
  picture?: (option: T) => ReactNode
  /** The identity of what was picked, or the words that were typed if they name none of the list. */
  onPick: (said: string) => void
}

/** Whether every typed word is found in a name or in one that it also goes by, in any order. */
function matches(option: Pick, typed: string): boolean {
  const lower = [option.name, ...(option.also_called ?? [])].join(' ').toLowerCase()
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => lower.includes(word))
}

/** The one that goes by just these words. */
function named<T extends Pick>(options: T[], words: string): T | undefined {
  const said = words.trim().toLowerCase()
  return options.find((option) =>
    [option.name, ...(option.also_called ?? [])].some((name) => name.toLowerCase() === said),
  )
}

/** A question answered from a long list by typing part of a name; words left without a pick stay, and are asked about. */
export function Picker<T extends Pick>({
  question,
  options,
  value,
  picture,
  onPick,
  ...row
}: PickerProps<T>) {
  const [typed, setTyped] = useState('')
  const unpicked = useRef('')
  if (options === undefined)
    return (
      <Row question={question} {...row}>
        {() => <p className="said grid items-center font-normal! text-quiet!">Looking them up</p>}
      </Row>
    )
  const shown = options.filter((option) => matches(option, typed)).slice(0, 60)
  const chosen = options.find((option) => option.id === value) ?? null
  const meant = (row.fault?.choices ?? []).flatMap(({ text }) => options.filter(({ id }) => id === text))
  const leave = () => {
    const words = unpicked.current
    unpicked.current = ''
    setTyped('')
    if (words.trim() !== '') onPick(named(options, words)?.id ?? words)
  }
  return (
    <Row
      question={question}
      {...row}
      after={
        <Meant
          choices={meant.map(({ name }) => ({ text: name, shown: '' }))}
          onTake={(name) => {
            onPick(named(meant, name)?.id ?? name)
          }}
        />
      }
    >
      {({ describedBy: id, invalid }) => (
        <Combobox
          value={chosen}
          by="id"
          immediate
          onChange={(option) => {
            if (!option) return
            unpicked.current = ''
            onPick(option.id)
          }}
          onClose={leave}
        >
          <ComboboxInput
            ref={describedBy(id)}
            className="opens said"
            aria-label={question}
            aria-invalid={invalid}
            autoComplete="off"
            placeholder="type part of a name"
            displayValue={() => chosen?.name ?? value}
            onChange={(event) => {
              unpicked.current = event.target.value
              setTyped(event.target.value)
            }}
            onKeyDownCapture={({ key }) => {
              if (key === 'Escape') unpicked.current = ''
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
