import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { likeness } from '../src/people/likeness'
import { type Server, startServer, Visitor } from './harness'

let server: Server
let me: Visitor
beforeAll(async () => {
  server = await startServer({ NUBRIN_SIGNIN_LIMIT: '6', NUBRIN_TRUST_PROXY: '1' })
  me = new Visitor(server.url)
  await me.signIn()
}, 120_000)
afterAll(async () => {
  await server?.stop()
})
const PASSWORD = 'a long sentence'
const sql: Server['sql'] = (...ask) => server.sql(...ask)
const tokenOf = (r: { status: number; body: { link: string } }) => {
  expect(r.status).toBe(201)
  return r.body.link.split('/').pop()!
}
const invited = async (by: Visitor, name: string, role: string) =>
  tokenOf(await by.ask('POST', '/people', { name, role }))
let addresses = 0
/** From an address of its own: the server trusts what stands before it on this machine. */
async function comes(token: string, signIn?: string, password = PASSWORD) {
  const v = new Visitor(server.url)
  const body = { password, ...(signIn ? { signIn } : {}) }
  const r = await v.raw('POST', `/invitation/${token}`, body, { 'x-forwarded-for': `10.1.0.${addresses++}` })
  if (r.status === 200) v.use((await r.json()).csrf)
  return { v, status: r.status }
}
const idOf = async (signIn: string): Promise<string> =>
  (await me.ask('GET', '/people')).body.people.find((p: { signIn: string }) => p.signIn === signIn).id
const reset = async (by: Visitor, signIn: string) =>
  tokenOf(await by.ask('POST', `/people/${await idOf(signIn)}/reset`))
const opens = async (token: string) => (await new Visitor(server.url).ask('GET', `/invitation/${token}`)).status

describe('a link stands on what it rests on now', () => {
  test('a new password for somebody who has left since is no way in', async () => {
    await comes(await invited(me, 'Abe', 'maker'), 'abe')
    const token = await reset(me, 'abe')
    expect(await opens(token)).toBe(200)
    expect((await me.ask('DELETE', `/people/${await idOf('abe')}`)).status).toBe(204)
    expect(await opens(token)).toBe(404)
    expect((await comes(token)).status).toBe(404)
    expect((await new Visitor(server.url).signIn('abe', PASSWORD)).status).toBe(401)
  })
  test('of two for one person the older has ended', async () => {
    await comes(await invited(me, 'Bea', 'maker'), 'bea')
    const [older, newer] = [await reset(me, 'bea'), await reset(me, 'bea')]
    expect((await comes(older, undefined, 'the older sentence')).status).toBe(404)
    expect((await comes(newer, undefined, 'the newer sentence')).status).toBe(200)
    expect((await comes(older, undefined, 'the older sentence')).status).toBe(404)
    expect((await new Visitor(server.url).signIn('bea', 'the newer sentence')).status).toBe(200)
  })
  test('asked for by two owners at one time, one of the two leads in', async () => {
    await comes(await invited(me, 'Bo', 'maker'), 'bo')
    const both = await Promise.all([reset(me, 'bo'), reset(me, 'bo'), reset(me, 'bo')])
    const open = await Promise.all(both.map(opens))
    expect(open.filter((s) => s === 200)).toHaveLength(1)
  })
  test.each(['DELETE', 'PUT'] as const)(
    'an invitation by an owner who is none any more (%s) makes nobody one',
    async (how) => {
      const name = how === 'PUT' ? 'dot' : 'cal'
      const { v: owner } = await comes(await invited(me, name, 'owner'), name)
      const tokens = [await invited(owner, `By ${name}`, 'owner'), await invited(owner, `With ${name}`, 'viewer')]
      await comes(await invited(me, `Of ${name}`, 'maker'), `of-${name}`)
      tokens.push(await reset(owner, `of-${name}`))
      for (const t of tokens) expect(await opens(t)).toBe(200)
      const shown = async () => (await me.ask('GET', '/people')).body.invited.map((i: { name: string }) => i.name)
      expect(await shown()).toEqual(expect.arrayContaining([`By ${name}`]))
      const id = await idOf(name)
      const done =
        how === 'PUT' ? me.ask('PUT', `/people/${id}/role`, { role: 'maker' }) : me.ask('DELETE', `/people/${id}`)
      expect((await done).status).toBe(204)
      for (const t of tokens) expect((await comes(t, 'nobody-at-all')).status).toBe(404)
      expect(await shown()).not.toEqual(expect.arrayContaining([`By ${name}`]))
    },
  )
  test('of two invitations to one name the older has ended; another name’s stands', async () => {
    const [older, other, newer] = [
      await invited(me, 'Eve', 'owner'),
      await invited(me, 'Fay', 'maker'),
      await invited(me, 'Eve', 'viewer'),
    ]
    expect([await opens(older), await opens(other), await opens(newer)]).toEqual([404, 200, 200])
  })
  test('a phone sends only as long as whoever made its link may, and by the newest of its kind', async () => {
    const { v: gil } = await comes(await invited(me, 'Gil', 'helper'), 'gil')
    const link = async (place?: string) =>
      tokenOf(await gil.ask('POST', '/commissions/crosswind/phone', place ? { place } : {}))
    const [older, other] = [await link(), await link('part:cx-board')]
    const newer = await link()
    const target = async (t: string) => (await new Visitor(server.url).ask('GET', `/up/${t}`)).status
    expect([await target(older), await target(other), await target(newer)]).toEqual([404, 200, 200])
    const before = (await me.ask('GET', '/commissions/crosswind')).body.revision
    expect((await me.ask('PUT', `/people/${await idOf('gil')}/role`, { role: 'viewer' })).status).toBe(204)
    expect(await target(newer)).toBe(404)
    const sent = await new Visitor(server.url).upload(`/up/${newer}`, new Uint8Array([1]), 'a.png')
    expect(sent.status).toBe(404)
    expect((await me.ask('GET', '/commissions/crosswind')).body.revision).toBe(before)
  })
  test('one made before it was noted by whom stands on its maker by name, where there is one of that name', async () => {
    const token = await invited(me, 'Hob', 'maker')
    await sql('UPDATE invitations SET made_by_id = NULL WHERE name = ?', ['Hob'])
    // Nobody stands behind it, and the shop has people: it is no link of a first start.
    expect(await opens(token)).toBe(404)
  })
})

describe('names that look alike', () => {
  test('are one, across alphabets, in capitals, in full width, with a dot behind', () => {
    for (const [a, b] of [
      ['maren', 'm\u0430ren'],
      ['maren', 'MAREN'],
      ['maren', 'maren.'],
      ['maren', '\uff4daren'],
      ['ilse', '\u0456l\u0455\u0435'],
      ['olga', '\u03bflga'],
    ] as const)
      expect([b, likeness(b)]).toEqual([b, likeness(a)])
    for (const [a, b] of [
      ['maren', 'marten'],
      ['jo', 'joe'],
      ['j.o', 'jo'],
      ['ilse', 'else'],
      ['\u043e\u043b\u044f', '\u043b\u0435\u0432'],
    ] as const)
      expect(likeness(b)).not.toBe(likeness(a))
    expect(likeness('')).toBe('')
    expect(likeness('m'.repeat(120)).length).toBeLessThanOrEqual(240)
  })
  test('a sign-in that looks like one that is here is taken, and opens that one', async () => {
    const token = await invited(me, 'Ina', 'maker')
    for (const taken of ['m\u0430ren', 'Maren.', '\uff2daren']) expect((await comes(token, taken)).status).toBe(409)
    expect((await comes(token, 'ina')).status).toBe(200)
    expect((await new Visitor(server.url).signIn('ina.', PASSWORD)).status).toBe(200)
    // Two at one time: one of them comes in.
    const [a, b] = [await invited(me, 'Kai', 'maker'), await invited(me, 'Kay', 'maker')]
    const both = await Promise.all([comes(a, 'kai'), comes(b, 'k\u0430i')])
    expect(both.map((r) => r.status).sort()).toEqual([200, 409])
  })
})

describe('guessing', () => {
  const guess = (v: Visitor, signIn: string, password: string, from: string) =>
    v.raw('POST', '/session', { signIn, password }, { 'x-forwarded-for': from }).then((r) => r.status)
  test('is slowed by whom it is about, from whatever addresses; a browser that was here before is let in all the same', async () => {
    await comes(await invited(me, 'Lou', 'maker'), 'lou')
    const own = new Visitor(server.url)
    expect((await own.signIn('lou', PASSWORD)).status).toBe(200)
    const tries: number[] = []
    for (let i = 0; i < 9; i++) tries.push(await guess(new Visitor(server.url), 'lou', `no ${i}`, `10.0.0.${i}`))
    expect(tries).toEqual([...Array(6).fill(401), ...Array(3).fill(429)])
    // Looking like it is being it.
    expect(await guess(new Visitor(server.url), 'LOU.', 'no', '10.0.1.1')).toBe(429)
    expect(await guess(new Visitor(server.url), 'lou', PASSWORD, '10.0.1.2')).toBe(429)
    expect((await own.signIn('lou', PASSWORD)).status).toBe(200)
    // Another person's browser is none that was here before.
    expect(await guess(me, 'lou', PASSWORD, '10.0.1.3')).toBe(429)
    // And nobody else is slowed.
    expect(await guess(new Visitor(server.url), 'osk', 'brass-and-light', '10.0.1.4')).toBe(200)
  })
  test('with such a browser is slowed as well', async () => {
    const { v: mia } = await comes(await invited(me, 'Mia', 'maker'), 'mia')
    const tries: number[] = []
    for (let i = 0; i < 14; i++) tries.push(await guess(mia, 'mia', `no ${i}`, `10.0.2.${i}`))
    expect(tries).toEqual([...Array(12).fill(401), ...Array(2).fill(429)])
  })
  test('of a code or a password by whoever holds a session is slowed by whose it is', async () => {
    const { v: noa } = await comes(await invited(me, 'Noa', 'maker'), 'noa')
    const tries: number[] = []
    for (let i = 0; i < 8; i++)
      tries.push((await noa.ask('PUT', '/session/password', { current: `no ${i}`, next: 'another sentence' })).status)
    expect(tries).toEqual([...Array(6).fill(401), ...Array(2).fill(429)])
  })
})
