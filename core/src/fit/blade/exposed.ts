import { type Calculated, Gather } from '../../facts'
import { layOut } from '../../geometry'
import { type Blade, byId, refTo, type Saber, type Socket } from '../../record'
import { formatNumber, MAKER } from '../../units'

/** The socket a blade goes into. */
export const socketOf = (saber: Saber, b: Blade): Socket | undefined => byId(saber.hilt.sockets, b.socket)

/** Length of tube outside the socket, mm. */
export function exposed(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const length = g.take(`length of ${b.name}`, b.length, refTo('blade', b.id))
  const k = socketOf(saber, b)
  const depth = g.take(`depth of ${k?.name ?? 'the socket'}`, k?.depth, refTo('socket', b.socket))
  return g.figure('mm', 'tube − seat depth', 'geometry', () => length - depth)
}

/** An arm's reach with a step, mm: added to what sticks out beyond the hand. Generous on purpose. */
const REACH = 1100

/** The clear radius to swing a blade in, m: reach and step, the hilt ahead of the hand, the blade outside. */
export function swingRoom(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const shape = layOut(saber.hilt)
  const grip = shape.sections.find((s) => s.section.role === 'grip')
  const out = g.from('blade outside the hilt', exposed(saber, b))
  if (!shape.complete) g.missing('every section length')
  const ahead = shape.length - (grip ? (grip.x0 + grip.x1) / 2 : shape.length / 2)
  g.note('hilt ahead of the hand', `${formatNumber(MAKER, ahead, 0)} mm`)
  g.note('arm and a step', `${REACH} mm`, true)
  return g.figure(
    'mm',
    'reach + hilt ahead of the hand + blade outside',
    'usual caution: room cleared',
    () => REACH + ahead + out,
  )
}
