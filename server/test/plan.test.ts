import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { dayAfter } from '@nubrin/core/units'
import { type Server, startServer, Visitor } from './harness'

let server: Server
let maren: Visitor
let osk: Visitor
beforeAll(async () => {
  server = await startServer()
  maren = new Visitor(server.url)
  await maren.signIn()
  osk = new Visitor(server.url)
  await osk.signIn('osk', 'brass-and-light')
})
afterAll(() => server.stop())

// biome-ignore lint/suspicious/noExplicitAny: answers of every shape
type Any = any
const plan = async (): Promise<Any> => (await maren.ask('GET', '/plan')).body
const record = async (id: string): Promise<Any> => (await maren.ask('GET', `/commissions/${id}`)).body
const change = async (id: string, ops: Any[]) => {
  const { revision } = await record(id)
  return maren.ask('PATCH', `/commissions/${id}`, { base: revision, ops })
}
const partAt = (r: Any, part: string) => {
  const s = r.record.sabers.find((x: Any) => x.parts.some((p: Any) => p.id === part))
  return `/sabers/@${s.id}/parts/@${part}`
}

describe('the plan', () => {
  test('has every open commission with its work, in the order of their promises, and what the shop has learnt', async () => {
    const p = await plan()
    const open = await server.sql("SELECT id, deadline FROM commissions WHERE place = 'open' ORDER BY due, id")
    expect(p.open.map((o: Any) => o.id)).toEqual(open.map((o: Any) => o.id))
    expect(p.open.length).toBeGreaterThanOrEqual(8)
    expect(p.people.map((x: Any) => x.name)).toEqual(['Maren', 'Osk'])
    for (const o of p.open) expect(o.work.length).toBeGreaterThan(0)
    // A year of history says of every kind how long it takes, and of suppliers how long one waits.
    expect(Object.keys(p.log)).toEqual(
      expect.arrayContaining(['measure', 'bore', 'wire', 'setUp', 'prove', 'film', 'write', 'pack', 'from', 'answer']),
    )
    // One of them by hand: the middle of the logarithms.
    const rows = await server.sql(
      "SELECT SUM(h.hours) AS hours FROM hours h JOIN commissions c ON c.id = h.commission_id WHERE c.place = 'shipped' AND h.work = 'film' GROUP BY h.commission_id",
    )
    const logs = rows.map((r: Any) => Math.log(Number(r.hours)))
    expect(Math.log(p.log.film.median)).toBeCloseTo(logs.reduce((a: number, b: number) => a + b) / logs.length, 6)
    expect(p.log.film.n).toBe(logs.length)
  })

  test('one is put before another, also by two at once, and what is not there is refused', async () => {
    const ids = (await plan()).open.map((o: Any) => o.id)
    const moved = await maren.ask('PUT', '/plan/order', { id: ids[4], before: ids[1] })
    expect(moved.status).toBe(200)
    const now = (await plan()).open.map((o: Any) => o.id)
    expect(now).toEqual([ids[0], ids[4], ids[1], ids[2], ids[3], ...ids.slice(5)])
    const both = await Promise.all([
      maren.ask('PUT', '/plan/order', { id: ids[0], before: null }),
      osk.ask('PUT', '/plan/order', { id: ids[2], before: ids[4] }),
    ])
    expect(both.map((r) => r.status)).toEqual([200, 200])
    const last = (await plan()).open.map((o: Any) => o.id)
    expect(last.at(-1)).toBe(ids[0])
    expect(last.indexOf(ids[2])).toBe(last.indexOf(ids[4]) - 1)
    expect([...last].sort()).toEqual([...ids].sort())
    expect((await maren.ask('PUT', '/plan/order', { id: 'none', before: null })).status).toBe(404)
    expect((await maren.ask('PUT', '/plan/order', { id: ids[0], before: 'none' })).status).toBe(404)
  })

  test('work is done where the record says so, at the next look', async () => {
    const { record: r } = await record('open-3')
    const s = r.sabers[0]
    const wire = async () =>
      (await plan()).open.find((o: Any) => o.id === 'open-3').work.find((w: Any) => w.kind === 'wire')
    expect((await wire()).done).toBeUndefined()
    const day = (await plan()).today
    const ops = s.parts.map((p: Any) => ({ op: 'set', at: `/sabers/@${s.id}/parts/@${p.id}/fittedOn`, value: day }))
    expect((await change('open-3', ops)).status).toBe(200)
    expect((await wire()).done).toBe('record')
  })

  test('goes out as a calendar: promises, arrivals, days that are set', async () => {
    const { today } = await plan()
    const { record: r } = await record('cinder-oath')
    const on = dayAfter(today, 9)
    const item = { id: 'w-film', kind: 'film', on }
    const set = r.work ? { op: 'insert', at: '/work', item, after: null } : { op: 'set', at: '/work', value: [item] }
    expect((await change('cinder-oath', [set])).status).toBe(200)
    const ics = (await maren.ask('GET', '/plan/days.ics')).body as string
    const days = ics.split('BEGIN:VEVENT').slice(1)
    const of = (what: string) => days.find((d) => d.includes(what))!
    const stamp = (d: string) => d.replaceAll('-', '')
    expect(of('Cinder Oath promised')).toContain(`DTSTART;VALUE=DATE:${stamp(r.deadline)}`)
    expect(of('Cinder Oath: film')).toContain(`DTSTART;VALUE=DATE:${stamp(on)}`)
    expect(of('from Oxbow Cones')).toContain(`DTSTART;VALUE=DATE:${stamp(dayAfter(today, -4))}`)
    expect(ics).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*END:VCALENDAR$/)
  })

  test('hours are one’s own to change, all of them an owner’s; absurd ones are refused', async () => {
    const people = (await maren.ask('GET', '/works')).body
    const [m, o] = ['Maren', 'Osk'].map((n) => people.find((p: Any) => p.name === n))
    const works = { week: [6, 6, 6, 6, 0, 0, 0], skills: ['wire'], off: [] }
    expect((await osk.ask('PUT', `/works/${o.id}`, works)).body).toEqual(works)
    expect((await osk.ask('PUT', `/works/${m.id}`, works)).status).toBe(403)
    expect((await maren.ask('PUT', `/works/${o.id}`, { ...works, skills: [] })).status).toBe(200)
    const bad = async (more: object) => {
      const r = await maren.ask('PUT', `/works/${o.id}`, { ...works, ...more })
      return [r.status, r.body.problems?.[0].path]
    }
    expect(await bad({ week: [25, 0, 0, 0, 0, 0, 0] })).toEqual([422, '/week/0'])
    expect(await bad({ week: [-1, 0, 0, 0, 0, 0, 0] })).toEqual([422, '/week/0'])
    expect(await bad({ skills: ['yodel'] })).toEqual([422, '/skills/0'])
    expect(await bad({ off: [{ from: '2026-12-09', to: '2026-12-01' }] })).toEqual([422, '/off/0/to'])
    expect((await maren.ask('PUT', '/works/nobody', works)).status).toBe(404)
  })
})

describe('the clock', () => {
  test('one a person: a second one stops the first and writes it down, once, with who and what', async () => {
    const before = (await record('open-2')).record.log.length
    const start = (id: string, commission: string, more: object) =>
      maren.ask('POST', '/timer', { id, commission, ...more })
    expect((await start('clock-1', 'open-2', { work: 'wire', saber: 'open-2-s' })).body.timer).toMatchObject({
      ...{ id: 'clock-1', commission: 'open-2', title: 'Gull Rock', work: 'wire' },
    })
    // Sent again after a lost reply it is the same clock.
    await start('clock-1', 'open-2', { work: 'wire', saber: 'open-2-s' })
    await server.sql("UPDATE timers SET began = began - INTERVAL 90 MINUTE WHERE id = 'clock-1'")
    await start('clock-2', 'cinder-oath', { work: 'film' })
    const { log } = (await record('open-2')).record
    expect(log).toHaveLength(before + 1)
    expect(log.at(-1)).toMatchObject({
      id: 'tm-clock-1',
      kind: 'work',
      by: 'Maren',
      work: 'wire',
      saber: 'open-2-s',
      hours: 1.5,
    })
    expect((await osk.ask('GET', '/timer')).body.timer).toBeNull()
    expect((await maren.ask('DELETE', '/timer/clock-1')).status).toBe(404)
    // A slip of the finger is no work.
    expect((await maren.ask('DELETE', '/timer/clock-2')).body).toEqual({ hours: 0, commission: 'cinder-oath' })
    expect((await maren.ask('GET', '/timer')).body.timer).toBeNull()
  })
  test('what it ran is not written down where it is dropped; a commission that is not there has none', async () => {
    await maren.ask('POST', '/timer', { id: 'clock-3', commission: 'open-2', work: 'wire' })
    await server.sql("UPDATE timers SET began = began - INTERVAL 900 MINUTE WHERE id = 'clock-3'")
    const before = (await record('open-2')).record.log.length
    expect((await maren.ask('DELETE', '/timer/clock-3?drop=yes')).body.hours).toBe(0)
    expect((await record('open-2')).record.log).toHaveLength(before)
    expect((await maren.ask('POST', '/timer', { id: 'clock-4', commission: 'none', work: 'wire' })).status).toBe(404)
    expect((await maren.ask('POST', '/timer', { id: 'clock-4', commission: 'open-2', work: 'yodel' })).status).toBe(422)
  })
})

describe('what the shop knows by now', () => {
  test('figures of a year with lots that differ, until all is looked through; another part, another answer', async () => {
    await server.reset()
    await maren.signIn()
    await osk.signIn('osk', 'brass-and-light')
    let said: Any
    for (let n = 0; n < 6; n++) {
      said = (await maren.ask('GET', '/learning')).body
      if (!said.left) break
    }
    expect(said.left).toBe(0)
    const lit = said.biases.find((b: Any) => b.of === 'lit-current')
    // The demo shop's strips draw less than their datasheet says.
    expect(lit.n).toBeGreaterThan(20)
    expect(lit.bias).toBeLessThan(-0.08)
    const idle = said.proposals.find((p: Any) => p.spec === 'idleCurrent')
    expect(idle.lots.map((l: Any) => l.differs)).toContain(true)
    expect(said.asks[0].n).toBeGreaterThan(1)
    const [of] = (await maren.ask('GET', `/learning?row=${idle.row}`)).body.biases
    expect(of.n).toBeLessThan(said.biases[0].n)
  })
  test('a client has his sabers, what he asked, and a note that goes when he is erased', async () => {
    const [{ id, commission }] = await server.sql(
      "SELECT c.client_id AS id, c.id AS commission FROM commissions c WHERE c.id = 'open-1'",
    )
    expect((await maren.ask('PUT', `/clients/${id}/habits`, { note: ' in inches ' })).body).toEqual({
      note: 'in inches',
    })
    const card = (await maren.ask('GET', `/clients/${id}`)).body
    expect(card).toMatchObject({ name: 'Hesper Lowe', note: 'in inches' })
    expect(card.commissions.map((c: Any) => c.id)).toContain(commission)
    expect(card.commissions.length).toBeGreaterThan(1)
    expect((await maren.ask('GET', '/clients/nobody')).status).toBe(404)
    for (const c of card.commissions) {
      expect((await maren.ask('DELETE', `/commissions/${c.id}`)).status).toBe(204)
      expect((await maren.ask('POST', `/commissions/${c.id}/erase`, { why: 'asked' })).status).toBe(204)
      const [left] = await server.sql('SELECT work, learned, peg FROM commissions WHERE id = ?', [c.id])
      expect(left).toEqual({ work: null, learned: null, peg: null })
    }
    expect(await server.sql('SELECT * FROM clients WHERE id = ?', [id])).toEqual([])
  })
})

describe('parts on order', () => {
  const orders = async (): Promise<Any> => (await maren.ask('GET', '/orders')).body
  const stock = async (row: string) => (await server.sql('SELECT stock, lot FROM parts WHERE id = ?', [row]))[0]
  const line = (id: string, more: object = {}) => ({
    ...{ id, catalogue: 'oled-069', name: 'Display 0.69 in', supplier: 'Lantern Circuit Guild', quantity: 3 },
    ...{ orderedOn: '2026-11-20', ...more },
  })

  test('what is chosen and not in hand is to be ordered; ordered, it is on its way; booked, it is in hand with its lot', async () => {
    await server.reset()
    await maren.signIn()
    await osk.signIn('osk', 'brass-and-light')
    const first = await orders()
    expect(first.toOrder).toMatchObject([{ row: { id: 'oled-069' }, toOrder: 1, for: [{ title: 'Second Harrow' }] }])
    expect((await maren.ask('POST', '/orders', { lines: [line('new-1')] })).status).toBe(201)
    expect((await maren.ask('POST', '/orders', { lines: [line('new-1')] })).status).toBe(201)
    const then = await orders()
    expect(then.toOrder).toEqual([])
    expect(then.coming.filter((l: Any) => l.id === 'new-1')).toHaveLength(1)
    const p = (await plan()).coming.find((c: Any) => c.commission === 'open-3')
    expect(p).toMatchObject({ supplier: 'Lantern Circuit Guild', orderedOn: '2026-11-20' })
    // Two of three come; the third stays on its way, under a name of its own.
    const came = await maren.ask('PUT', '/orders/new-1/arrival', { on: '2026-11-30', quantity: 2, lot: 'D-9' })
    expect(came.body).toMatchObject({ quantity: 2, lot: 'D-9', arrivedOn: '2026-11-30' })
    expect(await stock('oled-069')).toEqual({ stock: 2, lot: 'D-9' })
    const rest = (await orders()).coming.filter((l: Any) => l.catalogue === 'oled-069')
    expect(rest).toMatchObject([{ quantity: 1, supplier: 'Lantern Circuit Guild' }])
    expect((await maren.ask('PUT', '/orders/new-1/arrival', { on: '2026-11-30', quantity: 1 })).status).toBe(409)
    expect((await maren.ask('DELETE', '/orders/new-1')).status).toBe(409)
    expect((await maren.ask('DELETE', `/orders/${rest[0].id}`)).status).toBe(204)
  })

  test('two who book one line at once book it once', async () => {
    await maren.ask('POST', '/orders', { lines: [line('new-2')] })
    const before = (await stock('oled-069')).stock
    const both = await Promise.all(
      [maren, osk].map((who) => who.ask('PUT', '/orders/new-2/arrival', { on: '2026-11-30', quantity: 3 })),
    )
    expect(both.map((r) => r.status).sort()).toEqual([200, 409])
    expect((await stock('oled-069')).stock).toBe(before + 3)
  })

  test('what comes for one part is laid aside for it; what is damaged is left to do, and still to be had', async () => {
    const late = (await orders()).coming.find((l: Any) => l.id === 'line-late')
    expect(late).toMatchObject({ commission: 'open-2', title: 'Gull Rock' })
    const { today } = await plan()
    const before = (await stock(late.catalogue)).stock
    const came = await maren.ask('PUT', '/orders/line-late/arrival', {
      on: today,
      quantity: 1,
      fault: 'damaged',
      note: 'cone torn',
    })
    expect(came.status).toBe(200)
    expect((await stock(late.catalogue)).stock).toBe(before)
    expect((await record('open-2')).record.toDos).toMatchObject([
      { text: `Send back ${late.name}: damaged`, about: `part:${late.part}`, shopNote: 'cone torn', done: false },
    ])
    const again = { ...late, id: 'again', orderedOn: today }
    for (const k of ['title', 'by', 'expectedOn']) delete again[k]
    expect((await maren.ask('POST', '/orders', { lines: [again] })).status).toBe(201)
    expect((await maren.ask('PUT', '/orders/again/arrival', { on: today, quantity: 1, lot: 'S-4' })).status).toBe(200)
    const r = await record('open-2')
    expect(r.record.sabers[0].parts.find((p: Any) => p.id === late.part)).toMatchObject({
      reservedOn: today,
      lot: 'S-4',
    })
    expect((await stock(late.catalogue)).stock).toBe(before + 1)
  })

  test('building in takes one from the shelf, taking out gives it back, and no more than there is', async () => {
    const r = await record('open-2')
    const [p] = r.record.sabers[0].parts
    const at = `${partAt(r, p.id)}/fittedOn`
    const before = (await stock(p.catalogue)).stock
    await change('open-2', [{ op: 'set', at, value: '2026-12-01' }])
    expect((await stock(p.catalogue)).stock).toBe(before - 1)
    await change('open-2', [{ op: 'set', at, value: '2026-12-02', was: '2026-12-01' }])
    expect((await stock(p.catalogue)).stock).toBe(before - 1)
    await change('open-2', [{ op: 'unset', at, was: '2026-12-02' }])
    expect((await stock(p.catalogue)).stock).toBe(before)
    await server.sql('UPDATE parts SET stock = 0 WHERE id = ?', [p.catalogue])
    await change('open-2', [{ op: 'set', at, value: '2026-12-01' }])
    expect((await stock(p.catalogue)).stock).toBe(0)
    // Another shop’s commission taken in takes nothing: it was built in elsewhere.
    await server.sql('UPDATE parts SET stock = 9 WHERE id = ?', [p.catalogue])
  })

  test('laid aside twice is said', async () => {
    const r = await record('open-4')
    const p = r.record.sabers[0].parts.find((x: Any) => x.catalogue)
    await server.sql('UPDATE parts SET stock = 0 WHERE id = ?', [p.catalogue])
    await change('open-4', [{ op: 'set', at: `${partAt(r, p.id)}/reservedOn`, value: '2026-12-01' }])
    const { twice } = await orders()
    expect(twice).toMatchObject([{ row: { id: p.catalogue, stock: 0 }, without: [{ commission: 'open-4' }] }])
  })

  test('a list of what is to be ordered goes out as CSV, of one supplier or of all', async () => {
    const rows = (await orders()).toOrder
    const csv = async (q: string) =>
      ((await maren.ask('GET', `/orders/list.csv${q}`)).body as string).trim().split('\n')
    expect(await csv('')).toHaveLength(rows.length + 1)
    const supplier = rows[0].row.supplier
    const one = await csv(`?supplier=${encodeURIComponent(supplier)}`)
    expect(one.length - 1).toBe(rows.filter((t: Any) => t.row.supplier === supplier).length)
    expect(one[1]).toContain(rows[0].row.name)
  })

  test.each([
    ['expected before it was ordered', line('bad', { expectedOn: '2026-11-01' }), [422, '/lines/0/expectedOn']],
    ['none of it', line('bad', { quantity: 0 }), [422, '/lines/0/quantity']],
    ['no supplier', line('bad', { supplier: ' ' }), [422, '/lines/0/supplier']],
    ['a row that is not there', line('bad', { catalogue: 'none-such' }), [404, undefined]],
    ['a commission that is not there', line('bad', { commission: 'none-such' }), [404, undefined]],
  ])('%s is refused, and nothing is written down', async (_what, bad, [status, path]) => {
    const n = async () => Number((await server.sql('SELECT COUNT(*) AS n FROM order_lines'))[0].n)
    const before = await n()
    const r = await maren.ask('POST', '/orders', { lines: [line('fine'), bad].toReversed() })
    expect([r.status, r.body.problems?.[0]?.path]).toEqual([status, path])
    expect(await n()).toBe(before)
  })
  test('an arrival that was never ordered, or before it was, is refused', async () => {
    expect((await maren.ask('PUT', '/orders/never/arrival', { on: '2026-12-01', quantity: 1 })).status).toBe(404)
    await maren.ask('POST', '/orders', { lines: [line('early')] })
    const r = await maren.ask('PUT', '/orders/early/arrival', { on: '2026-11-01', quantity: 1 })
    expect([r.status, r.body.problems[0].path]).toEqual([422, '/on'])
  })
})
