import { known } from '../record/fact'
import type { Saber } from '../record/schema'
import { certainty, layOut, outerAt, spanOf } from './geometry'
import { Pen, type Pt, type Role, type Scene, type Spot } from './scene'

/** The unrolled surface: a scene, and the way back from a point on it to a clock angle. */
export interface Unrolled extends Scene {
  /** Clock angle at a point, degrees 0…360; undefined off the surface. */
  clock: (px: number, py: number) => number | undefined
}

const LEFT = 40
const TOP = 6
const FOOT = 18

/**
 * The hilt's outside unrolled, true to scale both ways: length along x, and round the hilt along y, the switch line (0°)
 * in the middle, the other half-turns at the edges, clockwise (seen from the pommel) downwards. Where the hilt is thicker
 * the surface is taller, π·D. Fits the width, and the height too unless `zoom` is above 1.
 */
export function drawUnrolled(saber: Saber, view: { width: number; height: number; zoom?: number }): Unrolled {
  const shape = layOut(saber.hilt)
  const pen = new Pen()
  const spots: Spot[] = []
  const end = shape.length || 240
  const widest = Math.max(36, ...shape.sections.flatMap((s) => s.outer.flatMap((p) => [p.d0, p.d1])))
  const zoom = Math.max(1, view.zoom ?? 1)
  const scale = zoom * Math.min((view.width - LEFT - 10) / end, (view.height - TOP - FOOT) / (Math.PI * widest))
  const width = Math.max(view.width, LEFT + 10 + end * scale)
  const height = Math.max(view.height, TOP + FOOT + Math.PI * widest * scale)
  const mid = TOP + (Math.PI * widest * scale) / 2
  const x = (mm: number) => LEFT + mm * scale
  const mm = (px: number) => (px - LEFT) / scale
  const around = (at: number) => Math.PI * (outerAt(shape, Math.min(Math.max(at, 0), end)) ?? 34)
  /** −180…180, 0 on the switch line. */
  const turn = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180
  const y = (at: number, deg: number) => mid + (turn(deg) / 360) * around(at) * scale
  const clock = (px: number, py: number) => {
    const at = mm(px)
    if (at < 0 || at > end) return undefined
    const deg = ((py - mid) / scale / around(at)) * 360
    return Math.abs(deg) > 180 ? undefined : (deg + 360) % 360
  }

  for (const s of shape.sections) {
    const edge = (sign: 1 | -1): Pt[] =>
      s.outer.flatMap((p): Pt[] => [
        [x(p.x0), mid + (sign * Math.PI * p.d0 * scale) / 2],
        [x(p.x1), mid + (sign * Math.PI * p.d1 * scale) / 2],
      ])
    const role: Role = s.certainty === 'known' ? 'outline' : s.certainty
    pen.path([...edge(-1), ...edge(1).toReversed()], role, { closed: true, ref: `section:${s.section.id}` })
    pen.text([(x(s.x0) + x(s.x1)) / 2, mid + (Math.PI * widest * scale) / 2 + 13], s.section.name, 'label')
  }
  for (const deg of [-90, 0, 90]) {
    const line: Pt[] = shape.sections.flatMap((s) =>
      s.outer.flatMap((p): Pt[] => [
        [x(p.x0), mid + (deg / 360) * Math.PI * p.d0 * scale],
        [x(p.x1), mid + (deg / 360) * Math.PI * p.d1 * scale],
      ]),
    )
    if (line.length) pen.path(line, deg === 0 ? 'centre' : 'ghost')
    pen.text([x(0) - 6, y(0, deg) + 4], `${(deg + 360) % 360}°`, 'label', 'end')
  }
  for (const o of saber.hilt.openings) {
    const [at, len, deg] = [known(o.at), known(o.length), known(o.clock)]
    if (at === undefined || len === undefined || deg === undefined) continue
    const half = ((known(o.width) ?? 4) * scale) / 2
    const cy = y(at, deg)
    const box = { x0: x(at - len / 2), x1: x(at + len / 2), y0: cy - half, y1: cy + half }
    const sure = [o.at, o.length, o.width, o.clock].map(certainty)
    pen.box(box.x0, box.y0, box.x1, box.y1, o.kind === 'window' ? 'glass' : 'void', { ref: `opening:${o.id}` })
    if (sure.some((c) => c !== 'known'))
      pen.box(box.x0, box.y0, box.x1, box.y1, sure.includes('unknown') ? 'unknown' : 'assumed')
    spots.push({ ref: `opening:${o.id}`, name: o.name, ...box })
  }
  for (const p of saber.parts.filter((q) => q.kind === 'switch')) {
    const span = spanOf(p)
    const deg = known(p.clock)
    if (!span || deg === undefined) continue
    const at = (span.x0 + span.x1) / 2
    const r = Math.max(4, ((known(p.specs.diameter) ?? 8) * scale) / 2)
    const [cx, cy] = [x(at), y(at, deg)]
    pen.circle([cx, cy], r, 'part', `part:${p.id}`)
    spots.push({ ref: `part:${p.id}`, name: p.name, x0: cx - r, x1: cx + r, y0: cy - r, y1: cy + r })
  }
  for (const f of saber.hilt.fasteners) {
    const [at, deg] = [known(f.at), known(f.clock)]
    if (at === undefined || deg === undefined) continue
    const [cx, cy] = [x(at), y(at, deg)]
    pen.circle([cx, cy], 5, certainty(f.at) === 'known' ? 'screw' : 'assumed', `fastener:${f.id}`)
    // A cross for "must not touch", a slot for the rest: readable without colour.
    const never = f.clientMay === 'never'
    pen.line([cx - 3, cy - (never ? 3 : 0)], [cx + 3, cy + (never ? 3 : 0)], 'thread')
    if (never) pen.line([cx - 3, cy + 3], [cx + 3, cy - 3], 'thread')
    const room = cx + 10 + f.name.length * 6 < width
    pen.text([room ? cx + 8 : cx - 8, cy + 4], f.name, 'label', room ? 'start' : 'end', `fastener:${f.id}`)
    spots.push({ ref: `fastener:${f.id}`, name: f.name, x0: cx - 8, x1: cx + 8, y0: cy - 8, y1: cy + 8 })
  }
  return { width, height, scale, axisY: mid, prims: pen.prims, spots, x, mm, clock }
}
