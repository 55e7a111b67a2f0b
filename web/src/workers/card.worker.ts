import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { BlobReader, configure, type FileEntry, ZipReader } from '@zip.js/zip.js'
import type { CardAsk, CardSaid } from './readCard'

configure({ useWebWorkers: false })

/** More than a card of a saber has, and longer than any of its files. */
const [MOST_FILES, MOST_BYTES, MOST_TEXT] = [3000, 256 * 1024 * 1024, 2 * 1024 * 1024]
const say = (said: CardSaid) => self.postMessage(said)

/** The SHA-256 of what comes in pieces, its length, and its first bytes as text where they are wanted. */
function taking(keep: boolean, most: number) {
  const hash = sha256.create()
  const kept: Uint8Array[] = []
  let bytes = 0
  const write = (chunk: Uint8Array) => {
    bytes += chunk.byteLength
    if (bytes > most) throw new Error('it is longer than it says')
    hash.update(chunk)
    if (keep && bytes <= MOST_TEXT) kept.push(chunk.slice())
  }
  return {
    sink: () => new WritableStream<Uint8Array>({ write }),
    done: async () => ({
      sum: bytesToHex(hash.digest()),
      bytes,
      text: keep ? await new Blob(kept as BlobPart[]).text() : undefined,
    }),
  }
}
const isConfiguration = (path: string) => /(^|\/)configuration\.json$/i.test(path)

self.onmessage = async ({ data }: MessageEvent<CardAsk>) => {
  const out: Extract<CardSaid, { kind: 'read' }> = { kind: 'read', files: [], unreadable: [] }
  const one = async (path: string, most: number, pour: (sink: WritableStream<Uint8Array>) => Promise<unknown>) => {
    const into = taking(isConfiguration(path), most)
    try {
      await pour(into.sink())
      const { sum, bytes, text } = await into.done()
      out.files.push({ path, bytes, sum })
      if (text !== undefined) out.configuration = text
    } catch {
      out.unreadable.push(path)
    }
    say({ kind: 'so far', files: out.files.length + out.unreadable.length })
  }
  try {
    if ('zip' in data) {
      const all = await new ZipReader(new BlobReader(data.zip), { filenameValidation: 'tolerant' }).getEntries()
      const files = all.filter((e): e is FileEntry => !e.directory)
      if (files.length > MOST_FILES)
        return say({ kind: 'refused', why: `It has ${files.length} files; ${MOST_FILES} are taken.` })
      for (const e of files)
        await one(e.filename, Math.min(MOST_BYTES, e.uncompressedSize), (sink) =>
          e.encrypted ? Promise.reject(new Error('encrypted')) : e.getData(sink, { checkSignature: true }),
        )
    } else {
      if (data.files.length > MOST_FILES)
        return say({ kind: 'refused', why: `It has ${data.files.length} files; ${MOST_FILES} are taken.` })
      for (const f of data.files) await one(f.path, MOST_BYTES, (sink) => f.file.stream().pipeTo(sink))
    }
    say(out)
  } catch (e) {
    say({ kind: 'refused', why: `The card cannot be read: ${(e as Error).message || 'it is no archive'}.` })
  }
}
