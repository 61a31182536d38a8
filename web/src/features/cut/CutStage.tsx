import { useQuery } from '@tanstack/react-query'
import type { Batch, Draft } from '../../api/client'
import { tablesQuery } from '../../api/queries'
import { Choice } from '../../components/Choice'
import { Picker } from '../../components/Picker'
import { Said } from '../../components/Said'
import { Section } from '../../components/Section'
import { faultOf } from '../lanes'

interface StageProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** Cut: questions in the order of the hand, and the section that redraws with each answer. */
export function CutStage({ batch, draft, change }: StageProps) {
  const tables = useQuery(tablesQuery)
  const { assumed } = batch.judgement
  const say = (part: Partial<Draft['cut']>) => {
    change((was) => ({ ...was, cut: { ...was.cut, ...part } }))
  }
  const cut = draft.cut
  const isCube = batch.judgement.piece?.shape === 'cube'
  return (
    <div className="grid gap-6 wide:grid-cols-[minmax(0,1fr)_32rem]">
      <div>
        <Picker
          question="What is it?"
          options={tables.data?.cuts ?? []}
          value={cut.kind}
          fault={faultOf(batch, 'cut.kind')}
          onPick={(kind) => {
            say({ kind })
          }}
        />
        <Said
          question="How heavy?"
          placeholder="such as 2.6 kg"
          value={cut.mass}
          assumed={assumed['cut.mass_g']}
          fault={faultOf(batch, 'cut.mass_g')}
          onType={(mass) => {
            say({ mass })
          }}
        />
        <Choice
          question="Cubes, or a piece?"
          value={cut.shape}
          assumedValue={assumed['cut.shape']}
          options={[
            { value: 'slab', label: 'Slab or strip' },
            { value: 'cube', label: 'Cubes' },
          ]}
          fault={faultOf(batch, 'cut.shape')}
          onChoose={(shape) => {
            say({ shape })
          }}
        />
        <Said
          question={isCube ? 'Edge of a cube?' : 'How thick, at the thickest?'}
          placeholder="such as 30 mm"
          value={cut.thickness}
          assumed={assumed['cut.thickness_mm']}
          fault={faultOf(batch, 'cut.thickness_mm')}
          hint="To the bone, where bone blocks a face."
          onType={(thickness) => {
            say({ thickness })
          }}
        />
        <Said
          question="How many pieces?"
          placeholder="not said"
          value={cut.pieces}
          inputMode="numeric"
          assumed={assumed['cut.pieces']}
          fault={faultOf(batch, 'cut.pieces')}
          onType={(pieces) => {
            say({ pieces })
          }}
        />
        <Choice
          question="Does bone block a face?"
          value={cut.blocked_faces}
          assumedValue={assumed['cut.blocked_faces'] === undefined ? undefined : '0'}
          options={[
            { value: '0', label: 'No, all open' },
            { value: '1', label: 'Yes, one face' },
          ]}
          fault={faultOf(batch, 'cut.blocked_faces')}
          onChoose={(blocked_faces) => {
            say({ blocked_faces })
          }}
        />
        <Said
          question="Bone, % of the weight?"
          placeholder="not said"
          value={cut.bone_share}
          inputMode="decimal"
          assumed={assumed['cut.bone_share_pct']}
          fault={faultOf(batch, 'cut.bone_share_pct')}
          onType={(bone_share) => {
            say({ bone_share })
          }}
        />
      </div>
      <Drawing batch={batch} />
    </div>
  )
}

function Drawing({ batch }: { batch: Batch }) {
  const { piece, section, window } = batch.judgement
  if (!piece)
    return (
      <p className="self-center rounded-md border-2 border-dashed border-rule p-8 text-center text-quiet">
        The section is drawn here, true to scale, as soon as it is known what the cut is.
      </p>
    )
  return (
    <figure className="grid content-start justify-items-center gap-3 rounded-md border border-rule bg-raised p-5">
      <figcaption className="font-slab text-xl">
        {section && window ? `Cut through, at ${window.best.shown}` : 'Cut through'}
      </figcaption>
      <Section piece={piece} salt={section} room={{ width: 400, height: 260 }} />
      <dl className="grid w-full grid-cols-2 gap-x-6 gap-y-1">
        <Fact name="meat without bone" value={`${piece.meat_g.toFixed(0)} g`} />
        <Fact name="pieces" value={String(piece.pieces)} />
        <Fact name="open surface" value={`${piece.open_area_cm2.toFixed(0)} cm²`} />
        <Fact name="deepest point" value={`${piece.deepest_mm.toFixed(0)} mm in`} />
      </dl>
      {section && (
        <p className="text-[0.9rem] text-quiet">
          Bigger dots, more salt. It tastes seasoned from {section.tasted_from_g_per_kg.toFixed(1)} g/kg.
        </p>
      )}
    </figure>
  )
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div className="flex justify-between border-t border-rule py-1">
      <dt className="text-quiet">{name}</dt>
      <dd className="font-bold">{value}</dd>
    </div>
  )
}
