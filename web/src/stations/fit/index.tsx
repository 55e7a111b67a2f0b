import { balance } from '@nubrin/core/fit'
import { partsOfRef } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useEffect, useMemo, useState } from 'react'
import { fetchWhenIdle, lazyView } from '../../base/lazy'
import { useCatalogue } from '../../data'
import { FigureView, Tabs } from '../../kit'
import { useBench, useSaber } from '../../store/commission'
import type { StationProps } from '../station'
import { Closing } from './Closing'
import { CrossSection } from './CrossSection'
import { Parts } from './Parts'
import { Wires } from './Wires'

const Layouts = lazyView(() => import('./Layouts').then((m) => m.Layouts))
const Blades = lazyView(() => import('./Blades').then((m) => m.Blades))
const BalanceBench = lazyView(() => import('./Balance').then((m) => m.BalanceBench))

const BENCHES = ['Parts', 'Layouts', 'Blades', 'Balance'] as const

/** The planning bench: four ways to work, with the cut across the hilt and what it says beside those it concerns. */
export default function Fit({ cut }: StationProps) {
  const recorded = useSaber()
  const shown = useBench((b) => b.preview?.saber) ?? recorded
  const lit = useBench((b) => b.lit)
  const { data: rows = [], error } = useCatalogue()
  const [bench, setBench] = useState(0)
  useEffect(() => fetchWhenIdle(Layouts, Blades, BalanceBench), [])
  // Touching a blade on the drawing opens the blades, touching a part the parts.
  const kind = lit ? partsOfRef(lit)?.kind : undefined
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
  const panel = (i: number) =>
    [
      () => <Parts saber={recorded} rows={rows} refused={error?.message} />,
      () => <Layouts saber={recorded} rows={rows} />,
      () => <Blades saber={recorded} />,
      () => <BalanceBench saber={recorded} />,
    ][i]!()
  return (
    <div className={cutting ? 'grid grid-cols-[minmax(0,1fr)_214px] gap-5' : ''}>
      <Tabs label="Ways to plan" tabs={BENCHES} at={bench} onChange={setBench} panels={panel} />
      <section aria-label="Cross-section" hidden={!cutting}>
        <h2 className="h2">Cut at {formatNumber(MAKER, cut, 1)} mm</h2>
        <CrossSection saber={shown} cut={cut} />
        <Wires saber={shown} cut={cut} />
        <Closing saber={shown} />
        <FigureView name="balance" figure={bal.centre} digits={0} />
      </section>
    </div>
  )
}
