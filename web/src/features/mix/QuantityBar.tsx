import type { Batch } from '../../api/client'
import { Working } from '../../components/Working'

/** Made against needed, what is set aside, and the salt, on top of the ledger. */
export function QuantityBar({ batch, onMakeEnough }: { batch: Batch; onMakeEnough: () => void }) {
  const { figures, mix, salt_says: saltSays, salt_line: saltLine } = batch.judgement
  const aside = figures['set_aside_g']
  return (
    <div className="flex flex-wrap items-baseline gap-x-5 border-b-4 border-double border-rule pb-1">
      {(figures['needed_mix_g'] || !figures['made_g']) && (
        <Told batch={batch} name="needed_mix_g" word="needed" title="Mix that this cut needs" />
      )}
      <Told batch={batch} name="made_g" word="made" title="Mix made" />
      {aside && aside.value > 0 && (
        <Told batch={batch} name="set_aside_g" word="kept clean" title="Mix set aside clean" />
      )}
      {mix && (
        <p
          className={
            mix.sufficiency === 'too_little' || mix.sufficiency === 'more'
              ? 'font-semibold text-warn'
              : 'text-quiet'
          }
        >
          {(mix.sufficiency === 'too_little' || mix.sufficiency === 'more') && <span aria-hidden>▲ </span>}
          {mix.need_says}
          {!batch.locked && (mix.sufficiency === 'too_little' || mix.sufficiency === 'thin') && (
            <button
              type="button"
              className="ml-3 min-h-8 cursor-pointer text-enamel underline underline-offset-4"
              onClick={onMakeEnough}
            >
              make enough
            </button>
          )}
        </p>
      )}
      {saltSays !== null && (
        <p className="basis-full text-[0.95rem] text-quiet">
          <b className="text-base text-ink">{saltSays}.</b> {saltLine}
        </p>
      )}
    </div>
  )
}

function Told({ batch, name, word, title }: { batch: Batch; name: string; word: string; title: string }) {
  const figure = batch.judgement.figures[name]
  return (
    <p className="text-quiet">
      {word}{' '}
      <b className="text-[1.4rem] text-ink">
        {figure ? (
          <Working name={title} figure={figure}>
            {figure.shown}
          </Working>
        ) : (
          '…'
        )}
      </b>
    </p>
  )
}
