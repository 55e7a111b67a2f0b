import { type Commission, languageOf, readerOf, type Saber, saberTitle, told, writtenIn } from '../record'
import { listed } from '../script'
import type { Language, Measures, Reader } from '../units'
import { say } from '../words'
import { addresseesOf } from './addressee'
import { withBars } from './bars'
import type { Chapter, OrderChapter } from './block'
import { AFTER, BEFORE, OF_A_SABER } from './chapters'
import { type Cover, coverOf } from './cover'
import { type FrozenProcedure, frozenOf, withFirst } from './procedures'

const HANDOFF_FORMAT = 'nubrin-handoff'
const HANDOFF_VERSION = 5

export interface HandoffDocument {
  format: typeof HANDOFF_FORMAT
  version: typeof HANDOFF_VERSION
  /** The commission it is of, so that what comes back finds it. */
  of: string
  title: string
  client: string
  shop: string
  number: number
  date: string
  /** What it is written in, and whether the shop's own words in it are in another language. */
  language: Language
  ownWords: boolean
  /** In what its reader thinks of lengths, and what language the record is in; those issued before do not say it. */
  measures?: Measures
  written?: Language
  /** Of one that was issued before there were covers there is none. */
  cover?: Cover
  chapters: Chapter[]
  /** What hands do, as it is told and played everywhere. */
  procedures: FrozenProcedure[]
  /** What the shop says of itself, where it says something. */
  from?: ShopCard
}

/** How a shop is reached, and its last words and signature line. */
export interface ShopCard {
  address: string
  contact: string
  signature: string
  closing: string
}

/**
 * Builds the whole handoff record for a commission: what it is, what was asked and where it is, what came back, how it is
 * opened, lit, charged and cared for, what was tested and who made it. Nothing is stated as fact that the record does not hold as fact.
 */
export function buildHandoff(c: Commission, shop: string, date: string, from?: ShopCard): HandoffDocument {
  return whole(readerOf(c), told(c), shop, date, from)
}

function whole(reader: Reader, c: Commission, shop: string, date: string, from?: ShopCard): HandoffDocument {
  const several = c.sabers.length > 1
  const order = (list: readonly OrderChapter[]): Chapter[] =>
    list.map((chapter) => chapter(reader, c)).filter((ch) => ch.blocks.length)
  return {
    format: HANDOFF_FORMAT,
    version: HANDOFF_VERSION,
    of: c.id,
    title: c.title,
    client: listed(reader, addresseesOf(c)) || say(reader, 'handoff.noClient'),
    shop,
    number: c.handoff.issued.length + 1,
    date,
    language: languageOf(c),
    ownWords: languageOf(c) !== writtenIn(c),
    ...(c.client.measures ? { measures: c.client.measures } : {}),
    written: writtenIn(c),
    ...(from && Object.values(from).some((v) => v) ? { from } : {}),
    cover: coverOf(reader, c),
    procedures: c.sabers.flatMap((s) => withFirst(reader, c, s, frozenOf(reader, s))),
    chapters: [...order(BEFORE), ...c.sabers.flatMap((s) => saberChapters(reader, s, several)), ...order(AFTER)],
  }
}

function saberChapters(reader: Reader, s: Saber, several: boolean): Chapter[] {
  return OF_A_SABER.map((chapter) => chapter(reader, s))
    .filter((ch) => ch.blocks.length)
    .map(({ id, title, blocks }) => ({
      id: several ? `${id}-${s.id}` : id,
      title: several
        ? say(reader, 'handoff.ofSaber', {
            saber: s.name,
            title: reader.language === 'en' ? `${title[0]!.toLowerCase()}${title.slice(1)}` : title,
          })
        : title,
      saber: s.id,
      blocks: id === 'tests' ? withBars(reader, s, blocks) : blocks,
    }))
}

/**
 * A frozen handoff as this program reads it. The first ones carried no version; what they say stands as it was issued. Those from
 * before there were procedures get what the frozen record says that hands do.
 */
export function liftHandoff(frozen: unknown, record: Pick<Commission, 'sabers' | 'packing'>): HandoffDocument {
  const d = frozen as HandoffDocument
  // Before there were languages, all was English.
  const lifted = { ...{ language: 'en' as const, ownWords: false, of: '' }, ...d }
  const reader = readerOfHandoff(lifted)
  const ofSaber = (s: Saber) => withFirst(reader, record, s, frozenOf(reader, s))
  const procedures = d.procedures ?? record.sabers.flatMap(ofSaber)
  return { ...lifted, procedures, format: HANDOFF_FORMAT, version: HANDOFF_VERSION }
}

/** Whom a document speaks to: whatever is worded beside it, on its page, in its file and on its paper, is for this reader. */
export const readerOfHandoff = (
  d: Pick<HandoffDocument, 'language' | 'ownWords' | 'measures' | 'written'>,
): Reader => ({
  language: d.language,
  written: d.written ?? (d.ownWords ? 'en' : d.language),
  ...(d.measures ? { measures: d.measures } : {}),
})

/** What files of an order, or of one of its sabers, are called, safe for any file system. */
export const fileNameOf = (c: Commission, s?: Saber) =>
  (s ? saberTitle(c, s) : c.title)
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'handoff'
/** What the file of the record is called. */
export const handoffFileName = (c: Commission) => `${fileNameOf(c)}-handoff`
