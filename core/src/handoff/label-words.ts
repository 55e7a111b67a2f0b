import type { CellsIn } from '../shipping'
import { formatNumber, MAKER } from '../units'

const WHERE: Record<CellsIn['are'], string> = {
  inEquipment: 'contained in equipment',
  withEquipment: 'packed with equipment',
  alone: 'packed alone',
}

/** What a label says of cells, and who has to confirm it. */
export function cellsLine(k: CellsIn, by: string | undefined): string {
  const energy = k.wattHours === undefined ? 'energy not recorded' : `${formatNumber(MAKER, k.wattHours, 1)} Wh`
  const confirm = by ? `; to be confirmed by ${by}` : ''
  return `${k.count} lithium-ion cell${k.count > 1 ? 's' : ''}, ${energy} each, ${WHERE[k.are]}${confirm}`
}
export const confirmedLine = (by: string, on: string | undefined) => `confirmed: ${by}${on ? `, ${on}` : ''}`
export const whichLine = (n: number, of: number) => `${n} of ${of}`
/** A carrier counts what is begun: ten grams of it. */
export const massLine = (grams: number) => `${formatNumber(MAKER, Math.ceil(grams / 10) / 100, 2)} kg`
