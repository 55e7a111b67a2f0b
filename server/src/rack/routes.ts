import { API } from '@nubrin/core/api'
import { lift } from '@nubrin/core/import'
import { plusOf } from '@nubrin/core/machine'
import type { Commission } from '@nubrin/core/record'
import type { Router } from 'express'
import { Op } from 'sequelize'
import type { Tables } from '../db/models'
import { NotFound } from '../http/problem'
import { JsonText, serve } from '../http/serve'
import { PAGE, type RackStore } from './rack-store'
import { leftToDo } from './to-dos'

/** How far back the habit of a shop, and the sabers of a client, are looked at. */
const MOST_POLES = 20

/** The rack, and the shop's clients. */
export function rackRoutes(r: Router, rackStore: RackStore, db: Tables): void {
  serve(r, API.rack, async ({ query, who }) => {
    const place = query.place ?? 'open'
    const [due, id] = query.after?.split(' ') ?? []
    const [rows, counts] = await Promise.all([
      query.q
        ? rackStore.found(who.shopId, query.q)
        : rackStore.page(who.shopId, place, due && id ? { due, id } : undefined),
      query.after || query.q ? undefined : rackStore.counts(who.shopId),
    ])
    const more = !query.q && rows.length > PAGE
    const page = more ? rows.slice(0, PAGE) : rows
    const last = page.at(-1)
    const head = JSON.stringify({
      shop: who.shop,
      ...(counts ? { counts } : {}),
      next: more && last ? `${last.due} ${last.id}` : null,
    })
    return new JsonText(`${head.slice(0, -1)},"commissions":${await rackStore.shown(page, who)}}`)
  })
  serve(r, API.toDos, async ({ who }) => leftToDo(db, who.shopId))
  serve(r, API.clientOf, async ({ params, who }) => {
    const { shopId } = who
    const row = await db.commissions.findOne({
      where: { id: params.id, shopId, archivedAt: null },
      attributes: ['id', 'clientId'],
    })
    if (!row) throw new NotFound(`There is no commission ${params.id} in this shop.`)
    const client = row.clientId ? await db.clients.findByPk(row.clientId) : null
    if (!client) return { id: null, earlier: [], alike: [] }
    const of = (clientId: string[]) =>
      db.commissions.findAll({
        where: { shopId, archivedAt: null, clientId, id: { [Op.ne]: row.id } },
        attributes: ['id', 'title', 'clientId'],
        limit: 60,
      })
    const alike = await db.clients.findAll({
      where: { shopId, name: client.name, id: { [Op.ne]: client.id } },
      limit: 5,
    })
    const [earlier, theirs] = [await of([client.id]), await of(alike.map((c) => c.id))]
    return {
      id: client.id,
      earlier: earlier.map((c) => ({ id: c.id, title: c.title })),
      alike: alike.map((c) => ({
        id: c.id,
        name: c.name,
        titles: theirs.filter((t) => t.clientId === c.id).map((t) => t.title),
      })),
    }
  })
  serve(r, API.poles, async ({ params, who }) => {
    const { shopId } = who
    const row = await db.commissions.findOne({
      where: { id: params.id, shopId, archivedAt: null },
      attributes: ['id', 'clientId'],
    })
    if (!row) throw new NotFound(`There is no commission ${params.id} in this shop.`)
    const others = { shopId, archivedAt: null, id: { [Op.ne]: row.id } }
    const read = (where: object) =>
      db.commissions.findAll({
        where: { ...others, ...where },
        attributes: ['title', 'record'],
        order: [['shipped', 'DESC']],
        limit: MOST_POLES,
      })
    const [theirs, last] = await Promise.all([
      row.clientId ? read({ clientId: row.clientId }) : [],
      read({ shipped: { [Op.ne]: null } }),
    ])
    const ends = (list: typeof theirs) =>
      list.flatMap((c) =>
        (lift(c.record) as Commission).sabers.flatMap((s) => {
          const end = plusOf(s)
          return end ? [{ title: c.title, saber: s.name, end }] : []
        }),
      )
    const made = ends(last)
    const count = (end: 'emitter' | 'pommel') => made.filter((x) => x.end === end).length
    return { earlier: ends(theirs), habit: { emitter: count('emitter'), pommel: count('pommel') } }
  })
  serve(r, API.clients, async ({ query, who }) => {
    const name = query.name?.trim() ?? ''
    const clients = await db.clients.findAll({
      // The collation of the column takes Å for A and E for e: good for asking, not for deciding.
      where: { shopId: who.shopId, ...(name ? { name: { [Op.like]: `${name.replace(/[%_\\]/g, '\\$&')}%` } } : {}) },
      limit: 50,
      order: [['name', 'ASC']],
    })
    const commissions = await db.commissions.findAll({
      where: { shopId: who.shopId, archivedAt: null, clientId: clients.map((c) => c.id) },
      attributes: ['id', 'title', 'shipped', 'clientId', 'job'],
      limit: 500,
    })
    return clients.map((c) => ({
      id: c.id,
      name: c.name,
      country: c.country,
      contact: c.contact,
      note: c.note,
      commissions: commissions
        .filter((x) => x.clientId === c.id)
        .map((x) => ({ id: x.id, title: x.title, shipped: x.shipped, job: x.job })),
    }))
  })
}
