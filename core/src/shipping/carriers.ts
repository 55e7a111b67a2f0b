import type { CELLS_ARE } from '../record'
import file from './carriers.json' with { type: 'json' }

/** Where a cell is in a parcel: built into what it drives, packed with it, or alone. */
export type CellsAre = (typeof CELLS_ARE)[number]

/** What a carrier says of cells that are so packed: up to how much energy a cell and how many; beyond it, nothing is said. */
interface CarrierRule {
  cells: CellsAre
  abroad: boolean
  mostWh?: number
  mostCells?: number
  /** What is built in and what lies beside it count as one number. */
  together?: boolean
  /** How full a cell may be, %. */
  mostCharge?: number
  answer: 'taken' | 'confirm' | 'refused'
  /** Who must confirm it. */
  by?: string
  why?: string
}
/** A carrier of the stand-in, and what it carries. */
export interface Carrier {
  id: string
  name: string
  mostGrams?: number
  /** Who is asked about cells that are damaged. */
  damaged?: string
  rules: CarrierRule[]
}

/** The carriers, as their file has them. */
export const CARRIERS: readonly Carrier[] = file.carriers as Carrier[]
export const carrierOf = (id: string | undefined): Carrier | undefined => CARRIERS.find((k) => k.id === id)

/** Cells of one kind in a parcel. `wattHours` is undefined where a figure is missing. */
export interface CellsIn {
  name: string
  count: number
  are: CellsAre
  wattHours?: number
  /** How full it is shipped, %. */
  charged?: number
  /** Dented, swollen, wet or fallen. */
  damaged?: true
}
/** Why a carrier does not take cells: no rule of his speaks of them, too many, too much energy, or what his rule says. */
export type Refusal =
  | { code: 'unspoken' }
  | { code: 'tooMany'; count: number; most: number }
  | { code: 'tooMuch'; wattHours: number; most: number }
  | { code: 'tooFull'; charged: number; most: number }
  | { code: 'ruled'; words: string | undefined }
export interface CarrierSays {
  answer: 'taken' | 'confirm' | 'refused' | 'unknown'
  cells: CellsIn
  by?: string
  why?: Refusal
  /** What is missing, where it cannot be said. */
  needs?: 'energy' | 'charge'
}

/**
 * What a carrier says of each kind of cell in a parcel. How many counts over the whole parcel, what is built in and what lies
 * beside it apart unless the rule counts them together. Where the rule asks for energy or charge and it is not known, the answer
 * is `unknown`; what no rule speaks of is refused. Damaged cells are never simply taken: whoever the carrier names is asked.
 */
export function carrierSays(carrier: Carrier, abroad: boolean, cells: readonly CellsIn[]): CarrierSays[] {
  return cells.map((k) => {
    const rule = carrier.rules.find((r) => r.cells === k.are && r.abroad === abroad)
    if (!rule) return { answer: 'refused', cells: k, why: { code: 'unspoken' } }
    const counted = cells.filter((x) => x.are === k.are || (rule.together && x.are !== 'alone' && k.are !== 'alone'))
    const count = counted.reduce((n, x) => n + x.count, 0)
    if (rule.answer === 'refused') return { answer: 'refused', cells: k, why: { code: 'ruled', words: rule.why } }
    if (rule.mostCells !== undefined && count > rule.mostCells)
      return { answer: 'refused', cells: k, why: { code: 'tooMany', count, most: rule.mostCells } }
    if (rule.mostWh !== undefined && k.wattHours === undefined) return { answer: 'unknown', cells: k, needs: 'energy' }
    if (rule.mostWh !== undefined && k.wattHours! > rule.mostWh)
      return { answer: 'refused', cells: k, why: { code: 'tooMuch', wattHours: k.wattHours!, most: rule.mostWh } }
    if (rule.mostCharge !== undefined && k.charged === undefined)
      return { answer: 'unknown', cells: k, needs: 'charge' }
    if (rule.mostCharge !== undefined && k.charged! > rule.mostCharge)
      return { answer: 'refused', cells: k, why: { code: 'tooFull', charged: k.charged!, most: rule.mostCharge } }
    const by = k.damaged ? (carrier.damaged ?? carrier.name) : rule.by
    return { answer: k.damaged ? 'confirm' : rule.answer, cells: k, ...(by ? { by } : {}) }
  })
}
