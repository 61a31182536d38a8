import { substances, type Substance } from '../lib/substances'

/** A field filled with a substance's colour and texture; fills its parent. */
export function Texture({ substance, plain = false }: { substance: Substance; plain?: boolean }) {
  return (
    <svg className="block size-full" aria-hidden preserveAspectRatio="none">
      <rect width="100%" height="100%" style={{ fill: `var(--${substance})` }} />
      {!plain && <rect width="100%" height="100%" fill={`url(#texture-${substance})`} />}
    </svg>
  )
}

const marks: Record<Substance, { size: [number, number]; mark: React.ReactNode }> = {
  salt: { size: [6, 6], mark: <circle cx="3" cy="3" r="1.1" fill="var(--raised)" /> },
  sugar: {
    size: [12, 10],
    mark: <path d="M0 5H12M0 10H12M3 0V5M9 5V10" stroke="var(--raised)" strokeWidth="1" />,
  },
  acid: {
    size: [7, 7],
    mark: <path d="M-1 8L8 -1M-4 4L4 -4M3 11L11 3" stroke="var(--raised)" strokeWidth="1.1" />,
  },
  enzyme: {
    size: [12, 7],
    mark: <path d="M0 3.5Q3 0 6 3.5T12 3.5" stroke="var(--raised)" fill="none" strokeWidth="1.2" />,
  },
  fat: { size: [8, 8], mark: <path d="M4 0V8" stroke="var(--raised)" strokeWidth="1.6" /> },
  aroma: {
    size: [10, 10],
    mark: (
      <g fill="var(--raised)">
        <ellipse cx="2.6" cy="3" rx="1" ry="1.9" transform="rotate(35 2.6 3)" />
        <ellipse cx="7.5" cy="7.4" rx="1" ry="1.9" transform="rotate(-25 7.5 7.4)" />
      </g>
    ),
  },
}

/** The patterns that all textures refer to; drawn once a page. */
export function TextureDefinitions() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden>
      <defs>
        {(Object.keys(substances) as Substance[]).map((substance) => {
          const { size, mark } = marks[substance]
          return (
            <pattern
              key={substance}
              id={`texture-${substance}`}
              width={size[0]}
              height={size[1]}
              patternUnits="userSpaceOnUse"
              opacity={0.7}
            >
              {mark}
            </pattern>
          )
        })}
        <pattern id="night" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--rule)" opacity="0.45" />
          <path d="M-2 10L10 -2" stroke="var(--quiet)" strokeWidth="0.6" opacity="0.6" />
        </pattern>
        <pattern id="bone" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="var(--bone)" />
          <circle cx="2" cy="2" r="0.8" fill="var(--quiet)" opacity="0.5" />
          <circle cx="5.4" cy="5" r="0.6" fill="var(--quiet)" opacity="0.5" />
        </pattern>
      </defs>
    </svg>
  )
}
