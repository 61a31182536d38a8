import { useAttempt } from '../api/useAttempt'
import { askAnew } from '../api/askAnew'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import { useQueryClient } from '@tanstack/react-query'
import { memo, useState } from 'react'
import { navigate } from 'wouter/use-browser-location'
import { fileAddress } from '../api/addresses'
import { api } from '../api/client'
import { Sure } from '../components/Sure'
import { dropUnsaved } from '../lib/unsaved'

const WRITTEN = [
  { kind: 'file', words: 'Write to a file' },
  { kind: 'card.pdf', words: 'A card for paper (PDF)' },
  { kind: 'card', words: 'A card as text (Markdown)' },
  { kind: 'recipe', words: 'A recipe for other programs (JSON-LD)' },
] as const

/** Write the batch to a file, or throw it away. */
export const BatchActions = memo(function BatchActions({
  identity,
  name,
}: {
  identity: string
  name: string
}) {
  const [asking, setAsking] = useState(false)
  const { attempt, trouble: refused } = useAttempt()
  const queries = useQueryClient()
  const remove = () =>
    attempt(async () => {
      await api.remove(identity)
      dropUnsaved(identity)
      await askAnew(queries, 'batches')
      navigate('/')
    })
  return (
    <div className="grid">
      <Menu>
        <MenuButton className="opens min-h-12 cursor-pointer self-center rounded-md px-3 wide:max-wider:min-h-8 underline underline-offset-4">
          More
        </MenuButton>
        <MenuItems
          portal
          className="beside beside-end z-20 grid rounded-md border-2 border-enamel bg-raised text-ink"
        >
          {WRITTEN.map(({ kind, words }) => (
            <MenuItem key={kind}>
              <a
                className="px-5 py-3 data-focus:bg-enamel data-focus:text-on-enamel"
                href={fileAddress(identity, kind)}
                download
              >
                {words}
              </a>
            </MenuItem>
          ))}
          <MenuItem>
            <button
              type="button"
              className="cursor-pointer px-5 py-3 text-left data-focus:bg-enamel data-focus:text-on-enamel"
              onClick={() => {
                setAsking(true)
              }}
            >
              Throw away
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
      {asking && (
        <Sure
          title={`Throw away ${name || 'this batch'}?`}
          yes="Throw it away"
          no="Leave it"
          trouble={refused}
          onYes={() => void remove()}
          onNo={() => {
            setAsking(false)
          }}
        >
          It cannot be brought back from here. Write it to a file first if you may want it again.
        </Sure>
      )}
    </div>
  )
})
