import { useRef, type ReactNode } from 'react'
import type { Batch, Comparison, Course } from '../../api/client'
import { HourSlider, nearest } from '../../components/HourSlider'
import { Section } from '../../components/Section'
import { useRoom } from '../../components/useRoom'
import { profileAt } from '../../lib/depth'
import { Beside } from './Beside'
import type { Choice } from './choices'

/**
 * Room for one section alone, which grows with the screen, and for the thicker of two, in px. Under it stand ruler,
 * slider and rail, and the bone that it lies on.
 */
const ALONE = { width: 460, margins: 64, least: 210, most: 420, below: 192, bone: 14 }
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
  /** What stands with the words of the hour. */
  children?: ReactNode
}

/** Alone the section has all of the height: what is said of the hour stands beside it, on a phone under the slider. */
const BESIDE_IT =
  "wide:grid-cols-[minmax(0,1fr)_13rem] wide:grid-rows-[auto_1fr_auto] wide:[grid-template-areas:'cut_choice''cut_says''hour_hour']"

/** The cut through time: one section, and another way of holding it beside it, at the same hour. */
export function Through({
  batch,
  course,
  hour,
  onHour,
  choice,
  onChoose,
  trouble,
  other,
  children,
}: ThroughProps) {
  const at = nearest(course.hours, hour)
  const { piece } = batch.judgement
  const alone = choice.change === 'nothing'
  const figure = useRef<HTMLElement>(null)
  const space = useRoom(figure)
  const bone = piece?.bone === 'face' || piece?.bone === 'ribs' ? ALONE.bone : 0
  const height = Math.min(ALONE.most, Math.max(ALONE.least, space.below - ALONE.below - bone))
  const width = space.width > 0 ? space.width - ALONE.margins : ALONE.width
  if (!piece) return null
  return (
    <div className={`grid grid-cols-[minmax(0,1fr)] gap-x-4 ${alone ? BESIDE_IT : ''}`}>
      <div
        className={
          alone ? 'contents' : `grid gap-x-4 wide:grid-cols-2 ${other ? 'items-end' : 'items-start'}`
        }
      >
        <figure ref={figure} className={alone ? 'wide:[grid-area:cut]' : ''}>
          <figcaption className={alone ? 'sr-only' : 'font-slab text-lg'}>as it is</figcaption>
          <Section
            piece={piece}
            course={{ profile: profileAt(course, hour), across: course.across }}
            room={alone ? { width, height } : ROOM}
          />
        </figure>
        <div className={alone ? 'wide:[grid-area:choice]' : ''}>
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
      <div className={alone ? 'wide:[grid-area:hour]' : ''}>
        <HourSlider
          hours={course.hours}
          shown={course.hours_shown}
          says={course.says}
          at={at}
          onMove={(index) => {
            onHour(course.hours[index] ?? hour)
          }}
        />
      </div>
      <div className={alone ? 'wide:pt-3 wide:[grid-area:says]' : ''}>
        <p className="min-h-6">{course.says[at]}</p>
        {children}
      </div>
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
