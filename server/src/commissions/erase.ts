import { appendFileSync, existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { API } from '@nubrin/core/api'
import { lift } from '@nubrin/core/import'
import { blankCommission, type Commission } from '@nubrin/core/record'
import type { Router } from 'express'
import { newId } from '../base/ids'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Conflict, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Outbox } from '../mail/outbox'
import type { Library } from '../media/library'
import { project } from './rows'

interface With {
  db: Tables
  library: Library
  outbox: Outbox
  /** The data folder. */
  data: string
}

const ERASED = 'Erased'
/** Which commissions were erased, by id alone. */
const ERASURES = 'erasures.ndjson'

/** What is left of an erased commission: its id, and which part of which lot was in it, for a recall. No name, no word, no picture. */
function erased(c: Commission): Commission {
  const blank = blankCommission(() => newId('n'), { title: ERASED, client: '', job: c.job, purpose: c.purpose })
  return {
    ...blank,
    id: c.id,
    ...(c.shipped ? { shipped: c.shipped } : {}),
    sabers: c.sabers.map((s, i) => ({
      ...blank.sabers[0]!,
      id: s.id,
      name: `${i + 1}`,
      parts: s.parts
        .filter((p) => p.lot || p.catalogue)
        .map((p) => ({
          id: p.id,
          kind: p.kind,
          name: p.catalogue ?? p.kind,
          specs: {},
          ...(p.lot ? { lot: p.lot } : {}),
          ...(p.catalogue ? { catalogue: p.catalogue } : {}),
        })),
    })) as Commission['sabers'],
  }
}

/**
 * Blanks the content of some commissions in record, history, handoffs, files and letters. The history may be touched by one
 * procedure of the database alone. Files that none else has or had go from the disk. May be repeated, as after a backup was
 * restored.
 */
async function eraseCommissions({ db, library, outbox }: With, shopId: string, ids: readonly string[]): Promise<void> {
  const orphans: string[] = []
  for (const id of ids)
    await transact(db.sequelize, async (transaction) => {
      const row = await db.commissions.findOne({ where: { id, shopId }, transaction, lock: transaction.LOCK.UPDATE })
      if (!row) return
      const before = lift(row.record) as Commission
      const blank = erased(before)
      await project(db, before, blank, transaction)
      await db.sequelize.query('CALL erase_commission(?, ?, ?, ?)', {
        replacements: [id, JSON.stringify(blank), ERASED, new Date()],
        transaction,
      })
      // What stands beside the record goes with it: its letters and quotes, and whose clock ran on it.
      for (const table of [db.letters, db.quotes, db.timers] as Tables['letters'][])
        await table.destroy({ where: { commissionId: id }, transaction })
      orphans.push(...(await library.release(shopId, id, transaction)))
      const client = row.clientId
      if (client && !(await db.commissions.count({ where: { clientId: client }, transaction })))
        await db.clients.destroy({ where: { id: client }, transaction })
    })
  await library.drop(orphans)
  for (const id of ids) await outbox.drop(id)
}

/** Erasing for good, for owners, of what is off the rack already. */
export function eraseRoutes(r: Router, by: With): void {
  const { db, data } = by
  serve(r, API.erase, async ({ params, body, who }) => {
    const row = await db.commissions.findOne({
      where: { id: params.id, shopId: who.shopId },
      attributes: ['id', 'archivedAt'],
    })
    if (!row) throw new NotFound(`There is no commission ${params.id} in this shop.`)
    if (!row.archivedAt) throw new Conflict('It still hangs on the rack. Take it off first.')
    await eraseCommissions(by, who.shopId, [params.id])
    // Noted without a name: it is repeated when an older backup is restored.
    await db.erasures.create({
      id: newId('e'),
      shopId: who.shopId,
      commissionIds: [params.id],
      at: new Date(),
      by: who.name,
      why: body.why,
    })
    appendFileSync(join(data, ERASURES), `${JSON.stringify({ shopId: who.shopId, id: params.id })}\n`)
    return undefined
  })
}

/**
 * Repeats every erasure that a restored backup has undone: their notes stand in a file of their own beside the database,
 * which no backup puts back. Gives how many there were to repeat.
 */
export async function repeatErasures(by: With): Promise<number> {
  const { db, data } = by
  const path = join(data, ERASURES)
  if (!existsSync(path)) return 0
  const notes = readFileSync(path, 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((l) => JSON.parse(l) as { shopId: string; id: string })
  const back = await db.commissions.findAll({
    where: { id: notes.map((n) => n.id), erasedAt: null },
    attributes: ['id', 'shopId'],
  })
  for (const { id, shopId } of back)
    if (notes.some((n) => n.id === id && n.shopId === shopId)) await eraseCommissions(by, shopId, [id])
  return back.length
}
