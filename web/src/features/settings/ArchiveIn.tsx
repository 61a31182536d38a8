import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Merge } from '../../api/client'
import { LongWork } from './LongWork'
import { FileButton } from '../../components/FileButton'
import { Tick } from '../../components/Tick'

interface Looked {
  file: File
  withSettings: boolean
  merge: Merge
}

/** Take an archive in: first what it would do, then the doing. */
export function ArchiveIn() {
  const [looked, setLooked] = useState<Looked>()
  const [done, setDone] = useState('')
  const { attempt, trouble, busy } = useAttempt()
  const queries = useQueryClient()
  const look = (file: File, withSettings: boolean) =>
    attempt(async () => {
      setDone('')
      setLooked({ file, withSettings, merge: await api.previewArchive(file, withSettings) })
    })
  const take = ({ file, withSettings }: Looked) =>
    attempt(async () => {
      const merge = await api.takeArchiveIn(file, withSettings)
      setLooked(undefined)
      setDone(merge.says)
      await askAnew(queries)
    })
  return (
    <div className="grid gap-3">
      <FileButton
        name="Archive of a kitchen"
        accept=".zip,application/zip"
        onFile={(file) => {
          setLooked(undefined)
          void look(file, false)
        }}
      >
        Take an archive in
      </FileButton>
      {busy && <LongWork />}
      {looked && !busy && (
        <Preview
          looked={looked}
          onSettings={(wanted) => void look(looked.file, wanted)}
          onTake={() => void take(looked)}
          onLeave={() => {
            setLooked(undefined)
          }}
        />
      )}
      {done !== '' && <p role="status">{done}</p>}
      {trouble !== '' && (
        <p role="alert" className="rounded-md border-2 border-stop p-3">
          {trouble}
        </p>
      )}
    </div>
  )
}

interface PreviewProps {
  looked: Looked
  onSettings: (wanted: boolean) => void
  onTake: () => void
  onLeave: () => void
}

function Preview({ looked, onSettings, onTake, onLeave }: PreviewProps) {
  const { merge, withSettings, file } = looked
  const differ = (merge.counts['kept'] ?? 0) + (merge.counts['replaced'] ?? 0) > 0
  return (
    <div
      role="region"
      aria-label="What it would do"
      className="grid gap-2 rounded-md border-2 border-enamel p-3"
    >
      <p className="text-[1.1rem] font-semibold">
        {file.name}: {merge.says}
      </p>
      {merge.notes.map((note) => (
        <p key={note}>{note}</p>
      ))}
      <details>
        <summary className="min-h-12 cursor-pointer content-center">Each thing in it</summary>
        <ul>
          {merge.told.map((one, index) => (
            <li key={index} className="border-b border-rule py-1">
              <b>{one.name}</b> {one.says}.
            </li>
          ))}
        </ul>
      </details>
      {differ && (
        <Tick ticked={withSettings} onTick={onSettings}>
          Take its settings over as well
        </Tick>
      )}
      <div className="flex flex-wrap gap-3">
        <button type="button" className="act act-first" onClick={onTake}>
          Take it in
        </button>
        <button type="button" className="act" onClick={onLeave}>
          Leave it
        </button>
      </div>
    </div>
  )
}
