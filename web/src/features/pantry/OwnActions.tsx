import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Label, type PantryItem } from '../../api/client'
import { ownIngredientsQuery } from '../../api/queries'
import { LabelForm } from './LabelForm'

/** Change or remove an ingredient of one's own; make an own copy of a shipped one. */
export function OwnActions({ item }: { item: PantryItem }) {
  const own = useQuery(ownIngredientsQuery)
  const queries = useQueryClient()
  const [start, setStart] = useState<Label>()
  const { attempt, trouble } = useAttempt()
  const kept = own.data?.find((one) => `own-${one.id}` === item.id)
  return (
    <div className="flex flex-wrap items-center gap-3 pt-2 wide:col-span-3">
      {kept ? (
        <>
          <button
            type="button"
            className="act"
            onClick={() => {
              setStart(kept.said)
            }}
          >
            Change its label
          </button>
          <button
            type="button"
            className="act"
            onClick={() =>
              void attempt(async () => {
                await api.removeLabel(kept.id)
                await askAnew(queries)
              })
            }
          >
            Remove it
          </button>
        </>
      ) : (
        <button
          type="button"
          className="act"
          onClick={() =>
            void attempt(async () => {
              setStart(await api.labelOf(item.id))
            })
          }
        >
          Make my own copy
        </button>
      )}
      {trouble !== '' && <p role="alert">{trouble}</p>}
      {start && (
        <LabelForm
          start={start}
          identity={kept?.id}
          onClose={() => {
            setStart(undefined)
          }}
        />
      )}
    </div>
  )
}
