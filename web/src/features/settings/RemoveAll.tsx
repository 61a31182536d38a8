import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api } from '../../api/client'
import { Said } from '../../components/Said'
import { Sure } from '../../components/Sure'

const WORDS = 'remove everything'

/** Remove all that is the cook's, after it was said in words. */
export function RemoveAll() {
  const [asking, setAsking] = useState(false)
  const [said, setSaid] = useState('')
  const [says, setSays] = useState('')
  const { attempt, trouble, quiet } = useAttempt()
  const queries = useQueryClient()
  const remove = () =>
    attempt(async () => {
      setSays((await api.removeEverything(said.trim())).says)
      setAsking(false)
      await askAnew(queries)
    })
  return (
    <>
      <button
        type="button"
        className="act"
        onClick={() => {
          setSaid('')
          setSays('')
          quiet()
          setAsking(true)
        }}
      >
        Remove everything
      </button>
      {says !== '' && (
        <p role="status" className="break-words">
          {says}
        </p>
      )}
      {asking && (
        <Sure
          title="Remove everything?"
          yes="Remove it"
          no="Leave it"
          trouble={trouble}
          ready={said.trim().toLowerCase() === WORDS}
          onYes={() => void remove()}
          onNo={() => {
            setAsking(false)
          }}
        >
          <p>
            All batches, the logbook, your ingredients, cuts and settings. A backup is kept beside the kitchen
            first.
          </p>
          <Said question={`Write “${WORDS}”`} stack value={said} onType={setSaid} />
        </Sure>
      )}
    </>
  )
}
