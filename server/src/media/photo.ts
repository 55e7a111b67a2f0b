import sharp from 'sharp'
import { Invalid } from '../http/problem'
import type { Accepted } from '../work/kinds'
import { isPlainJpeg, isPlainPng, MOST_SIDE } from './plain-picture'

const MAX_PIXELS = 60_000_000
// One picture takes one thread of the machine, beside which it is already.
sharp.concurrency(1)

const refuse = (rule: string, message: string, got?: string) =>
  new Invalid(message, [{ path: 'file', rule, message, ...(got ? { got } : {}) }])

/** A photo as it is kept: decoded and written anew, or as it is where nothing has to go. Refuses what cannot be shown. */
export async function plainPhoto(bytes: Uint8Array, name: string): Promise<Accepted> {
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
