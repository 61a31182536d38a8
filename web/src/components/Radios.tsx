import { useId, type ReactNode } from 'react'

interface RadiosProps<T extends string | number> {
  /** What they are about: its name, or the id of what holds it. */
  about: { name: string } | { labelledBy: string }
  describedBy?: string | undefined
  value: T | null
  options: readonly { value: T; label: ReactNode; look?: string }[]
  disabled?: boolean
  /** Of all of them together, and of each. */
  className: string
  look: string
  onChoose: (value: T) => void
}

/** Answers of which one stands. */
export function Radios<T extends string | number>({
  about,
  describedBy,
  value,
  options,
  disabled = false,
  className,
  look,
  onChoose,
}: RadiosProps<T>) {
  const group = useId()
  return (
    <div
      role="radiogroup"
      aria-label={'name' in about ? about.name : undefined}
      aria-labelledby={'labelledBy' in about ? about.labelledBy : undefined}
      aria-describedby={describedBy}
      className={className}
    >
      {options.map((option) => (
        <label
          key={option.value}
          className={`relative grid place-items-center ${look} ${option.look ?? ''} ${disabled ? '' : 'cursor-pointer'}`}
        >
          <input
            type="radio"
            name={group}
            className="absolute inset-0 cursor-[inherit] appearance-none rounded-[inherit]"
            checked={value === option.value}
            disabled={disabled}
            onChange={() => {
              onChoose(option.value)
            }}
          />
          <span>{option.label}</span>
        </label>
      ))}
    </div>
  )
}

/** Printed like labels on tins. */
export const AS_TINS =
  'tin min-h-12 px-4 font-semibold text-enamel [--tin-fill:var(--raised)] has-checked:bg-enamel has-checked:text-on-enamel has-checked:[--tin-fill:var(--enamel)]'
