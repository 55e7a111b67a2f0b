import { type Body, isOff, planOff, planOn, type State } from '../machine'
import { type Fastener, nounOf, refTo, retentionOf, type Socket } from '../record'
import { say } from '../words'
import type { Drafting } from './draft'

/** A screw as it is spoken of. */
const screwNoun = (d: Drafting, f: Fastener) => nounOf(d.reader, d.saber, refTo('fastener', f.id)) ?? f.name

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
/** The blade that is told of at a socket: one that ships, else one that is bought, else the one for the bench. */
const bladeAt = (d: Drafting, socket: Socket, plug: boolean): Body | undefined => {
  const here = d.saber.blades.filter(
    (b) => b.socket === socket.id && b.kind !== 'inHilt' && (b.kind === 'plug') === plug,
  )
  const b = here.find((x) => x.use === 'ship') ?? here.find((x) => x.use === 'toBuy') ?? here[0]
  return b && refTo('blade', b.id)
}
/** Words for a socket of which no blade is recorded yet. */
const of = (d: Drafting, socket: Socket) => ({
  socket: socket.name,
  several: d.saber.hilt.sockets.length > 1 ? ('yes' as const) : ('no' as const),
})
const empty = (d: Drafting, socket: Socket): State => ({
  ...d.rest,
  off: [...d.rest.off, ...d.saber.blades.filter((b) => b.socket === socket.id).map((b) => refTo('blade', b.id))],
})

/** A blade into every socket: a plug out first, screws loosened, blade in, screws tightened, and the pull that proves it. */
export function bladeIn(d: Drafting): void {
  for (const socket of d.saber.hilt.sockets) {
    const screws = held(d, socket)
    if (!screws) continue
    const blade = bladeAt(d, socket, false)
    const plan = blade && planOn(d.assembly, isOff(d.rest, blade) ? d.rest : empty(d, socket), blade)
    if (plan?.ok) {
      d.acts(plan.acts)
      continue
    }
    const place = refTo('socket', socket.id)
    for (const f of screws) d.screw(say(d.reader, 'step.loosenBlade', { screw: screwNoun(d, f) }), f, 'anticlockwise')
    d.step(say(d.reader, 'step.bladeIn', { how: socket.insertion, ...of(d, socket) }), {
      place,
      direction: socket.insertion === 'clockwise' ? 'clockwise' : 'push',
    })
    for (const f of screws) d.screw(say(d.reader, 'step.tightenBlade', { screw: screwNoun(d, f) }), f, 'clockwise')
    d.step(say(d.reader, 'step.pullCheck'), {
      place,
      caution: say(d.reader, 'step.pullCheck.caution'),
      direction: 'pull',
    })
  }
}

/** The blade out of every socket: its plug in, or its screws turned back in where they are not lost. */
export function bladeOut(d: Drafting): void {
  for (const socket of d.saber.hilt.sockets) {
    const screws = held(d, socket)
    if (!screws) continue
    const blade = bladeAt(d, socket, false)
    const lit: State = { ...empty(d, socket), off: empty(d, socket).off.filter((b) => b !== blade) }
    const out = blade && planOff(d.assembly, lit, [blade])
    if (out?.ok) {
      d.acts(out.acts)
      const plug = bladeAt(d, socket, true)
      const back = plug && planOn(d.assembly, out.end, plug)
      if (back?.ok) d.acts(back.acts)
      else
        d.acts(
          screws.map((f) => ({ do: 'tighten', at: refTo('fastener', f.id) })),
          (act) =>
            say(d.reader, 'step.keepScrew', {
              screw: screwNoun(d, screws.find((f) => act.at === `fastener:${f.id}`)!),
            }),
        )
      continue
    }
    for (const f of screws) d.screw(say(d.reader, 'step.loosenBlade', { screw: screwNoun(d, f) }), f, 'anticlockwise')
    d.step(say(d.reader, 'step.bladeOut', { how: socket.insertion, ...of(d, socket) }), {
      place: refTo('socket', socket.id),
      direction: socket.insertion === 'clockwise' ? 'clockwise' : 'pull',
    })
    for (const f of screws) d.screw(say(d.reader, 'step.keepScrew', { screw: screwNoun(d, f) }), f, 'clockwise')
  }
}
