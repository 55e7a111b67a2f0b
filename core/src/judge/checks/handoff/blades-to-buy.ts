import { check } from '../../check'

export const bladesToBuy = check<{ none: { socket: string } }>({
  id: 'bladesToBuy',
  station: 'handoff',
  scope: 'saber',
  rule: 'A socket without a shipped blade is told to the client.',
  source: 'shop practice',
  reads: ['hilt', 'blades'],
  run: ({ saber }) =>
    saber.hilt.sockets
      .filter((k) => !saber.blades.some((b) => b.socket === k.id && b.use !== 'demo'))
      .map((k) => ({
        code: 'none',
        subject: k.id,
        level: 'caution',
        params: { socket: k.name },
        refs: [`socket:${k.id}`],
        gate: true,
      })),
  words: {
    none: (p) => ({
      title: `${p.socket}: no blade ships for it`,
      detail: 'Only a bench blade, or none, is recorded.',
      remedy: 'Add the blade the client gets or must buy, with its length.',
    }),
  },
})
