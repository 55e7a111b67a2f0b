import { MOST_SOUND_BYTES } from '@nubrin/core/voice'
import { Invalid } from '../http/problem'
import type { Accepted, Whom, Work } from '../work/kinds'

const MAX_PHOTO_BYTES = 12 * 1024 * 1024

const tooLarge = (message: string) => new Invalid(message, [{ path: 'file', rule: 'maxBytes', message }])

/**
 * The one door for files: looks at what a file is, not at what it is called. Photos are decoded and written anew as JPEG or
 * PNG at most 2400 px wide, without metadata; of a WAV file the samples are kept. A file that is clean already comes back
 * byte for byte, so that what one shop gives out another takes in under the same hash. Anything else is refused by rule.
 */
export async function accept(bytes: Uint8Array, name: string, work: Work, whom: Whom): Promise<Accepted> {
  const tag = String.fromCharCode(...bytes.subarray(0, 4))
  if (['RIFF', 'RIFX', 'RF64'].includes(tag) && String.fromCharCode(...bytes.subarray(8, 12)) === 'WAVE') {
    if (bytes.length > MOST_SOUND_BYTES) throw tooLarge(`${name} is larger than 40 MB.`)
    return { bytes: await work.run('sound', { bytes, name }, whom), type: 'audio/wav' }
  }
  if (bytes.length > MAX_PHOTO_BYTES) throw tooLarge(`${name} is larger than 12 MB.`)
  return work.run('photo', { bytes, name }, whom)
}
