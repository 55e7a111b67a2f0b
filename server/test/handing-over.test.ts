import { execFileSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { readCommission, writeCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import PostalMime from 'postal-mime'
import { costly } from '../../core/test/costly'
// @ts-expect-error a plain script without types, shared with npm run backup
import { backup, restore, verify } from '../../scripts/lib/backup.mjs'
// @ts-expect-error a plain script without types, shared with npm start
import { startMariadb } from '../../scripts/lib/mariadb.mjs'
import { unpack } from '../src/commissions/archive'
import { entries, type Server, startServer, Visitor, zip } from './harness'

let server: Server
let me: Visitor
beforeAll(async () => {
  server = await startServer()
  me = new Visitor(server.url)
  expect((await me.signIn()).status).toBe(200)
})
afterAll(() => server.stop())

const bytesOf = async (path: string, who = me) => Buffer.from(await (await who.raw('GET', path)).arrayBuffer())
const record = async (id: string): Promise<Commission> => (await me.ask('GET', `/commissions/${id}`)).body.record
const change = async (id: string, ops: object[]) => {
  const { revision } = (await me.ask('GET', `/commissions/${id}`)).body
  const r = await me.ask('PATCH', `/commissions/${id}`, { base: revision, ops })
  expect(r.status).toBe(200)
}
const issue = async (id: string) => {
  const r = await me.ask('POST', `/commissions/${id}/handoffs`)
  expect(r.status).toBe(201)
  return { number: r.body.number as number, token: String(r.body.link).split('/').pop()! }
}
const textOf = (pdf: Buffer, ...how: string[]) => {
  const file = join(server.data, 'h.pdf')
  writeFileSync(file, pdf)
  return execFileSync('pdftotext', [...how, file, '-'], { encoding: 'utf8', maxBuffer: 64e6 })
}

describe('what a link shows', () => {
  test('is the files of its own record: those of another client’s are not there, nor those of the shop alone', async () => {
    const photo = async (id: string) => (await record(id)).media[0]!.hash
    const [own, others] = [await photo('reed-warden'), await photo('crosswind')]
    const { token } = await issue('reed-warden')
    const who = new Visitor(server.url)
    expect((await who.raw('GET', `/client/${token}/media/${own}`)).status).toBe(200)
    expect((await who.raw('GET', `/client/${token}/media/${others}`)).status).toBe(404)
    expect((await who.raw('GET', `/media/${own}`)).status).toBe(401)
  })
  test('of its sounds are those that may be copied, and no others by their hash; as a file it asks for nothing', async () => {
    const { token } = await issue('reed-warden')
    const { fonts } = (await record('reed-warden')).sabers[0]!
    const who = new Visitor(server.url)
    const heard = fonts.flatMap((f) => f.sounds.flatMap((s) => (s.media ? [{ hash: s.media, may: !!f.mayCopy }] : [])))
    expect(new Set(heard.map((h) => h.may)).size).toBeGreaterThan(0)
    const free = new Set(heard.filter((h) => h.may).map((h) => h.hash))
    for (const { hash } of heard)
      expect((await who.raw('GET', `/client/${token}/media/${hash}`)).status).toBe(free.has(hash) ? 200 : 404)
    const html = await (await who.raw('GET', `/client/${token}/saber.html`)).text()
    const asked = [...html.matchAll(/url\(\s*["']?([^)"']{1,40})/g)].map((m) => m[1]!)
    expect(asked.filter((u) => !/^(data:|#)/.test(u))).toEqual([])
  })
})

describe('what the client says back', () => {
  let token = ''
  const client = () => new Visitor(server.url)
  test('a question comes into the commission, once however often it is sent, and stands in its history under his page', async () => {
    ;({ token } = await issue('reed-warden'))
    const before = (await me.ask('GET', '/commissions/reed-warden')).body
    const asks = { id: 'r-abc123', asks: 'Which oil for the pommel?', by: 'Ilsabet' }
    const sent = await Promise.all([1, 2, 3].map(() => client().ask('POST', `/client/${token}/replies`, asks)))
    expect(sent.map((r) => r.status)).toEqual([201, 201, 201])
    expect(sent.filter((r) => r.body.taken === 'taken').length).toBeGreaterThan(0)
    const after = (await me.ask('GET', '/commissions/reed-warden')).body
    const asked = after.record.questions.filter((q: { id: string }) => q.id === 'r-abc123')
    expect(asked).toEqual([expect.objectContaining({ text: 'Which oil for the pommel?', askedBy: 'client' })])
    expect(after.revision).toBe(before.revision + 1)
    const [last] = (await me.ask('GET', '/commissions/reed-warden/history')).body
    expect(last.by).toContain('client’s page')
  })
  test('that he has read the cautions is noted with the number of the handoff', async () => {
    const read = { id: 'r-read01', read: 'cautions' }
    expect((await client().ask('POST', `/client/${token}/replies`, read)).body).toEqual({ taken: 'taken' })
    expect((await client().ask('POST', `/client/${token}/replies`, { ...read, id: 'r-read02' })).body).toEqual({
      taken: 'there',
    })
    const { receipts, issued } = (await record('reed-warden')).handoff
    expect(receipts).toEqual([expect.objectContaining({ chapter: 'cautions' })])
    expect(receipts[0]!.number).toBeGreaterThanOrEqual(issued.length)
  })
  test('nothing of it without a link that holds; what is no reply is refused by field', async () => {
    expect((await client().ask('POST', '/client/guess/replies', { id: 'r-1', asks: 'x' })).status).toBe(404)
    for (const [body, path] of [
      [{ id: 'r-1', asks: '   ' }, '/asks'],
      [{ id: 'R!', asks: 'x' }, '/id'],
      [{ id: 'r-1', asks: 'x'.repeat(241) }, '/asks'],
      [{ id: 'r-1', asks: 'x', shipped: '2026-01-01' }, '/shipped'],
      [{}, ''],
      [{ id: 'r-1', read: 'weather' }, '/read'],
    ] as const) {
      const r = await client().ask('POST', `/client/${token}/replies`, body)
      expect(r.status).toBe(422)
      expect(r.body.problems.some((p: { path: string }) => p.path.startsWith(path))).toBe(true)
    }
    expect((await record('reed-warden')).questions.filter((q) => q.id === 'r-1')).toEqual([])
  })
  test('a file of it for a record that was never issued, or a chapter that is not there, is refused by field', async () => {
    const { number } = (await me.ask('GET', '/commissions/reed-warden/handoffs')).body[0]
    const bring = (more: object, name = 'reply.json') => {
      const says = [{ id: 'r-file1', asks: 'By hand?' }]
      const file = { format: 'nubrin-reply', version: 1, of: 'reed-warden', number, on: '2026-11-24', says, ...more }
      return me.upload('/commissions/reed-warden/replies/read', new TextEncoder().encode(JSON.stringify(file)), name)
    }
    expect((await bring({})).status).toBe(200)
    expect(await bring({ number: 4711 })).toMatchObject({ status: 422, body: { problems: [{ path: '/number' }] } })
    expect(await bring({ says: [{ id: 'r-file2', read: 'weather' }] })).toMatchObject({
      status: 422,
      body: { problems: [{ path: '/says/0/read', rule: 'reference' }] },
    })
    // A file is called as it is called, whatever its letters.
    const named = await bring({ number: 4711 }, 'Ответ — größe 日本.json')
    expect(named.body.detail).toContain('Ответ — größe 日本.json')
  })
  test('while somebody types at the bench both arrive', async () => {
    const n = (await record('reed-warden')).questions.length
    await Promise.all([
      client().ask('POST', `/client/${token}/replies`, { id: 'r-both1', asks: 'First?' }),
      client().ask('POST', `/client/${token}/replies`, { id: 'r-both2', asks: 'Second?' }),
      change('reed-warden', [{ op: 'set', at: '/handoff/words', value: 'Changed meanwhile.' }]),
    ])
    const now = await record('reed-warden')
    expect(now.questions.length).toBe(n + 2)
    expect(now.handoff.words).toBe('Changed meanwhile.')
  })
})

describe('two handoffs compared', () => {
  test('by what is read; the record as it stands can be compared too', async () => {
    const first = await issue('reed-warden')
    const at = '/sabers/@rw/hilt/fasteners/@rw-f3/key'
    await change('reed-warden', [{ op: 'set', at, value: '2.5 mm' }])
    const of = async (a: string | number, b: number) =>
      (await me.ask('GET', `/commissions/reed-warden/handoffs/${a}/against/${b}`)).body
    expect(await of(first.number, first.number)).toEqual([])
    const now = await of('now', first.number)
    expect(now.find((d: { chapter: string }) => d.chapter === 'screws')).toMatchObject({
      gone: [expect.stringContaining('1.5 mm')],
      come: [expect.stringContaining('2.5 mm')],
    })
    await change('reed-warden', [{ op: 'set', at, value: '1.5 mm' }])
    expect((await me.ask('GET', '/commissions/reed-warden/handoffs/now/against/99')).status).toBe(404)
    expect((await me.ask('GET', '/commissions/crosswind/handoffs/now/against/1')).status).toBe(404)
  })
})

describe('the archive', () => {
  costly('holds record, PDF, page, captions, manifest and files; the same again is the same bytes', async () => {
    const { number } = await issue('reed-warden')
    const path = `/commissions/reed-warden/handoffs/${number}/archive.zip`
    const bytes = await bytesOf(path)
    expect(bytes.equals(await bytesOf(path))).toBe(true)
    const inside = await entries(bytes)
    expect([...inside.keys()].filter((k) => !k.startsWith('media/')).sort()).toEqual(
      ['captions/rw.vtt', 'card/rw.json', 'commission.json', 'handoff.json', 'handoff.pdf', 'saber.html'].sort(),
    )
    expect(inside.get('handoff.pdf')!.subarray(0, 5).toString()).toBe('%PDF-')
    expect(inside.get('captions/rw.vtt')!.toString()).toMatch(/^WEBVTT/)
    const c = await record('reed-warden')
    const card = JSON.parse(inside.get('card/rw.json')!.toString())
    expect(card.presets.map((p: { name: string }) => p.name)).toEqual(c.sabers[0]!.presets.map((p) => p.name))
    for (const [i, f] of c.sabers[0]!.fonts.entries())
      expect(card.fonts[i].sounds.map((q: { sha256?: string }) => q.sha256)).toEqual(f.sounds.map((q) => q.media))
    expect(inside.get('saber.html')!.toString()).toContain('Reed Warden')
    expect(await unpack(bytes).then((u) => writeCommission(u.record))).toBe(inside.get('commission.json')!.toString())
  })
  costly('is taken in again under another id, and what comes out then is the same, bit for bit', async () => {
    const { number } = await issue('reed-warden')
    const inside = await entries(await bytesOf(`/commissions/reed-warden/handoffs/${number}/archive.zip`))
    const read = readCommission(inside.get('commission.json')!.toString())
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    const other = writeCommission({ ...read.record, id: 'reed-warden-again' })
    const again = await zip([...inside].map(([k, v]) => [k, k === 'commission.json' ? Buffer.from(other) : v]))
    expect((await me.upload('/import', again, 'archive.zip')).status).toBe(201)
    const back = await entries(await bytesOf('/commissions/reed-warden-again/export.zip'))
    expect(back.get('commission.json')!.toString()).toBe(other)
    const media = (m: Map<string, Buffer>) => [...m].filter(([k]) => k.startsWith('media/')).sort()
    expect(media(back)).toEqual(media(inside))
    expect(media(back).length).toBeGreaterThan(0)
  })
  test('a stray entry is refused still', async () => {
    const { number } = await issue('reed-warden')
    const inside = await entries(await bytesOf(`/commissions/reed-warden/handoffs/${number}/archive.zip`))
    for (const stray of ['captions/a/b.vtt', 'card/rw.exe', 'handoff.pdf.exe'])
      expect(
        (await me.upload('/import?as=copy', await zip([...inside, [stray, Buffer.from('x')]]), 'x.zip')).status,
      ).toBe(422)
  })
})

describe('the label', () => {
  test('says whom it goes to, of how many, its weight and its cells; what is not known stays open', async () => {
    const abroad = (value: boolean) => change('reed-warden', [{ op: 'set', at: '/parcels/@rw-box1/abroad', value }])
    await abroad(true)
    const text = textOf(await bytesOf('/commissions/reed-warden/parcels/rw-box1/label.pdf'))
    for (const t of [
      'Ilsabet Vorne',
      '7 Sluice Row',
      'Fenbridge',
      'Tern Parcel',
      '1 of 1',
      '1.32 kg',
      '10.8 Wh',
      'packed with equipment',
      'export desk',
    ])
      expect(text.replace(/\s+/g, ' ')).toContain(t)
    expect(text).toContain('____')
    expect((await me.ask('GET', '/commissions/reed-warden/parcels/pc-9/label.pdf')).status).toBe(404)
    await abroad(false)
  })
})

describe('the client’s page', () => {
  test('names what it begins with, so that it comes at once; all of it is there, and no other page does', async () => {
    const html = await (await fetch(`${server.url}/c/any`)).text()
    const links = [...html.matchAll(/<link rel="modulepreload" href="([^"]+)">/g)].map((m) => m[1]!)
    expect(links.length).toBeGreaterThan(8)
    for (const l of links) expect((await fetch(`${server.url}${l}`)).status).toBe(200)
    expect(await (await fetch(`${server.url}/shelf`)).text()).not.toContain(links.find((l) => l.includes('InHand'))!)
  })
})

describe('the client’s PDF', () => {
  test('full, short or on one sheet, each with the way back to the page', async () => {
    const { token } = await issue('reed-warden')
    const who = new Visitor(server.url)
    const pages = async (extent: string) => {
      const bytes = await bytesOf(`/client/${token}/handoff.pdf?extent=${extent}`, who)
      const file = join(server.data, 'e.pdf')
      writeFileSync(file, bytes)
      const info = execFileSync('pdfinfo', [file]).toString()
      const structure = execFileSync('pdfinfo', ['-struct', file]).toString()
      expect(structure).toContain('Figure')
      return { n: Number(/Pages: +(\d+)/.exec(info)![1]), text: textOf(bytes) }
    }
    const [full, short, sheet] = [await pages('full'), await pages('short'), await pages('sheet')]
    expect(sheet.n).toBe(1)
    expect(short.n).toBeLessThan(full.n)
    for (const p of [full, short, sheet])
      expect(p.text.replace(/\s+/g, ' ')).toContain('Never a cell with a damaged wrap')
    expect(full.text).toContain('What was tested')
    expect(short.text).not.toContain('What was tested')
    expect((await who.ask('GET', `/client/${token}/handoff.pdf?extent=none`)).status).toBe(422)
  })
})

describe('a recalled lot', () => {
  // Of this commission alone, whatever else was taken in by then.
  const LOT = 'L-2609-R'
  beforeAll(async () => {
    const [saber] = (await record('reed-warden')).sabers
    const cell = saber!.parts.find((p) => p.lot === 'L-2609')!
    await change('reed-warden', [{ op: 'set', at: `/sabers/@${saber!.id}/parts/@${cell.id}/lot`, value: LOT }])
  })
  const body = { id: 'rc-2609', q: LOT, why: 'Some cells of this lot swell.', todo: 'Take the cell out.' }
  type Message = { commission: string; client: string; contact: string; to: string; text: string; sent: boolean }
  const write = async (more: object): Promise<{ messages: Message[]; erased: number }> => {
    const r = await me.ask('POST', '/recall/messages', { ...body, ...more })
    expect(r.status).toBe(200)
    return r.body
  }
  const warden = ({ messages }: { messages: Message[] }) => messages.find((m) => m.commission === 'reed-warden')
  const contact = (value: string) => change('reed-warden', [{ op: 'set', at: '/client/contact', value }])
  const letters = () => readdirSync(join(server.data, 'outbox')).filter((f) => f.includes('reed-warden.'))
  const shopContact = async (contact: string) => {
    const before = (await me.ask('GET', '/settings')).body
    expect((await me.ask('PUT', '/settings', { ...before, contact })).status).toBe(200)
  }
  test('drafts a message to every client whose saber carries it, and sends nothing yet', async () => {
    const one = warden(await write({ send: false }))!
    expect(one).toMatchObject({ client: 'Ilsabet Vorne', sent: false })
    for (const t of ['Reed Warden', LOT, body.why, body.todo]) expect(one.text).toContain(t)
  })
  test('a shop without an address of its own is told so, and nothing is sent', async () => {
    await contact('ilsabet@fen.example')
    await shopContact('ring the bell')
    expect(await me.ask('POST', '/recall/messages', { ...body, send: true })).toMatchObject({
      status: 409,
      body: { problems: [{ path: '/settings/contact', rule: 'email', got: 'ring the bell' }] },
    })
    expect(existsSync(join(server.data, 'outbox'))).toBe(false)
    await shopContact('The shop <bench@lantern.example>, mornings only')
  })
  test('sent it lies in the outbox once, and each commission remembers that its client was told', async () => {
    await contact('Ilsabet <ilsabet@fen.example>, or ring')
    for (const _ of [1, 2])
      expect(warden(await write({ send: true }))).toMatchObject({ sent: true, to: 'ilsabet@fen.example' })
    const [name, ...more] = letters()
    expect(more).toEqual([])
    const mail = readFileSync(join(server.data, 'outbox', name!))
    const read = await PostalMime.parse(mail)
    expect(read.to).toEqual([{ address: 'ilsabet@fen.example', name: 'Ilsabet Vorne' }])
    expect(read.from).toMatchObject({ address: 'bench@lantern.example' })
    expect(read.subject).toContain('Reed Warden')
    expect(read.text).toContain(body.why)
    // An address as any program reads it: never in words of its own.
    expect(mail.toString()).toMatch(/^To: (Ilsabet Vorne|"Ilsabet Vorne") <ilsabet@fen\.example>\r$/m)
    const told = (await record('reed-warden')).log.filter((l) => l.text.startsWith('Recall:'))
    expect(told).toEqual([expect.objectContaining({ kind: 'told', by: 'Maren' })])
  })
  test.each(['', '0555 12 34', 'ilsabet at fen.example', '@fen.example', 'ilsabet@fen'])(
    'whoever cannot be written to is named, and not put down as told: %s',
    async (written) => {
      await contact(written)
      const said = warden(await write({ id: 'rc-other', send: true }))
      expect(said).toMatchObject({ sent: false, contact: written, to: '' })
      expect(letters()).toHaveLength(1)
    },
  )
  test('no line of a letter is written by what somebody is called', async () => {
    await contact('ilsabet@fen.example')
    const { name } = (await record('reed-warden')).client
    await change('reed-warden', [
      { op: 'set', at: '/client/name', value: 'Ilse\u2028Bcc: all@fen.example <x@y.example>' },
    ])
    await write({ id: 'rc-names', send: true })
    const mail = readFileSync(join(server.data, 'outbox', 'rc-names-reed-warden.eml'))
    const read = await PostalMime.parse(mail)
    expect(read.to?.map((t) => t.address)).toEqual(['ilsabet@fen.example'])
    expect(read.headers.map((h) => h.key)).not.toContain('bcc')
    rmSync(join(server.data, 'outbox', 'rc-names-reed-warden.eml'))
    await change('reed-warden', [{ op: 'set', at: '/client/name', value: name }])
  })
  test('what was taken off the rack is found and written to as well, and its log says so when it hangs there again', async () => {
    expect((await me.ask('DELETE', '/commissions/reed-warden')).status).toBe(204)
    expect((await me.ask('GET', `/recall?q=${LOT}`)).body).toMatchObject({
      carried: [{ commission: 'reed-warden', client: 'Ilsabet Vorne', place: 'off' }],
      ...{ sabers: 1, erased: 0 },
    })
    expect(warden(await write({ id: 'rc-off', send: true }))).toMatchObject({ sent: true })
    expect(letters()).toHaveLength(2)
    expect((await me.ask('POST', '/commissions/reed-warden/unarchive')).status).toBe(204)
    expect((await record('reed-warden')).log.filter((l) => l.text.startsWith('Recall:'))).toHaveLength(3)
    expect((await me.ask('DELETE', '/commissions/reed-warden')).status).toBe(204)
  })
  costly('a backup has the letters, since the logs in it call them sent', async () => {
    const before = letters()
    expect(before).toHaveLength(2)
    const at = await backup({ data: server.data, ownerUrl: server.databaseUrl, into: join(server.data, 'kept') })
    const back = join(server.data, 'back')
    const db = await startMariadb(join(back, 'mariadb'))
    try {
      await restore({ folder: at, data: back, ownerUrl: db.ownerUrl })
    } finally {
      await db.stop()
    }
    for (const name of before)
      expect(readFileSync(join(back, 'outbox', name))).toEqual(readFileSync(join(server.data, 'outbox', name)))
    writeFileSync(join(at, 'outbox', before[0]!), 'another')
    await expect(verify(at, join(server.data, 'kept'))).rejects.toThrow(/letter/)
  })
  test('what is erased for good takes its letters along; it is counted, and nobody is written to', async () => {
    expect((await me.ask('POST', '/commissions/reed-warden/erase', { why: 'asked by the client' })).status).toBe(204)
    expect(letters()).toEqual([])
    const found = (await me.ask('GET', `/recall?q=${LOT}`)).body
    expect(found).toMatchObject({ carried: [{ client: null, place: 'erased', lot: LOT }], sabers: 1, erased: 1 })
    expect(JSON.stringify(found)).not.toMatch(/Ilsabet|Reed/)
    expect(await write({ id: 'rc-gone', send: true })).toEqual({ messages: [], erased: 1 })
    expect(letters()).toEqual([])
  })
  test('words are asked for, and makers only may write', async () => {
    expect((await me.ask('POST', '/recall/messages', { ...body, why: ' ', send: false })).status).toBe(422)
    expect((await me.ask('POST', '/recall/messages', { ...body, q: '', send: false })).status).toBe(422)
    expect((await new Visitor(server.url).ask('POST', '/recall/messages', { ...body, send: false })).status).toBe(401)
  })
})
