import { known } from '../../facts'
import { certainty, inArm, socketSpan } from '../../geometry'
import { refTo } from '../../record'
import { formatNumber, type Reader } from '../../units'
import { type Canvas, MARGIN } from './canvas'
import { armsOf, quillonReach } from './quillons'

/**
 * Section lengths above; names below; the seat of the main blade at the foot. Where the arms of a crossguard stand, their
 * section's length goes over them and its seat under them, and its name beside them.
 */
export function drawMeasures(reader: Reader, { pen, shape, saber, x, y, axisY, view }: Canvas) {
  const topY = Math.min(
    ...shape.sections.flatMap((s) => s.outer.flatMap((p) => [y(p.d0 / 2), y(p.d1 / 2)])),
    axisY - 50,
  )
  const dimY = Math.max(16, topY - 22)
  const arms = armsOf(shape)
  /** An arm reaches down past the names and the seat. */
  const below = arms.some((a) => a.sign < 0)
  const [armed, reach] = [arms.length ? shape.sections.at(-1) : undefined, quillonReach(shape)]
  /** Thin lines from the hilt to a measure that stands further out. */
  const leads = (from: number, to: number, ...xs: number[]) => {
    for (const px of xs) pen.line([px, from], [px, to], 'ghost')
  }
  for (const s of shape.sections) {
    const c = certainty(s.section.length)
    const value = known(s.section.length)
    const seen = s.x1 - s.x0
    // What stands in a neighbour is not seen: the dimension says what is, and the section's own length.
    const part = value !== undefined && value - seen > 0.05 ? `${formatNumber(reader, seen, 1)} of ` : ''
    const text = value === undefined ? '?' : `${c === 'assumed' ? '≈ ' : ''}${part}${formatNumber(reader, value, 1)}`
    const at = s === armed ? Math.max(12, y(reach) - 4) : dimY
    if (s === armed) leads(topY, at, x(s.x0), x(s.x1))
    pen.dimension(x(s.x0), x(s.x1), at, text, c !== 'known', refTo('section', s.section.id))
  }
  const bottomY = Math.min(
    Math.max(...shape.sections.flatMap((s) => s.outer.flatMap((p) => [y(-p.d0 / 2), y(-p.d1 / 2)])), axisY + 40),
    view.height - MARGIN.bottom,
  )
  for (const k of view.to === undefined ? saber.hilt.sockets : []) {
    const span = socketSpan(saber, k.id, shape)
    if (!span || inArm(shape, k)) continue
    const c = certainty(k.depth)
    const at = below ? Math.min(y(-reach) + 14, view.height - 8) : bottomY + 34
    if (below) leads(bottomY, at, x(span.x0), x(span.x1))
    pen.dimension(
      x(span.x0),
      x(span.x1),
      at,
      `seat ${c === 'assumed' ? '≈ ' : ''}${formatNumber(reader, known(k.depth)!, 1)}`,
      c !== 'known',
      refTo('socket', k.id),
    )
    break
  }
  for (const s of shape.sections) {
    const beside = s === armed && below
    const at = beside ? x(s.x1) + 8 : (x(s.x0) + x(s.x1)) / 2
    const places = [15, 28, 41].map((down) => [[at, bottomY + down], beside ? 'start' : 'middle'] as const)
    pen.free(places, s.section.name, 'label', view.width, refTo('section', s.section.id))
  }
}
