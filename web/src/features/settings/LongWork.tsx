import { useQuery } from '@tanstack/react-query'
import { api } from '../../api/client'
import { workQuery } from '../../api/queries'

/** How far long work is, while it is waited for, and a way to stop it. */
export function LongWork() {
  const work = useQuery(workQuery).data
  const known = work !== undefined && work !== null && work.total > 0
  return (
    <div role="group" aria-label="Going on" className="grid gap-2 rounded-md border-2 border-rule p-3">
      <label className="grid gap-1">
        <span>
          {known
            ? `${work.what}: ${String(work.done)} of ${String(work.total)} batches`
            : (work?.what ?? 'Going on')}
        </span>
        <progress
          className="h-4 w-full accent-enamel"
          {...(known ? { value: work.done, max: work.total } : {})}
        />
      </label>
      {work?.can_stop !== false && (
        <button type="button" className="act justify-self-start" onClick={() => void api.stopWork()}>
          Stop it
        </button>
      )}
    </div>
  )
}
