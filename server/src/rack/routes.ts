import { API } from '@nubrin/core/api'
import { gateOf, judgeCommission, progress, stationStates } from '@nubrin/core/judge'
import type { Router } from 'express'
import type { Commissions, Saved } from '../commissions/store'
import type { Tables } from '../db/models'
import { serve } from '../http/serve'
import { today } from '../ids'

/** The rack, and the shop's clients. */
export function rackRoutes(r: Router, store: Commissions, db: Tables): void {
  serve(r, API.rack, async ({ who }) => ({
    shop: who.shop,
    commissions: (await store.all(who.shopId)).map(peg),
  }))
  serve(r, API.clients, async ({ query, who }) => {
    const name = query.name?.trim() ?? ''
    const clients = await db.clients.findAll({
      where: { shopId: who.shopId, ...(name ? { name } : {}) },
      limit: 200,
      order: [['name', 'ASC']],
    })
    const commissions = await db.commissions.findAll({
      where: { shopId: who.shopId, archivedAt: null, clientId: clients.map((c) => c.id) },
      attributes: ['id', 'title', 'shipped', 'clientId', 'job'],
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

/** A commission as it hangs on its peg: how far it has come, and what blocks it. */
function peg({ record: c, revision, savedAt, savedBy }: Saved) {
  const list = c.shipped ? [] : judgeCommission(c, today())
  const gate = gateOf(list)
  const worst = list.find((f) => f.level === 'stop') ?? gate[0]
  const whose = worst && c.sabers.length > 1 ? c.sabers.find((s) => s.id === worst.saber)?.name : undefined
  return {
    id: c.id,
    title: c.title,
    client: c.client.name,
    job: c.job,
    deadline: c.deadline ?? null,
    shipped: c.shipped ?? null,
    revision,
    savedAt,
    savedBy,
    sabers: c.sabers.map((s) => ({ id: s.id, name: s.name, job: s.job, hilt: s.hilt })),
    colour: c.sabers[0]?.presets[0]?.colour ?? null,
    states: stationStates(c, list),
    progress: progress(c, list),
    blocking: worst ? { level: worst.level, station: worst.station, title: worst.title, saber: whose ?? null } : null,
    gate: gate.length,
  }
}
