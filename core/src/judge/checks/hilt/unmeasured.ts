import { certainty } from '../../../geometry'
import { check } from '../../check'

export const unmeasured = check<{ noHilt: Record<never, never>; section: { section: string; missing: string[] } }>({
  id: 'unmeasured',
  station: 'hilt',
  scope: 'saber',
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
})
