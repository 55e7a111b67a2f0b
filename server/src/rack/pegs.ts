import { lift } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { LRUCache } from 'lru-cache'
import { Op, QueryTypes, type Transaction } from 'sequelize'
import { searchText } from '../commissions/rows'
import type { CommissionRow, Tables } from '../db/models'
import type { Disk } from '../http/disk'
import { today } from '../ids'
import type { Work } from '../work/kinds'

interface Counts {
  open: number
  shipped: number
  models: number
  sabers: number
  soon: number
}

/** How long counts are believed without asking, ms. */
const BELIEVED = 10_000
/** How many records are judged at a time. */
const BATCH = 12
export const PAGE = 20

/** The peg stays text: it is sent as it is kept. */
const COLUMNS =
  "id, revision, DATE_FORMAT(saved_at, '%Y-%m-%dT%H:%i:%s.%f') AS savedAt, saved_by AS savedBy, CAST(peg AS CHAR) AS peg, peg_revision AS pegRevision, CAST(peg_on AS CHAR) AS pegOn, peg_rules AS pegRules, CAST(due AS CHAR) AS due, place"
interface Row {
  id: string
  revision: number
  savedAt: string
  savedBy: string
  peg: string | null
  pegRevision: number | null
  pegOn: string | null
  pegRules: string | null
  due: string
  place: CommissionRow['place']
}

/**
 * What hangs on the rack, kept beside each record and judged anew in the threads when the record, the day or the rules have
 * changed. What is shown is never older than its record; the rest is brought up to date quietly.
 */
export class Pegs {
  /** Counts by shop and day; what another server changes is seen when they are forgotten. */
  private readonly kept = new LRUCache<string, Counts>({ max: 200, ttl: BELIEVED })
  private turn = 0

  /** `rules`: a mark of the program that judges; another program judges anew. */
  constructor(
    private readonly db: Tables,
    private readonly work: Work,
    private readonly rules: string,
    private readonly disk: Disk,
  ) {
    const changed = (options: { transaction?: Transaction | null }) => {
      const forget = () => {
        this.turn++
        this.kept.clear()
      }
      if (options.transaction) options.transaction.afterCommit(forget)
      else forget()
    }
    db.commissions.addHook('afterCreate', (_row, options) => changed(options))
    db.commissions.addHook('afterUpdate', (_row, options) => changed(options))
    db.commissions.addHook('afterBulkUpdate', (options) => changed(options))
  }

  private fresh(r: Row, day: string): boolean {
    return (
      r.peg !== null &&
      r.pegRevision === r.revision &&
      r.pegRules === this.rules &&
      (r.pegOn === day || r.place === 'shipped')
    )
  }

  private rows(where: string, replacements: unknown[]): Promise<Row[]> {
    return this.db.sequelize.query<Row>(`SELECT ${COLUMNS} FROM commissions WHERE ${where}`, {
      replacements,
      type: QueryTypes.SELECT,
    })
  }

  /**
   * Judges the named commissions and keeps what came out, where the disk has room; one that cannot be judged hangs there and
   * says so. What was judged, by id.
   */
  private async refresh(ids: readonly string[], day: string): Promise<Map<string, string>> {
    const judged = new Map<string, string>()
    for (let i = 0; i < ids.length; i += BATCH) {
      const rows = await this.db.commissions.findAll({
        where: { id: ids.slice(i, i + BATCH) },
        attributes: ['id', 'revision', 'record'],
      })
      const records = rows.map((r) => lift(r.record) as Commission)
      const pegs = await this.work.run('pegs', { records, today: day })
      for (const [k, row] of rows.entries()) judged.set(row.id, JSON.stringify(pegs[k]))
      if (!(await this.disk.hasRoom())) continue
      for (const [k, row] of rows.entries())
        await this.db.sequelize.query(
          'UPDATE commissions SET peg = ?, peg_revision = ?, peg_on = ?, peg_rules = ?, search = COALESCE(search, ?) WHERE id = ?',
          {
            replacements: [judged.get(row.id), row.revision, day, this.rules, searchText(records[k]!), row.id],
            type: QueryTypes.UPDATE,
          },
        )
    }
    return judged
  }

  /** The rows of a page as they are shown, as a JSON list, judged first where they have to be. */
  async shown(rows: Row[]): Promise<string> {
    const day = today()
    const stale = rows.filter((r) => !this.fresh(r, day)).map((r) => r.id)
    let now = rows
    if (stale.length) {
      const judged = await this.refresh(stale, day)
      const by = new Map(
        (await this.rows('id IN (?)', [stale])).map((r) => [r.id, { ...r, peg: judged.get(r.id) ?? r.peg }]),
      )
      now = rows.map((r) => by.get(r.id) ?? r)
    }
    const own = (r: Row) =>
      JSON.stringify({ revision: r.revision, savedAt: `${r.savedAt.slice(0, 23)}Z`, savedBy: r.savedBy })
    return `[${now.map((r) => `${r.peg!.slice(0, -1)},${own(r).slice(1)}`).join(',')}]`
  }

  /** One page in a place, ordered by its day; `after` is the day and id of the last one seen. */
  page(shopId: string, place: CommissionRow['place'], after?: { due: string; id: string }): Promise<Row[]> {
    // What has shipped is read from the newest back.
    const [way, past] = place === 'shipped' ? ['DESC', '<'] : ['ASC', '>']
    const where = after ? `AND (due ${past} ? OR (due = ? AND id ${past} ?))` : ''
    return this.rows(`shop_id = ? AND place = ? ${where} ORDER BY due ${way}, id ${way} LIMIT ${PAGE + 1}`, [
      shopId,
      place,
      ...(after ? [after.due, after.due, after.id] : []),
    ])
  }

  /** Commissions that answer to some words, the open ones first, the best first; at most 40. */
  async found(shopId: string, words: string): Promise<Row[]> {
    const tokens = words.match(/[\p{L}\p{N}]+/gu) ?? []
    const long = tokens.filter((t) => t.length >= 2)
    if (!tokens.length) return []
    const against = long.map((t) => `+${t}*`).join(' ')
    const short = tokens.filter((t) => t.length < 2)
    const found = (await this.db.sequelize.query(
      `SELECT id FROM commissions WHERE shop_id = ? AND place <> 'archived'${long.length ? ' AND MATCH(search) AGAINST(? IN BOOLEAN MODE)' : ''}${short.map(() => ' AND search LIKE ?').join('')} ORDER BY place = 'open' DESC, due DESC LIMIT 40`,
      {
        replacements: [shopId, ...(long.length ? [against] : []), ...short.map((t) => `%${t}%`)],
        type: QueryTypes.SELECT,
      },
    )) as { id: string }[]
    if (!found.length) return []
    const by = new Map((await this.rows('id IN (?)', [found.map((f) => f.id)])).map((r) => [r.id, r]))
    return found.flatMap((f) => by.get(f.id) ?? [])
  }

  /** How much hangs where, and how many ship within a week; remembered until something is hung or taken down here. */
  async counts(shopId: string): Promise<Counts> {
    const key = `${shopId} ${today()}`
    const known = this.kept.get(key)
    if (known) return known
    const turn = this.turn
    const counts = await this.count(shopId)
    // What was saved while it was counted makes it old.
    if (turn === this.turn) this.kept.set(key, counts)
    return counts
  }

  private async count(shopId: string): Promise<Counts> {
    const place = (p: string, more = '') =>
      `(SELECT COUNT(*) FROM commissions WHERE shop_id = :shop AND place = '${p}' ${more})`
    const [n] = await this.db.sequelize.query<Record<string, number | string>>(
      `SELECT ${place('open')} AS open, ${place('shipped')} AS shipped, ${place('model')} AS models,
        ${place('open', 'AND due <= DATE_ADD(:today, INTERVAL 7 DAY)')} AS soon,
        (SELECT COUNT(*) FROM commissions c JOIN sabers s ON s.commission_id = c.id WHERE c.shop_id = :shop AND c.place = 'open') AS sabers`,
      { replacements: { today: today(), shop: shopId }, type: QueryTypes.SELECT },
    )
    return {
      open: Number(n!.open ?? 0),
      shipped: Number(n!.shipped ?? 0),
      models: Number(n!.models ?? 0),
      soon: Number(n!.soon ?? 0),
      sabers: Number(n!.sabers),
    }
  }

  /** Brings some of what is out of date up to date; says whether there may be more. Run now and then, by a timer. */
  async sweep(): Promise<boolean> {
    if (!(await this.disk.hasRoom())) return false
    const day = today()
    const rows = await this.db.commissions.findAll({
      where: {
        [Op.or]: [{ peg: null }, { pegRules: { [Op.ne]: this.rules } }, { place: 'open', pegOn: { [Op.ne]: day } }],
        archivedAt: null,
      },
      attributes: ['id'],
      limit: BATCH,
    })
    await this.refresh(
      rows.map((r) => r.id),
      day,
    )
    return rows.length === BATCH
  }
}
