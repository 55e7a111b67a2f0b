import { fact, known, stated } from '@nubrin/core/facts'
import { seatOf } from '@nubrin/core/fit'
import { socketSpan, spanOf } from '@nubrin/core/geometry'
import { type CataloguePart, kindRule } from '@nubrin/core/parts'
import type { FittedPart, Saber } from '@nubrin/core/record'

/** Where a part off the shelf goes at first: a button, display or port to its opening, a connector before the socket, what lies inside behind the last. */
export function placeOf(saber: Saber, row: CataloguePart, today: string): Partial<FittedPart> {
  const seat = seatOf(saber, row, today)
  if (seat) return seat
  const rule = kindRule(row.kind)
  if (!rule.inside || rule.glyph === 'dot') return {}
  const last = Math.max(0, ...saber.parts.filter((p) => kindRule(p.kind).inside).map((p) => spanOf(p)?.x1 ?? 0))
  const socket = saber.hilt.sockets.map((k) => socketSpan(saber, k.id)?.x0).find((v) => v !== undefined)
  const start =
    row.kind === 'connector' && socket !== undefined ? socket - (known(row.specs.length) ?? 0) : last ? last + 1 : 4
  return {
    at: fact(Number(Math.max(0, start).toFixed(1)), 'mm', 'assumed', { with: 'set on the drawing', on: today }),
    ...(row.kind === 'speaker' ? { faces: stated('pommel', 'assumed') } : {}),
    ...(row.kind === 'cell' ? { removable: true, faces: stated('emitter', 'assumed') } : {}),
  }
}
