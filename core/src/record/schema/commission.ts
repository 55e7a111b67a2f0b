import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { LANGUAGES, MEASURES } from '../../units'
import { FilmOf, Parcel, Receipt, Visit } from './delivery'
import { ToDo, Warranty } from './extras'
import { idOf, ownId, ref } from './ref'
import { JOBS, Saber } from './saber'
import { Day, Hash, Line, list, Mark, Money, noted, obj, oneOf, opt, Prose, Who, Words } from './schema-kit'
import { Waiver } from './script'
import { LogEntry, WorkItem } from './work'

/** The version this code writes. Older ones are lifted when they are read; newer ones are refused by name. */
export const FORMAT = 'nubrin-commission'
export const FORMAT_VERSION = 16

export const PURPOSES = ['display', 'costume', 'duelling', 'beginner', 'stage'] as const
/** Who wished it: the client, the maker himself, or the shop offers it and the client may take it. */
export const REQUEST_SHAPES = ['asked', 'ownIdea', 'offered'] as const
export const REQUEST_STATES = ['open', 'met', 'changed', 'declined'] as const
export const FATES = ['used', 'altered', 'leftOver', 'returned', 'undecided'] as const
/** Who puts a question. */
export const ASKERS = ['shop', 'client'] as const
/** Whose a thing in the box is. */
export const OWNERS = ['client', 'shop'] as const
/** How the client comes by it: in a parcel, he has it already, or he buys it. */
export const SUPPLIES = ['packed', 'hasAlready', 'toBuy'] as const
/** How much of the record is printed: all of it, or what one needs who has had another. */
export const EXTENTS = ['full', 'short'] as const
/** The same, and each saber on one sheet. */
export const PDF_EXTENTS = [...EXTENTS, 'sheet'] as const
export type PdfExtent = (typeof PDF_EXTENTS)[number]
const Quantity = T.Integer({ minimum: 1, maximum: 999 })

/** A wish of the client, and what became of it. */
export const Request = obj({
  id: ownId('request'),
  text: Words,
  saber: opt(idOf('saber')),
  /** Asked where nothing is said. What is offered blocks nothing until it is accepted. */
  shape: opt(oneOf(REQUEST_SHAPES)),
  acceptedOn: opt(Day),
  /** How much it matters to the client: 1 first. */
  rank: opt(T.Integer({ minimum: 1, maximum: 99 })),
  /** What it costs, where it is offered; held out of the sum until it is accepted. */
  price: opt(Money),
  status: oneOf(REQUEST_STATES),
  where: opt(ref()),
  answer: opt(Words),
  toldOn: opt(Day),
  shopNote: noted.shopNote,
})
/** A part that the client sent. */
export const Arrival = obj({
  id: ownId('arrival'),
  what: Words,
  quantity: Quantity,
  /** A loose part, or a whole saber that is to be worked on. */
  whole: opt(T.Boolean()),
  saber: opt(idOf('saber')),
  condition: Words,
  /** The day on which its condition was noted, before work began. */
  conditionOn: opt(Day),
  /** What became of it, in as many shares as it was split into; their counts come to the quantity. */
  shares: list(
    obj({ id: ownId('share'), fate: oneOf(FATES), count: Quantity, saber: opt(idOf('saber')), now: opt(ref()) }),
    12,
  ),
  /** What was wrong with it, and what each became: work, a wish, or knowingly left. */
  faults: list(
    obj({ id: ownId('fault'), text: Words, became: opt(ref('toDo', 'request', 'repair')), left: opt(Words) }),
    20,
  ),
  ...noted,
})
export const Question = obj({
  id: ownId('question'),
  text: Words,
  /** Whom it is put to; the client where nothing is said. */
  to: opt(Line),
  /** Who puts it; the shop where nothing is said. */
  askedBy: opt(oneOf(ASKERS)),
  askedOn: opt(Day),
  answer: opt(Words),
  answeredOn: opt(Day),
  blocks: T.Boolean(),
})
export const Photo = obj({
  id: ownId('photo'),
  hash: Hash,
  type: Line,
  name: Line,
  caption: opt(Words),
  place: opt(ref()),
  bytes: T.Integer({ minimum: 0 }),
})
/** A line of the packing list. */
export const Packed = obj({
  id: ownId('packed'),
  what: Words,
  quantity: Quantity,
  packed: T.Boolean(),
  /** The saber it goes with, and the parcel it goes in; the first where nothing is said. */
  saber: opt(idOf('saber')),
  parcel: opt(idOf('parcel')),
  /** The shop's own comes back; what the client sent is his. */
  owner: opt(oneOf(OWNERS)),
  /** In a parcel where nothing is said. */
  supply: opt(oneOf(SUPPLIES)),
  /** What all of it weighs. */
  mass: opt(factOf('g')),
  /** What it was drafted from; stays the same for the same thing, whatever it is called. */
  key: opt(Line),
  ...noted,
})
/** What an older file held wrongly and this format cannot: where it stood, what it said as JSON, and why it is not there. */
const KeptAside = obj({
  id: ownId('aside'),
  path: T.String({ maxLength: 600 }),
  was: T.String({ maxLength: 4000 }),
  why: Line,
})

/** Words of the record as a client reads them who reads another language: by what stands in the record, wherever it stands. */
export const Translation = obj({
  id: ownId('translation'),
  language: oneOf(LANGUAGES),
  text: T.String({ minLength: 1, maxLength: 8000 }),
  says: T.String({ minLength: 1, maxLength: 8000 }),
})
/** What is done where words reach a client in a language that he does not read: nothing ships, or they are printed as quoted. */
export const UNTRANSLATED = ['block', 'quote'] as const

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
    /** What the client reads and is spoken to in; English where nothing is said. */
    language: opt(oneOf(LANGUAGES)),
    /** In what the client thinks of lengths; both are said where nothing is. */
    measures: opt(oneOf(MEASURES)),
  }),
  /** The language in which the shop has written this record; English where nothing is said. */
  writtenIn: opt(oneOf(LANGUAGES)),
  translations: opt(list(Translation, 2000)),
  /** Nothing ships with words that he does not read, where nothing is said. */
  untranslated: opt(oneOf(UNTRANSLATED)),
  ordered: opt(Day),
  deadline: opt(Day),
  shipped: opt(Day),
  brief: Prose,
  requests: list(Request, 120),
  arrivals: list(Arrival, 200),
  questions: list(Question, 120),
  credits: list(obj({ id: ownId('credit'), who: Who, did: Words }), 60),
  packing: list(Packed, 120),
  /** Where it goes. Without one all goes to the client. */
  parcels: list(Parcel, 12),
  /** What came after it was handed over. */
  visits: list(Visit, 60),
  log: list(LogEntry, 400),
  /** Who works on it in the shop. */
  people: list(obj({ id: ownId('person'), name: Line, does: opt(Words) }), 24),
  toDos: list(ToDo, 200),
  /** What is said of the work that follows from the record. */
  work: opt(list(WorkItem, 200)),
  /** Who gives it, where it is a gift. */
  giver: opt(Who),
  warranty: opt(Warranty),
  media: list(Photo, 400),
  sabers: T.Array(Saber, { minItems: 1, maxItems: 12 }),
  handoff: obj({
    paper: oneOf(['A4', 'Letter'] as const),
    waivers: list(Waiver, 120),
    words: opt(Prose),
    extent: opt(oneOf(EXTENTS)),
    films: list(FilmOf, 12),
    /** What the client has read, as he said. */
    receipts: list(Receipt, 200),
    issued: list(
      obj({
        ...{ number: T.Integer({ minimum: 1 }), on: Day, revision: T.Integer({ minimum: 0 }), by: Line },
        /** What it told of, as it was then. */
        told: opt(list(obj({ of: ref(), was: Mark }), 4000)),
      }),
      100,
    ),
  }),
  /** What came from an older file and could not be taken over as it was. */
  aside: opt(list(KeptAside, 2000)),
})

export type Commission = Static<typeof Commission>
export type Translation = Static<typeof Translation>
export type Request = Static<typeof Request>
export type Arrival = Static<typeof Arrival>
export type Question = Static<typeof Question>
export type Packed = Static<typeof Packed>
