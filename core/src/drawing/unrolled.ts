import { known } from '../facts'
import { certainty, layOut, outerAt, sideOpenings, spanOf } from '../geometry'
import { type Fastener, refTo, type Saber } from '../record'
import { formatNumber, type Reader } from '../units'
import { Pen, type Pt, type Role, type Scene, type Spot } from './scene'

/** The unrolled surface: a scene, and the way back from a point on it to a clock angle. */
export interface Unrolled extends Scene {
  /** Clock angle at a point, degrees 0…360; undefined off the surface. */
  clock: (px: number, py: number) => number | undefined
}

const LEFT = 40
const TOP = 34
const FOOT = 18

/**
 * The hilt's outside unrolled, true to scale both ways: length along x, and round the hilt along y, the switch line (0°)
 * in the middle, the other half-turns at the edges, clockwise (seen from the pommel) downwards. Where the hilt is thicker
 * the surface is taller, π·D. What lies across the half-turn is drawn at both edges. Above stands how far each opening,
 * button and screw is from the pommel; what is `lit` is measured from the switch line too. Fits the width, and the height
 * too unless `zoom` is above 1.
 */
export function drawUnrolled(
  reader: Reader,
  saber: Saber,
  view: {
    width: number
    height: number
    zoom?: number
    lit?: string | undefined
    /** What stands beside a screw; its name where nothing is said. */
    words?: (f: Fastener) => string
  },
): Unrolled {
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

  /** Where something `half` px high stands: once more at the other edge when it reaches across the half-turn. */
  const turns = (at: number, deg: number, half: number): number[] => {
    const cy = y(at, deg)
    const whole = around(at) * scale
    if (cy + half > mid + whole / 2 + 1e-9) return [cy, cy - whole]
    return cy - half < mid - whole / 2 - 1e-9 ? [cy, cy + whole] : [cy]
  }
  const marks: { ref: string; at: number; deg: number; sure: boolean }[] = []

  for (const s of shape.sections) {
    const edge = (sign: 1 | -1): Pt[] =>
      s.outer.flatMap((p): Pt[] => [
        [x(p.x0), mid + (sign * Math.PI * p.d0 * scale) / 2],
        [x(p.x1), mid + (sign * Math.PI * p.d1 * scale) / 2],
      ])
    const role: Role = s.certainty === 'known' ? 'outline' : s.certainty
    pen.path([...edge(-1), ...edge(1).toReversed()], role, { closed: true, ref: refTo('section', s.section.id) })
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
  for (const o of sideOpenings(saber.hilt)) {
    const [at, len, deg] = [known(o.at), known(o.length), known(o.clock)]
    if (at === undefined || len === undefined || deg === undefined) continue
    const half = ((known(o.width) ?? 4) * scale) / 2
    const sure = [o.at, o.length, o.width, o.clock].map(certainty)
    for (const cy of turns(at, deg, half)) {
      const top = Math.max(cy - half, mid - (around(at) * scale) / 2)
      const foot = Math.min(cy + half, mid + (around(at) * scale) / 2)
      const box = { x0: x(at - len / 2), x1: x(at + len / 2), y0: top, y1: foot }
      pen.box(box.x0, top, box.x1, foot, o.kind === 'window' ? 'glass' : 'void', { ref: refTo('opening', o.id) })
      if (sure.some((c) => c !== 'known'))
        pen.box(box.x0, top, box.x1, foot, sure.includes('unknown') ? 'unknown' : 'assumed')
      spots.push({ ref: refTo('opening', o.id), name: o.name, ...box })
    }
    marks.push({ ref: refTo('opening', o.id), at, deg, sure: !sure.some((c) => c !== 'known') })
  }
  for (const p of saber.parts.filter((q) => q.kind === 'switch')) {
    const span = spanOf(p)
    const deg = known(p.clock)
    if (!span || deg === undefined) continue
    const at = (span.x0 + span.x1) / 2
    const r = Math.max(4, ((known(p.specs.diameter) ?? 8) * scale) / 2)
    const cx = x(at)
    for (const cy of turns(at, deg, r)) {
      pen.circle([cx, cy], r, 'part', refTo('part', p.id))
      spots.push({ ref: refTo('part', p.id), name: p.name, x0: cx - r, x1: cx + r, y0: cy - r, y1: cy + r })
    }
    marks.push({ ref: refTo('part', p.id), at, deg, sure: certainty(p.at) === 'known' })
  }
  for (const f of saber.hilt.fasteners) {
    const [at, deg] = [known(f.at), known(f.clock)]
    if (at === undefined || deg === undefined) continue
    const [cx, cy] = [x(at), y(at, deg)]
    pen.circle([cx, cy], 5, certainty(f.at) === 'known' ? 'screw' : 'assumed', refTo('fastener', f.id))
    // A cross for "must not touch", a slot for the rest: readable without colour.
    const never = f.clientMay === 'never'
    pen.line([cx - 3, cy - (never ? 3 : 0)], [cx + 3, cy + (never ? 3 : 0)], 'thread')
    if (never) pen.line([cx - 3, cy + 3], [cx + 3, cy - 3], 'thread')
    // Beside it; above or below where a line of the quarter turns would run through the words, or others stand there.
    const struck = [-90, 0, 90].some((q) => Math.abs(cy - (mid + (q / 360) * around(at) * scale)) < 6)
    const places = [...(struck ? [] : [4]), -5, 14, -17, 26, -29, 38].flatMap(
      (down) =>
        [
          [[cx + 8, cy + down], 'start'],
          [[cx - 8, cy + down], 'end'],
        ] as const,
    )
    pen.free(places, view.words?.(f) ?? f.name, 'label', width, refTo('fastener', f.id))
    spots.push({ ref: refTo('fastener', f.id), name: f.name, x0: cx - 8, x1: cx + 8, y0: cy - 8, y1: cy + 8 })
    marks.push({
      ref: refTo('fastener', f.id),
      at,
      deg,
      sure: certainty(f.at) === 'known' && certainty(f.clock) === 'known',
    })
  }
  const lit = marks.find((m) => m.ref === view.lit)
  const rows = [-Infinity, -Infinity]
  const places = new Map(marks.map((m) => [m.at, m]))
  if (lit) places.set(lit.at, lit)
  for (const m of [...places.values()].sort((a, b) => a.at - b.at)) {
    const text = `${m.sure ? '' : '≈ '}${formatNumber(reader, m.at, 1)}`
    const half = text.length * 3 + 3
    // What is lit stands in the lower row; the others where there is room.
    const beside = lit && Math.abs(x(m.at) - x(lit.at)) < 2 * half
    const row = m === lit ? 0 : [0, 1].find((r) => x(m.at) - half >= rows[r]! && !(r === 0 && beside))
    if (row === undefined) continue
    const foot = row === 0 ? 22 : 11
    pen.text([x(m.at), foot], text, m.sure ? 'dimText' : 'dimTextAbout', 'middle', m.ref)
    pen.line([x(m.at), foot + 3], [x(m.at), TOP - 2], m.sure ? 'dim' : 'dimAbout')
    rows[row] = x(m.at) + half
  }
  if (lit) {
    const [px, py] = [x(lit.at), y(lit.at, lit.deg)]
    pen.line([px, TOP - 2], [px, py], 'leader')
    if (Math.abs(py - mid) > 12) {
      const arc = (Math.abs(turn(lit.deg)) / 360) * around(lit.at)
      pen.line([px, py], [px, mid], 'dim')
      const words = `${formatNumber(reader, arc, 1)} mm round, ${formatNumber(reader, lit.deg, 0)}°`
      pen.text([px + 8, py + (py > mid ? 18 : -10)], words, lit.sure ? 'dimText' : 'dimTextAbout', 'start')
    }
  }
  return { width, height, scale, axisY: mid, prims: pen.prims, spots, x, mm, clock }
}
