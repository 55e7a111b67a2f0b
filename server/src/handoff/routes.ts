import { API } from '@nubrin/core/api'
import { handedSaber, handoffFileName, liftHandoff, type ShopCard } from '@nubrin/core/handoff'
import { lift } from '@nubrin/core/import'
import { gateOf, judgeCommission } from '@nubrin/core/judge'
import { type Commission, readerOf } from '@nubrin/core/record'
import { type Request, type Response, Router } from 'express'
import { Op } from 'sequelize'
import { mediaHashes } from '../commissions/media-hashes'
import type { Commissions } from '../commissions/store'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Conflict, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import { newId, secret, sha256, today } from '../ids'
import type { Library } from '../media/library'
import { sendFile } from '../media/routes'
import { settingsOf } from '../people/settings'
import type { Work } from '../work/kinds'
import { type CarriedPhoto, handoffHtml, MOST_PHOTO_BYTES } from './html'
import type { Pdfs } from './pdfs'

/** Handing over: the PDF as it stands, and what is issued to the client and frozen. */
export function handoffRoutes(r: Router, store: Commissions, db: Tables, pdfs: Pdfs, work: Work): void {
  serve(r, API.handoffPdf, async ({ params, query, who, res }) => {
    const { record, revision } = await store.load(who.shopId, params.id)
    const paper = query.paper ?? record.handoff.paper
    const extent = query.extent ?? record.handoff.extent ?? 'full'
    const { name, ...said } = await settingsOf(db, who.shopId)
    const key = `${record.id} ${revision} ${JSON.stringify([name, said])} ${today()} ${paper} ${extent}`
    const pdf = await pdfs.of(key, async () => ({
      document: await work.run('document', { record, shop: name, date: today(), from: cardOf(said) }),
      ...{ sabers: record.sabers, paper, extent },
    }))
    sendPdf(res, pdf, handoffFileName(record))
    return undefined
  })

  serve(r, API.cardPdf, async ({ params, query, who, res }) => {
    const { record, revision } = await store.load(who.shopId, params.id)
    const saber = query.saber ? record.sabers.find((s) => s.id === query.saber) : record.sabers[0]
    if (!saber) throw new NotFound(`There is no saber ${query.saber ?? ''} in this commission.`)
    const paper = query.paper ?? 'A5'
    const { name } = await settingsOf(db, who.shopId)
    const pdf = await pdfs.card(`${record.id} ${revision} ${saber.id} ${name} ${paper}`, () => ({
      saber,
      paper,
      shop: name,
      reader: readerOf(record),
    }))
    sendPdf(res, pdf, handoffFileName(record, saber).replace(/handoff$/, 'controls'))
    return undefined
  })

  // Issuing freezes the record as it is: the client's page shows that, whatever is edited later.
  serve(r, API.issue, async ({ params, who }) => {
    const { record, revision } = await store.load(who.shopId, params.id)
    const open = gateOf(judgeCommission(record, today()))
    if (open.length)
      throw new Conflict(
        `${open.length} ${open.length === 1 ? 'thing stands' : 'things stand'} against shipping. Resolve each, or set it aside with a name and a reason.`,
        undefined,
        { open: open.map((f) => ({ key: f.key, title: f.title, station: f.station })) },
      )
    const { name, linkDays, ...said } = await settingsOf(db, who.shopId)
    const expiresAt = linkDays ? new Date(Date.now() + linkDays * 24 * 3_600_000) : null
    const token = secret()
    const document = await work.run('document', { record, shop: name, date: today(), from: cardOf(said) })
    const number = await transact(db.sequelize, async (transaction) => {
      // The commission's row is held, so that two who issue at one time get two numbers.
      const row = await db.commissions.findOne({
        where: { id: record.id, shopId: who.shopId, archivedAt: null },
        attributes: ['id', 'revision'],
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      if (row?.revision !== revision)
        throw new Conflict('Somebody changed this commission just now. Look at it, then issue again.')
      const last = (await db.handoffs.max('number', { where: { commissionId: record.id }, transaction })) as
        | number
        | null
      const number = (last ?? 0) + 1
      await db.handoffs.update(
        { revokedAt: new Date() },
        { where: { commissionId: record.id, revokedAt: null }, transaction },
      )
      await db.handoffs.create(
        {
          id: newId('h'),
          commissionId: record.id,
          number,
          secretHash: sha256(token),
          revision,
          document: { ...document, number },
          record,
          issuedAt: new Date(),
          issuedBy: who.name,
          revokedAt: null,
          expiresAt,
        },
        { transaction },
      )
      return number
    })
    return { number, revision, link: `/c/${token}`, expires: expiresAt?.toISOString() ?? null }
  })
  serve(r, API.issued, async ({ params, who }) => {
    await store.changes(who.shopId, params.id, Number.MAX_SAFE_INTEGER)
    const rows = await db.handoffs.findAll({
      where: { commissionId: params.id },
      attributes: ['number', 'revision', 'issuedAt', 'issuedBy', 'revokedAt', 'expiresAt'],
      order: [['number', 'DESC']],
    })
    return rows.map((h) => ({
      number: h.number,
      revision: h.revision,
      issuedAt: h.issuedAt.toISOString(),
      issuedBy: h.issuedBy,
      revokedAt: h.revokedAt?.toISOString() ?? null,
      expiresAt: h.expiresAt?.toISOString() ?? null,
    }))
  })
  serve(r, API.withdraw, async ({ params, who }) => {
    await store.changes(who.shopId, params.id, Number.MAX_SAFE_INTEGER)
    const [n] = await db.handoffs.update(
      { revokedAt: new Date() },
      { where: { commissionId: params.id, number: Number(params.number) || 0, revokedAt: null } },
    )
    if (!n) throw new NotFound('There is no such handoff, or its link is already withdrawn.')
    return undefined
  })
}

const cardOf = ({ address, contact, signature, closing }: ShopCard): ShopCard => ({
  address,
  contact,
  signature,
  closing,
})

const sendPdf = (res: Response, pdf: Uint8Array, name: string) =>
  res
    .type('application/pdf')
    .set('Content-Disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .send(Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength))

/** Where this shop's pages are reached: as it says itself, else as it was asked. */
async function addressOf(db: Tables, commission: string, req: Request): Promise<string> {
  const row = await db.commissions.findByPk(commission, { attributes: ['shopId'] })
  const { publicUrl } = await settingsOf(db, row!.shopId)
  return publicUrl || `${req.protocol}://${req.get('host')}`
}

/** What the client may fetch with a link: the frozen document, the record behind its drawings, and its media. */
export function clientRoutes(db: Tables, library: Library, pdfs: Pdfs, webFolder: string): Router {
  const r = Router()
  const find = async (token: string) => {
    const row = await db.handoffs.findOne({
      where: {
        secretHash: sha256(token),
        revokedAt: null,
        [Op.or]: [{ expiresAt: null }, { expiresAt: { [Op.gt]: new Date() } }],
      },
    })
    if (!row)
      throw new NotFound('This link does not lead anywhere, is too old, or was withdrawn. Ask the shop for a new one.')
    return {
      id: row.id,
      of: row.commissionId,
      document: liftHandoff(row.document),
      record: lift(row.record) as Commission,
    }
  }
  serve(r, API.clientPage, async ({ params, res }) => {
    const { document, record } = await find(params.token)
    res.set('Cache-Control', 'private, no-store')
    return {
      document,
      sabers: record.sabers.map(handedSaber),
      media: record.media,
    }
  })
  serve(r, API.clientPdf, async ({ params, query, req, res }) => {
    const { id, of, document, record } = await find(params.token)
    const { paper, extent: usual = 'full' } = record.handoff
    const extent = query.extent ?? usual
    const link = new URL(`/c/${params.token}`, await addressOf(db, of, req)).href
    const ask = { document, sabers: record.sabers, paper, extent, link }
    sendPdf(res, await pdfs.of(`${id} ${paper} ${extent} ${sha256(link)}`, async () => ask), handoffFileName(record))
    return undefined
  })
  serve(r, API.clientHtml, async ({ params, res }) => {
    const { id, of, document, record } = await find(params.token)
    const shop = await db.commissions.findByPk(of, { attributes: ['shopId'] })
    const photos = new Map<string, CarriedPhoto>()
    let bytes = 0
    for (const m of record.media.filter((x) => x.type.startsWith('image/'))) {
      // What is not there any more leaves a gap, not an answer without a page.
      const file = await library.of(shop!.shopId, m.hash).catch(() => undefined)
      if (!file) continue
      bytes += file.bytes.length
      if (bytes > MOST_PHOTO_BYTES) break
      photos.set(m.hash, file)
    }
    const page = { document, sabers: record.sabers.map(handedSaber), media: record.media, keep: `${id}` }
    res
      .type('text/html')
      .set('Content-Disposition', `attachment; filename="${encodeURIComponent(handoffFileName(record))}.html"`)
      .set('Cache-Control', 'private, no-store')
      .send(handoffHtml(webFolder, page, photos))
    return undefined
  })
  serve(r, API.clientFile, async ({ params, res }) => {
    const { of, record } = await find(params.token)
    if (!mediaHashes(record).includes(params.hash)) throw new NotFound('There is no such file.')
    const shop = await db.commissions.findByPk(of, { attributes: ['shopId'] })
    sendFile(res, await library.of(shop!.shopId, params.hash), 'private, max-age=3600')
    return undefined
  })
  return r
}
