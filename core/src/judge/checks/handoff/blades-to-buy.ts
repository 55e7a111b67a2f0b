import { clientBlade } from '../../../record'
import { check } from '../../check'

export const bladesToBuy = check<{ none: { socket: string } }>({
  id: 'bladesToBuy',
  station: 'handoff',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt', 'blades'],
  run: ({ saber }) =>
    saber.hilt.sockets
      .filter((k) => !clientBlade(saber, k.id))
      .map((k) => ({
        code: 'none',
        subject: k.id,
        level: 'caution',
        params: { socket: k.name },
        refs: [`socket:${k.id}`],
        gate: true,
      })),
})
