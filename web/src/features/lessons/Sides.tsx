import { useState } from 'react'
import type { Lesson, Outcome } from '../../api/client'
import { HourSlider, nearest } from '../../components/HourSlider'
import { Section } from '../../components/Section'
import { profileAt } from '../../lib/depth'

/** Height that the thicker of the two sections may take. */
const ROOM_PX = 130

/** The two pieces of a question, before anything is worked out. */
export function Pieces({ sides }: { sides: Lesson['sides'] }) {
  const thickest = Math.max(...sides.map((side) => side.piece.thickness_mm))
  return (
    <div className="mt-3 grid grid-cols-[minmax(0,1fr)] items-end gap-x-6 wide:grid-cols-2">
      {sides.map((side) => (
        <figure key={side.name}>
          <figcaption>
            <b className="font-slab text-lg">{side.name}</b>{' '}
            <span className="text-quiet">{side.mix.join(', ')}</span>
          </figcaption>
          <Section
            piece={side.piece}
            room={{ width: 330, height: (ROOM_PX * side.piece.thickness_mm) / thickest }}
          />
        </figure>
      ))}
    </div>
  )
}

/** Both holds of an example, dragged along the hours together. */
export function Sides({ outcome }: { outcome: Outcome }) {
  const { this: one, other } = outcome
  const [hour, setHour] = useState(outcome.hour)
  const at = nearest(one.course.hours, hour)
  const thickest = Math.max(one.piece.thickness_mm, other.piece.thickness_mm)
  return (
    <div className="mt-3">
      <div className="grid grid-cols-[minmax(0,1fr)] items-end gap-x-6 wide:grid-cols-2">
        {[one, other].map((side) => (
          <figure key={side.name}>
            <figcaption>
              <b className="font-slab text-lg">{side.name}</b>{' '}
              <span className="text-quiet">{side.mix.join(', ')}</span>
            </figcaption>
            <Section
              piece={side.piece}
              course={{ profile: profileAt(side.course, hour), across: side.course.across }}
              room={{ width: 330, height: (ROOM_PX * side.piece.thickness_mm) / thickest }}
            />
            <p className="min-h-12 text-[0.95rem]">{side.course.says[nearest(side.course.hours, hour)]}</p>
          </figure>
        ))}
      </div>
      <HourSlider
        hours={one.course.hours}
        shown={one.course.hours_shown}
        says={one.course.says}
        at={at}
        onMove={(index) => {
          setHour(one.course.hours[index] ?? hour)
        }}
      />
    </div>
  )
}
