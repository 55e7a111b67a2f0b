import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { idOf, ownId, ref } from './ref'
import { JOBS, Saber } from './saber'
import { Day, Hash, Line, list, obj, oneOf, opt, Text } from './schema-kit'
import { Waiver } from './script'

/** The version this code writes. Older ones are lifted when they are read; newer ones are refused by name. */
export const FORMAT = 'nubrin-commission'
export const FORMAT_VERSION = 4

export const PURPOSES = ['display', 'costume', 'duelling', 'beginner', 'stage'] as const
/** Who wished it: the client, the maker himself, or the shop offers it and the client may take it. */
export const REQUEST_SHAPES = ['asked', 'ownIdea', 'offered'] as const
export const REQUEST_STATES = ['open', 'met', 'changed', 'declined'] as const
export const FATES = ['used', 'altered', 'leftOver', 'returned', 'undecided'] as const
export const LOG_KINDS = ['work', 'delay', 'decision', 'order', 'told'] as const
const Quantity = T.Integer({ minimum: 1, maximum: 999 })

/** A wish of the client, and what became of it. */
export const Request = obj({
  id: ownId('request'),
  text: Line,
  saber: opt(idOf('saber')),
  /** Asked where nothing is said. What is offered blocks nothing until it is accepted. */
  shape: opt(oneOf(REQUEST_SHAPES)),
  acceptedOn: opt(Day),
  status: oneOf(REQUEST_STATES),
  where: opt(ref()),
  answer: opt(Line),
  toldOn: opt(Day),
})
/** A part that the client sent. */
export const Arrival = obj({
  id: ownId('arrival'),
  what: Line,
  quantity: Quantity,
  condition: Line,
  fate: oneOf(FATES),
  note: opt(Line),
})
export const Question = obj({
  id: ownId('question'),
  text: Line,
  askedOn: opt(Day),
  answer: opt(Line),
  answeredOn: opt(Day),
  blocks: T.Boolean(),
})
const LogEntry = obj({
  id: ownId('entry'),
  on: Day,
  text: Text,
  kind: oneOf(LOG_KINDS),
  hours: opt(T.Number({ minimum: 0, maximum: 200 })),
})
export const Photo = obj({
  id: ownId('photo'),
  hash: Hash,
  type: Line,
  name: Line,
  caption: opt(Line),
  place: opt(ref()),
  bytes: T.Integer({ minimum: 0 }),
})
/** What an older file held wrongly and this format cannot: where it stood, what it said as JSON, and why it is not there. */
const KeptAside = obj({
  id: ownId('aside'),
  path: T.String({ maxLength: 600 }),
  was: T.String({ maxLength: 4000 }),
  why: Line,
})

export const Commission = obj({
  format: T.Literal(FORMAT),
  version: T.Literal(FORMAT_VERSION),
  id: T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' }),
  title: T.String({ minLength: 1, maxLength: 120 }),
  job: oneOf(JOBS),
  purpose: oneOf(PURPOSES),
  client: obj({
    id: opt(T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })),
    name: Line,
    country: opt(Line),
    contact: opt(Line),
    note: opt(Line),
  }),
  ordered: opt(Day),
  deadline: opt(Day),
  shipped: opt(Day),
  brief: Text,
  requests: list(Request, 120),
  arrivals: list(Arrival, 200),
  questions: list(Question, 120),
  credits: list(obj({ id: ownId('credit'), who: Line, did: Line }), 60),
  packing: list(
    obj({
      id: ownId('packed'),
      what: Line,
      quantity: Quantity,
      packed: T.Boolean(),
      /** What it was drafted from; stays the same for the same thing, whatever it is called. */
      key: opt(Line),
    }),
    120,
  ),
  log: list(LogEntry, 400),
  media: list(Photo, 400),
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
  /** What came from an older file and could not be taken over as it was. */
  aside: opt(list(KeptAside, 2000)),
})

export type Commission = Static<typeof Commission>
export type Request = Static<typeof Request>
