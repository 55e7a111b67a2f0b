import { API, type GoodOf } from '@nubrin/core/api'
import { MAP_FORMAT, MAP_VERSION } from '@nubrin/core/controls'
import { recallMessage } from '@nubrin/core/handoff'
import { readMap, validatePart, writePartsCsv } from '@nubrin/core/import'
import type { Commission, Id } from '@nubrin/core/record'
import { diffOps } from '@nubrin/core/record/ops'
import type { Router } from 'express'
import { QueryTypes } from 'sequelize'
import { sha256, today } from '../base/ids'
import type { Commissions, Maker } from '../commissions/store'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Invalid, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Outbox } from '../mail/outbox'
import { settingsOf } from '../people/settings'
import type { Work } from '../work/kinds'
import { CHANGEABLE, partOf, rowOf } from './rows'

const MOST_LIST_BYTES = 24 * 1024 * 1024
/** Found by one of three indexes, each for itself: a lot, a part of the catalogue, or how a name begins. */
const RECALL = `
  SELECT f.name AS part, f.lot, f.kind, s.id AS saberId, s.name AS saber, c.id AS commission, c.title, c.shipped, k.name AS client
  FROM (
    SELECT commission_id, id FROM fitted_parts WHERE lot = :q
    UNION SELECT commission_id, id FROM fitted_parts WHERE catalogue_id = :q
    UNION SELECT commission_id, id FROM fitted_parts WHERE name LIKE :like
  ) hit
  JOIN fitted_parts f ON f.commission_id = hit.commission_id AND f.id = hit.id
  JOIN commissions c ON c.id = f.commission_id
  JOIN sabers s ON s.commission_id = f.commission_id AND s.id = f.saber_id
  LEFT JOIN clients k ON k.id = c.client_id
  WHERE c.shop_id = :shop AND c.place <> 'archived'
  ORDER BY c.title, s.position LIMIT 500`

interface With {
  db: Tables
  store: Commissions
  work: Work
  outbox: Outbox
}

/** The shop's catalogue: read, changed a part at a time, brought in and given out as CSV or JSON, and asked for recalls. */
export function shelfRoutes(r: Router, { db, store, work, outbox }: With): void {
  const all = async (shopId: string) => {
    const rows = await db.parts.findAll({
      where: { shopId },
      order: [
        ['kind', 'ASC'],
        ['name', 'ASC'],
      ],
    })
    return rows.map(partOf)
  }
  serve(r, API.parts, async ({ who }) => all(who.shopId))
  serve(r, API.partsCsv, async ({ who, res }) => {
    res
      .attachment('parts.csv')
      .type('text/csv; charset=utf-8')
      .send(writePartsCsv(await all(who.shopId)))
    return undefined
  })
  serve(r, API.partsJson, async ({ who, res }) => {
    res
      .attachment('parts.json')
      .type('application/json')
      .send(`${JSON.stringify(await all(who.shopId), null, 2)}\n`)
    return undefined
  })
  serve(r, API.keepPart, async ({ params, body, who }) => {
    const v = validatePart({ ...body, id: params.id })
    if (!v.ok) throw new Invalid('The part was not saved: a field is wrong.', v.problems)
    await db.parts.upsert(rowOf(v.part, who.shopId))
    return v.part
  })
  serve(r, API.dropPart, async ({ params, who }) => {
    const n = await db.parts.destroy({ where: { id: params.id, shopId: who.shopId } })
    if (!n) throw new NotFound(`There is no part ${params.id} on this shelf.`)
    return undefined
  })
  serve(
    r,
    API.bringIn,
    async ({ file, query, who }) => {
      const read = await work.run('parts', { bytes: file.bytes, name: file.name, onlyGood: query.take === 'good' }, who)
      await transact(db.sequelize, async (transaction) => {
        for (let i = 0; i < read.parts.length; i += 500)
          await db.parts.bulkCreate(
            read.parts.slice(i, i + 500).map((p) => rowOf(p, who.shopId)),
            { transaction, updateOnDuplicate: [...CHANGEABLE] },
          )
      })
      return { rows: read.rows, taken: read.parts.length, faults: read.problems.length }
    },
    MOST_LIST_BYTES,
  )
  serve(
    r,
    API.readMap,
    async ({ file }) => {
      const read = readMap(file.bytes.toString('utf8'))
      if (!read.ok) throw new Invalid(`${file.name} was not read; nothing was changed.`, read.problems)
      return { format: MAP_FORMAT, version: MAP_VERSION, ...read.map } as const
    },
    MOST_LIST_BYTES,
  )
  /** The sabers that carry what is asked for. */
  const carriers = async (shop: string, asked: string) => {
    const q = asked.trim()
    const like = `${q.replace(/[%_\\]/g, '\\$&')}%`
    return (await db.sequelize.query(RECALL, {
      type: QueryTypes.SELECT,
      replacements: { shop, q, like },
    })) as GoodOf<(typeof API)['recall']>
  }
  serve(r, API.recall, async ({ query, who }) => carriers(who.shopId, query.q))
  serve(r, API.recallMessages, async ({ body, who }) => {
    const found = await carriers(who.shopId, body.q)
    const { name, contact } = await settingsOf(db, who.shopId)
    const out: GoodOf<(typeof API)['recallMessages']> = []
    for (const id of new Set(found.map((c) => c.commission))) {
      const mine = found.filter((c) => c.commission === id)
      const { record, revision } = await store.load(who.shopId, id)
      const lots = new Set(mine.flatMap((c) => c.lot ?? []))
      const said = recallMessage(
        record,
        [...new Set(mine.map((c) => c.saber))],
        { ...{ part: mine[0]!.part, lot: lots.size === 1 ? [...lots][0]! : '' }, why: body.why, todo: body.todo },
        name,
      )
      const to = record.client.contact ?? ''
      // Who cannot be written to is told so, and nothing is put down as said.
      const send = body.send && to !== ''
      if (send) {
        await outbox.put(`${body.id}-${id}`, { to, from: contact || name, ...said })
        await noteRecall(who, record, revision, body.id, said.subject)
      }
      out.push({ commission: id, title: record.title, client: record.client.name, contact: to, ...said, sent: send })
    }
    return out
  })
  /** In the log of the commission, once for each recall. */
  const noteRecall = async (who: Maker, record: Commission, revision: number, recall: string, subject: string) => {
    const entry = `rc-${sha256(`${recall} ${record.id}`).slice(0, 16)}` as Id<'entry'>
    if (record.log.some((l) => l.id === entry)) return
    const next = structuredClone(record)
    next.log.push({ id: entry, on: today(), kind: 'told', by: who.name, text: `Recall: ${subject}` })
    await store.change(who, record.id, revision, diffOps(record, next))
  }
}
