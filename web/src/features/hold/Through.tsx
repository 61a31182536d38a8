import { useCallback, useRef, useState, type ReactNode } from 'react'
import type { Batch, Comparison, Course } from '../../api/client'
import { HourSlider, nearest } from '../../components/HourSlider'
import { Section } from '../../components/Section'
import { useRoom } from '../../components/useRoom'
import { profileAt } from '../../lib/depth'
import { Beside } from './Beside'
import type { Choice } from './choices'
import { Tick } from '../../components/Tick'

/**
 * Room of a section, which grows with the screen, in px. Under it stand ruler, slider and rail, and the bone that it
 * lies on. Of two, a round one is no wider than its column.
 */
const ROOM = {
  width: 460,
  margins: 64,
  least: 210,
  leastOfTwo: 84,
  most: 420,
  below: 192,
  bone: 14,
  name: 28,
}
const BROADER = 1.25 // a round piece than it is high

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

/** One section has all of the height: what is said of the hour stands beside it, on a phone under the slider. */
const ALONE =
  "grid-cols-[minmax(0,1fr)] wide:grid-cols-[minmax(0,1fr)_13rem] wide:grid-rows-[auto_1fr_auto] wide:[grid-template-areas:'cut_choice''cut_says''hour_hour']"
const TWO =
  "grid-cols-2 [grid-template-areas:'choice_choice''cut_other''hour_hour''says_says'] wide:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_13rem] wide:[grid-template-areas:'cut_other_choice''hour_hour_hour''says_says_says']"
const AREAS = {
  alone: {
    cut: 'wide:[grid-area:cut]',
    choice: 'wide:[grid-area:choice]',
    hour: 'wide:[grid-area:hour]',
    says: 'wide:[grid-area:says] wide:pt-3',
  },
  two: {
    cut: '[grid-area:cut]',
    choice: '[grid-area:choice]',
    hour: '[grid-area:hour]',
    says: '[grid-area:says]',
  },
}

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
  const [wantsRest, setRests] = useState(false)
  const rests = wantsRest && !other
  const shownCourse = rests ? { ...course, salt_g_per_kg: course.rested_g_per_kg } : course
  const move = useCallback(
    (index: number) => {
      onHour(course.hours[index] ?? 0)
    },
    [course, onHour],
  )
  const figure = useRef<HTMLElement>(null)
  const space = useRoom(figure)
  if (!piece) return null
  const second = other?.judgement.course ? other.judgement.piece : null
  const areas = second ? AREAS.two : AREAS.alone
  const lowers = (piece.bone === 'face' || piece.bone === 'ribs' ? ROOM.bone : 0) + (second ? ROOM.name : 0)
  const width = space.width > 0 ? space.width - ROOM.margins : ROOM.width
  const free = Math.min(ROOM.most, Math.max(ROOM.least, space.below - ROOM.below - lowers))
  const isFlat = (one: typeof piece) => one.shape === 'slab' && one.bone !== 'core'
  const bothFlat = second ? isFlat(piece) && isFlat(second) : true
  const high = bothFlat ? free : Math.max(ROOM.leastOfTwo, Math.min(free, width / BROADER))
  const thickest = Math.max(piece.thickness_mm, second?.thickness_mm ?? 0)
  const room = (mm: number) => ({ width, height: (high * mm) / thickest }) // both at one scale
  return (
    <div className={`grid gap-x-4 ${second ? TWO : ALONE}`}>
      <figure ref={figure} className={areas.cut}>
        <figcaption className={second ? 'font-slab text-lg' : 'sr-only'}>as it is</figcaption>
        <Section
          piece={piece}
          course={{ profile: profileAt(shownCourse, hour), across: course.across }}
          room={room(piece.thickness_mm)}
        />
      </figure>
      <div className={areas.choice}>
        <Beside choice={choice} onChoose={onChoose} />
        {!other && (
          <Tick ticked={rests} onTick={setRests} className="wide:min-h-9">
            rested {course.rest_shown}, cold
          </Tick>
        )}
        {trouble !== '' && (
          <p role="alert" className="text-stop">
            {trouble}
          </p>
        )}
      </div>
      {second && other?.judgement.course && (
        <figure className="[grid-area:other]">
          <figcaption className="font-slab text-lg">beside it</figcaption>
          <Section
            piece={second}
            course={{
              profile: profileAt(other.judgement.course, other.at_h),
              across: other.judgement.course.across,
            }}
            room={room(second.thickness_mm)}
          />
        </figure>
      )}
      <div className={areas.hour}>
        <HourSlider
          hours={course.hours}
          shown={course.hours_shown}
          says={course.says}
          at={at}
          onMove={move}
          marks={marksOf(batch)}
        />
      </div>
      <div className={areas.says}>
        {!other && <p className="min-h-6">{(rests ? course.rested_says : course.says)[at]}</p>}
        {children}
        {other && (
          <ul aria-label="What is different" className="text-[0.95rem]" role="status">
            {other.says.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        )}
      </div>
    </div>
  )
}

/** The ends of the window and its best, under the hours that they are. */
function marksOf({ judgement: { window } }: Batch) {
  if (!window || window.closed) return []
  return [
    { hours: window.safe_earliest_hours, says: 'opens' },
    { hours: window.best.hours, says: 'best' },
    { hours: window.safe_latest_hours, says: 'ends' },
  ]
}
