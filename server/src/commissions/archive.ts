import { crc32 } from 'node:zlib'
import { readCommission, writeCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import yauzl from 'yauzl'
import yazl from 'yazl'
import { sha256 } from '../base/ids'
import { Invalid } from '../http/problem'
import type { Library } from '../media/library'
import type { Unpacked } from '../work/kinds'
import { mediaHashes } from './media-hashes'

/** Limits against archives made to hurt: entries, bytes of one entry, bytes in all. */
const LIMITS = {
  entries: 600,
  entryBytes: 45 * 1024 * 1024,
  totalBytes: 150 * 1024 * 1024,
  recordBytes: 8 * 1024 * 1024,
}

/** What a handoff's archive holds beside the record: made from it, and passed over when it is taken in. */
const MADE = /^(handoff\.(json|pdf)|saber\.html|captions\/[a-z0-9-]{2,48}\.vtt|card\/[a-z0-9-]{2,48}\.json)$/

/** The record with its files under other hashes and of the types that they were found to be. */
export function withMedia(c: Commission, found: ReadonlyMap<string, { hash: string; type: string }>): Commission {
  const next = structuredClone(c)
  for (const m of next.media) {
    const f = found.get(m.hash)
    if (f) Object.assign(m, f)
  }
  for (const s of next.sabers)
    for (const f of s.fonts)
      for (const q of f.sounds) {
        const kept = q.media ? found.get(q.media) : undefined
        if (kept) q.media = kept.hash
      }
  return next
}

/** Puts a record with its files into a ZIP: `commission.json`, `media/<hash>`, and in `missing.json` the hashes of files that this shop was never given. */
export async function addRecord(
  add: (name: string, content: Buffer) => void,
  c: Commission,
  shopId: string,
  library: Library,
): Promise<void> {
  add('commission.json', Buffer.from(writeCommission(c)))
  const hashes = mediaHashes(c)
  const here = await library.has(shopId, hashes)
  const missing = hashes.filter((h) => !here.has(h))
  if (missing.length) add('missing.json', Buffer.from(JSON.stringify(missing)))
  for (const hash of hashes.filter((h) => here.has(h))) add(`media/${hash}`, (await library.of(shopId, hash)).bytes)
}

/** A record with its files as one ZIP. */
export async function pack(c: Commission, shopId: string, library: Library): Promise<NodeJS.ReadableStream> {
  const zip = new yazl.ZipFile()
  await addRecord((name, content) => zip.addBuffer(content, name), c, shopId, library)
  zip.end()
  return zip.outputStream
}

const fault = (path: string, rule: string, message: string, got?: string) =>
  new Invalid(message, [{ path, rule, message, ...(got ? { got } : {}) }])

/** Reads an upload: a ZIP as `pack` writes it, or the bare JSON. Nothing is stored here; every fault names path and rule. */
export async function unpack(bytes: Buffer): Promise<Unpacked> {
  const isZip = bytes.subarray(0, 2).toString('latin1') === 'PK'
  const entries = isZip ? await readEntries(bytes) : new Map([['commission.json', bytes]])
  const json = entries.get('commission.json')
  if (!json) throw fault('commission.json', 'required', 'The archive has no commission.json.')
  if (json.length > LIMITS.recordBytes) throw fault('commission.json', 'maxBytes', 'The record is larger than 8 MB.')
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(json)
  } catch {
    throw fault('commission.json', 'utf8', 'The record is not UTF-8 text.')
  }
  const read = readCommission(text)
  if (!read.ok) throw new Invalid('The file does not hold a valid commission; nothing was changed.', read.problems)
  const media = new Map<string, Uint8Array>()
  for (const [name, data] of entries) {
    if (name === 'commission.json' || name === 'missing.json') continue
    const hash = name.slice('media/'.length)
    if (sha256(data) !== hash) throw fault(name, 'checksum', `${name} is damaged: its content does not match its name.`)
    media.set(hash, data)
  }
  const missing = new Set(
    entries
      .get('missing.json')
      ?.toString('latin1')
      .match(/[0-9a-f]{64}/g),
  )
  if (isZip)
    for (const h of mediaHashes(read.record))
      if (!media.has(h) && !missing.has(h))
        throw fault(`media/${h}`, 'required', `The archive lacks a file that the record names: media/${h}.`)
  return { record: read.record, media }
}

function readEntries(bytes: Buffer): Promise<Map<string, Buffer>> {
  return new Promise((done, fail) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true, validateEntrySizes: true, strictFileNames: true }, (err, zip) => {
      if (err) return fail(fault('', 'zip', `The archive cannot be read: ${err.message}.`))
      if (zip.entryCount > LIMITS.entries)
        return fail(fault('', 'maxEntries', `The archive has ${zip.entryCount} entries; ${LIMITS.entries} are taken.`))
      const out = new Map<string, Buffer>()
      let total = 0
      const stop = (e: Error) => {
        zip.close()
        fail(e)
      }
      zip.on('error', (e: Error) => stop(fault('', 'zip', `The archive cannot be read: ${e.message}.`)))
      zip.on('end', () => done(out))
      zip.on('entry', (entry: yauzl.Entry) => {
        const name = entry.fileName
        if (name.endsWith('/') || MADE.test(name)) return zip.readEntry()
        if (name !== 'commission.json' && name !== 'missing.json' && !/^media\/[0-9a-f]{64}$/.test(name))
          return stop(fault(name, 'unknownEntry', `The archive holds ${name}, which does not belong to this format.`))
        if (out.has(name)) return stop(fault(name, 'duplicate', `The archive holds ${name} twice.`))
        if (entry.uncompressedSize > LIMITS.entryBytes || total + entry.uncompressedSize > LIMITS.totalBytes)
          return stop(
            fault(
              name,
              'maxBytes',
              `${name} unpacks to ${Math.round(entry.uncompressedSize / 1048576)} MB; that is more than is taken.`,
            ),
          )
        zip.openReadStream(entry, (e, stream) => {
          if (e) return stop(fault(name, 'zip', `${name} cannot be read: ${e.message}.`))
          const chunks: Buffer[] = []
          let size = 0
          stream.on('data', (c: Buffer) => {
            size += c.length
            total += c.length
            // The header may lie about its size; the bytes do not.
            if (size > LIMITS.entryBytes || total > LIMITS.totalBytes)
              stream.destroy(fault(name, 'maxBytes', `${name} unpacks to more than is taken.`))
            else chunks.push(c)
          })
          stream.on('error', (x: Error) =>
            stop(x instanceof Invalid ? x : fault(name, 'zip', `${name} cannot be read: ${x.message}.`)),
          )
          stream.on('end', () => {
            const data = Buffer.concat(chunks)
            // The reader unpacks without holding the bytes to the sum that was packed with them.
            if (crc32(data) !== entry.crc32)
              return stop(fault(name, 'checksum', `${name} is damaged: it is not what was packed.`))
            out.set(name, data)
            zip.readEntry()
          })
        })
      })
      zip.readEntry()
    })
  })
}
