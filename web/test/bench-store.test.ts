/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { judgeCommission } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { applyOps, type Op, rebaseOps } from '@nubrin/core/record/ops'
import { demoCommissions } from '@nubrin/demo'
import { waitFor } from '@testing-library/dom'
import 'fake-indexeddb/auto'
import { keptUnsaved, todayIso } from '../src/data'
import { useBench } from '../src/store/commission'
import { fetchChecks } from '../src/store/judging'

/** A server that keeps one commission and says what it is told to say. */
class FakeServer {
  record: Commission
  revision = 1
  asked: string[] = []
  /** What the next change is answered with, instead of being carried out. */
  next: (() => Promise<Response>) | undefined
  history: { revision: number; by: string; at: string; ops: Op[]; change?: string }[] = []
  /** What somebody else saves just before the next change arrives. */
  before: Op[] | undefined

  constructor(record: Commission) {
    this.record = record
  }
  json = (status: number, body: unknown) =>
    ({ ok: status < 400, status, statusText: String(status), json: async () => body }) as unknown as Response
  saved() {
    return { record: this.record, revision: this.revision, savedAt: '2026-11-24T20:00:00.000Z', savedBy: 'Osk' }
  }
  /** Somebody saves. */
  other(ops: Op[], by = 'Ansa', change?: string) {
    const done = applyOps(this.record, ops)
    if (!done.ok) throw new Error(done.why)
    this.record = done.value
    this.revision++
    this.history.push({
      revision: this.revision,
      by,
      at: '2026-11-24T20:00:00.000Z',
      ops,
      ...(change ? { change } : {}),
    })
  }
  fetch = async (url: string, init: { method: string; body?: string }): Promise<Response> => {
    this.asked.push(`${init.method} ${url}`)
    if (this.away) throw new TypeError('network')
    const after = /changes\?after=(\d+)/.exec(url)
    if (after)
      return this.json(
        200,
        this.history.filter((h) => h.revision > Number(after[1])),
      )
    if (init.method === 'GET') return this.json(200, this.saved())
    const { base, ops, change } = JSON.parse(init.body!) as { base: number; ops: Op[]; change: string }
    const next = this.next
    if (next) {
      this.next = undefined
      return next()
    }
    const since = () => this.history.filter((h) => h.revision > base)
    if (!since().some((h) => h.change === change)) {
      const mine = rebaseOps(
        ops,
        since().flatMap((h) => h.ops),
      )
      if (mine.clashes.length) return this.json(409, { detail: 'clash', since: since() })
      this.other(mine.ops, 'Osk', change)
    }
    if (this.lose) {
      this.lose = false
      throw new TypeError('network')
    }
    return this.json(200, {
      revision: this.revision,
      savedAt: '2026-11-24T20:00:00.000Z',
      savedBy: 'Osk',
      since: since(),
    })
  }
  away = false
  lose = false
}
let server: FakeServer
const bench = () => useBench.getState()
const start = () => demoCommissions(todayIso()).find((c) => c.id === 'ember-fair')!
const settle = () => new Promise((r) => setTimeout(r, 20))
/** The checks look once what was typed is on the screen, and at what is there by then. */
const judgedAs = (record: Commission) =>
  waitFor(() => {
    expect(bench()).toMatchObject({ judged: 'yes', findings: judgeCommission(record, todayIso()) })
  })
const keptHere = async () => (await keptUnsaved('ember-fair')).map((k) => JSON.stringify(k.what))
beforeEach(async () => {
  server = new FakeServer(start())
  Object.assign(globalThis, { fetch: server.fetch })
  useBench.setState({ id: undefined, record: undefined })
  await fetchChecks()
  await bench().open('ember-fair')
})
afterEach(async () => {
  server.away = false
  await bench().flush()
  await settle()
})

describe('one commission on the bench', () => {
  test('an edit is seen at once, judged, kept here, and sent; then it is saved · a day', async () => {
    // Not sent before it was looked at, however slow the machine is.
    server.away = true
    bench().edit('title', (d) => void (d.title = 'Another'))
    expect(bench().record!.title).toBe('Another')
    expect(bench().save).toBe('waiting')
    await judgedAs(bench().record!)
    expect((await keptHere())[0]).toContain('Another')
    server.away = false
    await bench().flush()
    expect(server.record.title).toBe('Another')
    expect(bench()).toMatchObject({ save: 'saved', revision: 2, pending: 0 })
    await settle()
    expect(await keptHere()).toEqual([])
  })
  test('what is typed in one breath is judged as it stands at its end', async () => {
    const cutPower = start().sabers.map((s) => s.cutPower)
    bench().editSaber('cut', (s) => void (s.cutPower = 'none'))
    bench().edit('wish', (d) => void d.requests.splice(0, 1))
    bench().undoLast()
    await judgedAs(bench().record!)
    expect(bench().findings).not.toEqual(judgeCommission(start(), todayIso()))
    bench().undoLast()
    expect(bench().record!.sabers.map((s) => s.cutPower)).toEqual(cutPower)
    await judgedAs(start())
  })
  test('what changes nothing is no change', () => {
    bench().edit('nothing', (d) => void (d.title = start().title))
    expect(bench()).toMatchObject({ save: 'saved', pending: 0, undos: 0 })
  })
  test('undo and redo walk back and forth over any number of edits, of any saber', async () => {
    const before = bench().record
    bench().chooseSaber(before!.sabers[1]!.id)
    bench().editSaber('cut', (s) => void (s.cutPower = 'none'))
    bench().edit('wish', (d) => void d.requests.splice(0, 1))
    bench().edit('title', (d) => void (d.title = 'Third'))
    const after = bench().record
    expect(after!.sabers[1]!.cutPower).toBe('none')
    for (let i = 0; i < 3; i++) bench().undoLast()
    expect(bench().record).toEqual(before)
    bench().undoLast()
    expect(bench().record).toEqual(before)
    for (let i = 0; i < 3; i++) bench().redoLast()
    expect(bench().record).toEqual(after)
    await bench().flush()
    expect(server.record).toEqual(after)
  })
  test('a lost reply: what arrived is there once, and later edits go on', async () => {
    bench().edit('add', (d) => void d.questions.push({ id: 'lost' as never, text: 'Which?', blocks: false }))
    server.lose = true
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'kept', pending: 1 })
    bench().edit('title', (d) => void (d.title = 'Later'))
    await bench().flush()
    await bench().flush()
    expect(bench().save).toBe('saved')
    expect(server.record.questions.filter((q) => q.id === 'lost')).toHaveLength(1)
    expect(server.record.title).toBe('Later')
    expect(server.history).toHaveLength(2)
  })
  test('a reloaded tab finds what was not sent, and sends it beside what a colleague did', async () => {
    server.away = true
    bench().edit('title', (d) => void (d.title = 'Kept'))
    await bench().flush()
    await settle()
    server.away = false
    server.other([{ op: 'set', at: '/brief', value: 'theirs', was: start().brief }])
    useBench.setState({ id: undefined, record: undefined })
    await bench().open('ember-fair')
    expect(bench().record).toMatchObject({ title: 'Kept', brief: 'theirs' })
    await bench().flush()
    expect(server.record).toMatchObject({ title: 'Kept', brief: 'theirs' })
  })
  test('a reloaded tab whose kept work meets a colleague’s asks, and overwrites nothing', async () => {
    server.away = true
    bench().edit('title', (d) => void (d.title = 'Kept'))
    await bench().flush()
    await settle()
    server.away = false
    server.other([{ op: 'set', at: '/title', value: 'Theirs', was: start().title }])
    useBench.setState({ id: undefined, record: undefined })
    await bench().open('ember-fair')
    expect(bench()).toMatchObject({ save: 'conflict', conflicts: [{ by: 'Ansa', mine: { value: 'Kept' } }] })
    expect(bench().record!.title).toBe('Theirs')
    bench().settle(bench().conflicts[0]!.id, 'theirs')
    await settle()
    expect(server.record.title).toBe('Theirs')
  })
  test('without the server the commission opens as it was last read, and edits wait', async () => {
    await settle()
    server.away = true
    useBench.setState({ id: undefined, record: undefined })
    await bench().open('ember-fair')
    expect(bench()).toMatchObject({ save: 'kept', error: undefined })
    expect(bench().record!.title).toBe(start().title)
    bench().edit('title', (d) => void (d.title = 'Away'))
    await bench().flush()
    expect(bench().pending).toBe(1)
    server.away = false
    await bench().flush()
    expect(server.record.title).toBe('Away')
  })
  test('typed while sending: it goes out next, nothing is sent twice', async () => {
    bench().edit('title', (d) => void (d.title = 'One'))
    const sending = bench().flush()
    bench().edit('title', (d) => void (d.title = 'Two'))
    await sending
    expect(bench().pending).toBe(1)
    await bench().flush()
    expect(server.record.title).toBe('Two')
    expect(server.asked.filter((a) => a.startsWith('PATCH'))).toHaveLength(2)
  })
  test('a clash asks for that field alone; all else is saved', async () => {
    server.other([{ op: 'set', at: '/title', value: 'Theirs', was: start().title }])
    bench().edit('title', (d) => void (d.title = 'Mine'))
    bench().edit('brief', (d) => void (d.brief = 'my brief'))
    await bench().flush()
    await bench().flush()
    expect(server.record).toMatchObject({ title: 'Theirs', brief: 'my brief' })
    expect(bench()).toMatchObject({ save: 'conflict', conflicts: [{ by: 'Ansa' }] })
    bench().settle(bench().conflicts[0]!.id, 'mine')
    await bench().flush()
    expect(server.record.title).toBe('Mine')
    expect(bench()).toMatchObject({ save: 'saved', conflicts: [] })
  })
  test('signed out: nothing is lost, and it goes out after signing in', async () => {
    bench().edit('title', (d) => void (d.title = 'Mine'))
    server.next = async () => server.json(401, { title: 'signIn', detail: 'Please sign in.' })
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'signedOut', pending: 1 })
    await bench().flush()
    expect(server.record.title).toBe('Mine')
  })
  test('what the server refuses is told with its field, and taken back it is fine again', async () => {
    bench().edit('title', (d) => void (d.title = ''))
    server.next = async () =>
      server.json(422, { detail: 'no', problems: [{ path: '/title', rule: 'minLength', message: 'is empty' }] })
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'refused', problems: [{ path: '/title' }] })
    bench().takeBack()
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'saved', problems: [] })
    expect(bench().record!.title).toBe(start().title)
  })
  test('others’ changes come in while nothing is typed', async () => {
    server.other([{ op: 'set', at: '/brief', value: 'theirs', was: start().brief }])
    await bench().hear()
    expect(bench()).toMatchObject({ save: 'saved', savedBy: 'Ansa', record: { brief: 'theirs' } })
  })
  test('undo does not touch what a colleague has changed since, and says so by leaving it', async () => {
    bench().edit('title', (d) => void (d.title = 'Mine'))
    await bench().flush()
    server.other([{ op: 'set', at: '/title', value: 'Theirs', was: 'Mine' }])
    await bench().hear()
    bench().undoLast()
    await bench().flush()
    expect(server.record.title).toBe('Theirs')
  })
})

describe('taking a thing out', () => {
  test('at once when nothing leans on it', () => {
    const q = start().questions[0]!
    bench().remove(`question:${q.id}`)
    expect(bench().removing).toBeUndefined()
    expect(bench().record!.questions.map((x) => x.id)).not.toContain(q.id)
  })
  test('otherwise it asks, names what goes with it, and does it whole or not at all', () => {
    const s = start().sabers[0]!
    const emitter = s.hilt.sockets[0]!.section
    bench().light(`section:${emitter}`)
    bench().remove(`section:${emitter}`)
    expect(bench().removing!.goes.map((t) => t.kind)).toContain('socket')
    bench().answerRemoval(false)
    expect(bench().record).toEqual(start())
    bench().remove(`section:${emitter}`)
    bench().answerRemoval(true)
    expect(bench().record!.sabers[0]!.hilt.sections.map((x) => x.id)).not.toContain(emitter)
    expect(bench().lit).toBeUndefined()
    bench().undoLast()
    expect(bench().record).toEqual(start())
  })
  test('nothing is lit by what is no reference', () => {
    bench().light('nonsense')
    expect(bench().lit).toBeUndefined()
  })
})
