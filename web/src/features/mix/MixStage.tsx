import { toldOf } from '../../api/answered'
import { TabGroup, TabPanel, TabPanels } from '@headlessui/react'
import { useCallback, useMemo, useState } from 'react'
import { api, type Draft } from '../../api/client'
import { AsWeighed } from '../../components/AsWeighed'
import { DrawerTabs } from '../../components/DrawerTabs'
import { Faulty } from '../../components/Said'
import { companionOf, type Line, withInstead, withLines, withTexts } from '../../lib/draft'
import { faultOf } from '../timelineRows'
import { Aims } from './Aims'
import { EntryLine } from './EntryLine'
import { LedgerLine, type LineDeeds } from './LedgerLine'
import { Making } from './Making'
import { Offers } from './Offers'
import { Plate } from './Plate'
import { Quantity } from './Quantity'
import { QuantityBar } from './QuantityBar'
import { type Asked, Spans } from './Spans'
import { SwapDialog } from './SwapDialog'
import { Taste } from './Taste'
import type { DrawerProps } from './drawer'

const DRAWERS = ['Balance', 'Aims', 'Taste', 'Quantity', 'Making', 'Plate'] as const

/** Mix: the ledger by weight on the left; balance, aims, taste, quantity, making and plate as drawers on the right. */
export function MixStage({ batch, draft, change }: DrawerProps) {
  const [chosen, setChosen] = useState<string>()
  const [says, setSays] = useState('')
  const ask = async (substance: Asked | 'total', value: number) => {
    if (batch.locked) {
      setSays('The meat is in the mix: amounts stay as they were weighed')
      return
    }
    const cover = substance === 'total'
    const wanted = cover ? {} : { [substance]: value }
    try {
      const found = await api.amounts({ draft, in_mix_g_per_kg: wanted, cover, measures: 'scale' })
      change((was) => ({ ...was, mix: withTexts(was.mix, found.lines) }))
      setSays(
        found.reached
          .filter((one) => !one.met || one.aim === substance)
          .map((one) => one.says)
          .join('; '),
      )
    } catch (error) {
      setSays(toldOf(error))
    }
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 wide:grid-cols-[minmax(0,1fr)_26rem] wider:grid-cols-[minmax(0,1fr)_28rem]">
      <Ledger
        batch={batch}
        draft={draft}
        change={change}
        chosen={chosen}
        onChoose={setChosen}
        onMakeEnough={() => void ask('total', 0)}
      />
      <TabGroup>
        <DrawerTabs names={DRAWERS} />
        <TabPanels className="pt-1 wide:max-h-[calc(100dvh-16.5rem)] short:max-h-[calc(100dvh-13.4rem)] wide:overflow-y-auto wide:pr-2">
          <TabPanel>
            <Spans
              batch={batch}
              chosen={chosen}
              onChoose={setChosen}
              onAsk={(substance, value) => void ask(substance, value)}
              says={says}
            />
          </TabPanel>
          {[Aims, Taste, Quantity, Making, Plate].map((Drawer) => (
            <TabPanel key={Drawer.name}>
              <AsWeighed locked={batch.locked && Drawer !== Plate}>
                <Drawer batch={batch} draft={draft} change={change} />
              </AsWeighed>
            </TabPanel>
          ))}
        </TabPanels>
      </TabGroup>
    </div>
  )
}

interface LedgerProps extends DrawerProps {
  chosen: string | undefined
  onChoose: (line: string) => void
  onMakeEnough: () => void
}

function Ledger({ batch, draft, change, chosen, onChoose, onMakeEnough }: LedgerProps) {
  const [swapping, setSwapping] = useState<Line>()
  const { judgement } = batch
  const setMix = useCallback(
    (mix: (was: Draft['mix']) => Draft['mix']) => {
      change((was) => ({ ...was, mix: mix(was.mix) }))
    },
    [change],
  )
  const deeds: LineDeeds = useMemo(() => {
    const setLine = (id: string, changed: (line: Line) => Line) => {
      setMix((mix) => mix.map((line) => (line.id === id ? changed(line) : line)))
    }
    return {
      choose: onChoose,
      type: (id, text) => {
        setLine(id, (old) => ({ ...old, text }))
      },
      mark: (id, mark) => {
        setLine(id, (old) => ({ ...old, [mark]: old[mark] === 'yes' ? '' : 'yes' }))
      },
      swap: setSwapping,
      remove: (id) => {
        setMix((mix) => mix.filter((old) => old.id !== id))
      },
    }
  }, [onChoose, setMix])
  const tooMany = faultOf(batch, 'mix')
  return (
    <div className="wide:flex wide:max-h-[calc(100dvh-14.4rem)] short:max-h-[calc(100dvh-10.6rem)] wide:flex-col">
      <QuantityBar batch={batch} onMakeEnough={onMakeEnough} />
      {judgement.mix?.household.map((says) => (
        <p key={says} className="mb-1 border-l-4 border-stop pl-2 font-semibold">
          {says}
        </p>
      ))}
      <AsWeighed locked={batch.locked}>
        <Offers
          batch={batch}
          onTake={(offer) => {
            setMix((mix) =>
              withLines(
                withTexts(mix, offer.lines),
                offer.lines.filter((line) => line.line_id === '').map((line) => line.text),
              ),
            )
          }}
        />
        {tooMany && <Faulty fault={tooMany} />}
        <ol className="wide:min-h-20 wide:overflow-y-auto">
          {draft.mix.map((line) => (
            <LedgerLine
              key={line.id}
              line={line}
              item={judgement.ingredients.find((item) => item.line_id === line.id && item.text === line.text)}
              figure={judgement.figures[`mix.${line.id}`]}
              fault={faultOf(batch, `mix.${line.id}`)}
              chosen={chosen === line.id}
              deeds={deeds}
            />
          ))}
        </ol>
        <EntryLine
          batchId={batch.id}
          meatG={judgement.piece?.meat_g}
          onEnter={(texts, beside = []) => {
            change((was) => ({
              ...was,
              mix: withLines(was.mix, texts),
              companions: [...was.companions, ...beside.map((one) => companionOf(one.title, one.lines))],
            }))
          }}
        />
      </AsWeighed>
      {swapping && (
        <SwapDialog
          draft={draft}
          line={swapping}
          onTake={(texts) => {
            setMix((mix) => withInstead(mix, swapping.id, texts))
            setSwapping(undefined)
          }}
          onClose={() => {
            setSwapping(undefined)
          }}
        />
      )}
    </div>
  )
}
