import { API } from '@nubrin/core/api'
import { MAP_FORMAT, MAP_VERSION } from '@nubrin/core/controls'
import { readMap, validatePart, writePartsCsv } from '@nubrin/core/import'
import type { Router } from 'express'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Invalid, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Work } from '../work/kinds'
import { CHANGEABLE, partOf, rowOf } from './rows'

const MOST_LIST_BYTES = 24 * 1024 * 1024
const MOST_MAP_BYTES = 1024 * 1024
interface With {
  db: Tables
  work: Work
}

/** The shop's catalogue: read, changed a part at a time, brought in and given out as CSV or JSON. */
export function shelfRoutes(r: Router, { db, work }: With): void {
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
    MOST_MAP_BYTES,
  )
}
