import { formatNumber, MAKER } from '../units'
import type { Refusal } from './carriers'

/** Why a carrier does not take cells, for the shop. */
export function refusalWords(r: Refusal | undefined): string {
  switch (r?.code) {
    case 'unspoken':
      return 'nothing is said of cells packed like this'
    case 'tooMany':
      return `${r.count} cells; ${r.most} are taken`
    case 'tooMuch':
      return `${formatNumber(MAKER, r.wattHours, 1)} Wh a cell; ${formatNumber(MAKER, r.most, 1)} are taken`
    case 'tooFull':
      return `${formatNumber(MAKER, r.charged, 0)} % full; ${formatNumber(MAKER, r.most, 0)} % are taken`
    default:
      return r?.words ?? 'it is not carried'
  }
}
