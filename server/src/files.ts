import { existsSync } from 'node:fs'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { readWav } from '@nubrin/core/sound'
import sharp from 'sharp'
import { newId, sha256 } from './db/store'
import { Invalid, NotFound } from './http/problem'

/** Files by the hash of their content: the same photo is stored once, and a name can never point outside the folder. */
export class Files {
  constructor(private readonly folder: string) {}

  async put(bytes: Uint8Array): Promise<string> {
    const hash = sha256(bytes)
    const path = this.path(hash)
    if (!existsSync(path)) {
      await mkdir(join(this.folder, hash.slice(0, 2)), { recursive: true })
      // Written beside and renamed, so that a crash never leaves half a file under a good name.
      const draft = `${path}.${newId()}`
      await writeFile(draft, bytes, { flush: true })
      await rename(draft, path)
    }
    return hash
  }

  async get(hash: string): Promise<Buffer> {
    if (!/^[0-9a-f]{64}$/.test(hash) || !existsSync(this.path(hash))) throw new NotFound('There is no such file.')
    return readFile(this.path(hash))
  }

  private path(hash: string) {
    return join(this.folder, hash.slice(0, 2), hash)
  }
}

export const MAX_PHOTO_BYTES = 12 * 1024 * 1024
export const MAX_SOUND_BYTES = 40 * 1024 * 1024
const MAX_PIXELS = 60_000_000

export interface Accepted {
  bytes: Uint8Array
  type: string
}

const refuse = (field: string, rule: string, message: string, got?: string) =>
  new Invalid(message, [{ path: field, rule, message, ...(got ? { got } : {}) }])

/**
 * Looks at what a file is, not at what it is called. Photos are decoded and written anew as JPEG or PNG at most 2400 px wide,
 * without metadata; WAV files are measured and kept as they are. Anything else is refused by name and rule.
 */
export async function accept(bytes: Buffer, name: string): Promise<Accepted> {
  const tag = bytes.subarray(0, 4).toString('latin1')
  if (['RIFF', 'RIFX', 'RF64'].includes(tag) && bytes.subarray(8, 12).toString('latin1') === 'WAVE') {
    if (bytes.length > MAX_SOUND_BYTES) throw refuse('file', 'maxBytes', `${name} is larger than 40 MB.`)
    const wav = readWav(bytes)
    if (!wav.ok) throw refuse('file', wav.code, `${name}: ${wav.message}`)
    return { bytes, type: 'audio/wav' }
  }
  if (bytes.length > MAX_PHOTO_BYTES) throw refuse('file', 'maxBytes', `${name} is larger than 12 MB.`)
  try {
    const image = sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'truncated' }).rotate()
    const { format } = await image.metadata()
    if (!format || !['jpeg', 'png', 'webp'].includes(format))
      throw refuse('file', 'type', `${name} is not a JPEG, PNG, WebP or WAV file.`, format)
    const sized = image.resize({ width: 2400, height: 2400, fit: 'inside', withoutEnlargement: true })
    return format === 'png'
      ? { bytes: await sized.png().toBuffer(), type: 'image/png' }
      : { bytes: await sized.jpeg({ quality: 86 }).toBuffer(), type: 'image/jpeg' }
  } catch (e) {
    if (e instanceof Invalid) throw e
    throw refuse(
      'file',
      'content',
      `${name} cannot be read as a picture: ${(e as Error).message.split('\n')[0]}. JPEG, PNG, WebP and WAV are taken.`,
    )
  }
}
