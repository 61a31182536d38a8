import { TabGroup, TabPanel, TabPanels } from '@headlessui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Batch } from '../../api/client'
import { courseQuery } from '../../api/queries'
import { DrawerTabs } from '../../components/DrawerTabs'
import { ProfileCurve } from '../../components/ProfileCurve'
import { nearest } from '../../components/HourSlider'
import { Ribbon } from '../../components/Ribbon'
import { Section } from '../../components/Section'
import { profileAt } from '../../lib/depth'
import { Working } from '../../components/Working'
import { Answers, type AnswersProps } from './Answers'
import { Limits } from './Limits'
import { PlanSteps } from './PlanSteps'
import { Through } from './Through'
import { useBeside } from './useBeside'
import { Vessel } from './Vessel'
import { unbroken } from '../../lib/unbroken'

const DRAWERS = ['Answers', 'Limits', 'Plan', 'Vessel', 'Curve'] as const

/** Hold: the judgement in a sentence, the window, the cut through time, and what sets each limit. */
export function HoldStage({ batch, draft, change }: AnswersProps) {
  const { judgement } = batch
  const { window, piece } = judgement
  const course = useQuery(courseQuery(batch.id, batch.revision)).data
  const [asked, setAsked] = useState<number>()
  const hour = asked ?? window?.best.hours ?? 1
  const beside = useBeside(draft, hour)
  const other = beside.other?.judgement.course
  return (
    <div className="grid gap-2">
      <p className="font-slab text-[1.5rem] leading-tight" aria-live="polite">
        {unbroken(judgement.sentence)}
      </p>
      {judgement.plan_says !== '' && <p className="text-[1.1rem] font-semibold">{judgement.plan_says}</p>}
      {window && !window.closed && (
        <Ribbon
          earliest={window.earliest}
          best={window.best}
          latest={window.latest}
          opens={window.safe_earliest_hours}
          closes={window.safe_latest_hours}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 wide:grid-cols-[minmax(0,1fr)_26rem]">
        <div>
          {course && piece ? (
            <Through
              batch={batch}
              course={course}
              hour={hour}
              onHour={setAsked}
              choice={beside.choice}
              onChoose={beside.setChoice}
              trouble={beside.trouble}
              other={beside.other}
            >
              {beside.choice.change === 'nothing' && <Settled batch={batch} />}
            </Through>
          ) : piece ? (
            <Section piece={piece} room={{ width: 270, height: 110 }} />
          ) : (
            <p className="text-quiet">Nothing to draw yet.</p>
          )}
        </div>
        <TabGroup defaultIndex={draft.meal.at === '' ? 0 : 1}>
          <DrawerTabs names={DRAWERS} />
          <TabPanels className="pt-1 wide:max-h-[calc(100dvh-25.7rem)] wide:overflow-y-auto wide:pr-2">
            <TabPanel>
              <Answers batch={batch} draft={draft} change={change} />
            </TabPanel>
            <TabPanel>
              <Limits
                batch={batch}
                course={course ?? undefined}
                at={course ? nearest(course.hours, hour) : 0}
              />
            </TabPanel>
            <TabPanel>
              <PlanSteps batch={batch} draft={draft} change={change} />
            </TabPanel>
            <TabPanel>
              <Vessel batch={batch} draft={draft} change={change} />
            </TabPanel>
            <TabPanel>
              {course ? (
                <ProfileCurve
                  profile={profileAt(course, hour)}
                  beside={other ? profileAt(other, beside.other?.at_h ?? hour) : undefined}
                  tastedFrom={course.tasted_from_g_per_kg}
                />
              ) : (
                <p className="text-quiet">The curve is drawn once there is a window.</p>
              )}
            </TabPanel>
          </TabPanels>
        </TabGroup>
      </div>
    </div>
  )
}

/** Salt that is in by the pull as planned, or by the best hour, and what stays behind. */
function Settled({ batch }: { batch: Batch }) {
  const { figures, window } = batch.judgement
  const inMeat = figures['salt_in_meat_g_per_kg']
  const left = figures['salt_left_g']
  if (!inMeat || !left || !window) return null
  return (
    <p className="mt-1 border-t border-rule pt-1 text-[0.95rem] text-quiet">
      Pulled after {batch.judgement.held_told},{' '}
      <b className="text-ink">
        <Working name="Salt in the meat" figure={inMeat}>
          {inMeat.shown}
        </Working>
      </b>{' '}
      are in the meat,{' '}
      <b className="text-ink">
        <Working name="Salt left behind" figure={left}>
          {left.shown}
        </Working>
      </b>{' '}
      is still outside.
    </p>
  )
}
