import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { Batch, Draft } from '../../api/client'
import { chooseSystem, chosenSystem, type System } from '../../lib/units'
import { CubeStrip } from './CubeStrip'
import { Drawing } from './Drawing'
import { Questions } from './Questions'
import { Steps } from './Steps'

interface StageProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** Cut: questions in the order of the hand, and the section that redraws with each answer. */
export function CutStage({ batch, draft, change }: StageProps) {
  const [system, setSystem] = useState<System>(chosenSystem)
  const queries = useQueryClient()
  return (
    <div className="grid gap-6 wide:grid-cols-[minmax(0,1fr)_29rem]">
      <div>
        <Questions batch={batch} draft={draft} change={change} system={system} />
        <Steps batch={batch} draft={draft} change={change} />
      </div>
      <div className="grid content-start gap-3">
        <Drawing
          batch={batch}
          system={system}
          onTurn={() => {
            const other = system === 'metric' ? 'customary' : 'metric'
            chooseSystem(other)
            setSystem(other)
            void queries.invalidateQueries()
          }}
        />
        <CubeStrip batch={batch} draft={draft} change={change} system={system} />
      </div>
    </div>
  )
}
