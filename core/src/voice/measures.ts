import type { Sound } from '../record'
import type { WavFacts } from './wav'

const rounded = (x: number, digits: number): number => Number(x.toFixed(digits))

/** What was measured of a file, as a record keeps it: times to the millisecond, levels to a hundredth of a decibel. */
export function measuresOf(w: WavFacts): Omit<Sound, 'id' | 'event' | 'name' | 'media'> {
  const { integrated, range } = w
  return {
    ...{ seconds: rounded(w.seconds, 3), rate: w.rate, channels: w.channels, bits: w.bits },
    ...{ peakDb: rounded(w.peakDb, 2), truePeakDb: rounded(w.truePeakDb, 2), rmsDb: rounded(w.rmsDb, 2) },
    ...(integrated === undefined ? {} : { loudnessLufs: rounded(integrated, 2) }),
    ...(range === undefined ? {} : { loudnessRangeLu: rounded(range, 2) }),
    ...{ clips: w.clips, dc: rounded(w.dc, 5) },
    ...{ leadSilence: rounded(w.leadSilence, 3), tailSilence: rounded(w.tailSilence, 3) },
    ...(w.seam.clicks ? { seamClicks: true } : {}),
    ...{ begins: rounded(w.begins, 3), arrives: rounded(w.arrives, 3) },
  }
}
