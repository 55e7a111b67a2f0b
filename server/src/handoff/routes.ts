import { API } from '@nubrin/core/api'
import {
  differences,
  fileNameOf,
  handoffFileName,
  labelOf,
  liftHandoff,
  readReply,
  type ShopCard,
} from '@nubrin/core/handoff'
import { lift } from '@nubrin/core/import'
import { type Commission, readerOf, told, toldSaber } from '@nubrin/core/record'
import type { Router } from 'express'
import { newId, secret, sha256, today } from '../base/ids'
import { gateIn, standing } from '../commissions/shipping'
import type { Commissions } from '../commissions/store'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Conflict, Invalid, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Library } from '../media/library'
import { settingsOf } from '../people/settings'
import type { Work } from '../work/kinds'
import { handoffArchive } from './archive'
import { pageFile } from './html'
import { type Papers, sendPdf } from './papers'

const MOST_REPLY_BYTES = 64 * 1024

interface With {
  store: Commissions
  db: Tables
  library: Library
  papers: Papers
  work: Work
  webFolder: string
}

/** Handing over: the PDF as it stands, and what is issued to the client and frozen. */
export function handoffRoutes(r: Router, { store, db, library, papers, work, webFolder }: With): void {
  serve(r, API.handoffPdf, async ({ params, query, who, res }) => {
    const { record, revision } = await store.load(who.shopId, params.id)
    const paper = query.paper ?? record.handoff.paper
    const extent = query.extent ?? record.handoff.extent ?? 'full'
    const { name, ...said } = await settingsOf(db, who.shopId)
    const key = `${record.id} ${revision} ${JSON.stringify([name, said])} ${today()} ${paper} ${extent}`
    const pdf = await papers.of(key, who, async () => ({
      document: await work.run('document', { record, shop: name, date: today(), from: cardOf(said) }, who),
      ...{ sabers: told(record).sabers, paper, extent },
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
    const pdf = await papers.card(`${record.id} ${revision} ${saber.id} ${name} ${paper}`, who, () => ({
      saber: toldSaber(record, saber),
      paper,
      shop: name,
      reader: readerOf(record),
    }))
    sendPdf(res, pdf, `${fileNameOf(record, saber)}-controls`)
    return undefined
  })

  // Issuing freezes the record as it is: the client's page shows that, whatever is edited later.
  serve(r, API.issue, async ({ params, who }) => {
    const { record, revision } = await store.load(who.shopId, params.id)
    const open = await gateIn(work)(record, who)
    if (open.length) throw new Conflict(standing(open.length), undefined, { open })
    const { name, linkDays, ...said } = await settingsOf(db, who.shopId)
    const expiresAt = linkDays ? new Date(Date.now() + linkDays * 24 * 3_600_000) : null
    const token = secret()
    const document = await work.run('document', { record, shop: name, date: today(), from: cardOf(said) }, who)
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
    await store.there(who.shopId, params.id)
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
  /** A handoff as it was issued, of a commission of this shop. */
  const frozen = async (shopId: string, id: string, number: string) => {
    await store.there(shopId, id)
    const row = await db.handoffs.findOne({ where: { commissionId: id, number: Number(number) || 0 } })
    if (!row) throw new NotFound(`There is no handoff no. ${number} of this commission.`)
    const record = lift(row.record) as Commission
    return { key: row.id, document: liftHandoff(row.document, told(record)), record }
  }
  serve(r, API.differs, async ({ params, who }) => {
    const before = await frozen(who.shopId, params.id, params.other)
    if (params.number !== 'now')
      return differences(before.document, (await frozen(who.shopId, params.id, params.number)).document)
    const { record } = await store.load(who.shopId, params.id)
    const { name, ...said } = await settingsOf(db, who.shopId)
    const now = await work.run('document', { record, shop: name, date: today(), from: cardOf(said) }, who)
    return differences(before.document, now)
  })
  serve(r, API.handoffArchive, async ({ params, who, res }) => {
    const { key, document, record } = await frozen(who.shopId, params.id, params.number)
    const { paper, extent = 'full' } = record.handoff
    const pdf = await papers.of(`${key} ${paper} ${extent}`, who, async () => ({
      ...{ document, sabers: told(record).sabers, paper, extent },
    }))
    const { shopId } = who
    const page = await papers.page(key, () =>
      pageFile({ webFolder, library, work, whom: who, shopId, record, document, key }),
    )
    const zip = await handoffArchive({ document, record, pdf, page, library, shopId })
    res.attachment(`${handoffFileName(record)}-${params.number}.zip`).type('application/zip')
    await new Promise<void>((done, fail) => {
      zip.once('error', fail)
      res.once('close', done)
      zip.pipe(res)
    })
    return undefined
  })
  serve(
    r,
    API.readReply,
    async ({ params, file, who }) => {
      await store.there(who.shopId, params.id)
      const rows = await db.handoffs.findAll({
        where: { commissionId: params.id },
        attributes: ['number', 'document'],
      })
      const issued = new Map(
        rows.map((h) => [h.number, liftHandoff(h.document, { sabers: [], packing: [] }).chapters.map((c) => c.id)]),
      )
      const read = readReply(file.bytes.toString('utf8'), params, issued)
      if (!read.ok) throw new Invalid(`${file.name} was not read; nothing was changed.`, read.problems)
      return read.reply
    },
    MOST_REPLY_BYTES,
  )
  serve(r, API.parcelLabel, async ({ params, who, res }) => {
    const { record } = await store.load(who.shopId, params.id)
    const parcel = record.parcels.find((k) => k.id === params.parcel)
    if (!parcel) throw new NotFound(`There is no parcel ${params.parcel} in this commission.`)
    const { name, address } = await settingsOf(db, who.shopId)
    const pdf = await work.run('label', { label: labelOf(record, parcel, [name, address]), title: record.title }, who)
    sendPdf(res, pdf, `${fileNameOf(record)}-label-${parcel.id}`)
    return undefined
  })
  serve(r, API.withdraw, async ({ params, who }) => {
    await store.there(who.shopId, params.id)
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
