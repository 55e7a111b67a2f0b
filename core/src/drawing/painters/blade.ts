import { known } from '../../facts'
import { inArm, socketSpan } from '../../geometry'
import { type Blade, refTo } from '../../record'
import type { Canvas } from './canvas'

/** A blade in its socket, lit where a colour is given, broken off at the edge of the page. */
export function drawBlade({ pen, spots, saber, shape, x, y, view }: Canvas, b: Blade) {
  const span = socketSpan(saber, b.socket, shape)
  const d = known(b.outside)
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  if (!span || d === undefined || inArm(shape, socket)) return
  const r = d / 2
  const wall = known(b.wall) ?? 2
  const end = b.kind === 'plug' ? x(span.x1) + 10 : view.bare ? x(span.x1) : view.width - 14
  const ref = refTo('blade', b.id)
  if (!view.quiet || b.kind === 'plug')
    pen.box(x(span.x0), y(r), end, y(-r), 'bladeTube', { ref, ...(view.blade ? { colour: view.blade } : {}) })
  if (b.kind !== 'plug' && !view.quiet) {
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
