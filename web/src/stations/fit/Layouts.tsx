import type { CataloguePart } from '@nubrin/core/parts'
import type { Saber } from '@nubrin/core/record'
import { useState } from 'react'
import { SelectCell } from '../../kit'
import { DoesNotFit, useStaysOut } from './DoesNotFit'
import { ChosenLayout, PickedLayout } from './PickedLayout'
import { Missing, Searching } from './Searching'
import { MEASURES, type Measure, TradeOff } from './TradeOff'
import { type Search, useLayouts } from './useLayouts'
import { WhatMayVary } from './WhatMayVary'

/** Every layout that goes in, the best of them as a trade-off, and the millimetre that keeps the others out. */
export function Layouts({ saber, rows }: { saber: Saber; rows: CataloguePart[] }) {
  const search = useLayouts(saber, rows)
  const [measure, setMeasure] = useState<Measure>(search.wish.chamber === undefined ? 'speaker' : 'chamber')
  const { prepared, ready, found } = search
  const out = useStaysOut(search)
  return (
    <div className="grid gap-5 min-[1150px]:grid-cols-[minmax(0,1fr)_232px]">
      <section aria-label="Layouts that go in">
        <div className="flex items-baseline gap-2">
          <h2 className="h2 whitespace-nowrap">{title(search)}</h2>
          <p className="text-quiet truncate">
            {found ? `of ${found.raw.toLocaleString('en')} tried; ${found.best.length} unbeaten` : ''}
          </p>
          <span className="ml-auto w-28 shrink-0">
            <SelectCell
              label="Vertical axis"
              value={measure}
              options={Object.keys(MEASURES) as Measure[]}
              words={(m) => MEASURES[m].label}
              onCommit={setMeasure}
            />
          </span>
        </div>
        <Missing needs={prepared?.needs ?? []} />
        <Searching search={search} />
        {found && ready && found.best.length ? (
          <TradeOff
            problem={ready.problem}
            result={found}
            measure={measure}
            unit={ready.score}
            picked={search.picked}
            refused={out.crosses}
            weak={out.weak}
            onPick={search.pick}
          />
        ) : null}
        <DoesNotFit list={out.list} open={!found?.feasible} />
        {prepared?.unseated.length ? (
          <p className="text-brass text-[0.87rem]">
            Not counted, since neither a place nor a free opening is known: {prepared.unseated.join(', ')}.
          </p>
        ) : null}
        {prepared?.unsized.length ? (
          <p className="text-quiet text-[0.87rem]">Left out, size missing: {prepared.unsized.join(', ')}.</p>
        ) : null}
      </section>
      <section aria-label="What may vary">
        <WhatMayVary saber={saber} search={search} />
        <PickedLayout search={search} />
        <ChosenLayout saber={saber} />
      </section>
    </div>
  )
}

function title({ found, prepared }: Search): string {
  if (!found) return prepared?.needs.length ? 'Not calculable yet' : 'Searching…'
  if (!found.feasible) return 'Nothing fits like this'
  return `${found.feasible.toLocaleString('en')} ${found.feasible === 1 ? 'fits' : 'fit'}`
}
