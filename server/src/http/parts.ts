import {
  csvCells,
  MOST_PARTS,
  type PartRows,
  PartsReader,
  readPartsJson,
  validatePart,
  writePartsCsv,
} from '@nubrin/core/import'
import type { CataloguePart } from '@nubrin/core/parts'
import { Router } from 'express'
import multer from 'multer'
import { QueryTypes } from 'sequelize'
import type { PartRow, Tables } from '../db/models'
import { who } from './auth'
import { Invalid, NotFound } from './problem'

const upload = multer({ storage: multer.memoryStorage(), limits: { fileSize: 24 * 1024 * 1024, files: 1, fields: 4 } })

const asPart = (p: PartRow) =>
  Object.fromEntries(
    Object.entries({
      id: p.id,
      kind: p.kind,
      name: p.name,
      specs: p.specs,
      protected: p.protected === null ? null : Boolean(p.protected),
      stock: p.stock,
      lot: p.lot,
      supplier: p.supplier,
      cost: p.cost,
    }).filter(([, v]) => v !== null),
  ) as unknown as CataloguePart

/** A part as a row of the shop's table. */
export const partRow = (p: CataloguePart, shopId: string): PartRow => ({
  id: p.id,
  shopId,
  kind: p.kind,
  name: p.name,
  specs: p.specs,
  protected: p.protected ?? null,
  stock: p.stock ?? null,
  lot: p.lot ?? null,
  supplier: p.supplier ?? null,
  cost: p.cost ?? null,
})

/** Reads a CSV in stretches, so that other makers are served between them. */
async function readCsv(text: string): Promise<PartRows> {
  const [headings, ...rows] = csvCells(text)
  const reader = PartsReader.open(headings ?? [])
  if (!reader.stopped)
    for (let i = 0; i < rows.length; i++) {
      reader.row(rows[i]!)
      if (i % 2000 === 1999) await new Promise((next) => setImmediate(next))
    }
  return reader.result()
}

/** The shop's catalogue: read, changed a part at a time, brought in and given out as CSV or JSON, and asked for recalls. */
export function partRoutes(db: Tables): Router {
  const r = Router()
  const all = async (shopId: string) =>
    (
      await db.parts.findAll({
        where: { shopId },
        order: [
          ['kind', 'ASC'],
          ['name', 'ASC'],
        ],
      })
    ).map(asPart)

  r.get('/parts', async (req, res) => {
    res.json(await all(who(req).shopId))
  })
  r.get('/parts/export.csv', async (req, res) => {
    res
      .attachment('parts.csv')
      .type('text/csv; charset=utf-8')
      .send(writePartsCsv(await all(who(req).shopId)))
  })
  r.get('/parts/export.json', async (req, res) => {
    res
      .attachment('parts.json')
      .type('application/json')
      .send(`${JSON.stringify(await all(who(req).shopId), null, 2)}\n`)
  })

  r.put('/parts/:id', async (req, res) => {
    const v = validatePart({ ...(req.body as object), id: req.params.id })
    if (!v.ok) throw new Invalid('The part was not saved: a field is wrong.', v.problems)
    await db.parts.upsert(partRow(v.part, who(req).shopId))
    res.json(v.part)
  })
  r.delete('/parts/:id', async (req, res) => {
    const n = await db.parts.destroy({ where: { id: req.params.id, shopId: who(req).shopId } })
    if (!n) throw new NotFound(`There is no part ${req.params.id} on this shelf.`)
    res.status(204).end()
  })

  // Nothing is stored while a row is wrong, unless the good ones are asked for by name.
  r.post('/parts/import', upload.single('file'), async (req, res) => {
    if (!req.file) throw new Invalid('No file was sent.', [{ path: 'file', rule: 'required', message: 'is missing' }])
    const text = new TextDecoder('utf-8').decode(req.file.buffer)
    const json = /\.json$/i.test(req.file.originalname) || /^\s*[[{]/.test(text.replace(/^\uFEFF/, ''))
    const read = json ? readPartsJson(text) : await readCsv(text)
    if (read.parts.length > MOST_PARTS)
      throw new Invalid(
        `The file has ${read.rows} parts; a shelf holds at most ${MOST_PARTS}. Nothing was taken in.${
          read.problems.length ? ` ${read.problems.length} cells are wrong, too.` : ''
        }`,
        [
          { path: '', rule: 'maxItems', message: `has more than ${MOST_PARTS} rows`, got: String(read.rows) },
          ...read.problems.slice(0, 200),
        ],
        { rows: read.rows, good: 0, faults: read.problems.length + 1 },
      )
    const good = req.query.take === 'good'
    if (read.problems.length && !good) {
      const shown = read.problems.slice(0, 200)
      throw new Invalid(
        `${read.problems.length} ${read.problems.length === 1 ? 'cell is' : 'cells are'} wrong; nothing was taken in.`,
        shown,
        {
          rows: read.rows,
          good: read.parts.length,
          faults: read.problems.length,
          rejected: read.rejected.slice(0, 2_000_000),
        },
      )
    }
    const shopId = who(req).shopId
    await db.sequelize.transaction(async (transaction) => {
      for (let i = 0; i < read.parts.length; i += 500)
        await db.parts.bulkCreate(
          read.parts.slice(i, i + 500).map((p) => partRow(p, shopId)),
          {
            transaction,
            updateOnDuplicate: ['kind', 'name', 'specs', 'protected', 'stock', 'lot', 'supplier', 'cost'],
          },
        )
    })
    res.status(201).json({ rows: read.rows, taken: read.parts.length, faults: read.problems.length })
  })

  r.get('/recall', async (req, res) => {
    const q = typeof req.query.q === 'string' ? req.query.q.trim() : ''
    if (!q || q.length > 120)
      throw new Invalid('q is missing.', [{ path: '/q', rule: 'required', message: 'must have 1 to 120 characters' }])
    const rows = await db.sequelize.query(
      'SELECT f.name AS part, f.lot, f.kind, s.id AS saberId, s.name AS saber, c.id AS commission, c.title, c.shipped, k.name AS client FROM fitted_parts f JOIN commissions c ON c.id = f.commission_id JOIN sabers s ON s.commission_id = f.commission_id AND s.id = f.saber_id LEFT JOIN clients k ON k.id = c.client_id WHERE c.shop_id = ? AND c.archived_at IS NULL AND (f.lot = ? OR f.catalogue_id = ? OR f.name LIKE ?) ORDER BY c.title, s.position LIMIT 500',
      {
        type: QueryTypes.SELECT,
        replacements: [who(req).shopId, q, q, `%${q.replace(/[%_\\]/g, '\\$&')}%`],
      },
    )
    res.json(rows)
  })
  return r
}
