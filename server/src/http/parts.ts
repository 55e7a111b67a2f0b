import { Router } from 'express'
import type { Tables } from '../db/models'
import { who } from './auth'

/** The shop's catalogue. */
export function partRoutes(db: Tables): Router {
  const r = Router()
  r.get('/parts', async (req, res) => {
    const rows = await db.parts.findAll({
      where: { shopId: who(req).shopId },
      order: [
        ['kind', 'ASC'],
        ['name', 'ASC'],
      ],
    })
    res.json(
      rows.map((p) =>
        Object.fromEntries(
          Object.entries({
            id: p.id,
            kind: p.kind,
            name: p.name,
            specs: p.specs,
            protected: p.protected,
            stock: p.stock,
            lot: p.lot,
            supplier: p.supplier,
            cost: p.cost,
          }).filter(([, v]) => v !== null),
        ),
      ),
    )
  })
  return r
}
