import { mainSocket } from '../geometry'
import { type Fastener, type Id, refTo, retentionOf, type Saber } from '../record'
import { corrected } from './corrections'
import { insideJoints } from './inside'
import type { Body, Joint } from './joint'
import { type KeyWays, keyWays } from './key'
import { sectionJoints } from './seams'

/** Something that is slid, pushed in or turned to cut the power. */
interface Cutter {
  part: Id<'part'>
  name: string
  /** How a key does it; a switch is slid. */
  key?: KeyWays
  /** The port that a key sits in while it cuts: without the key it has current, and takes a charger. */
  sits?: Id<'part'>
}

/** A saber as bodies, joints and screws: what holds what. Plain data, small enough to be sent about. */
export interface Assembly {
  joints: Record<Body, Joint>
  /** Screws by id, with what their owner may do. */
  screws: Record<Id<'fastener'>, Pick<Fastener, 'name' | 'clientMay' | 'head' | 'looseNow'>>
  cutter?: Cutter
  /** What is off when the saber lies closed: blades for the bench, alternatives. */
  spare: Body[]
  /** Plugs, which keep dust out of a socket. */
  plugs: Body[]
  /** Ports that are plugged into while it is dead. */
  sockets?: Body[]
  /** Whether it has a cell at all. */
  cells: boolean
}

/** The blades and plugs of every socket: one at a time, held by its screws, which load the joints of their section. */
function bladeJoints(s: Saber, sections: readonly Joint[]): Joint[] {
  const recorded = s.blades.flatMap((b) => (b.kind === 'inHilt' ? [] : [{ ...b, body: refTo('blade', b.id) as Body }]))
  // Of a socket without a blade in the record, whatever blade one has goes in and out.
  const bare = s.hilt.sockets
    .filter((k) => !recorded.some((b) => b.socket === k.id))
    .map((k) => ({ body: refTo('socket', k.id) as Body, name: k.name, socket: k.id }))
  return [...recorded, ...bare].flatMap((b): Joint[] => {
    const socket = s.hilt.sockets.find((k) => k.id === b.socket)
    if (!socket) return []
    const screws = retentionOf(s, socket)
    const never = screws.filter((f) => f.clientMay === 'never' || f.head === 'dummy')
    const home = refTo('section', socket.section)
    const held = screws.length > 0 || socket.insertion === 'clockwise'
    return [
      {
        body: b.body,
        name: b.name,
        of: home,
        place: refTo('socket', socket.id),
        ways:
          never.length || !held
            ? []
            : [
                {
                  ...{ how: socket.insertion === 'clockwise' ? 'turnPull' : 'pull', after: [], towards: 'emitter' },
                  ...{ risk: 0, from: 'socket' },
                },
              ],
        held: screws.map((f) => ({ screw: f.id, by: 'loosen' })),
        who: 'client',
        loads: sections.filter((j) => j.body === home || j.of === home).map((j) => j.body),
        blocked: [
          ...never.map((f) => ({ code: 'never' as const, at: refTo('fastener', f.id), name: f.name })),
          ...(held ? [] : [{ code: 'unheld' as const, at: refTo('socket', socket.id), name: socket.name }]),
        ],
      },
    ]
  })
}

/** The blade or plug that is in each socket when the saber leaves the shop: the plug where there is one, else a blade that ships. */
function spareBlades(s: Saber): Body[] {
  return s.hilt.sockets.flatMap((k): Body[] => {
    const here = s.blades.filter((b) => b.socket === k.id && b.kind !== 'inHilt')
    if (!here.length) return [refTo('socket', k.id)]
    const home = here.find((b) => b.kind === 'plug') ?? undefined
    return here.filter((b) => b !== home).map((b) => refTo('blade', b.id))
  })
}

function cutterOf(s: Saber): Cutter | undefined {
  const by = s.cutPower
  if (by !== 'killSwitch' && by !== 'killKey') return undefined
  const part = s.parts.find((p) => p.kind === by)
  const key = by === 'killKey' ? keyWays(s) : undefined
  // What a key does that nobody has spoken of is on no plan.
  if (!part || (by === 'killKey' && !key)) return undefined
  return { part: part.id, name: part.name, ...(key ? { key } : {}), ...(key && part.sits ? { sits: part.sits } : {}) }
}

/**
 * The assembly of a saber, drafted from its hilt, the places of its parts and the way each has out through the bores, and
 * corrected by what the maker has said. What is not certain has no way, and says what is missing.
 */
export function assemblyOf(s: Saber): Assembly {
  const sections = sectionJoints(s)
  const inside = insideJoints(s, sections)
  const drafted = [...sections, ...inside, ...bladeJoints(s, sections)]
  const main = mainSocket(s)
  // Through the mouth of the emitter a thing comes only when no blade is in it.
  const inMouth = main ? drafted.filter((j) => j.place === refTo('socket', main.id)).map((j) => j.body) : []
  for (const j of inside)
    for (const w of j.ways) if (w.towards === 'emitter' && w.from === 'path') w.after.push(...inMouth)
  const joints = corrected(s, drafted)
  const cutter = cutterOf(s)
  return {
    joints: Object.fromEntries(joints.map((j) => [j.body, j])),
    screws: Object.fromEntries(
      s.hilt.fasteners.map((f) => [
        f.id,
        { name: f.name, clientMay: f.clientMay, head: f.head, ...(f.looseNow ? { looseNow: true } : {}) },
      ]),
    ),
    ...(cutter ? { cutter } : {}),
    spare: spareBlades(s),
    plugs: s.blades.flatMap((b) => (b.kind === 'plug' ? [refTo('blade', b.id)] : [])),
    sockets: s.parts.flatMap((p) => {
      const dead = (p.kind === 'chargePort' && !p.wantsCurrent && p.id !== cutter?.sits) || p.kind === 'board'
      return dead ? [refTo('part', p.id)] : []
    }),
    cells: s.parts.some((p) => p.kind === 'cell'),
  }
}
