import { buildHandoff, readerOfHandoff } from '@nubrin/core/handoff'
import { readEarlierCsv } from '@nubrin/core/import'
import { gateOf, judgeCommission } from '@nubrin/core/judge'
import { loadLanguages } from '@nubrin/core/languages'
import { learnedFrom } from '@nubrin/core/learning'
import { blankCommission } from '@nubrin/core/record'
import { workOf } from '@nubrin/core/schedule'
import { louder, plainWav, wavFault } from '@nubrin/core/voice'
import { Invalid } from './http/problem'
import { plainPhoto } from './media/photo'
import { rackEntryOf } from './rack/rack-entry'
import { readParts } from './shelf/bring-in'
import type { Asked, Done, JobName } from './work/kinds'

loadLanguages()

/**
 * What takes long, or reads what strangers made: it runs beside the requests, in threads of its own, with limits of time
 * and memory. A refusal is a problem, as everywhere.
 */
export const JOBS: { [K in JobName]: (ask: Asked<K>) => Promise<Done<K>> } = {
  async warm() {
    // A small record from end to end: what it compiles and unpacks is there for the next one.
    const { handoffPdf } = await import('./handoff/pdf/index')
    const start = { title: 'Warm', client: '', job: 'install', purpose: 'display' } as const
    let n = 0
    const c = blankCommission(() => `warm-${n++}`, start)
    const document = buildHandoff(c, '', '2000-01-01')
    await handoffPdf(readerOfHandoff(document), { document, sabers: c.sabers, paper: 'A4', extent: 'full' })
    return true
  },
  async gate({ record, today }) {
    return gateOf(judgeCommission(record, today)).map(({ key, title, station }) => ({ key, title, station }))
  },
  async document({ record, shop, date, from }) {
    return buildHandoff(record, shop, date, from)
  },
  async pdf(ask) {
    // The writer and its fonts are read with the first PDF, not at every start.
    const { handoffPdf } = await import('./handoff/pdf/index')
    return handoffPdf(readerOfHandoff(ask.document), ask)
  },
  async card({ saber, paper, shop, reader }) {
    const { cardPdf } = await import('./handoff/pdf/index')
    return cardPdf(reader, saber, paper, shop)
  },
  async quote({ quote, ...how }) {
    const { quotePdf } = await import('./handoff/pdf/index')
    return quotePdf(quote, how)
  },
  async label({ label, title }) {
    const { labelPdf } = await import('./handoff/pdf/index')
    return labelPdf(label, title)
  },
  async sound({ bytes, name }) {
    const fault = wavFault(bytes)
    if (fault) {
      const message = `${name}: ${fault.message}`
      throw new Invalid(message, [{ path: 'file', rule: fault.code, message }])
    }
    return plainWav(bytes)
  },
  async louder({ bytes, gainDb }) {
    return louder(bytes, gainDb)
  },
  async pressed({ sounds, most }) {
    const { pressSounds } = await import('./handoff/encode-sounds')
    return pressSounds(sounds, most)
  },
  async unpack({ bytes }) {
    const { unpack } = await import('./commissions/archive')
    return unpack(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
  },
  async parts({ bytes, name, onlyGood }) {
    return readParts(bytes, name, onlyGood)
  },
  async photo({ bytes, name }) {
    return plainPhoto(bytes, name)
  },
  async earlier({ bytes }) {
    return readEarlierCsv(new TextDecoder().decode(bytes))
  },
  async learn({ records }) {
    return records.map(learnedFrom)
  },
  async pegs({ records, today }) {
    return records.map((c) => ({ peg: rackEntryOf(c, today), work: c.shipped ? [] : workOf(c) }))
  },
}
