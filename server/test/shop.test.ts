import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { writeCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { compose } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { makeSounds } from '@nubrin/demo'
import mariadb from 'mariadb'
import { Secret, TOTP } from 'otpauth'
import sharp from 'sharp'
import { costly } from '../../core/test/costly'
import { drawn } from '../../core/test/drawn'
import { sha256 } from '../src/base/ids'
import { isLoopback } from '../src/http/limits'
import { PAGE } from '../src/rack/rack-store'
import { type Server, startServer, Visitor, zip } from './harness'

let server: Server
let me: Visitor
const sql: Server['sql'] = (...ask) => server.sql(...ask)
const record = async (id: string): Promise<Commission> => (await me.ask('GET', `/commissions/${id}`)).body.record

beforeAll(async () => {
  server = await startServer({ NUBRIN_SIGNIN_LIMIT: '100' })
  me = new Visitor(server.url)
  expect((await me.signIn()).status).toBe(200)
})
afterAll(() => server.stop())

describe('the one door for files', () => {
  const photo = () =>
    sharp({ create: { width: 60, height: 40, channels: 3, background: '#a06030' } })
      .withMetadata({ exif: { IFD0: { Copyright: 'the home of somebody' } } })
      .jpeg()
      .toBuffer()
  costly(
    'a clean file keeps its bytes and its hash, however often it passes; an unclean one is cleaned once',
    async () => {
      for (const bytes of [
        await photo(),
        await sharp({ create: { width: 30, height: 30, channels: 4, background: '#a0603080' } })
          .withMetadata()
          .png()
          .toBuffer(),
        Buffer.from(makeSounds(90, ['deflect'])[0]!.bytes),
        await sharp({ create: { width: 3000, height: 20, channels: 3, background: '#111' } })
          .webp()
          .toBuffer(),
      ]) {
        const first = (await me.upload('/media', bytes, 'x')).body
        const kept = Buffer.from(await (await me.raw('GET', `/media/${first.hash}`)).arrayBuffer())
        expect(kept.includes('the home of somebody')).toBe(false)
        expect((await me.upload('/media', kept, 'again')).body.hash).toBe(first.hash)
      }
    },
  )
  costly(
    'an import passes the same door: a picture typed as a page is a picture, and no metadata comes along',
    async () => {
      const c = structuredClone(await record('reed-warden'))
      const bytes = await photo()
      const hash = sha256(bytes)
      c.id = 'door-1'
      for (const s of c.sabers) for (const f of s.fonts) f.sounds = []
      c.media = [{ ...c.media[0]!, hash, type: 'text/html', name: 'x.html' }]
      const file = await zip([
        ['commission.json', Buffer.from(writeCommission(c))],
        [`media/${hash}`, bytes],
      ])
      const r = await me.upload('/import', file, 'x.zip')
      expect(r.status).toBe(201)
      const [m] = r.body.record.media
      expect(m).toMatchObject({ type: 'image/jpeg' })
      expect(m.hash).not.toBe(hash)
      const res = await me.raw('GET', `/media/${m.hash}`)
      expect(res.headers.get('content-type')).toBe('image/jpeg')
      expect(res.headers.get('x-content-type-options')).toBe('nosniff')
      expect(res.headers.get('content-security-policy')).toContain('sandbox')
      expect(Buffer.from(await res.arrayBuffer()).includes('the home of somebody')).toBe(false)
      expect((await me.ask('GET', `/media/${hash}`)).status).toBe(404)
    },
  )
  test('a page, a script and a drawing are no pictures, whatever they are called', async () => {
    for (const text of ['<html><script>alert(1)</script>', '<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'])
      expect((await me.upload('/media', Buffer.from(text), 'x.jpg')).status).toBe(422)
  })
  test('what another shop has is not reached by its hash: not by the maker, a file, or a client’s link', async () => {
    await sql("INSERT IGNORE INTO shops (id, name) VALUES ('other', 'Other')")
    const hash = (await me.upload('/media', await photo(), 'x.jpg')).body.hash as string
    await sql("UPDATE media SET shop_id = 'other' WHERE hash = ?", [hash])
    expect((await me.ask('GET', `/media/${hash}`)).status).toBe(404)
    const c = structuredClone(await record('reed-warden'))
    c.id = 'thief'
    c.media = [{ ...c.media[0]!, hash }]
    expect((await me.upload('/import', Buffer.from(writeCommission(c)), 'x.json')).status).toBe(201)
    const issued = await me.ask('POST', '/commissions/thief/handoffs')
    expect(issued.status).toBe(201)
    const token = issued.body.link.split('/').pop()
    expect((await new Visitor(server.url).ask('GET', `/client/${token}/media/${hash}`)).status).toBe(404)
    const out = Buffer.from(await (await me.raw('GET', '/commissions/thief/export.zip')).arrayBuffer())
    expect(out.includes(`media/${hash}`)).toBe(false)
    // And what comes out so goes in again: what is missing is named in it.
    expect((await me.upload('/import?as=copy', out, 'x.zip')).status).toBe(201)
    await sql("DELETE FROM media WHERE shop_id = 'other'")
  })
})

describe('PDFs', () => {
  costly(
    'every demo order is printed, tagged, with bookmarks and embedded fonts; the same one twice is the same bytes',
    async () => {
      const { commissions } = (await me.ask('GET', '/rack')).body
      const shipped = (await me.ask('GET', '/rack?place=shipped')).body.commissions
      const ids = [...commissions, ...shipped].map((c: { id: string }) => c.id)
      expect(ids.length).toBeGreaterThan(4)
      for (const id of drawn(ids, 1 / 3)) {
        const get = async () =>
          Buffer.from(await (await me.raw('GET', `/commissions/${id}/handoff.pdf?paper=A4`)).arrayBuffer())
        const [a, b] = await Promise.all([get(), get()])
        expect({ id, head: a.subarray(0, 8).toString() }).toEqual({ id, head: '%PDF-1.7' })
        expect(a.equals(b)).toBe(true)
        const file = join(server.data, 'p.pdf')
        writeFileSync(file, a)
        const info = execFileSync('pdfinfo', [file]).toString()
        expect(info).toMatch(/Tagged: +yes/)
        const fonts = execFileSync('pdffonts', [file]).toString().split('\n').slice(2).filter(Boolean)
        expect(fonts.length).toBeGreaterThan(1)
        expect(fonts.filter((f) => !/ yes (yes|no) +(yes|no) /.test(f))).toEqual([])
        const structure = execFileSync('pdfinfo', ['-struct', file]).toString()
        for (const tag of ['Document', 'H1', 'H2', 'Table', 'TH', 'Figure', 'TOCI']) expect(structure).toContain(tag)
      }
    },
  )
  costly('twelve sabers, texts longer than a page, letters of other scripts: all of it is there', async () => {
    const c = structuredClone(await record('ember-fair'))
    c.id = 'twelve'
    const { asCopy } = await import('@nubrin/core/record')
    let n = 0
    c.sabers = Array.from({ length: 4 }, () => asCopy(c, () => `t${n++}x`).sabers)
      .flat()
      .slice(0, 12)
    c.requests = c.requests.map(({ saber: _s, where: _w, ...q }) => q) as typeof c.requests
    c.media = []
    c.toDos = []
    c.sabers[11]!.name = 'Zwölfter Ωμέγα Ж'
    c.requests[0]!.text = `${'verylongword'.repeat(19)} end`
    c.handoff.words = 'A line of words.\n'.repeat(180)
    const taken = await me.upload('/import', Buffer.from(writeCommission(c)), 'x.json')
    expect({ status: taken.status, problems: taken.body.problems }).toEqual({ status: 201, problems: undefined })
    const bytes = Buffer.from(await (await me.raw('GET', '/commissions/twelve/handoff.pdf?paper=A4')).arrayBuffer())
    const file = join(server.data, 'twelve.pdf')
    writeFileSync(file, bytes)
    const text = execFileSync('pdftotext', [file, '-']).toString()
    expect(text).toContain('Zwölfter Ωμέγα Ж')
    expect(text.match(/A line of words\./g)!.length).toBeGreaterThanOrEqual(180)
    const raw = execFileSync('pdftotext', ['-raw', file, '-']).toString()
    expect(raw.replace(/\s/g, '')).toContain('verylongword'.repeat(19))
    for (const s of c.sabers) expect(text).toContain(s.name)
    expect(bytes.length).toBeLessThan(2_000_000)
  })
  test('a client’s page carries what it shows: no source, no note of the shop, no test, no repair', async () => {
    const c = structuredClone(await record('reed-warden'))
    c.id = 'bare-page'
    const s = c.sabers[0]!
    s.hilt.sections[1]!.length.trail = [{ value: 99.25, source: 'recalled', by: 'SHOPSECRET' }]
    s.hilt.sections[1]!.note = 'SHOPSECRET'
    s.parts[0]!.note = 'SHOPSECRET'
    s.parts[0]!.lot = 'SHOPSECRET'
    c.log.push({ id: 'log-x' as never, on: '2026-11-01', text: 'SHOPSECRET', kind: 'work' })
    c.questions = [{ id: 'q-x' as never, text: 'SHOPSECRET', answer: 'SHOPSECRET', blocks: false }] as never
    expect((await me.upload('/import', Buffer.from(writeCommission(c)), 'x.json')).status).toBe(201)
    const issued = await me.ask('POST', '/commissions/bare-page/handoffs')
    expect(issued.status).toBe(201)
    const page = (await new Visitor(server.url).ask('GET', `/client/${issued.body.link.split('/').pop()}`)).body
    expect(JSON.stringify(page.sabers)).not.toContain('SHOPSECRET')
    expect(JSON.stringify(page.sabers)).not.toContain('99.25')
    expect(page.sabers[0]).toMatchObject({ tests: [], repairs: [], beats: [], decisions: [] })
    // And it is drawn as the shop draws it.
    const { drawSection } = await import('@nubrin/core/drawing')
    const view = { width: 760, height: 190 }
    expect(drawSection(MAKER, page.sabers[0], view).prims).toEqual(drawSection(MAKER, s, view).prims)
  })
  test('others are answered while one is made', async () => {
    let done = false
    const making = me.raw('GET', '/commissions/ember-fair/handoff.pdf?paper=Letter').then((r) => {
      done = true
      return r.arrayBuffer()
    })
    let answered = 0
    while (!done && answered < 3) {
      expect((await me.ask('GET', '/session')).status).toBe(200)
      answered++
    }
    await making
    expect(answered).toBeGreaterThan(0)
  })
})

describe('people', () => {
  const invite = async (name: string, role: string) => {
    const r = await me.ask('POST', '/people', { name, role })
    return r.body.link.split('/').pop() as string
  }
  const join_ = async (token: string, signIn: string) => {
    const v = new Visitor(server.url)
    const r = await v.ask('POST', `/invitation/${token}`, { signIn, password: 'a long sentence' })
    v.use(r.body.csrf)
    return { v, r }
  }
  test('invited, come in, of use once; a helper neither ships nor takes away, a viewer only looks', async () => {
    const token = await invite('Hale', 'helper')
    expect((await me.ask('GET', `/invitation/${token}`)).body).toMatchObject({
      name: 'Hale',
      role: 'helper',
      asks: 'person',
    })
    const { v: hale, r } = await join_(token, 'hale')
    expect(r).toMatchObject({ status: 200, body: { user: { name: 'Hale', role: 'helper' } } })
    expect((await join_(token, 'hale2')).r.status).toBe(404)
    const base = (await hale.ask('GET', '/commissions/crosswind')).body.revision
    const patch = (at: string, value: string) =>
      hale.ask('PATCH', '/commissions/crosswind', { base, ops: [{ op: 'set', at, value }] })
    expect((await patch('/shipped', '2026-11-25')).status).toBe(403)
    expect((await patch('/brief', 'by a helper')).status).toBe(200)
    for (const [m, p] of [
      ['DELETE', '/commissions/crosswind'],
      ['POST', '/commissions/reed-warden/handoffs'],
      ['GET', '/people'],
      ['POST', '/commissions/crosswind/erase'],
      ['GET', '/shop/export.zip'],
    ] as const)
      expect({ p, status: (await hale.ask(m, p)).status }).toEqual({ p, status: 403 })
    const { v: vera } = await join_(await invite('Vera', 'viewer'), 'vera')
    expect((await vera.ask('GET', '/commissions/crosswind')).status).toBe(200)
    expect((await vera.ask('PATCH', '/commissions/crosswind', { base, ops: [] })).status).toBe(403)
    // A sign-in that is taken keeps the invitation good.
    const again = await invite('Hale the second', 'maker')
    expect((await join_(again, 'HALE')).r).toMatchObject({ status: 409, body: { problems: [{ path: '/signIn' }] } })
    expect((await join_(again, 'hale3')).r.status).toBe(200)
  })
  test('a role changed or a leaving ends the sessions; a shop keeps an owner', async () => {
    const { v } = await join_(await invite('Ima', 'maker'), 'ima')
    const all = (await me.ask('GET', '/people')).body.people as {
      id: string
      name: string
      signIn: string
      role: string
    }[]
    const names = all.map((p) => p.name)
    expect(names).toEqual(names.toSorted((a, b) => a.localeCompare(b, 'en', { sensitivity: 'base' })))
    const id = (s: string) => all.find((p) => p.signIn === s)!.id
    expect((await me.ask('PUT', `/people/${id('ima')}/role`, { role: 'viewer' })).status).toBe(204)
    expect((await v.ask('GET', '/people')).status).toBe(401)
    expect((await me.ask('PUT', `/people/${id('maren')}/role`, { role: 'maker' })).status).toBe(409)
    expect((await me.ask('DELETE', `/people/${id('maren')}`)).status).toBe(409)
    expect((await me.ask('DELETE', `/people/${id('ima')}`)).status).toBe(204)
    expect((await new Visitor(server.url).signIn('ima', 'a long sentence')).status).toBe(401)
    expect((await me.ask('DELETE', '/people/nobody')).status).toBe(404)
  })
  test('passwords: changed by oneself, reset by the owner; old ones and other sessions end', async () => {
    const { v: jo } = await join_(await invite('Jo', 'maker'), 'jo')
    const elsewhere = new Visitor(server.url)
    await elsewhere.signIn('jo', 'a long sentence')
    expect((await jo.ask('PUT', '/session/password', { current: 'no', next: 'another sentence' })).status).toBe(401)
    expect((await jo.ask('PUT', '/session/password', { current: 'a long sentence', next: 'short' })).status).toBe(422)
    expect(
      (await jo.ask('PUT', '/session/password', { current: 'a long sentence', next: 'another sentence' })).status,
    ).toBe(204)
    expect((await elsewhere.ask('GET', '/rack')).status).toBe(401)
    expect((await jo.ask('GET', '/rack')).status).toBe(200)
    const all = (await me.ask('GET', '/people')).body.people as { id: string; signIn: string }[]
    const link = (await me.ask('POST', `/people/${all.find((p) => p.signIn === 'jo')!.id}/reset`)).body.link
    expect((await jo.ask('GET', '/rack')).status).toBe(401)
    expect((await new Visitor(server.url).signIn('jo', 'another sentence')).status).toBe(401)
    const back = new Visitor(server.url)
    expect(
      (await back.ask('POST', `/invitation/${link.split('/').pop()}`, { password: 'a third sentence' })).status,
    ).toBe(200)
    expect((await new Visitor(server.url).signIn('jo', 'a third sentence')).status).toBe(200)
  })
  test('a second factor is asked for, takes each code once, and goes with the password · a day', async () => {
    const { v: kit } = await join_(await invite('Kit', 'maker'), 'kit')
    const { secret } = (await kit.ask('POST', '/session/factor')).body
    const codeAt = (ms: number) => new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: ms })
    const password = 'a long sentence'
    const put = (v: Visitor, body: object) => v.ask('PUT', '/session/factor', body)
    expect((await put(kit, { code: '000000', password })).status).toBe(401)
    expect((await put(kit, { code: codeAt(Date.now() - 30_000), password: 'no' })).status).toBe(401)
    expect((await put(kit, { code: codeAt(Date.now() - 30_000), password })).status).toBe(204)
    const sign = (code?: string) =>
      new Visitor(server.url).ask('POST', '/session', {
        signIn: 'kit',
        password: 'a long sentence',
        ...(code ? { code } : {}),
      })
    expect(await sign()).toMatchObject({ status: 401, body: { title: 'codeWanted' } })
    expect((await sign('123456')).status).toBe(401)
    const code = codeAt(Date.now())
    expect((await sign(code)).status).toBe(200)
    expect((await sign(code)).status).toBe(401)
    // Whoever holds a session, or the password, neither replaces it nor turns it off; a code of the one that is on is wanted.
    const next = (await kit.ask('POST', '/session/factor')).body.secret
    const other = new TOTP({ secret: Secret.fromBase32(next) }).generate({ timestamp: Date.now() })
    expect((await put(kit, { code: other, password })).status).toBe(401)
    expect((await put(kit, { code: other, password, old: code })).status).toBe(401)
    const drop = (body: object) => kit.ask('DELETE', '/session/factor', body)
    expect((await drop({ password: 'no', code: codeAt(Date.now() + 30_000) })).status).toBe(401)
    expect((await drop({ password, code })).status).toBe(401)
    expect((await drop({ password })).status).toBe(422)
    expect((await put(kit, { code: other, password, old: codeAt(Date.now() + 30_000) })).status).toBe(204)
    expect((await sign(codeAt(Date.now() + 30_000))).status).toBe(401)
    const later = new TOTP({ secret: Secret.fromBase32(next) }).generate({ timestamp: Date.now() + 30_000 })
    expect((await drop({ password, code: later })).status).toBe(204)
    expect((await drop({ password, code: later })).status).toBe(409)
    expect((await sign()).status).toBe(200)
  })
  test('sessions are listed without their secret, and ended', async () => {
    const there = new Visitor(server.url)
    await there.signIn('osk')
    const mine = (await me.ask('GET', '/sessions')).body as { id: string; person: string; here: boolean }[]
    expect(mine.filter((s) => s.here)).toHaveLength(1)
    const osk = mine.find((s) => s.person === 'Osk')!
    const sids = (await sql('SELECT sid FROM sessions')).map((r: { sid: string }) => r.sid)
    expect(sids).not.toContain(osk.id)
    const his = (await there.ask('GET', '/sessions')).body as { person: string }[]
    expect(his.every((s) => s.person === 'Osk')).toBe(true)
    for (const s of mine.filter((x) => x.person === 'Osk'))
      expect((await me.ask('DELETE', `/sessions/${s.id}`)).status).toBe(204)
    expect((await there.ask('GET', '/rack')).status).toBe(401)
    expect((await me.ask('DELETE', '/sessions/none')).status).toBe(404)
  })
  test('what has ended stays ended, whatever was still on its way · a day', async () => {
    const { v: nia } = await join_(await invite('Nia', 'maker'), 'nia')
    const { id } = (await me.ask('GET', '/people')).body.people.find((p: { signIn: string }) => p.signIn === 'nia')
    const here = async (password: string) => {
      const v = new Visitor(server.url)
      expect((await v.signIn('nia', password)).status).toBe(200)
      return v
    }
    const rows = async () => Number((await sql('SELECT COUNT(*) AS n FROM sessions WHERE user_id = ?', [id]))[0].n)
    /** Six sessions, each with requests on their way that write it down, while something ends them. */
    const cut = async (password: string, by: () => Promise<{ status: number }>, keeps: number) => {
      const others = await Promise.all(Array.from({ length: 6 }, () => here(password)))
      const old = new Date(Date.now() - 3 * 3_600_000).toISOString()
      await sql("UPDATE sessions SET data = JSON_SET(data, '$.seen', ?) WHERE user_id = ?", [old, id])
      const going = others.flatMap((o) => [
        o.ask('GET', '/rack'),
        o.ask('GET', '/commissions/reed-warden'),
        o.ask('GET', '/people'),
      ])
      const [ended] = await Promise.all([by(), ...going])
      expect(ended.status).toBe(204)
      expect((await Promise.all(others.map((o) => o.ask('GET', '/rack')))).map((r) => r.status)).toEqual(
        Array(6).fill(401),
      )
      expect(await rows()).toBe(keeps)
    }
    await cut(
      'a long sentence',
      () => nia.ask('PUT', '/session/password', { current: 'a long sentence', next: 'another sentence' }),
      1,
    )
    await cut('another sentence', () => me.ask('PUT', `/people/${id}/role`, { role: 'viewer' }), 0)
    await cut('another sentence', () => me.ask('DELETE', `/people/${id}`), 0)
  })
  test('who somebody is, what he may do and how long is read with each request · a day', async () => {
    const { v: pim } = await join_(await invite('Pim', 'maker'), 'pim')
    const set = (what: string) => sql(`UPDATE users SET ${what} WHERE sign_in = 'pim'`)
    const item = () => ({ id: `pim-${Math.random().toString(36).slice(2)}`, text: 'Which?', blocks: false })
    const change = () =>
      pim.ask('PATCH', '/commissions/crosswind', {
        base: 1,
        ops: [{ op: 'insert', at: '/questions', item: item(), after: null }],
      })
    expect((await change()).status).toBe(200)
    await set("role = 'viewer'")
    expect((await change()).status).toBe(403)
    expect((await pim.ask('GET', '/session')).body.user).toMatchObject({ name: 'Pim', role: 'viewer' })
    await set("role = 'maker', left_at = '2001-01-01'")
    expect((await change()).status).toBe(401)
    await set('left_at = NULL')
    expect((await change()).status).toBe(200)
    await sql("UPDATE sessions SET expires = ? WHERE user_id = (SELECT id FROM users WHERE sign_in = 'pim')", [
      new Date(Date.now() - 1000),
    ])
    expect((await change()).status).toBe(401)
  })
  test('reading does not write the session · a day', async () => {
    await me.ask('GET', '/rack')
    const before = await sql('SELECT SUM(CRC32(CONCAT(data, expires))) AS n FROM sessions')
    for (let i = 0; i < 5; i++) await me.ask('GET', '/commissions/crosswind')
    expect(await sql('SELECT SUM(CRC32(CONCAT(data, expires))) AS n FROM sessions')).toEqual(before)
  })
  test('a session lives on with its use: the cookie is given anew when that is noted, and not at each read · a day', async () => {
    const there = new Visitor(server.url)
    await there.signIn('osk')
    const mine = "JSON_VALUE(data, '$.user.name') = 'Osk'"
    const soon = new Date(Date.now() + 86_400_000)
    await sql(
      `UPDATE sessions SET expires = ?, data = JSON_SET(data, '$.seen', ?, '$.cookie.expires', ?) WHERE ${mine}`,
      [soon, new Date(Date.now() - 3 * 3_600_000).toISOString(), soon.toISOString()],
    )
    const first = await there.raw('GET', '/rack')
    const [cookie] = first.headers.getSetCookie()
    // The answer is whole only once the session is written.
    await first.text()
    const until = Date.parse(/Expires=([^;]+)/.exec(cookie ?? '')?.[1] ?? '')
    expect(until).toBeGreaterThan(Date.now() + 13 * 86_400_000)
    const [{ kept }] = await sql(`SELECT MAX(expires) AS kept FROM sessions WHERE ${mine}`)
    expect(Number(kept)).toBeGreaterThan(Date.now() + 13 * 86_400_000)
    expect((await there.raw('GET', '/rack')).headers.getSetCookie()).toEqual([])
  })
})

describe('clients', () => {
  test('nobody is taken for another by a name or its look; a person says who is the same', async () => {
    const begin = async (title: string, client: string, knownClient?: string) =>
      (await me.ask('POST', '/commissions', { title, client, ...(knownClient ? { knownClient } : {}) })).body.record
        .id as string
    const one = await begin('One', 'Åsa Ré')
    const two = await begin('Two', 'asa re')
    const three = await begin('Three', 'Åsa Ré')
    const of = async (id: string) => (await me.ask('GET', `/commissions/${id}/client`)).body
    const ids = [(await of(one)).id, (await of(two)).id, (await of(three)).id]
    expect(new Set(ids).size).toBe(3)
    expect((await of(three)).alike.map((c: { id: string }) => c.id).sort()).toEqual([ids[0], ids[1]].sort())
    expect((await me.ask('PUT', `/commissions/${three}/client`, { client: ids[0] })).status).toBe(204)
    expect(await of(three)).toMatchObject({ id: ids[0], earlier: [{ title: 'One' }] })
    expect((await me.ask('GET', '/clients?name=asa')).body.map((c: { id: string }) => c.id)).not.toContain(ids[2])
    expect(await of(await begin('Four', '', ids[0]))).toMatchObject({ id: ids[0] })
    // A name changed in one of several commissions of a client is perhaps somebody new.
    const { revision } = (await me.ask('GET', `/commissions/${three}`)).body
    await me.ask('PATCH', `/commissions/${three}`, {
      base: revision,
      ops: [{ op: 'set', at: '/client/name', value: 'Bo' }],
    })
    expect((await of(three)).id).not.toBe(ids[0])
    expect((await of(one)).id).toBe(ids[0])
    expect((await me.ask('PUT', `/commissions/${one}/client`, { client: 'nobody' })).status).toBe(404)
  })
})

describe('what the shop brings and takes along', () => {
  test('earlier work comes in whole or not at all; who comes back is one person', async () => {
    const csv = (rows: string) => Buffer.from(`client,title,shipped,contact\n${rows}`)
    const bad = await me.upload('/import/earlier', csv('Reed,First,2020-01-01,r@x\nReed,Second,soon,r@x\n'), 'x.csv')
    expect(bad).toMatchObject({ status: 422, body: { problems: [{ path: '/3/shipped', rule: 'format' }] } })
    expect((await me.ask('GET', '/clients?name=Reed')).body).toEqual([])
    const rows = 'Reed,First,2020-01-01,r@x\nReed,Second,2021-01-01,r@x\nReed,Third,2021-01-01,other@x\n'
    expect(await me.upload('/import/earlier', csv(rows), 'x.csv')).toMatchObject({ status: 201, body: { taken: 3 } })
    const clients = (await me.ask('GET', '/clients?name=Reed')).body as { commissions: { title: string }[] }[]
    expect(clients.map((c) => c.commissions.map((x) => x.title).sort()).sort()).toEqual([
      ['First', 'Second'],
      ['Third'],
    ])
  })
  costly(
    'the whole shop goes out: every commission, off the rack too, the shelf, what it says of itself, the files',
    async () => {
      const out = join(server.data, 'shop.zip')
      writeFileSync(out, Buffer.from(await (await me.raw('GET', '/shop/export.zip')).arrayBuffer()))
      const yauzl = (await import('yauzl')).default
      const names = await new Promise<string[]>((done, fail) => {
        yauzl.open(out, (err, z) => {
          if (err) return fail(err)
          const list: string[] = []
          z.on('entry', (e) => list.push(e.fileName))
            .on('end', () => done(list))
            .on('error', fail)
        })
      })
      const rows = (await sql("SELECT id, archived_at AS off FROM commissions WHERE shop_id <> 'other'")) as {
        id: string
        off: unknown
      }[]
      const wanted = rows.map((r) => `${r.off ? 'archive' : 'commissions'}/${r.id}.json`)
      expect(names.filter((n) => /^(archive|commissions)\//.test(n)).sort()).toEqual(wanted.sort())
      expect(names).toEqual(
        expect.arrayContaining([
          ...['shop.json', 'shelf.json', 'quotes.json', 'letters.json', 'orders.json', 'clients.json'],
        ]),
      )
      expect(names.filter((n) => n.startsWith('media/')).length).toBeGreaterThan(3)
    },
  )
  test('what it says of itself is checked, kept, and stands on paper and on the client’s page · a day', async () => {
    const said = (await me.ask('GET', '/settings')).body
    const bad = await me.ask('PUT', '/settings', { ...said, publicUrl: 'javascript:alert(1)', linkDays: -1 })
    expect(bad.body.problems.map((p: { path: string }) => p.path).sort()).toEqual(['/linkDays', '/publicUrl'])
    const next = { ...said, address: 'The old Mill', closing: 'Light it well.', signature: 'for the shop', linkDays: 3 }
    expect((await me.ask('PUT', '/settings', next)).body).toEqual(next)
    const file = join(server.data, 's.pdf')
    writeFileSync(file, Buffer.from(await (await me.raw('GET', '/commissions/reed-warden/handoff.pdf')).arrayBuffer()))
    const text = execFileSync('pdftotext', [file, '-']).toString()
    for (const t of ['The old Mill', 'Light it well.', 'for the shop']) expect(text).toContain(t)
    const issued = (await me.ask('POST', '/commissions/reed-warden/handoffs')).body
    const days = (Date.parse(issued.expires) - Date.now()) / 86_400_000
    expect(days).toBeGreaterThan(2.9)
    expect(days).toBeLessThanOrEqual(3)
    const token = issued.link.split('/').pop()
    const page = () => new Visitor(server.url).ask('GET', `/client/${token}`)
    expect((await page()).body.document.from).toMatchObject({ address: 'The old Mill' })
    await sql("UPDATE handoffs SET expires_at = '2001-01-01'")
    expect((await page()).status).toBe(404)
    await me.ask('PUT', '/settings', said)
  })
})

describe('many at one time', () => {
  costly(
    'twenty begin, copy, issue and change at once: nobody is answered with a fault, nothing is done twice',
    async () => {
      const file = Buffer.from(await (await me.raw('GET', '/commissions/reed-warden/export.zip')).arrayBuffer())
      const jobs = Array.from({ length: 20 }, (_, i) => [
        me.ask('POST', '/commissions', { title: `Many ${i}`, client: `Client ${i % 3}` }),
        me.upload('/import?as=copy', file, 'x.zip'),
        me.ask('POST', '/commissions/reed-warden/handoffs'),
        me.ask('PATCH', '/commissions/cinder-oath', {
          base: 1,
          change: `many-many-${i}`,
          ops: [
            { op: 'insert', at: '/questions', item: { id: `many-${i}`, text: 'Which?', blocks: false }, after: null },
          ],
        }),
      ])
      const all = await Promise.all(jobs.flat())
      expect(all.filter((r) => r.status >= 500).map((r) => r.body)).toEqual([])
      expect(all.filter((r) => r.status === 200)).toHaveLength(20)
      const numbers = (await me.ask('GET', '/commissions/reed-warden/handoffs')).body.map(
        (h: { number: number }) => h.number,
      )
      expect(new Set(numbers).size).toBe(numbers.length)
      const c = await record('cinder-oath')
      expect(c.questions.filter((q) => q.id.startsWith('many-'))).toHaveLength(20)
    },
    120_000,
  )
  test('a change sent twice is done once', async () => {
    const { revision } = (await me.ask('GET', '/commissions/crosswind')).body
    const send = () =>
      me.ask('PATCH', '/commissions/crosswind', {
        base: revision,
        change: 'the-same-change',
        ops: [
          { op: 'insert', at: '/questions', item: { id: 'once-only', text: 'Which?', blocks: false }, after: null },
        ],
      })
    const [a, b] = await Promise.all([send(), send()])
    expect([a.status, b.status]).toEqual([200, 200])
    expect((await record('crosswind')).questions.filter((q) => q.id === 'once-only')).toHaveLength(1)
    expect((await me.ask('GET', `/commissions/crosswind/changes?after=${revision}`)).body).toHaveLength(1)
  })
})

describe('the rack', () => {
  test('what it says is what the checks say, after each save, and it is found by name, part, lot, wish and note · a day', async () => {
    const row = async () =>
      ((await me.ask('GET', '/rack')).body.commissions as { id: string; title: string }[]).find(
        (c) => c.id === 'cinder-oath',
      )
    const { revision } = (await me.ask('GET', '/commissions/cinder-oath')).body
    await me.ask('PATCH', '/commissions/cinder-oath', {
      base: revision,
      ops: [{ op: 'set', at: '/title', value: 'Cinder Oath anew' }],
    })
    const { rackEntryOf } = await import('../src/rack/rack-entry')
    const { revision: _r, savedAt: _a, savedBy: _b, ...shown } = (await row()) as unknown as Record<string, unknown>
    expect(shown).toEqual(
      JSON.parse(JSON.stringify(rackEntryOf(await record('cinder-oath'), new Date().toISOString().slice(0, 10)))),
    )
    const found = async (q: string) =>
      ((await me.ask('GET', `/rack?q=${encodeURIComponent(q)}`)).body.commissions as { id: string }[]).map((c) => c.id)
    expect(await found('cinder anew')).toContain('cinder-oath')
    expect(await found('Ilsabet')).toContain('reed-warden')
    expect(await found('L-2609')).toContain('reed-warden')
    expect(await found('crystal glows')).toContain('reed-warden')
    expect(await found('drill seized')).toContain('cinder-oath')
    expect(await found('nothing like this')).toEqual([])
    expect(await found('+-*"() ~')).toEqual([])
    expect((await me.ask('GET', '/rack?after=nonsense')).status).toBe(422)
  })
  costly(
    'how much hangs where follows at once: brought in, shipped, taken off, hung up again; asked in the midst of it too · a day',
    async () => {
      const counts = async () => (await me.ask('GET', '/rack')).body.counts as Record<string, number>
      const sum = async () => {
        const [n] = await sql(
          "SELECT SUM(place = 'open') AS open, SUM(place = 'shipped') AS shipped, SUM(place = 'model') AS models FROM commissions WHERE shop_id = (SELECT shop_id FROM commissions WHERE id = 'reed-warden')",
        )
        return Object.fromEntries(Object.entries(n as object).map(([k, v]) => [k, Number(v)]))
      }
      const before = await counts()
      const { shipped: _none, ...c } = structuredClone(await record('reed-warden'))
      c.id = 'counted'
      c.deadline = new Date().toISOString().slice(0, 10)
      expect((await me.upload('/import', Buffer.from(writeCommission(c)), 'x.json')).status).toBe(201)
      expect(await counts()).toMatchObject({
        open: before.open! + 1,
        soon: before.soon! + 1,
        sabers: before.sabers! + c.sabers.length,
      })
      const { revision } = (await me.ask('GET', '/commissions/counted')).body
      const ship = me.ask('PATCH', '/commissions/counted', {
        base: revision,
        ops: [{ op: 'set', at: '/shipped', value: '2026-11-20' }],
      })
      for (let i = 0; i < 5; i++) await counts()
      expect((await ship).status).toBe(200)
      expect(await counts()).toMatchObject({ open: before.open, shipped: before.shipped! + 1 })
      await me.ask('DELETE', '/commissions/counted')
      expect(await counts()).toMatchObject({ open: before.open, shipped: before.shipped })
      expect((await me.ask('POST', '/commissions/counted/unarchive')).status).toBe(204)
      expect(await counts()).toMatchObject(await sum())
      await me.ask('DELETE', '/commissions/counted')
    },
  )
  test('what stands against shipping keeps it on the rack, whatever day is given, and says what it is', async () => {
    const path = '/commissions/cinder-oath'
    const { revision, record } = (await me.ask('GET', path)).body
    const { gate } = (await me.ask('GET', '/rack')).body.commissions.find((c: { id: string }) => c.id === 'cinder-oath')
    expect(gate).toBeGreaterThan(0)
    for (const ops of [
      [{ op: 'set', at: '/shipped', value: '2026-11-20' }],
      [
        { op: 'set', at: '/brief', value: 'on its way', was: record.brief },
        { op: 'set', at: '/shipped', value: '2099-01-01' },
      ],
    ]) {
      const r = await me.ask('PATCH', path, { base: revision, ops })
      expect(r).toMatchObject({ status: 422, body: { problems: [{ path: '/shipped', rule: 'gate' }] } })
      expect(r.body.open).toHaveLength(gate)
      expect(r.body.detail).toMatch(new RegExp(`^${gate} issues? blocks? shipping`))
    }
    expect((await me.ask('GET', path)).body.record).toEqual(record)
  })
  test('pages follow one another without a gap or a repeat, however many', async () => {
    for (let i = 0; i <= PAGE; i++)
      expect((await me.ask('POST', '/commissions', { title: `Leaf ${i}`, client: 'Marl' })).status).toBe(201)
    const seen: string[] = []
    let after: string | null = ''
    let pages = 0
    for (;;) {
      const r = (await me.ask('GET', `/rack${after ? `?after=${encodeURIComponent(after)}` : ''}`)).body as {
        commissions: { id: string }[]
        next: string | null
      }
      seen.push(...r.commissions.map((c) => c.id))
      after = r.next
      pages++
      if (!after) break
    }
    const open = (await sql("SELECT id FROM commissions WHERE place = 'open' AND shop_id <> 'other'")).map(
      (r: { id: string }) => r.id,
    )
    expect(pages).toBeGreaterThan(1)
    expect(seen.toSorted()).toEqual(open.toSorted())
  })
})

describe('off the rack, and gone', () => {
  costly(
    'taken off, links end; hung up again it is as it was; erased nothing of the person is anywhere, but the lot',
    async () => {
      const c = structuredClone(await record('reed-warden'))
      c.id = 'to-erase'
      c.title = 'Erasable Title'
      c.client = { name: 'Quillfeather Person', contact: 'quill@feather' }
      c.sabers[0]!.parts.find((p) => p.kind === 'cell')!.lot = 'LOT-KEPT'
      const only = (
        await me.upload(
          '/media',
          await sharp({ create: { width: 9, height: 9, channels: 3, background: '#123456' } })
            .jpeg()
            .toBuffer(),
          'o.jpg',
        )
      ).body.hash as string
      c.media = [{ ...c.media[0]!, hash: only, caption: 'Quillfeather at home' }]
      // What is said of the client is said anew, or it would stand in the way.
      c.sabers[0]!.beats = compose(c, c.sabers[0]!)
      expect((await me.upload('/import', Buffer.from(writeCommission(c)), 'x.json')).status).toBe(201)
      const link = (await me.ask('POST', '/commissions/to-erase/handoffs')).body.link.split('/').pop()
      expect((await me.ask('POST', '/commissions/to-erase/erase', { why: 'asked' })).status).toBe(409)
      expect((await me.ask('DELETE', '/commissions/to-erase')).status).toBe(204)
      expect((await new Visitor(server.url).ask('GET', `/client/${link}`)).status).toBe(404)
      expect((await me.ask('GET', '/archive')).body.map((x: { id: string }) => x.id)).toContain('to-erase')
      expect((await me.ask('POST', '/commissions/to-erase/unarchive')).status).toBe(204)
      expect(await record('to-erase')).toEqual(c)
      await me.ask('DELETE', '/commissions/to-erase')
      expect((await me.ask('POST', '/commissions/to-erase/erase', { why: 'asked for' })).status).toBe(204)
      for (const [t] of (await sql({ sql: 'SHOW TABLES', rowsAsArray: true } as never)) as string[][]) {
        const rows = JSON.stringify(await sql(`SELECT * FROM \`${t}\``), (_k, v) =>
          typeof v === 'bigint' ? Number(v) : v,
        )
        expect({ t, there: /Quillfeather|quill@feather|Erasable Title/.test(rows) }).toEqual({ t, there: false })
      }
      expect((await me.ask('GET', `/media/${only}`)).status).toBe(404)
      expect(() => readFileSync(join(server.data, 'files', only.slice(0, 2), only))).toThrow()
      const lots = await sql("SELECT lot FROM fitted_parts WHERE commission_id = 'to-erase'")
      expect(lots.map((r: { lot: string }) => r.lot)).toContain('LOT-KEPT')
      expect(readFileSync(join(server.data, 'erasures.ndjson'), 'utf8')).toContain('to-erase')
    },
  )
  test('history is beyond the reach of the program itself', async () => {
    const app = server.appUrl
    await expect(sql('DELETE FROM history', [], app)).rejects.toThrow(/denied/)
    await expect(sql("UPDATE history SET ops = '[]'", [], app)).rejects.toThrow(/denied/)
    await expect(sql('DROP TABLE history', [], app)).rejects.toThrow(/denied/)
    await expect(sql('DELETE FROM commissions', [], app)).rejects.toThrow(/denied/)
    await expect(sql('DELETE FROM history')).rejects.toThrow(/append-only/)
    await expect(mariadb.createConnection(server.databaseUrl.replace(/\/\/[^@]+@/, '//root@'))).rejects.toThrow()
  })
})

describe('a phone at the bench', () => {
  test('its photos come to the commission, by a link that lasts an hour · a day', async () => {
    const { link } = (await me.ask('POST', '/commissions/crosswind/phone', {})).body
    const phone = new Visitor(server.url)
    const path = link.replace('/up/', '/up/')
    const { expires } = (await phone.ask('GET', path)).body
    expect(Math.abs(Date.parse(expires) - Date.now() - 3_600_000)).toBeLessThan(60_000)
    expect((await phone.ask('GET', path)).body.title).toBe('Crosswind')
    const n = (await record('crosswind')).media.length
    const bytes = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#0a0' } })
      .jpeg()
      .toBuffer()
    expect((await phone.upload(path, bytes, 'IMG_1.jpg')).status).toBe(201)
    expect((await phone.upload(path, Buffer.from('no picture'), 'x.jpg')).status).toBe(422)
    const now = await record('crosswind')
    expect(now.media).toHaveLength(n + 1)
    expect((await me.raw('GET', `/media/${now.media.at(-1)!.hash}`)).status).toBe(200)
    await sql("UPDATE upload_links SET expires_at = '2001-01-01'")
    expect((await phone.ask('GET', path)).status).toBe(404)
  })
})

describe('what is asked oddly', () => {
  test('nested copies, deep bodies, broken addresses, other names', async () => {
    const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`
    const raw = (path: string, init: RequestInit = {}) => fetch(`${server.url}${path}`, init)
    expect(
      (await raw('/api/session', { method: 'POST', headers: { 'content-type': 'application/json' }, body: deep }))
        .status,
    ).toBe(422)
    expect((await me.upload('/import', Buffer.from(deep), 'x.json')).status).toBe(422)
    expect((await me.upload('/import', await zip([['commission.json', Buffer.from(deep)]]), 'x.zip')).status).toBe(422)
    expect((await raw('/api/commissions/%ff')).status).toBe(400)
    expect((await raw('/%ff')).status).toBe(400)
    const { request } = await import('node:http')
    const other = await new Promise<number>((done) => {
      request(`${server.url}/api/health`, { headers: { host: 'evil.example' } }, (r) => done(r.statusCode!)).end()
    })
    expect(other).toBe(421)
  })
  test('answers travel as they are on this machine, and are pressed for whoever comes from elsewhere', async () => {
    expect(['127.0.0.1', '::1', '::ffff:127.0.0.1'].every(isLoopback)).toBe(true)
    expect(['10.0.0.1', '2001:db8::1', '::ffff:10.0.0.1', '1127.0.0.1', undefined].some(isLoopback)).toBe(false)
    const plain = await me.raw('GET', '/commissions/crosswind')
    expect(plain.headers.get('content-encoding')).toBeNull()
    expect(await plain.json()).toMatchObject({ record: { id: 'crosswind' } })
  })
  test('health tells of each part, answers carry an id, and what is private is not kept', async () => {
    const res = await me.raw('GET', '/health')
    expect((await res.json()).parts).toMatchObject({ database: { ok: true }, files: { ok: true }, disk: { ok: true } })
    expect(res.headers.get('x-request-id')).toMatch(/^[\w-]{12}$/)
    expect((await me.raw('GET', '/commissions/crosswind')).headers.get('cache-control')).toContain('no-store')
  })
})
