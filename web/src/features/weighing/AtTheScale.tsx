import { useState } from 'react'
import type { Batch, Draft, WeighLine } from '../../api/client'
import { onceTaken } from '../../lib/same'
import { onScale, weightSaid, weightTold } from '../../lib/told'
import { Advice } from './Advice'
import { Countdown } from './Countdown'
import { useTypedGrams, type AtCounter } from './shared'

interface AtTheScaleProps extends AtCounter {
  batch: Batch
  change: (typed: (draft: Draft) => Draft) => void
}

const GUARDED: Record<string, string> = {
  salt: 'for the salt',
  acid: 'for the acid',
  sugar: 'for the sugar',
  heat: 'for the heat',
  enzyme: 'for the softening',
  quantity: 'it changes little',
}

/** One ingredient at a time; its figure counts down to nothing. */
export function AtTheScale({ weigh, busy, press, devices, change }: AtTheScaleProps) {
  const line = weigh.lines.find((one) => one.id === weigh.current)
  if (!line)
    return <p className="py-4 text-xl">Nothing to weigh yet: describe the cut and write the mix first.</p>
  return (
    <>
      <OneLine key={line.id} line={line} weigh={weigh} busy={busy} press={press} devices={devices} />
      <div aria-live="assertive">
        <Advice advice={weigh.advice} busy={busy} press={press} change={change} />
      </div>
    </>
  )
}

function OneLine({ line, weigh, busy, press, devices }: AtCounter & { line: WeighLine }) {
  const [typed, setTyped] = useState('')
  const scale = devices.readings?.scale
  const gross = scale?.value ?? null
  const net = gross === null ? null : gross - weigh.tare_g
  const { unit } = onScale(0, line.target_g)
  const said = weightSaid(typed, unit)
  const read = useTypedGrams(said, 'weighed')
  const given = read.grams
  const isTyped = typed.trim() !== ''
  const shown = given ?? net ?? 0
  const settled = given !== null || scale?.state === 'ok'
  const keep = async () => {
    const what = { kind: 'weighed', line_id: line.id } as const
    if (isTyped) {
      if (await press({ ...what, mass: said, how: 'typed' })) setTyped(onceTaken(typed, ''))
    } else if (net !== null) await press({ ...what, mass_g: net, how: 'scale' })
  }
  return (
    <section aria-label={line.name} className="pt-2">
      <p className="text-quiet">
        {line.bowl === 'first' ? 'into a second bowl: it goes on the meat first' : 'into the bowl'}
        {line.state === 'skipped' && '; it was skipped'}
      </p>
      <h2 className="font-slab text-[2.2rem] leading-tight">{line.name}</h2>
      <p className="text-[1.15rem]">
        {weightTold(line.target_g)}, give or take {onScale(line.tolerance_g, line.target_g).number} (
        {GUARDED[line.guards]}){line.spoon !== '' && <> · about {line.spoon}</>}
        {line.tares_g.length > 0 && <> · {weightTold(line.weighed_g)} are in</>}
      </p>
      <Countdown line={line} shown={shown} settled={settled} />
      <p
        role="status"
        className={scale?.state === 'ok' && read.fault === '' ? 'text-quiet' : 'font-semibold text-warn'}
      >
        {read.fault !== '' ? read.fault : scaleWords(devices.broken, scale?.state, net, line.target_g)}
      </p>
      <div className="flex flex-wrap items-center gap-3 pt-2">
        <button
          type="button"
          className="act act-first min-h-16! px-8! text-xl"
          disabled={busy || (!isTyped && (net === null || net <= 0 || !settled))}
          onClick={() => void keep()}
        >
          It is in
        </button>
        <label className="flex items-center gap-2">
          <span>or type {unit === 'oz' ? 'ounces' : 'grams'}</span>
          <input
            className="said w-28!"
            inputMode="decimal"
            data-goes-first
            value={typed}
            aria-label={`${unit === 'oz' ? 'Ounces' : 'Grams'} of ${line.name}`}
            onChange={(event) => {
              setTyped(event.target.value)
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter') void keep()
            }}
          />
        </label>
        <button
          type="button"
          className="act"
          disabled={busy || gross === null}
          onClick={() => void press({ kind: 'tare', mass_g: gross })}
        >
          Tare
        </button>
        {line.spoon !== '' && (
          <button
            type="button"
            className="act"
            disabled={busy}
            onClick={() =>
              void press({ kind: 'weighed', line_id: line.id, mass_g: line.target_g, how: 'spoon' })
            }
          >
            {line.spoon} went in
          </button>
        )}
        {line.state === 'open' && (
          <button
            type="button"
            className="act"
            disabled={busy}
            onClick={() => void press({ kind: 'skipped', line_id: line.id })}
          >
            Skip it for now
          </button>
        )}
        {line.state === 'skipped' && (
          <button
            type="button"
            className="act"
            disabled={busy}
            onClick={() => void press({ kind: 'left_out', line_id: line.id })}
          >
            Leave it out
          </button>
        )}
      </div>
    </section>
  )
}

function scaleWords(broken: boolean, state: string | undefined, net: number | null, target: number): string {
  const { number, unit } = onScale(net ?? 0, target)
  if (broken) return 'The readings have stopped coming. Type the figure that the scale shows.'
  if (state === undefined) return 'Looking at the scale'
  if (state === 'unplugged') return 'The scale does not answer. Type the figure, or plug it in again.'
  if (state === 'overload') return 'Too much on the scale. Take something off, or type the figure.'
  const on = `${number} ${unit} on the scale since the last tare`
  return state === 'settling' ? `${on}, still settling` : on
}
