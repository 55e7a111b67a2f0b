import { API } from '@nubrin/core/api'
import { cadCsv, cadDxf, cadSvg } from '@nubrin/core/drawing'
import { fileNameOf } from '@nubrin/core/handoff'
import { writeCommission } from '@nubrin/core/import'
import { asCopy, byId, type Commission, readerOf, toldSaber } from '@nubrin/core/record'
import { markdownOf, tellingOrder, webVttOf } from '@nubrin/core/script'
import type { Response, Router } from 'express'
import { Op as Sql } from 'sequelize'
import { fileHash, newId } from '../base/ids'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Invalid, NotFound } from '../http/problem'
import { JsonText, serve } from '../http/serve'
import { accept } from '../media/accept'
import type { Library } from '../media/library'
import type { Accepted, Work } from '../work/kinds'
import { pack, withMedia } from './archive'
import { beginFrom, blankFor, modelOf } from './begin'
import { pathsOf } from './merge'
import type { Commissions } from './store'

const MOST_IMPORT_BYTES = 70 * 1024 * 1024
const saberOf = (c: Commission, id: string | undefined) => byId(c.sabers, id) ?? c.sabers[0]!
const send = (res: Response, name: string, type: string, content: string) => {
  res.attachment(name).type(type).send(content)
  return undefined
}

interface With {
  store: Commissions
  db: Tables
  library: Library
  work: Work
}

/** Commissions: begun, read, changed, taken in and given out. */
export function commissionRoutes(r: Router, { store, db, library, work }: With): void {
  serve(r, API.begin, async ({ body, who }) => {
    const known = body.knownClient
      ? await db.clients.findOne({ where: { id: body.knownClient, shopId: who.shopId } })
      : null
    if (body.knownClient && !known)
      throw new Invalid('There is no such client in this shop.', [
        { path: '/knownClient', rule: 'reference', message: 'names a client that is not in this shop' },
      ])
    const record = blankFor(body, known?.name ?? body.client?.trim() ?? '', known)
    const made = known ? { client: known.id } : {}
    if (!body.model) return store.create(who, record, made)
    return store.create(who, beginFrom(record, (await store.load(who.shopId, body.model)).record), made)
  })
  serve(r, API.keepModel, async ({ params, body, who }) => {
    const { record } = await store.load(who.shopId, params.id)
    const at = body.saber === undefined ? 0 : record.sabers.findIndex((s) => s.id === body.saber)
    if (at < 0)
      throw new Invalid('There is no such saber in this commission.', [
        { path: '/saber', rule: 'reference', message: 'names a saber that is not in this commission' },
      ])
    return store.create(who, modelOf(record, at, body.title))
  })
  serve(r, API.commission, async ({ params, who }) => new JsonText(await store.text(who.shopId, params.id)))
  serve(r, API.change, async ({ params, body, who }) => {
    const { base, ops, change, at } = body
    const { revision, savedAt, savedBy, since } = await store.change(who, params.id, base, ops, { change, at })
    return { revision, savedAt, savedBy, since }
  })
  serve(r, API.changes, async ({ params, query, who }) =>
    store.changes(who.shopId, params.id, Number(query.after), query.at),
  )
  serve(r, API.archive, async ({ params, who }) => {
    await store.archive(who.shopId, params.id, async (transaction) => {
      await db.handoffs.update(
        { revokedAt: new Date() },
        { where: { commissionId: params.id, revokedAt: null }, ...(transaction ? { transaction } : {}) },
      )
    })
    return undefined
  })
  serve(r, API.archived, async ({ who }) => {
    const rows = await db.commissions.findAll({
      where: { shopId: who.shopId, archivedAt: { [Sql.not]: null } },
      attributes: ['id', 'title', 'archivedAt', 'savedBy'],
      order: [['archivedAt', 'DESC']],
      limit: 200,
    })
    return rows.map((c) => ({ id: c.id, title: c.title, archivedAt: c.archivedAt!.toISOString() }))
  })
  serve(r, API.unarchive, async ({ params, who }) => {
    await store.unarchive(who.shopId, params.id)
    return undefined
  })
  serve(r, API.history, async ({ params, who }) =>
    (await store.history(who.shopId, params.id)).map(({ change: _c, ...h }) => ({ ...h, paths: pathsOf(h.ops) })),
  )
  serve(r, API.sameClient, async ({ params, body, who }) => {
    await transact(db.sequelize, async (transaction) => {
      const row = await db.commissions.findOne({
        where: { id: params.id, shopId: who.shopId, archivedAt: null },
        attributes: ['id', 'clientId'],
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      const client = await db.clients.findOne({ where: { id: body.client, shopId: who.shopId }, transaction })
      if (!row || !client) throw new NotFound('There is no such commission or client in this shop.')
      const before = row.clientId
      await db.commissions.update({ clientId: client.id }, { where: { id: row.id }, transaction })
      if (before && before !== client.id && !(await db.commissions.count({ where: { clientId: before }, transaction })))
        await db.clients.destroy({ where: { id: before }, transaction })
    })
    return undefined
  })
  importRoutes(r, store, library, work)
  exportRoutes(r, store, library)
}

function importRoutes(r: Router, store: Commissions, library: Library, work: Work) {
  serve(
    r,
    API.takeIn,
    async ({ file, query, who }) => {
      const { record, media } = await work.run('unpack', { bytes: file.bytes }, who)
      // Every file goes through the door before anything is stored; a bad one refuses the whole import.
      const good: Accepted[] = []
      const found = new Map<string, { hash: string; type: string }>()
      for (const [hash, bytes] of media) {
        const a = await accept(bytes, `media/${hash}`, work, who)
        good.push(a)
        found.set(hash, { hash: await fileHash(a.bytes), type: a.type })
      }
      const clean = withMedia(record, found)
      return store.create(who, query.as === 'copy' ? asCopy(clean, newId) : clean, {
        alongside: async (transaction) => {
          for (const a of good) await library.keep(who.shopId, a, { transaction })
        },
      })
    },
    MOST_IMPORT_BYTES,
  )
}

function exportRoutes(r: Router, store: Commissions, library: Library) {
  serve(r, API.exportJson, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    return send(res, `${fileNameOf(record)}.json`, 'application/json', writeCommission(record))
  })
  serve(r, API.exportZip, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const zip = await pack(record, who.shopId, library)
    res.attachment(`${fileNameOf(record)}.zip`).type('application/zip')
    await new Promise<void>((done, fail) => {
      zip.once('error', fail)
      res.once('close', done)
      zip.pipe(res)
    })
    return undefined
  })
  serve(r, API.scriptMarkdown, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const text = tellingOrder(record)
      .map((s) => markdownOf(readerOf(record), s.name, toldSaber(record, s)))
      .join('\n')
    return send(res, 'walkthrough.md', 'text/markdown; charset=utf-8', text)
  })
  serve(r, API.scriptVtt, async ({ params, query, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const saber = saberOf(record, query.saber)
    const captions = webVttOf(readerOf(record), toldSaber(record, saber), byId(saber.takes, query.take))
    return send(res, 'walkthrough.vtt', 'text/vtt; charset=utf-8', captions)
  })
  for (const [route, kind, type, write] of [
    [API.cavityDxf, 'dxf', 'image/vnd.dxf', cadDxf],
    [API.cavitySvg, 'svg', 'image/svg+xml', cadSvg],
    [API.cavityCsv, 'csv', 'text/csv; charset=utf-8', cadCsv],
  ] as const)
    serve(r, route, async ({ params, query, who, res }) => {
      const { record } = await store.load(who.shopId, (params as { id: string }).id)
      return send(res, `${fileNameOf(record)}-cavity.${kind}`, type, write(saberOf(record, query.saber)))
    })
}
