import { type CataloguePart, fitFrom } from '@nubrin/core/parts'
import type { Saber } from '@nubrin/core/record'
import { freshId, todayIso } from '../../data'
import { Empty } from '../../kit'
import { useBench, useEditSaber } from '../../store/commission'
import { FittedList } from './FittedList'
import { OffTheShelf } from './OffTheShelf'
import { PartSheet } from './PartSheet'
import { placeOf } from './placeOf'

/** The shelf beside what goes in: every row of the shelf says whether it would go in instead, and what it costs. */
export function Parts({ saber, rows, refused }: { saber: Saber; rows: CataloguePart[]; refused: string | undefined }) {
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const chosen = saber.parts.find((p) => lit === `part:${p.id}`)
  const add = (row: CataloguePart) => {
    const id = freshId()
    editSaber(`add ${row.name}`, (s) => void s.parts.push(fitFrom(row, id, placeOf(saber, row, todayIso()))))
    light(`part:${id}`)
  }
  return (
    <div className="grid grid-cols-[200px_minmax(0,1fr)] gap-4">
      <OffTheShelf saber={saber} rows={rows} refused={refused} onAdd={add} />
      <section aria-label="What goes in">
        <div className="flex items-baseline gap-3">
          <h2 className="h2">What goes in</h2>
          <span className="text-quiet">drag on the drawing, or type the rear face</span>
        </div>
        {saber.parts.length ? null : (
          <Empty title="Nothing chosen yet">
            Take a cell, a speaker and a board off the shelf; each is placed behind the last and can be dragged on the
            drawing.
          </Empty>
        )}
        <FittedList saber={saber} />
        {chosen ? <PartSheet key={chosen.id} saber={saber} part={chosen} /> : null}
      </section>
    </div>
  )
}
