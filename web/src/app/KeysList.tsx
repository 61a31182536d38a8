import { Dialog } from '../components/Dialog'

const KEYS = [
  ['c', 'Cut'],
  ['x', 'Mix'],
  ['h', 'Hold'],
  ['w', 'Weigh-in'],
  ['f', 'Fire'],
  ['t', 'Taste'],
  ['/', 'write an ingredient (in Mix)'],
  ['u', 'undo the last change'],
  ['r', 'take it again'],
  ['p', 'the pantry'],
  ['g', 'the logbook (not in a batch)'],
  ['l', 'learn by guessing (not in a batch)'],
  ['s', 'settings (not in a batch)'],
  ['b', 'back to the counter'],
  ['n', 'start a batch (on the counter)'],
  ['j', 'to the next part of the page; J to the one before'],
  ['?', 'this list'],
] as const

/** All keys, in a dialog. */
export function KeysList({ onClose }: { onClose: () => void }) {
  return (
    <Dialog title="Keys" className="min-w-80" onClose={onClose}>
      <p className="text-quiet">
        They act while no field has the focus; turned off under Settings, this device.
      </p>
      <dl className="mt-3 grid grid-cols-[3rem_1fr] gap-y-2">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-bold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <button type="button" className="act mt-4" onClick={onClose}>
        Close
      </button>
    </Dialog>
  )
}
