import type { Batch, SaltOffer } from '../../api/client'
import { unbroken } from '../../lib/unbroken'

/** Ways to bring the salt to where it is wanted, one press each. */
export function Offers({ batch, onTake }: { batch: Batch; onTake: (offer: SaltOffer) => void }) {
  const offers = batch.judgement.salt_offers
  if (offers.length === 0) return null
  return (
    <ul className="flex flex-wrap gap-2 border-b border-rule py-2" aria-label="Ways to the salt you aim for">
      {offers.map((offer) => (
        <li key={offer.says}>
          <button
            type="button"
            className="act"
            onClick={() => {
              onTake(offer)
            }}
          >
            {unbroken(offer.says)}
            {offer.also !== '' && <span className="font-normal text-quiet"> ({offer.also} g/kg)</span>}
          </button>
        </li>
      ))}
    </ul>
  )
}
