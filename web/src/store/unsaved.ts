import type { Op } from '@nubrin/core/record/ops'

const shelf = (id: string) => `nubrin:unsaved:${id}`

/** Work not yet acknowledged is kept in the browser too, so that a lost connection or a closed tab loses nothing. */
export function keepUnsaved(id: string, base: number, ops: readonly Op[]): void {
  if (ops.length) localStorage.setItem(shelf(id), JSON.stringify({ base, ops }))
  else localStorage.removeItem(shelf(id))
}

/** What was kept of a commission, and the revision it was made on; nothing when there is none or it cannot be read. */
export function keptUnsaved(id: string): { base: number; ops: Op[] } | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(shelf(id)) ?? '{}') as { base?: number; ops?: Op[] }
    return Array.isArray(kept.ops) && kept.ops.length ? { base: kept.base ?? 0, ops: kept.ops } : undefined
  } catch {
    return undefined
  }
}
