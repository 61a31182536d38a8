import { AS_TINS, Radios } from './Radios'
import { Row, type Fault } from './Said'

interface ChoiceProps {
  question: string
  value: string
  options: { value: string; label: string }[]
  hint?: string | undefined
  assumed?: string | undefined
  assumedValue?: string | undefined
  fault?: Fault | undefined
  onChoose: (value: string) => void
}

/** A question with a few answers side by side, printed like labels on tins. */
export function Choice({ question, value, options, assumedValue, onChoose, ...row }: ChoiceProps) {
  return (
    <Row question={question} {...row}>
      {({ describedBy }) => (
        <Radios
          about={{ name: question }}
          describedBy={describedBy}
          value={value}
          options={options.map((option) => ({
            value: option.value,
            label: (
              <>
                {option.label}
                {value === '' && assumedValue === option.value && (
                  <span className="font-normal"> (assumed)</span>
                )}
              </>
            ),
          }))}
          className="flex flex-wrap gap-2 py-1"
          look={AS_TINS}
          onChoose={onChoose}
        />
      )}
    </Row>
  )
}
