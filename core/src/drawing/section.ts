import { known } from '../facts'
import { type Blade, type FittedPart, kindRule, refTo, type Saber } from '../record'
import {
  boreAt,
  type Certainty,
  certainty,
  crossAt,
  type HiltShape,
  inArm,
  layOut,
  outerAt,
  type PlacedSection,
  sectionAt,
  socketSpan,
  spanOf,
} from '../room/hilt'
import { formatNumber } from '../units'
import { hatch, Pen, type Pt, type Role, type Scene, type Spot } from './scene'

export interface SectionView {
  width: number
  height: number
  /** The stretch of the hilt to show, mm; the whole of it when absent. */
  from?: number
  to?: number
  /** Colour of the blade; undefined draws the tube unlit. */
  blade?: string
  /** How much larger than the whole hilt, ≥ 1, and what x to keep in the middle. Beyond 1 the upper wall stays in view. */
  zoom?: number
  centre?: number
  /** Leave out dimensions and labels (the rack, a thumbnail). */
  bare?: boolean
}

/** Air above and below the hilt, for dimensions and names, px. */
const MARGIN = { top: 50, bottom: 46, side: 26, bareTop: 4, bareSide: 2 }
const HATCH_GAP = 6

/**
 * The section drawing of a saber, cut along its axis, in true proportion: walls hatched, neighbours leaning against each
 * other as drafting asks, fitted parts inside, screws where their clock angle puts them, the blade broken off at the edge.
 * What is assumed is drawn dashed, what is unknown dotted. A saber without sections gives an axis and nothing else.
 */
export function drawSection(saber: Saber, view: SectionView): Scene {
  const shape = layOut(saber.hilt)
  const pen = new Pen()
  const spots: Spot[] = []
  const side = view.bare ? MARGIN.bareSide : MARGIN.side
  const top = view.bare ? MARGIN.bareTop : MARGIN.top
  const bottom = view.bare ? MARGIN.bareTop : MARGIN.bottom
  const length = shape.length || 240
  const from = view.from ?? 0
  const to = view.to ?? length
  const widest = Math.max(...shape.sections.flatMap((s) => s.outer.flatMap((p) => [p.d0, p.d1])), 36)
  const arms = quillonReach(shape)
  const room = view.height - top - bottom
  // Whole hilt: leave a fifth of the width to the blade. Zoomed: use it all.
  const bladeShare = view.to === undefined && !view.bare ? 0.2 : 0
  const zoom = Math.max(1, view.zoom ?? 1)
  const scale =
    zoom * Math.min(((view.width - 2 * side) * (1 - bladeShare)) / (to - from), room / Math.max(widest, arms * 2))
  const used = (to - from) * scale
  const startX =
    zoom > 1
      ? // The wanted x stands in the middle, but nothing empty is shown beyond the ends.
        Math.min(side, Math.max(view.width / 2 - (view.centre ?? length / 2) * scale, view.width - side * 3 - used))
      : view.to === undefined && !view.bare
        ? side + Math.max(0, ((view.width - 2 * side) * (1 - bladeShare) - used) * 0.35)
        : side
  const axisY = zoom > 1 ? Math.max(top + room / 2, top + 12 + (widest / 2) * scale) : top + room / 2
  const x = (mm: number) => startX + (mm - from) * scale
  const mm = (px: number) => (px - startX) / scale + from
  const y = (offset: number) => axisY - offset * scale
  const ctx: Ctx = { saber, shape, pen, spots, x, y, scale, axisY, view }

  if (!view.bare) pen.line([Math.max(0, x(from) - 18), axisY], [view.width - 4, axisY], 'centre')
  for (const b of saber.blades.filter((b) => b.use !== 'demo' || saber.blades.length === 1).slice(0, 6))
    drawBlade(ctx, b)
  drawQuillons(ctx)
  if (view.bare) drawBodies(ctx)
  shape.sections.forEach((s, i) => {
    drawWalls(ctx, s, i)
  })
  shape.sections.forEach((s, i) => {
    drawJoint(ctx, s, shape.sections[i + 1])
  })
  if (!view.bare) for (const p of saber.parts) drawPart(ctx, p)
  for (const o of saber.hilt.openings) drawOpening(ctx, o)
  for (const f of saber.hilt.fasteners) drawFastener(ctx, f)
  if (!view.bare) drawMeasures(ctx)
  return { width: view.width, height: view.height, scale, axisY, prims: pen.prims, spots, x, mm }
}

/** In a thumbnail the hilt is a closed body, its bore only a lighter line along it. */
function drawBodies({ pen, shape, x, y }: Ctx) {
  for (const s of shape.sections) {
    const top: Pt[] = s.outer.flatMap((p): Pt[] => [
      [x(p.x0), y(p.d0 / 2)],
      [x(p.x1), y(p.d1 / 2)],
    ])
    pen.path([...top, ...top.map(([px, py]): Pt => [px, 2 * y(0) - py]).toReversed()], 'part', { closed: true })
  }
}

interface Ctx {
  saber: Saber
  shape: HiltShape
  pen: Pen
  spots: Spot[]
  x: (mm: number) => number
  y: (offset: number) => number
  scale: number
  axisY: number
  view: SectionView
}

const quillonReach = (shape: HiltShape) =>
  Math.max(0, ...shape.quillons.map((q) => known(q.length) ?? 30)) + (shape.quillons.length ? 18 : 0)

const WALL_ROLE: Record<string, { hatch: Role | 'none'; gap: number }> = {
  aluminium: { hatch: 'hatch', gap: HATCH_GAP },
  steel: { hatch: 'hatch', gap: HATCH_GAP * 0.66 },
  silver: { hatch: 'hatch', gap: HATCH_GAP * 0.8 },
  brass: { hatch: 'hatchBand', gap: HATCH_GAP * 1.2 },
  copper: { hatch: 'hatchBand', gap: HATCH_GAP * 0.9 },
  leather: { hatch: 'hatchBand', gap: HATCH_GAP * 1.8 },
  wood: { hatch: 'hatchBand', gap: HATCH_GAP * 2.2 },
}

/** The cut walls above and below the axis, one quadrilateral for each pair of profile pieces, hatched. */
function drawWalls({ pen, spots, x, y }: Ctx, s: PlacedSection, index: number) {
  const cuts = [...new Set([...s.outer, ...s.bore].flatMap((p) => [p.x0, p.x1]))].sort((a, b) => a - b)
  const style = WALL_ROLE[s.section.material] ?? { hatch: 'hatch' as const, gap: HATCH_GAP * 1.5 }
  const lean = index % 2 ? -1 : 1
  const at = (list: PlacedSection['outer'], from: number, to: number) => {
    const p = list.find((q) => q.x0 <= from + 1e-9 && q.x1 >= to - 1e-9)!
    const d = (v: number) => p.d0 + ((p.d1 - p.d0) * (v - p.x0)) / (p.x1 - p.x0)
    return [d(from) / 2, d(to) / 2] as const
  }
  const edge: Pt[][] = [[], []]
  const inner: Pt[][] = [[], []]
  for (let i = 1; i < cuts.length; i++) {
    const [a, b] = [cuts[i - 1]!, cuts[i]!]
    const [ra, rb] = at(s.outer, a, b)
    const [ia, ib] = at(s.bore, a, b)
    for (const sign of [1, -1] as const) {
      const quad: Pt[] = [
        [x(a), y(sign * ra)],
        [x(b), y(sign * rb)],
        [x(b), y(sign * Math.min(ib, rb))],
        [x(a), y(sign * Math.min(ia, ra))],
      ]
      pen.path(quad, 'wall', { closed: true, ref: refTo('section', s.section.id) })
      if (style.hatch !== 'none')
        for (const l of hatch(quad, style.gap, (lean * sign) as 1 | -1)) pen.path(l, style.hatch)
      const side = sign === 1 ? 0 : 1
      edge[side]!.push([x(a), y(sign * ra)], [x(b), y(sign * rb)])
      inner[side]!.push([x(a), y(sign * Math.min(ia, ra))], [x(b), y(sign * Math.min(ib, rb))])
    }
  }
  const role: Role = s.certainty === 'known' ? 'outline' : s.certainty === 'assumed' ? 'assumed' : 'unknown'
  for (const side of [0, 1]) pen.path([...edge[side]!, ...inner[side]!.toReversed()], role, { closed: true })
  const r = Math.max(...s.outer.flatMap((p) => [p.d0, p.d1])) / 2
  spots.push({
    ref: refTo('section', s.section.id),
    name: s.section.name,
    x0: x(s.x0),
    x1: x(s.x1),
    y0: y(r),
    y1: y(-r),
  })
}

/** A thread shows its flanks in the wall over its length; a collar, magnet or glue line shows at the seam. */
function drawJoint({ pen, x, y, shape }: Ctx, s: PlacedSection, next: PlacedSection | undefined) {
  if (!next || s.section.joint.kind === 'none') return
  const wallAt = (px: number) => [(boreAt(shape, px) ?? 0) / 2, (outerAt(shape, px) ?? 0) / 2] as const
  const length = known(s.section.joint.length) ?? 6
  const [bore, outer] = wallAt(s.x1 + 0.1)
  const mid = Math.min(bore + (outer - bore) * 0.5, outer - 0.4)
  if (s.section.joint.kind === 'thread') {
    const tooth = Math.max(0.9, length / 12)
    for (const sign of [1, -1]) {
      const pts: Pt[] = []
      for (let k = 0; k * tooth <= length; k++)
        pts.push([x(s.x1 + k * tooth), y(sign * (mid + (k % 2 ? 0.35 : -0.35)))])
      pen.path(pts, 'thread')
      pen.line([x(s.x1 + length), y(sign * (mid + 0.5))], [x(s.x1 + length), y(sign * bore)], 'thread')
    }
  } else
    for (const sign of [1, -1]) {
      pen.path(
        [
          [x(s.x1 - 1.6), y(sign * bore)],
          [x(s.x1), y(sign * mid)],
          [x(s.x1 + 1.6), y(sign * bore)],
        ],
        'thread',
      )
    }
}

/** Crossguard arms stand across the axis where the emitter begins. */
function drawQuillons({ pen, spots, x, y, shape }: Ctx) {
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

function drawBlade({ pen, spots, saber, shape, x, y, view }: Ctx, b: Blade) {
  const span = socketSpan(saber, b.socket, shape)
  const d = known(b.outside)
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  if (!span || d === undefined || inArm(shape, socket)) return
  const r = d / 2
  const wall = known(b.wall) ?? 2
  const end = b.kind === 'plug' ? x(span.x1) + 10 : view.bare ? x(span.x1) : view.width - 14
  const ref = refTo('blade', b.id)
  pen.box(x(span.x0), y(r), end, y(-r), 'bladeTube', { ref, ...(view.blade ? { colour: view.blade } : {}) })
  if (b.kind !== 'plug') {
    pen.box(x(span.x0) + 1, y(r - wall), end, y(-(r - wall)), 'bladeGlow', view.blade ? { colour: view.blade } : {})
    if (view.blade) pen.box(x(span.x0) + 1, y(r * 0.25), end, y(-r * 0.25), 'bladeCore', { colour: view.blade })
  }
  spots.push({ ref, name: b.name, x0: x(span.x0), x1: end, y0: y(r), y1: y(-r) })
  spots.push({
    ref: refTo('socket', b.socket),
    name: socket?.name ?? 'socket',
    x0: x(span.x0),
    x1: x(span.x1),
    y0: y(r + 1),
    y1: y(-r - 1),
  })
}

/** Height of a part across the axis and the offset of its middle, mm. A board beside a cell lies on top of it. */
function across(ctx: Ctx, p: FittedPart): { half: number; mid: number } {
  const d = known(p.specs.diameter)
  const half = (d ?? known(p.specs.height) ?? 6) / 2
  const span = spanOf(p)
  const partner = p.beside
    ? ctx.saber.parts.find((q) => q.id === p.beside)
    : ctx.saber.parts.find((q) => q.beside === p.id)
  if (p.kind === 'display' && span) {
    // A display lies under the wall that its clock angle names.
    const side = Math.cos(((known(p.clock) ?? 0) * Math.PI) / 180) >= 0 ? 1 : -1
    return { half, mid: side * ((boreAt(ctx.shape, (span.x0 + span.x1) / 2) ?? 28) / 2 - half - 0.4) }
  }
  if (span && !partner && ['cell', 'chamber'].includes(kindRule(p.kind).glyph)) {
    const reach = ctx.saber.parts
      .filter((q) => q.kind === 'display' || q.kind === 'switch')
      .filter((q) => {
        const s = spanOf(q)
        return s && s.x0 < span.x1 && s.x1 > span.x0 && Math.cos(((known(q.clock) ?? 0) * Math.PI) / 180) >= 0
      })
      .reduce((m, q) => {
        const s = spanOf(q)!
        const [bore, outer] = [boreAt(ctx.shape, (s.x0 + s.x1) / 2) ?? 0, outerAt(ctx.shape, (s.x0 + s.x1) / 2) ?? 0]
        const deep = known(q.specs.height) ?? 0
        return Math.max(m, q.kind === 'display' ? deep + 0.4 : deep - (outer - bore) / 2)
      }, 0)
    const free = (boreAt(ctx.shape, (span.x0 + span.x1) / 2) ?? 2 * half) / 2 - (known(ctx.saber.hilt.clearance) ?? 0)
    return { half, mid: -Math.max(0, Math.min(half + reach - free, free - half)) }
  }
  if (!partner || !span) return { half, mid: 0 }
  const bore = boreAt(ctx.shape, (span.x0 + span.x1) / 2) ?? 30
  const R = bore / 2 - (known(ctx.saber.hilt.clearance) ?? 0.3)
  const partnerD = known(partner.specs.diameter)
  // The cell of the pair lies on the wall below; the slab lies on the cell.
  if (p.kind === 'cell') return { half, mid: -(R - half) }
  if (partnerD !== undefined) return { half, mid: partnerD - R + half + 0.4 }
  return { half, mid: 0 }
}

function drawPart(ctx: Ctx, p: FittedPart) {
  const { pen, x, y, spots } = ctx
  const span = spanOf(p)
  if (!span) return
  const ref = refTo('part', p.id)
  const rule = kindRule(p.kind)
  if (rule.glyph === 'dot' || rule.glyph === 'frame') {
    if (rule.glyph === 'frame') {
      const r = ((known(p.specs.diameter) ?? (boreAt(ctx.shape, span.x0) ?? 28) - 0.6) / 2) * 0.99
      const w = known(p.specs.wall) ?? 1.2
      for (const s of [1, -1]) pen.box(x(span.x0), y(s * r), x(span.x1), y(s * (r - w)), 'ghost', { ref })
      spots.push({ ref, name: p.name, x0: x(span.x0), x1: x(span.x1), y0: y(r), y1: y(r - w * 2) })
    }
    return
  }
  const { half, mid } = across(ctx, p)
  const [x0, x1, top, bot] = [x(span.x0), x(span.x1), y(mid + half), y(mid - half)]
  spots.push({ ref, name: p.name, x0, x1, y0: top, y1: bot })
  const forward = p.faces !== 'pommel'
  const h = bot - top
  const cy = (top + bot) / 2
  switch (rule.glyph) {
    case 'cell': {
      const nub = Math.min(4, (x1 - x0) * 0.05)
      pen.box(forward ? x0 : x0 + nub, top, forward ? x1 - nub : x1, bot, 'cell', { ref })
      pen.box(forward ? x1 - nub : x0, cy - h * 0.16, forward ? x1 : x0 + nub, cy + h * 0.16, 'partDark')
      pen.text([x0 + 12, cy + 5], forward ? '−' : '+', 'mark')
      pen.text([x1 - 14, cy + 5], forward ? '+' : '−', 'mark')
      if (!ctx.view.bare && x1 - x0 > p.name.length * 5.4 + 44)
        pen.text([(x0 + x1) / 2, cy + 4], p.name, 'partText', 'middle', ref)
      break
    }
    case 'speaker': {
      const [back, face] = forward ? [x0, x1] : [x1, x0]
      pen.box(x0, top, x1, bot, 'part', { ref })
      const lip = (face - back) * 0.86 + back
      pen.path(
        [
          [lip, top + h * 0.04],
          [back + (face - back) * 0.35, cy - h * 0.2],
          [back + (face - back) * 0.35, cy + h * 0.2],
          [lip, bot - h * 0.04],
        ],
        'partDetail',
      )
      pen.box(
        Math.min(back, back + (face - back) * 0.3),
        cy - h * 0.22,
        Math.max(back, back + (face - back) * 0.3),
        cy + h * 0.22,
        'partDetail',
      )
      break
    }
    case 'chamber': {
      pen.box(x0, top, x1, bot, 'ghost', { ref })
      const [l, r2] = [x0 + (x1 - x0) * 0.08, x1 - (x1 - x0) * 0.08]
      const k = h * 0.22
      const m1 = l + (r2 - l) * 0.25
      const m2 = l + (r2 - l) * 0.72
      pen.path(
        [
          [l, cy],
          [m1, cy - k],
          [m2, cy - k],
          [r2, cy],
          [m2, cy + k],
          [m1, cy + k],
        ],
        'glass',
        { closed: true, ref },
      )
      pen.path(
        [
          [l, cy],
          [m1 + 6, cy - k * 0.2],
          [m2, cy + k * 0.1],
          [r2, cy],
        ],
        'partDetail',
      )
      pen.path(
        [
          [m1, cy - k],
          [m1 + 6, cy - k * 0.2],
          [m1, cy + k],
        ],
        'partDetail',
      )
      break
    }
    case 'disc': {
      pen.box(x0, top, x1, bot, p.kind === 'connector' || p.kind === 'contactBoard' ? 'metal' : 'part', { ref })
      if (p.kind === 'connector' || p.kind === 'contactBoard') {
        const face = forward ? x1 : x0
        for (let i = -2; i <= 2; i++)
          pen.line([face, cy + (i * h) / 6], [face + (forward ? 7 : -7), cy + (i * h) / 6], 'thread')
      }
      break
    }
    case 'window':
      pen.box(x0, top, x1, bot, 'partDark', { ref })
      break
    case 'knob':
      // A button stands in the wall on the switch line; its body reaches inwards.
      drawKnob(ctx, p, span, ref)
      break
    default:
      pen.box(x0, top, x1, bot, 'part', { ref })
      if (!ctx.view.bare && x1 - x0 > p.name.length * 5.2 + 8 && h > 11)
        pen.text([(x0 + x1) / 2, cy + 4], p.name, 'partText', 'middle', ref)
  }
}

function drawKnob({ pen, x, y, shape, spots }: Ctx, p: FittedPart, span: { x0: number; x1: number }, ref: string) {
  const mid = (span.x0 + span.x1) / 2
  const clock = ((known(p.clock) ?? 0) * Math.PI) / 180
  const sign = Math.cos(clock) >= 0 ? 1 : -1
  const outer = (outerAt(shape, mid) ?? 34) / 2
  const bore = (boreAt(shape, mid) ?? 27) / 2
  const r = (known(p.specs.diameter) ?? 8) / 2
  pen.box(x(mid - r), y(sign * (outer + 1.4)), x(mid + r), y(sign * bore), 'void')
  pen.box(x(mid - r * 0.8), y(sign * (outer + 1.6)), x(mid + r * 0.8), y(sign * (bore - 3)), 'part', { ref })
  pen.box(x(mid - r * 0.45), y(sign * (outer + 2.6)), x(mid + r * 0.45), y(sign * (outer + 1.6)), 'partDark', { ref })
  // Replaces the spot pushed for the generic box.
  spots.pop()
  spots.push({
    ref,
    name: p.name,
    x0: x(mid - r),
    x1: x(mid + r),
    y0: Math.min(y(sign * (outer + 3)), y(sign * (bore - 3))),
    y1: Math.max(y(sign * (outer + 3)), y(sign * (bore - 3))),
  })
}

/** The least certain of some facts. */
const worstOf = (facts: Parameters<typeof certainty>[0][]): Certainty => {
  const all = facts.map(certainty)
  return all.includes('unknown') ? 'unknown' : all.includes('assumed') ? 'assumed' : 'known'
}

/** Openings that face the cut show as gaps in the wall; those on the near side as an outline on it. */
function drawOpening({ pen, x, y, shape, spots }: Ctx, o: Saber['hilt']['openings'][number]) {
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

function drawFastener({ pen, x, y, shape, spots }: Ctx, f: Saber['hilt']['fasteners'][number]) {
  const at = known(f.at)
  if (at === undefined) return
  const c = Math.cos(((known(f.clock) ?? 0) * Math.PI) / 180)
  const outer = (outerAt(shape, at) ?? 34) / 2
  const bore = (boreAt(shape, at) ?? 27) / 2
  const ref = refTo('fastener', f.id)
  const w = (/^M(\d+(?:\.\d+)?)/.exec(f.thread) ? Number(/^M(\d+(?:\.\d+)?)/.exec(f.thread)![1]) : 3.5) / 2
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

/** Section lengths above; names below; the seat of the main blade at the foot. */
function drawMeasures({ pen, shape, saber, x, y, axisY, view }: Ctx) {
  const topY = Math.min(
    ...shape.sections.flatMap((s) => s.outer.flatMap((p) => [y(p.d0 / 2), y(p.d1 / 2)])),
    axisY - 50,
  )
  const dimY = Math.max(16, topY - 22)
  for (const s of shape.sections) {
    const c = certainty(s.section.length)
    const value = known(s.section.length)
    const text = value === undefined ? '?' : `${c === 'assumed' ? '≈ ' : ''}${formatNumber(value, 1)}`
    pen.dimension(x(s.x0), x(s.x1), dimY, text, c !== 'known', refTo('section', s.section.id))
  }
  const bottomY = Math.min(
    Math.max(...shape.sections.flatMap((s) => s.outer.flatMap((p) => [y(-p.d0 / 2), y(-p.d1 / 2)])), axisY + 40),
    view.height - MARGIN.bottom,
  )
  let lastEnd = -Infinity
  for (const s of shape.sections) {
    const mid = (x(s.x0) + x(s.x1)) / 2
    const w = s.section.name.length * 5.8
    const drop = mid - w / 2 < lastEnd + 6 ? 13 : 0
    pen.text([mid, bottomY + 15 + drop], s.section.name, 'label', 'middle', refTo('section', s.section.id))
    lastEnd = drop ? lastEnd : mid + w / 2
  }
  if (view.to !== undefined) return
  for (const k of saber.hilt.sockets) {
    const span = socketSpan(saber, k.id, shape)
    if (!span || inArm(shape, k)) continue
    const c = certainty(k.depth)
    pen.dimension(
      x(span.x0),
      x(span.x1),
      bottomY + 34,
      `seat ${c === 'assumed' ? '≈ ' : ''}${formatNumber(known(k.depth)!, 1)}`,
      c !== 'known',
      refTo('socket', k.id),
    )
    break
  }
}

/** Where a reference stands along the hilt, mm from the pommel; undefined for things without a place. */
export function placeOf(saber: Saber, ref: string | undefined): { x0: number; x1: number } | undefined {
  if (!ref) return undefined
  const shape = layOut(saber.hilt)
  const [kind, id] = ref.split(':') as [string, string]
  const point = (v: number | undefined, half = 0) => (v === undefined ? undefined : { x0: v - half, x1: v + half })
  switch (kind) {
    case 'section': {
      const s = shape.sections.find((p) => p.section.id === id)
      return s && { x0: s.x0, x1: s.x1 }
    }
    case 'fastener':
      return point(known(saber.hilt.fasteners.find((f) => f.id === id)?.at))
    case 'opening': {
      const o = saber.hilt.openings.find((q) => q.id === id)
      return point(known(o?.at), (known(o?.length) ?? 0) / 2)
    }
    case 'part': {
      const p = saber.parts.find((q) => q.id === id)
      return p && spanOf(p)
    }
    case 'blade': {
      const b = saber.blades.find((q) => q.id === id)
      return b && socketSpan(saber, b.socket, shape)
    }
    case 'socket':
      return socketSpan(saber, id, shape)
    case 'input': {
      const i = saber.inputs.find((q) => q.id === id)
      return placeOf(saber, i?.part ? refTo('part', i.part) : i?.opening ? refTo('opening', i.opening) : undefined)
    }
    default:
      return undefined
  }
}

export { sectionAt }
