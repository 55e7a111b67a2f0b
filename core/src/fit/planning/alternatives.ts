import { type CataloguePart, fitFrom } from '../../parts/catalogue'
import { runtime } from '../../power'
import type { FittedPart, Saber } from '../../record'
import { axialSlack, fitParts, overlaps } from '../length/chain'
import { cellTooShort } from '../length/contact'

/** What would happen if one fitted part were exchanged for a row of the catalogue, in the same place. */
export interface Alternative {
  row: CataloguePart
  /** Room across, mm; negative is the millimetre that forbids it. Undefined when it cannot be judged yet. */
  spareMm?: number
  /** The section whose bore decides, and where. */
  at?: { x: number; d: number; section: string }
  /** Length it would share with a neighbour, mm; 0 when free. */
  overlapMm: number
  /** By how much a cell is too short to make contact in its place, mm; 0 where it does. */
  shortMm: number
  slackMm?: number
  /** Change of runtime, min: what a cell wins or costs. */
  runtimeMin?: number
  fits: boolean | undefined
}

/** The same saber with one part exchanged; its place, side, lot-free identity and what lies beside it are kept. */
export function exchange(saber: Saber, partId: string, row: CataloguePart): Saber {
  return {
    ...saber,
    parts: saber.parts.map((p) => (p.id === partId ? exchanged(p, row) : p)),
  }
}

/** A part as it would be after the exchange. A landmark told for another cell is not carried over. */
export function exchanged(p: FittedPart, row: CataloguePart): FittedPart {
  const keep = {
    at: p.at,
    beside: p.beside,
    clock: p.clock,
    faces: p.faces,
    removable: p.removable,
    supplied: p.supplied,
  }
  return fitFrom(row, p.id, Object.fromEntries(Object.entries(keep).filter(([, v]) => v !== undefined)))
}

/**
 * Tries every row in place of a fitted part and says of each whether it goes in, by how much, and what it costs in slack
 * and runtime. Rows of another kind are left out. Order is that of the rows.
 */
export function alternatives(saber: Saber, partId: string, rows: readonly CataloguePart[]): Alternative[] {
  const part = saber.parts.find((p) => p.id === partId)
  if (!part) throw new RangeError(`alternatives: no part ${partId}`)
  const before = part.kind === 'cell' ? runtime(saber).minutes : undefined
  return rows
    .filter((r) => r.kind === part.kind)
    .map((row) => {
      const next = exchange(saber, partId, row)
      // A cell decides for the board lying beside it, so the tighter of the two counts.
      const judged = fitParts(next).filter((f) => f.part.id === partId || f.besideOf === partId)
      const spares = judged.map((f) => f.spareMm).filter((v) => v !== undefined)
      const complete = judged.length > 0 && spares.length === judged.length
      const tight = judged.find((f) => f.spareMm === Math.min(...spares))
      const overlapMm = Math.max(
        0,
        ...overlaps(next)
          .filter((o) => o.a.id === partId || o.b.id === partId)
          .map((o) => o.mm),
      )
      const outside = judged.some((f) => f.outsideMm > 0.05)
      const shortMm = Math.max(0, ...cellTooShort(next).map((n) => (n.cell.id === partId ? n.short : 0)))
      const slack = axialSlack(next).nominal
      const after = before?.ok ? runtime(next).minutes : undefined
      return {
        row,
        ...(complete ? { spareMm: Math.min(...spares) } : {}),
        ...(complete && tight?.at ? { at: tight.at } : {}),
        overlapMm,
        shortMm,
        ...(slack.ok ? { slackMm: slack.value } : {}),
        ...(before?.ok && after?.ok ? { runtimeMin: after.value - before.value } : {}),
        fits: complete
          ? Math.min(...spares) >= 0 && overlapMm === 0 && shortMm === 0 && !outside && (!slack.ok || slack.value >= 0)
          : undefined,
      }
    })
}
