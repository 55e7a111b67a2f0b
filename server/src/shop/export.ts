import { Readable } from 'node:stream'
import { API } from '@nubrin/core/api'
import { lift, writeCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import type { Router } from 'express'
import yazl from 'yazl'
import type { Tables } from '../db/models'
import { serve } from '../http/serve'
import type { Library } from '../media/library'
import { settingsOf } from '../people/settings'
import { partOf } from '../shelf/rows'

/** The whole shop in the open format, written as it is read: never more than one record or file in memory. */
export function shopExportRoutes(r: Router, db: Tables, library: Library): void {
  serve(r, API.shopExport, async ({ who, res }) => {
    const zip = new yazl.ZipFile()
    const later = (name: string, read: () => Promise<Buffer>) =>
      zip.addReadStreamLazy(name, {}, (give) => {
        read().then(
          (bytes) => give(null, Readable.from([bytes])),
          (e) => give(e, undefined as never),
        )
      })
    const { shopId } = who
    const json = (v: unknown) => Buffer.from(`${JSON.stringify(v, null, 2)}\n`)
    later('shop.json', async () => json(await settingsOf(db, shopId)))
    later('shelf.json', async () => json((await db.parts.findAll({ where: { shopId } })).map(partOf)))
    later('fonts.json', async () => json((await db.fonts.findAll({ where: { shopId } })).map((f) => f.font)))
    const rows = await db.commissions.findAll({ where: { shopId }, attributes: ['id', 'archivedAt'] })
    // What stands beside the records: offered, written, ordered, and who is known how.
    const beside = { commissionId: rows.map((c) => c.id) }
    later('quotes.json', async () =>
      json((await db.quotes.findAll({ where: beside })).map((q) => ({ commission: q.commissionId, quote: q.quote }))),
    )
    later('letters.json', async () => json((await db.letters.findAll({ where: beside })).map((l) => l.toJSON())))
    later('orders.json', async () => json(await db.orderLines.findAll({ where: { shopId }, raw: true })))
    later('clients.json', async () => json(await db.clients.findAll({ where: { shopId }, raw: true })))
    for (const { id, archivedAt } of rows)
      later(`${archivedAt ? 'archive' : 'commissions'}/${id}.json`, async () => {
        const row = await db.commissions.findByPk(id, { attributes: ['record'] })
        return Buffer.from(writeCommission(lift(row!.record) as Commission))
      })
    for (const m of await db.media.findAll({ where: { shopId }, attributes: ['hash'] }))
      later(`media/${m.hash}`, async () => (await library.of(shopId, m.hash)).bytes)
    zip.end()
    res.attachment('shop.zip').type('application/zip')
    await new Promise<void>((done, fail) => {
      zip.outputStream.once('error', fail)
      ;(zip as unknown as NodeJS.EventEmitter).once('error', fail)
      res.once('close', done)
      zip.outputStream.pipe(res)
    })
    return undefined
  })
}
