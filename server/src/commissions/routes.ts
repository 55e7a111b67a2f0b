import { API } from '@nubrin/core/api'
import { cadCsv, cadDxf, cadSvg } from '@nubrin/core/drawing'
import { handoffFileName } from '@nubrin/core/handoff'
import { writeCommission } from '@nubrin/core/import'
import { asCopy, byId, type Commission } from '@nubrin/core/record'
import { markdownOf, webVttOf } from '@nubrin/core/script'
import type { Response, Router } from 'express'
import type { Tables } from '../db/models'
import { Invalid } from '../http/problem'
import { serve } from '../http/serve'
import { newId } from '../ids'
import { accept } from '../media/accept'
import type { Files } from '../media/files'
import { noteFile } from '../media/routes'
import { pack, unpack } from './archive'
import { beginFrom, blankFor, modelOf } from './begin'
import { pathsOf } from './merge'
import type { Commissions } from './store'

const MOST_IMPORT_BYTES = 70 * 1024 * 1024
const fileName = (c: Commission) => handoffFileName(c).replace(/-handoff$/, '')
const saberOf = (c: Commission, id: string | undefined) => byId(c.sabers, id) ?? c.sabers[0]!
const send = (res: Response, name: string, type: string, content: string) => {
  res.attachment(name).type(type).send(content)
  return undefined
}

/** Commissions: begun, read, changed, taken in and given out. */
export function commissionRoutes(r: Router, store: Commissions, db: Tables, files: Files): void {
  serve(r, API.begin, async ({ body, who }) => {
    const client = body.client?.trim() ?? ''
    const known = client ? await db.clients.findOne({ where: { shopId: who.shopId, name: client } }) : null
    const record = blankFor(body, client, known)
    if (!body.model) return store.create(who, record)
    return store.create(who, beginFrom(record, (await store.load(who.shopId, body.model)).record))
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
  serve(r, API.commission, async ({ params, who }) => store.load(who.shopId, params.id))
  serve(r, API.change, async ({ params, body, who }) => {
    const { revision, savedAt, savedBy, since } = await store.change(who, params.id, body.base, body.ops)
    return { revision, savedAt, savedBy, since }
  })
  serve(r, API.archive, async ({ params, who }) => {
    await store.archive(who.shopId, params.id)
    return undefined
  })
  serve(r, API.history, async ({ params, who }) =>
    (await store.history(who.shopId, params.id)).map(({ ops, ...h }) => ({ ...h, paths: pathsOf(ops) })),
  )
  takingIn(r, store, db, files)
  givingOut(r, store, files)
}

function takingIn(r: Router, store: Commissions, db: Tables, files: Files) {
  serve(
    r,
    API.takeIn,
    async ({ file, query, who }) => {
      const { record, media } = await unpack(file.bytes)
      // Media are looked at before anything is stored; a bad one refuses the whole import.
      for (const [hash, bytes] of media) await accept(bytes, `media/${hash}`)
      const saved = await store.create(who, query.as === 'copy' ? asCopy(record, newId) : record)
      for (const [hash, bytes] of media) {
        await files.put(bytes)
        const declared = saved.record.media.find((m) => m.hash === hash)?.type ?? 'application/octet-stream'
        const type = bytes.subarray(0, 2).toString('latin1') === 'RI' ? 'audio/wav' : declared
        await noteFile(db, who.shopId, hash, type, bytes.length)
      }
      return saved
    },
    MOST_IMPORT_BYTES,
  )
}

function givingOut(r: Router, store: Commissions, files: Files) {
  serve(r, API.exportJson, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    return send(res, `${fileName(record)}.json`, 'application/json', writeCommission(record))
  })
  serve(r, API.exportZip, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const zip = await pack(record, files)
    res.attachment(`${fileName(record)}.zip`).type('application/zip')
    await new Promise<void>((done, fail) => {
      zip.once('error', fail)
      res.once('close', done)
      zip.pipe(res)
    })
    return undefined
  })
  serve(r, API.scriptMarkdown, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const text = record.sabers.map((s) => markdownOf(s.name, s)).join('\n')
    return send(res, 'walkthrough.md', 'text/markdown; charset=utf-8', text)
  })
  serve(r, API.scriptVtt, async ({ params, query, who, res }) => {
    const saber = saberOf((await store.load(who.shopId, params.id)).record, query.saber)
    return send(res, 'walkthrough.vtt', 'text/vtt; charset=utf-8', webVttOf(saber, byId(saber.takes, query.take)))
  })
  for (const [route, kind, type, write] of [
    [API.cavityDxf, 'dxf', 'image/vnd.dxf', cadDxf],
    [API.cavitySvg, 'svg', 'image/svg+xml', cadSvg],
    [API.cavityCsv, 'csv', 'text/csv; charset=utf-8', cadCsv],
  ] as const)
    serve(r, route, async ({ params, query, who, res }) => {
      const { record } = await store.load(who.shopId, (params as { id: string }).id)
      return send(res, `${fileName(record)}-cavity.${kind}`, type, write(saberOf(record, query.saber)))
    })
}
