import { known } from '../../facts'
import { boreAt, outerAt } from '../../geometry'
import { refTo, type Saber } from '../../record'
import type { Canvas } from './canvas'

/** Half the width of a screw of a thread, mm; a plain 3.5 where the thread is in words. */
const halfOf = (thread: string): number => Number(/^M(\d+(?:\.\d+)?)/.exec(thread)?.[1] ?? 3.5) / 2

/** Screws that face the cut stand in the wall; those on the near side are seen from their head. */
export function drawFastener({ pen, x, y, shape, spots }: Canvas, f: Saber['hilt']['fasteners'][number]) {
  const at = known(f.at)
  if (at === undefined) return
  const c = Math.cos(((known(f.clock) ?? 0) * Math.PI) / 180)
  const outer = (outerAt(shape, at) ?? 34) / 2
  const bore = (boreAt(shape, at) ?? 27) / 2
  const ref = refTo('fastener', f.id)
  const w = halfOf(f.thread)
  if (Math.abs(c) > 0.5) {
    const s = c > 0 ? 1 : -1
    const head = f.head === 'set' || f.head === 'dummy' ? 0 : 1.8
    pen.box(x(at - w), y(s * (outer + head)), x(at + w), y(s * (bore - 0.8)), 'screw', { ref })
    if (head) pen.box(x(at - w * 1.8), y(s * (outer + 2.4)), x(at + w * 1.8), y(s * outer), 'screw', { ref })
    for (let k = 1; k < 5; k++) {
      const yy = y(s * (bore + ((outer - bore) * k) / 5))
      pen.line([x(at - w), yy - 1], [x(at + w), yy + 1], 'thread')
    }
    spots.push({
      ref,
      name: f.name,
      x0: x(at - w * 1.8),
      x1: x(at + w * 1.8),
      y0: Math.min(y(s * (outer + 2.4)), y(s * bore)),
      y1: Math.max(y(s * (outer + 2.4)), y(s * bore)),
    })
  } else {
    const cy = y(c * outer * 0.8)
    pen.circle([x(at), cy], Math.max(3, w * 1.1 * (x(1) - x(0))), 'screw', ref)
    pen.line([x(at) - 3, cy], [x(at) + 3, cy], 'thread')
    spots.push({ ref, name: f.name, x0: x(at) - 7, x1: x(at) + 7, y0: cy - 7, y1: cy + 7 })
  }
}
