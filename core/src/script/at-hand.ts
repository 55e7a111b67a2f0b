import { type Piece, piecesOf, type Told } from '../access'
import { judgedSeats } from '../fit'
import type { Blade, Saber, Socket } from '../record'

/** Why no blade goes into a socket while it is filmed: none is on the bench, or none of those there goes in. */
export interface NoBlade {
  socket: Socket
  why: 'noBlade' | 'willNotEnter'
  blade?: Blade
}

const entersNot = (s: Saber, b: Blade): boolean => judgedSeats(s, b).some((x) => x.fit?.kind === 'willNotEnter')

/** Into which sockets a blade goes on camera, and into which none does. Where no blade is recorded at all, one is taken to be there. */
export function atHand(s: Saber): { can: Socket[]; cannot: NoBlade[] } {
  const blades = s.blades.filter((b) => b.kind !== 'plug' && b.kind !== 'inHilt')
  if (!blades.length) return { can: [...s.hilt.sockets], cannot: [] }
  const cannot = s.hilt.sockets.flatMap((socket): NoBlade[] => {
    const here = blades.filter((b) => b.socket === socket.id && b.use !== 'toBuy')
    if (here.some((b) => !entersNot(s, b))) return []
    const [blade] = here
    return [blade ? { socket, why: 'willNotEnter', blade } : { socket, why: 'noBlade' }]
  })
  return { can: s.hilt.sockets.filter((k) => !cannot.some((x) => x.socket === k)), cannot }
}

/** The pieces that can be shown on camera: blades only where one is there and goes in. */
export const filmPieces = (s: Saber, all: readonly Told[]): Piece[] => piecesOf(s, all, atHand(s).can)

/** Whether a blade comes out of it when it is lit; else lights come on in the hilt. */
export const bladeComesOut = (s: Pick<Saber, 'blades' | 'hilt'>): boolean =>
  s.blades.some((b) => b.kind === 'pixel' || b.kind === 'string') ||
  (!s.blades.some((b) => b.kind === 'inHilt') && s.hilt.sockets.length > 0)
