import { useState } from 'react'
import { Sure } from '../../components/Sure'

/** Asked first, since a photograph that is removed is nowhere else here. */
export function RemovePhotograph({ onRemove }: { onRemove: () => void }) {
  const [asking, setAsking] = useState(false)
  return (
    <>
      <button
        type="button"
        className="act"
        onClick={() => {
          setAsking(true)
        }}
      >
        Remove the photograph
      </button>
      {asking && (
        <Sure
          title="Remove the photograph?"
          yes="Remove it"
          no="Leave it"
          onYes={() => {
            setAsking(false)
            onRemove()
          }}
          onNo={() => {
            setAsking(false)
          }}
        >
          It is kept nowhere else here. What was said of its depth stays.
        </Sure>
      )}
    </>
  )
}
