import { formatNumber, MAKER } from '../../units'
import { DUEL, type DuelReason } from './duel'

/** A reason of the duelling judgement in words. */
export function duelReasonText(r: DuelReason): string {
  switch (r.code) {
    case 'plug':
      return 'a plug is for display'
    case 'string':
      return 'a string blade carries its LEDs through the tube: they break under blows'
    case 'unknownDepth':
      return 'the depth of the socket'
    case 'shortSeat':
      return `the seat is ${formatNumber(MAKER, r.seat, 1)} mm, less than ${DUEL.seatInDiameters} diameters (${formatNumber(MAKER, r.least, 1)} mm)`
    case 'unknownOutside':
      return 'the outside of the tube'
    case 'unknownWall':
      return 'the wall of the tube'
    case 'thinWall':
      return `the wall is ${formatNumber(MAKER, r.wall)} mm, thinner than ${DUEL.lightWall} mm`
    case 'lightWall':
      return `the wall is ${formatNumber(MAKER, r.wall)} mm: heavy blows want ${DUEL.heavyWall} mm`
    case 'noScrew':
      return 'no screw holds the blade'
    case 'oneScrew':
      return 'one screw holds the blade'
    case 'looseScrew':
      return 'a screw that holds the blade is loose'
    case 'play':
      return `the tube has ${formatNumber(MAKER, r.clearance)} mm of play`
    case 'doesNotEnter':
      return 'the tube does not enter'
    case 'covers':
      return 'covers held by magnets come off'
    case 'magnetJoint':
      return 'a joint is held by magnets'
    case 'glass':
      return `${r.windows.join(' and ')} can break`
    case 'resin':
      return 'a resin chassis is brittle'
  }
}
