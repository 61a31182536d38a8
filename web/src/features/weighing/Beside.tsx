import type { Batch, Weigh } from '../../api/client'
import type { WeighState } from '../../api/useWeigh'
import { Tick } from '../../components/Tick'

interface BesideProps {
  batch: Batch
  weigh: Weigh
  busy: boolean
  press: WeighState['press']
}

/** What stands beside the marinade, gram by gram: ticked off as it is weighed, on every device. */
export function Beside({ batch, weigh, busy, press }: BesideProps) {
  const { companions } = batch.judgement
  const all = companions.flatMap((one) => one.lines)
  if (all.length === 0) return null
  const isWeighed = (id: string) => id in weigh.beside_g
  const left = all.filter((line) => !isWeighed(line.id)).length
  return (
    <details className="mt-3">
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-quiet">
        <span aria-hidden>▸</span>
        <span>
          Beside it, to weigh as well: {companions.map((one) => one.title).join(', ')} ({left} to go)
        </span>
      </summary>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 wide:grid-cols-2">
        {companions.map((one) => (
          <div key={one.id}>
            <h3 className="pt-2 text-[1.05rem]">{one.title}</h3>
            <ul>
              {one.lines.map((line) => (
                <li key={line.id} className="border-b border-rule">
                  <Tick
                    ticked={isWeighed(line.id)}
                    onTick={(ticked) => {
                      if (!busy)
                        void press({
                          kind: ticked ? 'beside' : 'beside_back',
                          line_id: line.id,
                        })
                    }}
                  >
                    <b className="w-20 shrink-0 text-right text-[1.2rem]">{line.mass_shown}</b>
                    <span className={isWeighed(line.id) ? 'text-quiet line-through' : ''}>
                      {line.ingredient}
                    </span>
                  </Tick>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </details>
  )
}
