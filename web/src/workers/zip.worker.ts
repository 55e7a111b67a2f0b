import { MOST_SOUND_BYTES } from '@nubrin/core/voice'
import { BlobReader, configure, ERR_AMBIGUOUS_ARCHIVE, type FileEntry, ZipReader } from '@zip.js/zip.js'
import type { ZipAsk, ZipSaid } from './openZip'

// It is beside the page already.
configure({ useWebWorkers: false })

/** More than an archive of sounds has: one made to hurt is not unpacked to see how far it goes. */
const MOST_ENTRIES = 5000
const say = (said: ZipSaid) => self.postMessage(said)
let entries: FileEntry[] = []

/** The content of an entry; one that is longer than it says is given up. */
async function unpacked(entry: FileEntry): Promise<Blob> {
  const chunks: Uint8Array<ArrayBuffer>[] = []
  let got = 0
  const sink = new WritableStream<Uint8Array<ArrayBuffer>>({
    write(chunk) {
      got += chunk.byteLength
      if (got > entry.uncompressedSize) throw new Error('it is longer than it says')
      chunks.push(chunk)
    },
  })
  await entry.getData(sink, { checkSignature: true })
  return new Blob(chunks)
}

self.onmessage = async ({ data }: MessageEvent<ZipAsk>) => {
  try {
    if (data.kind === 'open') {
      // Each entry is judged by itself: one whose path leads out is named, the others go on.
      const reader = new ZipReader(new BlobReader(data.file), { filenameValidation: 'tolerant' })
      const all = await reader.getEntries()
      if (all.length > MOST_ENTRIES)
        return say({ kind: 'refused', why: `The archive has ${all.length} entries; ${MOST_ENTRIES} are taken.` })
      entries = all.filter((e): e is FileEntry => !e.directory)
      return say({ kind: 'list', entries: entries.map((e) => ({ path: e.filename, bytes: e.uncompressedSize })) })
    }
    const entry = entries[data.index]!
    if (entry.encrypted) return say({ kind: 'entry', why: 'is encrypted' })
    if (entry.uncompressedSize > MOST_SOUND_BYTES) return say({ kind: 'entry', why: 'is larger than 40 MB' })
    return say({ kind: 'entry', blob: await unpacked(entry) })
  } catch (e) {
    const { message } = e as Error
    const why = message === ERR_AMBIGUOUS_ARCHIVE ? 'the archive says two things of it' : message || 'unknown'
    return say(
      data.kind === 'open'
        ? { kind: 'refused', why: `The archive cannot be read: ${why}.` }
        : { kind: 'entry', why: `cannot be unpacked: ${why}` },
    )
  }
}
