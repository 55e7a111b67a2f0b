import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'
import { lift, readCommission, readDocument, writeCommission } from '@nubrin/core/import'
import { standing } from '@nubrin/core/proof'
import {
  beatMark,
  FORMAT_VERSION,
  fontOf,
  markOf,
  marksOf,
  purposeOf,
  type Saber,
  soundsOf,
  tracksOf,
} from '@nubrin/core/record'
import { filmedOtherwise } from '@nubrin/core/script'
import { FROZEN } from '../src/record/versions/frozen'
import { fullOf, type Shape } from './full'

const here = join(dirname(fileURLToPath(import.meta.url)), 'fixtures')
type Loose = Record<string, unknown>
const fixture = (name: string) => JSON.parse(readFileSync(join(here, name), 'utf8')) as Loose
/** One file at least of every version, as that version wrote it. */
const FILES = readdirSync(here)
  .sort()
  .map((n): [string, Loose] => [n, fixture(n)])
const first = fixture('cinder-oath.v2.json')

/** Every scalar of a document with how often it stands there; what was kept aside counts as standing there. */
function leaves(v: unknown, into = new Map<string, number>()): Map<string, number> {
  if (typeof v === 'object' && v !== null) for (const x of Object.values(v)) leaves(x, into)
  else into.set(JSON.stringify(v), (into.get(JSON.stringify(v)) ?? 0) + 1)
  return into
}
/** Rows name a mode of the record where they once named one of six; what that mode is counts. */
const byWhatModesAre = (r: Loose): Loose => ({
  ...r,
  sabers: (r.sabers as Loose[]).map((s) => {
    const is = new Map((s.modes as Loose[]).map((m) => [m.id, m.is]))
    const rows = (s.controls as Loose[]).map((row) => ({
      ...row,
      mode: is.get(row.mode),
      ...(row.to ? { to: is.get(row.to) } : {}),
    }))
    return { ...s, controls: rows }
  }),
})
const leavesOfRecord = (r: Loose) => {
  const out = leaves(byWhatModesAre(r))
  for (const a of (r.aside ?? []) as { was: string }[]) leaves(JSON.parse(a.was), out)
  return out
}

/** What the program itself had written in words became a code in version 9. */
const CODES: Record<string, string> = {
  ...{ 'assumed until then': 'assumed', 'set anew': 'setAnew', 'taken back': 'takenBack' },
  ...{ 'taken back on the bench': 'takenBack', 'settled on the bench': 'settled' },
}
const coded = (v: unknown): unknown =>
  Array.isArray(v)
    ? v.map(coded)
    : typeof v === 'object' && v !== null
      ? Object.fromEntries(Object.entries(v).map(([k, x]) => [k, k === 'why' ? (CODES[String(x)] ?? x) : coded(x)]))
      : v

/** What version 10 says in one place: that a screw holds a blade stands at the socket, and what a key does is said of the circuit. */
const oneSource = (v: unknown): unknown =>
  Array.isArray(v)
    ? v.map(oneSource)
    : typeof v === 'object' && v !== null
      ? Object.fromEntries(
          Object.entries(v)
            .filter(([k, x]) => !(k === 'purpose' && x === 'bladeRetention'))
            .map(([k, x]) => [k, k === 'cutPower' && /^killKey/.test(String(x)) ? 'killKey' : oneSource(x)]),
        )
      : v

/** What version 11 makes anew: words of an act, a step's direction that is none, and whose steps they are by their task. */
const procedural = (v: unknown): unknown => {
  if (Array.isArray(v)) return v.map(procedural)
  if (typeof v !== 'object' || v === null) return v
  const x = v as Loose
  const step = 'direction' in x && typeof x.text === 'string'
  const task = 'task' in x && Array.isArray(x.steps)
  return Object.fromEntries(
    Object.entries(x)
      .filter(([k]) => !(task && (k === 'task' || k === 'id')))
      .filter(([k, y]) => !(step && (k === 'ownWords' || (k === 'direction' && y === 'none'))))
      .filter(([k]) => !(step && k === 'text' && x.act !== undefined && x.ownWords !== true))
      .filter(([k, y]) => !(k === 'perform' && String(y).startsWith('task:')))
      .map(([k, y]) => [k, procedural(y)]),
  )
}

/** What version 14 says once for a saber: the name of a font that several presets play, and of a track; marks of presets are made anew. */
const onceEach = ({ saber, ...d }: Loose): Loose => ({
  ...d,
  sabers: ((d.sabers ?? [saber]) as Loose[]).map((s) => {
    const seen = new Set<unknown>()
    const once = (x: unknown) => {
      const first = !seen.has(x)
      seen.add(x)
      return first ? [x] : []
    }
    const presets = ((s.presets ?? []) as Loose[]).map(({ font, tracks, ...p }) => ({
      ...{ ...p, font: once(font) },
      tracks: ((tracks ?? []) as unknown[]).flatMap(once),
    }))
    const readings = (t: Loose) =>
      ((t.readings ?? []) as Loose[]).map((r) => ({
        ...r,
        ...(r.rested ? { rested: (r.rested as Loose[]).filter((x) => !String(x.of).startsWith('preset:')) } : {}),
      }))
    return { ...s, presets, tests: ((s.tests ?? []) as Loose[]).map((t) => ({ ...t, readings: readings(t) })) }
  }),
})

describe('files of every version', () => {
  test.each(FILES)('%s is read, and no value of it is lost', (_name, doc) => {
    const r = readCommission(JSON.stringify(doc))
    if (!r.ok) throw new Error(JSON.stringify(r.problems.slice(0, 3)))
    expect(r.record.version).toBe(FORMAT_VERSION)
    const after = leavesOfRecord(r.record as unknown as Loose)
    const { version: _v, handoff, ...rest } = doc
    const waivers = ((handoff as Loose).waivers as Loose[]).map(({ key: _k, ...w }) => w)
    const whole = { ...rest, handoff: { ...(handoff as Loose), waivers } }
    const now = procedural(oneSource(coded(Number(doc.version) < 6 ? whole : byWhatModesAre(whole))))
    for (const [leaf, n] of leaves(onceEach(now as Loose)))
      expect(`${leaf} ${(after.get(leaf) ?? 0) >= n}`).toBe(`${leaf} true`)
    expect(readCommission(writeCommission(r.record))).toEqual(r)
  })
  test.each(Object.entries(FROZEN).map(([v, schema]) => [Number(v), schema] as const))(
    'a file of version %d with every field filled is read, and each value is there or kept aside',
    (version, schema) => {
      const { record, leaves: all } = fullOf(
        schema as Shape,
        FROZEN[version <= 2 ? 3 : version === 7 ? 8 : version] as Shape,
      )
      const r = readDocument({ ...(record as unknown as Loose), version })
      if (!r.ok) throw new Error(JSON.stringify(r.problems.slice(0, 4)))
      const text = JSON.stringify(r.record)
      const said = all.filter((l) => l.says !== '#' && /^q|^own-q|^\d{4}-/.test(l.says))
      expect(said.length).toBeGreaterThan(90)
      // Which finding was set aside was said by a key that no program knows any more.
      const gone = said.filter((l) => !text.includes(l.says) && !/^\/handoff\/waivers\/key$/.test(l.at))
      expect(gone.map((l) => l.at)).toEqual([])
    },
  )
  test('what a screw and a key do is said in one place', () => {
    const d = fixture('reed-warden.v9.json') as unknown as {
      sabers: { cutPower: string; hilt: { fasteners: Loose[]; sockets: { retention: string[] }[] } }[]
    }
    const [s] = d.sabers
    const held = s!.hilt.sockets[0]!.retention[0]!
    s!.cutPower = 'killKeyTurn'
    s!.hilt.fasteners.push({ ...s!.hilt.fasteners[0]!, id: 'strayx', purpose: 'bladeRetention' })
    const r = readDocument(d)
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    const now = r.record.sabers[0]!
    const of = (id: string) => purposeOf(now, now.hilt.fasteners.find((f) => f.id === id)!)
    expect([of(held), of('strayx')]).toEqual(['bladeRetention', undefined])
    expect(r.record.aside).toMatchObject([
      { was: '"bladeRetention"', path: expect.stringContaining('@strayx/purpose') },
    ])
    expect([now.cutPower, now.keyDoes]).toEqual(['killKey', { out: 'open', in: 'open', turned: 'closed' }])
    s!.cutPower = 'killKeyPull'
    const pull = readDocument(d)
    expect(pull.ok && pull.record.sabers[0]!.keyDoes).toEqual({ out: 'closed', in: 'open' })
  })
  test('every version before this one has a file', () => {
    const versions = new Set(FILES.map(([, d]) => d.version))
    for (let v = 0; v < FORMAT_VERSION; v++) expect(versions).toContain(v)
  })
  test('one order in versions 0 and 1 comes to the same record', () => {
    const [zero, one] = ['cinder-oath.v0.json', 'cinder-oath.v1.json'].map((n) => readDocument(fixture(n)))
    expect(one!.ok).toBe(true)
    expect(zero).toEqual(one)
  })
  test.each(FILES.filter(([, d]) => Number(d.version) >= 2 && Number(d.version) <= 5))(
    'where a control of %s leads is kept, whichever of the six modes it is',
    (_name, doc) => {
      for (const to of ['asleep', 'off', 'lit', 'menu', 'muted', 'combat']) {
        const d = structuredClone(doc) as { sabers: { controls: Loose[] }[] }
        const rows = d.sabers[0]!.controls
        expect(rows.length).toBeGreaterThan(0)
        for (const row of rows) row.to = to
        const r = readDocument(d)
        if (!r.ok) throw new Error(JSON.stringify(r.problems.slice(0, 3)))
        const [s] = r.record.sabers
        const is = new Map(s!.modes.map((m) => [m.id as string, m.is]))
        expect(s!.controls.map((row) => is.get(row.to!))).toEqual(rows.map(() => to))
        expect(r.record.aside?.filter((a) => a.path.endsWith('/to')) ?? []).toEqual([])
      }
    },
  )
  test('a name that version 2 judged by has become a field', () => {
    const r = readDocument(first)
    const saber = r.ok ? r.record.sabers[0]! : undefined
    const clawed = saber!.hilt.sections.filter((s) => /claw/.test(s.name))
    expect(clawed.length).toBeGreaterThan(0)
    for (const s of clawed) expect(s.sharp).toBe(true)
  })
  test('what version 2 let be wrong is kept aside with its place and its words', () => {
    const d = structuredClone(first) as { sabers: Loose[] }
    const saber = d.sabers[0] as {
      blades: Loose[]
      hilt: { sections: { id: string; length: Loose }[] }
      access: unknown[]
    }
    const section = saber.hilt.sections[0]!
    section.length = { value: 3, unit: 'V', source: 'measured' }
    ;(d as unknown as { requests: Loose[] }).requests.push({ id: 'zz', text: 'x', status: 'met', where: 'part:gone' })
    const r = readDocument(d)
    if (!r.ok) throw new Error(JSON.stringify(r.problems.slice(0, 3)))
    expect(r.record.sabers[0]!.hilt.sections[0]!.length).toMatchObject({ value: null, unit: 'mm', source: 'unknown' })
    const aside = r.record.aside!
    expect(aside.map((a) => a.path)).toEqual(
      expect.arrayContaining([
        expect.stringContaining(`@${section.id}/length`),
        expect.stringContaining('/requests/@zz/where'),
      ]),
    )
    expect(aside.find((a) => a.path.endsWith('/length'))!.was).toContain('"V"')
    expect(aside.find((a) => a.path.endsWith('/where'))!.was).toBe('"part:gone"')
  })
  test('what version 12 called a fix, a rms and bytes is kept under the names of the trade, and all that names it', () => {
    const d = structuredClone(fixture('reed-warden.v12.json')) as {
      sabers: Loose[]
      visits: Loose[]
      arrivals: Loose[]
    }
    const s = d.sabers[0] as Record<'parts' | 'fixes' | 'beats' | 'decisions' | 'leftOut', Loose[]>
    const board = s.parts.find((p) => (p.specs as Loose).maxRms)!
    const at = `/parts/@${board.id}/specs`
    s.fixes.push({ id: 'fx1', on: '2026-11-20', cause: 'a loose wire', fix: 'soldered', retest: [] })
    d.visits.push({ id: 'vs1', cameOn: '2026-11-19', fixes: ['fix:fx1'] })
    Object.assign(d.arrivals[0]!, { faults: [{ id: 'fl1', text: 'mute', became: 'fix:fx1' }] })
    Object.assign(s.beats[0]!, { say: `It gives [[${at}/maxRms]] at most. fix:fx1 it says.`, covers: ['fix:fx1'] })
    s.leftOut.push({ key: 'fix:fx1', who: 'Maren', reason: 'shown elsewhere', on: '2026-11-20' })
    s.decisions.push({
      id: 'dc1',
      on: '2026-11-20',
      by: 'Maren',
      chose: 'this',
      why: 'fits',
      layout: { [`${at}/maxRms`]: 2 },
    })
    const was = (board.specs as Loose).maxRms
    const r = readDocument(d)
    if (!r.ok) throw new Error(JSON.stringify(r.problems.slice(0, 3)))
    const [now] = r.record.sabers
    expect(now!.repairs).toMatchObject([{ id: 'fx1', fix: 'soldered' }])
    expect([r.record.visits[0]!.repairs, r.record.arrivals[0]!.faults[0]!.became]).toEqual([
      ['repair:fx1'],
      'repair:fx1',
    ])
    expect(now!.parts.find((p) => p.id === board.id)!.specs.maxOutputVoltsRms).toEqual(was)
    // Words that only look like a reference stay as they were written.
    expect(now!.beats[0]).toMatchObject({
      say: `It gives [[${at}/maxOutputVoltsRms]] at most. fix:fx1 it says.`,
      covers: ['repair:fx1'],
    })
    expect([now!.leftOut.at(-1)!.key, now!.decisions.at(-1)!.layout]).toEqual([
      'repair:fx1',
      { [`${at}/maxOutputVoltsRms`]: 2 },
    ])
  })
  describe('sounds of version 13', () => {
    type Old = { sabers: Record<'presets' | 'takes' | 'beats', Loose[]>[]; handoff: { issued: Loose[] } }
    const old = () => structuredClone(fixture('reed-warden.v13.json')) as unknown as Old
    const read = (d: Old) => {
      const r = readDocument(d)
      if (!r.ok) throw new Error(JSON.stringify(r.problems.slice(0, 3)))
      return r.record
    }
    test('presets of one name share a font with the sounds that one of them lists; its licence and every sound go along', () => {
      const [s] = read(old()).sabers
      const was = old().sabers[0]!.presets
      expect(s!.fonts.map((f) => [f.name, f.is, f.sounds.length, f.mayCopy])).toEqual([
        ['Still Water', 'font', 3, true],
        ['Bell Buoy', 'font', 3, undefined],
        ['Music', 'musicBank', 1, undefined],
      ])
      expect(s!.presets.map((p) => fontOf(s!, p)?.name)).toEqual(was.map((p) => p.font))
      expect(s!.presets.map((p) => tracksOf(s!, p).map((x) => x.name))).toEqual(was.map((p) => p.tracks))
      for (const [i, p] of was.entries())
        for (const x of p.sounds as Loose[]) expect(soundsOf(s!, s!.presets[i]!)).toContainEqual(x)
    })
    test('presets of one name with other sounds keep each its own; what named a sound that another stands for names that', () => {
      const d = old()
      const [one, two] = d.sabers[0]!.presets as [Loose, Loose]
      two.font = one.font
      two.sounds = (one.sounds as Loose[]).map((x) => ({ ...x, id: `${x.id}-b`, seconds: 9 }))
      d.sabers[0]!.beats[0]!.show = `sound:${(two.sounds as Loose[])[0]!.id}`
      const same = read(d).sabers[0]!
      expect(same.presets[1]!.font).toBe(same.presets[0]!.font)
      expect(same.beats[0]!.show).toBe(`sound:${(one.sounds as Loose[])[0]!.id}`)
      // Its licence was said of one preset only.
      expect(fontOf(same, same.presets[0]!)!.mayCopy).toBeUndefined()
      ;(two.sounds as Loose[])[0]!.name = 'another.wav'
      const other = read(d).sabers[0]!
      expect(other.presets[1]!.font).not.toBe(other.presets[0]!.font)
      expect(other.fonts.slice(0, 2).map((f) => f.name)).toEqual(['Still Water', 'Still Water'])
    })
    test('what was proved, filmed and told stays so, and what had changed stays changed', () => {
      const d = old()
      const s13 = d.sabers[0] as unknown as Saber
      const beat = s13.beats.find((b) => b.covers.some((k) => k.startsWith('preset:')))!
      const mark = beatMark(s13, beat)
      s13.takes.push({
        ...{ id: 'tk', at: '2026-11-19T10:00:00Z' },
        marks: [
          { beat: beat.id, atMs: 0, was: mark },
          { beat: s13.beats[0]!.id, atMs: 9, was: 'other' },
        ],
      })
      const told = s13.presets.map((p, i) => ({ of: `preset:${p.id}`, was: i ? markOf(p, 'named') : 'old' }))
      d.handoff.issued = [{ number: 1, on: '2026-11-19', revision: 1, by: 'Maren', told }]
      const c = read(d)
      const [s] = c.sabers
      const [take] = s!.takes
      expect(filmedOtherwise(s!, take!).map((x) => x.beat)).toEqual([s!.beats[0]!.id])
      const now = c.handoff.issued[0]!.told!
      expect(now.filter((m) => m.of.startsWith('preset:')).map((m) => m.was)).toEqual([
        'old',
        ...s!.presets.slice(1).flatMap((p) => marksOf(s!, [`preset:${p.id}`], 'named').map((m) => m.was)),
      ])
      expect(now.filter((m) => m.of.startsWith('font:'))).toHaveLength(3)
      const onPresets = s!.tests.filter((t) => t.place?.startsWith('preset:'))
      expect(onPresets.length).toBeGreaterThan(3)
      for (const t of onPresets) expect([t.key, standing(s!, t)]).toEqual([t.key, 'pass'])
    })
  })
  test('a fault is told in the words of its own version, a newer version by name', () => {
    const broken = { ...first, deadline: 'soon' }
    expect(readDocument(broken)).toMatchObject({ ok: false, problems: [{ path: '/deadline' }] })
    const newer = readDocument({ ...first, version: FORMAT_VERSION + 1 })
    expect(newer.ok).toBe(false)
    expect(!newer.ok && newer.problems[0]!.message).toMatch(new RegExp(`${FORMAT_VERSION + 1}`))
  })
  test('what is no document is left as it is', () => {
    for (const v of ['text', 3, null, [], {}]) expect(lift(v)).toEqual(v)
  })
})
