import { findings } from '@nubrin/core'
import { cadCsv, cadDxf, cadSvg } from '@nubrin/core/cad'
import { buildHandoff, handoffFileName } from '@nubrin/core/handoff'
import { writeCommission } from '@nubrin/core/import'
import { blankCommission, type Commission, JOBS, PURPOSES, type Saber } from '@nubrin/core/record'
import { markdownOf, webVttOf } from '@nubrin/core/walkthrough'
import { Router } from 'express'
import type { Operation } from 'fast-json-patch'
import multer from 'multer'
import { newId, type Store, secret, sha256 } from '../db/store'
import { mediaHashes, pack, unpack } from '../documents/archive'
import { accept, type Files, MAX_SOUND_BYTES } from '../files'
import { who } from './auth'
import { Conflict, Invalid, NotFound } from './problem'

const upload = multer({ storage: multer.memoryStorage(), limits: { fileSize: 70 * 1024 * 1024, files: 1, fields: 10 } })
const photo = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: MAX_SOUND_BYTES + 1024, files: 1, fields: 10 },
})
export const today = () => new Date().toISOString().slice(0, 10)

const text = (v: unknown, path: string, max = 120): string => {
  if (typeof v !== 'string' || !v.trim())
    throw new Invalid(`${path.slice(1)} is missing.`, [{ path, rule: 'required', message: 'is missing' }])
  if (v.length > max)
    throw new Invalid(`${path.slice(1)} is longer than ${max} characters.`, [
      { path, rule: 'maxLength', message: `is longer than ${max} characters` },
    ])
  return v.trim()
}
const choice = <T extends string>(v: unknown, path: string, among: readonly T[]): T => {
  if (!among.includes(v as T))
    throw new Invalid(`${path.slice(1)} must be one of ${among.join(', ')}.`, [
      { path, rule: 'enum', message: `must be one of ${among.join(', ')}`, got: String(v) },
    ])
  return v as T
}

/** Gives a record ids of its own, so that it can stand beside the one it was copied from. */
export function asCopy(c: Commission): Commission {
  const map = new Map<string, string>()
  const collect = (v: unknown): void => {
    if (Array.isArray(v)) for (const x of v) collect(x)
    else if (v && typeof v === 'object') {
      const o = v as Record<string, unknown>
      if (typeof o.id === 'string' && !map.has(o.id)) map.set(o.id, newId())
      for (const [k, x] of Object.entries(o)) if (k !== 'client') collect(x)
    }
  }
  collect(c)
  /** A reference, `kind:id`, with or without a field behind it. */
  const swapRef = (v: string) => {
    const m = /^([a-z]+):(.+?)(\.[a-z]+)?$/i.exec(v)
    return m && map.has(m[2]!) ? `${m[1]}:${map.get(m[2]!)}${m[3] ?? ''}` : v
  }
  const swap = (v: unknown): unknown => {
    if (typeof v === 'string') return map.get(v) ?? swapRef(v)
    if (Array.isArray(v)) return v.map(swap)
    if (v && typeof v === 'object')
      return Object.fromEntries(
        Object.entries(v).map(([k, x]) => [
          // A layout's facts stand under the reference of what they belong to.
          swapRef(k),
          ['text', 'say', 'brief', 'name', 'title', 'what', 'note', 'who'].includes(k) ? x : swap(x),
        ]),
      )
    return v
  }
  return swap(c) as Commission
}

export function commissionRoutes(store: Store, files: Files): Router {
  const r = Router()
  const db = store.db

  r.get('/rack', async (req, res) => {
    const all = await store.all(who(req).shopId)
    res.json({
      shop: who(req).shop,
      commissions: all.map(({ record: c, revision, savedAt, savedBy }) => {
        const list = c.shipped ? [] : findings.judgeCommission(c, today())
        const gate = findings.gateOf(list)
        const worst = list.find((f) => f.level === 'stop') ?? gate[0]
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
          states: findings.stationStates(c, list),
          progress: findings.progress(c, list),
          blocking: worst
            ? {
                level: worst.level,
                station: worst.station,
                title: worst.title,
                saber: c.sabers.length > 1 ? (c.sabers.find((s) => s.id === worst.saber)?.name ?? null) : null,
              }
            : null,
          gate: gate.length,
        }
      }),
    })
  })

  r.get('/clients', async (req, res) => {
    const shopId = who(req).shopId
    const name = typeof req.query.name === 'string' ? req.query.name.trim() : ''
    const clients = await db.clients.findAll({
      where: { shopId, ...(name ? { name } : {}) },
      limit: 200,
      order: [['name', 'ASC']],
    })
    const commissions = await db.commissions.findAll({
      where: { shopId, archivedAt: null, clientId: clients.map((c) => c.id) },
      attributes: ['id', 'title', 'shipped', 'clientId', 'job'],
    })
    res.json(
      clients.map((c) => ({
        id: c.id,
        name: c.name,
        country: c.country,
        contact: c.contact,
        note: c.note,
        commissions: commissions
          .filter((x) => x.clientId === c.id)
          .map((x) => ({ id: x.id, title: x.title, shipped: x.shipped, job: x.job })),
      })),
    )
  })

  r.post('/commissions', async (req, res) => {
    const b = (req.body ?? {}) as Record<string, unknown>
    const title = text(b.title, '/title')
    const job = choice(b.job ?? 'install', '/job', JOBS)
    const purpose = choice(b.purpose ?? 'display', '/purpose', PURPOSES)
    const client = typeof b.client === 'string' ? b.client.trim().slice(0, 240) : ''
    const record = blankCommission(() => newId('n'), { title, client, job, purpose, ordered: today() })
    const known = client ? await db.clients.findOne({ where: { shopId: who(req).shopId, name: client } }) : null
    if (known)
      record.client = {
        name: known.name,
        ...(known.country ? { country: known.country } : {}),
        ...(known.contact ? { contact: known.contact } : {}),
        ...(known.note ? { note: known.note } : {}),
      }
    if (typeof b.model === 'string' && b.model) {
      // A model sheet is copied, and everything measured on another saber has to be confirmed on this one.
      const model = asCopy((await store.load(who(req).shopId, b.model)).record)
      record.sabers = model.sabers.map((s, i) => ({
        ...plain(s, i === 0 ? title : s.name, job),
        ...unconfirmed({ hilt: s.hilt, parts: s.parts.map(({ lot: _lot, ...p }) => p), blades: s.blades }),
      }))
    }
    res.status(201).json(await store.create(who(req), record))
  })

  // A model sheet is a commission without a client; it keeps what was measured, and copies have to confirm it.
  r.post('/commissions/:id/model', async (req, res) => {
    const b = (req.body ?? {}) as Record<string, unknown>
    const title = text(b.title, '/title')
    const from = asCopy((await store.load(who(req).shopId, req.params.id)).record)
    const original = (await store.load(who(req).shopId, req.params.id)).record
    const index = b.saber === undefined ? 0 : original.sabers.findIndex((s) => s.id === b.saber)
    if (index < 0)
      throw new Invalid('There is no such saber in this commission.', [
        { path: '/saber', rule: 'reference', message: 'names a saber that is not in this commission' },
      ])
    const saber = from.sabers[index]!
    const record = blankCommission(() => newId('n'), { title, client: '', job: 'model', purpose: from.purpose })
    record.sabers = [{ ...plain(saber, title, 'model'), parts: saber.parts.map(({ lot: _lot, ...p }) => p) }]
    res.status(201).json(await store.create(who(req), record))
  })

  const cavity = { dxf: 'image/vnd.dxf', svg: 'image/svg+xml', csv: 'text/csv; charset=utf-8' } as const
  for (const kind of ['dxf', 'svg', 'csv'] as const)
    r.get(`/commissions/:id/cavity.${kind}`, async (req, res) => {
      const { record } = await store.load(who(req).shopId, req.params.id)
      const saber = record.sabers.find((s) => s.id === req.query.saber) ?? record.sabers[0]!
      const write = { dxf: cadDxf, svg: cadSvg, csv: cadCsv }[kind]
      res
        .attachment(`${handoffFileName(record).replace(/-handoff$/, '')}-cavity.${kind}`)
        .type(cavity[kind])
        .send(write(saber))
    })

  r.get('/commissions/:id', async (req, res) => {
    res.json(await store.load(who(req).shopId, req.params.id))
  })

  r.patch('/commissions/:id', async (req, res) => {
    const b = (req.body ?? {}) as { base?: unknown; ops?: unknown }
    if (!Number.isInteger(b.base))
      throw new Invalid('The revision the change was made against is missing.', [
        { path: '/base', rule: 'integer', message: 'must be a whole number' },
      ])
    if (!Array.isArray(b.ops) || !b.ops.length || b.ops.length > 2000)
      throw new Invalid('The change has no operations, or too many.', [
        { path: '/ops', rule: 'minItems', message: 'must have 1 to 2000 operations' },
      ])
    const saved = await store.change(who(req), req.params.id, b.base as number, b.ops as Operation[])
    res.json({ revision: saved.revision, savedAt: saved.savedAt, savedBy: saved.savedBy })
  })

  r.delete('/commissions/:id', async (req, res) => {
    await store.archive(who(req).shopId, req.params.id)
    res.status(204).end()
  })

  r.get('/commissions/:id/history', async (req, res) => {
    await store.load(who(req).shopId, req.params.id)
    const rows = await db.history.findAll({
      where: { commissionId: req.params.id },
      order: [['revision', 'DESC']],
      limit: 200,
    })
    res.json(
      rows.map((h) => ({ revision: h.revision, by: h.by, at: h.at, paths: (h.ops as Operation[]).map((o) => o.path) })),
    )
  })

  r.get('/commissions/:id/export.json', async (req, res) => {
    const { record } = await store.load(who(req).shopId, req.params.id)
    res
      .attachment(`${handoffFileName(record).replace(/-handoff$/, '')}.json`)
      .type('application/json')
      .send(writeCommission(record))
  })
  r.get('/commissions/:id/export.zip', async (req, res) => {
    const { record } = await store.load(who(req).shopId, req.params.id)
    const zip = await pack(record, files)
    res.attachment(`${handoffFileName(record).replace(/-handoff$/, '')}.zip`).type('application/zip')
    zip.pipe(res)
  })

  r.post('/import', upload.single('file'), async (req, res) => {
    if (!req.file) throw new Invalid('No file was sent.', [{ path: 'file', rule: 'required', message: 'is missing' }])
    const { record, media } = await unpack(req.file.buffer)
    // Media are looked at before anything is stored; a bad one refuses the whole import.
    for (const [hash, bytes] of media) await accept(bytes, `media/${hash}`)
    const fresh = req.query.as === 'copy' ? asCopy(record) : record
    const saved = await store.create(who(req), fresh)
    for (const [hash, bytes] of media) {
      await files.put(bytes)
      await db.media.upsert({
        hash,
        shopId: who(req).shopId,
        type:
          bytes.subarray(0, 2).toString('latin1') === 'RI'
            ? 'audio/wav'
            : (fresh.media.find((m) => m.hash === hash)?.type ?? 'application/octet-stream'),
        bytes: bytes.length,
        createdAt: new Date(),
      })
    }
    res.status(201).json(saved)
  })

  r.post('/media', photo.single('file'), async (req, res) => {
    if (!req.file) throw new Invalid('No file was sent.', [{ path: 'file', rule: 'required', message: 'is missing' }])
    const good = await accept(req.file.buffer, req.file.originalname)
    const hash = await files.put(good.bytes)
    await db.media.upsert({
      hash,
      shopId: who(req).shopId,
      type: good.type,
      bytes: good.bytes.length,
      createdAt: new Date(),
    })
    res.status(201).json({ hash, type: good.type, bytes: good.bytes.length, name: req.file.originalname.slice(0, 240) })
  })
  r.get('/media/:hash', async (req, res) => {
    const row = await db.media.findOne({ where: { hash: req.params.hash, shopId: who(req).shopId } })
    if (!row) throw new NotFound('There is no such file.')
    res
      .type(row.type)
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .send(await files.get(row.hash))
  })

  r.get('/commissions/:id/walkthrough.md', async (req, res) => {
    const { record } = await store.load(who(req).shopId, req.params.id)
    res
      .attachment('walkthrough.md')
      .type('text/markdown; charset=utf-8')
      .send(record.sabers.map((s) => markdownOf(s.name, s)).join('\n'))
  })
  r.get('/commissions/:id/walkthrough.vtt', async (req, res) => {
    const { record } = await store.load(who(req).shopId, req.params.id)
    const s = record.sabers.find((x) => x.id === req.query.saber) ?? record.sabers[0]!
    res
      .attachment('walkthrough.vtt')
      .type('text/vtt; charset=utf-8')
      .send(
        webVttOf(
          s,
          s.takes.find((t) => t.id === req.query.take),
        ),
      )
  })

  r.get('/commissions/:id/handoff.pdf', async (req, res) => {
    const { record } = await store.load(who(req).shopId, req.params.id)
    const paper =
      req.query.paper === undefined
        ? record.handoff.paper
        : choice(req.query.paper, '/paper', ['A4', 'Letter'] as const)
    const { handoffPdf } = await import('../documents/pdf')
    const pdf = await handoffPdf(buildHandoff(record, who(req).shop, today()), record, paper)
    res
      .type('application/pdf')
      .set('Content-Disposition', `inline; filename="${encodeURIComponent(handoffFileName(record))}.pdf"`)
      .send(pdf)
  })

  // Issuing freezes the record as it is: the client's page shows that, whatever is edited later.
  r.post('/commissions/:id/handoffs', async (req, res) => {
    const { record, revision } = await store.load(who(req).shopId, req.params.id)
    const open = findings.gateOf(findings.judgeCommission(record, today()))
    if (open.length)
      throw new Conflict(
        `${open.length} ${open.length === 1 ? 'thing stands' : 'things stand'} against shipping. Resolve each, or set it aside with a name and a reason.`,
        undefined,
        { open: open.map((f) => ({ key: f.key, title: f.title, station: f.station })) },
      )
    const number = (await db.handoffs.count({ where: { commissionId: record.id } })) + 1
    const document = buildHandoff(
      {
        ...record,
        handoff: {
          ...record.handoff,
          issued: Array.from({ length: number - 1 }, (_, i) => ({
            number: i + 1,
            on: today(),
            revision,
            by: who(req).name,
          })),
        },
      },
      who(req).shop,
      today(),
    )
    const token = secret()
    await db.handoffs.create({
      id: newId('h'),
      commissionId: record.id,
      number,
      secretHash: sha256(token),
      revision,
      document,
      record,
      issuedAt: new Date(),
      issuedBy: who(req).name,
      revokedAt: null,
    })
    res.status(201).json({ number, revision, link: `/c/${token}` })
  })
  r.get('/commissions/:id/handoffs', async (req, res) => {
    await store.load(who(req).shopId, req.params.id)
    const rows = await db.handoffs.findAll({
      where: { commissionId: req.params.id },
      attributes: ['id', 'number', 'revision', 'issuedAt', 'issuedBy', 'revokedAt'],
      order: [['number', 'DESC']],
    })
    res.json(rows)
  })
  r.delete('/commissions/:id/handoffs/:number', async (req, res) => {
    await store.load(who(req).shopId, req.params.id)
    const [n] = await db.handoffs.update(
      { revokedAt: new Date() },
      { where: { commissionId: req.params.id, number: Number(req.params.number), revokedAt: null } },
    )
    if (!n) throw new NotFound('There is no such handoff, or its link is already withdrawn.')
    res.status(204).end()
  })

  return r
}

/** A saber without what belongs to one specimen: tests, repairs, films, decisions. */
const plain = (s: Saber, name: string, job: Saber['job']): Saber => ({
  ...s,
  name,
  job,
  tests: [],
  fixes: [],
  takes: [],
  untold: [],
  beats: [],
  decisions: [],
})

/** Turns every measured or configured fact of a copied saber into an assumed one, to be confirmed. */
export function unconfirmed<T>(v: T): T {
  if (Array.isArray(v)) return v.map(unconfirmed) as T
  if (v && typeof v === 'object') {
    const o = v as Record<string, unknown>
    if ('source' in o && 'unit' in o && 'value' in o)
      return (
        o.source === 'measured' || o.source === 'client' || o.source === 'recalled'
          ? { value: o.value, unit: o.unit, source: 'assumed', with: 'model sheet' }
          : o
      ) as T
    return Object.fromEntries(Object.entries(o).map(([k, x]) => [k, unconfirmed(x)])) as T
  }
  return v
}

/** What the client may fetch with a link: the frozen document, the record behind its drawings, and its media. */
export function clientRoutes(store: Store, files: Files): Router {
  const r = Router()
  const find = async (token: string) => {
    const row = await store.db.handoffs.findOne({ where: { secretHash: sha256(token), revokedAt: null } })
    if (!row) throw new NotFound('This link does not lead anywhere, or it was withdrawn. Ask the shop for a new one.')
    return row
  }
  r.get('/:token', async (req, res) => {
    const row = await find(req.params.token)
    const c = row.record as Commission
    res.set('Cache-Control', 'private, no-store').json({
      document: row.document,
      sabers: c.sabers.map((s) => ({ ...s, decisions: [], fixes: [], untold: [], takes: [] })),
      media: c.media,
    })
  })
  r.get('/:token/handoff.pdf', async (req, res) => {
    const row = await find(req.params.token)
    const c = row.record as Commission
    const { handoffPdf } = await import('../documents/pdf')
    res
      .type('application/pdf')
      .send(await handoffPdf(row.document as ReturnType<typeof buildHandoff>, c, c.handoff.paper))
  })
  r.get('/:token/media/:hash', async (req, res) => {
    const row = await find(req.params.token)
    if (!mediaHashes(row.record as Commission).includes(req.params.hash)) throw new NotFound('There is no such file.')
    const media = await store.db.media.findOne({ where: { hash: req.params.hash } })
    res.type(media?.type ?? 'application/octet-stream').send(await files.get(req.params.hash))
  })
  return r
}
