import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { API, type Route } from '@nubrin/core/api'
import { PAGE } from '../src/rack/rack-store'
import { type Server, startServer, Visitor } from './harness'

let server: Server
let me: Visitor
/** The answer of every route that is read, asked with what the demo shop has. */
const answers = new Map<string, { res: Response; bytes: Buffer }>()
const READ = (Object.entries(API) as [string, Route][]).filter(([, r]) => r.method === 'get')
const QUERY: Record<string, string> = { changes: '?after=0', recall: '?q=cell' }

beforeAll(async () => {
  server = await startServer()
  me = new Visitor(server.url)
  await me.signIn()
  const at = '/commissions/crosswind'
  const { revision, record } = (await me.ask('GET', at)).body
  const aside = { who: 'Maren', reason: 'Tried here.', on: '2026-11-24' }
  const waivers = (await me.ask('POST', `${at}/handoffs`)).body.open.map(({ key }: { key: string }) => ({
    key,
    ...aside,
  }))
  const ops = [{ op: 'set', at: '/handoff/waivers', value: waivers, was: record.handoff.waivers }]
  expect((await me.ask('PATCH', at, { base: revision, ops })).status).toBe(200)
  const issue = async () => (await me.ask('POST', `${at}/handoffs`)).body.link.split('/').pop() as string
  const token = [await issue(), await issue()][1]!
  const up = (await me.ask('POST', `${at}/phone`)).body.link.split('/').pop()
  const invited = await me.ask('POST', '/people', { name: 'Ilse', role: 'helper' })
  const tokens: Record<string, string> = { client: token, up, invitation: invited.body.link.split('/').pop() }
  const parts: Record<string, string> = {
    ...{
      id: 'crosswind',
      number: '1',
      other: '2',
      hash: record.media[0].hash,
      parcel: record.parcels[0].id,
      saber: record.sabers[0].id,
    },
  }
  const client = (await me.ask('GET', `${at}/client`)).body.id
  for (const [name, r] of READ) {
    const known: Record<string, string> = r.path.startsWith('/clients/') ? { ...parts, id: client } : parts
    const path = r.path.replace(/\{(\w+)\}/g, (_all, k: string) => known[k] ?? tokens[r.path.split('/')[1]!] ?? k)
    const res = await me.raw('GET', `${path}${QUERY[name] ?? ''}`)
    answers.set(name, { res, bytes: Buffer.from(await res.arrayBuffer()) })
  }
})
afterAll(() => server?.stop())

/** What a file of a type begins with. */
const BEGINS: Record<string, RegExp> = {
  'application/pdf': /^%PDF-1\.\d/,
  'application/zip': /^PK\p{Cc}{2}/u,
  'image/svg+xml': /^<svg /,
  'image/vnd.dxf': /^\s*0\s+SECTION/,
  'text/html': /^<!doctype html>/i,
  'text/vtt': /^WEBVTT\n/,
  'text/markdown': /^# /,
  'text/calendar': /^BEGIN:VCALENDAR\r\n/,
  'text/csv': /^\w+(,[\w ]+)+/,
  'image/jpeg': /^\xff\xd8\xff/,
  'application/json': /^[[{]/,
}
const ENDS: Record<string, string> = {
  'text/calendar': 'ics',
  ...{ 'application/pdf': 'pdf', 'application/zip': 'zip', 'image/svg+xml': 'svg', 'image/vnd.dxf': 'dxf' },
  ...{ 'text/html': 'html', 'text/vtt': 'vtt', 'text/markdown': 'md', 'text/csv': 'csv', 'application/json': 'json' },
}

describe('every answer', () => {
  test.each(READ)('%s: is what it is declared as, begins as that, is kept by nobody else', (name, r) => {
    const { res, bytes } = answers.get(name)!
    expect(`${name} ${res.status} ${res.status === 200 ? '' : bytes}`).toBe(`${name} ${r.good.status} `)
    const type = res.headers.get('content-type')!.split(';')[0]!
    if ('json' in r.good) expect(type).toBe('application/json')
    else if ('file' in r.good && !r.good.file.includes('*')) expect([r.good.file, 'image/jpeg']).toContain(type)
    expect(bytes.subarray(0, 60).toString('latin1')).toMatch(BEGINS[type]!)
    const kept = res.headers.get('cache-control')!.split(', ')
    // What everybody may read is this. A file under its hash never changes; a client's link to one may be taken back.
    if (name === 'openapi') expect(kept).toEqual(['public', 'max-age=3600'])
    else if (name === 'health') expect(kept).toEqual(['no-store'])
    else if (name === 'clientFile') expect(kept).toEqual(['private', 'max-age=3600'])
    else if (r.path.includes('{hash}')) expect(kept).toEqual(['private', 'max-age=31536000', 'immutable'])
    else expect(kept).toEqual(['private', 'no-store'])
    expect(res.headers.get('x-content-type-options')).toBe('nosniff')
    expect(res.headers.get('referrer-policy')).toBe('no-referrer')
    const given = /^(inline|attachment); filename="?([\w.-]+?)"?$/.exec(res.headers.get('content-disposition') ?? '')
    const file = 'file' in r.good && !r.path.includes('{hash}')
    expect([name, Boolean(given)]).toEqual([name, file])
    if (!given) return
    // A paper is looked at where it is; all else is put away, under a name that says whose it is and what.
    expect(given[1]).toBe(type === 'application/pdf' ? 'inline' : 'attachment')
    expect(given[2]).toMatch(new RegExp(`^[a-z][\\w-]{3,}\\.${ENDS[type]}$`))
    if (r.path.includes('{id}') && !/walkthrough/.test(r.path)) expect(given[2]).toMatch(/^crosswind/)
  })
  test('the page runs what came with it, shows and plays what it made, and asks nobody else', async () => {
    const page = await fetch(`${server.url}/commissions/crosswind`)
    const policy = Object.fromEntries(
      page.headers
        .get('content-security-policy')!
        .split(';')
        .map((d) => d.trim().split(/ +/))
        .map(([name, ...from]) => [name, from.toSorted().join(' ')]),
    )
    expect(policy).toMatchObject({
      ...{ 'default-src': "'self'", 'script-src': "'self'", 'object-src': "'none'", 'frame-ancestors': "'self'" },
      ...{ 'form-action': "'self'", 'base-uri': "'self'", 'script-src-attr': "'none'" },
      'img-src': "'self' blob: data:",
      'media-src': "'self' blob:",
      'worker-src': "'self' blob:",
      'style-src': "'self' 'unsafe-inline'",
    })
    expect(Object.values(policy).filter((from) => /\bhttp:|\*|unsafe-eval/.test(String(from)))).toEqual([])
    expect(page.headers.get('content-type')).toMatch(/^text\/html/)
    // Served from loopback without a certificate: a browser must not be told to ask for one.
    expect(Object.keys(policy)).not.toContain('upgrade-insecure-requests')
    expect(page.headers.get('strict-transport-security')).toBeNull()
  })
  test('a page of the rack that is just full is the last; one more begins another', async () => {
    const [open] = await server.sql("SELECT COUNT(*) AS n FROM commissions WHERE place = 'open'")
    const add = (title: string) => me.ask('POST', '/commissions', { title, client: 'Marl' })
    for (let i = Number(open.n); i < PAGE; i++) expect((await add(`Leaf ${i}`)).status).toBe(201)
    const full = (await me.ask('GET', '/rack')).body
    expect([full.commissions.length, full.next]).toEqual([PAGE, null])
    await add('One more')
    const first = (await me.ask('GET', '/rack')).body
    expect([first.commissions.length, typeof first.next]).toEqual([PAGE, 'string'])
    const rest = (await me.ask('GET', `/rack?after=${encodeURIComponent(first.next as string)}`)).body
    expect([rest.commissions.length, rest.next]).toEqual([1, null])
  })
  test('what the rack sorts and finds by is what the record says, after each change', async () => {
    const path = '/commissions/ember-fair'
    let { revision } = (await me.ask('GET', path)).body
    const change = async (at: string, value?: unknown) => {
      const was = (await me.ask('GET', path)).body.record[at.slice(1)]
      const op =
        value === undefined ? { op: 'unset', at, was } : { op: 'set', at, value, ...(was === undefined ? {} : { was }) }
      const r = await me.ask('PATCH', path, { base: revision, ops: [op] })
      expect(r).toMatchObject({ status: 200 })
      revision = r.body.revision
      const { record } = (await me.ask('GET', path)).body
      const [row] = await server.sql(
        "SELECT title, job, place, CAST(due AS CHAR) AS due, CAST(deadline AS CHAR) AS deadline, CAST(shipped AS CHAR) AS shipped, search FROM commissions WHERE id = 'ember-fair'",
      )
      expect(row).toMatchObject({
        ...{ title: record.title, job: record.job, place: 'open' },
        ...{ due: record.deadline ?? '9999-12-31', deadline: record.deadline ?? null, shipped: null },
      })
      for (const word of record.title.toLowerCase().split(/\W+/)) expect(row.search).toContain(word)
    }
    await change('/title', 'A lantern for the quay')
    await change('/deadline', '2027-02-28')
    await change('/deadline')
    await change('/deadline', '2028-02-29')
    await change('/job', 'repair')
  })
})
