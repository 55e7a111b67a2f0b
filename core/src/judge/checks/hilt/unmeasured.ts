import { certainty } from '../../../room'
import { check } from '../../check'

export const unmeasured = check<{ noHilt: Record<never, never>; section: { section: string; missing: string[] } }>({
  id: 'unmeasured',
  station: 'hilt',
  scope: 'saber',
  rule: 'Sections need a length, an outside and a bore before anything inside can be judged.',
  source: 'house rule: facts know where they come from',
  reads: ['hilt'],
  run: ({ saber }) => {
    if (!saber.hilt.sections.length)
      return [{ code: 'noHilt', subject: 'none', level: 'caution', params: {}, gate: true }]
    return saber.hilt.sections.flatMap((s) => {
      const missing = (['length', 'outside', 'bore'] as const).filter((k) => certainty(s[k]) === 'unknown')
      return missing.length
        ? [
            {
              code: 'section' as const,
              subject: s.id,
              level: 'caution' as const,
              params: { section: s.name, missing },
              refs: [`section:${s.id}` as const],
            },
          ]
        : []
    })
  },
  words: {
    noHilt: () => ({
      title: 'No hilt yet',
      detail: 'The drawing is empty: no section has been entered.',
      remedy: 'Add the sections from the pommel to the emitter.',
    }),
    section: (p) => ({
      title: `${p.section}: not measured`,
      detail: `${p.missing.join(', ')} not recorded; drawn dotted with a stand-in.`,
      remedy: 'Measure it, or enter the client’s or the drawing’s figure as such.',
    }),
  },
})
