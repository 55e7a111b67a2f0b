import type { HandoffDocument } from '@nubrin/core/handoff'
import type { PartRows } from '@nubrin/core/import'
import type { Commission, Saber } from '@nubrin/core/record'
import { plainWav, readWav, type WavFacts } from '@nubrin/core/voice'
import { Invalid } from '../http/problem'
import { type Peg, pegOf } from '../rack/peg'
import { readParts } from '../shelf/bring-in'

/** What a sound is, and the file that is kept of it. */
export interface ReadSound {
  facts: WavFacts
  bytes: Uint8Array
}
/** A commission as it comes in, with the files that came along under the hash of their content. */
export interface Unpacked {
  record: Commission
  media: Map<string, Uint8Array>
}

/**
 * What takes long, or reads what strangers made: it runs beside the requests, in threads of its own, with limits of time
 * and memory. A refusal is a problem, as everywhere.
 */
export const JOBS = {
  async pdf(ask: { document: HandoffDocument; sabers: readonly Saber[]; paper: 'A4' | 'Letter' }): Promise<Uint8Array> {
    // The writer and its fonts are read with the first PDF, not at every start.
    const { handoffPdf } = await import('../handoff/pdf')
    return handoffPdf(ask.document, ask.sabers, ask.paper)
  },
  async sound(ask: { bytes: Uint8Array; name: string }): Promise<ReadSound> {
    const facts = readWav(ask.bytes)
    if (!facts.ok) {
      const message = `${ask.name}: ${facts.message}`
      throw new Invalid(message, [{ path: 'file', rule: facts.code, message }])
    }
    return { facts, bytes: plainWav(ask.bytes) }
  },
  async unpack(ask: { bytes: Uint8Array }): Promise<Unpacked> {
    const { unpack } = await import('../commissions/archive')
    return unpack(Buffer.from(ask.bytes.buffer, ask.bytes.byteOffset, ask.bytes.byteLength))
  },
  async parts(ask: { bytes: Uint8Array; name: string; onlyGood: boolean }): Promise<PartRows> {
    return readParts(ask.bytes, ask.name, ask.onlyGood)
  },
  async pegs(ask: { records: readonly Commission[]; today: string }): Promise<Peg[]> {
    return ask.records.map((c) => pegOf(c, ask.today))
  },
} satisfies Record<string, (ask: never) => Promise<unknown>>

export type JobName = keyof typeof JOBS
export type Asked<K extends JobName> = Parameters<(typeof JOBS)[K]>[0]
export type Done<K extends JobName> = Awaited<ReturnType<(typeof JOBS)[K]>>
