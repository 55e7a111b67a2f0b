import { API, reaching } from '@nubrin/core/api'
import type { Commission } from '@nubrin/core/record'
import { Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { Op } from 'sequelize'
import { newId, secret, sha256 } from '../base/ids'
import type { Tables } from '../db/models'
import { HttpProblem, NotFound, send } from '../http/problem'
import { serve } from '../http/serve'
import { accept } from '../media/accept'
import type { Library } from '../media/library'
import type { Work } from '../work/kinds'
import type { Commissions } from './store'

const HOUR = 3_600_000
const MOST_BYTES = 12 * 1024 * 1024 + 1024
const MOST_FROM_ONE = 60

/** Makes the link by which a phone at the bench sends photos to a commission. */
export function phoneLinkRoutes(r: Router, store: Commissions, db: Tables): void {
  serve(r, API.phoneLink, async ({ params, body, who }) => {
    await store.there(who.shopId, params.id)
    const token = secret()
    const expiresAt = new Date(Date.now() + HOUR)
    // The newer link of its kind ends the older.
    await db.uploadLinks.update(
      { usedAt: new Date() },
      { where: { madeBy: who.id, commissionId: params.id, place: body.place ?? null, usedAt: null } },
    )
    await db.uploadLinks.create({
      id: newId('l'),
      shopId: who.shopId,
      commissionId: params.id,
      secretHash: sha256(token),
      place: body.place ?? null,
      madeBy: who.id,
      expiresAt,
      usedAt: null,
    })
    return { link: `/up/${token}`, expires: expiresAt.toISOString() }
  })
}

/** What a phone may do with such a link: see where its photos go, and send them. */
export function phoneRoutes(db: Tables, store: Commissions, library: Library, work: Work): Router {
  const r = Router()
  const find = async (token: string) => {
    const link = await db.uploadLinks.findOne({
      where: { secretHash: sha256(token), usedAt: null, expiresAt: { [Op.gt]: new Date() } },
    })
    // It does what whoever made it may do now.
    const user =
      link && (await db.users.findOne({ where: { id: link.madeBy, leftAt: null, role: reaching('helper') } }))
    if (!link || !user) throw new NotFound('This link no longer leads anywhere. Make a new one at the bench.')
    return { link, user }
  }
  serve(r, API.phoneTarget, async ({ params }) => {
    const { link } = await find(params.token)
    const { record } = await store.load(link.shopId, link.commissionId)
    const shop = await db.shops.findByPk(link.shopId)
    return { title: record.title, shop: shop?.name ?? '', expires: link.expiresAt.toISOString() }
  })
  r.post(
    '/up/:token',
    rateLimit({
      windowMs: HOUR,
      limit: MOST_FROM_ONE,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: (_req, res) => send(res, new HttpProblem(429, 'tooManyTries', 'That is enough for an hour.')),
    }),
  )
  serve(
    r,
    API.phoneUpload,
    async ({ params, file }) => {
      const { link, user } = await find(params.token)
      const good = await accept(file.bytes, file.name, work, user)
      if (good.type === 'audio/wav') throw new HttpProblem(422, 'invalid', 'Photos only, please.')
      const hash = await library.keep(link.shopId, good, { commission: link.commissionId })
      const name = file.name.slice(0, 240) || 'photo'
      const item: Commission['media'][number] = {
        id: newId('m') as Commission['media'][number]['id'],
        hash,
        type: good.type,
        name,
        bytes: good.bytes.length,
        ...(link.place ? { place: link.place as Commission['media'][number]['place'] } : {}),
      } as Commission['media'][number]
      const { record, revision } = await store.load(link.shopId, link.commissionId)
      await store.change(
        { id: user.id, shopId: link.shopId, name: user.name, role: user.role },
        link.commissionId,
        revision,
        [{ op: 'insert', at: '/media', item, after: record.media.at(-1)?.id ?? null }],
      )
      return { name }
    },
    MOST_BYTES,
  )
  return r
}
