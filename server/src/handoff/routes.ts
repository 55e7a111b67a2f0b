import { API } from '@nubrin/core/api'
import { buildHandoff, handoffFileName, liftHandoff } from '@nubrin/core/handoff'
import { lift } from '@nubrin/core/import'
import { gateOf, judgeCommission } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { type Response, Router } from 'express'
import { mediaHashes } from '../commissions/archive'
import type { Commissions } from '../commissions/store'
import type { Tables } from '../db/models'
import { Conflict, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import { newId, secret, sha256, today } from '../ids'
import type { Library } from '../media/library'
import { sendFile } from '../media/routes'
import type { Pdfs } from './pdfs'

/** Handing over: the PDF as it stands, and what is issued to the client and frozen. */
export function handoffRoutes(r: Router, store: Commissions, db: Tables, pdfs: Pdfs): void {
  serve(r, API.handoffPdf, async ({ params, query, who, res }) => {
    const { record, revision } = await store.load(who.shopId, params.id)
    const paper = query.paper ?? record.handoff.paper
    const pdf = await pdfs.of(`${record.id} ${revision} ${who.shop} ${today()} ${paper}`, () => ({
      document: buildHandoff(record, who.shop, today()),
      sabers: record.sabers,
      paper,
    }))
    sendPdf(res, pdf, handoffFileName(record))
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
    const number = (await db.handoffs.count({ where: { commissionId: record.id } })) + 1
    const document = { ...buildHandoff(record, who.shop, today()), number }
    const token = secret()
    await db.handoffs.create({
      id: newId('h'),
      commissionId: record.id,
      number,
      secretHash: sha256(token),
      revision,
      document,
      record,
      issuedAt: new Date(),
      issuedBy: who.name,
      revokedAt: null,
    })
    return { number, revision, link: `/c/${token}` }
  })
  serve(r, API.issued, async ({ params, who }) => {
    await store.load(who.shopId, params.id)
    const rows = await db.handoffs.findAll({ where: { commissionId: params.id }, order: [['number', 'DESC']] })
    return rows.map((h) => ({
      number: h.number,
      revision: h.revision,
      issuedAt: h.issuedAt.toISOString(),
      issuedBy: h.issuedBy,
      revokedAt: h.revokedAt?.toISOString() ?? null,
    }))
  })
  serve(r, API.withdraw, async ({ params, who }) => {
    await store.load(who.shopId, params.id)
    const [n] = await db.handoffs.update(
      { revokedAt: new Date() },
      { where: { commissionId: params.id, number: Number(params.number) || 0, revokedAt: null } },
    )
    if (!n) throw new NotFound('There is no such handoff, or its link is already withdrawn.')
    return undefined
  })
}

const sendPdf = (res: Response, pdf: Uint8Array, name: string) =>
  res
    .type('application/pdf')
    .set('Content-Disposition', `inline; filename="${encodeURIComponent(name)}.pdf"`)
    .send(Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength))

/** What the client may fetch with a link: the frozen document, the record behind its drawings, and its media. */
export function clientRoutes(db: Tables, library: Library, pdfs: Pdfs): Router {
  const r = Router()
  const find = async (token: string) => {
    const row = await db.handoffs.findOne({ where: { secretHash: sha256(token), revokedAt: null } })
    if (!row) throw new NotFound('This link does not lead anywhere, or it was withdrawn. Ask the shop for a new one.')
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
      sabers: record.sabers.map((s) => ({ ...s, decisions: [], fixes: [], leftOut: [], takes: [] })),
      media: record.media,
    }
  })
  serve(r, API.clientPdf, async ({ params, res }) => {
    const { id, document, record } = await find(params.token)
    const { paper } = record.handoff
    sendPdf(
      res,
      await pdfs.of(`${id} ${paper}`, () => ({ document, sabers: record.sabers, paper })),
      handoffFileName(record),
    )
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
