import { cardManifest, type HandoffDocument } from '@nubrin/core/handoff'
import { type Commission, readerOf, toldSaber } from '@nubrin/core/record'
import { webVttOf } from '@nubrin/core/script'
import yazl from 'yazl'
import { addRecord } from '../commissions/archive'
import type { Library } from '../media/library'

interface Archived {
  document: HandoffDocument
  record: Commission
  pdf: Uint8Array
  page: Uint8Array
  shopId: string
  library: Library
}

/** A day that every archive carries, so that the same handoff is the same bytes. */
const MTIME = new Date('2000-01-01T00:00:00Z')

/**
 * All of a handoff as one ZIP: the record with its files as they are taken in again (`commission.json`, `media/`), and made from
 * it the PDF, the page as one file, captions and the manifest of the card of each saber, and what the client was handed as data.
 */
export async function handoffArchive({ document, record, pdf, page, shopId, library }: Archived) {
  const zip = new yazl.ZipFile()
  const add = (name: string, content: string | Uint8Array) =>
    zip.addBuffer(Buffer.from(content as Uint8Array), name, { mtime: MTIME })
  await addRecord(add, record, shopId, library)
  add('handoff.json', `${JSON.stringify(document, null, 2)}\n`)
  add('handoff.pdf', pdf)
  add('saber.html', page)
  for (const s of record.sabers) {
    const captions = webVttOf(readerOf(record), toldSaber(record, s), s.takes.at(-1))
    add(`captions/${s.id}.vtt`, captions)
    add(`card/${s.id}.json`, `${JSON.stringify(cardManifest(s), null, 2)}\n`)
  }
  zip.end()
  return zip.outputStream
}
