import { type Static, Type as T, type TSchema } from '@sinclair/typebox'
import { KINDS, SPECS } from '../parts/kinds'
import { NumberFact } from './fact'

/** The version this code writes. Older ones are migrated on import; newer ones are refused by name. */
export const FORMAT = 'nubrin-commission'
export const FORMAT_VERSION = 2

const closed = { additionalProperties: false }
const obj = <P extends Record<string, TSchema>>(p: P) => T.Object(p, closed)
const oneOf = <const V extends readonly string[]>(values: V) => T.Union(values.map((v) => T.Literal(v as V[number])))
const list = <S extends TSchema>(item: S, maxItems = 200) => T.Array(item, { maxItems })

/** Identity of anything inside a record: short, url-safe, unique within the record. */
export const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const Line = T.String({ maxLength: 240 })
const Text = T.String({ maxLength: 8000 })
const Day = T.String({ format: 'date' })
const Moment = T.String({ format: 'date-time' })
const Hex = T.String({ pattern: '^#[0-9a-f]{6}$' })
/** Points to a thing in the same record: `fastener:f1`, `section:s2`, `part:p3`, `blade:b1`, `input:i1`, `socket:k1`… */
export const Ref = T.String({
  pattern:
    '^(section|fastener|opening|socket|part|blade|zone|preset|input|row|task|step|test|request|arrival|saber|area):[a-z0-9][a-z0-9-]{0,47}$',
})
const opt = T.Optional

export const JOBS = ['install', 'conversion', 'repair', 'scratch', 'showcase', 'rebuild', 'model'] as const
export const PURPOSES = ['display', 'costume', 'duelling', 'beginner', 'stage'] as const
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
export const JOINTS = ['thread', 'setScrew', 'buttonAndScrews', 'collar', 'magnet', 'glue', 'press', 'none'] as const
export const SCREW_PURPOSES = ['bladeRetention', 'joint', 'chassis', 'cover', 'switch', 'decoration', 'other'] as const
export const CLIENT_MAY = ['loosen', 'remove', 'never'] as const
export const OPENINGS = ['window', 'vent', 'grille', 'switch', 'port', 'screwHole', 'keyhole'] as const
export const STATES = ['asleep', 'off', 'lit', 'menu', 'muted', 'combat'] as const
export const POSES = ['any', 'up', 'level', 'down'] as const
export const GESTURES = [
  'tap',
  'hold',
  'holdThenTap',
  'chord',
  'holdStrike',
  'holdFlick',
  'twist',
  'thrust',
  'swing',
  'shake',
  'slide',
  'insert',
] as const
export const ACTIONS = [
  'powerOn',
  'powerOff',
  'wake',
  'sleep',
  'ignite',
  'retract',
  'nextPreset',
  'previousPreset',
  'lock',
  'drag',
  'melt',
  'deflect',
  'surge',
  'quote',
  'track',
  'trackStop',
  'colour',
  'volumeUp',
  'volumeDown',
  'mute',
  'unmute',
  'menuOpen',
  'menuClose',
  'combatOn',
  'combatOff',
  'battery',
  'other',
] as const
export const EVENTS = [
  'boot',
  'ignite',
  'hum',
  'swing',
  'clash',
  'lock',
  'drag',
  'melt',
  'deflect',
  'surge',
  'quote',
  'track',
  'retract',
  'lowBattery',
  'preIgnition',
] as const
export const TASKS = [
  'powerOn',
  'powerOff',
  'bladeIn',
  'bladeOut',
  'open',
  'cellIn',
  'cellOut',
  'close',
  'charge',
  'card',
] as const
export const DIRECTIONS = ['clockwise', 'anticlockwise', 'pull', 'push', 'lift', 'slide', 'none'] as const
export const HOLDS = ['thread', 'setScrew', 'length', 'magnets', 'rails', 'friction'] as const
export const CARRIES = ['power', 'signal'] as const
export const STATUSES = ['configured', 'shown', 'unsure'] as const
export const FATES = ['used', 'altered', 'leftOver', 'returned', 'undecided'] as const
export const ORDERS = ['pommelUp', 'outsideIn', 'operateFirst', 'build'] as const

export const Section = obj({
  id: Id,
  name: Line,
  role: oneOf(ROLES),
  material: oneOf(MATERIALS),
  length: NumberFact,
  outside: NumberFact,
  bore: NumberFact,
  /** Steps and tapers, x from the section's own rear. Two points at one x are a step. Absent: the section is straight. */
  outerProfile: opt(list(obj({ x: T.Number(), d: T.Number() }), 60)),
  boreProfile: opt(list(obj({ x: T.Number(), d: T.Number() }), 60)),
  mass: opt(NumberFact),
  /** The joint towards the emitter. */
  joint: obj({
    kind: oneOf(JOINTS),
    length: opt(NumberFact),
    hand: opt(oneOf(['right', 'left'] as const)),
    lockedForLife: opt(T.Boolean()),
    /** False when nothing stops the thread: it can be closed past its place, by `overTravel` at most. */
    stop: opt(T.Boolean()),
    overTravel: opt(NumberFact),
    note: opt(Line),
  }),
  note: opt(Line),
})

export const Fastener = obj({
  id: Id,
  name: Line,
  thread: Line,
  key: Line,
  head: oneOf(['set', 'cap', 'button', 'thumb', 'dummy'] as const),
  purpose: oneOf(SCREW_PURPOSES),
  /** From the pommel's rear face. */
  at: NumberFact,
  /** Clock angle seen from the pommel: 0° is the switch line, growing clockwise. */
  clock: NumberFact,
  clientMay: oneOf(CLIENT_MAY),
  /** Left loose for bench work or a demonstration; must be tightened before shipping. */
  looseNow: opt(T.Boolean()),
  note: opt(Line),
})

export const Opening = obj({
  id: Id,
  name: Line,
  kind: oneOf(OPENINGS),
  at: NumberFact,
  clock: NumberFact,
  length: NumberFact,
  width: NumberFact,
  tint: opt(Hex),
  note: opt(Line),
})

/** A blade socket: the hilt's end of a blade. A crossguard has several. */
export const Socket = obj({
  id: Id,
  name: Line,
  section: Id,
  bore: NumberFact,
  depth: NumberFact,
  insertion: oneOf(['straight', 'clockwise', 'pushAndHold'] as const),
  retention: list(Id, 8),
  note: opt(Line),
})

export const Hilt = obj({
  origin: oneOf(['bought', 'kit', 'clientOwn', 'inherited', 'scratch', 'series'] as const),
  story: opt(Text),
  sections: list(Section, 24),
  fasteners: list(Fastener, 60),
  openings: list(Opening, 60),
  sockets: list(Socket, 8),
  /** Radial air kept round everything that slides in. */
  clearance: NumberFact,
})

const optionalFact = T.Optional(NumberFact)
export const SpecMap = T.Object(
  Object.fromEntries(Object.keys(SPECS).map((k) => [k, optionalFact])) as Record<
    keyof typeof SPECS,
    typeof optionalFact
  >,
  closed,
)
export const PartKindSchema = oneOf(Object.keys(KINDS) as unknown as readonly (keyof typeof KINDS)[])

export const FittedPart = obj({
  id: Id,
  kind: PartKindSchema,
  name: Line,
  /** The catalogue row it was copied from; the copy below is the saber's own. */
  catalogue: opt(Id),
  specs: SpecMap,
  /** Rear face, from the pommel's rear. Absent: not placed yet. */
  at: opt(NumberFact),
  /** On the axis, or lying beside another part in the same length. */
  beside: opt(Id),
  clock: opt(NumberFact),
  /** Which way its front, plus pole or cone points. */
  faces: opt(oneOf(['emitter', 'pommel'] as const)),
  removable: opt(T.Boolean()),
  protected: opt(T.Boolean()),
  /** What keeps a chassis in its place. */
  heldBy: opt(oneOf(HOLDS)),
  /** How several cells are joined. */
  wiring: opt(oneOf(['parallel', 'series'] as const)),
  /** What a wire is used for; absent: for everything. */
  carries: opt(oneOf(CARRIES)),
  lot: opt(Line),
  /** How the pole or the right way round is recognised on this saber. */
  landmark: opt(Line),
  supplied: opt(oneOf(['shop', 'client', 'notSupplied'] as const)),
  note: opt(Line),
})

export const Blade = obj({
  id: Id,
  name: Line,
  socket: Id,
  use: oneOf(['ship', 'demo', 'toBuy'] as const),
  kind: oneOf(['pixel', 'string', 'inHilt', 'plug'] as const),
  outside: NumberFact,
  wall: NumberFact,
  length: NumberFact,
  strips: NumberFact,
  density: NumberFact,
  channelCurrent: NumberFact,
  idleCurrent: NumberFact,
  /** Of one metre of one strip, supply and return together. */
  stripResistance: opt(NumberFact),
  mass: opt(NumberFact),
  /** A string blade: segments lit one after the other, the LEDs in each, what each draws, and the total as stated. */
  groups: opt(NumberFact),
  ledsPerGroup: opt(NumberFact),
  ledsTotal: opt(NumberFact),
  groupCurrent: opt(NumberFact),
  forwardVolts: opt(NumberFact),
  tip: opt(Line),
  diffusion: opt(Line),
  /** Work left on this blade: a tip to drill, a film to roll in. */
  toDo: opt(list(obj({ id: Id, text: Line, done: T.Boolean() }), 20)),
  note: opt(Line),
})

export const Zone = obj({
  id: Id,
  name: Line,
  kind: oneOf(['blade', 'quillon', 'crystal', 'chassis', 'accent', 'connector', 'button'] as const),
  leds: NumberFact,
  channelCurrent: NumberFact,
  idleCurrent: NumberFact,
  follows: opt(Id),
  blade: opt(Id),
  part: opt(Id),
})

export const Sound = obj({
  id: Id,
  event: oneOf(EVENTS),
  name: Line,
  media: opt(T.String({ pattern: '^[0-9a-f]{64}$' })),
  seconds: opt(T.Number({ minimum: 0 })),
  rate: opt(T.Integer({ minimum: 1000 })),
  channels: opt(T.Integer({ minimum: 1, maximum: 8 })),
  bits: opt(T.Integer({ minimum: 8, maximum: 64 })),
  peakDb: opt(T.Number()),
  rmsDb: opt(T.Number()),
})

export const Preset = obj({
  id: Id,
  name: Line,
  font: Line,
  style: opt(Line),
  colour: Hex,
  /** Colours of single effects on top of the base. */
  effects: opt(
    T.Object(
      { clash: opt(Hex), lock: opt(Hex), deflect: opt(Hex), drag: opt(Hex), melt: opt(Hex), surge: opt(Hex) },
      closed,
    ),
  ),
  flickerHz: opt(NumberFact),
  extendMs: opt(NumberFact),
  retractMs: opt(NumberFact),
  tracks: list(Line, 60),
  sounds: list(Sound, 200),
  askedBy: opt(Line),
  why: opt(Line),
  status: oneOf(STATUSES),
})

export const Input = obj({
  id: Id,
  name: Line,
  kind: oneOf(['button', 'motion', 'slide', 'key', 'magnet', 'port'] as const),
  opening: opt(Id),
  part: opt(Id),
})

export const ControlRow = obj({
  id: Id,
  state: oneOf(STATES),
  pose: oneOf(POSES),
  input: Id,
  gesture: oneOf(GESTURES),
  times: opt(T.Integer({ minimum: 1, maximum: 9 })),
  hold: opt(NumberFact),
  other: opt(Id),
  does: oneOf(ACTIONS),
  to: opt(oneOf(STATES)),
  /** In the maker's words, when the action's own name does not say it. */
  says: opt(Line),
  presets: opt(list(Id, 60)),
  status: oneOf(STATUSES),
})

export const Step = obj({
  id: Id,
  text: Line,
  place: opt(Ref),
  tool: opt(Line),
  direction: oneOf(DIRECTIONS),
  turns: opt(T.Number({ minimum: 0 })),
  caution: opt(Line),
  irreversible: opt(T.Boolean()),
})
export const Procedure = obj({ id: Id, task: oneOf(TASKS), steps: list(Step, 60) })

export const Reading = obj({
  id: Id,
  at: Moment,
  by: Line,
  value: opt(T.Number()),
  text: opt(Line),
  pass: T.Boolean(),
  with: opt(Line),
})
export const Test = obj({
  id: Id,
  key: Line,
  what: Line,
  place: opt(Ref),
  unit: opt(Line),
  min: opt(T.Number()),
  max: opt(T.Number()),
  expect: opt(Line),
  readings: list(Reading, 400),
})
export const Fix = obj({ id: Id, on: Day, cause: Line, fix: Line, place: opt(Ref), retest: list(Id, 40) })

export const Beat = obj({
  id: Id,
  say: Text,
  show: opt(Ref),
  /** A control row or a task carried out on camera. */
  perform: opt(Ref),
  doText: opt(Line),
  expect: opt(Line),
  seconds: T.Number({ minimum: 1, maximum: 600 }),
  covers: list(Line, 80),
  by: oneOf(['composed', 'edited', 'own'] as const),
})
export const Take = obj({
  id: Id,
  at: Moment,
  by: opt(Line),
  marks: list(obj({ beat: Id, atMs: T.Integer({ minimum: 0 }) }), 400),
})
/** A gap knowingly left open: who, why, when. */
export const Waiver = obj({ key: Line, who: Line, reason: T.String({ minLength: 3, maxLength: 400 }), on: Day })

export const Decision = obj({
  id: Id,
  on: Day,
  by: Line,
  chose: Line,
  why: Line,
  gaveUp: opt(Line),
  layout: opt(T.Record(T.String({ maxLength: 80 }), T.Union([T.Number(), T.String({ maxLength: 120 })]))),
})

export const Saber = obj({
  id: Id,
  name: Line,
  job: oneOf(JOBS),
  hilt: Hilt,
  parts: list(FittedPart, 120),
  blades: list(Blade, 16),
  zones: list(Zone, 24),
  cutPower: oneOf(['killSwitch', 'killKeyPull', 'killKeyTurn', 'cellOut', 'deepSleep', 'none'] as const),
  use: obj({ litShare: NumberFact, brightness: NumberFact, volume: NumberFact, highestVolume: opt(NumberFact) }),
  firmware: opt(Line),
  presets: list(Preset, 60),
  inputs: list(Input, 12),
  controls: list(ControlRow, 160),
  access: list(Procedure, 16),
  tests: list(Test, 120),
  fixes: list(Fix, 60),
  decisions: list(Decision, 60),
  beats: list(Beat, 200),
  order: oneOf(ORDERS),
  takes: list(Take, 40),
  untold: list(Waiver, 120),
})

export const Commission = obj({
  format: T.Literal(FORMAT),
  version: T.Literal(FORMAT_VERSION),
  id: Id,
  title: T.String({ minLength: 1, maxLength: 120 }),
  job: oneOf(JOBS),
  purpose: oneOf(PURPOSES),
  client: obj({ id: opt(Id), name: Line, country: opt(Line), contact: opt(Line), note: opt(Line) }),
  ordered: opt(Day),
  deadline: opt(Day),
  shipped: opt(Day),
  brief: Text,
  requests: list(
    obj({
      id: Id,
      text: Line,
      saber: opt(Id),
      status: oneOf(['open', 'met', 'changed', 'declined'] as const),
      where: opt(Ref),
      answer: opt(Line),
      toldOn: opt(Day),
    }),
    120,
  ),
  arrivals: list(
    obj({
      id: Id,
      what: Line,
      quantity: T.Integer({ minimum: 1, maximum: 999 }),
      condition: Line,
      fate: oneOf(FATES),
      note: opt(Line),
    }),
    200,
  ),
  questions: list(
    obj({ id: Id, text: Line, askedOn: opt(Day), answer: opt(Line), answeredOn: opt(Day), blocks: T.Boolean() }),
    120,
  ),
  credits: list(obj({ id: Id, who: Line, did: Line }), 60),
  packing: list(
    obj({ id: Id, what: Line, quantity: T.Integer({ minimum: 1, maximum: 999 }), packed: T.Boolean() }),
    120,
  ),
  log: list(
    obj({
      id: Id,
      on: Day,
      text: Text,
      kind: oneOf(['work', 'delay', 'decision', 'order', 'told'] as const),
      hours: opt(T.Number({ minimum: 0, maximum: 200 })),
    }),
    400,
  ),
  media: list(
    obj({
      id: Id,
      hash: T.String({ pattern: '^[0-9a-f]{64}$' }),
      type: Line,
      name: Line,
      caption: opt(Line),
      place: opt(Ref),
      bytes: T.Integer({ minimum: 0 }),
    }),
    400,
  ),
  sabers: T.Array(Saber, { minItems: 1, maxItems: 12 }),
  handoff: obj({
    paper: oneOf(['A4', 'Letter'] as const),
    waivers: list(Waiver, 120),
    words: opt(Text),
    issued: list(
      obj({ number: T.Integer({ minimum: 1 }), on: Day, revision: T.Integer({ minimum: 0 }), by: Line }),
      100,
    ),
  }),
})

export type Commission = Static<typeof Commission>
export type Saber = Static<typeof Saber>
export type Hilt = Static<typeof Hilt>
export type Section = Static<typeof Section>
export type Fastener = Static<typeof Fastener>
export type Opening = Static<typeof Opening>
export type Socket = Static<typeof Socket>
export type FittedPart = Static<typeof FittedPart>
export type Blade = Static<typeof Blade>
export type Zone = Static<typeof Zone>
export type Preset = Static<typeof Preset>
export type Sound = Static<typeof Sound>
export type Input = Static<typeof Input>
export type ControlRow = Static<typeof ControlRow>
export type Procedure = Static<typeof Procedure>
export type Step = Static<typeof Step>
export type Decision = Static<typeof Decision>
export type Test = Static<typeof Test>
export type Reading = Static<typeof Reading>
export type Fix = Static<typeof Fix>
export type Beat = Static<typeof Beat>
export type Take = Static<typeof Take>
export type Waiver = Static<typeof Waiver>
export type Request = Commission['requests'][number]
