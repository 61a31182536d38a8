import { Pick } from '../../components/Pick'
import { Said } from '../../components/Said'
import { ASKS, CHANGES, type Choice } from './choices'

/** What shall be different in the section beside. */
export function Beside({ choice, onChoose }: { choice: Choice; onChoose: (choice: Choice) => void }) {
  const asks = ASKS[choice.change]
  return (
    <div className="grid grid-cols-2 gap-x-3 wide:grid-cols-1">
      <div className={asks ? '' : 'col-span-2 wide:col-span-1'}>
        <Pick
          question="beside it"
          value={choice.change}
          options={CHANGES}
          onPick={(change) => {
            onChoose({ change: change as Choice['change'], value: '' })
          }}
        />
      </div>
      {asks && (
        <Said
          question={asks.question}
          stack
          value={choice.value}
          placeholder={asks.placeholder}
          onType={(value) => {
            onChoose({ ...choice, value })
          }}
        />
      )}
    </div>
  )
}
