import { API, type BodyOf } from '@nubrin/core/api'
import type { Id } from '@nubrin/core/record'
import type { Router } from 'express'
import type { Commissions } from '../commissions/store'
import type { Tables, TimerRow } from '../db/models'
import { transact } from '../db/transact'
import { NotFound } from '../http/problem'
import { serve, type Who } from '../http/serve'

interface With {
  db: Tables
  store: Commissions
}
/** Shorter than that is a slip of the finger, ms. */
const SHORTEST = 30_000
/** Nobody's log takes more from one clock. */
const LONGEST = 200

/** The clock that somebody has running: one a person, kept here, so that a closed tab or a dead battery stops nothing. */
export function timerRoutes(r: Router, { db, store }: With): void {
  const running = (who: Who) => db.timers.findByPk(who.id)
  const told = async (who: Who, now: Date) => {
    const t = await running(who)
    const c =
      t && (await db.commissions.findOne({ where: { id: t.commissionId, shopId: who.shopId }, attributes: ['title'] }))
    return {
      now: now.toISOString(),
      timer:
        t && c
          ? {
              ...{ id: t.id, commission: t.commissionId, title: c.title, began: t.began.toISOString() },
              ...(t.work ? { work: t.work as NonNullable<BodyOf<typeof API.startTimer>['work']> } : {}),
              ...(t.saber ? { saber: t.saber } : {}),
              ...(t.toDo ? { toDo: t.toDo } : {}),
            }
          : null,
    }
  }

  /** Writes down what a clock ran: once, however often it is asked. Nothing where its commission is off the rack. */
  const writeDown = async (who: Who, t: TimerRow, now: Date): Promise<number> => {
    const ms = now.getTime() - t.began.getTime()
    if (ms < SHORTEST) return 0
    // Minutes are enough; a clock that was forgotten is held to what the log takes, and asked about there.
    const hours = Math.min(LONGEST, Math.max(1, Math.round(ms / 60_000)) / 60)
    const { record, revision } = await store.load(who.shopId, t.commissionId)
    const saber = t.saber && record.sabers.some((s) => s.id === t.saber) ? t.saber : undefined
    const toDo = t.toDo && record.toDos.some((x) => x.id === t.toDo) ? t.toDo : undefined
    const item = {
      id: `tm-${t.id}`.slice(0, 48) as Id<'entry'>,
      ...{ on: t.began.toISOString().slice(0, 10), text: '', kind: 'work' as const, by: who.name },
      ...{ hours: Math.round(hours * 100) / 100, began: t.began.toISOString() },
      ...(t.work ? { work: t.work } : {}),
      ...(saber ? { saber } : {}),
      ...(toDo ? { toDo } : {}),
    }
    const after = record.log.at(-1)?.id ?? null
    await store.change(who, t.commissionId, revision, [{ op: 'insert', at: '/log', item, after }], {
      change: `timer-${t.id}`,
    })
    return item.hours
  }

  const stop = async (who: Who, t: TimerRow, now: Date): Promise<number> => {
    const hours = await writeDown(who, t, now)
    await db.timers.destroy({ where: { userId: who.id, id: t.id } })
    return hours
  }

  serve(r, API.timer, async ({ who }) => told(who, new Date()))
  serve(r, API.startTimer, async ({ body, who }) => {
    const now = new Date()
    await store.there(who.shopId, body.commission)
    const before = await running(who)
    if (before && before.id !== body.id) await stop(who, before, now)
    if (before?.id !== body.id)
      await transact(db.sequelize, (transaction) =>
        db.timers.upsert(
          {
            ...{ userId: who.id, id: body.id, commissionId: body.commission, began: now },
            ...{ work: body.work ?? null, saber: body.saber ?? null, toDo: body.toDo ?? null },
          },
          { transaction },
        ),
      )
    return told(who, now)
  })
  serve(r, API.stopTimer, async ({ params, query, who }) => {
    const t = await running(who)
    if (!t || t.id !== params.id) throw new NotFound('This clock does not run.')
    if (query.drop) {
      await db.timers.destroy({ where: { userId: who.id, id: t.id } })
      return { hours: 0, commission: null }
    }
    return { hours: await stop(who, t, new Date()), commission: t.commissionId }
  })
}
