import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'wouter'
import { codePicture, labelPaper, todayPaper } from '../../api/addresses'
import { type Today } from '../../api/client'
import { todayQuery } from '../../api/queries'
import { StepWords } from '../../components/StepWords'
import { Choice } from '../../components/Choice'

const SPANS = [
  { value: '24', label: 'the next 24 hours' },
  { value: '168', label: 'the next seven days' },
]

/** What to do, batch by batch in the order of the clock, and a label for each bag: on the screen and on paper. */
export function TodayPage() {
  const [hours, setHours] = useState('24')
  const found = useQuery(todayQuery(Number(hours)))
  if (found.isError)
    return (
      <p className="p-8 text-stop" role="alert">
        The kitchen does not answer. Start it again with make run; nothing is lost.
      </p>
    )
  return (
    <div className="grid gap-8 px-4 py-5 wide:grid-cols-[minmax(0,1fr)_22rem] wide:px-7 print:block print:p-0">
      <section aria-labelledby="to-do" className="min-w-0">
        <h2 id="to-do" className="heading">
          what to do, and when
        </h2>
        <div className="print:hidden">
          <Choice question="Steps of" options={SPANS} value={hours} onChoose={setHours} />
        </div>
        {found.data?.steps.length === 0 && <p className="py-3">Nothing to do in this time.</p>}
        <Days steps={found.data?.steps ?? []} />
      </section>
      <section aria-labelledby="labels" className="break-before-page">
        <h2 id="labels" className="heading">
          on the bags
        </h2>
        <button
          type="button"
          className="act act-first my-3 print:hidden"
          onClick={() => {
            window.print()
          }}
        >
          Print list and labels
        </button>
        <a
          className="act my-3 ml-3 inline-grid place-items-center print:hidden"
          href={todayPaper(Number(hours))}
        >
          As PDF
        </a>
        <ul className="grid gap-4">
          {found.data?.labels.map((label) => (
            <BagLabel key={label.batch_id} label={label} />
          ))}
        </ul>
      </section>
    </div>
  )
}

function Days({ steps }: { steps: Today['steps'] }) {
  const days = [...new Set(steps.map((step) => step.day))]
  return days.map((day) => (
    <section key={day} aria-label={day} className="pt-3">
      <h3 className="font-slab text-[1.35rem]">{day}</h3>
      <ol>
        {steps
          .filter((step) => step.day === day)
          .map((step) => (
            <li
              key={`${step.batch_id} ${step.step_id}`}
              className={`grid break-inside-avoid grid-cols-[auto_minmax(0,1fr)] gap-x-3 border-b border-rule py-1 ${step.hands_on ? '' : 'text-quiet'}`}
            >
              <b className="min-w-[4.5rem] whitespace-nowrap">{step.hour}</b>
              <span>
                <Link to={`/batch/${step.batch_id}/hold`} className="font-slab">
                  {step.batch}:
                </Link>{' '}
                <StepWords says={step.says} minutes={step.minutes} hands={step.hands_on} />
                {step.beside.length > 0 && (
                  <span className="block text-warn">
                    <span aria-hidden>▲ </span>
                    Your hands are wanted then for {step.beside.join(' and ')} too: begin one of them earlier.
                  </span>
                )}
              </span>
            </li>
          ))}
      </ol>
    </section>
  ))
}

function BagLabel({ label }: { label: Today['labels'][number] }) {
  return (
    <li className="break-inside-avoid rounded-md border-2 border-ink p-3">
      <img
        src={codePicture(label.batch_id)}
        alt={`Code that opens ${label.batch}`}
        className="float-right ml-3 size-20 bg-white"
      />
      <p className="font-slab text-[1.35rem] leading-tight">{label.batch}</p>
      <p>{label.meat_told}</p>
      <dl className="clear-right grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-3 pt-1">
        <Row name="in" says={label.went_in} />
        {label.turns !== '' && <Row name="turn" says={label.turns} />}
        <Row name="out" says={`${label.comes_out}, not after ${label.not_after}`} />
        <Row name="table" says={label.table} />
        {label.contains !== '' && <Row name="contains" says={label.contains} />}
        {label.check_label !== '' && (
          <Row name="may contain" says={`${label.check_label}: read the packets`} />
        )}
      </dl>
      <p className="pt-1 text-[0.9rem]">
        Keep cold, at the bottom of the fridge. The used mix is not a sauce.{' '}
        <a className="hit underline print:hidden" href={labelPaper(label.batch_id)}>
          This label as PDF
        </a>
      </p>
    </li>
  )
}

function Row({ name, says }: { name: string; says: string }) {
  return (
    <>
      <dt className="text-quiet">{name}</dt>
      <dd className="font-semibold">{says}</dd>
    </>
  )
}
