import type { Batch } from '../../api/client'
import { useHeldField } from '../../components/useHeld'
import { gramsTold, onScale, weightSaid, weightTold } from '../../lib/told'
import type { AtCounter } from './shared'

/** The clean part, poured off before any raw meat has been in it. */
export function Aside({ weigh, busy, press, devices, batch }: AtCounter & { batch: Batch }) {
  const planned = weigh.planned_aside_g > 0 ? `${gramsTold(weigh.planned_aside_g)} g` : ''
  const { text: typed, set: setTyped, taken } = useHeldField('aside', batch.id, planned)
  const { unit } = onScale(0, Math.max(weigh.planned_aside_g, 100))
  const gross = devices.readings?.scale.value ?? null
  const net = gross === null ? null : gross - weigh.tare_g
  return (
    <section aria-label="Set aside" className="grid gap-3 pt-2">
      <h2 className="font-slab text-[2.2rem] leading-tight">Pour off the clean part</h2>
      <p className="text-[1.15rem]">
        {weigh.planned_aside_g > 0
          ? `${weightTold(weigh.planned_aside_g)} are planned${weigh.aside_for === '' ? '' : ` for ${weigh.aside_for}`}.`
          : 'None is planned.'}{' '}
        Only this may be brushed on late or served; what the meat has been in is no sauce.
      </p>
      <label className="flex flex-wrap items-center gap-3">
        <span>Poured off</span>
        <input
          className="said w-32!"
          inputMode="decimal"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value)
          }}
        />
        {net !== null && net < 0 && (
          <button
            type="button"
            className="act"
            onClick={() => {
              setTyped(`${gramsTold(-net)} g`)
            }}
          >
            {weightTold(-net)} left the scale
          </button>
        )}
      </label>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="act act-first min-h-16! px-8! text-xl"
          disabled={busy || typed.trim() === ''}
          onClick={() =>
            void press({ kind: 'set_aside', mass: weightSaid(typed, unit) }).then((kept) => {
              if (kept) taken()
            })
          }
        >
          It is poured off
        </button>
        <button
          type="button"
          className="act min-h-16!"
          disabled={busy}
          onClick={() => void press({ kind: 'set_aside', mass_g: 0 })}
        >
          Nothing is kept clean
        </button>
      </div>
    </section>
  )
}
