import { known } from '../../../facts'
import { FLASH_LIMIT_HZ } from '../../../light'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

export const flashing = check<{ fast: { preset: string; hz: number } }>({
  id: 'flashing',
  station: 'voice',
  scope: 'saber',
  rule: `More than ${FLASH_LIMIT_HZ} general flashes a second is the usual photosensitive threshold; the caution must be printed.`,
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
  words: {
    fast: (p) => ({
      title: `${p.preset} flashes ${formatNumber(MAKER, p.hz)} times a second`,
      detail: 'Usual threshold: three a second. The caution is printed in the handoff and told on film.',
      remedy: 'Ask whether anyone who will see it is sensitive to flashing; if so, choose a calmer style.',
    }),
  },
})
