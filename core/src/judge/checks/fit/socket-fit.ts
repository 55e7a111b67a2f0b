import { known, sized } from '../../../facts'
import { judgeSocket, type SocketFit } from '../../../fit'
import { byId } from '../../../record'
import { check } from '../../check'

export interface Seat {
  blade: string
  bore: number
  tube: number
  fit: SocketFit
  /** Wall round the socket that would be left if it were opened until the blade goes in, mm; none where nobody measured the outside. */
  left?: number
}

export const socketFit = check<{
  unknown: { blade: string; socket: string; needs: 'bore' | 'tube' }
  willNotEnter: Seat
  wrongSize: Seat
  loose: Seat
  tight: Seat
}>({
  id: 'socketFit',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable',
  reads: ['hilt', 'blades'],
  run: ({ saber }, each) =>
    each(saber.blades, (b) => {
      const k = byId(saber.hilt.sockets, b.socket)
      const [bore, tube] = [sized(k?.bore), sized(b.outside)]
      if (!k || bore === undefined || tube === undefined)
        return [
          {
            code: 'unknown' as const,
            subject: b.id,
            level: 'note' as const,
            params: {
              blade: b.name,
              socket: k?.name ?? 'socket',
              needs: bore === undefined ? ('bore' as const) : ('tube' as const),
            },
            refs: [`blade:${b.id}` as const],
          },
        ]
      const fit = judgeSocket(bore, tube, known(k.depth), known(b.length))
      if (fit.kind === 'snug') return []
      const outside = known(byId(saber.hilt.sections, k.section)?.outside)
      const left = outside === undefined ? {} : { left: (outside - bore) / 2 - fit.removePerSideMm }
      const stops = fit.kind === 'willNotEnter' || fit.kind === 'wrongSize'
      return [
        {
          code: fit.kind,
          subject: b.id,
          level: stops ? ('stop' as const) : ('caution' as const),
          params: { blade: b.name, bore, tube, fit, ...left },
          refs: [`blade:${b.id}` as const, `socket:${k.id}` as const],
          ...(stops ? { gate: true } : {}),
        },
      ]
    }),
})
