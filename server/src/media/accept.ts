import sharp from 'sharp'
import { Invalid } from '../http/problem'
import type { Work } from '../work/kinds'
import { isPlainJpeg, isPlainPng, MOST_SIDE } from './plain-picture'

const MAX_PHOTO_BYTES = 12 * 1024 * 1024
export const MAX_SOUND_BYTES = 40 * 1024 * 1024
const MAX_PIXELS = 60_000_000

/** What a file may be. */
export const MEDIA_TYPES = ['image/jpeg', 'image/png', 'audio/wav'] as const
type MediaType = (typeof MEDIA_TYPES)[number]
export interface Accepted {
  bytes: Uint8Array
  type: MediaType
}

const refuse = (rule: string, message: string, got?: string) =>
  new Invalid(message, [{ path: 'file', rule, message, ...(got ? { got } : {}) }])

/**
 * The one door for files: looks at what a file is, not at what it is called. Photos are decoded and written anew as JPEG or
 * PNG at most 2400 px wide, without metadata; of a WAV file the samples are kept. A file that is clean already comes back
 * byte for byte, so that what one shop gives out another takes in under the same hash. Anything else is refused by rule.
 */
export async function accept(bytes: Uint8Array, name: string, work: Work): Promise<Accepted> {
  const tag = String.fromCharCode(...bytes.subarray(0, 4))
  if (['RIFF', 'RIFX', 'RF64'].includes(tag) && String.fromCharCode(...bytes.subarray(8, 12)) === 'WAVE') {
    if (bytes.length > MAX_SOUND_BYTES) throw refuse('maxBytes', `${name} is larger than 40 MB.`)
    return { bytes: (await work.run('sound', { bytes, name })).bytes, type: 'audio/wav' }
  }
  if (bytes.length > MAX_PHOTO_BYTES) throw refuse('maxBytes', `${name} is larger than 12 MB.`)
  try {
    const image = sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'truncated' }).rotate()
    const { format } = await image.metadata()
    if (!format || !['jpeg', 'png', 'webp'].includes(format))
      throw refuse('type', `${name} is not a JPEG, PNG, WebP or WAV file.`, format)
    const type = format === 'png' ? 'image/png' : 'image/jpeg'
    if (format === 'jpeg' ? isPlainJpeg(bytes) : format === 'png' && isPlainPng(bytes)) {
      // Decoded all the same: a picture that cannot be shown is no picture.
      await image.stats()
      return { bytes, type }
    }
    const sized = image
      .resize({ width: MOST_SIDE, height: MOST_SIDE, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
    return { bytes: await (format === 'png' ? sized.png() : sized.jpeg({ quality: 86 })).toBuffer(), type }
  } catch (e) {
    if (e instanceof Invalid) throw e
    throw refuse(
      'content',
      `${name} cannot be read as a picture: ${(e as Error).message.split('\n')[0]}. JPEG, PNG, WebP and WAV are taken.`,
    )
  }
}
