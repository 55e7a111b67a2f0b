import type { RackEntry } from '@nubrin/core/api'
import type { CardPaper, HandoffDocument, ParcelLabel, ShopCard } from '@nubrin/core/handoff'
import type { EarlierRows, PartRows } from '@nubrin/core/import'
import type { Finding } from '@nubrin/core/judge'
import type { Learned } from '@nubrin/core/learning'
import type { QuotePaper } from '@nubrin/core/quote'
import type { Commission, PdfExtent, Saber } from '@nubrin/core/record'
import type { Work as Piece } from '@nubrin/core/schedule'
import type { Reader } from '@nubrin/core/units'
import type { HttpProblem } from '../http/problem'

/** A commission as it comes in, with the files that came along under the hash of their content. */
export interface Unpacked {
  record: Commission
  media: Map<string, Uint8Array>
}

/** The jobs that are done beside the requests: what each is asked, and what it gives. */
interface Jobs {
  /** Reads what the first PDF would have to wait for. */
  warm: { ask: Record<never, never>; done: true }
  /** What stands against shipping. */
  gate: { ask: { record: Commission; today: string }; done: Pick<Finding, 'key' | 'title' | 'station'>[] }
  /** The client's document of a record: every check of its figures is worked out. */
  document: { ask: { record: Commission; shop: string; date: string; from: ShopCard }; done: HandoffDocument }
  pdf: {
    ask: {
      document: HandoffDocument
      sabers: readonly Saber[]
      paper: 'A4' | 'Letter'
      extent: PdfExtent
      link?: string
    }
    done: Uint8Array
  }
  card: { ask: { saber: Saber; paper: CardPaper; shop: string; reader: Reader }; done: Uint8Array }
  quote: {
    ask: { quote: QuotePaper; reader: Reader; shop: string; address: string; paper: 'A4' | 'Letter' }
    done: Uint8Array
  }
  label: { ask: { label: ParcelLabel; title: string }; done: Uint8Array }
  /** The file that is kept of a sound. */
  sound: { ask: { bytes: Uint8Array; name: string }; done: Uint8Array }
  /** A sound with the gain that it has on the card. */
  louder: { ask: { bytes: Uint8Array; gainDb: number }; done: Uint8Array }
  /** Sounds on one channel, in an open codec; what would go beyond the most bytes is left out. */
  pressed: {
    ask: { sounds: { hash: string; bytes: Uint8Array }[]; most: number }
    done: { hash: string; bytes: Uint8Array }[]
  }
  unpack: { ask: { bytes: Uint8Array }; done: Unpacked }
  parts: { ask: { bytes: Uint8Array; name: string; onlyGood: boolean }; done: PartRows }
  earlier: { ask: { bytes: Uint8Array }; done: EarlierRows }
  /** A photo as it is kept. */
  photo: { ask: { bytes: Uint8Array; name: string }; done: Accepted }
  /** What some records teach. */
  learn: { ask: { records: readonly Commission[] }; done: Learned[] }
  pegs: { ask: { records: readonly Commission[]; today: string }; done: { peg: RackEntry; work: Piece[] }[] }
}
export type JobName = keyof Jobs
export type Asked<K extends JobName> = Jobs[K]['ask']
export type Done<K extends JobName> = Jobs[K]['done']

/** What a file may be. */
export const MEDIA_TYPES = ['image/jpeg', 'image/png', 'audio/wav'] as const
/** A file that came through the door. */
export interface Accepted {
  bytes: Uint8Array
  type: (typeof MEDIA_TYPES)[number]
}

/** For whom a job is done: a person, a link, or nobody who waits for it. */
export type Whom = { id: string } | 'upkeep'

/** Work that is done beside the requests. */
export interface Work {
  /**
   * Does a job for somebody; what was asked is handed over and not to be used again. Whoever has many waiting waits longer than
   * who has few. Throws its refusal, or one that says that it took too long, too much, or that too many wait.
   */
  run<K extends JobName>(name: K, ask: Asked<K>, whom: Whom): Promise<Done<K>>
  close(): Promise<void>
}

/** What a thread answers: a class does not survive the way between threads, its parts do. */
export type Answer =
  | { done: unknown }
  | { refused: Pick<HttpProblem, 'status' | 'type' | 'problems' | 'more'> & { detail: string } }
