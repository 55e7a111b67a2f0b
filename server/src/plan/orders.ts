import { API, type BodyOf, type GoodOf } from '@nubrin/core/api'
import type { Id } from '@nubrin/core/record'
import { itemAt } from '@nubrin/core/record/ops'
import { below, guessesFrom, lasting } from '@nubrin/core/schedule'
import { lowOf, orderListCsv } from '@nubrin/core/stock'
import type { Router } from 'express'
import { QueryTypes } from 'sequelize'
import { newId, today } from '../base/ids'
import type { Commissions, Maker } from '../commissions/store'
import type { OrderLineRow, Tables } from '../db/models'
import { transact } from '../db/transact'
import { Conflict, Invalid, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Stocks } from './coming'
import type { Logs } from './history'

type Line = GoodOf<(typeof API)['orders']>['coming'][number]
/** So many of the last arrivals are shown, and so far back it is counted what is used. */
const [SHOWN, SEASON] = [60, 90]
const MOST_COMING = 500

interface With {
  db: Tables
  store: Commissions
  stocks: Stocks
  logs: Logs
}

const lineOf = (l: OrderLineRow, title?: string): Line => ({
  ...{ id: l.id, name: l.name, supplier: l.supplier, quantity: l.quantity, orderedOn: l.orderedOn, by: l.by },
  ...(l.catalogueId ? { catalogue: l.catalogueId } : {}),
  ...(l.commissionId ? { commission: l.commissionId } : {}),
  ...(l.partId ? { part: l.partId } : {}),
  ...(title ? { title } : {}),
  ...(l.expectedOn ? { expectedOn: l.expectedOn } : {}),
  ...(l.arrivedOn ? { arrivedOn: l.arrivedOn } : {}),
  ...(l.lot ? { lot: l.lot } : {}),
  ...(l.fault ? { fault: l.fault as NonNullable<Line['fault']> } : {}),
  ...(l.note ? { note: l.note } : {}),
})

/** What is to be ordered, what is on its way, and what came. */
export function orderRoutes(r: Router, { db, store, stocks, logs }: With): void {
  const titled = async (shopId: string, rows: OrderLineRow[]): Promise<Line[]> => {
    const ids = [...new Set(rows.flatMap((l) => l.commissionId ?? []))]
    const of = await db.commissions.findAll({ where: { id: ids, shopId }, attributes: ['id', 'title'], raw: true })
    const titles = new Map(of.map((c) => [c.id, c.title]))
    return rows.map((l) => lineOf(l, titles.get(l.commissionId ?? '')))
  }
  const usedLately = async (shopId: string) => {
    const rows = await db.sequelize.query<{ id: string; used: number | string }>(
      `SELECT f.catalogue_id AS id, COUNT(*) AS used FROM commissions c JOIN fitted_parts f ON f.commission_id = c.id
       WHERE c.shop_id = ? AND f.catalogue_id IS NOT NULL AND f.fitted_on >= DATE_SUB(?, INTERVAL ${SEASON} DAY) GROUP BY f.catalogue_id`,
      { replacements: [shopId, today()], type: QueryTypes.SELECT },
    )
    return new Map(rows.map((x) => [x.id, Number(x.used)]))
  }

  serve(r, API.orders, async ({ who }) => {
    const { shopId } = who
    const [stock, used, log, coming, arrived] = await Promise.all([
      stocks.of(who),
      usedLately(shopId),
      logs.of(shopId),
      db.orderLines.findAll({
        where: { shopId, arrivedOn: null },
        order: [
          ['expectedOn', 'ASC'],
          ['orderedOn', 'ASC'],
        ],
        limit: MOST_COMING,
        raw: true,
      }),
      db.sequelize.query<{ id: string }>(
        `SELECT id FROM order_lines WHERE shop_id = ? AND arrived_on IS NOT NULL ORDER BY arrived_on DESC, id LIMIT ${SHOWN}`,
        { replacements: [shopId], type: QueryTypes.SELECT },
      ),
    ])
    const came = await db.orderLines.findAll({ where: { shopId, id: arrived.map((a) => a.id) }, raw: true })
    const guesses = guessesFrom(log)
    // Eight of ten orders have come by then.
    const leadOf = (supplier?: string) => lasting(guesses.leadOf(supplier), 0, below(0.8416))
    const suppliers = new Map(stock.rows.map(({ row }) => [row.id, row.supplier]))
    return {
      ...{ toOrder: stock.toOrder, twice: stock.twice },
      low: lowOf(stock.rows, (id) => ({ used: used.get(id) ?? 0, days: SEASON, lead: leadOf(suppliers.get(id)) })),
      free: stock.standings.flatMap((s) => (s.had.is === 'inHand' ? [s.chosen] : [])),
      coming: await titled(shopId, coming),
      arrived: (await titled(shopId, came)).toSorted((a, b) => b.arrivedOn!.localeCompare(a.arrivedOn!)),
    }
  })

  serve(r, API.orderList, async ({ query, who, res }) => {
    const stock = await stocks.of(who)
    res.attachment('order.csv').type('text/csv; charset=utf-8').send(orderListCsv(stock.toOrder, query.supplier))
    return undefined
  })

  serve(r, API.order, async ({ body, who }) => {
    const { shopId } = who
    await mayOrder(shopId, body.lines)
    await db.orderLines.bulkCreate(
      body.lines.map((l) => ({
        ...{ id: l.id, shopId, catalogueId: l.catalogue ?? null, name: l.name.trim(), supplier: l.supplier.trim() },
        ...{ quantity: l.quantity, commissionId: l.commission ?? null, partId: l.part ?? null, by: who.name },
        ...{
          orderedOn: l.orderedOn,
          expectedOn: l.expectedOn ?? null,
          arrivedOn: null,
          lot: null,
          fault: null,
          note: null,
        },
      })),
      { ignoreDuplicates: true },
    )
    return { lines: body.lines.length }
  })
  const mayOrder = async (shopId: string, lines: BodyOf<(typeof API)['order']>['lines']) => {
    const late = lines.findIndex((l) => l.expectedOn !== undefined && l.expectedOn < l.orderedOn)
    if (late >= 0)
      throw new Invalid('Nothing was written down: one line is expected before it was ordered.', [
        {
          path: `/lines/${late}/expectedOn`,
          rule: 'order',
          message: 'is before it was ordered',
          got: lines[late]!.expectedOn!,
        },
      ])
    const [rows, open] = [
      [...new Set(lines.flatMap((l) => l.catalogue ?? []))],
      [...new Set(lines.flatMap((l) => l.commission ?? []))],
    ]
    const [onShelf, onRack] = await Promise.all([
      db.parts.findAll({ where: { shopId, id: rows }, attributes: ['id'], raw: true }),
      db.commissions.findAll({ where: { shopId, id: open, archivedAt: null }, attributes: ['id'], raw: true }),
    ])
    const row = rows.find((id) => !onShelf.some((x) => x.id === id))
    if (row) throw new NotFound(`There is no part ${row} on this shelf.`)
    const missing = open.find((id) => !onRack.some((x) => x.id === id))
    if (missing) throw new NotFound(`There is no commission ${missing} in this shop.`)
  }

  /** The line as it waits, locked: two who book it at once book it once. */
  const waiting = async (shopId: string, id: string, transaction: Parameters<Parameters<typeof transact>[1]>[0]) => {
    const line = await db.orderLines.findOne({ where: { shopId, id }, transaction, lock: transaction.LOCK.UPDATE })
    if (!line) throw new NotFound(`Nothing of that kind (${id}) was ever ordered.`)
    if (line.arrivedOn) throw new Conflict(`${line.name} has come already, on ${line.arrivedOn}.`)
    return line
  }

  serve(r, API.arrive, async ({ params, body, who }) => {
    const { shopId } = who
    const came = await transact(db.sequelize, async (transaction) => {
      const line = await waiting(shopId, params.id, transaction)
      if (body.on < line.orderedOn)
        throw new Invalid('Nothing was booked: it came before it was ordered.', [
          { path: '/on', rule: 'order', message: 'is before it was ordered', got: body.on },
        ])
      const { quantity: ordered, ...rest } = line.get({ plain: true }) as OrderLineRow
      const now = {
        ...{ arrivedOn: body.on, lot: body.lot?.trim() || null, fault: body.fault ?? null, note: body.note ?? null },
        quantity: body.quantity,
      }
      await db.orderLines.update(now, { where: { shopId, id: line.id }, transaction })
      if (body.quantity < ordered)
        await db.orderLines.create({ ...rest, id: newId('ol'), quantity: ordered - body.quantity }, { transaction })
      // What is wrong or damaged never lay on the shelf; what nobody counted is not counted by this.
      if (!body.fault && rest.catalogueId)
        await db.sequelize.query(
          'UPDATE parts SET stock = stock + ?, lot = COALESCE(?, lot) WHERE shop_id = ? AND id = ? AND stock IS NOT NULL',
          { replacements: [body.quantity, now.lot, shopId, rest.catalogueId], transaction },
        )
      return { ...rest, ...now }
    })
    if (came.commissionId) await (came.fault ? sendBack : layAside)(who, came, came.commissionId)
    return (await titled(shopId, [came]))[0]!
  })
  /** What was ordered for one part is laid aside for it, with its lot. */
  const layAside = async (who: Maker, line: OrderLineRow, commission: string) => {
    const { record, revision } = await store.load(who.shopId, commission)
    const saber = record.sabers.find((s) => s.parts.some((p) => p.id === line.partId))
    const part = saber?.parts.find((p) => p.id === line.partId)
    if (!saber || !part || part.reservedOn || part.fittedOn) return
    const at = itemAt(`${itemAt('/sabers', saber.id)}/parts`, part.id)
    const ops = [
      { op: 'set' as const, at: `${at}/reservedOn`, value: line.arrivedOn },
      ...(line.lot ? [{ op: 'set' as const, at: `${at}/lot`, value: line.lot, was: part.lot }] : []),
    ]
    await store.change(who, commission, revision, ops, { change: `aside-${line.id}` })
  }
  /** What is wrong or damaged is left to do on its commission, once. */
  const sendBack = async (who: Maker, line: OrderLineRow, commission: string) => {
    const { record, revision } = await store.load(who.shopId, commission)
    const id = `back-${line.id}`.slice(0, 48) as Id<'toDo'>
    if (record.toDos.some((t) => t.id === id)) return
    const part = record.sabers.some((s) => s.parts.some((p) => p.id === line.partId)) ? line.partId : undefined
    const item = {
      ...{ id, text: `Send back ${line.name}: ${line.fault}`.slice(0, 240), who: 'shop' as const, done: false },
      ...(part ? { about: `part:${part}` } : {}),
      ...(line.note ? { shopNote: line.note } : {}),
    }
    const after = record.toDos.at(-1)?.id ?? null
    await store.change(who, commission, revision, [{ op: 'insert', at: '/toDos', item, after }], { change: id })
  }

  serve(r, API.dropOrder, async ({ params, who }) => {
    await transact(db.sequelize, async (transaction) => {
      const line = await waiting(who.shopId, params.id, transaction)
      await db.orderLines.destroy({ where: { shopId: who.shopId, id: line.id }, transaction })
    })
    return undefined
  })
}
