import { Choice } from '../../components/Choice'
import { keep, kept } from '../../lib/device'
import { Pick } from '../../components/Pick'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { logbookQuery, scalesQuery, tablesQuery } from '../../api/queries'
import { SALTING_METHODS } from '../saltingMethods'
import { Beside } from './Beside'
import { Correction } from './Correction'
import { Entries } from './Entries'
import { Wall } from './Wall'

const MOST = 4
const WALL = 'vadouvan.logbook'

/** What was eaten: found again, side by side, and what was learned from it. */
export function LogbookPage() {
  const [asked, setAsked] = useState({
    search: '',
    cut: '',
    species: '',
    school: '',
    verdict: '',
    ingredient: '',
    page: 0,
  })
  const [chosen, setChosen] = useState<string[]>([])
  const [wall, setWall] = useState(() => kept(WALL) === 'wall')
  const found = useQuery(logbookQuery(asked))
  const tables = useQuery(tablesQuery)
  const scales = useQuery(scalesQuery)
  const ask = (part: Partial<typeof asked>) => {
    setAsked((was) => ({ ...was, page: 0, ...part }))
  }
  const species = [...new Set(tables.data?.cuts.map((cut) => cut.species))].sort()
  const cuts = (tables.data?.cuts ?? []).filter(
    (cut) => asked.species === '' || cut.species === asked.species,
  )
  const verdicts = Object.entries(scales.data ?? {}).flatMap(([aspect, words]) =>
    words.map((word) => `${aspect}: ${word}`),
  )
  return (
    <div className="grid gap-8 px-4 py-5 wide:grid-cols-[minmax(0,1fr)_24rem] wide:px-7">
      <section aria-labelledby="eaten" className="min-w-0">
        <h2 id="eaten" className="heading">
          what was eaten
        </h2>
        <div role="search" className="grid grid-cols-2 gap-x-4 py-1 wide:grid-cols-6">
          <Field name="Search">
            <input
              className="said"
              type="search"
              value={asked.search}
              onChange={(event) => {
                ask({ search: event.target.value })
              }}
            />
          </Field>
          <Field name="With">
            <input
              className="said"
              placeholder="miso"
              value={asked.ingredient}
              onChange={(event) => {
                ask({ ingredient: event.target.value })
              }}
            />
          </Field>
          <Pick
            question="Of"
            assumedValue=""
            value={asked.species}
            options={[ANYTHING, ...species.map((one) => ({ value: one, label: one }))]}
            onPick={(one) => {
              ask({ species: one, cut: '' })
            }}
          />
          <Pick
            question="Cut"
            assumedValue=""
            value={asked.cut}
            options={[ANYTHING, ...cuts.map((cut) => ({ value: cut.id, label: cut.name }))]}
            onPick={(cut) => {
              ask({ cut })
            }}
          />
          <Pick
            question="Salted"
            assumedValue=""
            value={asked.school}
            options={[ANYTHING, ...SALTING_METHODS.filter((one) => one.value !== '')]}
            onPick={(school) => {
              ask({ school })
            }}
          />
          <Pick
            question="Said"
            assumedValue=""
            value={asked.verdict}
            options={[ANYTHING, ...verdicts.map((one) => ({ value: one, label: one }))]}
            onPick={(verdict) => {
              ask({ verdict })
            }}
          />
        </div>
        <p role="status" className="text-quiet">
          {found.data ? `${found.data.count} found` : 'Looking'}
          {chosen.length === 1 && '; choose one to three more to see them side by side'}
        </p>
        {chosen.length > 1 && (
          <Beside
            ids={chosen}
            onClose={() => {
              setChosen([])
            }}
          />
        )}
        <Choice
          question="Shown as"
          value={wall ? 'wall' : 'list'}
          options={[
            { value: 'list', label: 'a list' },
            { value: 'wall', label: 'a wall of sections' },
          ]}
          onChoose={(value) => {
            keep(WALL, value)
            setWall(value === 'wall')
          }}
        />
        {wall ? (
          <Wall entries={found.data?.entries ?? []} />
        ) : (
          <Entries
            entries={found.data?.entries ?? []}
            chosen={chosen}
            onChoose={(id, on) => {
              setChosen((was) => (on ? [...was, id].slice(-MOST) : was.filter((one) => one !== id)))
            }}
          />
        )}
        {found.data && found.data.count > (asked.page + 1) * 50 && (
          <button
            type="button"
            className="act mt-2"
            onClick={() => {
              setAsked((was) => ({ ...was, page: was.page + 1 }))
            }}
          >
            Older ones
          </button>
        )}
      </section>
      <Correction />
    </div>
  )
}

const ANYTHING = { value: '', label: 'anything' }

function Field({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <label className="grid text-[0.92rem]">
      <span className="text-quiet">{name}</span>
      {children}
    </label>
  )
}
