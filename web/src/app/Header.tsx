import { navigate } from 'wouter/use-browser-location'
import { ViewLink } from '../components/ViewLink'
import { useKeys } from '../components/useKeys'
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
  useReminders()
  useKeys({
    b: () => {
      navigate('/')
    },
    p: () => {
      navigate('/pantry')
    },
    l: () => {
      navigate('/learn')
    },
    g: () => {
      navigate('/logbook')
    },
    s: () => {
      navigate('/settings')
    },
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
          <ViewLink
            key={view.to}
            to={view.to}
            above={view.to !== '/'}
            className="px-2 max-wide:min-h-11 max-wide:place-items-start max-wide:content-center max-wide:text-[1rem]"
          >
            {view.name}
          </ViewLink>
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
