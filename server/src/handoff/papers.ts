import type { Response } from 'express'
import { LRUCache } from 'lru-cache'
import type { Asked, Whom, Work } from '../work/kinds'

const MOST_BYTES = 96 * 1024 * 1024

/** Papers and pages that were made, by what they were made of; several who ask for one at the same time wait for the same. */
export class Papers {
  private readonly made = new LRUCache<string, Uint8Array>({ maxSize: MOST_BYTES, sizeCalculation: (b) => b.length })
  private readonly making = new Map<string, Promise<Uint8Array>>()

  constructor(private readonly work: Work) {}

  /** The PDF under a key that says everything it depends on. */
  of(key: string, whom: Whom, ask: () => Promise<Asked<'pdf'>>): Promise<Uint8Array> {
    return this.keep(`record ${key}`, async () => this.work.run('pdf', await ask(), whom))
  }
  /** The card of a saber's controls, likewise. */
  card(key: string, whom: Whom, ask: () => Asked<'card'>): Promise<Uint8Array> {
    return this.keep(`card ${key}`, () => this.work.run('card', ask(), whom))
  }
  /** A page as one file, likewise. */
  page(key: string, make: () => Promise<Uint8Array>): Promise<Uint8Array> {
    return this.keep(`page ${key}`, make)
  }

  private keep(key: string, make: () => Promise<Uint8Array>): Promise<Uint8Array> {
    const there = this.made.get(key)
    if (there) return Promise.resolve(there)
    let making = this.making.get(key)
    if (!making) {
      making = make()
        .then((bytes) => {
          this.made.set(key, bytes)
          return bytes
        })
        .finally(() => this.making.delete(key))
      this.making.set(key, making)
    }
    return making
  }
}

/** Answers with a PDF, shown where it is asked for, under a name to keep it by. */
export const sendPdf = (res: Response, pdf: Uint8Array, name: string) =>
  res
    .type('application/pdf')
    .set('Content-Disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .send(Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength))
