import { byId } from '../../../record'
import { check } from '../../check'

export const bladeHeld = check<{ nothing: { socket: string }; never: { screw: string } }>({
  id: 'bladeHeld',
  station: 'hilt',
  scope: 'saber',
  rule: 'Every socket says which screws hold its blade.',
  source: 'shop practice',
  reads: ['hilt'],
  run: ({ saber }, each) =>
    each(saber.hilt.sockets, (k) => {
      const screws = k.retention.map((id) => byId(saber.hilt.fasteners, id)).filter((f) => f !== undefined)
      const barred = screws.find((f) => f.clientMay === 'never')
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
  words: {
    nothing: (p) => ({
      title: `${p.socket}: what holds the blade?`,
      detail: 'No retention screw is named.',
      remedy: 'Name the screw or screws that hold the blade.',
    }),
    never: (p) => ({
      title: `${p.screw} holds the blade, yet is not to be touched`,
      detail: 'The client must be able to loosen what holds the blade.',
      remedy: 'Correct one of the two.',
    }),
  },
})
