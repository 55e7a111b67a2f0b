import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { makeSounds } from '@nubrin/demo'
import sharp from 'sharp'
import { costly } from '../../core/test/costly'
import { connect, type Tables, tables } from '../src/db/models'
import { FolderFiles } from '../src/media/files'
import { Library } from '../src/media/library'
import { type Server, startServer, Visitor } from './harness'

let server: Server
let me: Visitor
let db: Tables
beforeAll(async () => {
  server = await startServer()
  me = new Visitor(server.url)
  await me.signIn()
  db = tables(connect(server.appUrl))
}, 120_000)
afterAll(async () => {
  await db?.sequelize.close()
  await server?.stop()
})
const sql: Server['sql'] = (...ask) => server.sql(...ask)
let shade = 0
/** A photo that nobody else has. */
const photo = () =>
  sharp({ create: { width: 8, height: 8, channels: 3, background: { r: ++shade, g: 2 * shade, b: 77 } } })
    .png()
    .toBuffer()
const begin = async (title: string) =>
  (await me.ask('POST', '/commissions', { title, client: `Client of ${title}` })).body.record.id as string
const upload = async (bytes: Buffer, commission?: string) => {
  const r = await me.upload(`/media${commission ? `?commission=${commission}` : ''}`, bytes, 'a.png')
  expect(r.status).toBe(201)
  return r.body as { hash: string; type: string; bytes: number; name: string }
}
const change = async (id: string, ops: object[]) => {
  const { revision } = (await me.ask('GET', `/commissions/${id}`)).body
  expect((await me.ask('PATCH', `/commissions/${id}`, { base: revision, ops })).status).toBe(200)
}
const put = async (id: string, item: object, as: string) =>
  change(id, [{ op: 'insert', at: '/media', item: { id: as, ...item }, after: null }])
const erase = async (id: string) => {
  expect((await me.ask('DELETE', `/commissions/${id}`)).status).toBe(204)
  expect((await me.ask('POST', `/commissions/${id}/erase`, { why: 'asked' })).status).toBe(204)
}
const onDisk = (hash: string) => existsSync(join(server.data, 'files', hash.slice(0, 2), hash))
const there = async (hash: string) => {
  const known = (await me.raw('GET', `/media/${hash}`)).status === 200
  expect(onDisk(hash)).toBe(known)
  return known
}

describe('what is erased is gone with its files', () => {
  test('those that it has, those taken out of it before, and those uploaded for it and never used', async () => {
    const id = await begin('To go')
    const [has, had, never] = [
      await upload(await photo(), id),
      await upload(await photo(), id),
      await upload(await photo(), id),
    ]
    await put(id, has, 'm-has')
    await put(id, had, 'm-had')
    await change(id, [{ op: 'remove', at: '/media/@m-had', item: { id: 'm-had', ...had }, after: null }])
    for (const f of [has, had, never]) expect(await there(f.hash)).toBe(true)
    await erase(id)
    for (const f of [has, had, never]) expect(await there(f.hash)).toBe(false)
    expect(await sql('SELECT * FROM media_owners WHERE commission_id = ?', [id])).toEqual([])
  })
  test('of those that another has or had too it lets go of its own', async () => {
    const [one, two, three] = [await begin('One'), await begin('Two'), await begin('Three')]
    const both = await upload(await photo(), one)
    const once = await upload(await photo(), one)
    for (const id of [one, two]) await put(id, both, 'm-both')
    for (const id of [one, three]) await put(id, once, 'm-once')
    // Taken out of the third again: undoing that must find it.
    await change(three, [{ op: 'remove', at: '/media/@m-once', item: { id: 'm-once', ...once }, after: null }])
    await erase(one)
    expect([await there(both.hash), await there(once.hash)]).toEqual([true, true])
    await erase(three)
    expect([await there(both.hash), await there(once.hash)]).toEqual([true, false])
    await erase(two)
    expect(await there(both.hash)).toBe(false)
  })
  test('the same photo that another brings in while it is erased is not gone with it', async () => {
    for (let n = 0; n < 6; n++) {
      const [old, fresh] = [await begin('Old'), await begin('Fresh')]
      const bytes = await photo()
      const { hash } = await upload(bytes, old)
      await me.ask('DELETE', `/commissions/${old}`)
      const all = await Promise.all([
        me.ask('POST', `/commissions/${old}/erase`, { why: 'asked' }),
        ...Array.from({ length: 4 }, () => upload(bytes, fresh)),
      ])
      expect(all[0].status).toBe(204)
      expect(await there(hash)).toBe(true)
    }
  })
  test('nor is what somebody brings in and has not finished writing', async () => {
    const library = new Library(db, new FolderFiles(join(server.data, 'files')))
    const shop = (await db.shops.findOne())!.id
    const bytes = await photo()
    const transaction = await db.sequelize.transaction()
    const hash = await library.keep(shop, { bytes, type: 'image/png' }, { transaction })
    await library.drop([hash])
    await transaction.commit()
    expect(await there(hash)).toBe(true)
    await db.media.destroy({ where: { hash } })
    await library.drop([hash])
    expect(onDisk(hash)).toBe(false)
  })
  test('what was uploaded for nobody goes after a day', async () => {
    const library = new Library(db, new FolderFiles(join(server.data, 'files')))
    const [nobody, somebody] = [await upload(await photo()), await upload(await photo(), await begin('Somebody'))]
    const hours = (n: number) => library.sweep(Date.now() + n * 3_600_000)
    expect(await hours(23)).toBe(0)
    expect(await hours(25)).toBe(1)
    expect([await there(nobody.hash), await there(somebody.hash)]).toEqual([false, true])
    expect((await me.upload('/media?commission=nothing', await photo(), 'a.png')).status).toBe(404)
  })
  test('a file of the library of fonts outlives the order it came with, and goes when the library lets it go', async () => {
    const [id, alone] = [await begin('With a font'), await begin('With none')]
    const [made] = makeSounds(177, ['lock'])
    const { hash } = await upload(Buffer.from(made!.bytes), id)
    const { hash: other } = await upload(Buffer.from(makeSounds(178, ['lock'])[0]!.bytes), alone)
    const font = {
      id: 'kept',
      name: 'Kept',
      is: 'font',
      sounds: [{ id: 'm1', event: 'melt', name: 'm.wav', media: hash }],
    }
    expect((await me.ask('PUT', '/fonts/kept', font)).status).toBe(200)
    await erase(id)
    await erase(alone)
    expect([await there(hash), await there(other)]).toEqual([true, false])
    const library = new Library(db, new FolderFiles(join(server.data, 'files')))
    await library.sweep(Date.now() + 48 * 3_600_000)
    expect(await there(hash)).toBe(true)
    expect((await me.ask('DELETE', '/fonts/kept')).status).toBe(204)
    await library.sweep(Date.now() + 48 * 3_600_000)
    expect(await there(hash)).toBe(false)
  })
  costly('one that is called Erased is erased again after a restore, its letters with it', async () => {
    const id = await begin('Erased')
    const { hash } = await upload(await photo(), id)
    await put(id, (await upload(await photo(), id)) as object, 'm-1')
    const [before] = await sql('SELECT * FROM commissions WHERE id = ?', [id])
    await erase(id)
    expect(readFileSync(join(server.data, 'erasures.ndjson'), 'utf8')).toContain(id)
    // As a backup of before brings it back.
    await sql('UPDATE commissions SET record = ?, client_id = NULL, title = ?, erased_at = NULL WHERE id = ?', [
      typeof before.record === 'string' ? before.record : JSON.stringify(before.record),
      before.title,
      id,
    ])
    await server.kill()
    await server.start()
    await me.signIn()
    const [after] = await sql('SELECT CAST(record AS CHAR) AS record, erased_at AS at FROM commissions WHERE id = ?', [
      id,
    ])
    expect(after.at).not.toBeNull()
    expect(after.record).not.toContain('Client of Erased')
    expect(await there(hash)).toBe(false)
    // And is left alone from then on.
    await server.kill()
    await server.start()
    const [still] = await sql('SELECT erased_at AS at FROM commissions WHERE id = ?', [id])
    expect(still.at).toEqual(after.at)
  })
})
