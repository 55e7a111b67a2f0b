import { readWav } from '@nubrin/core/voice'
import sharp from 'sharp'
import { Invalid } from '../http/problem'

const MAX_PHOTO_BYTES = 12 * 1024 * 1024
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
