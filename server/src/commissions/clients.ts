import type { Commission } from '@nubrin/core/record'
import type { Transaction } from 'sequelize'
import { newId } from '../base/ids'
import type { Tables } from '../db/models'

const columnsOf = (r: Commission) => ({
  name: r.client.name.trim(),
  country: r.client.country ?? null,
  contact: r.client.contact ?? null,
  note: r.client.note ?? null,
})

/**
 * The client's row of a commission. Nobody is taken for somebody else because of a name: a commission keeps the client it
 * has, and gets one of its own otherwise; that two are the same person is said by a person. A name changed in a commission
 * whose client has others too makes a new client, since it may be somebody new.
 */
export async function clientFor(
  db: Tables,
  shopId: string,
  r: Commission,
  has: string | null,
  transaction: Transaction,
): Promise<string | null> {
  const columns = columnsOf(r)
  if (!columns.name) return null
  const row = has === null ? null : await db.clients.findOne({ where: { id: has, shopId }, transaction })
  if (row) {
    const [name, rest] = [row.name === columns.name, ['country', 'contact', 'note'] as const]
    if (name && rest.every((k) => row[k] === columns[k])) return row.id
    const others = await db.commissions.count({ where: { clientId: row.id }, transaction })
    if (name || others <= 1) {
      await row.update(columns, { transaction })
      return row.id
    }
  }
  const id = newId('c')
  await db.clients.create({ id, shopId, ...columns }, { transaction })
  return id
}
