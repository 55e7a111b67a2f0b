import { known } from '../../facts'
import { boreAt, type Certainty, certainty, openingSpan, outerAt } from '../../geometry'
import { type Opening, refTo } from '../../record'
import type { Canvas } from './canvas'

/** The least certain of some facts. */
const worstOf = (facts: Parameters<typeof certainty>[0][]): Certainty => {
  const all = facts.map(certainty)
  return all.includes('unknown') ? 'unknown' : all.includes('assumed') ? 'assumed' : 'known'
}

/** Openings that face the cut show as gaps in the wall; those on the near side as an outline on it. */
export function drawOpening(canvas: Canvas, o: Opening) {
  if (o.face === 'rear') return drawInRear(canvas, o)
  const { pen, x, y, shape, spots } = canvas
  const at = known(o.at)
  const length = known(o.length)
  if (at === undefined || length === undefined) return
  const c = Math.cos(((known(o.clock) ?? 0) * Math.PI) / 180)
  const outer = (outerAt(shape, at) ?? 34) / 2
  const bore = (boreAt(shape, at) ?? 27) / 2
  const ref = refTo('opening', o.id)
  const [x0, x1] = [x(at - length / 2), x(at + length / 2)]
  if (Math.abs(c) > 0.7) {
    const s = c > 0 ? 1 : -1
    const [ya, yb] = [y(s * outer), y(s * bore)]
    pen.box(x0, Math.min(ya, yb) - 0.5, x1, Math.max(ya, yb) + 0.5, o.kind === 'window' ? 'glass' : 'void', {
      ref,
      ...(o.tint ? { colour: o.tint } : {}),
    })
    const sure = worstOf([o.at, o.length, o.clock])
    if (sure !== 'known') pen.box(x0, Math.min(ya, yb), x1, Math.max(ya, yb), sure)
    spots.push({ ref, name: o.name, x0, x1, y0: Math.min(ya, yb), y1: Math.max(ya, yb) })
  } else {
    const half = (known(o.width) ?? 4) / 2
    const my = c * outer * 0.8
    pen.box(x0, y(my + half), x1, y(my - half), 'ghost', { ref })
    spots.push({ ref, name: o.name, x0, x1, y0: y(my + half), y1: y(my - half) })
  }
}

/** One in the rear face is a gap through the end wall where the cut meets it, else an outline on it. */
function drawInRear({ pen, x, y, spots, saber }: Canvas, o: Opening) {
  const length = known(o.length)
  const span = openingSpan(saber.hilt, o)
  if (length === undefined || !span) return
  const c = Math.cos(((known(o.clock) ?? 0) * Math.PI) / 180)
  const mid = c * (known(o.fromAxis) ?? 0)
  const cut = Math.abs(c) > 0.7 || !known(o.fromAxis)
  const half = (cut ? length : (known(o.width) ?? 4)) / 2
  const [x0, x1] = [x(span.x0) - 0.5, Math.max(x(span.x1), x(span.x0) + 2) + 0.5]
  const [y0, y1] = [y(mid + half), y(mid - half)]
  const ref = refTo('opening', o.id)
  pen.box(x0, y0, x1, y1, cut ? 'void' : 'ghost', { ref })
  const sure = worstOf([o.length, o.clock, ...(o.fromAxis ? [o.fromAxis] : [])])
  if (sure !== 'known') pen.box(x0, y0, x1, y1, sure)
  spots.push({ ref, name: o.name, x0, x1, y0, y1 })
}
