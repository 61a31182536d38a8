import { Radio, RadioGroup } from '@headlessui/react'

interface StepsProps {
  aspect: string
  words: string[]
  value: string
  onChoose: (word: string) => void
}

/** Five words from too little to too much; the middle one is right. */
export function Steps({ aspect, words, value, onChoose }: StepsProps) {
  return (
    <div className="wide:flex wide:items-center wide:gap-3">
      <span className="block shrink-0 text-quiet wide:w-24">{aspect}</span>
      <RadioGroup
        value={value}
        onChange={onChoose}
        aria-label={aspect}
        className="grid grow grid-cols-5 overflow-hidden rounded-md border-2 border-rule"
      >
        {words.map((word, step) => (
          <Radio
            key={word}
            value={word}
            className={`grid min-h-11 cursor-pointer place-items-center px-1 wide:min-h-9 text-center text-[0.85rem] leading-tight data-checked:bg-enamel data-checked:font-bold data-checked:text-on-enamel ${step > 0 ? 'border-l-2 border-rule' : ''} ${step === 2 ? 'shadow-[inset_0_3px_0_var(--rule)]' : ''}`}
          >
            {word}
          </Radio>
        ))}
      </RadioGroup>
    </div>
  )
}
