import { known } from '../../facts'
import { boreAt, lieOf, outerAt, sideOf, spanOf } from '../../geometry'
import { type FittedPart, kindRule, type Ref, refTo } from '../../record'
import type { Pen } from '../scene'
import type { Canvas } from './canvas'

/** A part on the page: its box, which way it looks, and the pen. */
interface Body {
  pen: Pen
  p: FittedPart
  ref: Ref
  x0: number
  x1: number
  top: number
  bot: number
  /** Middle and height, px. */
  cy: number
  h: number
  /** Its front looks to the emitter. */
  forward: boolean
  bare: boolean
}
type Glyph = ReturnType<typeof kindRule>['glyph']

const PAINT: Partial<Record<Glyph, (b: Body) => void>> = {
  cell: paintCell,
  speaker: paintSpeaker,
  chamber: paintChamber,
  disc: paintDisc,
  window: ({ pen, x0, top, x1, bot, ref }) => pen.box(x0, top, x1, bot, 'partDark', { ref }),
}

/** A fitted part where it lies, in the sign of its kind. A wire, a strip and what has no place are not drawn. */
export function drawPart(ctx: Canvas, p: FittedPart) {
  const { pen, x, y, spots, view, shape, saber } = ctx
  const span = spanOf(p)
  const { glyph } = kindRule(p.kind)
  if (!span || glyph === 'dot') return
  const ref = refTo('part', p.id)
  if (glyph === 'frame') {
    drawFrame(ctx, p, span)
    return
  }
  if (glyph === 'knob') {
    drawKnob(ctx, p, span)
    return
  }
  const half = (known(p.specs.diameter) ?? known(p.specs.height) ?? 6) / 2
  const lie = lieOf(saber, p, shape)
  const mid = lie.turn ? sideOf(lie.turn) * lie.height : lie.height
  const [x0, x1, top, bot] = [x(span.x0), x(span.x1), y(mid + half), y(mid - half)]
  spots.push({ ref, name: p.name, x0, x1, y0: top, y1: bot })
  const body = { pen, p, ref, x0, x1, top, bot, cy: (top + bot) / 2, h: bot - top }
  const paint = PAINT[glyph] ?? paintBox
  paint({ ...body, forward: known(p.faces) !== 'pommel', bare: !!view.bare })
}

function paintBox({ pen, p, ref, x0, x1, top, bot, cy, h, bare }: Body): void {
  pen.box(x0, top, x1, bot, 'part', { ref })
  if (!bare && x1 - x0 > p.name.length * 5.2 + 8 && h > 11)
    pen.text([(x0 + x1) / 2, cy + 4], p.name, 'partText', 'middle', ref)
}

/** A cell with its nub at the plus pole. */
function paintCell({ pen, p, ref, x0, x1, top, bot, cy, h, forward, bare }: Body): void {
  const nub = Math.min(4, (x1 - x0) * 0.05)
  pen.box(forward ? x0 : x0 + nub, top, forward ? x1 - nub : x1, bot, 'cell', { ref })
  pen.box(forward ? x1 - nub : x0, cy - h * 0.16, forward ? x1 : x0 + nub, cy + h * 0.16, 'partDark')
  pen.text([x0 + 12, cy + 5], forward ? '−' : '+', 'mark')
  pen.text([x1 - 14, cy + 5], forward ? '+' : '−', 'mark')
  if (!bare && x1 - x0 > p.name.length * 5.4 + 44) pen.text([(x0 + x1) / 2, cy + 4], p.name, 'partText', 'middle', ref)
}

/** A speaker with its cone and magnet. */
function paintSpeaker({ pen, ref, x0, x1, top, bot, cy, h, forward }: Body): void {
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
}

/** A crystal in its chamber. */
function paintChamber({ pen, ref, x0, x1, top, bot, cy, h }: Body): void {
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
}

/** A disc; a connector shows its pins. */
function paintDisc({ pen, p, ref, x0, x1, top, bot, cy, h, forward }: Body): void {
  pen.box(x0, top, x1, bot, p.kind === 'connector' || p.kind === 'contactBoard' ? 'metal' : 'part', { ref })
  if (p.kind === 'connector' || p.kind === 'contactBoard') {
    const face = forward ? x1 : x0
    for (let i = -2; i <= 2; i++)
      pen.line([face, cy + (i * h) / 6], [face + (forward ? 7 : -7), cy + (i * h) / 6], 'thread')
  }
}

/** A chassis as its two rails, so that what lies in it stays in sight. */
function drawFrame({ pen, x, y, spots, shape }: Canvas, p: FittedPart, span: { x0: number; x1: number }) {
  const ref = refTo('part', p.id)
  const r = ((known(p.specs.diameter) ?? (boreAt(shape, span.x0) ?? 28) - 0.6) / 2) * 0.99
  const w = known(p.specs.wall) ?? 1.2
  for (const s of [1, -1]) pen.box(x(span.x0), y(s * r), x(span.x1), y(s * (r - w)), 'ghost', { ref })
  spots.push({ ref, name: p.name, x0: x(span.x0), x1: x(span.x1), y0: y(r), y1: y(r - w * 2) })
}

/** A button stands in the wall at its clock angle; its body reaches inwards. */
function drawKnob({ pen, x, y, shape, spots }: Canvas, p: FittedPart, span: { x0: number; x1: number }) {
  const ref = refTo('part', p.id)
  const mid = (span.x0 + span.x1) / 2
  const sign = sideOf(known(p.clock))
  const outer = (outerAt(shape, mid) ?? 34) / 2
  const bore = (boreAt(shape, mid) ?? 27) / 2
  const r = (known(p.specs.diameter) ?? 8) / 2
  pen.box(x(mid - r), y(sign * (outer + 1.4)), x(mid + r), y(sign * bore), 'void')
  pen.box(x(mid - r * 0.8), y(sign * (outer + 1.6)), x(mid + r * 0.8), y(sign * (bore - 3)), 'part', { ref })
  pen.box(x(mid - r * 0.45), y(sign * (outer + 2.6)), x(mid + r * 0.45), y(sign * (outer + 1.6)), 'partDark', { ref })
  spots.push({
    ref,
    name: p.name,
    x0: x(mid - r),
    x1: x(mid + r),
    y0: Math.min(y(sign * (outer + 3)), y(sign * (bore - 3))),
    y1: Math.max(y(sign * (outer + 3)), y(sign * (bore - 3))),
  })
}
