import { useQuery } from '@tanstack/react-query'
import type { Batch, SaltOffer } from '../../api/client'
import { saltOffersQuery } from '../../api/queries'
import { unbroken } from '../../lib/unbroken'

/** Ways to bring the salt to where it is wanted, one press each; those to a mix of before cannot be pressed. */
export function Offers({ batch, onTake }: { batch: Batch; onTake: (offer: SaltOffer) => void }) {
  const isOff = !batch.judgement.salt_on_target
  const { data: offers = [], isPlaceholderData: isOld } = useQuery({
    ...saltOffersQuery(batch.id, batch.revision),
    enabled: isOff,
  })
  if (!isOff || offers.length === 0) return null
  return (
    <ul className="flex flex-wrap gap-2 border-b border-rule py-2" aria-label="Ways to the salt you aim for">
      {offers.map((offer) => (
        <li key={offer.says}>
          <button
            type="button"
            className="act"
            aria-disabled={isOld}
            onClick={() => {
              if (isOld) return
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
