import { type CataloguePart, KINDS, type PartKind } from '@nubrin/core/parts'
import { useMemo } from 'react'

/** One drawer a kind, with how many kinds of it lie inside. */
export function Drawers({
  rows,
  open,
  onOpen,
}: {
  rows: CataloguePart[]
  open: PartKind | undefined
  onOpen: (kind: PartKind) => void
}) {
  const counts = useMemo(() => {
    const n = new Map<PartKind, number>()
    for (const r of rows) n.set(r.kind, (n.get(r.kind) ?? 0) + 1)
    return n
  }, [rows])
  return (
    <nav aria-label="Drawers" className="border-rule relative min-h-0 overflow-y-auto border-r py-2">
      {(Object.keys(KINDS) as PartKind[]).map((k) => (
        <button
          key={k}
          type="button"
          aria-pressed={k === open}
          className={`flex w-full items-center justify-between px-5 py-[3px] text-left ${k === open ? 'bg-ink text-paper' : counts.get(k) ? 'hover:bg-card' : 'text-quiet hover:bg-card'}`}
          onClick={() => onOpen(k)}
        >
          <span>{KINDS[k].label}</span>
          <span className={k === open ? 'text-[#e3bd78]' : 'text-brass'}>{counts.get(k) ?? ''}</span>
        </button>
      ))}
    </nav>
  )
}
