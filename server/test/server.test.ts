import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { reviewLayout } from '@nubrin/core/fit'
import { writeCommission } from '@nubrin/core/import'
import { FORMAT_VERSION } from '@nubrin/core/record'
import { makeSounds } from '@nubrin/demo'
import sharp from 'sharp'
import { costly } from '../../core/test/costly'
import { drawn } from '../../core/test/drawn'
import { type Server, startServer, Visitor, zip } from './harness'

let server: Server
let me: Visitor
const sql: Server['sql'] = (...ask) => server.sql(...ask)
const count = async () => Number((await sql('SELECT COUNT(*) AS n FROM commissions'))[0].n)

beforeAll(async () => {
  server = await startServer()
  me = new Visitor(server.url)
  expect((await me.signIn()).status).toBe(200)
})
afterAll(() => server.stop())

describe('signing in', () => {
  test('nothing is shown to strangers, and each refusal is a problem document', async () => {
    const stranger = new Visitor(server.url)
    for (const path of ['/rack', '/commissions/reed-warden', '/parts', '/clients'])
      expect((await stranger.raw('GET', path)).status).toBe(401)
    const res = await stranger.raw('GET', '/rack')
    expect(res.headers.get('content-type')).toContain('application/problem+json')
    expect(await stranger.signIn('maren', 'wrong')).toMatchObject({ status: 401, body: { title: 'signIn' } })
    expect(await stranger.ask('POST', '/session', { signIn: 'maren' })).toMatchObject({
      status: 422,
      body: { problems: [{ path: '/password', rule: 'required' }] },
    })
  })
  test('a change without the token is refused', async () => {
    const other = new Visitor(server.url)
    await other.signIn('osk')
    expect((await other.raw('POST', '/commissions', { title: 'x' }, { 'x-csrf-token': 'forged' })).status).toBe(403)
  })
  test('passwords are kept as argon2id, sessions in the database', async () => {
    expect((await sql('SELECT password_hash AS h FROM users'))[0].h).toMatch(/^\$argon2id\$/)
    expect(Number((await sql('SELECT COUNT(*) AS n FROM sessions'))[0].n)).toBeGreaterThan(0)
  })
})

describe('keeping a commission', () => {
  test('created, changed by operations, read back, and its rows agree with the record', async () => {
    const known = (await me.ask('GET', '/clients?name=Ilsabet')).body[0]
    const made = await me.ask('POST', '/commissions', {
      title: 'Kelp',
      knownClient: known.id,
      job: 'install',
      purpose: 'costume',
    })
    expect(made.status).toBe(201)
    const id = made.body.record.id
    expect(made.body.record.client.country).toBe('here')
    const saved = await me.ask('PATCH', `/commissions/${id}`, {
      base: 1,
      ops: [
        { op: 'set', at: '/brief', value: 'green' },
        { op: 'insert', at: '/requests', item: { id: 'rq1', text: 'loud', status: 'open' }, after: null },
      ],
    })
    expect(saved).toMatchObject({ status: 200, body: { revision: 2, savedBy: 'Maren' } })
    expect((await me.ask('GET', `/commissions/${id}`)).body).toMatchObject({ revision: 2, record: { brief: 'green' } })
    expect(
      (await sql('SELECT text FROM requests WHERE commission_id = ?', [id])).map((r: { text: string }) => r.text),
    ).toEqual(['loud'])
    expect(
      (await me.ask('GET', '/clients?name=Ilsabet Vorne')).body[0].commissions
        .map((c: { title: string }) => c.title)
        .sort(),
    ).toEqual(['Kelp', 'Reed Warden'])
    expect((await me.ask('DELETE', `/commissions/${id}`)).status).toBe(204)
    expect((await me.ask('GET', `/commissions/${id}`)).status).toBe(404)
  })
  test('the rows of every demo saber are those of its record', async () => {
    for (const id of ['reed-warden', 'ember-fair', 'cinder-oath', 'crosswind']) {
      const { record } = (await me.ask('GET', `/commissions/${id}`)).body
      for (const [table, list] of [
        ['sabers', record.sabers],
        ['fitted_parts', record.sabers.flatMap((s: { parts: [] }) => s.parts)],
        ['presets', record.sabers.flatMap((s: { presets: [] }) => s.presets)],
        ['tests', record.sabers.flatMap((s: { tests: [] }) => s.tests)],
      ] as const)
        expect(
          (await sql(`SELECT id FROM ${table} WHERE commission_id = ?`, [id])).map((r: { id: string }) => r.id).sort(),
        ).toEqual(list.map((x: { id: string }) => x.id).sort())
    }
  })
  test('what the rack sorts and seeks by are columns that say what the record says', async () => {
    for (const id of ['reed-warden', 'ember-fair', 'cinder-oath', 'crosswind']) {
      const { record: r } = (await me.ask('GET', `/commissions/${id}`)).body
      const [row] = await sql(
        'SELECT title, job, CAST(deadline AS CHAR) AS deadline, CAST(shipped AS CHAR) AS shipped, place FROM commissions WHERE id = ?',
        [id],
      )
      const place = r.job === 'model' ? 'model' : r.shipped ? 'shipped' : 'open'
      const says = { title: r.title, job: r.job, deadline: r.deadline ?? null, shipped: r.shipped ?? null, place }
      expect(row).toEqual(says)
    }
  })
  test('the same field changed from an old revision is a conflict that names who changed what; another field is not', async () => {
    const osk = new Visitor(server.url)
    await osk.signIn('osk')
    const { revision } = (await me.ask('GET', '/commissions/first-lantern')).body
    expect(
      (
        await osk.ask('PATCH', '/commissions/first-lantern', {
          base: revision,
          ops: [{ op: 'set', at: '/title', value: 'First Lantern II' }],
        })
      ).status,
    ).toBe(200)
    const late = await me.ask('PATCH', '/commissions/first-lantern', {
      base: revision,
      ops: [{ op: 'set', at: '/title', value: 'late' }],
    })
    expect(late).toMatchObject({
      status: 409,
      body: { revision: revision + 1, changes: [{ by: 'Osk', paths: ['/title'] }], clashes: ['/title'] },
    })
    expect((await me.ask('GET', '/commissions/first-lantern')).body.record.title).toBe('First Lantern II')
    // Another field does not clash: it lands beside what he changed, and what he changed comes back.
    const beside = await me.ask('PATCH', '/commissions/first-lantern', {
      base: revision,
      ops: [{ op: 'set', at: '/brief', value: 'late' }],
    })
    expect(beside).toMatchObject({
      status: 200,
      body: {
        since: [
          { by: 'Osk', ops: [{ op: 'set', at: '/title' }] },
          { by: 'Maren', ops: [{ at: '/brief' }] },
        ],
      },
    })
    expect((await me.ask('GET', '/commissions/first-lantern')).body.record).toMatchObject({
      title: 'First Lantern II',
      brief: 'late',
    })
  })
  test.each([
    ['a path that is not there', [{ op: 'set', at: '/sabers/@nobody/name', value: 'x' }], '/sabers/@nobody/name'],
    [
      'a wrong type',
      [{ op: 'set', at: '/sabers/@cw/hilt/sections/@cw-pommel/length/value', value: 'long' }],
      '/sabers/0/hilt/sections/0/length/value',
    ],
    ['a new id', [{ op: 'set', at: '/id', value: 'other-id' }], '/id'],
    ['a prototype', [{ op: 'set', at: '/__proto__/x', value: 1 }], '/__proto__/x'],
  ])('%s changes nothing and names the path', async (_n, ops, path) => {
    const before = (await me.ask('GET', '/commissions/crosswind')).body
    const r = await me.ask('PATCH', '/commissions/crosswind', { base: before.revision, ops })
    expect(r.status).toBe(422)
    expect(r.body.problems[0].path).toBe(path)
    expect((await me.ask('GET', '/commissions/crosswind')).body).toEqual(before)
  })
  test('history cannot be rewritten, even in the database', async () => {
    await expect(sql("UPDATE history SET `by` = 'nobody'")).rejects.toThrow('append-only')
    const h = (await me.ask('GET', '/commissions/first-lantern/history')).body
    expect(h.slice(0, 2)).toMatchObject([
      { by: 'Maren', paths: ['/brief'] },
      { by: 'Osk', paths: ['/title'] },
    ])
  })
  test('a commission begun from another hilt owns its copy, sizes to be confirmed', async () => {
    const r = (await me.ask('POST', '/commissions', { title: 'Second Warden', model: 'reed-warden' })).body.record
    expect(r.sabers[0].hilt.sections[1].length).toMatchObject({ value: 116, source: 'assumed' })
    expect(r.sabers[0].id).not.toBe('rw')
    expect(r.sabers[0].tests).toEqual([])
    await me.ask('DELETE', `/commissions/${r.id}`)
  })
  test('which sabers carry this lot', async () => {
    const { record } = (await me.ask('POST', '/commissions', { title: 'Third Warden', model: 'reed-warden' })).body
    const of = async (lot: string) =>
      (await me.ask('GET', `/recall?q=${lot}`)).body.carried as {
        commission: string
        lot: string | null
        part: string
      }[]
    const carried = await of('L-2609')
    expect(carried).toContainEqual(
      expect.objectContaining({ saber: 'Reed Warden', lot: 'L-2609', kind: 'cell', place: 'rack' }),
    )
    // A cell of the same row of the shelf, of which nobody wrote down the lot, may be of this one.
    expect(carried).toContainEqual(expect.objectContaining({ commission: record.id, lot: null }))
    expect(new Set(carried.map((c) => c.part)).size).toBe(1)
    expect(await of('L-none')).toEqual([])
    await me.ask('DELETE', `/commissions/${record.id}`)
    expect((await me.ask('GET', '/recall?q=')).status).toBe(422)
  })
})

describe('the shelf', () => {
  const csv = (text: string) => Buffer.from(text, 'utf8')
  const shelf = async () => (await me.ask('GET', '/parts')).body as { id: string; name: string; stock?: number }[]
  test('what it gives out as CSV or JSON it takes in again, and nothing has changed', async () => {
    const before = await shelf()
    for (const kind of ['csv', 'json']) {
      const res = await me.raw('GET', `/parts/export.${kind}`)
      const taken = await me.upload('/parts/import', Buffer.from(await res.arrayBuffer()), `parts.${kind}`)
      expect(taken).toMatchObject({ status: 201, body: { taken: before.length, faults: 0 } })
      expect(await shelf()).toEqual(before)
    }
  })
  test('one wrong cell and nothing is taken in; the good rows only when asked for', async () => {
    const before = await shelf()
    const text = 'kind;name;length (mm);stock\ncell;Shop’s own;64,5;3\ncell;Wrong;-1;3\n'
    const refused = await me.upload('/parts/import', csv(text), 'list.csv')
    expect(refused).toMatchObject({
      status: 422,
      body: {
        rows: 2,
        good: 1,
        problems: [{ row: 3, column: 'length (mm)', rule: 'negative', path: '/3/length (mm)', got: '-1' }],
        rejected: expect.stringContaining('Wrong'),
      },
    })
    expect(await shelf()).toEqual(before)
    expect((await me.upload('/parts/import?take=good', csv(text), 'list.csv')).status).toBe(201)
    expect((await shelf()).find((p) => p.id === 'shop-s-own')).toMatchObject({
      stock: 3,
      specs: { length: { value: 64.5, source: 'datasheet' } },
    })
    expect((await me.ask('DELETE', '/parts/shop-s-own')).status).toBe(204)
    expect((await me.ask('DELETE', '/parts/shop-s-own')).status).toBe(404)
  })
  test('a hundred thousand rows are refused with their number, and others are served meanwhile', async () => {
    const rows = Array.from({ length: 100_000 }, (_, i) => `cell,Cell ${i},${i === 700 ? 'long' : 65}`).join('\n')
    const slow = me.upload('/parts/import', csv(`kind,name,length (mm)\n${rows}`), 'big.csv')
    const other = new Visitor(server.url)
    expect((await other.ask('GET', '/health')).status).toBe(200)
    expect(await slow).toMatchObject({
      status: 422,
      body: {
        problems: [
          { rule: 'maxItems', got: '100000' },
          { row: 702, column: 'length (mm)', got: 'long' },
        ],
      },
    })
    expect((await shelf()).length).toBeLessThan(1000)
  })
  test('one part is changed and taken off; a wrong field is named and changes nothing', async () => {
    const part = (await shelf()).find((p) => p.id === 'cell-18650-p15')!
    const { id: _id, ...body } = part
    expect((await me.ask('PUT', '/parts/cell-18650-p15', { ...body, stock: 2 })).status).toBe(200)
    expect(await me.ask('PUT', '/parts/cell-18650-p15', { ...body, stock: -2 })).toMatchObject({
      status: 422,
      body: { problems: [{ path: '/stock', rule: 'minimum' }] },
    })
    expect((await shelf()).find((p) => p.id === part.id)!.stock).toBe(2)
    await me.ask('PUT', '/parts/cell-18650-p15', body)
  })
  test('which sabers carry a part of the catalogue, with client and lot', async () => {
    const r = (await me.ask('GET', '/recall?q=cell-18650-p15')).body
    expect(r.carried).toContainEqual(
      expect.objectContaining({ saber: 'Reed Warden', client: 'Ilsabet Vorne', lot: 'L-2609', saberId: 'rw' }),
    )
  })
})

describe('planning', () => {
  test('a hilt kept as a model sheet is a copy; what begins from it has every measured size to confirm', async () => {
    const kept = await me.ask('POST', '/commissions/reed-warden/model', { title: 'Reed hilt', saber: 'rw' })
    expect(kept).toMatchObject({ status: 201, body: { record: { job: 'model', client: { name: '' } } } })
    const model = kept.body.record
    expect(model.sabers[0].hilt.sections[1].length).toMatchObject({ value: 116, source: 'measured' })
    expect(model.sabers[0].parts.every((p: { lot?: string }) => p.lot === undefined)).toBe(true)
    const begun = (await me.ask('POST', '/commissions', { title: 'From it', model: model.id })).body.record
    expect(begun.sabers[0].hilt.sections[1].bore).toMatchObject({ source: 'assumed', with: 'model sheet' })
    const at = `/sabers/@${model.sabers[0].id}/hilt/sections/@${model.sabers[0].hilt.sections[1].id}/length/value`
    const changed = await me.ask('PATCH', `/commissions/${model.id}`, { base: 1, ops: [{ op: 'set', at, value: 99 }] })
    expect(changed.status).toBe(200)
    const byPosition = [{ op: 'set', at: '/sabers/0/hilt/sections/1/length/value', value: 98 }]
    expect((await me.ask('PATCH', `/commissions/${model.id}`, { base: 2, ops: byPosition })).status).toBe(422)
    const later = (await me.ask('GET', `/commissions/${begun.id}`)).body.record
    expect(later.sabers[0].hilt.sections[1].length.value).toBe(116)
    expect(
      (await me.ask('POST', '/commissions/reed-warden/model', { title: 'x', saber: 'nobody' })).body.problems,
    ).toEqual([expect.objectContaining({ path: '/saber', rule: 'reference' })])
    expect((await me.ask('POST', '/commissions/reed-warden/model', { title: ' ' })).status).toBe(422)
    for (const c of [model.id, begun.id]) await me.ask('DELETE', `/commissions/${c}`)
  })
  test('the cavity goes out as DXF, SVG and CSV', async () => {
    for (const [kind, type, starts] of [
      ['dxf', 'image/vnd.dxf', '0\nSECTION'],
      ['svg', 'image/svg+xml', '<svg'],
      ['csv', 'text/csv', 'what,name'],
    ]) {
      const res = await me.raw('GET', `/commissions/reed-warden/cavity.${kind}?saber=rw`)
      expect(res.headers.get('content-type')).toContain(type)
      expect(res.headers.get('content-disposition')).toContain(`cavity.${kind}`)
      expect((await res.text()).startsWith(starts!)).toBe(true)
    }
  })
  test('a record kept by an older version is read as it is now, and rewritten by the next save', async () => {
    await sql("UPDATE commissions SET record = JSON_SET(record, '$.version', 1) WHERE id = 'first-lantern'")
    const { revision, record } = (await me.ask('GET', '/commissions/first-lantern')).body
    expect(record.version).toBe(FORMAT_VERSION)
    const saved = await me.ask('PATCH', '/commissions/first-lantern', {
      base: revision,
      ops: [{ op: 'set', at: '/brief', value: 'older' }],
    })
    expect(saved.status).toBe(200)
    expect(
      Number(
        (await sql("SELECT JSON_VALUE(record, '$.version') AS v FROM commissions WHERE id = 'first-lantern'"))[0].v,
      ),
    ).toBe(FORMAT_VERSION)
  })
})

describe('taking files in and giving them out', () => {
  costly('ZIP out, ZIP in as a copy: the same record but for its ids, media and all', async () => {
    const bytes = Buffer.from(await (await me.raw('GET', '/commissions/reed-warden/export.zip')).arrayBuffer())
    expect((await me.upload('/import', bytes, 'x.zip')).status).toBe(409)
    const copy = await me.upload('/import?as=copy', bytes, 'x.zip')
    expect(copy.status).toBe(201)
    const original = (await me.ask('GET', '/commissions/reed-warden')).body.record
    expect(copy.body.record.sabers[0].presets.map((p: { name: string }) => p.name)).toEqual(
      original.sabers[0].presets.map((p: { name: string }) => p.name),
    )
    expect(copy.body.record.id).not.toBe('reed-warden')
    expect(original.sabers[0].decisions[0].layout).toBeDefined()
    expect(reviewLayout(copy.body.record.sabers[0])).toMatchObject({ changed: [], broke: [] })
    const again = Buffer.from(
      await (await me.raw('GET', `/commissions/${copy.body.record.id}/export.zip`)).arrayBuffer(),
    )
    expect(again.length).toBeGreaterThan(bytes.length * 0.9)
  })
  costly('every bad file is refused by rule, and nothing changes', async () => {
    const { record } = (await me.ask('GET', '/commissions/reed-warden')).body
    const json = Buffer.from(writeCommission({ ...record, id: 'fresh-one' }))
    const good = Buffer.from(await (await me.raw('GET', '/commissions/reed-warden/export.zip')).arrayBuffer())
    const hash = record.media[0].hash
    const before = await count()
    const cases: [string, Uint8Array, string][] = [
      ['garbage', Buffer.from('not at all'), 'json'],
      ['a truncated ZIP', good.subarray(0, good.length >> 1), 'zip'],
      ['a newer version', Buffer.from(JSON.stringify({ ...record, version: FORMAT_VERSION + 1 })), 'version'],
      [
        'an unknown part',
        Buffer.from(
          JSON.stringify({
            ...record,
            sabers: [{ ...record.sabers[0], parts: [{ ...record.sabers[0].parts[0], kind: 'moonstone' }] }],
          }),
        ),
        'enum',
      ],
      [
        'duplicate ids',
        Buffer.from(JSON.stringify({ ...record, requests: [record.requests[0], record.requests[0]] })),
        'uniqueId',
      ],
      [
        'a path out of the folder',
        await zip([
          ['commission.json', json],
          ['media/note.txt', Buffer.from('x')],
        ]),
        'unknownEntry',
      ],
      [
        'a damaged file',
        await zip([
          ['commission.json', json],
          [`media/${hash}`, Buffer.from('x')],
        ]),
        'checksum',
      ],
      ['a missing file', await zip([['commission.json', json]]), 'required'],
      ['no record', await zip([[`media/${hash}`, Buffer.from('x')]]), 'required'],
      [
        'a 200 MB bomb',
        await zip([
          ['commission.json', json],
          [`media/${'0'.repeat(64)}`, Buffer.alloc(200 * 1024 * 1024)],
        ]),
        'maxBytes',
      ],
      ['a large record', await zip([['commission.json', Buffer.alloc(9 * 1024 * 1024, 32)]]), 'maxBytes'],
    ]
    for (const [name, bytes, rule] of cases) {
      const r = await me.upload('/import', bytes, 'in.zip')
      expect(`${name}: ${r.status} ${r.body.problems?.[0]?.rule}`).toBe(`${name}: 422 ${rule}`)
    }
    expect(await count()).toBe(before)
  })
  test('photos are looked at and written anew, sounds are measured, the rest is refused', async () => {
    const jpeg = await sharp({ create: { width: 3000, height: 40, channels: 3, background: '#8a5f17' } })
      .withMetadata({ exif: { IFD0: { Copyright: 'secret place' } } })
      .jpeg()
      .toBuffer()
    const stored = await me.upload('/media', jpeg, '../../a.jpg')
    expect(stored).toMatchObject({ status: 201, body: { type: 'image/jpeg' } })
    const back = Buffer.from(await (await me.raw('GET', `/media/${stored.body.hash}`)).arrayBuffer())
    expect(await sharp(back).metadata()).toMatchObject({ width: 2400 })
    expect(back.includes('secret place')).toBe(false)
    expect(await me.upload('/media', makeSounds(90, ['hum'])[0]!.bytes, 'hum.wav')).toMatchObject({
      status: 201,
      body: { type: 'audio/wav' },
    })
    for (const [bytes, rule] of [
      [Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 'type'],
      [jpeg.subarray(0, jpeg.length - 200), 'content'],
      [makeSounds(90, ['hum'])[0]!.bytes.slice(0, 900), 'truncated'],
      [Buffer.from('hello'), 'content'],
    ] as const)
      expect((await me.upload('/media', bytes, 'f.jpg')).body.problems[0].rule).toBe(rule)
    expect((await me.ask('GET', `/media/${'a'.repeat(64)}`)).status).toBe(404)
    expect((await me.ask('GET', '/media/..%2f..%2fetc%2fpasswd')).status).toBe(404)
  })
})

describe('handing over', () => {
  const pdfText = async (path: string) => {
    const bytes = Buffer.from(await (await me.raw('GET', path)).arrayBuffer())
    const file = join(server.data, 'x.pdf')
    writeFileSync(file, bytes)
    return {
      text: execFileSync('pdftotext', ['-layout', file, '-']).toString(),
      info: execFileSync('pdfinfo', [file]).toString(),
    }
  }
  costly('the PDF says what the record says, on A4 and on Letter', async () => {
    const a4 = await pdfText('/commissions/reed-warden/handoff.pdf?paper=A4')
    expect(a4.info).toContain('A4')
    const flat = a4.text.replace(/\s+/g, ' ')
    for (const t of [
      'Reed Warden',
      'Ilsabet Vorne',
      'A crystal that glows with the blade',
      'upper blade screw',
      'Do not touch it',
      'hold the front button for two seconds',
      'Bell Buoy',
      '100.4 mm',
      'Highest safe volume',
      'Never charge unattended',
      'photosensitive',
    ])
      expect(t === '100.4 mm' || flat.includes(t) ? t : `missing ${t}`).toBe(t)
    expect((await pdfText('/commissions/reed-warden/handoff.pdf?paper=Letter')).info).toContain('letter')
    expect((await me.ask('GET', '/commissions/reed-warden/handoff.pdf?paper=A5')).status).toBe(422)
  })
  test('what was recalled is printed as about, what is missing as not recorded', async () => {
    const flat = (await pdfText('/commissions/first-lantern/handoff.pdf')).text.replace(/\s+/g, ' ')
    expect(flat).toContain('Length of the hilt not recorded')
    expect((await pdfText('/commissions/cinder-oath/handoff.pdf')).text.replace(/\s+/g, ' ')).toMatch(
      /Length of the hilt about 226 mm/,
    )
  })
  test('a gate that stands against it refuses; an issued one is frozen, secret, and can be withdrawn', async () => {
    expect(await me.ask('POST', '/commissions/cinder-oath/handoffs')).toMatchObject({
      status: 409,
      body: { open: expect.arrayContaining([expect.objectContaining({ station: 'fit' })]) },
    })
    const issued = await me.ask('POST', '/commissions/reed-warden/handoffs')
    expect(issued.status).toBe(201)
    const token = issued.body.link.split('/').pop()
    const { revision } = (await me.ask('GET', '/commissions/reed-warden')).body
    await me.ask('PATCH', '/commissions/reed-warden', {
      base: revision,
      ops: [
        { op: 'set', at: '/title', value: 'Changed later' },
        { op: 'set', at: '/sabers/@rw/edition', value: '2 of 7' },
      ],
    })
    const client = new Visitor(server.url)
    const page = await client.ask('GET', `/client/${token}`)
    expect(page.body.document.title).toBe('Reed Warden')
    expect((await client.raw('GET', `/client/${token}/handoff.pdf`)).headers.get('content-type')).toBe(
      'application/pdf',
    )
    expect((await client.ask('GET', `/client/${token}/media/${page.body.media[0].hash}`)).status).toBe(200)
    expect((await client.ask('GET', `/client/${token}/media/${'b'.repeat(64)}`)).status).toBe(404)
    expect((await client.ask('GET', '/client/guess')).status).toBe(404)
    expect((await sql('SELECT secret_hash AS h FROM handoffs'))[0].h).not.toContain(token)
    // Issued again, the address that is printed in the first goes on to the second and says so; each is withdrawn by itself.
    const again = await me.ask('POST', '/commissions/reed-warden/handoffs')
    const leads = async (link: string) => {
      const { status, body } = await client.ask('GET', `/client/${link.split('/').pop()}`)
      return status === 200 ? [body.given, body.document.number, body.document.title] : status
    }
    const [first, second] = [issued.body.number, again.body.number]
    expect(second).toBe(first + 1)
    expect(await leads(issued.body.link)).toEqual([first, second, 'Changed later'])
    expect(await leads(again.body.link)).toEqual([second, second, 'Changed later'])
    // What is otherwise is named by chapter, and the one that was printed is there as well, with its own files.
    const both = await client.ask('GET', `/client/${token}`)
    expect([both.body.newest, both.body.changed]).toEqual([second, ['Specification']])
    const own = await client.ask('GET', `/client/${token}?record=own`)
    expect(own.body).toMatchObject({ given: first, newest: second, changed: both.body.changed })
    expect([own.body.document.number, own.body.document.title]).toEqual([first, 'Reed Warden'])
    expect((await client.ask('GET', `/client/${token}?record=all`)).status).toBe(422)
    const paper = async (query: string) =>
      (await pdfText(`/client/${token}/handoff.pdf${query}`)).text.includes('Changed later')
    expect([await paper(''), await paper('?record=own')]).toEqual([true, false])
    expect((await client.raw('GET', `/client/${token}/saber.html`)).status).toBe(200)
    const withdraw = (n: number) => me.ask('DELETE', `/commissions/reed-warden/handoffs/${n}`)
    expect((await withdraw(second)).status).toBe(204)
    expect(await leads(again.body.link)).toBe(404)
    expect(await leads(issued.body.link)).toEqual([first, first, 'Reed Warden'])
    expect((await withdraw(second)).status).toBe(404)
    expect((await withdraw(first)).status).toBe(204)
    expect(await leads(issued.body.link)).toBe(404)
  })
  test('the script leaves as Markdown and WebVTT', async () => {
    expect((await me.ask('GET', '/commissions/reed-warden/walkthrough.vtt')).body).toMatch(/^WEBVTT\n/)
    expect((await me.ask('GET', '/commissions/reed-warden/walkthrough.md')).body).toMatch(/^# Reed Warden: walkthrough/)
  })
})

describe('the built interface', () => {
  test('comes with the rules of what it may load; its files are kept by their names, and one that is gone is gone', async () => {
    const page = await fetch(`${server.url}/`)
    expect(page.headers.get('content-type')).toMatch(/^text\/html/)
    expect(page.headers.get('cache-control')).toBe('no-cache')
    const rules = page.headers.get('content-security-policy')!.split(';')
    for (const rule of [
      ...["default-src 'self'", "img-src 'self' data: blob:", "media-src 'self' blob:", "worker-src 'self' blob:"],
      "style-src 'self' 'unsafe-inline'",
    ])
      expect(rules).toContain(rule)
    const [file] = /\/assets\/[^"]+\.js/.exec(await page.text())!
    const script = await fetch(`${server.url}${file}`)
    expect([script.status, script.headers.get('cache-control')]).toEqual([200, 'public, max-age=31536000, immutable'])
    expect((await fetch(`${server.url}/assets/none.js`)).status).toBe(404)
    // Whatever else is asked for is the page, which finds its own way.
    expect(await (await fetch(`${server.url}/commission/none`)).text()).toContain(file)
  })
  test('what is private is kept nowhere on the way', async () => {
    for (const path of ['/rack', '/session', '/nowhere'])
      expect((await me.raw('GET', path)).headers.get('cache-control')).toBe('private, no-store')
    expect((await me.raw('GET', '/openapi.json')).headers.get('cache-control')).toBe('public, max-age=3600')
  })
})

describe('the API’s own description', () => {
  costly('every documented route answers, and an undocumented one does not exist', async () => {
    const doc = (await me.ask('GET', '/openapi.json')).body
    expect(doc.openapi).toBe('3.1.0')
    const known: Record<string, string> = {
      '{id}': 'reed-warden',
      '{hash}': 'c'.repeat(64),
      '{token}': 'guess',
      '{number}': '999',
    }
    for (const [path, methods] of Object.entries(doc.paths as Record<string, Record<string, { responses: object }>>))
      for (const [method, route] of Object.entries(methods)) {
        if (method === 'delete' && path !== '/commissions/{id}/handoffs/{number}') continue
        if (path === '/commissions/{id}/handoffs' && method === 'post') continue
        const r = await me.ask(
          method.toUpperCase(),
          path.replace(/\{\w+\}/g, (k) => known[k]!),
          method === 'get' ? undefined : {},
        )
        expect(`${method} ${path} ${r.status} ${Object.keys(route.responses).includes(String(r.status))}`).toBe(
          `${method} ${path} ${r.status} true`,
        )
        expect(r.body?.detail ?? '').not.toMatch(/There is nothing at/)
      }
    expect((await me.ask('GET', '/nowhere')).body.detail).toContain('There is nothing at')
    expect((await me.ask('POST', '/commissions', undefined)).status).toBe(422)
  })
  test('no route breaks on anything that is sent to it', async () => {
    const strange = [
      ...['', ' ', '0', '-1', '1e999', 'null', '%00', '..', '../..', '\u202e', '😀', 'a'.repeat(400), "';--", '{}'],
    ]
    const bodies = [
      undefined,
      null,
      0,
      'x',
      [],
      {},
      [[]],
      { base: -1, ops: [] },
      { base: 1e300, ops: [{}] },
      { ops: 'x' },
    ]
    const changes = [
      { op: 'set', at: '/sabers/@__proto__/name', value: 'x' },
      { op: 'set', at: '/__proto__/polluted', value: true },
      { op: 'remove', at: '/sabers/@rw', item: { id: 'rw' }, after: null },
      { op: 'move', at: '/sabers/@rw', after: 'nobody', was: null },
      { op: 'insert', at: '/title', item: { id: 'x' }, after: null },
      { op: 'unset', at: '/format', was: 'x' },
    ]
    const told: string[] = []
    const send = async (method: string, path: string, body?: unknown) => {
      const r = await me.ask(method, path, body)
      if (r.status >= 500)
        told.push(`${method} ${path} ${JSON.stringify(body)}: ${r.status} ${JSON.stringify(r.body).slice(0, 120)}`)
    }
    const paths = (await me.ask('GET', '/openapi.json')).body.paths as Record<
      string,
      Record<string, { parameters: { name: string; in: string }[] }>
    >
    for (const [path, methods] of Object.entries(paths))
      for (const [method, { parameters }] of Object.entries(methods)) {
        if (path === '/session') continue
        for (const word of drawn(strange, 1 / 4, undefined, `${method} ${path}`)) {
          const at = path.replace(/\{\w+\}/g, encodeURIComponent(word) || '_')
          const query = parameters.filter((p) => p.in === 'query').map((p) => `${p.name}=${encodeURIComponent(word)}`)
          await send(
            method.toUpperCase(),
            query.length ? `${at}?${query.join('&')}` : at,
            method === 'get' ? undefined : {},
          )
        }
        if (method === 'get' || method === 'delete') continue
        const known = path.replace('{id}', 'drill-pattern').replace(/\{\w+\}/g, '1')
        for (const body of drawn(bodies, 1 / 3, undefined, path)) await send(method.toUpperCase(), known, body)
      }
    for (const op of changes) await send('PATCH', '/commissions/drill-pattern', { base: 1, ops: [op] })
    expect(told).toEqual([])
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined()
    expect((await me.ask('GET', '/commissions/reed-warden')).body.record.sabers).toHaveLength(1)
  })
  test('a body that is not JSON, or too large, is told so', async () => {
    const res = await fetch(`${server.url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{',
    })
    expect(await res.json()).toMatchObject({ status: 400, problems: [{ rule: 'json' }] })
    expect((await me.ask('POST', '/commissions', { title: 'x'.repeat(4_000_000) })).status).toBe(413)
  })
})

describe('a power cut', () => {
  costly('every acknowledged edit is there after SIGKILL in the middle of edits', async () => {
    const id = 'crosswind'
    let revision = (await me.ask('GET', `/commissions/${id}`)).body.revision
    let acknowledged = ''
    let going = true
    let underway = () => {}
    const enough = new Promise<void>((done) => {
      underway = done
    })
    const edits = (async () => {
      for (let i = 0; going && i < 400; i++) {
        const r = await me
          .ask('PATCH', `/commissions/${id}`, {
            base: revision,
            ops: [{ op: 'set', at: '/brief', value: `edit ${i}` }],
          })
          .catch(() => undefined)
        if (r?.status !== 200) return
        revision = r.body.revision
        acknowledged = `edit ${i}`
        if (i === 6) underway()
      }
    })()
    await Promise.race([enough, edits])
    await server.kill()
    going = false
    await edits
    await server.start()
    const now = (await me.ask('GET', `/commissions/${id}`)).body
    expect(Number(acknowledged.slice(5))).toBeGreaterThan(3)
    const found = Number(now.record.brief.slice(5))
    // The edit in flight may have been kept without its answer reaching us; none that was answered may be lost.
    expect([Number(acknowledged.slice(5)), Number(acknowledged.slice(5)) + 1]).toContain(found)
    expect(now.revision).toBeGreaterThanOrEqual(revision)
  })
  test('signing in is limited, and the database is not seeded twice', async () => {
    const other = new Visitor(server.url)
    let last = 0
    for (let i = 0; i < 10; i++) last = (await other.signIn('maren', 'no')).status
    expect(last).toBe(429)
    expect(Number((await sql('SELECT COUNT(*) AS n FROM shops'))[0].n)).toBe(1)
  })
})

describe('the work of the whole shop', () => {
  interface Left {
    id: string
    commission: string
    text: string
    about: string | null
    due: string | null
    blocks: string | null
    revision: number
  }
  const left = async (who = me) => (await who.ask('GET', '/to-dos')).body as Left[]
  const add = async (commission: string, toDo: object) => {
    const { revision } = (await me.ask('GET', `/commissions/${commission}`)).body
    return me.ask('PATCH', `/commissions/${commission}`, {
      base: revision,
      ops: [{ op: 'insert', at: '/toDos', after: null, item: { who: 'shop', done: false, ...toDo } }],
    })
  }
  costly('is what the records say, by day, until it is done; archived and shipped ones are left out', async () => {
    await server.reset()
    await me.signIn()
    const rows = (await me.ask('GET', '/rack')).body.commissions as { id: string }[]
    // By an own way: every open record is read.
    const wanted = await Promise.all(
      rows.map(async ({ id }) => {
        const { status, body } = await me.ask('GET', `/commissions/${id}`)
        expect(`${status} ${JSON.stringify(body.record ? '' : body)}`).toBe('200 ""')
        return (body.record.toDos as { id: string; done: boolean }[]).filter((t) => !t.done).map((t) => `${id}/${t.id}`)
      }),
    )
    const ids = async () => (await left()).map((t) => `${t.commission}/${t.id}`)
    expect(new Set(await ids())).toEqual(new Set(wanted.flat()))
    expect((await add('cinder-oath', { id: 'sw-late', text: 'polish it', due: '2026-01-02' })).status).toBe(200)
    expect((await add('cinder-oath', { id: 'sw-done', text: 'done', done: true })).status).toBe(200)
    expect((await add('reed-warden', { id: 'sw-gone', text: 'it has shipped' })).status).toBe(200)
    const now = await left()
    expect(now[0]).toMatchObject({ id: 'sw-late', commission: 'cinder-oath', text: 'polish it', due: '2026-01-02' })
    expect(now.map((t) => t.id)).not.toEqual(expect.arrayContaining(['sw-done']))
    expect(now.map((t) => t.id)).not.toEqual(expect.arrayContaining(['sw-gone']))
    const days = now.flatMap((t) => t.due ?? [])
    expect(days).toEqual([...days].sort())
    // Done as its desk does it, against a revision that others have gone beyond.
    const { commission, id, revision } = now[0]!
    await add('cinder-oath', { id: 'sw-more', text: 'meanwhile' })
    const ops = [['done', true] as const, ['doneOn', '2026-11-24'] as const].map(([k, value]) => ({
      ...{ op: 'set', at: `/toDos/@${id}/${k}`, value },
    }))
    expect((await me.ask('PATCH', `/commissions/${commission}`, { base: revision, ops })).status).toBe(200)
    expect(await ids()).not.toContain(`cinder-oath/${id}`)
    expect(await ids()).toContain('cinder-oath/sw-more')
    expect((await me.ask('DELETE', '/commissions/cinder-oath')).status).toBe(204)
    expect((await ids()).filter((x) => x.startsWith('cinder-oath/'))).toEqual([])
  })
  test('says what it is about by its name of today; whoever is not signed in sees none', async () => {
    const { record, revision } = (await me.ask('GET', '/commissions/ember-fair')).body
    const saber = record.sabers[0]
    const part = saber.parts[0]
    expect((await add('ember-fair', { id: 'sw-about', text: 'swap it', about: `part:${part.id}` })).status).toBe(200)
    const about = async () => (await left()).find((t) => t.id === 'sw-about')?.about
    expect(await about()).toContain(part.name)
    const ops = [{ op: 'set', at: `/sabers/@${saber.id}/parts/@${part.id}/name`, value: 'another name' }]
    expect((await me.ask('PATCH', '/commissions/ember-fair', { base: revision, ops })).status).toBe(200)
    expect(await about()).toContain('another name')
    expect((await new Visitor(server.url).ask('GET', '/to-dos')).status).toBe(401)
  })
})

describe('what the controls and the cells of a saber ask the server for', () => {
  costly('which way round the cells go in the client’s other sabers and in the shop’s last ones', async () => {
    await server.reset()
    await me.signIn()
    const asked = (id: string) => me.ask('GET', `/commissions/${id}/poles`)
    expect((await asked('nowhere')).status).toBe(404)
    const rows = (await me.ask('GET', '/rack?place=shipped')).body.commissions as { id: string }[]
    // By an own way: every shipped record is read, and the ends of its loose cells are counted.
    const count = { emitter: 0, pommel: 0 }
    for (const { id } of rows.filter((r) => r.id !== 'cinder-oath')) {
      const { record } = (await me.ask('GET', `/commissions/${id}`)).body
      for (const s of record.sabers) {
        const cells = s.parts.filter((p: { kind: string; removable?: boolean }) => p.kind === 'cell' && p.removable)
        const ends = [...new Set(cells.map((p: { faces?: { value: string } }) => p.faces?.value))]
        if (ends.length === 1 && ends[0]) count[ends[0] as 'emitter']++
      }
    }
    expect(count.emitter + count.pommel).toBeGreaterThan(0)
    expect((await asked('cinder-oath')).body).toEqual({ earlier: [], habit: count })
    // The same client again: the saber before is named with its end.
    const { clients } = { clients: (await me.ask('GET', '/clients?name=Ilsabet')).body as { id: string }[] }
    expect((await me.ask('PUT', '/commissions/cinder-oath/client', { client: clients[0]!.id })).status).toBe(204)
    const { earlier } = (await asked('cinder-oath')).body
    expect(earlier).toEqual([
      { title: 'Reed Warden', saber: 'Reed Warden', end: expect.stringMatching(/^(emitter|pommel)$/) },
    ])
  })
  test('the card of the controls as a tagged PDF on both papers; no other saber, no other shop', async () => {
    for (const [paper, size] of [
      ['A5', 'MediaBox [0 0 419.53 595.28]'],
      ['A4', 'MediaBox [0 0 595.28 841.89]'],
    ]) {
      const r = await me.raw('GET', `/commissions/reed-warden/controls-card.pdf?paper=${paper}`)
      const bytes = Buffer.from(await r.arrayBuffer())
      expect([r.status, r.headers.get('content-type')]).toEqual([200, 'application/pdf'])
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
      expect(bytes.toString('latin1')).toContain(size)
      expect(bytes.toString('latin1')).toContain('/StructTreeRoot')
    }
    expect((await me.ask('GET', '/commissions/reed-warden/controls-card.pdf?saber=gone')).status).toBe(404)
    expect((await me.ask('GET', '/commissions/nowhere/controls-card.pdf')).status).toBe(404)
    expect((await me.ask('GET', '/commissions/reed-warden/controls-card.pdf?paper=A3')).status).toBe(422)
  })
  test('a file of controls is read, or refused by its place and rule, and nothing is kept of it', async () => {
    const { record } = (await me.ask('GET', '/commissions/reed-warden')).body
    const [s] = record.sabers
    const doc = {
      ...{ format: 'nubrin-controls', version: 1, name: 'House', modes: s.modes, timing: s.timing },
      inputs: s.inputs.map(({ part: _p, ...i }: { part: string }) => i),
      controls: s.controls,
    }
    const send = (d: unknown) =>
      me.upload('/maps/read', Buffer.from(typeof d === 'string' ? d : JSON.stringify(d)), 'house.json')
    const good = await send(doc)
    expect([good.status, good.body]).toEqual([200, doc])
    const problems = async (d: unknown) => {
      const r = await send(d)
      return [r.status, ...(r.body.problems as { path: string; rule: string }[]).map((p) => `${p.path} ${p.rule}`)]
    }
    expect(await problems({ ...doc, controls: [{ ...doc.controls[0], mode: 'gone' }] })).toEqual([
      422,
      '/controls/0/mode reference',
    ])
    expect(await problems({ ...doc, inputs: [] })).toContain('/controls/0/input reference')
    expect(await problems('{')).toEqual([422, ' json'])
    expect((await me.ask('GET', '/commissions/reed-warden')).body.record).toEqual(record)
  })
})
