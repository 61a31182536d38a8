import type { CookStage, Draft } from '../../api/client'
import { BLANK_STAGE, freshId } from '../../lib/draft'
import type { FireProps } from './FireStage'
import { StageLine } from './StageLine'

/** The stages of cooking, one after another: what is left unsaid takes what is left of the time. */
export function Stages({ batch, draft, change }: FireProps) {
  const stages = draft.fire.stages
  const put = (changed: (stages: CookStage[]) => CookStage[]) => {
    change((was: Draft) => ({ ...was, fire: { ...was.fire, stages: changed(was.fire.stages) } }))
  }
  const faulty = (number: number) =>
    batch.judgement.problems.some((one) => one.field.startsWith(`fire.stages.${number}.`))
  const general = batch.judgement.problems.find((problem) => problem.field === 'fire.stages')
  return (
    <section aria-labelledby="stages">
      <h2 id="stages" className="heading">
        on the heat, one after another
      </h2>
      {stages.length === 0 && (
        <p className="py-2">
          Not said yet: until it is, cooking takes what is left between the mix and the table.
        </p>
      )}
      <ol>
        {stages.map((stage, number) => (
          <StageLine
            key={stage.id}
            stage={stage}
            number={number}
            says={batch.judgement.fire.stages[number]?.says}
            heat={batch.judgement.assumed[`fire.stages.${number}.heat_c`]}
            air={batch.judgement.assumed[`fire.stages.${number}.air`]}
            estimated={batch.judgement.assumed[`fire.stages.${number}.time_min`] !== undefined}
            problems={batch.judgement.problems}
            opened={stages.length === 1 || isBlank(stage) || faulty(number)}
            onChange={(part) => {
              put((was) => was.map((one) => (one.id === stage.id ? { ...one, ...part } : one)))
            }}
            onRemove={() => {
              put((was) => was.filter((one) => one.id !== stage.id))
            }}
          />
        ))}
      </ol>
      {general && <p className="text-stop">{`${general.wrong} ${general.accepted}`}</p>}
      <button
        type="button"
        className="act mt-3"
        onClick={() => {
          put((was) => [...was, { ...BLANK_STAGE, id: freshId() }])
        }}
      >
        Add a stage
      </button>
    </section>
  )
}

const isBlank = ({ place, heat, minutes, core }: CookStage) => place + heat + minutes + core === ''
