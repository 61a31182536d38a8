import { Radios } from '../../components/Radios'

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
      <Radios
        about={{ name: aspect }}
        value={value}
        options={words.map((word, step) => ({
          value: word,
          label: word,
          look: `${step > 0 ? 'border-l-2 border-rule' : ''} ${step === 2 ? 'shadow-[inset_0_3px_0_var(--rule)]' : ''}`,
        }))}
        className="grid grow grid-cols-5 rounded-md border-2 border-rule"
        look="first:rounded-l-sm last:rounded-r-sm focus-within:z-10 min-h-11 px-1 text-center text-[0.85rem] leading-tight wide:min-h-9 has-checked:bg-enamel has-checked:font-bold has-checked:text-on-enamel"
        onChoose={onChoose}
      />
    </div>
  )
}
