import { askAnew } from '../../api/askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api, type Learned } from '../../api/client'
import { correctionQuery } from '../../api/queries'

/** What verdicts have taught, how sure it is, and what it rests on; any of it can be forgotten. */
export function Correction() {
  const found = useQuery(correctionQuery)
  const queries = useQueryClient()
  const weigh = async (batch: string | null, lesson: 'usual' | 'forgotten' | 'insisted') => {
    await api.weighLesson(batch, lesson)
    await askAnew(queries)
  }
  if (!found.data) return null
  const { pace, softening, salt, rests_on: restsOn } = found.data
  return (
    <section aria-labelledby="learned" className="grid content-start gap-3">
      <h2 id="learned" className="heading">
        what was learned
      </h2>
      {[...pace, ...softening, salt].map((one) => (
        <div key={one.name}>
          <p>{one.says}</p>
          {one.count > 0 && <Plot learned={one} />}
        </div>
      ))}
      {restsOn.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer underline underline-offset-4">What it rests on</summary>
          <ul>
            {restsOn.map((one) => (
              <li key={one.batch_id} className="flex items-center gap-3 border-b border-rule">
                <span className={`grow ${one.forgotten ? 'text-quiet line-through' : ''}`}>
                  {one.batch}
                  {one.left_out !== '' && <span className="block text-quiet">{one.left_out}</span>}
                </span>
                {one.left_out.includes('far from') && (
                  <button
                    type="button"
                    className="min-h-11 cursor-pointer underline underline-offset-4"
                    aria-label={`Count ${one.batch}`}
                    onClick={() => void weigh(one.batch_id, 'insisted')}
                  >
                    count it
                  </button>
                )}
                <button
                  type="button"
                  className="min-h-11 cursor-pointer underline underline-offset-4"
                  aria-label={`${one.forgotten ? 'Learn again from' : 'Forget'} ${one.batch}`}
                  onClick={() => void weigh(one.batch_id, one.forgotten ? 'usual' : 'forgotten')}
                >
                  {one.forgotten ? 'learn again' : 'forget'}
                </button>
              </li>
            ))}
          </ul>
          <button type="button" className="act mt-2" onClick={() => void weigh(null, 'forgotten')}>
            Forget all of it
          </button>
        </details>
      )}
    </section>
  )
}

const WIDE = 360
const HIGH = 70

/** Before and now: how likely each factor is. */
function Plot({ learned }: { learned: Learned }) {
  const logs = learned.factors.map(Math.log)
  const first = logs[0] ?? -1
  const last = logs.at(-1) ?? 1
  const x = (log: number) => ((log - first) / (last - first)) * WIDE
  const top = Math.max(...learned.before, ...learned.now)
  const line = (values: number[]) =>
    values.map((value, index) => `${x(logs[index] ?? 0)},${HIGH - (value / top) * (HIGH - 4)}`).join(' ')
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH + 18}`}
      className="w-full"
      role="img"
      aria-label={`Before and now: now ${learned.factor.toFixed(2)}, between ${learned.low.toFixed(2)} and ${learned.high.toFixed(2)}`}
    >
      <path d={`M0 ${HIGH}H${WIDE}`} stroke="var(--rule)" />
      <polyline
        points={line(learned.before)}
        fill="none"
        stroke="var(--quiet)"
        strokeDasharray="5 4"
        strokeWidth="2"
      />
      <polyline points={line(learned.now)} fill="none" stroke="var(--enamel)" strokeWidth="3" />
      {[0.5, 1, 2].map((factor) => (
        <text
          key={factor}
          x={x(Math.log(factor))}
          y={HIGH + 15}
          fontSize="13"
          textAnchor="middle"
          fill="var(--quiet)"
        >
          {factor === 1 ? 'as the model' : `${factor} ×`}
        </text>
      ))}
    </svg>
  )
}
