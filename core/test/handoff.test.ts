import { describe, expect, test } from '@jest/globals'
import { gestureText, isOf, modeName } from '@nubrin/core/controls'
import { fact, known, type NumberFact } from '@nubrin/core/facts'
import { type Block, buildHandoff, type HandoffDocument, liftHandoff, readerOfHandoff } from '@nubrin/core/handoff'
import { hueWord } from '@nubrin/core/light'
import { type Commission, factPaths, ORDERS, readerOf, type Saber } from '@nubrin/core/record'
import { chaptersAt, compose, rehearse, topicsOf, troubleText } from '@nubrin/core/script'
import { dayText, LANGUAGES, MAKER, MEASURES } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { demo, TODAY } from './samples'

const all = demoCommissions(TODAY)
const build = (c: Commission) => buildHandoff(c, 'Shop', TODAY)
const chapter = (d: HandoffDocument, id: string) => d.chapters.find((c) => c.id === id)!
const blocks = <K extends Block['kind']>(d: HandoffDocument, id: string, kind: K) =>
  chapter(d, id).blocks.filter((b): b is Extract<Block, { kind: K }> => b.kind === kind)
const idFor = (c: Commission, s: Saber, id: string) => (c.sabers.length > 1 ? `${id}-${s.id}` : id)

describe('the shape of the handoff', () => {
  test('chapters stand in the order in which the client needs them, each once, none of them empty', () => {
    const d = build(demo('reed-warden'))
    expect(d.chapters.map((c) => c.id)).toEqual(
      [
        ['words', 'brief', 'requests', 'arrivals', 'spec', 'cautions', 'power', 'controls', 'presets'],
        ['fonts', 'lights'],
        [
          'settings',
          'blade',
          'screws',
          'opening',
          'charging',
          'troubles',
          'decisions',
          'tests',
          'walkthrough',
          'film',
          'questions',
          'packing',
        ],
        ['credits'],
      ].flat(),
    )
    for (const c of all)
      for (const ch of build(c).chapters) {
        expect(ch.blocks.length).toBeGreaterThan(0)
        for (const b of ch.blocks) {
          if (b.kind === 'table') for (const row of b.rows) expect(row).toHaveLength(b.head.length)
          if (b.kind === 'table' && b.swatch) expect(b.swatch).toHaveLength(b.rows.length)
          if (b.kind === 'steps') expect(b.steps.length).toBeGreaterThan(0)
        }
      }
  })
  test.each(all.map((c) => [c.id, c] as const))(
    '%s: no colour is told by a code, on paper or in the script',
    (_id, c) => {
      const CODE = /#[0-9a-f]{6}/i
      const shown = (k: string, v: unknown) => (k === 'swatch' ? undefined : v)
      for (const ch of build(c).chapters) expect(JSON.stringify(ch, shown)).not.toMatch(CODE)
      for (const s of c.sabers) for (const t of topicsOf(c, s)) expect(t.say).not.toMatch(CODE)
    },
  )
  test.each(all.map((c) => [c.id, c] as const))('%s: every preset in its position with its colour', (_id, c) => {
    for (const s of c.sabers.filter((x) => x.presets.length)) {
      const [table] = blocks(build(c), idFor(c, s, 'presets'), 'table')
      expect(table!.rows.map((r) => [r[0], r[1]])).toEqual(s.presets.map((p, i) => [String(i + 1), p.name]))
      // Other colours have other words, and none is a code.
      const plain = s.presets.map((p, i) => ({ p, words: table!.rows[i]![2] })).filter((x) => !x.p.look && !x.p.moves)
      expect(new Set(plain.map((x) => x.words)).size).toBe(new Set(plain.map((x) => x.p.colour.value)).size)
      expect(JSON.stringify(table!.rows)).not.toMatch(/#[0-9a-f]{6}/i)
      expect(table!.swatch).toEqual(s.presets.map((p) => p.colour.value))
      for (const [i, p] of s.presets.entries()) {
        if (!p.look) expect(table!.rows[i]![2]).toContain(hueWord(p.colour.value!))
        if (p.askedBy) expect(table!.rows[i]!.join()).toContain(p.askedBy)
      }
    }
  })
  test.each(all.map((c) => [c.id, c] as const))('%s: every control as the hand does it', (_id, c) => {
    for (const s of c.sabers.filter((x) => x.controls.length)) {
      const [table] = blocks(build(c), idFor(c, s, 'controls'), 'table')
      expect(table!.rows).toHaveLength(s.controls.length)
      for (const r of s.controls) {
        const row = table!.rows.find(
          (x) =>
            x[1] === gestureText(MAKER, s, r) &&
            x[0]!.startsWith(isOf(s, r.mode) === 'menu' ? modeName(s, r.mode) : isOf(s, r.mode)),
        )
        expect(`${r.id} ${row !== undefined}`).toBe(`${r.id} true`)
      }
    }
  })
  test.each(all.map((c) => [c.id, c] as const))(
    '%s: every procedure with its tools and cautions, in order',
    (_id, c) => {
      const d = build(c)
      for (const s of c.sabers) {
        const told = d.chapters.filter((ch) => !ch.saber || ch.saber === s.id).flatMap((ch) => ch.blocks)
        const steps = told.filter((b): b is Extract<Block, { kind: 'steps' }> => b.kind === 'steps' && b.saber === s.id)
        const own = d.procedures.filter((p) => p.saber === s.id)
        // What a client opens it for is there whole, or begins and ends as another one that is.
        for (const [n, p] of own.entries()) {
          if (!['cell', 'card', 'port', 'show', 'charge', 'powerOn', 'powerOff'].includes(p.goal) || p.cannot) continue
          const b = steps.find((x) => x.procedure === n)!
          const from = (b.first ?? 1) - 1
          const acts = p.acts.slice(from, from + b.steps.length)
          expect(b.steps.map((x) => [x.text, x.tool, x.caution, x.cue])).toEqual(
            acts.map((x) => [x.text, x.tool, x.caution, x.cue]),
          )
          if (b.steps.length < p.acts.length)
            expect(`${b.lead} ${b.tail}`).toMatch(/Begin as under|Then close it as there/)
        }
      }
    },
  )
  test.each(all.map((c) => [c.id, c] as const))(
    '%s: wishes, arrivals, packing, credits and questions, row for row',
    (_id, c) => {
      const d = build(c)
      const rows = (id: string) => (d.chapters.some((x) => x.id === id) ? (blocks(d, id, 'table')[0]?.rows ?? []) : [])
      const whose = (saber?: string) =>
        c.sabers.length > 1 ? ` (${c.sabers.find((x) => x.id === saber)?.name ?? 'all'})` : ''
      // What is only offered is nobody's wish yet.
      const wishes = c.requests.filter((r) => r.shape !== 'offered' || r.acceptedOn)
      expect(rows('requests').map((r) => r[0])).toEqual(wishes.map((r) => r.text + whose(r.saber)))
      const shares = c.arrivals.flatMap((a) => a.shares.map((x) => ({ a, x })))
      expect(rows('arrivals')).toHaveLength(shares.length)
      for (const [i, { a, x }] of shares.entries()) {
        expect(rows('arrivals')[i]![0]).toBe(x.count > 1 ? `${x.count} × ${a.what}` : a.what)
        for (const said of [
          a.condition,
          dayText(MAKER, a.conditionOn ?? ''),
          ...a.faults.flatMap((f) => [f.text, f.left ?? '']),
        ])
          expect(rows('arrivals')[i]![1]).toContain(said)
      }
      expect(rows('packing').map((r) => [r[0], r[1]])).toEqual(c.packing.map((p) => [p.what, String(p.quantity)]))
      expect(rows('packing').map((r) => r[2])).toEqual(c.packing.map((p) => (p.packed ? 'yes' : 'not yet')))
      const made = c.people.map((p) => [p.name, p.does ?? '–'])
      expect(rows('credits')).toEqual([...made, ...c.credits.map((k) => [k.who, k.did])])
      // What the client has not answered yet stands last, and asks for it.
      const open = c.questions.filter((q) => !q.answer)
      const asked = [...c.questions.filter((q) => q.answer), ...open]
      expect(rows('questions').map((r) => r[0])).toEqual(asked.map((q) => q.text))
      expect(rows('questions').filter((r) => /please tell us/.test(r[1]!))).toHaveLength(open.length)
    },
  )
  test('every test says what was wanted, what was found and how it stands', () => {
    const c = demo('ember-fair')
    for (const s of c.sabers.filter((x) => x.tests.length)) {
      const rows = blocks(build(c), idFor(c, s, 'tests'), 'table')[0]!.rows
      for (const t of s.tests) {
        const row = rows.find((r) => r[0]!.startsWith(t.what))!
        const last = t.readings.at(-1)
        if (!last) expect(row[3]).toMatch(/not/)
        else if (last.value !== undefined) expect(row[2]).toContain(String(last.value))
      }
    }
  })
  test('the script of the walkthrough is told beat for beat', () => {
    const c = demo('reed-warden')
    const [script] = blocks(build(c), 'walkthrough', 'script')
    expect(script!.beats.map((b) => b.say)).toEqual(c.sabers[0]!.beats.map((b) => b.say))
    expect(script!.beats.map((b) => b.n)).toEqual(c.sabers[0]!.beats.map((_b, i) => i + 1))
  })
})

describe('nothing is firmer on paper than in the record', () => {
  test('a length that is recalled, assumed, told or disputed is printed as about; an unknown is not recorded', () => {
    const c = demo('reed-warden')
    const row = (f: NumberFact) => {
      const x = structuredClone(c)
      x.sabers[0]!.blades[0]!.length = f as (typeof x.sabers)[0]['blades'][0]['length']
      return blocks(build(x), 'blade', 'table')[0]!.rows[0]![2]
    }
    for (const source of ['recalled', 'assumed', 'client'] as const)
      expect(row(fact(900, 'mm', source))).toBe('about 900 mm')
    for (const source of ['measured', 'datasheet', 'configured', 'computed'] as const)
      expect(row(fact(900, 'mm', source))).toBe('900 mm')
    expect(row({ ...fact(900, 'mm', 'measured'), rivals: [{ value: 920, source: 'client' }] })).toBe('about 900 mm')
    expect(row(fact(null, 'mm'))).toBe('not recorded')
  })
  test('without any value at all it still says what it does not know, and breaks on nothing', () => {
    for (const c of all) {
      const bare = structuredClone(c)
      for (const s of bare.sabers)
        for (const { fact: f } of factPaths(s)) Object.assign(f, { value: null, source: 'unknown' })
      const said = JSON.stringify(build(bare))
      expect(said).not.toMatch(/NaN|undefined|null|\[object/)
    }
    for (const c of all) expect(JSON.stringify(build(c))).not.toMatch(/NaN|undefined|\[object/)
  })
})

describe('a frozen handoff', () => {
  test('the first ones, without a version, are read as they were issued', () => {
    const { format: _f, version: _v, ...old } = build(demo('reed-warden'))
    expect(liftHandoff(old, demo('reed-warden'))).toEqual({ ...old, format: 'nubrin-handoff', version: 5 })
    // Before there were procedures in it, they are those of the frozen record.
    const { procedures, ...before } = old
    expect(liftHandoff(before, demo('reed-warden')).procedures).toEqual(procedures)
  })
})

describe('scripts composed by hand of nobody', () => {
  test.each(all.flatMap((c) => ORDERS.map((o) => [c.id, o, c] as const)))(
    '%s told %s has no trouble at all',
    (_id, o, c) => {
      for (const s of c.sabers) {
        const told = { ...s, beats: compose(c, s, o) }
        expect(rehearse(MAKER, told).troubles.map((t) => `${troubleText(t)} ${t.beat.say}`)).toEqual([])
        expect(told.beats.every((b) => b.say.trim() && known(fact(b.seconds, 's'))! > 0)).toBe(true)
      }
    },
  )
})

describe('what it is not made for', () => {
  test('stands among the cautions though nothing else does, with its reason or that there is none', () => {
    const c = demo('first-lantern')
    const s = c.sabers[0]!
    for (const key of [
      'parts',
      'blades',
      'zones',
      'presets',
      'inputs',
      'controls',
      'access',
      'beats',
      'tests',
    ] as const)
      (s[key] as unknown[]).length = 0
    s.hilt = { ...s.hilt, sections: [], fasteners: [], openings: [], sockets: [] }
    const caution = () => buildHandoff(c, 'Shop', TODAY).chapters.find((ch) => ch.id.startsWith('cautions'))
    const titles = () => caution()?.blocks.flatMap((b) => (b.kind === 'caution' ? [b.title] : [])) ?? []
    const before = titles()
    s.notFor = [
      { id: 'nf1', what: 'rain', why: 'it is open to the crystal' },
      { id: 'nf2', what: 'children', why: '' },
    ] as typeof s.notFor
    expect(titles().length).toBe(before.length + 2)
    expect(JSON.stringify(caution())).toMatch(/rain.*it is open to the crystal.*children.*not recorded/)
  })
})

describe('the chapters of a film', () => {
  test('are those of the take that is named, of whichever saber and whichever of its takes', () => {
    const c = demo('ember-fair')
    const [, second] = c.sabers
    const mark = (beat: string, atMs: number) => ({ beat, atMs })
    const [one, two] = second!.beats
    second!.takes = [
      { id: 'tk-a', at: '2026-11-20T20:00:00.000Z', marks: [mark(one!.id, 0)] },
      { id: 'tk-b', at: '2026-11-21T20:00:00.000Z', marks: [mark(one!.id, 0), mark(two!.id, 9000)] },
    ]
    c.handoff.films = [{ id: 'fm', file: 'fair.webm', take: 'take:tk-b' }]
    const film = buildHandoff(c, 'Shop', TODAY).chapters.find((ch) => ch.id === 'film')!
    expect(film.blocks[0]).toMatchObject({ kind: 'film', title: expect.stringContaining(second!.name) })
    const { chapters } = film.blocks[0] as { chapters: unknown[] }
    expect(chapters).toEqual(chaptersAt(MAKER, second!, second!.takes[1]!))
    expect(chapters.length).toBeGreaterThan(0)
  })
})

describe('what was wanted, computed and found of the tests', () => {
  test.each(all.filter((c) => c.sabers.some((s) => s.tests.length)).map((c) => [c.title, c] as const))(
    '%s',
    (_title, c) => {
      const d = build(c)
      for (const s of c.sabers.filter((x) => x.tests.length)) {
        const [first, ...rest] = chapter(d, idFor(c, s, 'tests')).blocks
        expect(first).toMatchObject({ kind: 'table' })
        const bars = 'bars' in first! ? first.bars! : []
        expect(bars).toHaveLength(s.tests.length)
        for (const [i, t] of s.tests.entries()) {
          const value = t.readings.at(-1)?.value
          const measured = value !== undefined && (t.min !== undefined || t.max !== undefined)
          expect(bars[i]!.found).toBe(measured ? value : undefined)
        }
        for (const b of rest) expect('bars' in b).toBe(false)
      }
    },
  )
})

describe('whom a document speaks to', () => {
  const ways = LANGUAGES.flatMap((language) =>
    LANGUAGES.flatMap((written) => [...MEASURES, undefined].map((measures) => ({ language, written, measures }))),
  )
  test.each(ways)(
    '$language of a record in $written, lengths in $measures: page, file and paper as its client',
    (way) => {
      const c = demo('first-lantern')
      c.writtenIn = way.written
      c.client.language = way.language
      if (way.measures) c.client.measures = way.measures
      else delete c.client.measures
      expect(readerOfHandoff(build(c))).toEqual(readerOf(c))
    },
  )
  test('one that was issued before it said so: by its language, and whether the words of the shop are in another', () => {
    const { measures: _m, written: _w, ...before } = build(demo('reed-warden'))
    expect(readerOfHandoff(liftHandoff({ ...before, language: 'de', ownWords: true }, demo('reed-warden')))).toEqual({
      language: 'de',
      written: 'en',
    })
    expect(
      readerOfHandoff(liftHandoff({ ...before, language: 'de', ownWords: false }, demo('reed-warden'))).written,
    ).toBe('de')
  })
})
