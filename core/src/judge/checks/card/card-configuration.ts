import { configurationDifferences, configurationOf, lastReading } from '../../../card'
import { check } from '../../check'

export const cardConfiguration = check<{
  differs: { card: string; n: number; first: string; was: string; is: string }
}>({
  id: 'cardConfiguration',
  station: 'voice',
  scope: 'saber',
  source: 'the configuration as it was read, value by value',
  reads: [
    ...(['cards', 'presets', 'fonts', 'settings', 'use', 'controls', 'modes', 'inputs'] as const),
    ...(['timing', 'blades', 'zones', 'hilt', 'parts', 'firmware', 'name'] as const),
  ],
  run: ({ saber }, each) =>
    each(
      saber.cards.filter((c) => c.is === 'shipped'),
      (c) => {
        const is = lastReading(c)?.configuration
        const all = is ? configurationDifferences(configurationOf(saber), is) : []
        const [first] = all
        return first
          ? [
              {
                ...{ code: 'differs' as const, subject: c.id, level: 'caution' as const, gate: true },
                params: {
                  ...{ card: c.name, n: all.length, first: first.at },
                  ...{ was: first.was ?? 'nothing', is: first.is ?? 'nothing' },
                },
                refs: [`card:${c.id}` as const],
              },
            ]
          : []
      },
    ),
})
