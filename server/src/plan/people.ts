import type { Worker } from '@nubrin/core/schedule'
import type { Tables } from '../db/models'

/** A usual week, where nobody has said otherwise. */
const WEEK = [8, 8, 8, 8, 8, 0, 0]
export type Works = Pick<Worker, 'week' | 'skills' | 'off'>

/** When somebody works, as it is kept. */
export const worksOf = (kept: unknown): Works => ({ ...{ week: WEEK, skills: [], off: [] }, ...(kept as Works | null) })

/** Who works in a shop: everybody but who only looks. */
export async function workers(db: Tables, shopId: string): Promise<Worker[]> {
  const people = await db.users.findAll({
    where: { shopId, leftAt: null, role: ['owner', 'maker', 'helper'] },
    attributes: ['id', 'name', 'works'],
    order: [['name', 'ASC']],
  })
  return people.map((p) => ({ id: p.id, name: p.name, ...worksOf(p.works) }))
}
