import type { Coming } from '@nubrin/core/schedule'
import { type Chosen, type InHand, type OnOrder, type Stock, stockOf } from '@nubrin/core/stock'
import { QueryTypes } from 'sequelize'
import type { Tables } from '../db/models'

const MOST = 20_000
/** Parts that open commissions have chosen and the shop is to bring, in the order in which commissions are worked on. */
async function chosenParts(db: Tables, shopId: string, turn: readonly string[]): Promise<Chosen[]> {
  const rows = await db.sequelize.query<Chosen & { catalogue: string | null; reservedOn: string | null }>(
    `SELECT c.id AS commission, c.title, f.id AS part, f.name, f.catalogue_id AS catalogue, CAST(f.reserved_on AS CHAR) AS reservedOn
     FROM commissions c JOIN fitted_parts f ON f.commission_id = c.id
     WHERE c.shop_id = ? AND c.place = 'open' AND f.fitted_on IS NULL AND COALESCE(f.supplied, 'shop') = 'shop' ORDER BY c.due, c.id, f.id LIMIT ${MOST}`,
    { replacements: [shopId], type: QueryTypes.SELECT },
  )
  const at = new Map(turn.map((id, i) => [id, i]))
  return rows
    .map(({ catalogue, reservedOn, ...r }) => ({
      ...r,
      ...(catalogue ? { catalogue } : {}),
      ...(reservedOn ? { reservedOn } : {}),
    }))
    .toSorted((a, b) => (at.get(a.commission) ?? 1e9) - (at.get(b.commission) ?? 1e9))
}

async function shelfRows(db: Tables, shopId: string): Promise<InHand[]> {
  const rows = await db.parts.findAll({
    where: { shopId },
    attributes: ['id', 'name', 'stock', 'supplier', 'cost'],
    raw: true,
  })
  return rows.map((r) => ({
    ...{ id: r.id, name: r.name },
    ...(r.stock === null ? {} : { stock: r.stock }),
    ...(r.supplier ? { supplier: r.supplier } : {}),
    ...(r.cost === null ? {} : { cost: r.cost }),
  }))
}

async function onOrder(db: Tables, shopId: string): Promise<OnOrder[]> {
  const rows = await db.orderLines.findAll({
    where: { shopId, arrivedOn: null },
    order: [['orderedOn', 'ASC']],
    raw: true,
  })
  return rows.map((l) => ({
    ...{ id: l.id, quantity: l.quantity, supplier: l.supplier, orderedOn: l.orderedOn },
    ...(l.catalogueId ? { catalogue: l.catalogueId } : {}),
    ...(l.expectedOn ? { expectedOn: l.expectedOn } : {}),
    ...(l.commissionId && l.partId ? { commission: l.commissionId, part: l.partId } : {}),
  }))
}

/** The stock of a shop as it is now, asked of whoever asks. */
export interface Stocks {
  of(who: { id: string; shopId: string }): Promise<Stock>
}
/** Who gets what of what is in hand and on its way; `turn`: the order in which commissions are worked on. */
export async function stockNow(db: Tables, shopId: string, turn: readonly string[]): Promise<Stock> {
  const [chosen, shelf, lines] = await Promise.all([
    chosenParts(db, shopId, turn),
    shelfRows(db, shopId),
    onOrder(db, shopId),
  ])
  return stockOf(chosen, shelf, lines)
}

/** Parts that commissions wait for: on their way, or not ordered yet. */
export const comingOf = (stock: Stock): Coming[] =>
  stock.standings.flatMap(({ chosen: c, had }): Coming[] => {
    const of = { commission: c.commission, part: c.part }
    if (had.is === 'toOrder') return [{ ...of, ...(had.supplier ? { supplier: had.supplier } : {}) }]
    if (had.is !== 'ordered') return []
    const { supplier, orderedOn, expectedOn } = had.line
    return [{ ...of, supplier, orderedOn, ...(expectedOn ? { expected: expectedOn } : {}) }]
  })
