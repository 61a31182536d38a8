import { toldOf } from '../../api/answered'
import { askAnew } from '../../api/askAnew'
import { Dialog } from '../../components/Dialog'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Batch } from '../../api/client'

/** Keep the described cut under a name, to be chosen again. */
export function KeepCut({ batch }: { batch: Batch }) {
  const [asking, setAsking] = useState(false)
  const [name, setName] = useState('')
  const [answer, setAnswer] = useState('')
  const queries = useQueryClient()
  const keep = async () => {
    try {
      const kept = await api.keepCut(batch.id, name)
      await askAnew(queries, 'tables')
      setAnswer(`Kept as ${kept.name}.`)
      setAsking(false)
    } catch (error) {
      setAnswer(toldOf(error))
    }
  }
  return (
    <>
      <span role="status" className="text-[0.9rem] text-quiet">
        {asking ? '' : answer}
      </span>
      <button
        type="button"
        className="min-h-12 cursor-pointer text-enamel underline underline-offset-4"
        onClick={() => {
          setAnswer('')
          setAsking(true)
        }}
      >
        Keep as my own cut
      </button>
      {asking && (
        <Dialog
          title="Keep as my own cut"
          className="w-96 max-w-full"
          onClose={() => {
            setAsking(false)
          }}
        >
          <form
            onSubmit={(event) => {
              event.preventDefault()
              void keep()
            }}
          >
            <label className="mt-2 block text-quiet" htmlFor="own-name">
              Its name
            </label>
            <input
              id="own-name"
              className="said"
              value={name}
              autoComplete="off"
              onChange={(event) => {
                setName(event.target.value)
              }}
            />
            {answer !== '' && (
              <p role="alert" className="mt-2 text-stop">
                {answer}
              </p>
            )}
            <div className="mt-4 flex gap-3">
              <button type="submit" className="act act-first">
                Keep this cut
              </button>
              <button
                type="button"
                className="act"
                onClick={() => {
                  setAsking(false)
                }}
              >
                Not now
              </button>
            </div>
          </form>
        </Dialog>
      )}
    </>
  )
}
