import { useState } from 'react'
import { api, type PastedMix } from '../../api/client'
import { WhichMix } from '../../components/WhichMix'

/** A pasted ingredient list becomes the mix of a new batch; of two mixes in it one is chosen, or both. */
export function PasteList({ onPaste }: { onPaste: (lines: string[], name: string) => void }) {
  const [open, setOpen] = useState(false)
  const [text, setText] = useState('')
  const [mixes, setMixes] = useState<PastedMix[]>([])
  const [trouble, setTrouble] = useState('')
  const read = async () => {
    try {
      const found = await api.pasted(text)
      if (found.length > 1) setMixes(found)
      else
        onPaste(
          found.flatMap((mix) => mix.lines),
          found[0]?.title ?? '',
        )
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error))
    }
  }
  if (!open) {
    return (
      <button
        type="button"
        className="act"
        onClick={() => {
          setOpen(true)
        }}
      >
        Paste an ingredient list
      </button>
    )
  }
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim() !== '') void read()
      }}
    >
      <label htmlFor="pasted" className="text-quiet">
        One ingredient a line
      </label>
      <textarea
        id="pasted"
        rows={6}
        className="rounded-md border-2 border-enamel bg-raised p-3"
        placeholder={'200 g yoghurt\n2 tsp salt\n4 cloves garlic'}
        value={text}
        onChange={(event) => {
          setText(event.target.value)
        }}
      />
      {mixes.length > 1 ? (
        <WhichMix
          mixes={mixes}
          onTake={(lines, title) => {
            onPaste(lines, title)
          }}
        />
      ) : (
        <button type="submit" className="act">
          Start with this list
        </button>
      )}
      {trouble !== '' && <p role="alert">{trouble}</p>}
    </form>
  )
}
