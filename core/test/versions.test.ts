import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'
import { lift, readCommission, readDocument, writeCommission } from '@nubrin/core/import'
import { FORMAT_VERSION, purposeOf } from '@nubrin/core/record'
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
    for (const [leaf, n] of leaves(now as Loose)) expect(`${leaf} ${(after.get(leaf) ?? 0) >= n}`).toBe(`${leaf} true`)
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
