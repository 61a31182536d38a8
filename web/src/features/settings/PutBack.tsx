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
  const [trouble, setTrouble] = useState('')
  const queries = useQueryClient()
  const put = async (chosen: File) => {
    try {
      setSays((await api.restore(chosen)).says)
      setFile(undefined)
      await askAnew(queries)
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error))
    }
  }
  return (
    <>
      <FileButton
        name="Backup of a kitchen"
        accept=".sqlite,application/vnd.sqlite3"
        onFile={(chosen) => {
          setSays('')
          setTrouble('')
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
