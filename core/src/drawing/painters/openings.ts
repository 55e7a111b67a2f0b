import { known } from '../../facts'
import { refTo, type Saber } from '../../record'
import { boreAt, type Certainty, certainty, outerAt } from '../../room'
import type { Canvas } from './canvas'

/** The least certain of some facts. */
const worstOf = (facts: Parameters<typeof certainty>[0][]): Certainty => {
  const all = facts.map(certainty)
  return all.includes('unknown') ? 'unknown' : all.includes('assumed') ? 'assumed' : 'known'
}

/** Openings that face the cut show as gaps in the wall; those on the near side as an outline on it. */
export function drawOpening({ pen, x, y, shape, spots }: Canvas, o: Saber['hilt']['openings'][number]) {
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
