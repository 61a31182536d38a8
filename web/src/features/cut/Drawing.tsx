import { useQuery } from '@tanstack/react-query'
import { useRef } from 'react'
import { courseQuery } from '../../api/queries'
import { profileAt } from '../../lib/depth'
import type { Batch } from '../../api/client'
import { Section } from '../../components/Section'
import { useRoom } from '../../components/useRoom'
import type { System } from '../../lib/units'
import { KeepCut } from './KeepCut'

/** Room for the section in px: its facts, the judgement and the rail stand under it, and cubes in other sizes where it is one. */
const ROOM = { width: 360, margins: 100, least: 160, most: 320, below: 412 }

/** The section with its facts, in the units that the cook reads. */
export function Drawing({ batch, system, onTurn }: { batch: Batch; system: System; onTurn: () => void }) {
  const { piece, window } = batch.judgement
  const course = useQuery(courseQuery(batch.id, batch.revision)).data
  const figure = useRef<HTMLElement>(null)
  const space = useRoom(figure)
  if (!piece) {
    return (
      <p className="rounded-md border-2 border-dashed border-rule p-8 text-center text-quiet">
        {batch.draft.cut.kind === ''
          ? 'The section is drawn here, true to scale, as soon as it is known what the cut is.'
          : 'The section is drawn again as soon as what is marked has been mended.'}
      </p>
    )
  }
  const facts = piece.facts[system]
  const isInOtherSizes = piece.shape === 'cube' && !batch.locked
  const height = isInOtherSizes
    ? ROOM.least
    : Math.min(ROOM.most, Math.max(ROOM.least, space.below - ROOM.below))
  const width = space.width > 0 ? space.width - ROOM.margins : ROOM.width
  return (
    <figure
      ref={figure}
      className="grid content-start justify-items-center gap-1 rounded-md border border-rule bg-raised px-4 pt-2 pb-3"
    >
      <div className="flex w-full items-center justify-between gap-3">
        <figcaption className="font-slab text-lg">
          {course && window ? `Cut through, at ${window.best.shown}` : 'Cut through'}
        </figcaption>
        <button
          type="button"
          className="min-h-12 cursor-pointer text-enamel underline underline-offset-4"
          onClick={onTurn}
        >
          {system === 'metric' ? 'in inches and pounds' : 'in mm and grams'}
        </button>
      </div>
      <Section
        piece={piece}
        course={
          course && window ? { profile: profileAt(course, window.best.hours), across: course.across } : null
        }
        room={{ width, height }}
        system={system}
        deepest={facts?.deepest === '' ? undefined : facts?.deepest}
      />
      <dl className="grid w-full grid-cols-2 gap-x-6">
        <Fact name="meat" value={facts?.meat} />
        <Fact name="pieces" value={String(piece.pieces)} />
        <Fact name="open surface" value={facts?.open_surface} />
        {facts?.deepest !== '' && <Fact name="deepest point" value={facts?.deepest} />}
      </dl>
      <div className="flex w-full items-center justify-between gap-3">
        <p className="text-[0.9rem] text-quiet">
          {course ? 'Bigger dots, more salt.' : 'Salt shows once there is a mix.'}
        </p>
        <KeepCut batch={batch} />
      </div>
    </figure>
  )
}

function Fact({ name, value }: { name: string; value: string | undefined }) {
  return (
    <div className="flex justify-between border-t border-rule py-0.5">
      <dt className="text-quiet">{name}</dt>
      <dd className="font-bold">{value}</dd>
    </div>
  )
}
