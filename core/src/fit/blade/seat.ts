import { type Calculated, Gather, known, type NumberFact, sized } from '../../facts'
import { type Blade, type Ref, refTo, type Saber } from '../../record'
import { socketOf } from './exposed'
import { judgeSocket, type SocketFit } from './socket'

/** One thing standing in another: the tube in its socket; with a sleeve between, the sleeve in the socket and the tube in the sleeve. */
export interface Seat {
  what: 'tube' | 'sleeve' | 'tubeInSleeve'
  hole: NumberFact | undefined
  rod: NumberFact | undefined
  holeRef: Ref
  rodRef: Ref
}

/** Each place where a blade can have play, from the socket inwards. None where the blade has no socket. */
export function seatsOf(saber: Saber, b: Blade): Seat[] {
  const k = socketOf(saber, b)
  if (!k) return []
  const [socket, blade] = [refTo('socket', k.id), refTo('blade', b.id)]
  const sleeve = b.adapter
  if (!sleeve) return [{ what: 'tube', hole: k.bore, rod: b.outside, holeRef: socket, rodRef: blade }]
  return [
    { what: 'sleeve', hole: k.bore, rod: sleeve.outside, holeRef: socket, rodRef: blade },
    { what: 'tubeInSleeve', hole: sleeve.bore, rod: b.outside, holeRef: blade, rodRef: blade },
  ]
}

/** How deep a blade is held, mm: as deep as its socket, or as its sleeve reaches. */
export function heldDeep(saber: Saber, b: Blade): number | undefined {
  const [depth, sleeve] = [known(socketOf(saber, b)?.depth), known(b.adapter?.length)]
  return depth === undefined || sleeve === undefined ? depth : Math.min(depth, sleeve)
}

/** One seat with how it fits; undefined where a size is missing or no size. */
export interface JudgedSeat extends Seat {
  fit?: SocketFit
  missing?: 'hole' | 'rod'
}
/** Every seat of a blade as it fits. */
export const judgedSeats = (saber: Saber, b: Blade): JudgedSeat[] =>
  seatsOf(saber, b).map((x) => {
    const [hole, rod] = [sized(x.hole), sized(x.rod)]
    if (hole === undefined) return { ...x, missing: 'hole' }
    if (rod === undefined) return { ...x, missing: 'rod' }
    return { ...x, fit: judgeSocket(hole, rod, heldDeep(saber, b), known(b.length)) }
  })

/** Sideways room of a blade where it is held, mm on the diameter: of all seats together. */
export function playOf(saber: Saber, blade: string): Calculated {
  const g = new Gather()
  const b = saber.blades.find((x) => x.id === blade)
  const seats = b ? seatsOf(saber, b) : []
  if (!b || !seats.length) g.missing('a socket for the blade')
  const rooms = seats.map((x) => {
    const sleeve = b!.adapter?.name ?? 'the adapter'
    const hole = g.take(x.what === 'tubeInSleeve' ? `bore of ${sleeve}` : 'bore of the socket', x.hole, x.holeRef)
    const rod = g.take(`outside of ${x.what === 'sleeve' ? sleeve : b!.name}`, x.rod, x.rodRef)
    return hole - rod
  })
  return g.figure('mm', seats.length > 1 ? 'Σ (hole − what stands in it)' : 'bore − tube', 'diametral clearance', () =>
    rooms.reduce((a, r) => a + r, 0),
  )
}
