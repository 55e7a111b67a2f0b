import { API } from '@nubrin/core/api'
import type { EarlierRow } from '@nubrin/core/import'
import { blankCommission, blankSaber, type Commission } from '@nubrin/core/record'
import type { Router } from 'express'
import { newId } from '../base/ids'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Invalid } from '../http/problem'
import { serve } from '../http/serve'
import type { Work } from '../work/kinds'
import { gateIn } from './shipping'
import { SqlCommissions } from './sql-store'

const MOST_BYTES = 2 * 1024 * 1024
const SHOWN = 200
const fresh = () => newId('n')

function commissionOf(row: EarlierRow): Commission {
  const start = { title: row.title, client: row.client, job: row.job, purpose: 'display' as const }
  const c = blankCommission(fresh, { ...start, ...(row.ordered ? { ordered: row.ordered } : {}) })
  return {
    ...c,
    shipped: row.shipped,
    brief: row.note ?? '',
    client: {
      name: row.client,
      ...(row.country ? { country: row.country } : {}),
      ...(row.contact ? { contact: row.contact } : {}),
    },
    sabers: row.sabers.map((name) => blankSaber(fresh, name, row.job)),
  }
}

/** Work from before this program, as CSV: taken in whole or not at all, so that who comes back is known from the first day. */
export function earlierRoutes(r: Router, db: Tables, work: Work): void {
  serve(
    r,
    API.takeEarlier,
    async ({ file, who }) => {
      const read = await work.run('earlier', { bytes: file.bytes }, who)
      if (read.problems.length)
        throw new Invalid(
          `${read.problems.length} ${read.problems.length === 1 ? 'cell is' : 'cells are'} wrong; nothing was taken in.`,
          read.problems.slice(0, SHOWN),
        )
      await transact(db.sequelize, async (transaction) => {
        const store = new SqlCommissions(db, gateIn(work), transaction)
        // Within one list the same name with the same address is one person; beyond it a person says so.
        const people = new Map<string, string>()
        for (const row of read.rows) {
          const key = JSON.stringify([row.client, row.contact ?? ''])
          const made = await store.create(who, commissionOf(row), { client: people.get(key) })
          if (people.has(key)) continue
          const kept = await db.commissions.findByPk(made.record.id, { attributes: ['clientId'], transaction })
          if (kept?.clientId) people.set(key, kept.clientId)
        }
      })
      return { taken: read.rows.length }
    },
    MOST_BYTES,
  )
}
