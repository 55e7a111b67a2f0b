import type { CataloguePart } from '@nubrin/core/parts'
import { Link } from 'react-router'
import { urlOf } from '../data'

/** Above the shelf: how much is on it, a search, and the ways in and out. */
export function ShelfHead({
  rows,
  find,
  onFind,
  onBring,
}: {
  rows: CataloguePart[] | undefined
  find: string
  onFind: (text: string) => void
  onBring: () => void
}) {
  const drawers = new Set(rows?.map((r) => r.kind)).size
  return (
    <header className="border-rule flex h-[50px] shrink-0 items-center gap-4 border-b px-5">
      <Link to="/" className="text-brass" aria-label="Back to the rack" title="Back to the rack">
        ←
      </Link>
      <h1 className="text-[1.32rem]">The shelf</h1>
      <p className="text-quiet truncate">
        {rows ? `${rows.length} parts in ${drawers} drawers, drawn to one scale` : ''}
      </p>
      <div className="ml-auto flex items-center gap-3">
        <input
          className="cell w-44!"
          aria-label="Find a part, a lot, a supplier"
          placeholder="part, lot, supplier"
          value={find}
          onChange={(e) => onFind(e.target.value)}
        />
        <Link to="/orders" className="btn">
          on order
        </Link>
        <button type="button" className="btn" onClick={onBring}>
          import
        </button>
        <a className="btn" href={urlOf('partsCsv')}>
          CSV
        </a>
        <a className="btn" href={urlOf('partsJson')}>
          JSON
        </a>
      </div>
    </header>
  )
}
