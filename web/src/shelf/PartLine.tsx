import type { CataloguePart } from '@nubrin/core/parts'
import { PartGlyph } from './PartGlyph'
import { specLine } from './specLine'

/** One part of the shelf in a line: drawn to scale, its figures, and what is left. */
export function PartLine({ part: r, open, onOpen }: { part: CataloguePart; open: boolean; onOpen: () => void }) {
  return (
    <li className="border-rule border-b">
      <button
        type="button"
        aria-pressed={open}
        className={`grid w-full grid-cols-[168px_minmax(0,1fr)_auto] items-center gap-3 px-1 py-1.5 text-left ${open ? 'bg-card' : 'hover:bg-card'}`}
        onClick={onOpen}
      >
        <span className="flex justify-end">
          <PartGlyph part={r} />
        </span>
        <span className="min-w-0">
          <span className="block font-semibold">{r.name}</span>
          <span className="text-quiet block truncate text-[0.92rem]">{specLine(r)}</span>
        </span>
        <span className={`text-right text-[0.92rem] ${r.stock === 0 ? 'text-stop font-semibold' : 'text-quiet'}`}>
          {r.stock === undefined ? '' : r.stock === 0 ? '✕ none left' : `${r.stock} left`}
          {r.lot ? <span className="block">lot {r.lot}</span> : null}
        </span>
      </button>
    </li>
  )
}
