import { API } from '@nubrin/core/api'
import { lift } from '@nubrin/core/import'
import { biasesOf, type From, type Learned, oftenOf, shelfProposals } from '@nubrin/core/learning'
import type { Commission } from '@nubrin/core/record'
import type { Router } from 'express'
import { QueryTypes } from 'sequelize'
import type { Tables } from '../db/models'
import { NotFound } from '../http/problem'
import { serve } from '../http/serve'
import { partOf } from '../shelf/rows'
import type { Whom, Work } from '../work/kinds'
import type { Logs } from './history'

/** So many of the last records are learnt from, and so many looked through for one answer. */
const [BACK, AT_ONCE, BATCH] = [400, 48, 12]

interface With {
  db: Tables
  work: Work
  logs: Logs
  /** A mark of the program that looks through records; another program does so anew. */
  rules: string
}
interface Row {
  id: string
  title: string
  revision: number
  stale: number
  learned: string | null
}

/** What the shop knows by now, and what it knows of a client. */
export function learningRoutes(r: Router, { db, work, logs, rules }: With): void {
  /** Looks through some of what has changed since; how many are left. */
  const lookThrough = async (rows: readonly Row[], whom: Whom): Promise<number> => {
    const stale = rows.filter((x) => Number(x.stale))
    const now = stale.slice(0, AT_ONCE)
    for (let i = 0; i < now.length; i += BATCH) {
      const some = await db.commissions.findAll({
        where: { id: now.slice(i, i + BATCH).map((x) => x.id) },
        attributes: ['id', 'revision', 'record'],
      })
      const records = some.map((x) => lift(x.record) as Commission)
      const learned = await work.run('learn', { records }, whom)
      for (const [k, row] of some.entries()) {
        await db.sequelize.query('UPDATE commissions SET learned = ?, learned_at = ? WHERE id = ?', {
          replacements: [JSON.stringify(learned[k]), `${row.revision} ${rules}`.slice(0, 60), row.id],
          type: QueryTypes.UPDATE,
        })
        const mine = rows.find((x) => x.id === row.id)
        if (mine) mine.learned = JSON.stringify(learned[k])
      }
    }
    return stale.length - now.length
  }
  const records = (shopId: string, where: string, more: unknown[] = []) =>
    db.sequelize.query<Row>(
      `SELECT id, title, revision, CAST(learned AS CHAR) AS learned,
         COALESCE(learned_at, '') <> LEFT(CONCAT(revision, ' ', ?), 60) AS stale
       FROM commissions WHERE shop_id = ? AND archived_at IS NULL AND place IN ('open', 'shipped') ${where}
       ORDER BY place, due DESC LIMIT ${BACK}`,
      { replacements: [rules, shopId, ...more], type: QueryTypes.SELECT },
    )
  const said = (rows: readonly Row[]): (Learned & From)[] =>
    rows.flatMap((x) =>
      x.learned ? [{ ...(JSON.parse(x.learned) as Learned), commission: x.id, title: x.title }] : [],
    )

  serve(r, API.learning, async ({ query, who }) => {
    const rows = await records(who.shopId, '')
    const left = await lookThrough(rows, who)
    const all = said(rows)
    const from = <X extends object>(l: Learned & From, x: X) => ({ ...x, commission: l.commission, title: l.title })
    const happened = all.flatMap((l) => l.happened.map((h) => from(l, h)))
    const shelf = await db.parts.findAll({ where: { shopId: who.shopId } })
    return {
      biases: biasesOf(
        all.flatMap((l) => l.compared.map((c) => from(l, c))),
        { ...(query.row ? { row: query.row } : {}), ...(query.lot ? { lot: query.lot } : {}) },
      ),
      proposals: shelfProposals(
        all.flatMap((l) => l.own),
        shelf.map(partOf),
      ),
      log: await logs.of(who.shopId),
      ...{ failing: oftenOf(happened, 'failed'), returns: oftenOf(happened, 'returned') },
      ...{ slips: oftenOf(happened, 'slip'), asks: oftenOf(happened, 'asked') },
      left,
    }
  })

  const clientOf = async (shopId: string, id: string) => {
    const row = await db.clients.findOne({ where: { id, shopId } })
    if (!row) throw new NotFound(`There is no client ${id} in this shop.`)
    return row
  }
  serve(r, API.clientCard, async ({ params, who }) => {
    const c = await clientOf(who.shopId, params.id)
    const rows = await records(who.shopId, 'AND client_id = ?', [c.id])
    await lookThrough(rows, who)
    const [commissions, asked] = await Promise.all([
      db.commissions.findAll({
        where: { clientId: c.id, shopId: who.shopId, archivedAt: null },
        attributes: ['id', 'title', 'job', 'shipped', 'deadline'],
        order: [['due', 'DESC']],
        raw: true,
      }),
      db.sequelize.query<{ commission: string; title: string; text: string; on: string | null; answered: number }>(
        `SELECT c.id AS commission, c.title, q.text, CAST(q.asked_on AS CHAR) AS \`on\`, q.answered_on IS NOT NULL AS answered
         FROM commissions c JOIN questions q ON q.commission_id = c.id
         WHERE c.client_id = ? AND c.shop_id = ? AND c.archived_at IS NULL AND q.asked_by = 'client' ORDER BY q.asked_on DESC LIMIT 60`,
        { replacements: [c.id, who.shopId], type: QueryTypes.SELECT },
      ),
    ])
    return {
      ...{ id: c.id, name: c.name, country: c.country, contact: c.contact, note: c.habits ?? '' },
      habits: [...new Set(said(rows).flatMap((l) => l.habits))],
      commissions: commissions.map(({ id, title, job, shipped, deadline }) => ({ id, title, job, shipped, deadline })),
      asked: asked.map((q) => ({ ...q, answered: Number(q.answered) === 1 })),
    }
  })
  serve(r, API.setHabits, async ({ params, body, who }) => {
    await clientOf(who.shopId, params.id)
    const note = body.note.trim()
    await db.clients.update({ habits: note || null }, { where: { id: params.id, shopId: who.shopId } })
    return { note }
  })
}
