import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import type { Line, Mark } from '../../lib/draft'

interface LineMenuProps {
  line: Line
  onMark: (mark: Mark) => void
  onSwap: () => void
  onRemove: () => void
}

const row =
  'flex min-h-12 w-full cursor-pointer items-center gap-3 px-4 text-left data-focus:bg-enamel data-focus:text-on-enamel'

/** What can be done with a line besides changing its amount. */
export function LineMenu({ line, onMark, onSwap, onRemove }: LineMenuProps) {
  return (
    <Menu>
      <MenuButton
        className="opens grid size-12 cursor-pointer place-items-center rounded-md text-xl text-quiet hover:text-ink"
        aria-label={`What to do with ${line.text}`}
      >
        ⋯
      </MenuButton>
      <MenuItems portal className="beside beside-end z-20 w-72 rounded-md border-2 border-enamel bg-raised">
        <MenuItem>
          <button type="button" className={row} onClick={onSwap}>
            Swap for something else
          </button>
        </MenuItem>
        <Ticked line={line} mark="lifted" words="Goes in whole, fished out" onMark={onMark} />
        <Ticked line={line} mark="first" words="First step, before the rest" onMark={onMark} />
        <MenuItem>
          <button type="button" className={`${row} text-stop`} onClick={onRemove}>
            Take out {line.text}
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  )
}

interface TickedProps {
  line: Line
  mark: Mark
  words: string
  onMark: (mark: Mark) => void
}

function Ticked({ line, mark, words, onMark }: TickedProps) {
  const on = line[mark] === 'yes'
  return (
    <MenuItem>
      <button
        type="button"
        className={row}
        aria-label={on ? `${words} (yes; press to undo)` : words}
        onClick={() => {
          onMark(mark)
        }}
      >
        <span aria-hidden className="w-4 font-bold">
          {on ? '✓' : ''}
        </span>
        {words}
      </button>
    </MenuItem>
  )
}

/** Fixes an amount: the solver leaves it alone. */
export function LockButton({ line, onMark }: { line: Line; onMark: (mark: Mark) => void }) {
  const on = line.locked === 'yes'
  return (
    <button
      type="button"
      className={`grid size-12 cursor-pointer content-center justify-items-center rounded-md ${on ? 'text-enamel' : 'text-quiet hover:text-ink'}`}
      aria-pressed={on}
      aria-label={`Fix this amount: ${line.text}`}
      onClick={() => {
        onMark('locked')
      }}
    >
      <svg viewBox="0 0 20 20" className="size-5" aria-hidden>
        <path
          d={on ? 'M4 10h12M10 3v14M4 6v8M16 6v8' : 'M10 3v14M6 6l4-3 4 3M6 14l4 3 4-3'}
          fill="none"
          stroke="currentColor"
          strokeWidth={on ? 2.4 : 1.8}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </svg>
      <span className="text-[0.72rem] leading-none">fix</span>
    </button>
  )
}
