import { describe, expect, test } from '@jest/globals'
import type { Commission } from '@nubrin/core/record'
import { applyOps, diffOps, type Op, touches } from '@nubrin/core/record/ops'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { tries } from '../../core/test/drawn'
import { MemoryCommissions } from '../../server/src/commissions/memory-store'
import { HttpProblem } from '../../server/src/http/problem'
import { type Draft, Queue, type Revision } from '../src/store/queue'

const start = (): Commission => {
  const c = demoCommissions('2026-11-24').find((x) => x.id === 'first-lantern')!
  c.requests = ['a', 'b', 'c'].map((id) => ({ id: `r-${id}` as never, text: id, status: 'open' }))
  return c
}
let n = 0
const newId = () => `change-${n++}`
const edit = (q: Queue, label: string, run: (c: Commission) => void) => {
  const next = structuredClone(q.shown)
  run(next)
  return q.edit(label, diffOps(q.shown, next))
}
const rev = (revision: number, ops: Op[], by = 'Ansa', change?: string): Revision => ({
  ...{ revision, by, at: '2026-11-24T20:00:00.000Z', ops },
  ...(change ? { change } : {}),
})
const fresh = () => new Queue('x', start(), 1, newId)
const titled = (to: string, was = start().title): Op[] => [{ op: 'set', at: '/title', value: to, was }]

describe('the queue', () => {
  test('what was sent is sent again as it was until it is answered, whatever is typed meanwhile', () => {
    const q = fresh()
    edit(q, 'one', (c) => void (c.title = 'One'))
    const first = q.next()!
    edit(q, 'two', (c) => void (c.title = 'Two'))
    expect(q.next()).toEqual(first)
    q.acknowledged([rev(2, first.ops, 'me', first.change)])
    const second = q.next()!
    expect(second).toMatchObject({ base: 2, ops: [{ op: 'set', at: '/title', value: 'Two', was: 'One' }] })
    expect(second.change).not.toBe(first.change)
    q.acknowledged([rev(3, second.ops, 'me', second.change)])
    expect(q.next()).toBeUndefined()
    expect(q.kept()).toBeUndefined()
    expect(q.base).toBe(q.shown)
  })
  test('others come in beneath; the same field waits for a person, all else goes on', () => {
    const q = fresh()
    edit(q, 'title', (c) => void (c.title = 'Mine'))
    edit(q, 'brief', (c) => void (c.brief = 'my brief'))
    q.next()
    q.clashed([rev(2, titled('Theirs'))])
    expect(q.shown).toMatchObject({ title: 'Theirs', brief: 'my brief' })
    expect(q.conflicts).toMatchObject([
      { by: 'Ansa', label: 'title', mine: { value: 'Mine' }, theirs: { value: 'Theirs' } },
    ])
    expect(q.next()!.ops.map((o) => o.at)).toEqual(['/brief'])
    expect(q.kept()!.conflicts).toHaveLength(1)
    q.settle(q.conflicts[0]!.id, 'mine')
    expect(q.shown.title).toBe('Mine')
    expect(q.conflicts).toEqual([])
  })
  test('theirs lets mine go, and undo does not bring it back', () => {
    const q = fresh()
    edit(q, 'title', (c) => void (c.title = 'Mine'))
    q.others([rev(2, titled('Theirs'))])
    expect(q.settle(q.conflicts[0]!.id, 'theirs')).toBe(true)
    expect(q.settle('nothing', 'theirs')).toBe(false)
    expect(q.shown.title).toBe('Theirs')
    expect(q.undoLast()).toBeUndefined()
    expect(q.next()).toBeUndefined()
  })
  test('mine on a thing that somebody took out brings the thing back', () => {
    const q = fresh()
    const item = q.base.requests[1]!
    edit(q, 'wish', (c) => void (c.requests[1]!.text = 'louder'))
    q.others([rev(2, [{ op: 'remove', at: '/requests/@r-b', item, after: 'r-a' }])])
    expect(q.shown.requests.map((r) => r.id)).toEqual(['r-a', 'r-c'])
    q.settle(q.conflicts[0]!.id, 'mine')
    expect(q.shown.requests.map((r) => r.text)).toEqual(['a', 'louder', 'c'])
  })
  test('undo after somebody else’s change touches nothing but what was mine', () => {
    const q = fresh()
    edit(q, 'out', (c) => void c.requests.splice(0, 1))
    const sent = q.next()!
    q.acknowledged([rev(2, sent.ops, 'me', sent.change)])
    q.others([rev(3, [{ op: 'set', at: '/requests/@r-c/text', value: 'theirs', was: 'c' }])])
    expect(q.undoLast()).toEqual({ ok: true, label: 'out' })
    expect(q.shown.requests.map((r) => r.text)).toEqual(['a', 'b', 'theirs'])
    expect(q.redoLast()).toEqual({ ok: true, label: 'out' })
    expect(q.shown.requests.map((r) => r.text)).toEqual(['b', 'theirs'])
  })
  test('what somebody has built on is not undone, and that is said', () => {
    const q = fresh()
    edit(q, 'title', (c) => void (c.title = 'Mine'))
    const sent = q.next()!
    q.acknowledged([rev(2, sent.ops, 'me', sent.change)])
    q.others([rev(3, titled('Theirs', 'Mine'))])
    expect(q.undoLast()).toEqual({ ok: false, label: 'title', by: 'Ansa', paths: ['/title'] })
    expect(q.shown.title).toBe('Theirs')
  })
  test('a refused change is found among others, held, and can be taken back with what was built on it', () => {
    const q = fresh()
    edit(q, 'good', (c) => void (c.brief = 'good'))
    edit(q, 'bad', (c) => c.requests.push({ id: 'r-bad' as never, text: '', status: 'open' }))
    edit(q, 'on it', (c) => void (c.requests.at(-1)!.status = 'met'))
    q.next()
    q.refused([])
    const good = q.next()!
    expect(good.ops.map((o) => o.at)).toEqual(['/brief'])
    q.acknowledged([rev(2, good.ops, 'me', good.change)])
    q.next()
    q.refused([{ path: '/requests', rule: 'minLength', message: 'is empty' }])
    expect(q.next()).toBeUndefined()
    expect(q.refusal).toHaveLength(1)
    expect(q.takeBack()).toEqual(['bad', 'on it'])
    expect(q.shown).toMatchObject({ brief: 'good' })
    expect(q.shown.requests).toHaveLength(3)
    expect(q.conflicts.map((c) => c.label)).toEqual(['on it'])
  })
  test('an edit after a refusal sends all anew', () => {
    const q = fresh()
    edit(q, 'bad', (c) => void (c.title = ''))
    q.next()
    q.refused([{ path: '/title', rule: 'minLength', message: 'is empty' }])
    edit(q, 'good', (c) => void (c.title = 'Good'))
    expect(q.refusal).toBeUndefined()
    expect(q.next()!.ops).toHaveLength(2)
  })
  test('a gap in what comes, or a revision that cannot be read, says that the record must be read anew', () => {
    const gap = fresh()
    gap.others([rev(3, titled('x'))])
    expect(gap.lost).toBe(true)
    const old = fresh()
    old.others([rev(2, [{ op: 'replace', path: '/title' } as unknown as Op])])
    expect(old.lost).toBe(true)
  })
  test('what a gone tab left is taken over: sent again under its id, or passed over when it had arrived', () => {
    const q = fresh()
    edit(q, 'title', (c) => void (c.title = 'Draft'))
    const sent = q.next()!
    edit(q, 'brief', (c) => void (c.brief = 'later'))
    const kept = structuredClone(q.kept())!
    const other = rev(2, [{ op: 'set', at: '/purpose', value: 'stage', was: start().purpose }])
    const one = new Queue('x', applied(start(), other.ops), 2, newId)
    one.adopt(kept, [other])
    expect(one.shown).toMatchObject({ title: 'Draft', brief: 'later', purpose: 'stage' })
    expect(one.next()).toEqual({ base: 2, ops: sent.ops, change: sent.change })
    const arrived = rev(2, sent.ops, 'me', sent.change)
    const two = new Queue('x', applied(start(), arrived.ops), 2, newId)
    two.adopt(kept, [arrived])
    expect(two.next()!.ops.map((o) => o.at)).toEqual(['/brief'])
  })
})
const applied = (c: Commission, ops: readonly Op[]) => {
  const r = applyOps(c, ops)
  if (!r.ok) throw new Error(r.why)
  return r.value
}

/**
 * Two makers on one commission, with everything that may go wrong between them, in any order. Whatever happens: once all is
 * quiet both see what the server has; every value that was typed is there, was replaced by a later deed that touched the
 * same, or waits as a conflict; and no line changed that nobody touched.
 */
describe('two makers, reloads, lost replies, undo and no connection, in any order', () => {
  const isOther = (e: unknown) => e instanceof HttpProblem && e.problems.some((p) => p.rule === 'otherHistory')
  class Maker {
    queue!: Queue
    kept: Draft | undefined
    offline = false
    constructor(
      readonly name: string,
      readonly store: MemoryCommissions,
      readonly touched: Set<string>,
    ) {}
    who = () => ({ id: this.name, shopId: 's', name: this.name, role: 'owner' as const })
    async open() {
      const { record, revision, savedAt } = await this.store.load('s', 'first-lantern')
      this.queue = new Queue('first-lantern', record, revision, newId, savedAt)
      const { kept } = this
      if (kept)
        try {
          this.queue.adopt(kept, await this.store.changes('s', 'first-lantern', kept.base, kept.at))
        } catch (e) {
          if (!isOther(e)) throw e
          this.queue.layOpen(kept)
        }
      this.keep()
    }
    keep() {
      this.kept = structuredClone(this.queue.kept())
    }
    edit(label: string, run: (c: Commission) => void) {
      const before = this.queue.shown
      edit(this.queue, label, run)
      for (const p of touches(diffOps(before, this.queue.shown))) this.touched.add(p)
      this.keep()
    }
    back(how: 'undoLast' | 'redoLast') {
      const before = this.queue.shown
      this.queue[how]()
      for (const p of touches(diffOps(before, this.queue.shown))) this.touched.add(p)
      this.keep()
    }
    async send(lose: boolean) {
      const ask = this.queue.next()
      this.keep()
      if (!ask || this.offline) return
      try {
        const r = await this.store.change(this.who(), 'first-lantern', ask.base, ask.ops, ask)
        if (lose) return
        this.queue.acknowledged(r.since)
      } catch (e) {
        if (!(e instanceof HttpProblem) || lose) {
          if (!(e instanceof HttpProblem)) throw e
          return
        }
        if (isOther(e)) return await this.open()
        if (e.status === 409) this.queue.clashed(e.more.since as Revision[])
        else this.queue.refused(e.problems)
      }
      this.keep()
    }
    async hear() {
      if (this.offline || this.queue.flight) return
      try {
        this.queue.others(await this.store.changes('s', 'first-lantern', this.queue.revision, this.queue.at))
      } catch (e) {
        if (!isOther(e)) throw e
        return await this.open()
      }
      this.keep()
    }
  }
  const step = fc.record({
    who: fc.constantFrom(0, 1),
    what: fc.constantFrom(
      ...([
        'title',
        'wish',
        'add',
        'out',
        'move',
        'undo',
        'redo',
        'send',
        'send',
        'lost',
        'hear',
        'reload',
        'cut',
        'settle',
        'bad',
        'backup',
        'putBack',
      ] as const),
    ),
    k: fc.nat(5),
  })
  test('nothing disappears without a person having been told, and no line changes that nobody touched', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const store = new MemoryCommissions(async () => [])
        const touched = new Set<string>()
        const makers = [new Maker('Maren', store, touched), new Maker('Osk', store, touched)]
        const first = start()
        await store.create(makers[0]!.who(), first)
        for (const m of makers) await m.open()
        /** Everything that was put in, by where it was put. */
        let said: { at: string; value: unknown; by: string }[] = []
        let stamp = 0
        let backup: ReturnType<MemoryCommissions['copy']> | undefined
        for (const { who, what, k } of steps) {
          const m = makers[who]!
          const r = m.queue.shown.requests
          const one = r[k % Math.max(1, r.length)]
          if (what === 'title') {
            const value = `title ${stamp++}`
            said.push({ at: '/title', value, by: m.name })
            m.edit('title', (c) => void (c.title = value))
          } else if (what === 'wish' && one) {
            const value = `wish ${stamp++}`
            said.push({ at: `/requests/@${one.id}/text`, value, by: m.name })
            m.edit('wish', (c) => void (c.requests.find((x) => x.id === one.id)!.text = value))
          } else if (what === 'add')
            m.edit('add', (c) => c.requests.splice(k, 0, { id: `n${stamp++}` as never, text: 'new', status: 'open' }))
          else if (what === 'out' && one)
            m.edit('out', (c) => void (c.requests = c.requests.filter((x) => x.id !== one.id)))
          else if (what === 'move' && one)
            m.edit('move', (c) => {
              c.requests = [...c.requests.filter((x) => x.id !== one.id), c.requests.find((x) => x.id === one.id)!]
            })
          else if (what === 'backup') backup = store.copy()
          else if (what === 'putBack' && backup) {
            // What was saved since goes with it; what was not stays with whoever wrote it.
            const saved = JSON.stringify(await store.changes('s', 'first-lantern', 1))
            said = said.filter((s) => !saved.includes(`"${s.value}"`))
            store.putBack(backup)
          } else if (what === 'bad') m.edit('bad', (c) => void (c.brief = 'x'.repeat(50_000)))
          else if (what === 'undo') m.back('undoLast')
          else if (what === 'redo') m.back('redoLast')
          else if (what === 'send') await m.send(false)
          else if (what === 'lost') await m.send(true)
          else if (what === 'hear') await m.hear()
          else if (what === 'reload') await m.open()
          else if (what === 'cut') m.offline = !m.offline
          else if (what === 'settle' && m.queue.conflicts.length) {
            const before = m.queue.shown
            m.queue.settle(m.queue.conflicts[0]!.id, k % 2 ? 'mine' : 'theirs')
            for (const p of touches(diffOps(before, m.queue.shown))) touched.add(p)
            m.keep()
          }
        }
        // All goes quiet: connections come back, everything is sent, heard, and what is refused is taken back.
        for (let i = 0; i < 60; i++)
          for (const m of makers) {
            m.offline = false
            await m.send(false)
            if (m.queue.refusal) m.queue.takeBack()
            await m.hear()
          }
        const { record, revision } = await store.load('s', 'first-lantern')
        for (const m of makers) {
          expect(m.queue.lost).toBe(false)
          expect(m.queue.pending).toEqual([])
          expect(m.queue.revision).toBe(revision)
          expect(m.queue.shown).toEqual(record)
        }
        // No line that nobody touched changed, and none of them changed places: which of two lines a diff calls moved is its choice.
        const covered = (p: string) =>
          [...touched].some((t) => p === t || p.startsWith(`${t}/`) || t.startsWith(`${p}/`))
        const still = (c: Commission) => c.requests.filter((r) => !covered(`/requests/@${r.id}`))
        expect(still(record)).toEqual(still(first))
        const changed = touches(diffOps({ ...first, requests: [] }, { ...record, requests: [] }))
        expect(changed.filter((p) => !covered(p))).toEqual([])
        // Each maker's values either reached the history or wait as a conflict, unless the same maker replaced them first.
        const history = JSON.stringify(await store.changes('s', 'first-lantern', 1))
        for (const m of makers) {
          const last = new Map(said.filter((s) => s.by === m.name).map((s) => [s.at, s.value]))
          const laid = JSON.stringify(m.queue.conflicts)
          for (const [at, value] of last) {
            const undone = steps.some((s) => ['undo', 'redo', 'settle', 'out', 'bad'].includes(s.what))
            if (!undone)
              expect({ at, told: history.includes(`"${value}"`) || laid.includes(`"${value}"`) }).toEqual({
                at,
                told: true,
              })
          }
        }
      }),
      { numRuns: tries(150, 25) },
    )
  })
})
