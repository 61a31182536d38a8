import { Radios } from '../../components/Radios'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { BalanceInMix, Batch, Figure, Span } from '../../api/client'
import { balanceInMixQuery, lastGoodQuery } from '../../api/queries'
import { dayTold } from '../../lib/clock'
import { SpanRule } from '../../components/SpanRule'
import { Working } from '../../components/Working'
import type { Substance } from '../../lib/substances'

export type Asked = 'salt' | 'sugar' | 'acid'

interface SpansProps {
  batch: Batch
  chosen: string | undefined
  onChoose: (line: string) => void
  /** Ask for amounts that bring so much of a substance, in g per kg of meat. */
  onAsk: (substance: Asked, value: number) => void
  says: string
}

const NOT_YET: BalanceInMix = { spans: [], figures: {} }

const canAsk = (name: string): name is Asked => ['salt', 'sugar', 'acid'].includes(name)

const OVER = (['meat', 'mix'] as const).map((value) => ({ value, label: `in a kilogram of ${value}` }))

/** The balance: a rule for each substance, for a kilogram of meat or of mix; pH, heat and sodium under it. */
export function Spans({ batch, chosen, onChoose, onAsk, says }: SpansProps) {
  const [over, setOver] = useState<'meat' | 'mix'>('meat')
  const { judgement } = batch
  const lastGood = useQuery(lastGoodQuery(batch.id, batch.draft.name)).data ?? undefined
  const inMix = useQuery({ ...balanceInMixQuery(batch.id, batch.revision), enabled: over === 'mix' }).data
  const { spans, figures } = over === 'meat' ? judgement : (inMix ?? NOT_YET)
  const nameOf = (line: string) => judgement.ingredients.find((one) => one.line_id === line)?.name ?? ''
  if (judgement.spans.length === 0)
    return (
      <p className="rounded-md border-2 border-dashed border-rule p-6 text-quiet">
        {judgement.sentence} The balance per kilogram of meat is drawn here.
      </p>
    )
  return (
    <div>
      <Radios
        about={{ name: 'Told for a kilogram of' }}
        value={over}
        options={OVER}
        className="flex justify-end gap-4 text-[0.95rem] leading-tight"
        look="min-h-12 text-quiet wide:min-h-7 has-checked:font-bold has-checked:text-ink has-checked:underline has-checked:decoration-2 has-checked:underline-offset-4"
        onChoose={setOver}
      />
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-0.5">
        {spans.map((span) => (
          <Rule
            key={span.substance}
            figure={figures[span.figure] ?? judgement.figures[span.figure]}
            span={span}
            parts={span.parts.map((part) => ({ ...part, name: nameOf(part.line_id) }))}
            over={over}
            before={over === 'meat' ? lastGood?.balance[span.substance] : undefined}
            chosen={chosen}
            onChoose={onChoose}
            onAsk={over === 'meat' ? onAsk : undefined}
          />
        ))}
      </div>
      <p role="status" className="text-[0.95rem] font-semibold empty:hidden">
        {says}
      </p>
      {lastGood && over === 'meat' && (
        <p className="text-[0.9rem] text-quiet">
          <span aria-hidden>◇</span> {lastGood.name || 'Unnamed batch'}, {dayTold(lastGood.eaten_on)}: just
          right
        </p>
      )}
      <Notes batch={batch} />
    </div>
  )
}

interface RuleProps {
  figure: Figure | undefined
  span: Span
  parts: { line_id: string; name: string; g_per_kg: number }[]
  over: 'meat' | 'mix'
  before: { value: number; shown: string } | undefined
  chosen: string | undefined
  onChoose: (line: string) => void
  onAsk: SpansProps['onAsk'] | undefined
}

function Rule({ figure, span, parts, over, before, chosen, onChoose, onAsk }: RuleProps) {
  const name = span.substance
  return (
    <SpanRule
      substance={name as Substance}
      value={span.value}
      targetLow={span.target_low}
      targetHigh={span.target_high}
      end={span.rule_end}
      parts={parts}
      unit={name === 'enzyme' ? '% of fresh pineapple juice' : 'g/kg'}
      figure={
        figure && (
          <Working
            name={name === 'enzyme' ? 'live enzyme' : `${name} per kilogram of ${over}`}
            figure={figure}
          >
            {figure.shown}
          </Working>
        )
      }
      before={before}
      chosenLine={chosen}
      onChooseLine={onChoose}
      onAsk={
        onAsk && canAsk(name)
          ? (value) => {
              onAsk(name, value)
            }
          : undefined
      }
    />
  )
}

/** What is no substance of the picture: pH, heat, sodium. */
function Notes({ batch }: { batch: Batch }) {
  const { figures, mix } = batch.judgement
  const [ph, heat, sodium] = [figures['ph'], figures['heat_shu'], figures['sodium_mg_per_serving']]
  return (
    <p className="border-t border-rule pt-0.5 text-[0.9rem] leading-snug text-quiet">
      {ph ? (
        <>
          pH about <Note name="pH of the mix" figure={ph} /> ({ph.band_shown})
        </>
      ) : (
        'no acid'
      )}
      {heat && mix && (
        <>
          {' · '}heat <Note name="Heat over the meat" figure={heat} words={mix.heat_says} />
        </>
      )}
      {sodium && mix && (
        <>
          {' · '}
          <Note name="Sodium a serving" figure={sodium} words={`${sodium.shown} sodium`} /> a serving:{' '}
          {mix.sodium_says}
        </>
      )}
    </p>
  )
}

function Note({
  name,
  figure,
  words,
}: {
  name: string
  figure: Batch['judgement']['figures'][string]
  words?: string
}) {
  return (
    <b className="text-ink">
      <Working name={name} figure={figure}>
        {words ?? figure.shown}
      </Working>
    </b>
  )
}
