import type { CataloguePart } from '@nubrin/core/parts'
import type { PartRow } from '../db/models'

/** A row of the shop's table as a part; what is empty is left out. */
export const partOf = (p: PartRow): CataloguePart =>
  Object.fromEntries(
    Object.entries({
      id: p.id,
      kind: p.kind,
      name: p.name,
      specs: p.specs,
      protected: p.protected === null ? null : Boolean(p.protected),
      material: p.material,
      converter: p.converter === null ? null : Boolean(p.converter),
      key: p.turns,
      stock: p.stock,
      lot: p.lot,
      supplier: p.supplier,
      cost: p.cost,
    }).filter(([, v]) => v !== null),
  ) as unknown as CataloguePart

/** A part as a row of the shop's table. */
export const rowOf = (p: CataloguePart, shopId: string): PartRow => ({
  id: p.id,
  shopId,
  kind: p.kind,
  name: p.name,
  specs: p.specs,
  protected: p.protected ?? null,
  material: p.material ?? null,
  converter: p.converter ?? null,
  turns: p.key ?? null,
  stock: p.stock ?? null,
  lot: p.lot ?? null,
  supplier: p.supplier ?? null,
  cost: p.cost ?? null,
})

/** The columns that a later import may change. */
export const CHANGEABLE = [
  'kind',
  'name',
  'specs',
  'protected',
  'material',
  'converter',
  'turns',
  'stock',
  'lot',
  'supplier',
  'cost',
] as const
