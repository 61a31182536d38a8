import { useState } from 'react'
import { api, type Scaled } from '../../api/client'
import { useLists } from '../../api/queries'
import { CutPicker } from '../../components/CutPicker'
import { Said } from '../../components/Said'
import { BLANK, withTexts } from '../../lib/draft'
import { Proposal } from './Proposal'
import type { DrawerProps } from './drawer'
import { useAsking } from './useAsking'

/** The same batch for another cut: every amount goes with the meat; more of the mix only if it is asked for. */
export function Scale({ draft, change }: DrawerProps) {
  const lists = useLists()
  const [kind, setKind] = useState('')
  const [mass, setMass] = useState('')
  const [thickness, setThickness] = useState('')
  const { answer, trouble, faultAt, ask, forget } = useAsking<Scaled>()
  const fault = faultAt('cut.kind')
  const sameKind = kind === '' || kind === draft.cut.kind
  const cut = sameKind
    ? { ...draft.cut, mass: mass || draft.cut.mass, thickness: thickness || draft.cut.thickness, pieces: '' }
    : { ...BLANK.cut, kind, mass, thickness }
  const take = (lines: Scaled['lines']) => {
    const companions = answer?.companions ?? draft.companions
    change((was) => ({ ...was, cut, mix: withTexts(was.mix, lines), companions }))
    forget()
  }
  return (
    <section aria-labelledby="another-size" className="border-t border-rule pt-1">
      <h2 id="another-size" className="font-sans! text-[1.05rem] font-semibold">
        Another size
      </h2>
      <CutPicker
        question="Of what"
        stack
        options={lists?.cuts}
        value={kind || draft.cut.kind}
        fault={fault}
        onPick={(said) => {
          forget()
          setKind(said)
        }}
      />
      <div className="grid grid-cols-2 gap-x-4">
        <Said
          question="Weight"
          stack
          value={mass}
          placeholder={draft.cut.mass || '1.8 kg'}
          onType={setMass}
        />
        <Said
          question="Thickness, or edge of a cube"
          stack
          value={thickness}
          placeholder={draft.cut.thickness || '30 mm'}
          onType={setThickness}
        />
      </div>
      <button type="button" className="act mt-1" onClick={() => void ask(api.scaled({ draft, cut }))}>
        Work out for this size
      </button>
      {trouble !== '' && !fault && (
        <p role="alert" className="mt-2 text-stop">
          {trouble}
        </p>
      )}
      {answer && (
        <Proposal
          lines={answer.lines}
          says={[{ words: answer.says, met: true }]}
          onTake={() => {
            take(answer.lines)
          }}
        />
      )}
      {answer && answer.more.length > 0 && (
        <ul aria-label="More of the mix" className="mt-2 space-y-2">
          {answer.more.map((way) => (
            <li key={way.id}>
              <button
                type="button"
                className="act text-left!"
                onClick={() => {
                  take(way.lines)
                }}
              >
                {way.says}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
