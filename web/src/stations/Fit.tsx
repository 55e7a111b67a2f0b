import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react'
import { balance } from '@nubrin/core/fit'
import type { CataloguePart } from '@nubrin/core/parts'
import { formatNumber } from '@nubrin/core/units'
import { useEffect, useMemo, useState } from 'react'
import { catalogue } from '../api'
import { useBench, useSaber } from '../store/commission'
import { FigureView } from '../ui/FigureView'
import type { StationProps } from './Bench'
import { BalanceBench } from './fit/Balance'
import { Blades } from './fit/Blades'
import { Closing } from './fit/Closing'
import { CrossSection } from './fit/CrossSection'
import { Layouts } from './fit/Layouts'
import { Parts } from './fit/Parts'
import { Wires } from './fit/Wires'

const BENCHES = ['Parts', 'Layouts', 'Blades', 'Balance'] as const

/** The planning bench: four ways to work, with the cut across the hilt and what it says beside those it concerns. */
export default function Fit({ cut }: StationProps) {
  const recorded = useSaber()
  const preview = useBench((b) => b.preview)
  const shown = preview?.saber ?? recorded
  const lit = useBench((b) => b.lit)
  const [rows, setRows] = useState<CataloguePart[]>([])
  const [refused, setRefused] = useState('')
  const [bench, setBench] = useState(0)
  useEffect(() => {
    catalogue().then(setRows, (e: Error) => setRefused(e.message))
  }, [])
  // Touching a blade on the drawing opens the blades, touching a part the parts.
  const kind = lit?.split(':')[0]
  useEffect(() => {
    if (kind === 'blade') setBench(2)
    if (kind === 'part') setBench((b) => (b === 2 ? 0 : b))
  }, [kind])
  const bal = useMemo(() => balance(shown), [shown])
  const showCut = useBench((b) => b.showCut)
  const cutting = BENCHES[bench] === 'Parts' || BENCHES[bench] === 'Layouts'
  useEffect(() => {
    showCut(cutting)
    return () => showCut(false)
  }, [cutting, showCut])
  return (
    <div className={cutting ? 'grid grid-cols-[minmax(0,1fr)_214px] gap-5' : ''}>
      <TabGroup selectedIndex={bench} onChange={setBench}>
        <TabList className="border-rule -mt-1 mb-2 flex gap-1 border-b">
          {BENCHES.map((b) => (
            <Tab
              key={b}
              className="data-selected:border-ink text-quiet data-selected:text-ink -mb-px border-b-2 border-transparent px-3 py-1 font-semibold"
            >
              {b}
            </Tab>
          ))}
        </TabList>
        <TabPanels>
          <TabPanel tabIndex={-1}>
            <Parts saber={recorded} rows={rows} refused={refused} />
          </TabPanel>
          <TabPanel tabIndex={-1}>
            <Layouts saber={recorded} rows={rows} />
          </TabPanel>
          <TabPanel tabIndex={-1}>
            <Blades saber={recorded} />
          </TabPanel>
          <TabPanel tabIndex={-1}>
            <BalanceBench saber={recorded} />
          </TabPanel>
        </TabPanels>
      </TabGroup>
      <section aria-label="Cross-section" hidden={!cutting}>
        <h2 className="h2">Cut at {formatNumber(cut, 1)} mm</h2>
        <CrossSection saber={shown} cut={cut} />
        <Wires saber={shown} cut={cut} />
        <Closing saber={shown} />
        <FigureView name="balance" figure={bal.centre} digits={0} />
      </section>
    </div>
  )
}
