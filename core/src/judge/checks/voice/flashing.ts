import { FLASH_LIMIT_HZ } from '../../../light'
import { flashingOf } from '../../../looks'
import { check } from '../../check'

export const flashing = check<{
  fast: { preset: string; hz: number; event: string; light: string; red: boolean; counted: boolean }
}>({
  id: 'flashing',
  station: 'voice',
  scope: 'saber',
  source: 'WCAG 2.3.1, by rate alone',
  reads: ['presets', 'zones'],
  run: ({ saber }, each) =>
    each(saber.presets, (p) =>
      flashingOf(saber, p)
        .filter((f) => f.hz > FLASH_LIMIT_HZ)
        .map(({ event, light, hz, red, counted }) => ({
          code: 'fast' as const,
          // What is counted for the preset as a whole is the matter that has always borne its name.
          subject: counted ? p.id : `${p.id}-${event ?? 'shines'}-${light ?? 'blade'}`.slice(0, 120),
          level: 'note' as const,
          params: { preset: p.name, hz, event: event ?? '', light: light ?? '', red, counted },
          refs: [`preset:${p.id}` as const],
        })),
    ),
})
