import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import type { Batch, Draft, Step } from '../../api/client'
import { BLANK_STEP, freshId } from '../../lib/draft'
import { faultOf } from '../timelineRows'
import { StepLine } from './StepLine'
import { stepWords } from './words'
import { Tick } from '../../components/Tick'

interface StepsProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

/** What was done to the piece, in order, each with what it does and what to be careful about. */
export function Steps({ batch, draft, change }: StepsProps) {
  const { steps } = draft.cut
  const setSteps = (next: (was: Step[]) => Step[]) => {
    change((was) => ({ ...was, cut: { ...was.cut, steps: next(was.cut.steps) } }))
  }
  const add = (kind: string) => {
    setSteps((was) => [...was, { ...BLANK_STEP, id: freshId(), kind }])
  }
  return (
    <section aria-labelledby="done" className="mt-1">
      <div className="flex items-center justify-between border-b-4 border-double border-rule">
        <h2 id="done" className="text-lg text-quiet">
          what was done to it
        </h2>
        <Tick
          ticked={draft.cut.state === 'frozen'}
          onTick={(ticked) => {
            const state = ticked ? 'frozen' : 'fresh'
            change((was) => ({ ...was, cut: { ...was.cut, state } }))
          }}
          className="ml-auto pr-3"
        >
          it is frozen now
        </Tick>
        <Menu>
          <MenuButton className="opens min-h-12 cursor-pointer px-3 font-semibold text-enamel underline underline-offset-4">
            Add a step
          </MenuButton>
          <MenuItems
            portal
            className="beside beside-end z-20 grid grid-cols-2 rounded-md border-2 border-enamel bg-raised"
          >
            {Object.entries(stepWords).map(([kind, words]) => (
              <MenuItem key={kind}>
                <button
                  type="button"
                  className="min-h-12 cursor-pointer px-4 text-left data-focus:bg-enamel data-focus:text-on-enamel"
                  onClick={() => {
                    add(kind)
                  }}
                >
                  {words}
                </button>
              </MenuItem>
            ))}
          </MenuItems>
        </Menu>
      </div>
      <ol className="wide:max-h-[max(6rem,calc(100dvh-40rem))] wide:overflow-y-auto">
        {steps.map((step, index) => (
          <StepLine
            key={step.id}
            step={step}
            effect={
              batch.judgement.preparation[index]?.kind === step.kind
                ? batch.judgement.preparation[index]
                : undefined
            }
            fault={faultOf(batch, `cut.steps.${index}`)}
            onChange={(part) => {
              setSteps((was) => was.map((old) => (old.id === step.id ? { ...old, ...part } : old)))
            }}
            onRemove={() => {
              setSteps((was) => was.filter((old) => old.id !== step.id))
            }}
          />
        ))}
      </ol>
    </section>
  )
}
