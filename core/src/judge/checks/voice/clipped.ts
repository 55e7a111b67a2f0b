import { check } from '../../check'

/** A peak above this has probably been cut off, dBFS. */
const FULL = -0.1

export const clipped = check<{ full: { sound: string; preset: string; peakDb: number } }>({
  id: 'clipped',
  station: 'voice',
  scope: 'saber',
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
})
