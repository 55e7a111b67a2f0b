import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

/** A peak above this has probably been cut off, dBFS. */
const FULL = -0.1

export const clipped = check<{ full: { sound: string; preset: string; peakDb: number } }>({
  id: 'clipped',
  station: 'voice',
  scope: 'saber',
  rule: 'A sound peaks below full scale.',
  source: 'sample peak, dBFS',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets.flatMap((p) =>
      p.sounds.flatMap((s) =>
        s.peakDb !== undefined && s.peakDb > FULL
          ? [
              {
                code: 'full' as const,
                subject: `${p.id}-${s.id}`,
                level: 'caution' as const,
                params: { sound: s.name, preset: p.name, peakDb: s.peakDb },
                refs: [`preset:${p.id}` as const],
              },
            ]
          : [],
      ),
    ),
  words: {
    full: (p) => ({
      title: `${p.sound} is at full scale`,
      detail: `Peak ${formatNumber(MAKER, p.peakDb, 1)} dBFS in ${p.preset}: it probably clips.`,
      remedy: 'Lower its gain by a decibel or two and put it back.',
    }),
  },
})
