import { TabGroup, TabPanel, TabPanels } from '@headlessui/react'
import type { Batch, Draft } from '../../api/client'
import { DrawerTabs } from '../../components/DrawerTabs'
import { told } from '../../lib/clock'
import { Around } from './Around'
import { Done } from './Done'
import { OwnSteps } from './OwnSteps'
import { Probe } from './Probe'
import { Sauce } from './Sauce'
import { Stages } from './Stages'
import { Told } from './Told'

export interface FireProps {
  batch: Batch
  draft: Draft
  change: (typed: (draft: Draft) => Draft) => void
}

const DRAWERS = ['Done', 'Beside it', 'Used mix'] as const
const SCROLLS =
  'wide:max-h-[calc(100dvh-16.5rem)] short:max-h-[calc(100dvh-13.4rem)] wide:overflow-y-auto wide:pr-2'

/** Fire: how it is cooked stage by stage, on which clock; when it is done, what is beside it, and the used mix. */
export function FireStage({ batch, draft, change }: FireProps) {
  const { fire, plan } = batch.judgement
  const zone = draft.meal.time_zone || undefined
  const onTheClock = plan?.steps.filter((step) => fire.on_the_clock.includes(step.id)) ?? []
  const shared = { batch, draft, change }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 wide:grid-cols-[minmax(0,1fr)_27rem]">
      <div className={`grid min-w-0 content-start gap-3 ${SCROLLS}`}>
        <Stages {...shared} />
        {onTheClock.length > 0 && (
          <ol aria-label="On the clock" className="grid border-t border-rule pt-2">
            {onTheClock.map((step) => (
              <li key={step.id} className="grid grid-cols-[7rem_1fr] gap-x-3">
                <b>{told(new Date(step.at), zone)}</b>
                <span>{step.says}</span>
              </li>
            ))}
          </ol>
        )}
        {fire.last_brush_says !== '' && <p className="font-semibold">{fire.last_brush_says}</p>}
        <Told told={fire.told} />
      </div>
      <TabGroup>
        <div className="min-w-0">
          <DrawerTabs names={DRAWERS} />
          <TabPanels className={`pt-3 ${SCROLLS}`}>
            <TabPanel className="grid content-start gap-5">
              <Done {...shared} />
              <Around {...shared} />
              <Probe batch={batch} />
            </TabPanel>
            <TabPanel>
              <OwnSteps {...shared} />
            </TabPanel>
            <TabPanel>
              <Sauce {...shared} />
            </TabPanel>
          </TabPanels>
        </div>
      </TabGroup>
    </div>
  )
}
