import { NavLink, useNavigate } from 'react-router'
import { useKeys } from './keys'
import { useReminders } from './useReminders'
import { useTheme } from './useTheme'

const VIEWS = [
  { to: '/', name: 'Counter' },
  { to: '/logbook', name: 'Logbook' },
  { to: '/pantry', name: 'Pantry' },
  { to: '/learn', name: 'Learn' },
  { to: '/cautions', name: 'Cautions' },
  { to: '/settings', name: 'Settings' },
]

/** The enamel strip of the views that are not a batch. */
export function Header({ title, note }: { title: string; note?: string | undefined }) {
  const { theme, turn } = useTheme()
  const go = useNavigate()
  useReminders()
  useKeys({
    b: () => void go('/'),
    p: () => void go('/pantry'),
    l: () => void go('/learn'),
    g: () => void go('/logbook'),
    s: () => void go('/settings'),
  })
  return (
    <header className="flex flex-wrap items-center gap-x-5 bg-band px-4 py-1 wide:py-2 text-on-band print:hidden wide:px-7">
      <title>{`${title} · Vadouvan`}</title>
      <p className="hidden font-slab text-xl wide:block">Vadouvan</p>
      <h1 className="border-on-band/30 text-[1.35rem] wide:border-l wide:pl-4">{title}</h1>
      {note !== undefined && <p className="text-[1.1rem] font-semibold">{note}</p>}
      <nav
        aria-label="Views"
        className="flex max-wide:order-last max-wide:basis-full max-wide:grid max-wide:grid-cols-3 wide:ml-auto wide:gap-1"
      >
        {VIEWS.map((view) => (
          <NavLink
            key={view.to}
            to={view.to}
            end={view.to === '/'}
            className="grid min-h-12 place-items-center px-2 max-wide:min-h-11 max-wide:place-items-start max-wide:content-center max-wide:text-[1rem] aria-[current=page]:font-bold aria-[current=page]:underline aria-[current=page]:decoration-2 aria-[current=page]:underline-offset-8"
          >
            {view.name}
          </NavLink>
        ))}
      </nav>
      <button
        type="button"
        className="min-h-12 cursor-pointer px-1 underline underline-offset-4 max-wide:ml-auto"
        onClick={turn}
      >
        {theme === 'evening' ? 'Daylight' : 'Evening light'}
      </button>
    </header>
  )
}
