import { type ProfileFault, sectionFaults } from '../../../geometry'
import { check } from '../../check'

export const profile = check<{ faults: { section: string; first: ProfileFault; more: number } }>({
  id: 'profile',
  station: 'hilt',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt'],
  run: ({ saber }) =>
    saber.hilt.sections.flatMap((s) => {
      const [first, ...more] = sectionFaults(s)
      return first
        ? [
            {
              code: 'faults' as const,
              subject: s.id,
              level: 'stop' as const,
              params: { section: s.name, first, more: more.length },
              refs: [`section:${s.id}` as const],
              gate: true,
            },
          ]
        : []
    }),
})
