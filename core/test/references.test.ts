import { describe, expect, test } from '@jest/globals'
import { readCommission, validateCommission, writeCommission } from '@nubrin/core/import'
import {
  asCopy,
  type Commission,
  danglingOf,
  factPaths,
  leaningOn,
  placesOf,
  type Ref,
  referencesOf,
  refTo,
  THINGS,
  thingsOf,
  withoutThing,
} from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import { drawn } from './drawn'
import { TODAY } from './samples'

const all = demoCommissions(TODAY)
/** What a field is called, with the thing it stands in and without ids or positions. */
const fieldOf = (r: { path: string }) => r.path.replace(/\/@[^/]+/g, '/@').replace(/\/\d+/g, '/n')
const put = (root: unknown, pointer: string, value: unknown) => {
  const steps = pointer.split('/').slice(1)
  const last = steps.pop()!
  let at = root as Record<string, unknown>
  for (const s of steps) at = at[s] as Record<string, unknown>
  at[last] = value
}

/** The finished demo with the ways to refer that no demo order happens to use. */
function everyWay(): Commission {
  const c = structuredClone(all.find((x) => x.id === 'reed-warden')!)
  const s = c.sabers[0]!
  const { parts, hilt, inputs, controls, zones } = s
  c.media.push({
    ...{ id: 'ph', hash: 'a'.repeat(64), type: 'image/png', name: 'front.png', bytes: 3 },
    place: `section:${hilt.sections[0]!.id}`,
  })
  s.takes.push({ id: 'tk', at: '2026-11-24T20:00:00.000Z', marks: [{ beat: s.beats[0]!.id, atMs: 0 }] })
  hilt.openings.push({ ...hilt.openings[0]!, id: 'op' })
  inputs[0]!.opening = 'op'
  inputs[0]!.part = parts.find((p) => p.kind === 'switch')!.id
  controls[0]!.other = inputs[0]!.id
  zones[0]!.part = parts[0]!.id
  parts[1]!.beside = parts[0]!.id
  s.beats[0]!.perform = `row:${controls[0]!.id}`
  c.requests[0]!.saber = s.id
  s.modes[0]!.on = s.modes[1]!.id
  s.modes[0]!.leads = s.modes[1]!.id
  controls[0]!.to = s.modes[1]!.id
  controls[0]!.presets = [s.presets[0]!.id]
  zones.push({ ...structuredClone(zones[0]!), id: 'zz', follows: zones[0]!.id, blade: s.blades[0]!.id })
  expect(validateCommission(c)).toMatchObject({ ok: true })
  return c
}

describe('every reference of a record', () => {
  const kinds = new Map<string, { record: Commission; pointer: string; bare: boolean }>()
  for (const record of [...all, everyWay()])
    for (const r of referencesOf(record)) {
      const value = r.pointer
        .split('/')
        .slice(1)
        .reduce((at: unknown, s) => (at as Record<string, unknown>)[s], record)
      kinds.set(fieldOf(r), { record, pointer: r.pointer, bare: !String(value).includes(':') })
    }
  test('the samples hold all the ways to refer that the schema knows', () => {
    expect(kinds.size).toBe(35)
  })
  test.each([...kinds])('%s that leads nowhere is refused where it stands', (_field, { record, pointer, bare }) => {
    const broken = structuredClone(record)
    put(broken, pointer, bare ? 'nowhere' : 'part:nowhere')
    const r = validateCommission(broken)
    expect(r).toMatchObject({ ok: false })
    expect(!r.ok && r.problems.map((p) => p.path)).toContain(pointer)
  })
  test('a reference into another saber is refused; into the order it is not', () => {
    const c = structuredClone(all.find((x) => x.sabers.length > 1)!)
    const other = c.sabers[1]!.hilt.sections[0]!.id
    c.sabers[0]!.tests.push({ id: 'lost', key: 'own-lost', what: 'a test', readings: [], place: `section:${other}` })
    expect(validateCommission(c)).toMatchObject({ ok: false, problems: [{ rule: 'reference' }] })
  })
})

describe('things', () => {
  test('each is found once, under a kind that has words, at the place that it says', () => {
    for (const c of all) {
      const things = thingsOf(c)
      expect(new Set(things.map((t) => t.ref)).size).toBe(things.length)
      for (const t of things) {
        expect(THINGS[t.kind]).toHaveLength(2)
        expect(`${t.pointer} ${JSON.stringify(c).includes(`"id":"${t.id}"`)}`).toBe(`${t.pointer} true`)
      }
      // Brute force: as many as there are `id` keys below the record that its schema calls its own.
      const ids = JSON.stringify(c).match(/"id":"/g)!.length - 1 - (c.client.id ? 1 : 0)
      expect(things.length).toBe(ids)
    }
  })
  test('a picker offers each place of a saber once', () => {
    for (const s of all.flatMap((c) => c.sabers)) {
      const refs = placesOf(s, ['section', 'fastener', 'opening', 'socket', 'part']).flatMap((g) =>
        g.items.map((i) => i.ref),
      )
      expect(refs).toHaveLength(new Set(refs).size)
      expect(refs).toHaveLength(
        s.hilt.sections.length +
          s.hilt.fasteners.length +
          s.hilt.openings.length +
          s.hilt.sockets.length +
          s.parts.length,
      )
    }
  })
  test('facts are listed where they stand', () => {
    for (const s of all.flatMap((c) => c.sabers)) {
      const paths = factPaths(s).map((p) => p.path)
      expect(new Set(paths).size).toBe(paths.length)
      expect(paths.length).toBe(JSON.stringify(s).match(/"(unit|value)":"[^"]+","source":/g)!.length)
    }
  })
})

describe('taking a thing out', () => {
  test('whatever it is, what is left is a record in which nothing leads nowhere', () => {
    for (const c of all) {
      const things = thingsOf(c)
      for (const t of drawn(things, 1 / 5, (x) => [x.kind], c.id)) {
        if (t.kind === 'saber') continue
        const { record, goes, letsGo } = withoutThing(c, t.ref)
        const r = validateCommission(record)
        expect({ out: t.ref, problems: r.ok ? [] : r.problems }).toEqual({ out: t.ref, problems: [] })
        const left = new Set(thingsOf(record).map((x) => x.ref))
        expect(left.has(t.ref)).toBe(false)
        expect(goes.filter((g) => left.has(g.ref))).toEqual([])
        // Nothing else went: what is gone is the thing, what lay inside it, and what was named.
        const named = [t, ...goes]
        const inside = (x: { path: string }) => named.some((n) => x.path === n.path || x.path.startsWith(`${n.path}/`))
        expect(things.filter((x) => !inside(x) && !left.has(x.ref))).toEqual([])
        expect(letsGo.every((l) => leaningOn(c, t.ref).some((k) => k.pointer === l.pointer) || goes.length > 0)).toBe(
          true,
        )
      }
    }
  })
  test('a section takes its socket along, and the socket its blade; a screw only lets go', () => {
    const c = all.find((x) => x.id === 'ember-fair')!
    const s = c.sabers[0]!
    const out = withoutThing(c, refTo('section', s.hilt.sockets[0]!.section))
    expect(out.goes.map((t) => t.kind)).toEqual(expect.arrayContaining(['socket', 'blade']))
    const screw = s.hilt.sockets[0]!.retention[0]!
    const less = withoutThing(c, refTo('fastener', screw))
    // What is said of turning it goes with it.
    expect(less.goes.filter((t) => t.kind !== 'step')).toEqual([])
    expect(less.record.sabers[0]!.hilt.sockets[0]!.retention).not.toContain(screw)
    expect(withoutThing(c, 'part:nothing' as Ref).record).toBe(c)
  })
})

describe('a copy', () => {
  test('has no id of the original, the same shape, and nothing that leads nowhere', () => {
    for (const c of all) {
      let n = 0
      const copy = asCopy(c, () => `c${(n++).toString(36)}x`)
      const old = new Set(thingsOf(c).map((t) => t.id))
      expect(thingsOf(copy).filter((t) => old.has(t.id))).toEqual([])
      expect(thingsOf(copy).length).toBe(thingsOf(c).length)
      expect(danglingOf(copy)).toEqual([])
      expect(referencesOf(copy).length).toBe(referencesOf(c).length)
      expect(readCommission(writeCommission(copy)).ok).toBe(true)
    }
  })
})
