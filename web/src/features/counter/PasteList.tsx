import { useState } from 'react'

/** A pasted ingredient list becomes the mix of a new batch. */
export function PasteList({ onPaste }: { onPaste: (text: string) => void }) {
  const [open, setOpen] = useState(false)
  const [text, setText] = useState('')
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
        if (text.trim() !== '') onPaste(text)
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
      <button type="submit" className="act">
        Start with this list
      </button>
    </form>
  )
}
