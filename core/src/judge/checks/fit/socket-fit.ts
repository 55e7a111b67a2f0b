import { known } from '../../../facts'
import { judgedSeats, type Seat as Place, type SocketFit } from '../../../fit'
import { inArm, layOut, leastOuter, socketSpan } from '../../../geometry'
import { type Blade, byId, type Saber } from '../../../record'
import { check } from '../../check'

export interface Seat {
  blade: string
  /** What stands in what: the tube or its sleeve in the socket, or the tube in the sleeve. */
  what: Place['what']
  bore: number
  tube: number
  fit: SocketFit
  /** Wall round the socket that would be left if it were opened until the blade goes in, mm; none where nobody measured the outside. */
  left?: number
}

export const socketFit = check<{
  unknown: { blade: string; socket: string; needs: 'hole' | 'rod'; what: Place['what'] }
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
      return each(judgedSeats(saber, b), (x) => {
        const subject = x.what === 'tubeInSleeve' ? `${b.id}-sleeve` : (b.id as string)
        if (!x.fit)
          return [
            {
              code: 'unknown' as const,
              subject,
              level: 'note' as const,
              params: { blade: b.name, socket: k?.name ?? 'socket', needs: x.missing ?? 'hole', what: x.what },
              refs: [`blade:${b.id}` as const],
            },
          ]
        const { fit } = x
        if (fit.kind === 'snug') return []
        const wall = x.what === 'tubeInSleeve' ? undefined : wallRound(saber, b)
        const left = wall === undefined ? {} : { left: wall - fit.removePerSideMm }
        const stops = fit.kind === 'willNotEnter' || fit.kind === 'wrongSize'
        return [
          {
            code: fit.kind,
            subject,
            level: stops ? ('stop' as const) : ('caution' as const),
            params: { blade: b.name, what: x.what, bore: known(x.hole)!, tube: known(x.rod)!, fit, ...left },
            refs: [`blade:${b.id}` as const, `socket:${b.socket}` as const],
            ...(stops ? { gate: true } : {}),
          },
        ]
      })
    }),
})

/** The wall round a socket where it is thinnest, mm: on a tapered emitter that is not its nominal outside. */
function wallRound(saber: Saber, b: Blade): number | undefined {
  const k = byId(saber.hilt.sockets, b.socket)
  const section = byId(saber.hilt.sections, k?.section)
  const bore = known(k?.bore)
  if (!k || !section || bore === undefined) return undefined
  const shape = layOut(saber.hilt)
  const span = inArm(shape, k) ? undefined : socketSpan(saber, k.id, shape)
  const nominal = known(section.outside)
  const least = span && nominal !== undefined ? leastOuter(shape, Math.max(0, span.x0), span.x1) : nominal
  return least === undefined ? undefined : (least - bore) / 2
}
