import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { idOf, ownId, ref } from './ref'
import { Day, Line, list, noted, obj, oneOf, opt, Words } from './schema-kit'

/** Where cells are in a parcel: built into what they drive, packed with it, or alone. */
export const CELLS_ARE = ['inEquipment', 'withEquipment', 'alone'] as const

/** A parcel: where it goes, who carries it, what it weighs, and who confirmed what has to be confirmed of lithium cells. */
export const Parcel = obj({
  id: ownId('parcel'),
  to: Line,
  address: opt(T.String({ maxLength: 400 })),
  /** It crosses a border. */
  abroad: T.Boolean(),
  /** A row of the carriers' rules. */
  carrier: opt(Line),
  /** Of the empty box with what fills it. */
  boxMass: opt(factOf('g')),
  /** On the scale, ready to go. */
  mass: opt(factOf('g')),
  size: opt(Line),
  sentOn: opt(Day),
  tracking: opt(Line),
  confirmedBy: opt(Line),
  confirmedOn: opt(Day),
  /** What was confirmed: these cells, across a border or not, by this carrier. Other cells, and another year, ask again. */
  confirmedFor: opt(
    obj({
      carrier: opt(Line),
      abroad: T.Boolean(),
      cells: list(
        obj({
          name: Line,
          are: oneOf(CELLS_ARE),
          count: T.Integer({ minimum: 1, maximum: 999 }),
          wattHours: opt(T.Number({ minimum: 0, maximum: 10_000 })),
        }),
        60,
      ),
    }),
  ),
  /** The poles of cells that lie beside are covered; what holds cells cannot wake by itself. */
  polesCovered: opt(T.Boolean()),
  cannotWake: opt(T.Boolean()),
  ...noted,
})
/** A film of it: an address, or the name of a file that lies beside the page. Its chapters are those of a take. */
export const FilmOf = obj({
  id: ownId('film'),
  saber: opt(idOf('saber')),
  address: opt(T.String({ pattern: '^https://[^\\s]+$', maxLength: 400 })),
  file: opt(T.String({ pattern: '^[^/\\\\<>:"|?*]+\\.(mp4|webm|ogv)$', maxLength: 120 })),
  take: opt(ref('take')),
})
/** That the client has read what he is to mind: of which handoff, which chapter, when, and under what name. */
export const Receipt = obj({
  id: ownId('receipt'),
  number: T.Integer({ minimum: 1 }),
  chapter: Line,
  on: Day,
  by: opt(Line),
})
/** It came back after it was handed over: what was said, found and done. */
export const Visit = obj({
  id: ownId('visit'),
  saber: opt(idOf('saber')),
  cameOn: Day,
  said: opt(Words),
  found: opt(Words),
  did: opt(Words),
  repairs: list(ref('repair'), 20),
  backOn: opt(Day),
  by: opt(Line),
  ...noted,
})

export type Parcel = Static<typeof Parcel>
export type FilmOf = Static<typeof FilmOf>
export type Visit = Static<typeof Visit>
