import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react'
import type { ReactNode } from 'react'

/** How a figure came about, as the server tells it. */
export interface WorkingOf {
  shown: string
  band_shown: string | null
  value: number
  unit: string
  rule: string
  inputs: { name: string; value: number; unit: string }[]
  sources: { key: string; title: string }[]
}

const exact = (value: number) => Number(value.toPrecision(4)).toString()

/** A figure that opens its working: inputs, rule in words, sources. */
export function Working({
  name,
  figure,
  children,
}: {
  name: string
  figure: WorkingOf
  children: ReactNode
}) {
  return (
    <Popover className="inline-block">
      <PopoverButton
        className="cursor-pointer rounded-sm text-left underline decoration-rule decoration-2 underline-offset-4"
        aria-label={`${name}: ${figure.shown}. How it was worked out`}
      >
        {children}
      </PopoverButton>
      <PopoverPanel
        anchor={{ to: 'bottom', gap: 8, padding: 12 }}
        className="z-20 w-[26rem] max-w-[calc(100vw-1.5rem)] rounded-md border-2 border-enamel bg-raised p-4 text-base text-ink"
      >
        <p className="font-semibold">
          {name}: {exact(figure.value)} {figure.unit === '1' ? '' : figure.unit}
        </p>
        {figure.band_shown !== null && <p className="text-quiet">four times in five {figure.band_shown}</p>}
        <p className="mt-2">{figure.rule}</p>
        <ul className="mt-2 max-h-56 overflow-y-auto">
          {figure.inputs.map((input, index) => (
            <li key={index} className="flex justify-between gap-3 border-t border-rule py-0.5">
              <span>{input.name}</span>
              <span className="whitespace-nowrap font-semibold">
                {exact(input.value)} {input.unit}
              </span>
            </li>
          ))}
        </ul>
        {figure.sources.length > 0 && (
          <p className="mt-2 text-sm text-quiet">
            Rests on {figure.sources.map((source) => source.title).join('; ')}.
          </p>
        )}
      </PopoverPanel>
    </Popover>
  )
}
