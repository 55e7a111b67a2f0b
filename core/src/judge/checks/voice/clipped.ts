import { refTo } from '../../../record'
import { gainOf, HIGHEST_PEAK, loudestPeak } from '../../../voice'
import { check } from '../../check'

/** A peak above this has probably been cut off, dBFS. */
const FULL = -0.1

export const clipped = check<{
  full: { sound: string; font: string; peakDb: number; runs: number }
  over: { font: string; sound: string; peakDb: number; gain: number }
}>({
  id: 'clipped',
  station: 'voice',
  scope: 'saber',
  source: 'sample peak, dBFS; true peak, ITU-R BS.1770-4; highest of EBU R 128',
  reads: ['fonts'],
  run: ({ saber }, each) => [
    ...saber.fonts.flatMap((f) =>
      each(f.sounds, (s) =>
        s.peakDb !== undefined && s.peakDb > FULL
          ? [
              {
                ...{ code: 'full' as const, subject: `${f.id}-${s.id}`, level: 'caution' as const },
                params: { sound: s.name, font: f.name, peakDb: s.peakDb, runs: s.clips ?? 0 },
                refs: [refTo('font', f.id), refTo('sound', s.id)],
              },
            ]
          : [],
      ),
    ),
    // What was made louder must stay below; what was recorded at full scale is said of the sound itself.
    ...each(saber.fonts, (f) => {
      const [top, gain] = [loudestPeak(f), gainOf(f)]
      return top && gain > 0 && top.truePeakDb + gain > HIGHEST_PEAK
        ? [
            {
              ...{ code: 'over' as const, subject: f.id, level: 'caution' as const },
              params: { font: f.name, sound: top.sound.name, peakDb: top.truePeakDb + gain, gain },
              refs: [refTo('font', f.id)],
            },
          ]
        : []
    }),
  ],
})
