import { known } from '../../facts'
import { certainty, crossAt, type HiltShape } from '../../geometry'
import { refTo, type Section } from '../../record'
import { formatNumber, type Reader } from '../../units'
import { hatch, type Pt } from '../scene'
import { type Canvas, HATCH_GAP } from './canvas'

/** How far an arm's blade is drawn out of it before it is broken off, mm. */
const STUB = 18
const REACH = 30

/** How far the arms of a crossguard stand out from the axis with the stubs of their blades, mm; 0 without arms. */
export const quillonReach = (shape: HiltShape) =>
  shape.quillons.length ? rootOf(shape) + Math.max(...shape.quillons.map((q) => known(q.length) ?? REACH)) + STUB : 0

/** Where the arms begin: on the outside of the section that carries them, mm from the axis. */
const rootOf = (shape: HiltShape) => (known(shape.sections.at(-1)?.section.outside) ?? 34) / 2

/** An arm in the drawing: the side it stands on, its middle along the hilt, its radii, and where it begins and ends, mm. */
interface Arm {
  section: Section
  sign: 1 | -1
  cx: number
  r: number
  bore: number
  root: number
  tip: number
}

export function armsOf(shape: HiltShape): Arm[] {
  const cx = crossAt(shape)
  if (cx === undefined) return []
  const root = rootOf(shape)
  return shape.quillons.map((section, i) => ({
    section,
    sign: i % 2 ? -1 : 1,
    cx,
    r: (known(section.outside) ?? 20) / 2,
    bore: (known(section.bore) ?? 14) / 2,
    root,
    tip: root + (known(section.length) ?? REACH),
  }))
}

/** Crossguard arms stand across the axis, cut as the hilt is, with the seats and stubs of their blades. */
export function drawQuillons(reader: Reader, canvas: Canvas) {
  for (const arm of armsOf(canvas.shape)) {
    drawSeat(canvas, arm)
    drawArm(reader, canvas, arm)
  }
}

function drawSeat({ pen, spots, saber, x, y, view }: Canvas, { section, sign, cx, bore, tip }: Arm) {
  const at = (mm: number) => y(sign * mm)
  const socket = saber.hilt.sockets.find((k) => k.section === section.id)
  const depth = known(socket?.depth)
  if (!socket || depth === undefined) return
  const floor = Math.max(0, tip - depth)
  const [x0, x1] = [x(cx - bore), x(cx + bore)]
  pen.line([x0, at(floor)], [x1, at(floor)], 'outline')
  spots.push({ ref: refTo('socket', socket.id), name: socket.name, x0, x1, y0: at(floor), y1: at(tip) })
  const blade = saber.blades.find((b) => b.socket === socket.id && b.use !== 'demo')
  const d = known(blade?.outside)
  if (!blade || d === undefined || view.bare) return
  const ref = refTo('blade', blade.id)
  const end = blade.kind === 'plug' ? tip + 3 : tip + STUB - 4
  const colour = view.blade ? { colour: view.blade } : {}
  pen.box(x(cx - d / 2), at(floor), x(cx + d / 2), at(end), 'bladeTube', { ref, ...colour })
  if (blade.kind !== 'plug') {
    const inner = Math.max(d / 2 - (known(blade.wall) ?? 2), d / 8)
    pen.box(x(cx - inner), at(floor), x(cx + inner), at(end), 'bladeGlow', colour)
  }
  spots.push({ ref, name: blade.name, x0: x(cx - d / 2), x1: x(cx + d / 2), y0: at(tip), y1: at(end) })
}

function drawArm(
  reader: Reader,
  { pen, spots, shape, x, y, view }: Canvas,
  { section: q, sign, cx, r, bore, root, tip }: Arm,
) {
  const at = (mm: number) => y(sign * mm)
  const ref = refTo('section', q.id)
  const sure = certainty(q.length)
  for (const [from, to] of [
    [-r, -bore],
    [bore, r],
  ] as const) {
    const quad: Pt[] = [
      [x(cx + from), at(root)],
      [x(cx + to), at(root)],
      [x(cx + to), at(tip)],
      [x(cx + from), at(tip)],
    ]
    pen.path(quad, 'wall', { closed: true })
    for (const l of hatch(quad, HATCH_GAP, 1)) pen.path(l, 'hatch')
    pen.path(quad, sure === 'known' ? 'outline' : 'assumed', { closed: true })
  }
  // The mouth, seen behind the cut.
  pen.line([x(cx - bore), at(tip)], [x(cx + bore), at(tip)], 'outline')
  const length = known(q.length)
  if (!view.bare) {
    const text = `${q.name} ${length === undefined ? '?' : `${sure === 'known' ? '' : '≈ '}${formatNumber(reader, length, 1)}`}`
    // At the tip, clear of the lines that lead from the carrying section to its measures.
    const [after, before] = [x(Math.max(cx + r, shape.length)) + 8, x(cx - r) - 8]
    const places = [4, 4 - sign * 13, 4 + sign * 13].flatMap(
      (down) =>
        [
          [[after, at(tip) + down], 'start'],
          [[before, at(tip) + down], 'end'],
        ] as const,
    )
    pen.free(places, text, 'label', view.width, ref)
  }
  spots.push({
    ref,
    name: q.name,
    x0: x(cx - r),
    x1: x(cx + r),
    y0: Math.min(at(root), at(tip)),
    y1: Math.max(at(root), at(tip)),
  })
}
