import { API, type GoodOf } from '@nubrin/core/api'
import { validatePart, writePartsCsv } from '@nubrin/core/import'
import type { Router } from 'express'
import { QueryTypes } from 'sequelize'
import type { Tables } from '../db/models'
import { Invalid, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import { readParts } from './bring-in'
import { CHANGEABLE, partOf, rowOf } from './rows'

const MOST_LIST_BYTES = 24 * 1024 * 1024
const RECALL =
  'SELECT f.name AS part, f.lot, f.kind, s.id AS saberId, s.name AS saber, c.id AS commission, c.title, c.shipped, k.name AS client FROM fitted_parts f JOIN commissions c ON c.id = f.commission_id JOIN sabers s ON s.commission_id = f.commission_id AND s.id = f.saber_id LEFT JOIN clients k ON k.id = c.client_id WHERE c.shop_id = ? AND c.archived_at IS NULL AND (f.lot = ? OR f.catalogue_id = ? OR f.name LIKE ?) ORDER BY c.title, s.position LIMIT 500'

/** The shop's catalogue: read, changed a part at a time, brought in and given out as CSV or JSON, and asked for recalls. */
export function shelfRoutes(r: Router, db: Tables): void {
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
      const read = await readParts(file.bytes, file.name, query.take === 'good')
      await db.sequelize.transaction(async (transaction) => {
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
  serve(r, API.recall, async ({ query, who }) => {
    const q = query.q.trim()
    const like = `%${q.replace(/[%_\\]/g, '\\$&')}%`
    return (await db.sequelize.query(RECALL, {
      type: QueryTypes.SELECT,
      replacements: [who.shopId, q, q, like],
    })) as GoodOf<(typeof API)['recall']>
  })
}
