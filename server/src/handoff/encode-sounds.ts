import { playable } from '@nubrin/core/voice'
import { createOggEncoder } from 'wasm-media-encoders'

/** What an ear on a phone needs: Vorbis, variable, its second lowest quality. */
const QUALITY = 1
/** What a encoder of whole seconds takes at a time. */
const PIECE = 48_000

/** Ogg Vorbis of a WAV, on one channel; nothing where it is none. */
async function pressed(wav: Uint8Array): Promise<Uint8Array | undefined> {
  const sound = playable(wav)
  if (!sound) return undefined
  const { rate, samples } = sound
  const encoder = await createOggEncoder()
  // The same sound is the same bytes.
  encoder.configure({ channels: 1, sampleRate: rate, vbrQuality: QUALITY, oggSerialNo: 1 })
  const parts: Uint8Array[] = []
  for (let at = 0; at < samples.length; at += PIECE)
    parts.push(encoder.encode([samples.subarray(at, at + PIECE)]).slice())
  parts.push(encoder.finalize().slice())
  return Buffer.concat(parts)
}

/** Sounds as they are carried in a page, shortest first, as long as all together stay below the most bytes. */
export async function pressSounds(
  sounds: readonly { hash: string; bytes: Uint8Array }[],
  most: number,
): Promise<{ hash: string; bytes: Uint8Array }[]> {
  const out: { hash: string; bytes: Uint8Array }[] = []
  let used = 0
  for (const { hash, bytes } of sounds.toSorted((a, b) => a.bytes.length - b.bytes.length)) {
    const ogg = await pressed(bytes)
    if (!ogg) continue
    used += ogg.length
    if (used > most) break
    out.push({ hash, bytes: ogg })
  }
  return out
}
