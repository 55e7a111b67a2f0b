import { refTo, retentionOf, type Socket } from '../record'
import { say } from '../words'
import type { Drafting } from './draft'

/** The screws that hold a blade, when every one may be turned; what is in the way is asked for. */
function held(d: Drafting, socket: Socket) {
  const screws = retentionOf(d.saber, socket)
  const never = screws.filter((f) => f.clientMay === 'never' || f.head === 'dummy')
  for (const f of never) d.ask('neverScrew', f.name, refTo('fastener', f.id))
  // What is only pushed in and held by nothing falls out at the first swing; turning may hold it.
  const holds = screws.length > 0 || socket.insertion === 'clockwise'
  if (!holds) d.ask('whatHolds', socket.name, refTo('socket', socket.id))
  return never.length || !holds ? undefined : screws
}
const of = (d: Drafting, socket: Socket) => ({
  socket: socket.name,
  several: d.saber.hilt.sockets.length > 1 ? ('yes' as const) : ('no' as const),
})

/** A blade into every socket: screws loosened, blade in, screws tightened, and the pull that proves it. */
export function bladeIn(d: Drafting): void {
  for (const socket of d.saber.hilt.sockets) {
    const screws = held(d, socket)
    if (!screws) continue
    const place = refTo('socket', socket.id)
    for (const f of screws) d.screw(say('step.loosenBlade', { screw: f.name }), f, 'anticlockwise')
    d.step(say('step.bladeIn', { how: socket.insertion, ...of(d, socket) }), {
      place,
      direction: socket.insertion === 'clockwise' ? 'clockwise' : 'push',
    })
    for (const f of screws) d.screw(say('step.tightenBlade', { screw: f.name }), f, 'clockwise')
    d.step(say('step.pullCheck'), { place, caution: say('step.pullCheck.caution'), direction: 'pull' })
  }
}

/** The blade out of every socket, its screws left where they are not lost. */
export function bladeOut(d: Drafting): void {
  for (const socket of d.saber.hilt.sockets) {
    const screws = held(d, socket)
    if (!screws) continue
    for (const f of screws) d.screw(say('step.loosenBlade', { screw: f.name }), f, 'anticlockwise')
    d.step(say('step.bladeOut', { how: socket.insertion, ...of(d, socket) }), {
      place: refTo('socket', socket.id),
      direction: socket.insertion === 'clockwise' ? 'clockwise' : 'pull',
    })
    for (const f of screws) d.screw(say('step.keepScrew', { screw: f.name }), f, 'clockwise')
  }
}
