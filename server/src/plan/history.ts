import { type History, type Log, logOf } from '@nubrin/core/schedule'
import { daysBetween } from '@nubrin/core/units'
import { LRUCache } from 'lru-cache'
import { QueryTypes } from 'sequelize'
import type { Tables } from '../db/models'

/** So many commissions back it is learnt from, and so long what was learnt is believed, ms. */
const [BACK, BELIEVED] = [300, 60_000]

/** What a shop has written down: hours of work on what was handed over, how long orders took, and answers. */
async function historyOf(db: Tables, shopId: string): Promise<History> {
  const ask = <R extends object>(sql: string) =>
    db.sequelize.query<R>(sql, { replacements: { shop: shopId }, type: QueryTypes.SELECT })
  const last = `SELECT id FROM commissions WHERE shop_id = :shop AND place = 'shipped' ORDER BY due DESC, id DESC LIMIT ${BACK}`
  const [hours, lines, answers] = await Promise.all([
    ask<{ kind: History['hours'][number]['kind']; job: History['hours'][number]['job']; hours: number }>(
      `SELECT COALESCE(h.work, 'toDo') AS kind, COALESCE(s.job, c.job) AS job, SUM(h.hours) AS hours
       FROM (${last}) l JOIN commissions c ON c.id = l.id JOIN hours h ON h.commission_id = c.id
       LEFT JOIN sabers s ON s.commission_id = c.id AND s.id = h.saber_id
       WHERE h.work IS NOT NULL OR h.to_do IS NOT NULL
       GROUP BY h.commission_id, h.work, h.saber_id, h.to_do, COALESCE(s.job, c.job)`,
    ),
    ask<{ supplier: string; orderedOn: string; arrivedOn: string }>(
      `SELECT supplier, CAST(ordered_on AS CHAR) AS orderedOn, CAST(arrived_on AS CHAR) AS arrivedOn FROM order_lines
       WHERE shop_id = :shop AND arrived_on IS NOT NULL ORDER BY arrived_on DESC LIMIT 500`,
    ),
    ask<{ askedOn: string; answeredOn: string }>(
      `SELECT CAST(q.asked_on AS CHAR) AS askedOn, CAST(q.answered_on AS CHAR) AS answeredOn
       FROM commissions c JOIN questions q ON q.commission_id = c.id
       WHERE c.shop_id = :shop AND q.asked_on IS NOT NULL AND q.answered_on IS NOT NULL AND COALESCE(q.asked_by, 'shop') = 'shop'
       ORDER BY q.answered_on DESC LIMIT 500`,
    ),
  ])
  return {
    hours: hours.map((h) => ({ ...h, hours: Number(h.hours) })),
    leads: lines.map((l) => ({ supplier: l.supplier, days: Math.max(0.5, daysBetween(l.orderedOn, l.arrivedOn)) })),
    answers: answers.map((a) => Math.max(0.5, daysBetween(a.askedOn, a.answeredOn))),
  }
}

/** What shops have learnt, kept for a minute: nothing in it hurries. */
export class Logs {
  private readonly kept = new LRUCache<string, Log>({ max: 200, ttl: BELIEVED })
  constructor(private readonly db: Tables) {}
  async of(shopId: string): Promise<Log> {
    const known = this.kept.get(shopId)
    if (known) return known
    const log = logOf(await historyOf(this.db, shopId))
    this.kept.set(shopId, log)
    return log
  }
}
