import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { pantryQuery } from '../../api/queries'
import { LabelForm, NO_LABEL } from './LabelForm'
import { PantryRow } from './PantryRow'

const FIRST_DRAWN = 30

/** Every ingredient, its make-up as a strip, and where the figures come from. */
export function PantryPage() {
  const [search, setSearch] = useState('')
  const [entering, setEntering] = useState(false)
  const items = useQuery(pantryQuery(useDeferredValue(search.trim())))
  // What a screen holds is drawn at once, the hundreds below it when the browser has time.
  const drawn = useDeferredValue(items.data)
  const rows = drawn === items.data ? drawn : items.data?.slice(0, FIRST_DRAWN)
  return (
    <div className="px-4 py-4 wide:px-7">
      <div className="flex flex-wrap items-end gap-x-6 border-b-4 border-double border-rule pb-2">
        <div className="grow">
          <label htmlFor="pantry-search" className="text-quiet">
            Look for
          </label>
          <input
            id="pantry-search"
            className="said"
            type="search"
            placeholder="vinegar, soy, something with mustard"
            autoComplete="off"
            value={search}
            onChange={(event) => {
              setSearch(event.target.value)
            }}
          />
        </div>
        <p className="text-quiet" role="status">
          {items.data ? `${items.data.length} ingredients` : ''}
        </p>
        <button
          type="button"
          className="act"
          onClick={() => {
            setEntering(true)
          }}
        >
          Enter from a label
        </button>
      </div>
      {entering && (
        <LabelForm
          start={NO_LABEL}
          onClose={() => {
            setEntering(false)
          }}
        />
      )}
      {items.isError && (
        <p role="alert" className="py-4 text-stop">
          The kitchen does not answer.
        </p>
      )}
      {items.data?.length === 0 && (
        <p className="py-4">Nothing has a name like “{search}”. Try a plainer word.</p>
      )}
      <ul>
        {(rows ?? []).map((item) => (
          <PantryRow key={item.id} item={item} />
        ))}
      </ul>
    </div>
  )
}
