import { useQuery } from '@tanstack/react-query'
import { createContext, memo, useContext, useId, useState, type ReactNode } from 'react'

/** A figure as the server tells it. */
export interface FigureShown {
  name: string
  shown: string
  band_shown: string | null
  value: number
  unit: string
}

/** How a figure came about, as the server tells it. */
export interface WorkingTold {
  rule: string
  inputs: { name: string; value: number; unit: string }[]
  sources: { key: string; title: string }[]
}

interface Workings {
  /** What the figures belong to, and which state of it. */
  key: (string | number)[]
  ask: (figure: string) => Promise<WorkingTold>
}

/** Where the workings of a batch's figures are asked for; they come when one is opened. */
export const WorkingsContext = createContext<Workings | null>(null)

const exact = (value: number) => Number(value.toPrecision(4)).toString()

/** A figure that opens its working: inputs, rule in words, sources. */
export const Working = memo(function Working({
  name,
  figure,
  children,
}: {
  name: string
  figure: FigureShown
  children: ReactNode
}) {
  // The name holds what is seen on it, so that it can be called by that: "none", or the grams without their unit.
  const told = typeof children === 'string' && !figure.shown.includes(children) ? children : figure.shown
  const panel = useId()
  const [isOpen, setOpen] = useState(false)
  return (
    <div className="inline-block">
      <button
        type="button"
        popoverTarget={panel}
        aria-expanded={isOpen}
        className="opens hit cursor-pointer rounded-sm text-left underline decoration-rule decoration-2 underline-offset-4"
        aria-label={`${name}: ${told}. How it was worked out`}
      >
        {children}
      </button>
      <div
        popover="auto"
        id={panel}
        className="beside beside-middle w-[26rem] max-w-[calc(100vw-1.5rem)] rounded-md border-2 border-enamel bg-raised p-4 text-left text-base font-normal whitespace-normal text-ink"
        onToggle={(event) => {
          setOpen(event.newState === 'open')
        }}
      >
        {isOpen && <Opened name={name} figure={figure} />}
      </div>
    </div>
  )
})

/** The working in its panel. */
function Opened({ name, figure }: { name: string; figure: FigureShown }) {
  return (
    <>
      <p className="font-semibold">
        {name}: {exact(figure.value)} {figure.unit === '1' ? '' : figure.unit}
      </p>
      {figure.band_shown !== null && <p className="text-quiet">four times in five {figure.band_shown}</p>}
      <Told figure={figure.name} />
    </>
  )
}

function Told({ figure }: { figure: string }) {
  const workings = useContext(WorkingsContext)
  const told = useQuery({
    queryKey: ['working', ...(workings?.key ?? []), figure],
    queryFn: () => workings?.ask(figure) ?? null,
  })
  if (told.error) return <p className="mt-2 text-warn">{told.error.message}</p>
  if (!told.data) return <p className="mt-2 text-quiet">Looking</p>
  return (
    <>
      <p className="mt-2">{told.data.rule}</p>
      <ul className="mt-2 max-h-56 overflow-y-auto">
        {told.data.inputs.map((input, index) => (
          <li key={index} className="flex justify-between gap-3 border-t border-rule py-0.5">
            <span>{input.name}</span>
            <span className="whitespace-nowrap font-semibold">
              {exact(input.value)} {input.unit}
            </span>
          </li>
        ))}
      </ul>
      {told.data.sources.length > 0 && (
        <p className="mt-2 text-sm text-quiet">
          Rests on {told.data.sources.map((source) => source.title).join('; ')}.
        </p>
      )}
    </>
  )
}
