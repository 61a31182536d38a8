import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { Dialog } from '../../components/Dialog'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { navigate } from 'wouter/use-browser-location'
import { api, type LogEntry } from '../../api/client'
import { useLists } from '../../api/queries'
import { CutPicker } from '../../components/CutPicker'
import { Said } from '../../components/Said'

interface MakeAgainProps {
  entry: LogEntry
  onClose: () => void
}

/** Start from a batch of the logbook, as it was or on another cut: amounts are worked out anew. */
export function MakeAgain({ entry, onClose }: MakeAgainProps) {
  const lists = useLists()
  const [cut, setCut] = useState({ kind: '', mass: '', thickness: '' })
  const { once, trouble, faultAt, quiet } = useAttempt()
  const fault = faultAt('cut.kind')
  const queries = useQueryClient()
  const make = () =>
    once(async () => {
      const batch = await api.makeAgain(entry.id, cut)
      await askAnew(queries, 'batches')
      navigate(`/batch/${batch.id}/mix`)
    })
  const say = (part: Partial<typeof cut>) => {
    quiet()
    setCut((was) => ({ ...was, ...part }))
  }
  return (
    <Dialog title={`${entry.name} again`} className="w-[34rem] max-w-full" onClose={onClose}>
      <p className="mt-1 text-quiet">
        What stays empty is as it was. For another size or cut the amounts are worked out anew: salt by the
        weight of meat, the mix by what it takes to cover.
      </p>
      <CutPicker
        question="Of what"
        stack
        options={lists?.cuts}
        value={cut.kind || entry.kind}
        fault={fault}
        onPick={(kind) => {
          say({ kind })
        }}
      />
      <div className="grid grid-cols-2 gap-x-4">
        <Said
          question="Weight"
          stack
          value={cut.mass}
          placeholder={entry.mass}
          onType={(mass) => {
            say({ mass })
          }}
        />
        <Said
          question="Thickness, or edge of a cube"
          stack
          value={cut.thickness}
          placeholder={entry.thickness}
          onType={(thickness) => {
            say({ thickness })
          }}
        />
      </div>
      {trouble !== '' && !fault && (
        <p role="alert" className="mt-2 whitespace-pre-line text-stop">
          {trouble}
        </p>
      )}
      <div className="mt-4 flex gap-3">
        <button type="button" data-goes-first="" className="act act-first" onClick={() => void make()}>
          Make it
        </button>
        <button type="button" className="act" onClick={onClose}>
          Leave it
        </button>
      </div>
    </Dialog>
  )
}
