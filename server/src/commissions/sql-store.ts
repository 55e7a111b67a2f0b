import { lift } from '@nubrin/core/import'
import { type Commission, FORMAT_VERSION } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import { QueryTypes, Op as Sql, type Transaction } from 'sequelize'
import type { CommissionRow, HistoryRow, Tables } from '../db/models'
import { transact } from '../db/transact'
import { NotFound } from '../http/problem'
import { mayMake } from './authority'
import { clientFor } from './clients'
import { taken } from './memory-store'
import { merge } from './merge'
import { project, searchText, takeFromShelf } from './rows'
import { type Gate, mayShip } from './shipping'
import {
  type Alongside,
  type Changed,
  type Commissions,
  type Made,
  type MadeOn,
  type Maker,
  otherHistory,
  type Revised,
  type Saved,
} from './store'

type KeptRow = Pick<CommissionRow, 'id' | 'clientId' | 'revision' | 'record' | 'savedAt' | 'savedBy'>
/** The same, and whether a change is in its history already. */
type LockedRow = KeptRow & { there: number | null }
/** A stored record as this version of the format has it; it is rewritten with the next save. */
const savedOf = (row: KeptRow): Saved => ({
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
  ...(h.changeId ? { change: h.changeId } : {}),
})
/** All of a row but what the rack and its search keep of it. */
const KEPT = ['id', 'shopId', 'clientId', 'revision', 'record', 'savedAt', 'savedBy'] as const
const CURRENT = new RegExp(`^\\{"format":"[a-z-]+","version":${FORMAT_VERSION},`)
const gone = (id: string) => new NotFound(`There is no commission ${id} in this shop.`)

/** Commissions in MariaDB: the record as one validated document, and its identities as rows, written in one transaction. */
export class SqlCommissions implements Commissions {
  constructor(
    private readonly db: Tables,
    /** What is asked before anything ships. */
    private readonly gate: Gate,
    /** A transaction that everything becomes part of, as when a whole shop is loaded. */
    private readonly within?: Transaction,
  ) {}

  private transact<T>(run: (t: Transaction) => Promise<T>): Promise<T> {
    return this.within ? run(this.within) : transact(this.db.sequelize, run)
  }

  async load(shopId: string, id: string, { offRack = false } = {}): Promise<Saved> {
    const where = { id, shopId, ...(offRack ? {} : { archivedAt: null }) }
    const row = await this.db.commissions.findOne({ where, attributes: [...KEPT] })
    if (!row) throw gone(id)
    return savedOf(row)
  }

  async text(shopId: string, id: string): Promise<string> {
    const [row] = await this.db.sequelize.query<{ record: unknown; revision: number; at: string; by: string }>(
      `SELECT CAST(record AS CHAR) AS record, revision, DATE_FORMAT(saved_at, '%Y-%m-%dT%H:%i:%s.%f') AS at, saved_by AS \`by\` FROM commissions WHERE id = ? AND shop_id = ? AND archived_at IS NULL`,
      { replacements: [id, shopId], type: QueryTypes.SELECT },
    )
    if (!row) throw gone(id)
    // A record of this version travels as it is kept; an older one is lifted first.
    const text = String(row.record)
    if (!CURRENT.test(text.slice(0, 200))) return JSON.stringify(await this.load(shopId, id))
    const rest = JSON.stringify({ revision: row.revision, savedAt: `${row.at.slice(0, 23)}Z`, savedBy: row.by })
    return `{"record":${text},${rest.slice(1)}`
  }

  async create(who: Maker, record: Commission, { client, alongside }: Made = {}): Promise<Saved> {
    mayMake(who.role, undefined, record)
    return this.transact(async (transaction) => {
      const there = await this.db.commissions.findByPk(record.id, { attributes: ['id'], transaction })
      if (there) throw taken(record.id)
      const clientId = await clientFor(this.db, who.shopId, record, client ?? null, transaction)
      const savedAt = new Date()
      try {
        await this.db.commissions.create(
          {
            ...columns(record),
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
      } catch (e) {
        // Somebody brought the same id in at this very moment.
        if ((e as Error).name === 'SequelizeUniqueConstraintError') throw taken(record.id)
        throw e
      }
      await project(this.db, undefined, record, transaction)
      await this.note(who, record.id, { revision: 1, at: savedAt, ops: [] }, transaction)
      await alongside?.(transaction)
      return { record, revision: 1, savedAt: savedAt.toISOString(), savedBy: who.name }
    })
  }

  async change(who: Maker, id: string, base: number, ops: readonly Op[], made: MadeOn = {}): Promise<Changed> {
    const { change } = made
    return this.transact(async (transaction) => {
      const row = await this.locked(who.shopId, id, made, transaction)
      const now = savedOf(row)
      await this.sameHistory(row, base, made.at, transaction)
      const since = row.revision === base ? [] : await this.between(id, base, transaction)
      // Sent again after a lost reply: it is there already, whatever was read meanwhile.
      if (row.there) return { ...now, since }
      const merged = merge(now.record, ops, since)
      mayMake(who.role, now.record, merged.record)
      await mayShip(this.gate, who, now.record, merged.record)
      if (!merged.ops.length) return { ...now, since }
      const { record } = merged
      const clientId =
        now.record.client === record.client
          ? row.clientId
          : await clientFor(this.db, who.shopId, record, row.clientId, transaction)
      const savedAt = new Date()
      const revision = row.revision + 1
      // Written as it is: comparing two whole records first would cost more than writing one.
      const next = { ...renewed(now.record, record), clientId, record, revision, savedAt, savedBy: who.name }
      await this.db.commissions.update(next, { where: { id }, transaction })
      await project(this.db, now.record, record, transaction)
      await takeFromShelf(this.db, who.shopId, now.record, record, transaction)
      const line = { revision, at: savedAt, ops: merged.ops, change }
      await this.note(who, id, line, transaction)
      const at = savedAt.toISOString()
      const own = { revision, by: who.name, at, ops: merged.ops, ...(change ? { change } : {}) }
      return { record, revision, savedAt: at, savedBy: who.name, since: [...since, own] }
    })
  }

  async changes(shopId: string, id: string, after: number, at?: string): Promise<Revised[]> {
    const row = await this.db.commissions.findOne({
      where: { id, shopId, archivedAt: null },
      attributes: ['id', 'revision', 'savedAt'],
    })
    if (!row) throw gone(id)
    await this.sameHistory(row, after, at)
    return row.revision === after ? [] : this.between(id, after)
  }

  async there(shopId: string, id: string): Promise<void> {
    if (!(await this.db.commissions.count({ where: { id, shopId, archivedAt: null } }))) throw gone(id)
  }

  /** Refuses a revision that is none of this record, or another one of that number than was read. */
  private async sameHistory(
    row: Pick<CommissionRow, 'id' | 'revision' | 'savedAt'>,
    base: number,
    at: string | undefined,
    transaction?: Transaction,
  ): Promise<void> {
    if (base > row.revision) throw otherHistory(row.revision)
    if (!base || at === undefined) return
    const of =
      base === row.revision
        ? row.savedAt
        : (
            await this.db.history.findOne({
              where: { commissionId: row.id, revision: base },
              attributes: ['at'],
              ...(transaction ? { transaction } : {}),
            })
          )?.at
    if (of?.toISOString() !== at) throw otherHistory(row.revision)
  }

  async archive(shopId: string, id: string, alongside?: Alongside): Promise<void> {
    await this.transact(async (transaction) => {
      const [n] = await this.db.commissions.update(
        { archivedAt: new Date(), place: 'archived' },
        { where: { id, shopId, archivedAt: null }, transaction },
      )
      if (!n) throw gone(id)
      await alongside?.(transaction)
    })
  }

  async unarchive(shopId: string, id: string): Promise<void> {
    await this.transact(async (transaction) => {
      const row = await this.db.commissions.findOne({
        where: { id, shopId, archivedAt: { [Sql.not]: null } },
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      if (!row) throw gone(id)
      await row.update({ ...columns(savedOf(row).record), archivedAt: null }, { transaction })
    })
  }

  async history(shopId: string, id: string): Promise<Revised[]> {
    const there = await this.db.commissions.findOne({ where: { id, shopId, archivedAt: null }, attributes: ['id'] })
    if (!there) throw gone(id)
    const rows = await this.db.history.findAll({
      where: { commissionId: id },
      order: [['revision', 'DESC']],
      limit: 200,
    })
    return rows.map(revisedOf)
  }

  private async between(commissionId: string, after: number, transaction?: Transaction): Promise<Revised[]> {
    const rows = await this.db.history.findAll({
      where: { commissionId, revision: { [Sql.gt]: after } },
      order: [['revision', 'ASC']],
      ...(transaction ? { transaction } : {}),
    })
    return rows.map(revisedOf)
  }

  /** The row of a commission, nobody else's until the transaction ends. Plain SQL, as it is asked for with each word saved. */
  private async locked(
    shopId: string,
    id: string,
    { change, offRack }: MadeOn,
    transaction: Transaction,
  ): Promise<LockedRow> {
    const [row] = await this.db.sequelize.query<LockedRow>(
      `SELECT c.id, c.client_id AS clientId, c.revision, c.record, c.saved_at AS savedAt, c.saved_by AS savedBy, (SELECT 1 FROM history h WHERE h.commission_id = c.id AND h.change_id = ?) AS there FROM commissions c WHERE c.id = ? AND c.shop_id = ? ${offRack ? '' : 'AND c.archived_at IS NULL '}FOR UPDATE`,
      { replacements: [change ?? null, id, shopId], type: QueryTypes.SELECT, transaction },
    )
    if (!row) throw gone(id)
    // The driver hands JSON columns back as text on some servers and parsed on others.
    return { ...row, record: typeof row.record === 'string' ? JSON.parse(row.record) : row.record }
  }

  private async note(
    who: Maker,
    commissionId: string,
    line: { revision: number; at: Date; ops: Op[]; change?: string | undefined },
    transaction: Transaction,
  ) {
    const { revision, at, ops, change } = line
    await this.db.sequelize.query(
      'INSERT INTO history (commission_id, revision, user_id, `by`, at, ops, change_id) VALUES (?, ?, ?, ?, ?, ?, ?)',
      {
        replacements: [commissionId, revision, who.id, who.name, at, JSON.stringify(ops), change ?? null],
        type: QueryTypes.INSERT,
        transaction,
      },
    )
  }
}

/** What the rack and its search know of a record without reading it. */
const columns = (r: Commission) => ({
  place: r.job === 'model' ? ('model' as const) : r.shipped ? ('shipped' as const) : ('open' as const),
  due: (r.shipped ?? r.deadline ?? '9999-12-31') as string,
  search: searchText(r),
  title: r.title,
  job: r.job,
  deadline: r.deadline ?? null,
  shipped: r.shipped ?? null,
})

/** Of these columns, those that a change has changed: the words of a search cost as much to write as a record. */
function renewed(before: Commission, after: Commission): Partial<ReturnType<typeof columns>> {
  const [was, is] = [columns(before), columns(after)]
  return Object.fromEntries(Object.entries(is).filter(([k, v]) => was[k as keyof typeof was] !== v))
}
