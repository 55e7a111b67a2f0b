import { known } from '../../facts'
import { refTo } from '../../record'
import { certainty, inArm, socketSpan } from '../../room'
import { formatNumber } from '../../units'
import { type Canvas, MARGIN } from './canvas'

/** Section lengths above; names below; the seat of the main blade at the foot. */
export function drawMeasures({ pen, shape, saber, x, y, axisY, view }: Canvas) {
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
