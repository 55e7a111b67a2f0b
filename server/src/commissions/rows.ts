import { known } from '@nubrin/core/facts'
import { layOut } from '@nubrin/core/geometry'
import { type Commission, colourOf, fontOf, nameIn } from '@nubrin/core/record'
import { same } from '@nubrin/core/record/ops'
import type { Transaction } from 'sequelize'
import type { Tables } from '../db/models'
import { mediaHashes } from './media-hashes'

const PROJECTED = [
  'sabers',
  'requests',
  'fitted',
  'presets',
  'tests',
  'readings',
  'mediaUses',
  'fontUses',
  'toDos',
  'hours',
  'questions',
] as const
type Projected = (typeof PROJECTED)[number]
type Row = Record<string, unknown> & { id: string }

/** What has identity in a record, as the rows that are searched and joined. */
function rowsOf(r: Commission): Record<Projected, Row[]> {
  const each = r.sabers
  return {
    sabers: each.map((s, position) => {
      const shape = layOut(s.hilt)
      return { id: s.id, position, name: s.name, job: s.job, lengthMm: shape.complete ? shape.length : null }
    }),
    requests: r.requests.map((q) => ({ id: q.id, text: q.text, status: q.status })),
    fitted: each.flatMap((s) =>
      s.parts.map((p) => ({
        id: p.id,
        saberId: s.id,
        kind: p.kind,
        name: p.name,
        catalogueId: p.catalogue ?? null,
        lot: p.lot ?? null,
        reservedOn: p.reservedOn ?? null,
        fittedOn: p.fittedOn ?? null,
        supplied: p.supplied ?? null,
      })),
    ),
    presets: each.flatMap((s) =>
      s.presets.map((p, position) => ({
        id: p.id,
        saberId: s.id,
        position,
        name: p.name,
        font: fontOf(s, p)?.name ?? '',
        colour: colourOf(p),
      })),
    ),
    tests: each.flatMap((s) => s.tests.map((t) => ({ id: t.id, saberId: s.id, testKey: t.key, what: t.what }))),
    readings: each.flatMap((s) =>
      s.tests.flatMap((t) =>
        t.readings.map((g) => ({
          id: g.id,
          testId: t.id,
          at: new Date(g.at).toISOString(),
          value: g.value ?? null,
          text: g.text ?? null,
          pass: g.pass,
          by: g.by,
        })),
      ),
    ),
    mediaUses: mediaHashes(r).map((id) => ({ id })),
    fontUses: [...new Set(each.flatMap((s) => s.fonts.flatMap((f) => f.library ?? [])))].map((id) => ({ id })),
    toDos: r.toDos.map((t) => ({
      id: t.id,
      text: t.text,
      about: nameIn(r, t.about)?.slice(0, 240) ?? null,
      who: t.who,
      person: t.person ?? null,
      due: t.due ?? null,
      blocks: t.blocks ?? null,
      done: t.done,
    })),
    hours: r.log.flatMap((e) =>
      e.hours
        ? [
            {
              ...{ id: e.id, saberId: e.saber ?? null, work: e.work ?? null, toDo: e.toDo ?? null },
              ...{ by: e.by ?? null, onDay: e.on, hours: e.hours },
            },
          ]
        : [],
    ),
    questions: r.questions.map((q) => ({
      ...{ id: q.id, text: q.text, askedBy: q.askedBy ?? null },
      ...{ askedOn: q.askedOn ?? null, answeredOn: q.answeredOn ?? null },
    })),
  }
}

const MOST_SEARCHED = 60_000
/**
 * What a change builds in is taken from what the shelf has in hand, and what it takes out goes back: one of each row that is
 * counted. What is imported was built in elsewhere, and takes nothing. What was built in although none was counted was there all the
 * same: nothing is left, and taken out again it is one.
 */
export async function takeFromShelf(
  db: Tables,
  shopId: string,
  before: Commission,
  after: Commission,
  transaction: Transaction,
): Promise<void> {
  if (before.sabers === after.sabers) return
  const built = (c: Commission) =>
    new Map(
      c.sabers.flatMap((s) =>
        s.parts.flatMap((p) => (p.fittedOn && p.catalogue ? [[p.id, p.catalogue] as const] : [])),
      ),
    )
  const [was, is] = [built(before), built(after)]
  const taken = new Map<string, number>()
  const add = (row: string, n: number) => taken.set(row, (taken.get(row) ?? 0) + n)
  for (const [id, row] of is) if (was.get(id) !== row) add(row, 1)
  for (const [id, row] of was) if (is.get(id) !== row) add(row, -1)
  for (const [id, n] of taken)
    if (n)
      await db.sequelize.query(
        'UPDATE parts SET stock = GREATEST(0, stock - ?) WHERE shop_id = ? AND id = ? AND stock IS NOT NULL',
        { replacements: [n, shopId, id], transaction },
      )
}

/** Words as they are kept to be found: small letters without accents, a space before each. */
export const foundAs = (text: string): string =>
  ` ${text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')}`.slice(0, MOST_SEARCHED)

/** The words by which a commission is found: names, parts and lots, wishes, notes. */
export function searchText(r: Commission): string {
  const words = [
    r.title,
    r.client.name,
    r.client.note,
    r.brief,
    ...r.requests.map((q) => q.text),
    ...r.questions.map((q) => q.text),
    ...r.log.map((l) => l.text),
    ...r.toDos.map((t) => t.text),
    ...r.arrivals.flatMap((a) => [a.what, a.note, a.shopNote]),
    ...r.sabers.flatMap((s) => [
      s.name,
      ...s.parts.flatMap((p) => [p.name, p.lot, p.catalogue, known(p.type), p.note, p.shopNote]),
      ...s.presets.map((p) => p.name),
      ...s.fonts.flatMap((f) => [f.name, f.author, ...f.sounds.flatMap((q) => (q.event === 'track' ? q.name : []))]),
      ...s.repairs.flatMap((f) => [f.fix, f.cause]),
    ]),
  ]
  return foundAs(words.filter((w) => w).join(' '))
}

/** What a commission has now stays counted as its own, whatever becomes of it. */
const own = (db: Tables, commissionId: string, transaction: Transaction) =>
  db.sequelize.query(
    'INSERT IGNORE INTO media_owners (shop_id, hash, commission_id) SELECT c.shop_id, u.id, c.id FROM commissions c JOIN media_uses u ON u.commission_id = c.id WHERE c.id = ?',
    { replacements: [commissionId], transaction },
  )

/** Writes the rows that differ between a record as it was and as it is, and no others. */
export async function project(
  db: Tables,
  before: Commission | undefined,
  after: Commission,
  transaction: Transaction,
): Promise<void> {
  // An operation shares all that it does not change.
  if (
    before &&
    (['sabers', 'requests', 'media', 'toDos', 'log', 'questions'] as const).every((k) => before[k] === after[k])
  )
    return
  const [was, is] = [before ? rowsOf(before) : undefined, rowsOf(after)]
  const where = { commissionId: after.id }
  for (const name of PROJECTED) {
    const table = db[name] as Tables['sabers']
    const old = new Map(was?.[name].map((r) => [r.id, r]))
    const now = new Map(is[name].map((r) => [r.id, r]))
    const gone = [...old.keys()].filter((id) => !now.has(id))
    if (gone.length) await table.destroy({ where: { ...where, id: gone }, transaction })
    const added = is[name].filter((r) => !old.has(r.id))
    if (added.length) await table.bulkCreate(added.map((r) => ({ ...r, ...where })) as never, { transaction })
    if (added.length && name === 'mediaUses') await own(db, after.id, transaction)
    for (const r of is[name]) {
      const o = old.get(r.id)
      if (!o || same(o, r)) continue
      const { id, ...rest } = r
      await table.update(rest as never, { where: { ...where, id }, transaction })
    }
  }
}
