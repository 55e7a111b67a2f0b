import { known, sized } from '../../../facts'
import { judgeSocket, type SocketFit } from '../../../fit'
import { byId } from '../../../record'
import { MAKER, mmAndInch } from '../../../units'
import { check } from '../../check'
import { mm } from '../../text'

interface Seat {
  blade: string
  bore: number
  tube: number
  fit: SocketFit
}
const numbers = (p: Seat) =>
  `Socket ${mmAndInch(MAKER, p.bore)}, tube ${mmAndInch(MAKER, p.tube)}: clearance ${mm(p.fit.clearanceMm)}.`

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
  rule: 'Diametral clearance: below 0 will not enter, to 0.05 tight, to 0.20 snug, to 0.40 loose, beyond it the wrong size.',
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
      const stops = fit.kind === 'willNotEnter' || fit.kind === 'wrongSize'
      return [
        {
          code: fit.kind,
          subject: b.id,
          level: stops ? ('stop' as const) : ('caution' as const),
          params: { blade: b.name, bore, tube, fit },
          refs: [`blade:${b.id}` as const, `socket:${k.id}` as const],
          ...(stops ? { gate: true } : {}),
        },
      ]
    }),
  words: {
    unknown: (p) => ({
      title: `${p.blade}: fit in the ${p.socket} unknown`,
      detail: `not calculable, needs ${p.needs === 'bore' ? 'the bore of the socket' : 'the tube’s outside'}`,
      remedy: 'Measure it.',
    }),
    willNotEnter: (p) => ({
      title: `${p.blade} will not enter`,
      detail: numbers(p),
      remedy: `Take ${mm(p.fit.removePerSideMm)} off per side, or take another tube.`,
    }),
    wrongSize: (p) => ({
      title: `${p.blade}: wrong size, or wants an adapter`,
      detail: numbers(p),
      remedy: `An adapter or the right tube; a shim would be ${mm(p.fit.shimPerSideMm)} per side.`,
    }),
    loose: (p) => ({
      title: `${p.blade} sits loose`,
      detail: `${numbers(p)} ${p.fit.tipPlayMm === undefined ? '' : `The tip moves by ${mm(p.fit.tipPlayMm)}; the first pixels may flicker.`}`,
      remedy: `Shim ${mm(p.fit.shimPerSideMm)} per side.`,
    }),
    tight: (p) => ({
      title: `${p.blade} is tight`,
      detail: numbers(p),
      remedy: 'Polish, or tell the client to turn it in.',
    }),
  },
})
