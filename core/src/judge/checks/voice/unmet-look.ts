import { asksForBlade, clientBlades, type Unmet, unmetOn } from '../../../looks'
import { check } from '../../check'

export const unmetLook = check<{
  nowhere: { preset: string; lacks: Unmet[] }
  partly: { preset: string; lacks: Unmet[]; blade: string }
}>({
  id: 'unmetLook',
  station: 'voice',
  scope: 'saber',
  source: 'what the look takes against the blades as recorded',
  reads: ['presets', 'blades', 'hilt'],
  run: ({ saber }, each) => {
    const blades = clientBlades(saber)
    return each(saber.presets.filter(asksForBlade), (p) => {
      const lacks = blades.map((blade) => ({ blade, lacks: unmetOn(saber, p, blade) }))
      const refs = [`preset:${p.id}` as const]
      if (!lacks.some((x) => !x.lacks.length)) {
        // The blade that comes nearest says what is wanting.
        const least = lacks.toSorted((a, b) => a.lacks.length - b.lacks.length)[0]?.lacks ?? ['blade']
        return [
          {
            ...{ code: 'nowhere' as const, subject: p.id, level: 'caution' as const, gate: true },
            ...{ params: { preset: p.name, lacks: least }, refs },
          },
        ]
      }
      return lacks
        .filter((x) => x.lacks.some((u) => u === 'length' || u === 'tip') && x.blade.kind !== 'plug')
        .map(({ blade, lacks }) => ({
          ...{ code: 'partly' as const, subject: `${p.id}-${blade.id}`, level: 'note' as const },
          params: { preset: p.name, lacks: lacks.filter((u) => u !== 'blade'), blade: blade.name },
          refs: [...refs, `blade:${blade.id}` as const],
        }))
    })
  },
})
