import { useQuery } from '@tanstack/react-query'
import type { Batch, CubeChoice, Draft } from '../../api/client'
import { cubesQuery } from '../../api/queries'
import type { System } from '../../lib/units'

interface CubeStripProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
  system: System
}

const PX_PER_MM = 0.9

/** The same meat in smaller and bigger cubes: to scale, with the time and the paste each needs. */
export function CubeStrip({ batch, draft, change, system }: CubeStripProps) {
  const isCube = batch.judgement.piece?.shape === 'cube'
  const series = useQuery({ ...cubesQuery(batch.id, batch.revision), enabled: isCube })
  if (!isCube || !series.data || series.data.length === 0) return null
  const take = (choice: CubeChoice) => {
    change((was) => ({
      ...was,
      cut: { ...was.cut, shape: 'cube', thickness: `${choice.edge_mm} mm`, pieces: '' },
    }))
  }
  return (
    <section aria-labelledby="cubes">
      <h2 id="cubes" className="text-[0.95rem] text-quiet font-sans!">
        smaller or bigger cubes: best time, and paste for a coat
      </h2>
      <ul className="flex items-end gap-1">
        {series.data.map((choice) => (
          <li key={choice.edge_mm} className="grow">
            <button
              type="button"
              aria-pressed={choice.current && draft.cut.thickness !== ''}
              aria-label={`Cubes of ${choice.edge_told[system] ?? ''}: best about ${choice.best}, ${choice.paste_told[system] ?? ''} of paste`}
              className={`grid w-full cursor-pointer justify-items-center rounded-md border-2 text-[0.85rem] leading-tight ${choice.current ? 'border-enamel' : 'border-transparent'}`}
              onClick={() => {
                take(choice)
              }}
            >
              <span className="grid h-12 place-items-center">
                <span
                  className="block border-2 border-ink"
                  style={{
                    width: choice.edge_mm * PX_PER_MM,
                    height: choice.edge_mm * PX_PER_MM,
                    background: 'var(--flesh)',
                  }}
                />
              </span>
              <span className="font-bold">{choice.edge_told[system]}</span>
              <span>{choice.best}</span>
              <span className="text-quiet">{choice.paste_told[system]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
