import type { Batch, Comparison, Course } from '../../api/client'
import { HourSlider, nearest } from '../../components/HourSlider'
import { Section } from '../../components/Section'
import { useScreen } from '../../components/useScreen'
import { profileAt } from '../../lib/depth'
import { Beside } from './Beside'
import type { Choice } from './choices'

/** Room for one section alone, which grows with the screen, and for the thicker of two. */
const ALONE = { width: 640, least: 210, most: 420, besides: 590 } // px of a laptop's screen that hold the rest
const ROOM = { width: 270, height: 104 }

interface ThroughProps {
  batch: Batch
  course: Course
  hour: number
  onHour: (hour: number) => void
  choice: Choice
  onChoose: (choice: Choice) => void
  trouble: string
  other: Comparison | undefined
}

/** The cut through time: one section, and another way of holding it beside it, at the same hour. */
export function Through({ batch, course, hour, onHour, choice, onChoose, trouble, other }: ThroughProps) {
  const at = nearest(course.hours, hour)
  const { piece } = batch.judgement
  const alone = choice.change === 'nothing'
  const height = Math.min(ALONE.most, Math.max(ALONE.least, useScreen() - ALONE.besides))
  if (!piece) return null
  return (
    <div>
      <div
        className={`grid grid-cols-[minmax(0,1fr)] gap-x-4 ${alone ? 'wide:grid-cols-[minmax(0,1fr)_13rem]' : 'wide:grid-cols-2'} ${other ? 'items-end' : 'items-start'}`}
      >
        <figure className={alone ? 'wide:row-span-2' : ''}>
          <figcaption className="font-slab text-lg">as it is</figcaption>
          <Section
            piece={piece}
            course={{ profile: profileAt(course, hour), across: course.across }}
            room={alone ? { width: ALONE.width, height } : ROOM}
          />
        </figure>
        <div>
          <Beside choice={choice} onChoose={onChoose} />
          {trouble !== '' && (
            <p role="alert" className="text-stop">
              {trouble}
            </p>
          )}
          {other?.judgement.piece && other.judgement.course && (
            <Section
              piece={other.judgement.piece}
              course={{
                profile: profileAt(other.judgement.course, other.at_h),
                across: other.judgement.course.across,
              }}
              room={{
                width: ROOM.width,
                height:
                  (ROOM.height * other.judgement.piece.thickness_mm) /
                  Math.max(piece.thickness_mm, other.judgement.piece.thickness_mm),
              }}
            />
          )}
        </div>
      </div>
      <HourSlider
        hours={course.hours}
        shown={course.hours_shown}
        says={course.says}
        at={at}
        onMove={(index) => {
          onHour(course.hours[index] ?? hour)
        }}
      />
      <p className="min-h-6">{course.says[at]}</p>
      {other && (
        <ul aria-label="What is different" className="border-t border-rule pt-1" role="status">
          {other.says.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
    </div>
  )
}
