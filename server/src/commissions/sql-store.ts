import { lift } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import { layOut } from '@nubrin/core/room'
import { Op as Sql, type Transaction } from 'sequelize'
import type { CommissionRow, HistoryRow, Tables } from '../db/models'
import { NotFound } from '../http/problem'
import { newId } from '../ids'
import { taken } from './memory-store'
import { merge } from './merge'
import type { Commissions, Maker, Revised, Saved } from './store'

/** A stored record as this version of the format has it; it is rewritten with the next save. */
const savedOf = (row: CommissionRow): Saved => ({
  record: lift(row.record) as Commission,
  revision: row.revision,
  savedAt: row.savedAt.toISOString(),
  savedBy: row.savedBy,
})
const revisedOf = (h: HistoryRow): Revised => ({
  revision: h.revision,
  by: h.by,
  at: h.at.toISOString(),
  ops: h.ops as Op[],
})

/** Commissions in MariaDB: the record as one validated document, and its identities as rows, written in one transaction. */
export class SqlCommissions implements Commissions {
  constructor(private readonly db: Tables) {}

  async load(shopId: string, id: string): Promise<Saved> {
    const row = await this.db.commissions.findOne({ where: { id, shopId, archivedAt: null } })
    if (!row) throw new NotFound(`There is no commission ${id} in this shop.`)
    return savedOf(row)
  }

  async all(shopId: string): Promise<Saved[]> {
    return (await this.db.commissions.findAll({ where: { shopId, archivedAt: null } })).map(savedOf)
  }

  async create(who: Maker, record: Commission): Promise<Saved> {
    return this.db.sequelize.transaction(async (transaction) => {
      if (await this.db.commissions.findByPk(record.id, { transaction })) throw taken(record.id)
      const clientId = await this.clientFor(who.shopId, record, transaction)
      const savedAt = new Date()
      await this.db.commissions.create(
        {
          ...this.columns(record),
          id: record.id,
          shopId: who.shopId,
          clientId,
          revision: 1,
          record,
          savedAt,
          savedBy: who.name,
          archivedAt: null,
        },
        { transaction },
      )
      await this.project(record, transaction)
      await this.note(who, record.id, 1, savedAt, [], transaction)
      return { record, revision: 1, savedAt: savedAt.toISOString(), savedBy: who.name }
    })
  }

  async change(who: Maker, id: string, base: number, ops: readonly Op[]): Promise<Saved & { since: Op[] }> {
    return this.db.sequelize.transaction(async (transaction) => {
      const row = await this.db.commissions.findOne({
        where: { id, shopId: who.shopId, archivedAt: null },
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      if (!row) throw new NotFound(`There is no commission ${id} in this shop.`)
      const foreign =
        row.revision === base
          ? []
          : await this.db.history.findAll({
              where: { commissionId: id, revision: { [Sql.gt]: base } },
              order: [['revision', 'ASC']],
              transaction,
            })
      const now = savedOf(row)
      const merged = merge(now.record, ops, foreign.map(revisedOf))
      if (!merged.ops.length) return { ...now, since: merged.since }
      const { record } = merged
      const clientId = await this.clientFor(who.shopId, record, transaction)
      const savedAt = new Date()
      const revision = row.revision + 1
      await row.update(
        { ...this.columns(record), clientId, record, revision, savedAt, savedBy: who.name },
        { transaction },
      )
      await this.project(record, transaction)
      await this.note(who, id, revision, savedAt, merged.ops, transaction)
      return { record, revision, savedAt: savedAt.toISOString(), savedBy: who.name, since: merged.since }
    })
  }

  async archive(shopId: string, id: string): Promise<void> {
    const [n] = await this.db.commissions.update(
      { archivedAt: new Date() },
      { where: { id, shopId, archivedAt: null } },
    )
    if (!n) throw new NotFound(`There is no commission ${id} in this shop.`)
  }

  async history(shopId: string, id: string): Promise<Revised[]> {
    await this.load(shopId, id)
    const rows = await this.db.history.findAll({
      where: { commissionId: id },
      order: [['revision', 'DESC']],
      limit: 200,
    })
    return rows.map(revisedOf)
  }

  private note(who: Maker, commissionId: string, revision: number, at: Date, ops: Op[], transaction: Transaction) {
    return this.db.history.create({ commissionId, revision, userId: who.id, by: who.name, at, ops } as never, {
      transaction,
    })
  }

  private columns(r: Commission) {
    return { title: r.title, job: r.job, deadline: r.deadline ?? null, shipped: r.shipped ?? null }
  }

  /** The client's row, by name within the shop; made when new. A commission without a name has no client yet. */
  private async clientFor(shopId: string, r: Commission, transaction: Transaction): Promise<string | null> {
    const name = r.client.name.trim()
    if (!name) return null
    const columns = {
      country: r.client.country ?? null,
      contact: r.client.contact ?? null,
      note: r.client.note ?? null,
    }
    const [row, made] = await this.db.clients.findOrCreate({
      where: { shopId, name },
      defaults: { id: newId('c'), shopId, name, ...columns },
      transaction,
    })
    if (!made && (row.country !== columns.country || row.contact !== columns.contact || row.note !== columns.note))
      await row.update(columns, { transaction })
    return row.id
  }

  /** Everything with an identity as rows, so that it can be searched, counted and joined. */
  private async project(r: Commission, transaction: Transaction): Promise<void> {
    const where = { commissionId: r.id }
    const { sabers, requests, fitted, presets, tests, readings } = this.db
    for (const t of [sabers, requests, fitted, presets, tests, readings])
      await (t as typeof sabers).destroy({ where, transaction })
    const each = r.sabers
    await sabers.bulkCreate(
      each.map((s, position) => ({
        id: s.id,
        ...where,
        position,
        name: s.name,
        job: s.job,
        lengthMm: layOut(s.hilt).complete ? layOut(s.hilt).length : null,
      })),
      { transaction },
    )
    await requests.bulkCreate(
      r.requests.map((q) => ({ id: q.id, ...where, text: q.text, status: q.status })),
      { transaction },
    )
    await fitted.bulkCreate(
      each.flatMap((s) =>
        s.parts.map((p) => ({
          id: p.id,
          ...where,
          saberId: s.id,
          kind: p.kind,
          name: p.name,
          catalogueId: p.catalogue ?? null,
          lot: p.lot ?? null,
        })),
      ),
      { transaction },
    )
    await presets.bulkCreate(
      each.flatMap((s) =>
        s.presets.map((p, position) => ({
          id: p.id,
          ...where,
          saberId: s.id,
          position,
          name: p.name,
          font: p.font,
          colour: p.colour,
        })),
      ),
      { transaction },
    )
    await tests.bulkCreate(
      each.flatMap((s) => s.tests.map((t) => ({ id: t.id, ...where, saberId: s.id, testKey: t.key, what: t.what }))),
      { transaction },
    )
    await readings.bulkCreate(
      each.flatMap((s) =>
        s.tests.flatMap((t) =>
          t.readings.map((g) => ({
            id: g.id,
            ...where,
            testId: t.id,
            at: new Date(g.at),
            value: g.value ?? null,
            text: g.text ?? null,
            pass: g.pass,
            by: g.by,
          })),
        ),
      ),
      { transaction },
    )
  }
}
