import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { dayAfter } from '@nubrin/core/units'
import PostalMime from 'postal-mime'
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
const record = async (id: string): Promise<Any> => (await maren.ask('GET', `/commissions/${id}`)).body
const change = async (id: string, ops: Any[]) => {
  const { revision } = await record(id)
  expect((await maren.ask('PATCH', `/commissions/${id}`, { base: revision, ops })).status).toBe(200)
}
const outbox = () => (existsSync(join(server.data, 'outbox')) ? readdirSync(join(server.data, 'outbox')) : [])
const settings = async (more: object) => {
  const { body } = await maren.ask('GET', '/settings')
  expect((await maren.ask('PUT', '/settings', { ...body, ...more })).status).toBe(200)
}

describe('letters', () => {
  const at = '/commissions/open-2/letters'
  const put = (id: string, more: object) =>
    maren.ask('POST', at, { id, subject: 'S', text: 'T', kind: 'ready', ...more })

  test('a draft is only shown; without an address nothing is put anywhere, and it is said whose is missing', async () => {
    const d = await maren.ask('POST', `${at}/draft`, { kind: 'ready' })
    expect(d.body).toMatchObject({ subject: 'Gull Rock is finished', to: '' })
    expect(d.body.text).toContain('Dear Ivo Tarrant,')
    const [a] = [await put('lt-none', {})]
    expect([a.status, a.body.problems[0].path]).toEqual([409, '/client/contact'])
    await change('open-2', [{ op: 'set', at: '/client/contact', value: 'ivo@tarrant.example' }])
    const b = await put('lt-none', {})
    expect([b.status, b.body.problems[0].path]).toEqual([409, '/settings/contact'])
    expect(outbox()).toEqual([])
    expect((await maren.ask('GET', at)).body).toEqual([])
  })

  test('put, it lies in the outbox once as it was read, stands in the thread and in the log', async () => {
    await settings({ contact: 'bench@hollowmere.example' })
    const sent = await put('lt-1', { subject: 'Read by hand', text: 'Dear Ivo,\n\nas it was changed.' })
    expect([sent.status, sent.body.to]).toEqual([201, 'ivo@tarrant.example'])
    await put('lt-1', { subject: 'Sent again', text: 'after a lost reply' })
    expect(outbox()).toEqual(['lt-1-open-2.eml'])
    const mail = await PostalMime.parse(readFileSync(join(server.data, 'outbox', 'lt-1-open-2.eml')))
    expect(mail).toMatchObject({ subject: 'Read by hand', to: [{ address: 'ivo@tarrant.example' }] })
    expect(mail.text!.trim()).toBe('Dear Ivo,\n\nas it was changed.')
    expect((await maren.ask('GET', at)).body).toMatchObject([
      { id: 'lt-1', kind: 'ready', by: 'Maren', subject: 'Read by hand' },
    ])
    const told = (await record('open-2')).record.log.filter((l: Any) => l.kind === 'told')
    expect(told).toMatchObject([{ text: 'Read by hand', by: 'Maren' }])
  })

  test('a question is asked with its letter, and a delay moves the promise, with both days and why in the log', async () => {
    const item = { id: 'qu-1', text: 'Which red?', blocks: true }
    await change('open-2', [{ op: 'insert', at: '/questions', item, after: null }])
    expect((await put('lt-2', { kind: 'question' })).body.problems[0].path).toBe('/questions')
    expect((await put('lt-2', { kind: 'question', questions: ['qu-1'] })).body.rests).toEqual(['question:qu-1'])
    const before = (await record('open-2')).record
    expect(before.questions[0].askedOn).toMatch(/^\d{4}-/)
    const newly = dayAfter(before.deadline, 9)
    expect((await put('lt-3', { kind: 'delay' })).body.problems[0].path).toBe('/newly')
    expect((await put('lt-3', { kind: 'delay', newly, reason: 'power' })).status).toBe(201)
    const { record: r } = await record('open-2')
    expect(r.deadline).toBe(newly)
    expect(r.log.at(-1)).toMatchObject({
      kind: 'delay',
      reason: 'power',
      promised: before.deadline,
      newly,
      by: 'Maren',
    })
  })

  test('a recall stands in the thread, too; what is erased takes its letters along', async () => {
    const part = (await record('open-2')).record.sabers[0].parts[0]
    const r = await maren.ask('POST', '/recall/messages', {
      ...{ id: 'rc-9', q: part.catalogue, why: 'it swells', todo: 'stop using it', send: true },
    })
    expect(r.status).toBe(200)
    expect((await maren.ask('GET', at)).body.map((l: Any) => l.kind)).toEqual(['ready', 'question', 'delay', 'recall'])
    expect((await maren.ask('DELETE', '/commissions/open-2')).status).toBe(204)
    expect((await maren.ask('POST', '/commissions/open-2/erase', { why: 'asked' })).status).toBe(204)
    expect(await server.sql("SELECT * FROM letters WHERE commission_id = 'open-2'")).toEqual([])
    expect(await server.sql("SELECT * FROM hours WHERE commission_id = 'open-2'")).toEqual([])
    expect(await server.sql("SELECT * FROM questions WHERE commission_id = 'open-2'")).toEqual([])
    expect(outbox().filter((n) => n.includes('open-2'))).toEqual([])
    expect((await maren.ask('GET', at)).status).toBe(404)
  })
})

describe('quotes', () => {
  const at = '/commissions/crosswind/quotes'
  const all = async (): Promise<Any> => (await maren.ask('GET', at)).body
  const keep = (q: Any, more: object, who = maren) =>
    who.ask('PUT', `${at}/${q.quote.number}`, { quote: { ...q.quote, ...more }, base: q.revision })

  test('are the owner’s until the owner opens them; the price of an hour, too', async () => {
    expect((await osk.ask('GET', at)).status).toBe(403)
    expect((await osk.ask('GET', `${at}/1/quote.pdf`)).status).toBe(403)
    expect((await osk.ask('POST', at, { from: 'last' })).status).toBe(403)
    const mine = (await osk.ask('GET', '/settings')).body
    expect([mine.hourRate, mine.margin, mine.currency]).toEqual([undefined, undefined, 'EUR'])
    await settings({ pricesFor: 'maker' })
    expect((await osk.ask('GET', at)).status).toBe(200)
    expect((await osk.ask('GET', '/settings')).body.hourRate).toBe(48)
    await settings({ pricesFor: 'owner' })
    expect((await osk.ask('GET', at)).status).toBe(403)
  })

  test('a version is drafted, sent and accepted; what was sent stays, and the next one takes its place', async () => {
    const [first] = (await all()).quotes
    expect(first.quote).toMatchObject({ number: 1, state: 'accepted', currency: 'EUR' })
    expect(first.sums.paid).toBe(30_000)
    const stays = await keep(first, { lines: [] })
    expect([stays.status, stays.body.problems[0].path]).toEqual([409, '/quote/lines'])
    const draft = (await maren.ask('POST', at, { from: 'last' })).body
    expect(draft.quote).toMatchObject({ number: 2, state: 'draft', payments: first.quote.payments })
    expect((await maren.ask('POST', at, { from: 'last' })).status).toBe(409)
    const line = { id: 'new-line', kind: 'other', what: 'a box', quantity: 2, price: 1450 }
    const kept = (await keep(draft, { lines: [...draft.quote.lines, line] })).body
    expect(kept.sums.total).toBe(first.sums.total + 2900)
    // Two at once: the second is told, and nothing is lost.
    expect((await keep(draft, { note: 'mine' })).status).toBe(409)
    const sent = (await keep(kept, { state: 'sent' })).body
    expect(sent.quote.sentOn).toMatch(/^\d{4}-/)
    expect((await all()).quotes.map((q: Any) => q.quote.state)).toEqual(['sent', 'replaced'])
    const [option] = sent.quote.options
    const accepted = { on: '2026-12-01', by: 'his second letter' }
    const agreed = (await keep(sent, { options: [{ ...option, accepted }] })).body
    expect(agreed.sums.total).toBe(kept.sums.total + option.price)
    expect((await maren.ask('DELETE', `${at}/2`)).status).toBe(409)
    expect((await all()).actual.work).toMatchObject({ hours: expect.any(Number), quotedHours: expect.any(Number) })
  })

  test.each([
    ['half a cent', (q: Any) => ({ lines: [{ ...q.lines[0], price: 0.5 }] }), '/quote/lines/0/price'],
    ['less than nothing', (q: Any) => ({ lines: [{ ...q.lines[0], price: -1 }] }), '/quote/lines/0/price'],
    ['a currency of no kind', () => ({ currency: 'euro' }), '/quote/currency'],
    ['an end before its beginning', (q: Any) => ({ validUntil: dayAfter(q.on, -1) }), '/quote/validUntil'],
  ])('%s is refused by field', async (_what, bad, path) => {
    const draft = (await maren.ask('POST', at, { from: 'record' })).body
    const r = await keep(draft, bad(draft.quote))
    expect([r.status, r.body.problems[0].path]).toEqual([422, path])
    expect((await maren.ask('DELETE', `${at}/${draft.quote.number}`)).status).toBe(204)
  })

  test('a wish in another currency is said before anything is drafted', async () => {
    const item = {
      id: 'rq-gbp',
      text: 'A stand',
      shape: 'offered',
      status: 'open',
      price: { amount: 20, currency: 'GBP' },
    }
    await change('crosswind', [{ op: 'insert', at: '/requests', item, after: null }])
    const r = await maren.ask('POST', at, { from: 'record' })
    expect([r.status, r.body.problems[0]]).toEqual([409, expect.objectContaining({ path: '/requests', got: 'GBP' })])
    expect(r.body.detail).toContain('A stand')
  })

  test('a wish that is offered is an option of the quote; accepted there, it is accepted in the record', async () => {
    await change('crosswind', [
      { op: 'remove', at: '/requests/@rq-gbp', item: { id: 'rq-gbp' }, after: null },
      {
        ...{ op: 'insert', at: '/requests', after: null },
        item: {
          id: 'rq-eur',
          text: 'A stand',
          shape: 'offered',
          status: 'open',
          price: { amount: 20.5, currency: 'EUR' },
        },
      },
    ])
    const draft = (await maren.ask('POST', at, { from: 'record' })).body
    const option = draft.quote.options.find((o: Any) => o.request === 'rq-eur')
    expect(option).toMatchObject({ what: 'A stand', price: 2050 })
    const accepted = { on: '2026-11-30', by: 'by telephone' }
    const day = async () => (await record('crosswind')).record.requests.find((r: Any) => r.id === 'rq-eur').acceptedOn
    const now = (await keep(draft, { options: [{ ...option, accepted }] })).body
    expect(await day()).toBe('2026-11-30')
    await keep(now, { options: [option] })
    expect(await day()).toBeUndefined()
    expect((await maren.ask('DELETE', `${at}/${draft.quote.number}`)).status).toBe(204)
  })

  test('goes out as paper and as a page that runs nothing, in words and amounts of the client', async () => {
    const pdf = await maren.raw('GET', `${at}/2/quote.pdf`)
    expect(pdf.headers.get('content-type')).toBe('application/pdf')
    expect(
      Buffer.from(await pdf.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-')
    const html = await (await maren.raw('GET', `${at}/2/quote.html`)).text()
    expect(html).toContain('Quote 2 for Crosswind')
    expect(html).toContain('accepted on 1 December 2026: his second letter')
    expect(html).not.toContain('<script')
    expect(html).toContain("default-src 'none'")
    expect((await maren.ask('GET', `${at}/9/quote.pdf`)).status).toBe(404)
    expect((await maren.ask('GET', `${at}/0x2/quote.html`)).status).toBe(404)
  })

  test('are erased with their commission', async () => {
    expect((await maren.ask('DELETE', '/commissions/crosswind')).status).toBe(204)
    expect((await maren.ask('POST', '/commissions/crosswind/erase', { why: 'asked' })).status).toBe(204)
    expect(await server.sql("SELECT * FROM quotes WHERE commission_id = 'crosswind'")).toEqual([])
  })
})
