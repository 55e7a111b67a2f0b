import { lift } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { LRUCache } from 'lru-cache'
import { Op, QueryTypes, type Transaction } from 'sequelize'
import { today } from '../base/ids'
import { foundAs, searchText } from '../commissions/rows'
import type { CommissionRow, Tables } from '../db/models'
import type { Disk } from '../http/disk'
import type { Whom, Work } from '../work/kinds'
import { type Looked, topHits } from './merge-hits'

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
/** The most that a search shows, and how many of each place are looked through for a word that is everywhere. */
const [MOST_FOUND, LOOKED_THROUGH] = [40, 60]
/** Byte by byte: folded alike when it was written, and a tenth of the time of a collation. */
const HAS = 'search COLLATE utf8mb4_bin LIKE ?'
const FOUND_IN = ['open', 'shipped', 'model']

/** How many pegs stay in memory, of two kilobytes each, and how long at most, ms. */
const [REMEMBERED, REMEMBERED_FOR] = [4000, 600_000]
const COLUMNS =
  "id, revision, DATE_FORMAT(saved_at, '%Y-%m-%dT%H:%i:%s.%f') AS savedAt, saved_by AS savedBy, peg_revision AS pegRevision, CAST(peg_on AS CHAR) AS pegOn, peg_rules AS pegRules, CAST(due AS CHAR) AS due, place"
interface Row {
  id: string
  revision: number
  savedAt: string
  savedBy: string
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
export class RackStore {
  /** Counts by shop and day; what another server changes is seen when they are forgotten. */
  private readonly kept = new LRUCache<string, Counts>({ max: 200, ttl: BELIEVED })
  /** Rack entries by what they were judged from, as JSON text: they are sent as they are kept. */
  private readonly texts = new LRUCache<string, string>({ max: REMEMBERED, ttl: REMEMBERED_FOR })
  private turn = 0

  /** `rules`: a mark of the program that judges; another program judges anew. */
  constructor(
    private readonly db: Tables,
    private readonly work: Work,
    readonly rules: string,
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
    return r.pegRevision === r.revision && r.pegRules === this.rules && (r.pegOn === day || r.place === 'shipped')
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
  private async refresh(ids: readonly string[], day: string, whom: Whom): Promise<Map<string, string>> {
    const judged = new Map<string, string>()
    for (let i = 0; i < ids.length; i += BATCH) {
      const rows = await this.db.commissions.findAll({
        where: { id: ids.slice(i, i + BATCH) },
        attributes: ['id', 'revision', 'record'],
      })
      const records = rows.map((r) => lift(r.record) as Commission)
      const pegs = await this.work.run('pegs', { records, today: day }, whom)
      for (const [k, row] of rows.entries()) judged.set(row.id, JSON.stringify(pegs[k]!.peg))
      if (!(await this.disk.hasRoom())) continue
      for (const [k, row] of rows.entries())
        await this.db.sequelize.query(
          'UPDATE commissions SET peg = ?, work = ?, peg_revision = ?, peg_on = ?, peg_rules = ?, search = ? WHERE id = ?',
          {
            replacements: [
              ...[judged.get(row.id), JSON.stringify(pegs[k]!.work), row.revision, day, this.rules],
              ...[searchText(records[k]!), row.id],
            ],
            type: QueryTypes.UPDATE,
          },
        )
    }
    return judged
  }

  /** The pegs of rows that are fresh, as JSON text by id; those that were seen before are not read again. */
  private async textsOf(rows: readonly Row[]): Promise<Map<string, string>> {
    const key = (r: Row) => `${r.id} ${r.pegRevision} ${r.pegOn} ${r.pegRules}`
    const out = new Map<string, string>()
    const unseen = rows.filter((r) => {
      const text = this.texts.get(key(r))
      if (text !== undefined) out.set(r.id, text)
      return text === undefined
    })
    if (!unseen.length) return out
    const read = await this.db.sequelize.query<Row & { peg: string }>(
      `SELECT ${COLUMNS}, CAST(peg AS CHAR) AS peg FROM commissions WHERE id IN (?) AND peg IS NOT NULL`,
      { replacements: [unseen.map((r) => r.id)], type: QueryTypes.SELECT },
    )
    for (const r of read) {
      this.texts.set(key(r), r.peg)
      out.set(r.id, r.peg)
    }
    return out
  }

  /** The rows of a page as they are shown, as a JSON list, judged first where they have to be. */
  async shown(rows: Row[], whom: Whom): Promise<string> {
    const day = today()
    const texts = await this.textsOf(rows.filter((r) => this.fresh(r, day)))
    const stale = rows.flatMap((r) => (texts.has(r.id) ? [] : [r.id]))
    if (stale.length) for (const [id, text] of await this.refresh(stale, day, whom)) texts.set(id, text)
    const own = (r: Row) =>
      JSON.stringify({ revision: r.revision, savedAt: `${r.savedAt.slice(0, 23)}Z`, savedBy: r.savedBy })
    // One that was taken away meanwhile is not shown.
    const shown = rows.flatMap((r) => {
      const peg = texts.get(r.id)
      return peg ? [`${peg.slice(0, -1)},${own(r).slice(1)}`] : []
    })
    return `[${shown.join(',')}]`
  }

  /**
   * What is to be done on the open commissions, those that are promised first, at most so many, as JSON text by id. It does not hang on the
   * day: worked out anew only where the record or the rules have changed.
   */
  async toBeDone(shopId: string, most: number, whom: Whom): Promise<Map<string, { revision: number; work: string }>> {
    const rows = await this.rows(`shop_id = ? AND place = 'open' ORDER BY due, id LIMIT ${most}`, [shopId])
    const stale = rows.filter((r) => r.pegRevision !== r.revision || r.pegRules !== this.rules)
    if (stale.length)
      await this.refresh(
        stale.map((r) => r.id),
        today(),
        whom,
      )
    const read = rows.length
      ? await this.db.sequelize.query<{ id: string; revision: number; work: string | null }>(
          'SELECT id, revision, CAST(work AS CHAR) AS work FROM commissions WHERE id IN (?)',
          { replacements: [rows.map((r) => r.id)], type: QueryTypes.SELECT },
        )
      : []
    const by = new Map(read.map((r) => [r.id, r]))
    return new Map(
      rows.flatMap((r) => {
        const x = by.get(r.id)
        return x ? [[r.id, { revision: x.revision, work: x.work ?? '[]' }] as const] : []
      }),
    )
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

  /** Commissions that answer to some words, the open ones first, the latest first; at most 40. */
  async found(shopId: string, words: string): Promise<Row[]> {
    const tokens = foundAs(words).split(' ').filter(Boolean)
    if (!tokens.length) return []
    const ids = (await this.amongTheFirst(shopId, tokens)) ?? (await this.inTheIndex(shopId, tokens))
    if (!ids.length) return []
    const by = new Map((await this.rows('id IN (?)', [ids])).map((r) => [r.id, r]))
    return ids.flatMap((id) => by.get(id) ?? [])
  }

  /**
   * A word that is everywhere is found by looking through the first ones; the index of words would first gather all that
   * have it. Undefined where these do not settle what comes first.
   */
  private async amongTheFirst(shopId: string, tokens: readonly string[]): Promise<string[] | undefined> {
    // The index of places gives their order; with the words in the same breath it would be sorted by hand.
    const first = FOUND_IN.map(
      (place) =>
        `(SELECT id FROM commissions WHERE shop_id = ? AND place = '${place}' ORDER BY due DESC, id DESC LIMIT ${LOOKED_THROUGH})`,
    )
    const rows = await this.db.sequelize.query<Looked>(
      `SELECT c.id, c.place, CAST(c.due AS CHAR) AS due, COALESCE(${tokens.map(() => HAS).join(' AND ')}, 0) AS hit FROM (${first.join(' UNION ALL ')}) x JOIN commissions c ON c.id = x.id ORDER BY c.place, c.due DESC`,
      { replacements: [...tokens.map((t) => `% ${t}%`), ...FOUND_IN.map(() => shopId)], type: QueryTypes.SELECT },
    )
    return topHits(rows, LOOKED_THROUGH, MOST_FOUND)
  }

  private async inTheIndex(shopId: string, tokens: readonly string[]): Promise<string[]> {
    const long = tokens.filter((t) => t.length >= 2)
    const short = tokens.filter((t) => t.length < 2)
    const against = long.map((t) => `+${t}*`).join(' ')
    const found = await this.db.sequelize.query<{ id: string }>(
      `SELECT id FROM commissions WHERE shop_id = ? AND place <> 'archived'${long.length ? ' AND MATCH(search) AGAINST(? IN BOOLEAN MODE)' : ''}${short.map(() => ` AND ${HAS}`).join('')} ORDER BY place = 'open' DESC, due DESC, id DESC LIMIT ${MOST_FOUND}`,
      {
        replacements: [shopId, ...(long.length ? [against] : []), ...short.map((t) => `% ${t}%`)],
        type: QueryTypes.SELECT,
      },
    )
    return found.map((f) => f.id)
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
      'upkeep',
    )
    return rows.length === BATCH
  }
}
