import file from './carriers.json' with { type: 'json' }

/** Where a cell is in a parcel: built into what it drives, packed with it, or alone. */
export type CellsAre = 'inEquipment' | 'withEquipment' | 'alone'

/** What a carrier says of cells that are so packed: up to how much energy a cell and how many; beyond it, nothing is said. */
interface CarrierRule {
  cells: CellsAre
  abroad: boolean
  mostWh?: number
  mostCells?: number
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
}
/** Why a carrier does not take cells: no rule of his speaks of them, too many, too much energy, or what his rule says. */
export type Refusal =
  | { code: 'unspoken' }
  | { code: 'tooMany'; count: number; most: number }
  | { code: 'tooMuch'; wattHours: number; most: number }
  | { code: 'ruled'; words: string | undefined }
export interface CarrierSays {
  answer: 'taken' | 'confirm' | 'refused' | 'unknown'
  cells: CellsIn
  by?: string
  why?: Refusal
}

/**
 * What a carrier says of each kind of cell in a parcel. How many counts over the whole parcel, what is built in and what lies
 * beside it apart. Where the energy is not known and the rule asks for it, the answer is `unknown`; what no rule speaks of is refused.
 */
export function carrierSays(carrier: Carrier, abroad: boolean, cells: readonly CellsIn[]): CarrierSays[] {
  return cells.map((k) => {
    const rule = carrier.rules.find((r) => r.cells === k.are && r.abroad === abroad)
    if (!rule) return { answer: 'refused', cells: k, why: { code: 'unspoken' } }
    const count = cells.filter((x) => x.are === k.are).reduce((n, x) => n + x.count, 0)
    if (rule.answer === 'refused') return { answer: 'refused', cells: k, why: { code: 'ruled', words: rule.why } }
    if (rule.mostCells !== undefined && count > rule.mostCells)
      return { answer: 'refused', cells: k, why: { code: 'tooMany', count, most: rule.mostCells } }
    if (rule.mostWh !== undefined && k.wattHours === undefined) return { answer: 'unknown', cells: k }
    if (rule.mostWh !== undefined && k.wattHours! > rule.mostWh)
      return { answer: 'refused', cells: k, why: { code: 'tooMuch', wattHours: k.wattHours!, most: rule.mostWh } }
    return { answer: rule.answer, cells: k, ...(rule.by ? { by: rule.by } : {}) }
  })
}
