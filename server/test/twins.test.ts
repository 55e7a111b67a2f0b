import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { Commission } from '@nubrin/core/record'
import { diffOps, type Op } from '@nubrin/core/record/ops'
import { demoCommissions } from '@nubrin/demo'
// @ts-expect-error a plain script without types, shared with npm start
import { startMariadb } from '../../scripts/lib/mariadb.mjs'
import { MemoryCommissions } from '../src/commissions/memory-store'
import type { Gate } from '../src/commissions/shipping'
import { SqlCommissions } from '../src/commissions/sql-store'
import type { Commissions, Maker } from '../src/commissions/store'
import { migrate } from '../src/db/migrations'
import { connect, tables } from '../src/db/models'
import { Conflict, NotFound } from '../src/http/problem'
import { type Files, FolderFiles, MemoryFiles } from '../src/media/files'

const TODAY = '2026-11-24'
const folder = mkdtempSync(join(tmpdir(), 'nubrin-twins-'))
let db: { url: string; ownerUrl: string; stop: () => Promise<void> }
let sequelize: ReturnType<typeof connect>
let sql: Commissions
/** What stands against shipping is what its brief says, a line each. */
const gate: Gate = async (record) =>
  record.brief.split('\n').flatMap((title) => (title ? [{ key: title, title, station: 'brief' as const }] : []))
const memory = new MemoryCommissions(gate)
beforeAll(async () => {
  db = (await startMariadb(join(folder, 'mariadb'))) as typeof db
  sequelize = connect(db.ownerUrl)
  await migrate(sequelize)
  const models = tables(sequelize)
  for (const id of ['one', 'two']) {
    await models.shops.create({ id, name: id })
    await models.users.create({
      id: `u-${id}`,
      shopId: id,
      signIn: id,
      signInKey: id,
      name: id,
      passwordHash: 'x',
      role: 'owner',
    })
  }
  sql = new SqlCommissions(models, gate)
}, 120_000)
afterAll(async () => {
  await sequelize.close()
  await db.stop()
  rmSync(folder, { recursive: true, force: true })
})
const osk: Maker = { id: 'u-one', shopId: 'one', name: 'Osk', role: 'owner' }
const other: Maker = { id: 'u-two', shopId: 'two', name: 'Other', role: 'owner' }
const helper: Maker = { ...osk, name: 'Hale', role: 'helper' }
const fresh = (id: string): Commission => ({
  ...demoCommissions(TODAY).find((c) => c.id === 'first-lantern')!,
  ...{ id, brief: '' },
})
const title = (c: Commission, to: string): Op[] => diffOps(c, { ...c, title: to })

describe.each([
  ['in memory', () => memory],
  ['in MariaDB', () => sql],
] as const)('commissions %s', (name, store) => {
  const own = (id: string) => `${id}-${name.split(' ')[1]!.toLowerCase()}`
  test('what is created is there, whole, at revision 1, for its own shop only', async () => {
    const c = fresh(own('whole'))
    const made = await store().create(osk, c)
    expect(made).toMatchObject({ record: c, revision: 1, savedBy: 'Osk' })
    expect(await store().load('one', c.id)).toEqual(made)
    await expect(store().load('two', c.id)).rejects.toBeInstanceOf(NotFound)
    await expect(store().create(other, c)).rejects.toBeInstanceOf(Conflict)
  })
  test('two changes from one revision both land; what the other did is told', async () => {
    const c = fresh(own('both'))
    await store().create(osk, c)
    await store().change(osk, c.id, 1, title(c, 'mine'))
    const second = await store().change(osk, c.id, 1, diffOps(c, { ...c, brief: 'theirs' }))
    expect(second).toMatchObject({ revision: 3, record: { title: 'mine', brief: 'theirs' } })
    expect(second.since.map((h) => [h.revision, h.ops])).toEqual([
      [2, title(c, 'mine')],
      [3, diffOps(c, { ...c, brief: 'theirs' })],
    ])
    expect(await store().changes('one', c.id, 1)).toEqual(second.since)
    expect(await store().changes('one', c.id, 3)).toEqual([])
    expect((await store().history('one', c.id)).map((h) => h.revision)).toEqual([3, 2, 1])
  })
  test('two values for one field: the second is refused and nothing of it is kept', async () => {
    const c = fresh(own('clash'))
    await store().create(osk, c)
    await store().change(osk, c.id, 1, title(c, 'first'))
    await expect(store().change(osk, c.id, 1, title(c, 'second'))).rejects.toBeInstanceOf(Conflict)
    expect(await store().load('one', c.id)).toMatchObject({ revision: 2, record: { title: 'first' } })
  })
  test('the same change sent again on whatever was read meanwhile, before it or after it, is done once', async () => {
    const c = fresh(own('again'))
    await store().create(osk, c)
    const add: Op[] = [
      { op: 'insert', at: '/questions', item: { id: 'q-y', text: 'Which?', blocks: false }, after: null },
    ]
    const made = { change: 'change-again' }
    await store().change(osk, c.id, 1, add, made)
    await store().change(osk, c.id, 2, title(c, 'meanwhile'))
    for (const base of [1, 2, 3]) {
      const r = await store().change(osk, c.id, base, add, made)
      expect(r).toMatchObject({ revision: 3, record: { title: 'meanwhile' } })
      expect(r.since.map((h) => h.revision)).toEqual([2, 3].filter((n) => n > base))
      expect(r.record.questions.filter((q) => q.id === 'q-y')).toHaveLength(1)
    }
  })
  test('what is no revision of it, or another of that number than was read, is refused and changes nothing', async () => {
    const c = fresh(own('put-back'))
    const { savedAt } = await store().create(osk, c)
    await store().change(osk, c.id, 1, title(c, 'second'), { at: savedAt })
    const second = await store().load('one', c.id)
    const refused = async (run: Promise<unknown>) =>
      await expect(run).rejects.toMatchObject({ status: 409, problems: [{ path: '/base', rule: 'otherHistory' }] })
    const [once, now] = ['2026-01-01T00:00:00.000Z', second.savedAt]
    for (const [base, at] of [
      [3, undefined],
      [3, now],
      [1000, undefined],
      [2, once],
      [1, once],
    ] as const) {
      await refused(store().change(osk, c.id, base, title(second.record, 'third'), { at }))
      await refused(store().changes('one', c.id, base, at))
    }
    expect(await store().load('one', c.id)).toEqual(second)
    expect(await store().changes('one', c.id, 2, now)).toEqual([])
    expect(await store().changes('one', c.id, 1, savedAt)).toHaveLength(1)
    expect((await store().change(osk, c.id, 2, title(second.record, 'third'), { at: now })).revision).toBe(3)
  })
  test('what takes a maker takes one by whatever way it comes: begun, brought in, changed', async () => {
    const refused = async (run: Promise<unknown>) => await expect(run).rejects.toMatchObject({ status: 403 })
    const c = fresh(own('helped'))
    const shipped = { ...c, shipped: '2026-11-25' } as Commission
    await refused(store().create(helper, shipped))
    await store().create(helper, c)
    await refused(store().change(helper, c.id, 1, diffOps(c, shipped)))
    await store().change(osk, c.id, 1, diffOps(c, shipped))
    // Another day, and none, are as much shipping as a first.
    await refused(store().change(helper, c.id, 2, diffOps(shipped, { ...c, shipped: '2026-11-26' } as Commission)))
    await refused(store().change(helper, c.id, 2, diffOps(shipped, c)))
    const more = await store().change(helper, c.id, 2, title(shipped, 'helped'))
    expect(more.record).toMatchObject({ title: 'helped', shipped: '2026-11-25' })
    // Undoing what a maker did is changing it.
    await refused(store().change(helper, c.id, 3, [{ op: 'unset', at: '/shipped', was: '2026-11-25' }]))
  })
  test('a day of shipping passes the gate, whatever change it comes with; brought in or corrected it stays as it is', async () => {
    const c = { ...fresh(own('gated')), brief: 'the cell\nthe key' }
    await store().create(osk, c)
    const day = (on: string, was?: string) => [
      { op: 'set' as const, at: '/shipped', value: on, ...(was ? { was } : {}) },
    ]
    const open = expect.arrayContaining([expect.objectContaining({ key: 'the key' })])
    await expect(store().change(osk, c.id, 1, day('2026-11-25'))).rejects.toMatchObject({
      ...{ status: 422, message: expect.stringMatching(/^2 issues block shipping/), more: { open } },
      problems: [{ path: '/shipped', rule: 'gate', message: expect.stringContaining('“the cell”, “the key” stand') }],
    })
    const cleared = { op: 'set' as const, at: '/brief', value: '', was: c.brief }
    // With what clears it in one change it goes; hidden in a larger one it does not.
    const title = { op: 'set' as const, at: '/title', value: 'other', was: c.title }
    await expect(store().change(osk, c.id, 1, [title, ...day('2026-11-25')])).rejects.toMatchObject({ status: 422 })
    expect((await store().load(osk.shopId, c.id)).revision).toBe(1)
    const gone = await store().change(osk, c.id, 1, [cleared, ...day('2026-11-25')])
    // What comes up afterwards does not bring it back, and its day is corrected.
    const after = [
      { op: 'set' as const, at: '/brief', value: 'the blade', was: '' },
      ...day('2026-11-26', '2026-11-25'),
    ]
    expect((await store().change(osk, c.id, gone.revision, after)).record.shipped).toBe('2026-11-26')
    const elsewhere = { ...fresh(own('elsewhere')), brief: 'the cell', shipped: '2026-11-20' }
    expect((await store().create(osk, elsewhere)).record).toEqual(elsewhere)
  })
  test('the same change sent twice, as after a lost reply, is done once, whatever came between', async () => {
    const c = fresh(own('twice'))
    await store().create(osk, c)
    const add: Op[] = [
      { op: 'insert', at: '/questions', item: { id: 'q-x', text: 'Which?', blocks: false }, after: null },
    ]
    const a = await store().change(osk, c.id, 1, add, { change: 'change-1' })
    await store().change(osk, c.id, 2, [
      { op: 'remove', at: '/questions/@q-x', item: add[0]!.op === 'insert' ? add[0]!.item : { id: '' }, after: null },
    ])
    const b = await store().change(osk, c.id, 1, add, { change: 'change-1' })
    expect(a.since.map((h) => h.change)).toEqual(['change-1'])
    expect(b.since.map((h) => h.change)).toEqual(['change-1', undefined])
    expect(b.revision).toBe(3)
    expect(b.record.questions.map((q) => q.id)).not.toContain('q-x')
  })
  test('what does not hold is refused whole', async () => {
    const c = fresh(own('bad'))
    await store().create(osk, c)
    const bad: Op[] = [...title(c, 'half'), { op: 'set', at: '/deadline', value: 'soon' }]
    await expect(store().change(osk, c.id, 1, bad)).rejects.toMatchObject({ status: 422 })
    expect(await store().load('one', c.id)).toMatchObject({ revision: 1, record: { title: c.title } })
    await expect(store().change(osk, 'nothing', 1, [])).rejects.toBeInstanceOf(NotFound)
  })
  test('what is given away can be changed without changing what is kept', async () => {
    const c = fresh(own('apart'))
    await store().create(osk, c)
    ;(await store().load('one', c.id)).record.title = 'scribbled'
    expect((await store().load('one', c.id)).record.title).toBe(c.title)
  })
  test('what is put away is gone from every list', async () => {
    const c = fresh(own('away'))
    await store().create(osk, c)
    await store().archive('one', c.id)
    await expect(store().load('one', c.id)).rejects.toBeInstanceOf(NotFound)
    await expect(store().archive('one', c.id)).rejects.toBeInstanceOf(NotFound)
    await store().unarchive('one', c.id)
    expect(await store().load('one', c.id)).toMatchObject({ record: c })
    await expect(store().unarchive('one', c.id)).rejects.toBeInstanceOf(NotFound)
  })
})

describe.each([
  ['in memory', (): Files => new MemoryFiles()],
  ['in a folder', (): Files => new FolderFiles(join(folder, 'files'))],
] as const)('files %s', (_name, make) => {
  test('the same bytes have one name, other bytes another, and come back as they were', async () => {
    const files = make()
    const bytes = new Uint8Array([1, 2, 3])
    const hash = await files.put(bytes)
    expect(await files.put(Uint8Array.from(bytes))).toBe(hash)
    expect(await files.put(new Uint8Array([1, 2, 4]))).not.toBe(hash)
    expect([...(await files.get(hash))]).toEqual([1, 2, 3])
    bytes[0] = 9
    expect([...(await files.get(hash))]).toEqual([1, 2, 3])
  })
  test('no name leads anywhere else', async () => {
    const files = make()
    for (const name of ['../../etc/passwd', '', 'a'.repeat(64), 'A'.repeat(64)])
      await expect(files.get(name)).rejects.toBeInstanceOf(NotFound)
  })
})

test('figures of the shelf have the names that the record has for them, however old their row', async () => {
  const { parts } = tables(sequelize)
  const rms = { value: 2.6, unit: 'V', source: 'datasheet' }
  await parts.create({
    id: 'old',
    shopId: 'one',
    kind: 'board',
    name: 'An old board',
    specs: { maxRms: rms, mass: rms },
  } as never)
  await sequelize.query("DELETE FROM migrations WHERE name = '008-names-of-figures'")
  await migrate(sequelize)
  const row = await parts.findOne({ where: { id: 'old' } })
  expect(row!.specs).toEqual({ maxOutputVoltsRms: rms, mass: rms })
})
