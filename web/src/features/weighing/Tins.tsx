import type { EventInput, Weigh, WeighLine } from '../../api/client'
import { onScale, warmthTold, weightTold } from '../../lib/told'

const MARKS: Record<string, string> = {
  within: '✓',
  over: '▲',
  short: '▽',
  skipped: '…',
  'left out': '–',
  open: '',
}
const WORDS: Record<string, string> = {
  within: 'in',
  over: 'too much',
  short: 'too little so far',
  skipped: 'skipped: still to weigh',
  'left out': 'left out',
  open: 'to weigh',
}

interface TinsProps {
  weigh: Weigh
  busy: boolean
  press: (press: EventInput) => Promise<boolean>
}

/** Every ingredient as a small tin: what is in, what was skipped, what is still to come. */
export function Tins({ weigh, busy, press }: TinsProps) {
  if (weigh.contact_at !== null) return <Kept weigh={weigh} />
  return (
    <aside aria-label="All ingredients">
      <p className="text-lg">
        <b>{weightTold(weigh.total_g)}</b> <span className="text-quiet">in the bowl</span>
        {weigh.salt_says !== '' && <span className="block text-quiet">{weigh.salt_says}</span>}
      </p>
      <ul className="grid gap-2 pt-2">
        {weigh.lines.map((line) => (
          <Tin key={line.id} line={line} busy={busy} press={press} current={line.id === weigh.current} />
        ))}
        {weigh.added.map((added) => (
          <li key={added.at} className="tin px-3 py-1.5 [--tin-fill:var(--raised)]">
            <b>+ {added.words}</b> <span className="text-quiet">{weightTold(added.mass_g)}, added</span>
          </li>
        ))}
      </ul>
    </aside>
  )
}

interface TinProps {
  line: WeighLine
  busy: boolean
  press: (press: EventInput) => Promise<boolean>
  current: boolean
}

function Tin({ line, busy, press, current }: TinProps) {
  const inIt = line.tares_g.length > 0
  return (
    <li
      className={`tin flex items-center gap-2 px-3 py-1.5 [--tin-fill:var(--raised)] ${current ? 'outline-2 outline-enamel' : ''}`}
    >
      <span aria-hidden className="w-5 text-center font-bold">
        {MARKS[line.state]}
      </span>
      <span className="min-w-0 grow">
        <span className="block truncate font-semibold">{line.name}</span>
        <span className="block text-[0.9rem] text-quiet">
          {WORDS[line.state]}
          {inIt
            ? `: ${onScale(line.weighed_g, line.target_g).number} of ${weightTold(line.target_g)}${line.by_spoon ? ', by the spoon' : ''}`
            : `, ${weightTold(line.target_g)}`}
        </span>
      </span>
      {(inIt || line.state === 'left out') && (
        <button
          type="button"
          className="min-h-12 cursor-pointer px-1 underline underline-offset-4"
          aria-label={`Take ${line.name} back`}
          disabled={busy}
          onClick={() => void press({ kind: 'taken_back', line_id: line.id })}
        >
          back
        </button>
      )}
    </li>
  )
}

/** What went in, once it has. */
function Kept({ weigh }: { weigh: Weigh }) {
  return (
    <aside aria-label="What went in">
      <h2 className="heading">as it went in</h2>
      <dl className="grid grid-cols-[7rem_minmax(0,1fr)] gap-x-3 pt-2">
        <Fact name="mix" says={weightTold(weigh.total_g)} />
        <Fact name="kept clean" says={weigh.set_aside_g ? weightTold(weigh.set_aside_g) : 'nothing'} />
        {weigh.meat_g !== null && <Fact name="meat" says={weightTold(weigh.meat_g)} />}
        {weigh.meat_c !== null && <Fact name="it was at" says={warmthTold(weigh.meat_c)} />}
        {weigh.verdict !== null && weigh.verdict !== '' && <Fact name="tasted" says={weigh.verdict} />}
      </dl>
    </aside>
  )
}

function Fact({ name, says }: { name: string; says: string }) {
  return (
    <>
      <dt className="text-quiet">{name}</dt>
      <dd className="font-semibold">{says}</dd>
    </>
  )
}
