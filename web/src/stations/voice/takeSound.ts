import { EVENTS, type Sound } from '@nubrin/core/record'
import { call, freshId, refusalText } from '../../data'
import { readSound } from '../../workers/readSound'

/** The server takes no more. */
const MOST_BYTES = 40 * 1024 * 1024

/** Proposes the event of a sound from its file name, `ignite02.wav` → ignite; the maker sees it beside the name and corrects it. */
const eventOf = (name: string): Sound['event'] =>
  EVENTS.find((e) => name.toLowerCase().includes(e.toLowerCase())) ?? 'hum'

/** Measures a WAV file here, stores it, and makes the entry for it; otherwise says why not. */
export async function takeSound(
  file: File,
  commission: string,
): Promise<{ ok: true; sound: Sound } | { ok: false; why: string }> {
  if (file.size > MOST_BYTES) return { ok: false, why: `${file.name} is larger than 40 MB.` }
  const wav = await readSound(file)
  if (!wav.ok) return { ok: false, why: wav.message }
  try {
    const m = await call('upload', { query: { commission }, file })
    const round = (v: number, n: number) => Number(v.toFixed(n))
    return {
      ok: true,
      sound: {
        id: freshId(),
        event: eventOf(file.name),
        name: file.name.slice(0, 240),
        media: m.hash,
        seconds: round(wav.seconds, 3),
        rate: wav.rate,
        channels: wav.channels,
        bits: wav.bits,
        peakDb: round(wav.peakDb, 2),
        rmsDb: round(wav.rmsDb, 2),
      },
    }
  } catch (e) {
    return { ok: false, why: refusalText(e) }
  }
}
