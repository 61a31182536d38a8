import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { Batch, Draft } from '../../api/client'
import { AsWeighed } from '../../components/AsWeighed'
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
        <AsWeighed locked={batch.locked}>
          <Questions batch={batch} draft={draft} change={change} system={system} />
          <Steps batch={batch} draft={draft} change={change} />
        </AsWeighed>
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
        {/* What is in the mix is cut as it is: no other size is offered. */}
        {!batch.locked && <CubeStrip batch={batch} draft={draft} change={change} system={system} />}
      </div>
    </div>
  )
}
