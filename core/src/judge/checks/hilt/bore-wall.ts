import { known } from '../../../facts'
import { LEAST_WALL } from '../../../geometry'
import { check } from '../../check'

interface Wall {
  section: string
  outside: number
  bore: number
}

export const boreWall = check<{ none: Wall; thin: Wall & { wall: number; material: string } }>({
  id: 'boreWall',
  station: 'hilt',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt'],
  run: ({ saber }, each) =>
    each(saber.hilt.sections, (s) => {
      const [outside, bore] = [known(s.outside), known(s.bore)]
      if (outside === undefined || bore === undefined) return []
      const wall = (outside - bore) / 2
      const refs = [`section:${s.id}` as const]
      if (wall <= 0)
        return [
          {
            code: 'none' as const,
            subject: s.id,
            level: 'stop' as const,
            params: { section: s.name, outside, bore },
            refs,
            gate: true,
          },
        ]
      return wall < LEAST_WALL
        ? [
            {
              code: 'thin' as const,
              subject: s.id,
              level: 'caution' as const,
              params: { section: s.name, outside, bore, wall, material: s.material },
              refs,
            },
          ]
        : []
    }),
})
