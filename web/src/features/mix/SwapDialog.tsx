import { Dialog } from '../../components/Dialog'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Draft, Swap } from '../../api/client'
import { swapsQuery } from '../../api/queries'
import { Pick } from '../../components/Pick'
import type { Line } from '../../lib/draft'

const ALLERGENS =
  'gluten soy milk sesame mustard fish egg crustacean peanut nuts celery sulphites mollusc lupin'.split(' ')

interface SwapDialogProps {
  draft: Draft
  line: Line
  onTake: (texts: string[]) => void
  onClose: () => void
}

/** What can stand in for a line at an equal quantity, with allergens and enzyme told. */
export function SwapDialog({ draft, line, onTake, onClose }: SwapDialogProps) {
  const [without, setWithout] = useState('nothing')
  const found = useQuery(
    swapsQuery({ draft, line_id: line.id, without: without === 'nothing' ? [] : [without] }),
  )
  return (
    <Dialog
      title={`Instead of ${line.text}`}
      className="flex max-h-[calc(100dvh-2.5rem)] w-[44rem] max-w-full flex-col"
      onClose={onClose}
    >
      <Pick
        question="Without"
        value={without}
        options={[
          { value: 'nothing', label: 'anything goes' },
          ...ALLERGENS.map((name) => ({ value: name, label: name })),
        ]}
        onPick={setWithout}
      />
      {found.isError && (
        <p role="alert" className="text-stop">
          {found.error.message}
        </p>
      )}
      <ul className="mt-2 min-h-24 overflow-y-auto" aria-label="What can stand in">
        {found.data?.length === 0 && <li>Nothing known stands in for this. Write another line instead.</li>}
        {found.data?.map((swap) => (
          <Row
            key={swap.id}
            swap={swap}
            onTake={() => {
              onTake(swap.texts)
            }}
          />
        ))}
      </ul>
      <button type="button" className="act mt-3 self-start" onClick={onClose}>
        Leave it
      </button>
    </Dialog>
  )
}

function Row({ swap, onTake }: { swap: Swap; onTake: () => void }) {
  return (
    <li className="flex items-center gap-3 border-b border-rule py-2">
      <div className="min-w-0 grow">
        <p className="text-[1.1rem] font-semibold">
          {swap.says} <span className="font-normal text-quiet">equal {swap.keeps}</span>
        </p>
        <p className="text-[0.95rem]">
          {swap.loses.length > 0 && <b className="mr-2">no {swap.loses.join(', no ')}</b>}
          {swap.gains.length > 0 && <b className="mr-2 text-stop">▲ brings {swap.gains.join(', ')}</b>}
          {swap.check.length > 0 && (
            <span className="mr-2 text-warn">read the label for {swap.check.join(', ')}</span>
          )}
          {swap.enzyme_says}
        </p>
        <p className="text-[0.9rem] leading-tight text-quiet">
          {[swap.note, ...swap.effects.map((effect) => effect.says)].filter(Boolean).join('; ')}
        </p>
      </div>
      <button type="button" className="act" aria-label={`Take ${swap.says}`} onClick={onTake}>
        Take
      </button>
    </li>
  )
}
