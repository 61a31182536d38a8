import { logScale } from '../../lib/scale'
import type { Course, HoldWindow } from '../../api/client'

const WIDE = 200
const HIGH = 22

interface ConcernsProps {
  course: Course
  window: HoldWindow
  /** The hour that the slider stands at. */
  at: number
}

/** What each hour is worth, concern by concern, along the hours of the course; at every hour the worst is drawn dark. */
export function Concerns({ course, window, at }: ConcernsProps) {
  const { hours, concerns, worst } = course
  const first = hours[0] ?? 1
  const x = logScale([first, hours.at(-1) ?? 2], [0, WIDE])
  const edges = [window.safe_earliest_hours, window.best.hours, window.safe_latest_hours]
  return (
    <table className="w-full text-[0.95rem]" aria-label="What each hour is worth">
      <thead>
        <tr className="text-left text-quiet">
          <th className="font-normal">worth</th>
          <th className="font-normal">at {course.hours_shown[at]}</th>
          <th aria-hidden className="flex justify-between font-normal">
            <span>{course.hours_shown[0]}</span>
            <span>{course.hours_shown.at(-1)}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {concerns.map((concern, index) => (
          <tr key={concern.id} className="border-t border-rule">
            <th
              className={`pr-2 text-left whitespace-nowrap ${worst[at] === index ? 'font-bold' : 'font-normal'}`}
            >
              {concern.name}
            </th>
            <td className="pr-2 whitespace-nowrap">
              {concern.shown[at]}
              {worst[at] === index && <span className="sr-only">, the worst at this hour</span>}
            </td>
            <td className="w-1/2">
              <svg
                aria-hidden
                viewBox={`0 0 ${WIDE} ${HIGH}`}
                preserveAspectRatio="none"
                className="block h-[22px] w-full"
              >
                <path d={area(hours, concern.worth, x)} fill="var(--enamel)" fillOpacity="0.3" />
                <path
                  d={area(hours, concern.worth, x, (place) => worst[place] === index)}
                  fill="var(--ink)"
                  fillOpacity="0.8"
                />
                {edges.map((hour, edge) => (
                  <path
                    key={edge}
                    d={`M${x(hour)} 0V${HIGH}`}
                    stroke={edge === 2 ? 'var(--stop)' : 'var(--ink)'}
                    strokeDasharray={edge === 1 ? undefined : '2 2'}
                    vectorEffect="non-scaling-stroke"
                  />
                ))}
              </svg>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** The area under a concern, over all hours or over those of which something holds. */
function area(
  hours: number[],
  worth: number[],
  x: (hour: number) => number,
  holds: (place: number) => boolean = () => true,
): string {
  const columns = hours.slice(0, -1).flatMap((hour, place) => {
    if (!holds(place)) return []
    const next = hours[place + 1] ?? hour
    const [left, right] = [HIGH * (1 - (worth[place] ?? 0)), HIGH * (1 - (worth[place + 1] ?? 0))]
    return [`M${x(hour)} ${HIGH}V${left}L${x(next)} ${right}V${HIGH}Z`]
  })
  return columns.join('')
}
