import type { Response } from 'express'
import { Once } from '../base/once'
import type { Asked, Whom, Work } from '../work/kinds'

const MOST_BYTES = 96 * 1024 * 1024

/** Papers and pages that were made, by what they were made of; several who ask for one at the same time wait for the same. */
export class Papers {
  private readonly made = new Once<Uint8Array>({ maxSize: MOST_BYTES, sizeCalculation: (b) => b.length })

  constructor(private readonly work: Work) {}

  /** The PDF under a key that says everything it depends on. */
  of(key: string, whom: Whom, ask: () => Promise<Asked<'pdf'>>): Promise<Uint8Array> {
    return this.made.of(`record ${key}`, async () => this.work.run('pdf', await ask(), whom))
  }
  /** The card of a saber's controls, likewise. */
  card(key: string, whom: Whom, ask: () => Asked<'card'>): Promise<Uint8Array> {
    return this.made.of(`card ${key}`, () => this.work.run('card', ask(), whom))
  }
  /** A page as one file, likewise. */
  page(key: string, make: () => Promise<Uint8Array>): Promise<Uint8Array> {
    return this.made.of(`page ${key}`, make)
  }
}

/** Answers with a PDF, shown where it is asked for, under a name to keep it by. */
export const sendPdf = (res: Response, pdf: Uint8Array, name: string) =>
  res
    .type('application/pdf')
    .set('Content-Disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .send(Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength))
