import { API } from '@nubrin/core/api'
import {
  differences,
  type HandoffDocument,
  handedFiles,
  handedSaber,
  handoffFileName,
  liftHandoff,
  MOST_OPEN_QUESTIONS,
  noChapter,
  takeReply,
} from '@nubrin/core/handoff'
import { lift } from '@nubrin/core/import'
import { type Commission, told } from '@nubrin/core/record'
import { diffOps } from '@nubrin/core/record/ops'
import { type Request, Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { Op } from 'sequelize'
import { sha256, today } from '../base/ids'
import { Once } from '../base/once'
import type { Commissions } from '../commissions/store'
import type { Tables } from '../db/models'
import { inTurn } from '../http/limits'
import { Conflict, HttpProblem, Invalid, NotFound, send } from '../http/problem'
import { serve } from '../http/serve'
import type { Library } from '../media/library'
import { sendFile } from '../media/routes'
import { settingsOf } from '../people/settings'
import type { Work } from '../work/kinds'
import { pageFile } from './html'
import { type Papers, sendPdf } from './papers'

const HOUR = 3_600_000
/** How long what was read of a handoff stays at hand, ms. */
const LATELY = 300_000
/** What one address may send back in an hour. */
const MOST_REPLIES = 40

/** The shop of a commission that was handed over. */
const shopOf = async (db: Tables, commission: string): Promise<string> =>
  (await db.commissions.findByPk(commission, { attributes: ['shopId'] }))!.shopId

/** Where this shop's pages are reached: as it says itself, else as it was asked. */
async function addressOf(db: Tables, commission: string, req: Request): Promise<string> {
  const { publicUrl } = await settingsOf(db, await shopOf(db, commission))
  return publicUrl || `${req.protocol}://${req.get('host')}`
}

interface Frozen {
  document: HandoffDocument
  record: Commission
}
/** What was issued, as this version of the program has it. */
async function readFrozen(db: Tables, id: string): Promise<Frozen> {
  const row = (await db.handoffs.findByPk(id, { attributes: ['document', 'record', 'commissionId'] }))!
  const record = lift(row.record) as Commission
  // One that was issued before replies did not know what it is of.
  return { document: { ...liftHandoff(row.document, told(record)), of: row.commissionId }, record }
}

interface With {
  db: Tables
  store: Commissions
  library: Library
  papers: Papers
  work: Work
  webFolder: string
}

/** What the client may fetch with a link: the frozen document, the record behind its drawings, its media; and what he says back. */
export function clientRoutes({ db, store, library, papers, work, webFolder }: With): Router {
  const r = Router()
  // A page asks for some photos at once; a hundred papers by one link wait for each other.
  r.use(
    '/client/:token',
    inTurn((req) => String(req.params.token)),
  )
  /**
   * Where a link leads, as long as it stands: to the newest of its commission's records that stands too, since an address that was
   * printed cannot be printed anew; or to the one that it came with, where that is asked for.
   */
  const find = async (token: string, asked: { record?: 'own' }) => {
    const stands = { revokedAt: null, [Op.or]: [{ expiresAt: null }, { expiresAt: { [Op.gt]: new Date() } }] }
    const attributes = ['id', 'number', 'commissionId']
    const own = await db.handoffs.findOne({ where: { secretHash: sha256(token), ...stands }, attributes })
    if (!own)
      throw new NotFound('This link does not lead anywhere, is too old, or was withdrawn. Ask the shop for a new one.')
    const newest = await db.handoffs.findOne({
      where: { commissionId: own.commissionId, ...stands },
      ...{ attributes, order: [['number', 'DESC']] },
    })
    const row = asked.record ? own : (newest ?? own)
    const frozen = await frozenOf(row.id)
    const whom = { id: `link ${own.id}` }
    return { id: row.id, number: row.number, own, newest: newest ?? own, of: row.commissionId, whom, ...frozen }
  }
  // Frozen is frozen: who looks at one page again, or thirty at once, has it read once.
  const lately = new Once<Frozen>({ max: 24, ttl: LATELY })
  const frozenOf = (id: string) => lately.of(id, () => readFrozen(db, id))
  serve(r, API.clientPage, async ({ params, query, res }) => {
    const { document, record, own, newest } = await find(params.token, query)
    const changed =
      own.id === newest.id
        ? []
        : differences((await frozenOf(own.id)).document, (await frozenOf(newest.id)).document).map((x) => x.title)
    res.set('Cache-Control', 'private, no-store')
    const which = { given: own.number, newest: newest.number, changed }
    const { sabers, media } = told(record)
    return { document, ...which, sabers: sabers.map(handedSaber), media }
  })
  serve(r, API.clientPdf, async ({ params, query, req, res }) => {
    const { id, of, whom, document, record } = await find(params.token, query)
    const { paper, extent: usual = 'full' } = record.handoff
    const extent = query.extent ?? usual
    const link = new URL(`/c/${params.token}`, await addressOf(db, of, req)).href
    const ask = { document, sabers: told(record).sabers, paper, extent, link }
    const pdf = await papers.of(`${id} ${paper} ${extent} ${sha256(link)}`, whom, async () => ask)
    sendPdf(res, pdf, handoffFileName(record))
    return undefined
  })
  serve(r, API.clientHtml, async ({ params, query, res }) => {
    const { id, of, whom, document, record } = await find(params.token, query)
    // What is issued is frozen, and so is its page.
    const html = await papers.page(id, async () =>
      pageFile({ webFolder, library, work, whom, shopId: await shopOf(db, of), record, document, key: id }),
    )
    res
      .type('text/html')
      .set('Content-Disposition', `attachment; filename="${encodeURIComponent(handoffFileName(record))}.html"`)
      .set('Cache-Control', 'private, no-store')
      .send(html)
    return undefined
  })
  r.post(
    '/client/:token/replies',
    rateLimit({
      ...{ windowMs: HOUR, limit: MOST_REPLIES, standardHeaders: 'draft-8', legacyHeaders: false },
      handler: (_req, res) =>
        send(res, new HttpProblem(429, 'tooManyTries', 'That is enough for an hour. Write to the shop.')),
    }),
  )
  serve(r, API.clientReply, async ({ params, query, body }) => {
    const { of, number, document } = await find(params.token, query)
    const wrong = noChapter(
      body,
      document.chapters.map((c) => c.id),
    )
    if (wrong.length) throw new Invalid('That is not in this record.', wrong)
    const shopId = await shopOf(db, of)
    const { record, revision } = await store.load(shopId, of)
    const next = structuredClone(record)
    const taken = takeReply(next, body, number, today())
    if (taken === 'tooMany')
      throw new Conflict(`${MOST_OPEN_QUESTIONS} questions wait for an answer. Write or call the shop.`)
    if (taken === 'taken') {
      const name = `${record.client.name || 'the client'} (client’s page)`.slice(0, 120)
      const who = { id: 'client', shopId, name, role: 'helper' as const }
      await store.change(who, of, revision, diffOps(record, next))
    }
    return { taken }
  })
  serve(r, API.clientFile, async ({ params, res }) => {
    const { of, own, record } = await find(params.token, {})
    const both = [record, (await frozenOf(own.id)).record]
    if (!both.some((x) => handedFiles(x).includes(params.hash))) throw new NotFound('There is no such file.')
    const shopId = await shopOf(db, of)
    sendFile(res, await library.of(shopId, params.hash), 'private, max-age=3600')
    return undefined
  })
  return r
}
