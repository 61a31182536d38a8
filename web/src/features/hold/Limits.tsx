import type { Batch, Course } from '../../api/client'
import { Working } from '../../components/Working'
import { Concerns } from './Concerns'
import { unbroken } from '../../lib/unbroken'

interface LimitsProps {
  batch: Batch
  course: Course | undefined
  at: number
}

/** Each end of the window with the limit that sets it; what each hour is worth; why not longer, why not now. */
export function Limits({ batch, course, at }: LimitsProps) {
  const { window, stops, figures, why_not_longer: longer, why_not_now: sooner } = batch.judgement
  if (stops.length > 0)
    return (
      <ul>
        {stops.map((stop) => (
          <li key={stop.id} className="border-b border-rule py-1.5">
            <b className="text-stop">✕ {stop.says}</b> {stop.accepted}
          </li>
        ))}
      </ul>
    )
  if (!window) return <p className="text-quiet">There is no window yet.</p>
  return (
    <>
      {course && <Concerns course={course} window={window} at={at} />}
      <dl className="border-t border-rule">
        {(['earliest', 'best', 'latest'] as const).map((name) => {
          const edge = window[name]
          const figure = figures[`window.${name}`]
          return (
            <div key={name} className="border-b border-rule py-1.5">
              <dt className="flex items-baseline justify-between gap-3">
                <span className="text-quiet">{name}</span>
                <span className="text-[1.3rem] font-bold">
                  {figure && (
                    <Working name={name} figure={{ ...figure, shown: edge.shown }}>
                      {edge.shown}
                    </Working>
                  )}
                </span>
              </dt>
              <dd className="leading-snug">
                {unbroken(edge.says)}
                {figure?.band_shown && (
                  <span className="text-quiet"> (somewhere in {unbroken(figure.band_shown)})</span>
                )}
              </dd>
            </div>
          )
        })}
      </dl>
      <p className="border-b border-rule py-1.5">
        <b>Nearly as good as the best:</b> {window.good.shown}.
      </p>
      <p className="pt-1.5">{longer}</p>
      <p className="pt-1">{sooner}</p>
    </>
  )
}
