import type { SoundEvent } from '@nubrin/core/record'
import wavefile from 'wavefile'

/** A made sound: the event it is for, its file name and its bytes. */
export interface MadeSound {
  event: SoundEvent
  name: string
  bytes: Uint8Array
}

const RATE = 22050

/** Plain recipes: seconds, and the sample at time t (0…seconds) for a voice pitched at f. Peaks stay below 0.8. */
const RECIPES: Partial<Record<SoundEvent, { seconds: number; wave: (t: number, s: number, f: number) => number }>> = {
  hum: {
    seconds: 1,
    wave: (t, _s, f) =>
      0.3 * Math.sin(2 * Math.PI * f * t) +
      0.15 * Math.sin(2 * Math.PI * 2 * f * t) +
      0.05 * Math.sin(2 * Math.PI * (f * 3 + 1) * t),
  },
  ignite: {
    seconds: 0.9,
    wave: (t, s, f) => 0.6 * Math.min(1, t * 8) * Math.sin(2 * Math.PI * f * (t + (1.6 * t * t) / s)),
  },
  retract: {
    seconds: 0.8,
    wave: (t, s, f) => 0.6 * (1 - t / s) * Math.sin(2 * Math.PI * f * (2.6 * t - (1.2 * t * t) / s)),
  },
  swing: {
    seconds: 0.6,
    wave: (t, s, f) =>
      0.5 * Math.sin((Math.PI * t) / s) * Math.sin(2 * Math.PI * f * (1 + 0.4 * Math.sin((Math.PI * t) / s)) * t),
  },
  clash: {
    seconds: 0.4,
    wave: (t, _s, f) =>
      0.75 * Math.exp(-t * 12) * Math.sin(2 * Math.PI * f * 7.3 * t + 5 * Math.sin(2 * Math.PI * 190 * t)),
  },
  lock: {
    seconds: 0.7,
    // Whole waves, so that its end meets its beginning.
    wave: (t, s, f) =>
      0.45 *
      Math.sin((2 * Math.PI * Math.round(f * 4 * s) * t) / s) *
      (0.65 + 0.35 * Math.sin((2 * Math.PI * 16 * t) / s)),
  },
  deflect: { seconds: 0.3, wave: (t, _s, f) => 0.7 * Math.exp(-t * 16) * Math.sin(2 * Math.PI * f * 11 * t) },
}

/** Makes the sounds of a font by code: 16-bit mono WAV. `pitch` sets its character, Hz; `loud` 1 or less how loud it is. */
export function makeSounds(pitch: number, events: SoundEvent[], loud = 1): MadeSound[] {
  return events.map((event) => {
    const recipe = RECIPES[event]
    if (!recipe) throw new Error(`demo: no recipe for the ${event} sound`)
    const samples = new Int16Array(Math.round(recipe.seconds * RATE))
    for (let i = 0; i < samples.length; i++)
      samples[i] = Math.round(loud * recipe.wave(i / RATE, recipe.seconds, pitch) * 32767)
    const wav = new wavefile.WaveFile()
    wav.fromScratch(1, RATE, '16', samples)
    return { event, name: `${event}01.wav`, bytes: wav.toBuffer() }
  })
}
