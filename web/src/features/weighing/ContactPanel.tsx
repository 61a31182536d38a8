import { useHeldField } from '../../components/useHeld'
import { gramsTold, onScale, warmthSaid, weightSaid, weightTold } from '../../lib/told'
import type { Batch } from '../../api/client'
import { useTypedGrams, type AtCounter } from './shared'

/** The meat goes in: the clock starts, and the mix is locked. */
export function ContactPanel({ weigh, busy, press, devices, batch }: AtCounter & { batch: Batch }) {
  const { text: meat, set: setMeat, taken: takenMeat } = useHeldField('meat', batch.id)
  const { text: celsius, set: setCelsius, taken: takenCelsius } = useHeldField('meat-at', batch.id)
  const said = weightSaid(meat, onScale(0, weigh.planned_meat_g).unit)
  const read = useTypedGrams(said, 'contact')
  const gross = devices.readings?.scale.value ?? null
  const net = gross === null ? 0 : gross - weigh.tare_g
  return (
    <section aria-label="Contact" className="grid gap-3 pt-2">
      <h2 className="font-slab text-[2.2rem] leading-tight">Meat into the mix</h2>
      <p className="text-[1.15rem]">{weigh.sentence}</p>
      <p>
        {weigh.set_aside_g ? `${weightTold(weigh.set_aside_g)} stand aside clean.` : 'Nothing is kept clean.'}{' '}
        <button
          type="button"
          className="min-h-12 cursor-pointer underline underline-offset-4"
          disabled={busy}
          onClick={() => void press({ kind: 'tipped_back' })}
        >
          Tip it back
        </button>
      </p>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <label className="grid">
          <span>The meat weighs</span>
          <input
            className="said w-40!"
            inputMode="decimal"
            placeholder={weightTold(weigh.planned_meat_g)}
            value={meat}
            onChange={(event) => {
              setMeat(event.target.value)
            }}
          />
        </label>
        {read.grams !== null && <span className="pb-2 font-semibold">= {weightTold(read.grams)}</span>}
        {read.fault !== '' && <span className="max-w-80 pb-2 font-semibold text-warn">{read.fault}</span>}
        {net > 50 && (
          <button
            type="button"
            className="act"
            onClick={() => {
              setMeat(`${gramsTold(net)} g`)
            }}
          >
            Take {weightTold(net)} from the scale
          </button>
        )}
        <label className="grid">
          <span>It is at</span>
          <input
            className="said w-32!"
            inputMode="decimal"
            placeholder="not measured"
            value={celsius}
            onChange={(event) => {
              setCelsius(event.target.value)
            }}
          />
        </label>
      </div>
      <button
        type="button"
        className="act act-first min-h-16! justify-self-start px-8! text-xl"
        disabled={busy}
        onClick={() =>
          void press({
            kind: 'contact',
            ...(meat.trim() === '' ? { mass_g: weigh.planned_meat_g } : { mass: said }),
            degrees: warmthSaid(celsius),
          }).then((kept) => {
            if (!kept) return
            takenMeat()
            takenCelsius()
          })
        }
      >
        The meat is in: start the clock
      </button>
      <p className="text-quiet">From here the mix is locked. What is added later is noted as such.</p>
    </section>
  )
}
