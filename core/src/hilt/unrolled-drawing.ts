import { known } from '../record/fact'
import type { Saber } from '../record/schema'
import { layOut, spanOf } from './geometry'
import { Pen, type Scene, type Spot } from './scene'

/**
 * The hilt's outside unrolled: length along x, clock angle along y (0° at the top, growing downwards as the round is
 * turned clockwise seen from the pommel). Along x it is true to scale; the height stands for one full turn.
 * `align` makes x agree with a section drawing standing above it.
 */
export function drawUnrolled(
  saber: Saber,
  view: { width: number; height: number; align?: Pick<Scene, 'x' | 'mm' | 'scale'> },
): Scene {
  const shape = layOut(saber.hilt)
  const pen = new Pen()
  const spots: Spot[] = []
  const left = 34
  const scale = view.align?.scale ?? (view.width - left - 10) / (shape.length || 240)
  const x = view.align?.x ?? ((mm: number) => left + mm * scale)
  const mm = view.align?.mm ?? ((px: number) => (px - left) / scale)
  const top = 8
  const h = view.height - top - 16
  const y = (deg: number) => top + (((((deg + 45) % 360) + 360) % 360) / 360) * h
  const end = shape.length || 240
  for (const deg of [0, 90, 180, 270]) {
    pen.line([x(0), y(deg)], [x(end), y(deg)], deg === 0 ? 'centre' : 'ghost')
    pen.text([x(0) - 6, y(deg) + 4], `${deg}°`, 'label', 'end')
  }
  for (const s of shape.sections) {
    pen.box(x(s.x0), top, x(s.x1), top + h, s.certainty === 'known' ? 'outline' : 'assumed', {
      ref: `section:${s.section.id}`,
    })
    pen.text([(x(s.x0) + x(s.x1)) / 2, top + h + 12], s.section.name, 'label')
  }
  for (const o of saber.hilt.openings) {
    const [at, len, clock] = [known(o.at), known(o.length), known(o.clock)]
    if (at === undefined || len === undefined || clock === undefined) continue
    const around = ((known(o.width) ?? 4) / (Math.PI * 34)) * h
    const box = { x0: x(at - len / 2), x1: x(at + len / 2), y0: y(clock) - around / 2, y1: y(clock) + around / 2 }
    pen.box(box.x0, box.y0, box.x1, box.y1, o.kind === 'window' ? 'glass' : 'void', { ref: `opening:${o.id}` })
    spots.push({ ref: `opening:${o.id}`, name: o.name, ...box })
  }
  for (const p of saber.parts.filter((q) => q.kind === 'switch')) {
    const span = spanOf(p)
    if (!span || known(p.clock) === undefined) continue
    const at = x((span.x0 + span.x1) / 2)
    pen.circle([at, y(known(p.clock)!)], 7, 'part', `part:${p.id}`)
    spots.push({
      ref: `part:${p.id}`,
      name: p.name,
      x0: at - 8,
      x1: at + 8,
      y0: y(known(p.clock)!) - 8,
      y1: y(known(p.clock)!) + 8,
    })
  }
  for (const f of saber.hilt.fasteners) {
    const [at, clock] = [known(f.at), known(f.clock)]
    if (at === undefined || clock === undefined) continue
    const [cx, cy] = [x(at), y(clock)]
    pen.circle([cx, cy], 5, 'screw', `fastener:${f.id}`)
    // A cross for "must not touch", a slot for the rest: readable without colour.
    pen.line(
      [cx - 3, cy - (f.clientMay === 'never' ? 3 : 0)],
      [cx + 3, cy + (f.clientMay === 'never' ? 3 : 0)],
      'thread',
    )
    if (f.clientMay === 'never') pen.line([cx - 3, cy + 3], [cx + 3, cy - 3], 'thread')
    const room = cx + 10 + f.name.length * 6 < view.width
    pen.text([room ? cx + 8 : cx - 8, cy + 4], f.name, 'label', room ? 'start' : 'end', `fastener:${f.id}`)
    spots.push({ ref: `fastener:${f.id}`, name: f.name, x0: cx - 8, x1: cx + 8, y0: cy - 8, y1: cy + 8 })
  }
  return { width: view.width, height: view.height, scale, axisY: y(0), prims: pen.prims, spots, x, mm }
}
