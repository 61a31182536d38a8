import { substances, type Substance } from '../lib/substances'
import { Texture } from './Texture'

/** The letter of a substance on its colour. */
export function Badge({ substance }: { substance: Substance }) {
  return (
    <span
      className="relative inline-grid size-7 shrink-0 place-items-center overflow-hidden rounded-[4px] forced-color-adjust-none"
      aria-hidden
    >
      <Texture substance={substance} plain />
      <span className="absolute text-[0.95rem] font-bold text-raised">{substances[substance].letter}</span>
    </span>
  )
}
