import { useAttempt } from '../../api/useAttempt'
import { useState } from 'react'
import { api, type StoreCheck as Checked } from '../../api/client'

/** Read everything that is kept, and say whether all is well. */
export function StoreCheck() {
  const [checked, setChecked] = useState<Checked>()
  const { attempt, trouble } = useAttempt()
  const check = () =>
    attempt(async () => {
      setChecked(await api.checkStore())
    })
  return (
    <>
      <button type="button" className="act" onClick={() => void check()}>
        Check what is kept
      </button>
      {checked && (
        <div role="status" aria-label="Check">
          <p>{checked.says}</p>
          <ul>
            {checked.findings.map((finding) => (
              <li key={finding} className="text-stop">
                {finding}
              </li>
            ))}
          </ul>
        </div>
      )}
      {trouble !== '' && (
        <p role="alert" className="text-stop">
          {trouble}
        </p>
      )}
    </>
  )
}
