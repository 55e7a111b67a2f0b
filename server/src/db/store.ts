import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { layOut } from '@nubrin/core/hilt'
import { migrate, validateCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import jsonpatch, { type Operation } from 'fast-json-patch'
import { Op, type Transaction } from 'sequelize'
import { Conflict, Invalid, NotFound } from '../http/problem'
import type { Tables, User } from './models'

export const newId = (prefix = '') => `${prefix}${randomUUID().replaceAll('-', '').slice(0, 16)}`
export const sha256 = (data: Uint8Array | string) => createHash('sha256').update(data).digest('hex')
export const secret = () => randomBytes(24).toString('base64url')

export interface Saved {
  record: Commission
  revision: number
  savedAt: string
  savedBy: string
}

type Who = Pick<User, 'id' | 'shopId' | 'name'>

/** A stored record as this version of the format has it; it is rewritten with the next save. */
const recordOf = (row: { record: unknown }) => migrate(row.record) as Commission

/** Commissions in MariaDB: the record as one validated document, and its identities as rows, written in one transaction. */
export class Store {
  constructor(readonly db: Tables) {}

  async load(shopId: string, id: string): Promise<Saved> {
    const row = await this.db.commissions.findOne({ where: { id, shopId, archivedAt: null } })
    if (!row) throw new NotFound(`There is no commission ${id} in this shop.`)
    return {
      record: recordOf(row),
      revision: row.revision,
      savedAt: row.savedAt.toISOString(),
      savedBy: row.savedBy,
    }
  }

  async all(shopId: string): Promise<Saved[]> {
    const rows = await this.db.commissions.findAll({ where: { shopId, archivedAt: null } })
    return rows.map((row) => ({
      record: recordOf(row),
      revision: row.revision,
      savedAt: row.savedAt.toISOString(),
      savedBy: row.savedBy,
    }))
  }

  /** Takes a whole, already validated record in as revision 1. */
  async create(who: Who, record: Commission): Promise<Saved> {
    return this.db.sequelize.transaction(async (transaction) => {
      if (await this.db.commissions.findByPk(record.id, { transaction }))
        throw new Conflict(`A commission with the id ${record.id} is already here.`, {
          path: '/id',
          rule: 'uniqueId',
          message: 'is already used; import it as a copy',
          got: record.id,
        })
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
      await this.db.history.create(
        {
          commissionId: record.id,
          revision: 1,
          userId: who.id,
          by: who.name,
          at: savedAt,
          ops: [{ op: 'add', path: '', value: 'created' }],
        } as never,
        { transaction },
      )
      return { record, revision: 1, savedAt: savedAt.toISOString(), savedBy: who.name }
    })
  }

  /**
   * Applies a JSON Patch (RFC 6902) made against revision `base`. A newer revision in the database is a conflict that
   * names who changed what; a patch that does not apply, or leads to an invalid record, changes nothing.
   */
  async change(who: Who, id: string, base: number, ops: Operation[]): Promise<Saved> {
    return this.db.sequelize.transaction(async (transaction) => {
      const row = await this.db.commissions.findOne({
        where: { id, shopId: who.shopId, archivedAt: null },
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      if (!row) throw new NotFound(`There is no commission ${id} in this shop.`)
      if (row.revision !== base) {
        const since = await this.db.history.findAll({
          where: { commissionId: id, revision: { [Op.gt]: base } },
          order: [['revision', 'ASC']],
          limit: 100,
          transaction,
        })
        throw new Conflict(
          `Someone else saved this commission: it is at revision ${row.revision}, yours was ${base}.`,
          undefined,
          {
            revision: row.revision,
            changes: since.map((h) => ({
              revision: h.revision,
              by: h.by,
              at: h.at.toISOString(),
              paths: (h.ops as Operation[]).map((o) => o.path),
            })),
          },
        )
      }
      let next: Commission
      try {
        next = jsonpatch.applyPatch(structuredClone(recordOf(row)), ops, true, true).newDocument
      } catch (e) {
        const err = e as { name?: string; index?: number; message: string }
        throw new Invalid('The change does not apply to this record.', [
          { path: ops[err.index ?? 0]?.path ?? '', rule: err.name ?? 'patch', message: err.message.split('\n')[0]! },
        ])
      }
      const checked = validateCommission(next)
      if (!checked.ok)
        throw new Invalid('The change would make the record invalid; nothing was saved.', checked.problems)
      if (checked.record.id !== id)
        throw new Invalid('The id of a commission cannot be changed.', [
          { path: '/id', rule: 'immutable', message: 'cannot be changed', got: checked.record.id },
        ])
      const clientId = await this.clientFor(who.shopId, checked.record, transaction)
      const savedAt = new Date()
      const revision = base + 1
      await row.update(
        { ...this.columns(checked.record), clientId, record: checked.record, revision, savedAt, savedBy: who.name },
        { transaction },
      )
      await this.project(checked.record, transaction)
      await this.db.history.create(
        { commissionId: id, revision, userId: who.id, by: who.name, at: savedAt, ops } as never,
        { transaction },
      )
      return { record: checked.record, revision, savedAt: savedAt.toISOString(), savedBy: who.name }
    })
  }

  async archive(shopId: string, id: string): Promise<void> {
    const [n] = await this.db.commissions.update(
      { archivedAt: new Date() },
      { where: { id, shopId, archivedAt: null } },
    )
    if (!n) throw new NotFound(`There is no commission ${id} in this shop.`)
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
