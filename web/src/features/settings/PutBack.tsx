import { useAttempt } from '../../api/useAttempt'
import { askAnew } from '../../api/askAnew'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api } from '../../api/client'
import { FileButton } from '../../components/FileButton'
import { Sure } from '../../components/Sure'

/** Put a backup in the place of the kitchen, after asking. */
export function PutBack() {
  const [file, setFile] = useState<File>()
  const [says, setSays] = useState('')
  const { attempt, trouble, quiet } = useAttempt()
  const queries = useQueryClient()
  const put = (chosen: File) =>
    attempt(async () => {
      setSays((await api.restore(chosen)).says)
      setFile(undefined)
      await askAnew(queries)
    })
  return (
    <>
      <FileButton
        name="Backup of a kitchen"
        accept=".sqlite,application/vnd.sqlite3"
        onFile={(chosen) => {
          setSays('')
          quiet()
          setFile(chosen)
        }}
      >
        Put a backup back
      </FileButton>
      {says !== '' && (
        <p role="status" className="break-words">
          {says}
        </p>
      )}
      {file && (
        <Sure
          title={`Put ${file.name} back?`}
          yes="Put it back"
          no="Leave it"
          trouble={trouble}
          onYes={() => void put(file)}
          onNo={() => {
            setFile(undefined)
          }}
        >
          It takes the place of everything here. The kitchen as it is now is kept as a backup beside it first.
        </Sure>
      )}
    </>
  )
}
