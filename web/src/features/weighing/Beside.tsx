import type { Batch } from '../../api/client'
import { useHeld } from '../../components/useHeld'

const nameOf = (id: string, number: number, text: string) => `${id} ${number} ${text}`

/** What stands beside the marinade, gram by gram: ticked off as it is weighed, on this device. */
export function Beside({ batch }: { batch: Batch }) {
  const { value: ticked, set } = useHeld<Record<string, boolean>>(`vadouvan.beside.${batch.id}`, {})
  const { companions } = batch.judgement
  const all = companions.flatMap((one) => one.lines.map((line, number) => nameOf(one.id, number, line.text)))
  if (all.length === 0) return null
  const left = all.filter((name) => !ticked[name]).length
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
              {one.lines.map((line, number) => {
                const name = nameOf(one.id, number, line.text)
                return (
                  <li key={name} className="border-b border-rule">
                    <label className="flex min-h-11 cursor-pointer items-center gap-3">
                      <input
                        type="checkbox"
                        className="size-6 shrink-0 accent-enamel"
                        checked={ticked[name] === true}
                        onChange={(event) => {
                          set({ [name]: event.target.checked })
                        }}
                      />
                      <b className="w-20 shrink-0 text-right text-[1.2rem]">{line.mass_shown}</b>
                      <span className={ticked[name] ? 'text-quiet line-through' : ''}>{line.ingredient}</span>
                    </label>
                  </li>
                )
              })}
            </ul>
          </div>
        ))}
      </div>
    </details>
  )
}
