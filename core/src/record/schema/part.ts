import type { Static, TOptional, TUnsafe } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { choiceFactOf, colourFactOf, type Fact, factOf, wordsFactOf } from '../../facts/fact'
import { MATERIALS } from './hilt'
import { KINDS, type PartKind, SPECS, type SpecKey } from './kinds'
import { idOf, ownId } from './ref'
import { closed, Day, Line, list, noted, obj, oneOf, opt, Words } from './schema-kit'

export const CHASSIS_HELD_BY = ['thread', 'setScrew', 'length', 'magnets', 'rails', 'friction'] as const
/** What keeps a cell in its place beside its contacts. */
export const CELL_HELD_BY = ['groove', 'clip', 'ribbon'] as const
export const CARRIES = ['power', 'signal'] as const
/** Who brings a thing: it goes into the box, the client has it, the client gets it, or it only serves on the bench. */
export const SUPPLIED = ['shop', 'client', 'notSupplied', 'bench'] as const
export const JOININGS = ['parallel', 'series'] as const
export const FACINGS = ['emitter', 'pommel'] as const
export const POLES = ['plus', 'minus'] as const
/** What sets the current of an LED that is no pixel: a resistor, a driver of constant current, or a chip of its own. */
export const FEEDS = ['resistor', 'driver', 'addressable'] as const

/** One die of a module: it has a colour, a forward voltage and a rating of its own. */
export const Die = obj({
  id: ownId('die'),
  name: Words,
  colour: colourFactOf(),
  forwardVolts: factOf('V'),
  /** The most that it takes for good. */
  current: factOf('mA'),
  /** The resistor of its own; absent where it shares the module's. */
  through: opt(idOf('part')),
})

type SpecSchemas = { [K in SpecKey]: TOptional<TUnsafe<Fact<(typeof SPECS)[K]['unit']>>> }
export const SpecMap = T.Object(
  Object.fromEntries(
    (Object.keys(SPECS) as SpecKey[]).map((k) => [k, T.Optional(factOf(SPECS[k].unit))]),
  ) as unknown as SpecSchemas,
  closed,
)
export type SpecMap = Static<typeof SpecMap>
export const PartKindSchema = oneOf(Object.keys(KINDS) as unknown as readonly PartKind[])

export const FittedPart = obj({
  id: ownId('part'),
  kind: PartKindSchema,
  name: Words,
  /** Which one it is, as it is read off the thing: the exact board, the exact cell. */
  type: opt(wordsFactOf()),
  /** The catalogue row it was copied from; the copy below is the saber's own. */
  catalogue: opt(T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })),
  specs: SpecMap,
  /** Rear face, from the pommel's rear. Absent: not placed yet. */
  at: opt(factOf('mm')),
  /** On the axis, or lying beside another part in the same length. */
  beside: opt(idOf('part')),
  /** What it is fastened to: it goes wherever that goes. */
  on: opt(idOf('part')),
  clock: opt(factOf('deg')),
  /** Which way its front, plus pole or cone points. */
  faces: opt(choiceFactOf(FACINGS)),
  /** Of a cell that comes out: the pole that goes in first. */
  leads: opt(choiceFactOf(POLES)),
  /** Of a cell: how full it is shipped. */
  charged: opt(factOf('%')),
  /** Of a cell: dented, swollen, wet or fallen; no carrier takes it without being asked. */
  damaged: opt(T.Boolean()),
  /** It comes out: a cell, a chassis, a board that is lifted, a display. */
  removable: opt(T.Boolean()),
  protected: opt(T.Boolean()),
  /** What it is made of, where that matters: a resin chassis is brittle. */
  material: opt(oneOf(MATERIALS)),
  /** An auxiliary board that turns a pack's voltage into what pixels take. */
  converter: opt(T.Boolean()),
  /** The key a tool turns, as the screws name it. */
  key: opt(Line),
  /** What keeps a chassis, a cell or a sleeve in its place. */
  heldBy: opt(oneOf([...CHASSIS_HELD_BY, ...CELL_HELD_BY] as const)),
  /** How several cells are joined. */
  wiring: opt(oneOf(JOININGS)),
  /** Of what charges: whether it keeps cells in series level, and whether it ends the charge by itself. */
  balances: opt(T.Boolean()),
  endsCharge: opt(T.Boolean()),
  /** Of a port: the blade's current passes its contact, which a plug opens; and it wants current while it is plugged into. */
  switched: opt(T.Boolean()),
  wantsCurrent: opt(T.Boolean()),
  /** Of a key: the port that it sits in while it cuts. */
  sits: opt(idOf('part')),
  /** Of an LED: what sets its current, the resistor it shares, how its dies are joined, and each of them. */
  fed: opt(oneOf(FEEDS)),
  through: opt(idOf('part')),
  joined: opt(oneOf(JOININGS)),
  dies: opt(list(Die, 12)),
  /** What a wire is used for; absent: for everything. */
  carries: opt(oneOf(CARRIES)),
  lot: opt(Line),
  /** Laid aside for this saber out of what the shop has, and built in. */
  reservedOn: opt(Day),
  fittedOn: opt(Day),
  /** How the pole or the right way round is recognised on this saber. */
  landmark: opt(Words),
  supplied: opt(oneOf(SUPPLIED)),
  /** What stands at the other end of a port: its lead, its supply, the program that speaks to it. */
  otherEnd: opt(obj({ lead: opt(Words), supply: opt(Words), program: opt(Line) })),
  ...noted,
})
export type Die = Static<typeof Die>
export type FittedPart = Static<typeof FittedPart>
