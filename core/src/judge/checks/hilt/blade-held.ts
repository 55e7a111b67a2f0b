import { purposeOf, retentionOf } from '../../../record'
import { check } from '../../check'

export const bladeHeld = check<{ nothing: { socket: string }; never: { screw: string }; unnamed: { screw: string } }>({
  id: 'bladeHeld',
  station: 'hilt',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt'],
  run: ({ saber }, each) => [
    ...each(saber.hilt.sockets, (k) => {
      const screws = retentionOf(saber, k)
      const barred = screws.find((f) => f.clientMay === 'never')
      if (!screws.length && k.insertion === 'clockwise') return []
      if (!screws.length)
        return [
          {
            code: 'nothing' as const,
            subject: k.id as string,
            level: 'stop' as const,
            params: { socket: k.name },
            refs: [`socket:${k.id}` as const],
            gate: true,
          },
        ]
      return barred
        ? [
            {
              code: 'never' as const,
              subject: `${k.id}-never`,
              level: 'stop' as const,
              params: { screw: barred.name },
              refs: [`fastener:${barred.id}` as const],
              gate: true,
            },
          ]
        : []
    }),
    ...each(
      saber.hilt.fasteners.filter(
        (f) => f.head !== 'dummy' && f.purpose === undefined && purposeOf(saber, f) === undefined,
      ),
      (f) => [
        {
          code: 'unnamed' as const,
          subject: `${f.id}-unnamed`,
          level: 'caution' as const,
          params: { screw: f.name },
          refs: [`fastener:${f.id}` as const],
          gate: true,
        },
      ],
    ),
  ],
})
