import { useAttempt } from '../../api/useAttempt'
import { useState } from 'react'
import { api, type Pasted } from '../../api/client'
import { useHeldField } from '../../components/useHeld'
import { WhichMix } from '../../components/WhichMix'

/** The chosen mix as a text of its own, under the name of the dish, with what stands beside it and what is left out. */
function chosen(found: Pasted, lines: string[], title: string): string {
  const beside = found.companions.map((one) => [`${one.title}:`, ...one.lines].join('\n'))
  const name = found.name || title
  const own = [...found.meat, ...lines, ...found.left_out]
  return [name === '' ? '' : `${name}\n`, ...own, '', ...beside].join('\n')
}

/** A pasted recipe becomes a new batch, with its cut and what stands beside the mix; of two mixes one is chosen. */
export function PasteList({ onPaste }: { onPaste: (text: string) => Promise<boolean> }) {
  const { text, set: setText, taken } = useHeldField('pasted')
  const [open, setOpen] = useState(text !== '')
  const [pasted, setPasted] = useState<Pasted>()
  const { attempt, trouble } = useAttempt()
  const start = async (list: string) => {
    if (await onPaste(list)) taken()
  }
  const read = () =>
    attempt(async () => {
      const found = await api.pasted(text)
      if (found.mixes.length > 1) setPasted(found)
      else await start(text)
    })
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
        One ingredient a line, or a recipe as it is
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
      {pasted ? (
        <WhichMix
          mixes={pasted.mixes}
          onTake={(lines, title) => {
            void start(chosen(pasted, lines, title))
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
