import { useCallback, useState } from 'react'
import type { Lesson, Outcome } from '../../api/client'
import { HourSlider, nearest } from '../../components/HourSlider'
import { Section } from '../../components/Section'
import { profileAt, type Profile } from '../../lib/depth'

/** Height that the thicker of the two sections may take. */
const ROOM_PX = 150

type Asked = Lesson['sides'][number]

interface PairProps<T extends Asked> {
  sides: readonly T[]
  /** What has gone in by the hour that is shown, once it is worked out. */
  courseOf?: (side: T) => { profile: Profile; across: boolean }
  saysOf?: (side: T) => string | undefined
}

/** Two pieces at one scale, names, sections and words each on a line of their own. */
function Pair<T extends Asked>({ sides, courseOf, saysOf }: PairProps<T>) {
  const thickest = Math.max(...sides.map((side) => side.piece.thickness_mm))
  return (
    <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-6 wide:grid-cols-2 wide:grid-rows-[auto_auto_auto]">
      {sides.map((side) => (
        <figure key={side.name} className="wide:row-span-3 wide:grid wide:grid-rows-subgrid">
          <figcaption className="self-end">
            <b className="font-slab text-lg">{side.name}</b>{' '}
            <span className="text-quiet">{side.mix.join(', ')}</span>
          </figcaption>
          <div className="self-end">
            <Section
              piece={side.piece}
              course={courseOf?.(side)}
              room={{ width: 350, height: (ROOM_PX * side.piece.thickness_mm) / thickest }}
            />
          </div>
          <p className="text-[0.95rem]">{saysOf?.(side)}</p>
        </figure>
      ))}
    </div>
  )
}

/** The two pieces of a question, before anything is worked out. */
export function Pieces({ sides }: { sides: Lesson['sides'] }) {
  return <Pair sides={sides} />
}

/** Both holds of an example, dragged along the hours together. */
export function Sides({ outcome }: { outcome: Outcome }) {
  const { this: one, other } = outcome
  const [hour, setHour] = useState(outcome.hour)
  const move = useCallback(
    (index: number) => {
      setHour(one.course.hours[index] ?? 0)
    },
    [one],
  )
  return (
    <div>
      <Pair
        sides={[one, other]}
        courseOf={({ course }) => ({ profile: profileAt(course, hour), across: course.across })}
        saysOf={({ course }) => course.says[nearest(course.hours, hour)]}
      />
      <HourSlider
        hours={one.course.hours}
        shown={one.course.hours_shown}
        says={one.course.says}
        at={nearest(one.course.hours, hour)}
        onMove={move}
      />
    </div>
  )
}
