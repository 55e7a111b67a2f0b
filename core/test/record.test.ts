import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'
import { lift, nestedDeeper, readCommission, readDocument, writeCommission } from '@nubrin/core/import'
import {
  blankCommission,
  blankSaber,
  byId,
  type Commission,
  FORMAT_VERSION,
  factPaths,
  hasCutOff,
  keyWords,
  nameOf,
  placesOf,
  saberTitle,
} from '@nubrin/core/record'
import { applyOps, composeOps, type Op, rebaseOps } from '@nubrin/core/record/ops'
import { demoCommissions } from '@nubrin/demo'
import { liftOnce } from '../src/record/versions/lift'
import { demo, done, TODAY } from './samples'

const here = join(dirname(fileURLToPath(import.meta.url)), 'fixtures')
const set = (at: string, value: unknown, was?: unknown): Op => ({
  op: 'set',
  at,
  value,
  ...(was === undefined ? {} : { was }),
})
const unset = (at: string): Op => ({ op: 'unset', at, was: 1 })
const insert = (at: string, id: string, more = {}): Op => ({ op: 'insert', at, item: { id, ...more }, after: null })
const remove = (at: string): Op => ({ op: 'remove', at, item: { id: at.split('@').at(-1)! }, after: null })
const move = (at: string, after: string | null = null): Op => ({ op: 'move', at, after, was: null })

describe('mine beside theirs', () => {
  /** What becomes of mine, written down by hand: it stands, it was done already, or it cannot stand. */
  const TABLE: [string, Op, Op, 'stands' | 'done' | 'clash'][] = [
    ['another field', set('/a', 1), set('/b', 2), 'stands'],
    ['one field, two values', set('/a', 1), set('/a', 2), 'clash'],
    ['one field, one value', set('/a', { x: 1 }), set('/a', { x: 1 }), 'done'],
    ['set and emptied', set('/a', 1), unset('/a'), 'clash'],
    ['emptied and set', unset('/a'), set('/a', 1), 'clash'],
    ['emptied twice', unset('/a'), unset('/a'), 'done'],
    ['a field whose name begins alike', set('/ab', 1), set('/a', 2), 'stands'],
    ['inside what they set', set('/a/b', 1), set('/a', {}), 'clash'],
    ['around what they set', set('/a', {}), set('/a/b', 1), 'clash'],
    ['inside what they took out', set('/l/@x/n', 1), remove('/l/@x'), 'clash'],
    ['I take out what they changed', remove('/l/@x'), set('/l/@x/n', 1), 'clash'],
    ['taken out twice', remove('/l/@x'), remove('/l/@x'), 'done'],
    ['inside what they took out, I take out', remove('/l/@x/m/@y'), remove('/l/@x'), 'done'],
    ['around it', remove('/l/@x'), remove('/l/@x/m/@y'), 'stands'],
    ['put in beside', insert('/l', 'x'), insert('/l', 'y'), 'stands'],
    ['the same put in twice', insert('/l', 'x', { n: 1 }), insert('/l', 'x', { n: 1 }), 'done'],
    ['one id, two things', insert('/l', 'x', { n: 1 }), insert('/l', 'x', { n: 2 }), 'clash'],
    ['put into what they took out', insert('/l/@x/m', 'y'), remove('/l/@x'), 'clash'],
    ['put into a list they emptied', insert('/l', 'x'), unset('/l'), 'clash'],
    ['moved by both', move('/l/@x', 'a'), move('/l/@x', 'b'), 'stands'],
    ['moved, and changed by them', move('/l/@x'), set('/l/@x/n', 1), 'stands'],
    ['moved, and taken out by them', move('/l/@x'), remove('/l/@x'), 'done'],
    ['changed, and moved by them', set('/l/@x/n', 1), move('/l/@x'), 'stands'],
    ['taken out, and moved by them', remove('/l/@x'), move('/l/@x'), 'stands'],
    ['moved, and its list set anew', move('/l/@x'), set('/l', []), 'stands'],
  ]
  test.each(TABLE)('%s', (_what, mine, theirs, outcome) => {
    expect(rebaseOps([mine], [theirs])).toEqual({
      ops: outcome === 'stands' ? [mine] : [],
      clashes: outcome === 'clash' ? [{ mine, theirs }] : [],
    })
    // Whatever else goes along, it is the same of this one.
    const beside = set('/elsewhere', 1)
    expect(rebaseOps([beside, mine], [set('/far', 2), theirs]).ops).toEqual(
      outcome === 'stands' ? [beside, mine] : [beside],
    )
  })
  test('one field set twice in a row is set once, from where it began; back where it began it is none', () => {
    expect(composeOps([set('/a', 2, 1)], [set('/a', 3, 2)])).toEqual([set('/a', 3, 1)])
    expect(composeOps([set('/a', 2, 1)], [set('/a', 1, 2)])).toEqual([])
    expect(composeOps([set('/a', 2)], [set('/a', 3, 2)])).toEqual([set('/a', 3)])
    expect(composeOps([set('/a', 2, 1)], [set('/b', 3, 2)])).toEqual([set('/a', 2, 1), set('/b', 3, 2)])
    expect(composeOps([set('/a', 2, 1)], [unset('/a')])).toHaveLength(2)
  })
})

describe('looking things up', () => {
  const s = done()
  test('a name by its reference, of every kind of list; nothing for what is gone or no reference', () => {
    const k = s.hilt.sockets[0]!
    expect(nameOf(s, `socket:${k.id}`)).toBe(k.name)
    expect(nameOf(s, `part:${s.parts[2]!.id}`)).toBe(s.parts[2]!.name)
    expect(nameOf(s, `preset:${s.presets[1]!.id}`)).toBe(s.presets[1]!.name)
    for (const none of ['part:nobody', `part:${k.id}`, 'nonsense', '', undefined])
      expect(nameOf(s, none)).toBeUndefined()
  })
  test('places are offered by kind, in the order asked, without empty kinds', () => {
    const groups = placesOf({ ...s, zones: [] }, ['socket', 'zone', 'section'])
    expect(groups.map((g) => g.kind)).toEqual(['socket', 'section'])
    expect(groups[1]!.items).toEqual(s.hilt.sections.map((x) => ({ ref: `section:${x.id}`, name: x.name })))
  })
  test('everything that is a fact, where it stands and whose it is: as a plain walk over the JSON finds them', () => {
    for (const saber of demoCommissions(TODAY).flatMap((c) => c.sabers)) {
      const found: string[] = []
      const look = (v: unknown, path: string, owner: string, ref?: string) => {
        if (Array.isArray(v)) {
          for (const x of v) look(x, `${path}/@${x.id}`, owner, ref)
          return
        }
        if (typeof v !== 'object' || v === null) return
        if ('value' in v && 'source' in v) {
          found.push(`${path} | ${owner} | ${path.split('/').at(-1)} | ${ref ?? ''}`)
          return
        }
        // A control has no name: what it does is what it is called; an earlier hand is called by who it was.
        const thing = v as {
          name?: string
          says?: string
          does?: string
          fix?: string
          who?: string
          sense?: string
          zone?: string
          id?: string
        }
        const name = thing.id
          ? (thing.name ??
            (thing.zone && saber.zones.find((z) => z.id === thing.zone)!.name) ??
            thing.says ??
            thing.does ??
            thing.fix ??
            thing.who ??
            thing.sense)
          : undefined
        for (const [k, x] of Object.entries(v)) look(x, `${path}/${k}`, name ?? owner, ref)
      }
      look(saber, '', saber.name)
      const said = factPaths(saber).map((p) => `${p.path} | ${p.owner} | ${p.field} | `)
      expect(said.toSorted()).toEqual(found.toSorted())
      expect(said.length).toBeGreaterThan(20)
    }
    const cell = factPaths(s).find((p) => p.path === `/parts/@${s.parts[0]!.id}/specs/length`)
    expect(cell).toMatchObject({ ref: `part:${s.parts[0]!.id}`, fact: s.parts[0]!.specs.length })
  })
  test('an item by its id', () => {
    const list = [{ id: 'a' }, { id: 'b' }]
    expect([byId(list, 'b'), byId(list, 'c'), byId(list, undefined)]).toEqual([list[1], undefined, undefined])
  })
  test('what cuts the power needs a hand, unless nothing does or it sleeps by itself', () => {
    const all = ['killSwitch', 'killKey', 'cellOut', 'deepSleep', 'none'] as const
    expect(all.filter((cutPower) => hasCutOff({ ...s, cutPower }))).toEqual(all.slice(0, 3))
  })
  test('a saber goes by the order’s title when it is alone', () => {
    const [one, three] = [demo('reed-warden'), demo('ember-fair')]
    expect(saberTitle(one, one.sabers[0]!)).toBe(one.title)
    expect(saberTitle(three, three.sabers[1]!)).toBe(`${three.title} – ${three.sabers[1]!.name}`)
  })
})

describe('beginning with nothing', () => {
  let n = 0
  const id = () => `b${n++}`
  test('an empty commission says what was asked, and nothing else', () => {
    const c = blankCommission(id, { title: 'Kelp', client: 'Marl', job: 'repair', purpose: 'stage' })
    expect(readCommission(JSON.stringify(c)).ok).toBe(true)
    expect(c).toMatchObject({ title: 'Kelp', client: { name: 'Marl' }, job: 'repair', purpose: 'stage', brief: '' })
    expect('ordered' in c).toBe(false)
    const dated = { title: 'K', client: '', job: 'repair', purpose: 'stage', ordered: '2026-01-02' } as const
    expect(blankCommission(id, dated).ordered).toBe('2026-01-02')
    const lists = Object.values(c).filter((v) => Array.isArray(v))
    expect(lists.filter((l) => l.length)).toEqual([c.sabers])
    expect(c.sabers[0]).toMatchObject({ name: 'Kelp', job: 'repair', cutPower: 'none', order: 'operateFirst' })
  })
  test('an empty saber assumes a clearance and how it is used, and knows nothing', () => {
    const s = blankSaber(id, 'One', 'scratch')
    expect(s.hilt.clearance).toMatchObject({ value: 0.3, source: 'assumed' })
    expect(s.use).toMatchObject({
      litShare: { value: 50, source: 'assumed' },
      brightness: { value: 80, source: 'assumed' },
      volume: { value: null, source: 'unknown' },
    })
    const filled = [...Object.values(s), ...Object.values(s.hilt)].filter((v) => Array.isArray(v) && v.length)
    expect(filled).toEqual([])
  })
})

describe('what an older file holds wrongly', () => {
  const old = (run: (c: Commission) => void, file = 'cinder-oath.v2.json') => {
    const c = JSON.parse(readFileSync(join(here, file), 'utf8')) as Commission
    run(c)
    const r = readCommission(JSON.stringify(c))
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    return r.record
  }
  test('several references of one list lead nowhere: each is kept with what it said, the good ones stay', () => {
    let good = ''
    const c = old((x) => {
      good = x.sabers[0]!.hilt.fasteners[0]!.id
      x.sabers[0]!.hilt.sockets[0]!.retention = ['gone-1', good, 'gone-2'] as never
    })
    expect(c.sabers[0]!.hilt.sockets[0]!.retention).toEqual([good])
    expect(c.aside?.map((a) => a.was).sort()).toEqual(['"gone-1"', '"gone-2"'])
    expect(c.aside?.every((a) => /^names .*gone-\d, which is not there$/.test(a.why))).toBe(true)
    expect(new Set(c.aside?.map((a) => a.id)).size).toBe(2)
  })
  test('the twelfth mark goes as whole as the first', () => {
    const c = old((x) => {
      const { id } = x.sabers[0]!.beats[0]!
      const marks = Array.from({ length: 12 }, (_, i) => ({ beat: i === 11 ? 'gone' : id, atMs: i }))
      x.sabers[0]!.takes = [{ id: 't-1', at: '2026-11-20T20:00:00Z', marks } as never]
    }, 'ember-fair.v2.json')
    expect(c.sabers[0]!.takes[0]!.marks.map((m) => m.atMs)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10])
  })
  test('what was set aside by a place in a list is set aside for what stands there', () => {
    const c = old((x) => {
      const id = x.sabers[0]!.id
      x.handoff.waivers = [
        `contradiction:${id}:/hilt/sections/1/length`,
        'contradiction:none:/hilt/sections/1',
        'deadline:order:near',
      ].map((key) => ({ key, who: 'Maren', reason: 'agreed', on: '2026-11-20' })) as never
    })
    expect(c.handoff.waivers.map((w) => w.key)).toEqual([
      `contradiction:${c.sabers[0]!.id}:/hilt/sections/@${c.sabers[0]!.hilt.sections[1]!.id}/length`,
      'contradiction:none:/hilt/sections/1',
      'deadline:order:near',
    ])
  })
  test('a draft without a date or a saber gets neither', () => {
    expect(liftOnce({ version: 0, title: 'x' })).toEqual({ version: 1, title: 'x' })
    expect(liftOnce({ version: 0, due: '2026-12-01', saber: { id: 's' } })).toEqual({
      version: 1,
      deadline: '2026-12-01',
      sabers: [{ id: 's' }],
    })
    expect(liftOnce({ version: '0' })).toEqual({ version: '0' })
  })
  test('marks of a take without their beat go whole, with their time', () => {
    const c = old((x) => {
      const kept = x.sabers[0]!.beats[0]!
      x.sabers[0]!.takes = [
        {
          id: 't-1',
          at: '2026-11-20T20:00:00Z',
          marks: [
            { beat: 'gone', atMs: 10 },
            { beat: kept.id, atMs: 20 },
            { beat: 'gone-too', atMs: 30 },
          ],
        } as never,
      ]
    }, 'ember-fair.v2.json')
    expect(c.sabers[0]!.takes[0]!.marks.map((m) => m.atMs)).toEqual([20])
    const lost = c.aside?.filter((a) => a.path.includes('/takes/')).map((a) => JSON.parse(a.was).atMs)
    expect(lost?.sort()).toEqual([10, 30])
  })
  test('a length in volts is unknown from then on, and what it said is kept', () => {
    const c = old((x) => {
      x.sabers[0]!.hilt.sections[1]!.length = { value: 12, unit: 'V', source: 'measured' } as never
    })
    expect(c.sabers[0]!.hilt.sections[1]!.length).toEqual({ value: null, unit: 'mm', source: 'unknown' })
    expect(c.aside).toMatchObject([{ why: 'is kept in mm, not in V', was: expect.stringContaining('"value":12') }])
  })
})

describe('what a text or a document may be before it is a record', () => {
  test.each([
    ['[', 1, false],
    ['[[', 1, true],
    ['{"a":{"b":1}}', 1, true],
    ['{"a":{"b":1}}', 2, false],
    ['[][][]', 1, false],
    // Brackets in words are words, also after a quotation mark that is one.
    ['"[[["', 0, false],
    ['"\\"[[["', 0, false],
    ['"\\\\"[', 0, true],
    ['"a"[', 0, true],
    ['["a"]', 1, false],
    ['', 0, false],
  ])('%s is deeper than %d: %s', (text, most, deeper) => expect(nestedDeeper(text, most)).toBe(deeper))
  test('no JSON is told as such with how it began, and a byte-order mark is none of it', () => {
    expect(readCommission('{"a":')).toEqual({
      ok: false,
      problems: [{ path: '', rule: 'json', message: expect.stringMatching(/^This is not JSON: ./), got: '{"a":' }],
    })
    const long = readCommission(`x${'y'.repeat(100)}`)
    expect(!long.ok && long.problems[0]!.got).toHaveLength(60)
    expect(readCommission(`\uFEFF${writeCommission(demo('reed-warden'))}`)).toMatchObject({ ok: true })
    expect(readCommission(`${'['.repeat(41)}`)).toEqual({
      ok: false,
      problems: [{ path: '', rule: 'maxDepth', message: 'The document is nested deeper than 40 levels.' }],
    })
  })
  test.each([null, 7, 'text', [], {}, { version: 99 }, { version: '3' }, { version: -1 }])(
    'what is no commission is refused by its rules, not lifted: %j',
    (raw) => {
      const r = readDocument(raw)
      expect(r.ok).toBe(false)
      expect(!r.ok && r.problems.length).toBeGreaterThan(0)
      expect(lift(raw)).toBe(raw)
    },
  )
  test('what is wrong in an older file is told in the words of its own version', () => {
    const v2 = JSON.parse(readFileSync(join(here, 'cinder-oath.v2.json'), 'utf8'))
    const r = readDocument({ ...v2, title: 7 })
    expect(r).toMatchObject({ ok: false, problems: [{ path: '/title', rule: 'type' }] })
    expect(readDocument(v2)).toMatchObject({ ok: true, record: { version: FORMAT_VERSION } })
  })
  test('a path to what is no list of things, or to no thing, is refused', () => {
    const c = demo('reed-warden')
    const why = (op: object) => {
      const r = applyOps(c, [op as never])
      return r.ok ? 'done' : r.why
    }
    expect(why({ op: 'set', at: '/requests/0', value: 1 })).toBe('notAList')
    expect(why({ op: 'set', at: `/requests/@${c.requests[0]!.id}`, value: 1 })).toBe('notAList')
    expect(why({ op: 'unset', at: '/requests/@none/text', was: 'x' })).not.toBe('done')
    expect(why({ op: 'set', at: '/title', value: 'x', was: c.title })).toBe('done')
  })
  test('words of a key are for a maker’s eye', () => {
    expect(['bladeRetention', 'a', 'twoBigWords', 'v2Key'].map(keyWords)).toEqual([
      'blade retention',
      'a',
      'two big words',
      'v2key',
    ])
  })
})
