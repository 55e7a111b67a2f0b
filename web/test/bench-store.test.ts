/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { judgeCommission } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { applyOps, type Op } from '@nubrin/core/record/ops'
import { demoCommissions } from '@nubrin/demo'
import { todayIso } from '../src/data'
import { useBench } from '../src/store/commission'

/** A server that keeps one commission and says what it is told to say. */
class FakeServer {
  record: Commission
  revision = 1
  asked: string[] = []
  /** What the next change is answered with, instead of being carried out. */
  next: (() => Promise<Response>) | undefined
  since: Op[] = []

  constructor(record: Commission) {
    this.record = record
  }
  json = (status: number, body: unknown) =>
    ({ ok: status < 400, status, statusText: String(status), json: async () => body }) as unknown as Response
  saved() {
    return { record: this.record, revision: this.revision, savedAt: '2026-11-24T20:00:00.000Z', savedBy: 'Osk' }
  }
  fetch = async (url: string, init: { method: string; body?: string }): Promise<Response> => {
    this.asked.push(`${init.method} ${url}`)
    if (init.method === 'GET') return this.json(200, this.saved())
    const { ops } = JSON.parse(init.body!) as { ops: Op[] }
    const other = this.next
    if (other) {
      this.next = undefined
      return other()
    }
    const done = applyOps(this.record, ops)
    if (!done.ok) return this.json(422, { detail: 'no', problems: [] })
    this.record = done.value
    this.revision++
    return this.json(200, { ...this.saved(), since: this.since })
  }
}
let server: FakeServer
const bench = () => useBench.getState()
const start = () => demoCommissions(todayIso()).find((c) => c.id === 'ember-fair')!
const settle = () => new Promise((r) => setTimeout(r, 0))
beforeEach(async () => {
  localStorage.clear()
  server = new FakeServer(start())
  Object.assign(globalThis, { fetch: server.fetch })
  useBench.setState({ id: undefined, record: undefined })
  await bench().open('ember-fair')
})
afterEach(() => localStorage.clear())

describe('one commission on the bench', () => {
  test('an edit is seen at once, judged, kept here, and sent; then it is saved', async () => {
    bench().edit('title', (d) => void (d.title = 'Another'))
    expect(bench().record!.title).toBe('Another')
    expect(bench().save).toBe('waiting')
    expect(bench().findings).toEqual(judgeCommission(bench().record!, todayIso()))
    expect(localStorage.getItem('nubrin:unsaved:ember-fair')).toContain('Another')
    await bench().flush()
    expect(server.record.title).toBe('Another')
    expect(bench()).toMatchObject({ save: 'saved', revision: 2, pending: [] })
    expect(localStorage.getItem('nubrin:unsaved:ember-fair')).toBeNull()
  })
  test('what changes nothing is no change', () => {
    bench().edit('nothing', (d) => void (d.title = start().title))
    expect(bench()).toMatchObject({ save: 'saved', pending: [], undo: [] })
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
  test('a lost reply: the work stays here, is sent again and ends up there once', async () => {
    bench().edit('add', (d) => void d.questions.push({ id: 'lost', text: 'Which?', blocks: false }))
    server.next = async () => {
      throw new TypeError('network')
    }
    await bench().flush()
    expect(bench().save).toBe('offline')
    expect(bench().pending).toHaveLength(1)
    await bench().flush()
    expect(bench().save).toBe('saved')
    expect(server.record.questions.filter((q) => q.id === 'lost')).toHaveLength(1)
  })
  test('a reloaded tab finds what was not sent, and sends it', async () => {
    server.next = async () => {
      throw new TypeError('network')
    }
    bench().edit('title', (d) => void (d.title = 'Kept'))
    await bench().flush()
    useBench.setState({ id: undefined, record: undefined, pending: [] })
    await bench().open('ember-fair')
    expect(bench().record!.title).toBe('Kept')
    await bench().flush()
    expect(server.record.title).toBe('Kept')
  })
  test('what was kept and cannot be read is passed over', async () => {
    localStorage.setItem('nubrin:unsaved:ember-fair', '{"base":1,"ops":[{"op":')
    useBench.setState({ id: undefined, record: undefined })
    await bench().open('ember-fair')
    expect(bench().record).toEqual(server.record)
  })
  test('typed while sending: it goes out next, nothing is sent twice', async () => {
    bench().edit('title', (d) => void (d.title = 'One'))
    const sending = bench().flush()
    bench().edit('title', (d) => void (d.title = 'Two'))
    await sending
    expect(bench().pending).toHaveLength(1)
    await bench().flush()
    expect(server.record.title).toBe('Two')
    expect(server.asked.filter((a) => a.startsWith('PATCH'))).toHaveLength(2)
  })
  test('a clash asks; theirs drops mine, mine goes on top of theirs', async () => {
    const clash = async () => {
      server.record = { ...server.record, title: 'Theirs' }
      server.revision++
      return server.json(409, {
        ...{ detail: 'clash', revision: server.revision, clashes: ['/title'] },
        changes: [{ by: 'Ansa', paths: ['/title'] }],
      })
    }
    bench().edit('title', (d) => void (d.title = 'Mine'))
    server.next = clash
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'conflict', conflict: { by: 'Ansa', paths: ['/title'] } })
    expect(bench().record!.title).toBe('Mine')
    await bench().settleConflict('mine')
    await settle()
    expect(server.record.title).toBe('Mine')
    bench().edit('title', (d) => void (d.title = 'Mine again'))
    server.next = clash
    await bench().flush()
    await bench().settleConflict('theirs')
    expect(bench().record!.title).toBe('Theirs')
    expect(bench()).toMatchObject({ save: 'saved', pending: [] })
  })
  test('what the server refuses is told with its field, and undone it is fine again', async () => {
    bench().edit('title', (d) => void (d.title = ''))
    server.next = async () =>
      server.json(422, { detail: 'no', problems: [{ path: '/title', rule: 'minLength', message: 'is empty' }] })
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'refused', problems: [{ path: '/title' }] })
    bench().undoLast()
    await bench().flush()
    expect(bench()).toMatchObject({ save: 'saved', problems: [] })
  })
  test('others’ changes come in beneath mine', async () => {
    server.since = [{ op: 'set', at: '/brief', was: start().brief, value: 'theirs' }]
    server.record = { ...server.record, brief: 'theirs' }
    bench().edit('title', (d) => void (d.title = 'mine'))
    await bench().flush()
    expect(bench().record).toMatchObject({ title: 'mine', brief: 'theirs' })
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
