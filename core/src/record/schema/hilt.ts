import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { choiceFactOf, factOf } from '../../facts/fact'
import { idOf, ownId } from './ref'
import { Day, Hex, Line, list, noted, obj, oneOf, opt, Prose, Words } from './schema-kit'

export const ROLES = ['pommel', 'grip', 'neck', 'shroud', 'emitter', 'extension', 'quillon'] as const
export const MATERIALS = [
  'aluminium',
  'brass',
  'copper',
  'steel',
  'silver',
  'polycarbonate',
  'PLA',
  'resin',
  'leather',
  'wood',
  'other',
] as const
export type Material = (typeof MATERIALS)[number]
export const JOINTS = ['thread', 'setScrew', 'buttonAndScrews', 'collar', 'magnet', 'glue', 'press', 'none'] as const
/** What a screw is there for, besides holding a blade: that is said by the socket it holds it in. */
export const SCREW_PURPOSES = ['joint', 'chassis', 'cover', 'sleeve', 'switch', 'decoration', 'other'] as const
/** What the program may take of a screw that was clicked in, until somebody stands behind it. */
export const TAKEN_OF_SCREW = ['thread', 'key', 'purpose'] as const
export const CLIENT_MAY = ['loosen', 'remove', 'never'] as const
export const OPENINGS = ['window', 'vent', 'grille', 'switch', 'port', 'screwHole', 'keyhole'] as const
export const ORIGINS = ['bought', 'kit', 'clientOwn', 'inherited', 'scratch', 'series'] as const
export const SCREW_ORIGINS = ['hilt', 'kit', 'shop', 'client'] as const
export const HEADS = ['set', 'cap', 'button', 'thumb', 'dummy'] as const
/** Whose end goes into the other's at a joint: this section's, or the next one's. */
export const SPIGOTS = ['this', 'next'] as const
/** Where an opening is: in the side, or in the closed rear face of the pommel. */
export const FACES = ['side', 'rear'] as const
export const INSERTIONS = ['straight', 'clockwise', 'pushAndHold'] as const

/** A point of a profile: x from the section's own rear, diameter, mm. */
const ProfilePoint = obj({ x: T.Number(), d: T.Number() })

export const Section = obj({
  id: ownId('section'),
  name: Line,
  role: oneOf(ROLES),
  material: oneOf(MATERIALS),
  length: factOf('mm'),
  outside: factOf('mm'),
  bore: factOf('mm'),
  /** Steps and tapers. Two points at one x are a step. Absent: the section is straight. */
  outerProfile: opt(list(ProfilePoint, 60)),
  boreProfile: opt(list(ProfilePoint, 60)),
  mass: opt(factOf('g')),
  /** Claws, fins, points or edges that can hurt: a caution for the client. */
  sharp: opt(T.Boolean()),
  /** The joint towards the emitter. */
  joint: obj({
    kind: oneOf(JOINTS),
    length: opt(factOf('mm')),
    hand: opt(oneOf(['right', 'left'] as const)),
    lockedForLife: opt(T.Boolean()),
    /** False when nothing stops the thread: it can be closed past its place, by `overTravel` at most. */
    stop: opt(T.Boolean()),
    overTravel: opt(factOf('mm')),
    /** How far the two stand in each other when closed; then the lengths are of sections measured apart. */
    engagement: opt(factOf('mm')),
    /** Which of the two goes into the other; this one's end into the next where nothing is said. */
    spigot: opt(oneOf(SPIGOTS)),
    /** The narrowest free diameter through the joint: a thread's minor diameter, a spigot's bore. */
    passes: opt(factOf('mm')),
    ...noted,
  }),
  ...noted,
})

export const Fastener = obj({
  id: ownId('fastener'),
  name: Line,
  thread: Line,
  key: Line,
  head: oneOf(HEADS),
  /** Absent where nobody has said, and where a socket says that it holds the blade. */
  purpose: opt(oneOf(SCREW_PURPOSES)),
  /** From the pommel's rear face. */
  at: factOf('mm'),
  /** Clock angle seen from the pommel: 0° is the switch line, growing clockwise. */
  clock: factOf('deg'),
  clientMay: oneOf(CLIENT_MAY),
  /** Left loose for bench work or a demonstration; must be tightened before shipping. */
  looseNow: opt(T.Boolean()),
  /** What of it the program took as usual: it is printed once somebody has looked. */
  taken: opt(list(oneOf(TAKEN_OF_SCREW), TAKEN_OF_SCREW.length)),
  /** Who looked, and when. */
  confirmed: opt(obj({ by: Line, on: Day })),
  /** Where it comes from; it is looked for there when one is lost. */
  origin: opt(choiceFactOf(SCREW_ORIGINS)),
  ...noted,
})

export const Opening = obj({
  id: ownId('opening'),
  name: Words,
  kind: oneOf(OPENINGS),
  at: factOf('mm'),
  clock: factOf('deg'),
  length: factOf('mm'),
  width: factOf('mm'),
  face: opt(oneOf(FACES)),
  /** Of one in the rear face: its middle's distance from the axis. */
  fromAxis: opt(factOf('mm')),
  tint: opt(Hex),
  ...noted,
})

/** A blade socket: the hilt's end of a blade. A crossguard has several. */
export const Socket = obj({
  id: ownId('socket'),
  name: Line,
  section: idOf('section'),
  bore: factOf('mm'),
  depth: factOf('mm'),
  insertion: oneOf(INSERTIONS),
  retention: list(idOf('fastener'), 8),
  ...noted,
})

export const Hilt = obj({
  origin: oneOf(ORIGINS),
  story: opt(Prose),
  sections: list(Section, 24),
  fasteners: list(Fastener, 60),
  openings: list(Opening, 60),
  sockets: list(Socket, 8),
  /** How thick the pommel's closed rear end is; absent where it is open. */
  endWall: opt(factOf('mm')),
  /** Radial air kept round everything that slides in. */
  clearance: factOf('mm'),
})

export type Section = Static<typeof Section>
export type Fastener = Static<typeof Fastener>
export type Opening = Static<typeof Opening>
export type Socket = Static<typeof Socket>
export type Hilt = Static<typeof Hilt>
