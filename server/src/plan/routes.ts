import { API } from '@nubrin/core/api'
import { inOrder, type Work } from '@nubrin/core/schedule'
import type { Router } from 'express'
import { today } from '../base/ids'
import type { Commissions } from '../commissions/store'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Invalid, NotFound } from '../http/problem'
import { JsonText, notAllowed, serve } from '../http/serve'
import type { RackStore } from '../rack/rack-store'
import type { Work as Threads, Whom } from '../work/kinds'
import { comingOf, stockNow } from './coming'
import { daysOf } from './days'
import { Logs } from './history'
import { learningRoutes } from './learning'
import { orderRoutes } from './orders'
import { workers, worksOf } from './people'
import { quoteRoutes } from './quotes'
import { timerRoutes } from './timers'

/** So many open commissions are planned; those that are promised later wait until one of them is gone. */
const PLANNED = 500

interface With {
  db: Tables
  store: Commissions
  rackStore: RackStore
  work: Threads
}

/** What is to be done in the shop, in which order, by whom. */
export function planRoutes(r: Router, { db, store, rackStore, work: threads }: With): void {
  const logs = new Logs(db)
  const turnOf = async (shopId: string) => {
    const shop = await db.shops.findByPk(shopId, { attributes: ['turn'] })
    return (shop?.turn ?? []) as string[]
  }
  /** The open commissions in the order in which they are worked on, with what is to be done as JSON text. */
  const openOnes = async (shopId: string, whom: Whom) => {
    const [work, turn] = [await rackStore.toBeDone(shopId, PLANNED, whom), await turnOf(shopId)]
    const rows = await db.commissions.findAll({
      where: { id: [...work.keys()] },
      attributes: ['id', 'title', 'deadline', 'clientId'],
      raw: true,
    })
    const clients = await db.clients.findAll({
      where: { id: [...new Set(rows.flatMap((c) => c.clientId ?? []))] },
      attributes: ['id', 'name'],
      raw: true,
    })
    const named = new Map(clients.map((k) => [k.id, k.name]))
    const open = rows.map((c) => ({
      ...{ id: c.id, title: c.title, client: named.get(c.clientId ?? '') ?? '' },
      ...(c.deadline ? { promise: c.deadline } : {}),
      revision: work.get(c.id)!.revision,
    }))
    return { open: inOrder(open, turn), turn, work }
  }

  serve(r, API.plan, async ({ who }) => {
    const now = new Date()
    const { open, turn, work } = await openOnes(who.shopId, who)
    const ids = open.map((o) => o.id)
    const [people, stock, log, all] = await Promise.all([
      workers(db, who.shopId),
      stockNow(db, who.shopId, ids),
      logs.of(who.shopId),
      rackStore.counts(who.shopId),
    ])
    const planned = open.map((o) => {
      const head = JSON.stringify(o)
      return `${head.slice(0, -1)},"work":${work.get(o.id)!.work}}`
    })
    const rest = JSON.stringify({
      ...{ today: today(), minute: now.getUTCHours() * 60 + now.getUTCMinutes(), people },
      ...{ order: turn.filter((id) => work.has(id)), coming: comingOf(stock), log },
      beyond: Math.max(0, all.open - open.length),
    })
    return new JsonText(`${rest.slice(0, -1)},"open":[${planned.join(',')}]}`)
  })

  serve(r, API.setTurn, async ({ body, who }) => {
    const { open } = await openOnes(who.shopId, who)
    const there = new Set(open.map((o) => o.id))
    for (const id of [body.id, ...(body.before ? [body.before] : [])])
      if (!there.has(id)) throw new NotFound(`There is no open commission ${id} in this shop.`)
    return transact(db.sequelize, async (transaction) => {
      const shop = await db.shops.findByPk(who.shopId, { transaction, lock: transaction.LOCK.UPDATE })
      // The whole order as it is seen is kept, so that one that is moved does not move others.
      const order = inOrder(open, (shop?.turn ?? []) as string[])
        .map((o) => o.id)
        .filter((id) => id !== body.id)
      const at = body.before ? order.indexOf(body.before) : order.length
      order.splice(at < 0 ? order.length : at, 0, body.id)
      await db.shops.update({ turn: order }, { where: { id: who.shopId }, transaction })
      return { order }
    })
  })

  serve(r, API.planDays, async ({ who, res }) => {
    const { open, work } = await openOnes(who.shopId, who)
    const stock = await stockNow(
      db,
      who.shopId,
      open.map((o) => o.id),
    )
    const withWork = open.map((o) => ({ ...o, work: JSON.parse(work.get(o.id)!.work) as Work[] }))
    res
      .attachment('days.ics')
      .type('text/calendar; charset=utf-8')
      .send(daysOf({ shop: who.shop, open: withWork, stock }))
    return undefined
  })

  serve(r, API.works, async ({ who }) => workers(db, who.shopId))
  serve(r, API.setWorks, async ({ params, body, who }) => {
    if (params.id !== who.id && who.role !== 'owner') throw notAllowed('Another one’s hours are for owners to change.')
    const at = body.off.findIndex((o) => o.to < o.from)
    if (at >= 0)
      throw new Invalid('The hours were not saved: a time away ends before it begins.', [
        { path: `/off/${at}/to`, rule: 'order', message: 'ends before it begins', got: body.off[at]!.to },
      ])
    const [n] = await db.users.update({ works: body }, { where: { id: params.id, shopId: who.shopId, leftAt: null } })
    const there = n || (await db.users.count({ where: { id: params.id, shopId: who.shopId, leftAt: null } }))
    if (!there) throw new NotFound('There is nobody of that name in this shop.')
    return worksOf(body)
  })
  timerRoutes(r, { db, store })
  const stocks = {
    of: async (who: { id: string; shopId: string }) => {
      const { open } = await openOnes(who.shopId, who)
      return stockNow(
        db,
        who.shopId,
        open.map((o) => o.id),
      )
    },
  }
  orderRoutes(r, { db, store, stocks, logs })
  quoteRoutes(r, { db, store, logs, work: threads })
  learningRoutes(r, { db, work: threads, logs, rules: rackStore.rules })
}
