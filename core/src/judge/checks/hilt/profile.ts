import { type ProfileFault, profileFaultText, sectionFaults } from '../../../room'
import { check } from '../../check'

export const profile = check<{ faults: { section: string; first: ProfileFault; more: number } }>({
  id: 'profile',
  station: 'hilt',
  scope: 'saber',
  rule: 'A profile runs from end to end of its section, forward, with the bore inside the outside.',
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
  words: {
    faults: (p) => ({
      title: `${p.section}: the profile does not hold`,
      detail: `${profileFaultText(p.first)}${p.more ? `, and ${p.more} more` : ''}.`,
      remedy: 'Drag or type the point to where it belongs.',
    }),
  },
})
