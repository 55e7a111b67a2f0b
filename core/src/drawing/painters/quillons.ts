import { known } from '../../facts'
import { refTo } from '../../record'
import { certainty, crossAt, type HiltShape } from '../../room'
import { hatch, type Pt } from '../scene'
import { type Canvas, HATCH_GAP } from './canvas'

/** How far the arms of a crossguard stand out from the axis, mm; 0 without arms. */
export const quillonReach = (shape: HiltShape) =>
  Math.max(0, ...shape.quillons.map((q) => known(q.length) ?? 30)) + (shape.quillons.length ? 18 : 0)

/** Crossguard arms stand across the axis where the emitter begins. */
export function drawQuillons({ pen, spots, x, y, shape }: Canvas) {
  const emitter = shape.sections.at(-1)
  if (!emitter) return
  const cx = crossAt(shape)!
  shape.quillons.forEach((q, i) => {
    const sign = i % 2 ? -1 : 1
    const r = (known(q.outside) ?? 20) / 2
    const b = (known(q.bore) ?? 14) / 2
    const root = (known(emitter.section.outside) ?? 34) / 2
    const tip = root + (known(q.length) ?? 30)
    for (const [from, to] of [
      [-r, -b],
      [b, r],
    ] as const) {
      const quad: Pt[] = [
        [x(cx + from), y(sign * root)],
        [x(cx + to), y(sign * root)],
        [x(cx + to), y(sign * tip)],
        [x(cx + from), y(sign * tip)],
      ]
      pen.path(quad, 'wall', { closed: true })
      for (const l of hatch(quad, HATCH_GAP, 1)) pen.path(l, 'hatch')
      pen.path(quad, certainty(q.length) === 'known' ? 'outline' : 'assumed', { closed: true })
    }
    spots.push({
      ref: refTo('section', q.id),
      name: q.name,
      x0: x(cx - r),
      x1: x(cx + r),
      y0: Math.min(y(sign * root), y(sign * tip)),
      y1: Math.max(y(sign * root), y(sign * tip)),
    })
  })
}
