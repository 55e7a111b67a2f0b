import { known } from '../../../facts'
import { FLASH_LIMIT_HZ } from '../../../light'
import { check } from '../../check'

export const flashing = check<{ fast: { preset: string; hz: number } }>({
  id: 'flashing',
  station: 'voice',
  scope: 'saber',
  source: 'WCAG 2.3.1',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets.flatMap((p) => {
      const hz = known(p.flickerHz) ?? 0
      return hz > FLASH_LIMIT_HZ
        ? [
            {
              code: 'fast' as const,
              subject: p.id,
              level: 'note' as const,
              params: { preset: p.name, hz },
              refs: [`preset:${p.id}` as const],
            },
          ]
        : []
    }),
})
