import { lift } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { Op, QueryTypes } from 'sequelize'
import { searchText } from '../commissions/rows'
import type { CommissionRow, Tables } from '../db/models'
import { today } from '../ids'
import type { Work } from '../work/kinds'
import type { Peg, RackRow } from './peg'

/** How many records are judged at a time. */
const BATCH = 12
export const PAGE = 20

const MARKS = ['id', 'revision', 'savedAt', 'savedBy', 'peg', 'pegRevision', 'pegOn', 'pegRules', 'due'] as const
type Row = Pick<CommissionRow, (typeof MARKS)[number]>

/**
 * What hangs on the rack, kept beside each record and judged anew in the threads when the record, the day or the rules have
 * changed. What is shown is never older than its record; the rest is brought up to date quietly.
 */
export class Pegs {
  /** `rules`: a mark of the program that judges; another program judges anew. */
  constructor(
    private readonly db: Tables,
    private readonly work: Work,
    private readonly rules: string,
  ) {}

  private fresh(r: Row, day: string): boolean {
    const shipped = (r.peg as Peg | null)?.shipped
    return (
      r.peg !== null &&
      r.pegRevision === r.revision &&
      r.pegRules === this.rules &&
      (r.pegOn === day || (shipped !== null && shipped !== undefined))
    )
  }

  /** Judges the named commissions and keeps what came out; one that cannot be judged hangs there and says so. */
  private async refresh(ids: readonly string[], day: string): Promise<void> {
    for (let i = 0; i < ids.length; i += BATCH) {
      const rows = await this.db.commissions.findAll({
        where: { id: ids.slice(i, i + BATCH) },
        attributes: ['id', 'revision', 'record'],
      })
      const records = rows.map((r) => lift(r.record) as Commission)
      const pegs = await this.work.run('pegs', { records, today: day })
      for (const [k, row] of rows.entries())
        await this.db.sequelize.query(
          'UPDATE commissions SET peg = ?, peg_revision = ?, peg_on = ?, peg_rules = ?, search = COALESCE(search, ?) WHERE id = ?',
          {
            replacements: [JSON.stringify(pegs[k]), row.revision, day, this.rules, searchText(records[k]!), row.id],
            type: QueryTypes.UPDATE,
          },
        )
    }
  }

  /** The rows of a page as they are shown, judged first where they have to be. */
  async shown(rows: Row[]): Promise<RackRow[]> {
    const day = today()
    const stale = rows.filter((r) => !this.fresh(r, day)).map((r) => r.id)
    let now = rows
    if (stale.length) {
      await this.refresh(stale, day)
      const again = await this.db.commissions.findAll({ where: { id: stale }, attributes: [...MARKS] })
      const by = new Map(again.map((r) => [r.id, r as Row]))
      now = rows.map((r) => by.get(r.id) ?? r)
    }
    return now.map((r) => ({
      ...(r.peg as Peg),
      revision: r.revision,
      savedAt: r.savedAt.toISOString(),
      savedBy: r.savedBy,
    }))
  }

  /** One page in a place, ordered by its day; `after` is the day and id of the last one seen. */
  async page(shopId: string, place: CommissionRow['place'], after?: { due: string; id: string }): Promise<Row[]> {
    // What has shipped is read from the newest back.
    const down = place === 'shipped'
    const past = down ? Op.lt : Op.gt
    return this.db.commissions.findAll({
      where: {
        shopId,
        place,
        ...(after ? { [Op.or]: [{ due: { [past]: after.due } }, { due: after.due, id: { [past]: after.id } }] } : {}),
      },
      order: [
        ['due', down ? 'DESC' : 'ASC'],
        ['id', down ? 'DESC' : 'ASC'],
      ],
      limit: PAGE + 1,
      attributes: [...MARKS],
    })
  }

  /** Commissions that answer to some words, the open ones first, the best first; at most 40. */
  async found(shopId: string, words: string): Promise<Row[]> {
    const tokens = words.match(/[\p{L}\p{N}]+/gu) ?? []
    const long = tokens.filter((t) => t.length >= 3)
    if (!tokens.length) return []
    const against = long.map((t) => `+${t}*`).join(' ')
    const short = tokens.filter((t) => t.length < 3)
    const found = (await this.db.sequelize.query(
      `SELECT id FROM commissions WHERE shop_id = ? AND place <> 'archived'${long.length ? ' AND MATCH(search) AGAINST(? IN BOOLEAN MODE)' : ''}${short.map(() => ' AND search LIKE ?').join('')} ORDER BY place = 'open' DESC, due DESC LIMIT 40`,
      {
        replacements: [shopId, ...(long.length ? [against] : []), ...short.map((t) => `%${t}%`)],
        type: QueryTypes.SELECT,
      },
    )) as { id: string }[]
    const rows = await this.db.commissions.findAll({
      where: { id: found.map((f) => f.id) },
      attributes: [...MARKS],
    })
    const by = new Map(rows.map((r) => [r.id, r as Row]))
    return found.flatMap((f) => by.get(f.id) ?? [])
  }

  /** How much hangs where, and how many ship within a week. */
  async counts(
    shopId: string,
  ): Promise<{ open: number; shipped: number; models: number; sabers: number; soon: number }> {
    const [n] = (await this.db.sequelize.query(
      "SELECT SUM(place = 'open') AS open, SUM(place = 'shipped') AS shipped, SUM(place = 'model') AS models, SUM(place = 'open' AND due <= DATE_ADD(?, INTERVAL 7 DAY)) AS soon FROM commissions WHERE shop_id = ?",
      { replacements: [today(), shopId], type: QueryTypes.SELECT },
    )) as Record<string, string | null>[]
    const [s] = (await this.db.sequelize.query(
      "SELECT COUNT(*) AS sabers FROM commissions c JOIN sabers s ON s.commission_id = c.id WHERE c.shop_id = ? AND c.place = 'open'",
      { replacements: [shopId], type: QueryTypes.SELECT },
    )) as { sabers: string }[]
    return {
      open: Number(n!.open ?? 0),
      shipped: Number(n!.shipped ?? 0),
      models: Number(n!.models ?? 0),
      soon: Number(n!.soon ?? 0),
      sabers: Number(s!.sabers),
    }
  }

  /** Brings some of what is out of date up to date; says whether there may be more. Run now and then, by a timer. */
  async sweep(): Promise<boolean> {
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
