import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf, textFactOf } from '../../facts/fact'
import { Procedure } from './access'
import { Blade, Zone } from './blade'
import { Settings } from './board-settings'
import { Card } from './card'
import { ControlRow, Input, Mode, Timing } from './controls'
import { Item } from './extras'
import { Font } from './font'
import { Hilt } from './hilt'
import { Loss, NotFor, Owner, Was } from './history'
import { Joint } from './machine'
import { FittedPart } from './part'
import { Preset } from './preset'
import { Repair, Test } from './proof'
import { ownId, ref } from './ref'
import { Consent, Day, Line, list, noted, obj, oneOf, opt, Words } from './schema-kit'
import { Beat, ORDERS, SpokenName, Take, Telling, Waiver } from './script'

export const JOBS = ['install', 'conversion', 'repair', 'scratch', 'showcase', 'rebuild', 'model'] as const
export const CUT_POWER = ['killSwitch', 'killKey', 'cellOut', 'deepSleep', 'none'] as const
/** What a circuit does with the key one way or another. */
export const CIRCUIT = ['closed', 'open'] as const

/** How well somebody knows this saber. */
export const KNOWS = ['neverSeen', 'seen', 'held', 'owned'] as const

/** Who made a choice. */
export const CHOSE = ['client', 'shop', 'both'] as const

/** A choice the maker made, with its reason, what it gave up, and the facts a chosen layout rests on. */
export const Decision = obj({
  id: ownId('decision'),
  on: Day,
  by: Line,
  /** Whose choice it was; the shop's where nothing is said. */
  whose: opt(oneOf(CHOSE)),
  chose: Words,
  why: Words,
  gaveUp: opt(Words),
  /** What it changes for good, and who agreed to that. */
  irreversible: opt(T.Boolean()),
  consent: opt(Consent),
  about: opt(ref()),
  layout: opt(T.Record(T.String({ pattern: '^.{1,240}$' }), T.Union([T.Number(), T.String({ maxLength: 120 })]))),
  ...noted,
})

export const Saber = obj({
  id: ownId('saber'),
  name: Line,
  job: oneOf(JOBS),
  hilt: Hilt,
  parts: list(FittedPart, 120),
  blades: list(Blade, 16),
  zones: list(Zone, 24),
  cutPower: oneOf(CUT_POWER),
  /** What the circuit does while the key is out, in, and in and turned. */
  keyDoes: opt(obj({ out: opt(oneOf(CIRCUIT)), in: opt(oneOf(CIRCUIT)), turned: opt(oneOf(CIRCUIT)) })),
  /** How it will be used, and how loud it is shipped. */
  use: obj({
    litShare: factOf('%'),
    brightness: factOf('%'),
    volume: factOf('%'),
    highestVolume: opt(factOf('%')),
  }),
  firmware: opt(textFactOf()),
  /** What that version is known not to do. */
  firmwareLimits: opt(Words),
  /** Edition or serial number. */
  edition: opt(Line),
  /** Who gets it, where that is not the client, and how well they know it. */
  recipient: opt(obj({ name: opt(Line), knows: opt(oneOf(KNOWS)) })),
  settings: Settings,
  /** What is told to every client it is not made for. */
  notFor: list(NotFor, 24),
  /** What an older saber could do before the work. */
  before: list(Was, 40),
  provenance: list(Owner, 24),
  losses: list(Loss, 60),
  /** What a saber needs beside what is built in. */
  items: list(Item, 60),
  /** What is on its card to be heard. */
  fonts: list(Font, 60),
  presets: list(Preset, 60),
  /** The memory cards: the one in it, spares, the client’s old one. */
  cards: list(Card, 8),
  inputs: list(Input, 12),
  modes: list(Mode, 60),
  timing: Timing,
  /** The standard that its controls were taken from. */
  mapFrom: opt(Line),
  controls: list(ControlRow, 1200),
  joints: list(Joint, 60),
  access: list(Procedure, 80),
  tests: list(Test, 120),
  repairs: list(Repair, 60),
  decisions: list(Decision, 60),
  beats: list(Beat, 200),
  order: oneOf(ORDERS),
  /** For whom it is told, and how long. */
  telling: opt(Telling),
  /** What things are called when one speaks of them, by language. */
  spoken: list(SpokenName, 200),
  takes: list(Take, 40),
  /** Topics knowingly left out of the film. */
  leftOut: list(Waiver, 120),
})

export type Decision = Static<typeof Decision>
export type Saber = Static<typeof Saber>
