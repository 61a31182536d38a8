import type { ReactNode } from 'react'
import { useParams } from 'wouter'
import { ViewLink } from '../../components/ViewLink'
import { Bench } from './Bench'
import { Data } from './Data'
import { HouseholdForm } from './HouseholdForm'
import { Reminders } from './Reminders'
import { SharedForm } from './SharedForm'
import { ThisDevice } from './ThisDevice'
import { WeekForm } from './WeekForm'

const PARTS: { to: string; name: string; part: string; page: ReactNode }[] = [
  {
    to: '/settings',
    name: 'Hours and room',
    part: '',
    page: (
      <Two>
        <WeekForm />
        <SharedForm />
      </Two>
    ),
  },
  { to: '/settings/household', name: 'Household', part: 'household', page: <HouseholdForm /> },
  { to: '/settings/data', name: 'Your data', part: 'data', page: <Data /> },
  {
    to: '/settings/device',
    name: 'This device',
    part: 'device',
    page: (
      <Two>
        <div className="grid content-start gap-8">
          <ThisDevice />
          <Reminders />
        </div>
        <Bench />
      </Two>
    ),
  },
]

/** What is set once for all batches, in four parts. */
export function SettingsPage() {
  const { part = '' } = useParams<{ part?: string }>()
  const shown = PARTS.find((one) => one.part === part) ?? PARTS[0]
  return (
    <div className="px-4 py-3 wide:px-7">
      <nav aria-label="Parts of Settings" className="flex flex-wrap gap-x-6">
        {PARTS.map((one) => (
          <ViewLink key={one.to} to={one.to}>
            {one.name}
          </ViewLink>
        ))}
      </nav>
      <div className="pt-3">{shown?.page}</div>
    </div>
  )
}

function Two({ children }: { children: ReactNode }) {
  return (
    <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,46rem)_minmax(0,26rem)]">{children}</div>
  )
}
