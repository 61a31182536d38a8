import { Radio, RadioGroup } from '@headlessui/react'
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
        <RadioGroup
          value={value}
          onChange={onChoose}
          aria-label={question}
          aria-describedby={describedBy}
          className="flex flex-wrap gap-2 py-1"
        >
          {options.map((option) => (
            <Radio
              key={option.value}
              value={option.value}
              className="tin grid min-h-12 cursor-pointer place-items-center px-4 font-semibold text-enamel [--tin-fill:var(--raised)] data-checked:bg-enamel data-checked:text-on-enamel data-checked:[--tin-fill:var(--enamel)]"
            >
              <span>
                {option.label}
                {value === '' && assumedValue === option.value && (
                  <span className="font-normal"> (assumed)</span>
                )}
              </span>
            </Radio>
          ))}
        </RadioGroup>
      )}
    </Row>
  )
}
