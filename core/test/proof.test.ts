import { describe, expect, test } from '@jest/globals'
import { type Calculated, fact, factsBehind, Gather, stated } from '@nubrin/core/facts'
import { balance } from '@nubrin/core/fit'
import { readReadings } from '@nubrin/core/import'
import { litCurrent } from '@nubrin/core/power'
import { type Expected, historyOf, instrumentLines, plannedTests, proposeTests, touchedBy } from '@nubrin/core/proof'
import { colourOf, type Ref, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { tries } from './drawn'
import { playing } from './playing'
import { demo, done } from './samples'

const expectationOf = (s: Saber, key: string) =>
  plannedTests(MAKER, s)
    .find((p) => p.test.key === key)
    ?.predicts?.()
const keyed = (s: Saber, key: string) => proposeTests(MAKER, s).find((t) => t.key === key)
/** Sum of the squares, by hand. */
const rss = (...parts: number[]) => Math.hypot(...parts)

describe('what stands behind a figure', () => {
  test('its own facts and those of the figures in it, each once', () => {
    const [a, b] = [fact(2, 'mm'), fact(3, 'mm')]
    const inner = new Gather()
    inner.take('a', a)
    const half = inner.figure('mm', 'a/2', 'x', () => 1)
    const outer = new Gather()
    outer.take('b', b)
    outer.take('b again', b)
    outer.from('half', half)
    expect(new Set(factsBehind(outer.figure('mm', 'b+a/2', 'x', () => 4)))).toEqual(new Set([a, b]))
    expect(factsBehind(outer.figure('mm', 'b+a/2', 'x', () => 4))).toHaveLength(2)
    const missing: Calculated = { ok: false, needs: [] }
    expect(factsBehind(missing)).toEqual([])
  })
})

describe('limits come from what is computed, with its tolerance', () => {
  /** A saber with one blade in one socket, whose play is bore − tube. */
  const play = (bore: number, tube: number, tols: [number?, number?], source: 'measured' | 'assumed' = 'measured') => {
    const s = done()
    const b = s.blades.find((x) => x.use === 'ship')!
    const tol = (t: number | undefined) => (t === undefined ? {} : { tol: t })
    s.hilt.sockets.find((k) => k.id === b.socket)!.bore = fact(bore, 'mm', source, tol(tols[0]))
    b.outside = fact(tube, 'mm', source, tol(tols[1]))
    return { s, key: `play-${b.id}` }
  }
  test('two tolerances add in squares; the meter adds its two parts in a hundred', () => {
    const { s, key } = play(25.6, 25.4, [0.03, 0.04])
    const e = expectationOf(s, key) as Expected
    expect(e).toMatchObject({ value: expect.closeTo(0.2, 9), plusMinus: expect.closeTo(0.05, 9), unit: 'mm' })
    const t = keyed(s, key)!
    expect([t.min, t.max]).toEqual([0.146, 0.254])
  })
  test('without a tolerance it is by how a value is known: a twentieth with calipers, a quarter of it assumed', () => {
    const measured = play(10, 6, [])
    expect(expectationOf(measured.s, measured.key)!.plusMinus).toBeCloseTo(rss(0.05, 0.05), 9)
    const assumed = play(10, 6, [], 'assumed')
    expect(expectationOf(assumed.s, assumed.key)!.plusMinus).toBeCloseTo(rss(2.5, 1.5), 9)
  })
  test('what is a product moves by its shares, against moving each fact by hand', () => {
    const s = done()
    const colour = colourOf(s.presets[0]!)
    const base = litCurrent(s, colour)
    if (!base.ok) throw new Error('the finished saber has a current')
    // Each fact by itself in a copy, found by its place and not by identity.
    const moved: number[] = []
    const visit = (v: unknown, path: string[]) => {
      if (typeof v !== 'object' || v === null) return
      const f = v as { value?: unknown; unit?: string; source?: string; tol?: number }
      if (typeof f.value === 'number' && f.unit && f.source) {
        const share = { measured: 0.01, datasheet: 0.05, computed: 0.05, client: 0.1, recalled: 0.1, assumed: 0.25 }
        const by =
          f.tol ??
          (f.source === 'measured' && f.unit === 'mm' ? 0.05 : undefined) ??
          f.value * (share[f.source as keyof typeof share] ?? 0)
        const most = [by, -by].map((d) => {
          const copy = structuredClone(s)
          const at = path.reduce((x, k) => (x as never)[k], copy as unknown) as { value: number }
          at.value += d
          const now = litCurrent(copy, colour)
          return now.ok ? Math.abs(now.value - base.value) : 0
        })
        moved.push(Math.max(...most))
        return
      }
      for (const [k, x] of Object.entries(v)) visit(x, [...path, k])
    }
    for (const k of ['parts', 'blades', 'zones', 'hilt', 'use'] as const) visit(s[k], [k])
    const e = expectationOf(s, 'lit-current')!
    expect(e.value).toBeCloseTo(base.value, 9)
    expect(e.plusMinus).toBeCloseTo(rss(...moved, 0.15 * base.value), 6)
    const t = keyed(s, 'lit-current')!
    const off = e.plusMinus + 0.02 * e.value
    expect([t.min, t.max]).toEqual([e.value - off, e.value + off].map((v) => Number(v.toPrecision(3))))
  })
  test('a wider tolerance never makes narrower limits', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true }), (a, b) => {
        const width = (tol: number) => {
          const { s, key } = play(40, 25, [tol, 0.1])
          return expectationOf(s, key)!.plusMinus
        }
        const [less, more] = [Math.min(a, b), Math.max(a, b)]
        expect(width(more)).toBeGreaterThanOrEqual(width(less) - 1e-9)
      }),
      { numRuns: tries(20, 8) },
    )
  })
  test('the highest volume is kept below what is safe by its own tolerance, and never below one', () => {
    const s = done()
    const speaker = s.parts.find((p) => p.kind === 'speaker')!
    const board = s.parts.find((p) => p.kind === 'board')!
    speaker.specs.impedance = fact(8, 'Ω', 'measured', { tol: 0 })
    speaker.specs.ratedWatts = fact(2, 'W', 'measured', { tol: 0 })
    // √(2·8) = 4 V of 5 V: 80 %. With 4.9 to 5.1 V it is 78 to 81 %.
    board.specs.maxOutputVoltsRms = fact(5, 'V', 'measured', { tol: 0.1 })
    expect(keyed(s, 'volume')).toMatchObject({ unit: '%', min: 1, max: 78 })
    speaker.specs.ratedWatts = fact(0.0001, 'W')
    expect(keyed(s, 'volume')!.max).toBe(1)
  })
  test('no current passes that something on its way is not rated for, by hand', () => {
    const amps = fc.double({ min: 0.3, max: 20, noNaN: true })
    fc.assert(
      fc.property(amps, amps, amps, fc.integer({ min: 1, max: 4 }), (cell, key, pin, pins) => {
        const s = done()
        s.parts = s.parts.filter((p) => !['killSwitch', 'killKey', 'connector', 'wire', 'chargePort'].includes(p.kind))
        for (const p of s.parts) if (p.kind === 'board') delete p.specs.contCurrent
        s.parts.find((p) => p.kind === 'cell')!.specs.contCurrent = fact(cell, 'A')
        s.parts.push(
          { id: 'k', kind: 'killKey', name: 'key', specs: { contCurrent: fact(key, 'A') } },
          { id: 'c', kind: 'connector', name: 'plug', specs: { pinCurrent: fact(pin, 'A'), pins: fact(pins, '×') } },
        )
        const allowed = Math.min(cell, key, pin * pins)
        for (const t of proposeTests(MAKER, s).filter((x) => x.key === 'lit-current')) {
          // What is multiplied may come out less than it is by the last digit: a nanoampere is let pass.
          expect(t.max).toBeLessThanOrEqual(allowed + 2e-9)
          expect(t.min).toBeLessThanOrEqual(t.max!)
          const e = expectationOf(s, t.key)!
          const most = e.value + e.plusMinus + 0.02 * e.value
          // Narrowed by what is computed, and by the rating only where that is less.
          expect(t.max).toBeCloseTo(Math.min(allowed, Number(most.toPrecision(3))), 2)
        }
      }),
      { numRuns: tries(40, 12) },
    )
    const { s, key } = play(25.4, 19, [], 'assumed')
    expect(keyed(s, key)).toMatchObject({ min: 0, max: 0.4 })
  })
  test.each([
    [60, 59, 61],
    [1, 0, 2],
    [0, 0, 1],
    // 78 % is what is safe: a promise that goes beyond it is not wanted.
    [78, 77, 78],
    [77.5, 76.5, 78],
    [90, 1, 78],
  ])('the volume that was promised is wanted: %d is %d to %d', (promised, min, max) => {
    const s = done()
    s.parts.find((p) => p.kind === 'speaker')!.specs.impedance = fact(8, 'Ω', 'measured', { tol: 0 })
    s.parts.find((p) => p.kind === 'speaker')!.specs.ratedWatts = fact(2, 'W', 'measured', { tol: 0 })
    s.parts.find((p) => p.kind === 'board')!.specs.maxOutputVoltsRms = fact(5, 'V', 'measured', { tol: 0.1 })
    s.use.volume = fact(promised, '%')
    expect(keyed(s, 'volume')).toMatchObject({ min, max })
    // Where nobody can say what is safe, the promise is still what is wanted.
    s.parts = s.parts.filter((p) => p.kind !== 'speaker')
    expect(keyed(s, 'volume')).toMatchObject({ min: Math.max(0, promised - 1), max: Math.min(100, promised + 1) })
  })
  test('the scale is given what Fit computes, the sleep current nothing below zero', () => {
    const s = done()
    const m = balance(s).mass
    const t = keyed(s, 'mass')!
    expect(m.ok && t.min! < m.value && m.value < t.max!).toBe(true)
    expect(keyed(s, 'sleep-current')).toMatchObject({ unit: 'mA', min: 0 })
    for (const p of s.parts) delete p.specs.sleepCurrent
    expect(keyed(s, 'sleep-current')!.max).toBeUndefined()
  })
  test('a blade that comes out in a second is given a thumb’s lateness', () => {
    const s = done()
    const p = s.presets[0]!
    p.extendMs = fact(1000, 'ms', 'configured')
    const f = playing(s, p, [{ id: 'snd', event: 'ignite', name: 'a' }])
    expect(keyed(s, `extend-${p.id}`)).toMatchObject({ unit: 's', min: 0.78, max: 1.22 })
    f.sounds = []
    expect(keyed(s, `extend-${p.id}`)).toBeUndefined()
  })
  test('what nothing computes has no expectation', () => {
    expect(expectationOf(done(), 'no-such-key')).toBeUndefined()
    expect(expectationOf(done(), `pull-${done().hilt.sockets[0]!.id}`)).toBeUndefined()
  })
})

describe('every way of cutting the power is a test of its own', () => {
  const cuts = (change: (s: Saber) => void) => {
    const s = done()
    s.parts = s.parts.filter((p) => p.kind !== 'killSwitch' && p.kind !== 'killKey')
    s.cutPower = 'none'
    change(s)
    return plannedTests(MAKER, s).flatMap(({ test: t }) => (t.key.startsWith('cut-off') ? [`${t.key}: ${t.what}`] : []))
  }
  const key = (id: string) => ({ id, kind: 'killKey' as const, name: `key ${id}`, specs: {} })
  test('none, the cell itself, one, two', () => {
    expect(cuts(() => undefined)).toEqual([])
    expect(cuts((s) => void (s.cutPower = 'cellOut'))).toEqual([
      'cut-off: Cell taken out while lit: everything goes dark',
    ])
    expect(cuts((s) => void s.parts.push(key('a')))).toEqual(['cut-off: Power cut while lit: everything goes dark'])
    expect(cuts((s) => void s.parts.push(key('a'), { ...key('b'), kind: 'killSwitch' }))).toEqual([
      'cut-off-a: Power cut while lit by key a: everything goes dark',
      'cut-off-b: Power cut while lit by key b: everything goes dark',
    ])
  })
})

describe('a socket whose blades are bought later is proved with a borrowed one', () => {
  const what = (...uses: ('ship' | 'toBuy')[]) => {
    const s = done()
    const b = s.blades.find((x) => x.kind === 'pixel')!
    s.blades = uses.map((use, i) => ({ ...b, id: `b${i}`, use }))
    return plannedTests(MAKER, s).find((p) => p.test.key === `pixels-${b.socket}`)?.test.what
  }
  test('only when all of them are', () => {
    expect(what('toBuy')).toMatch(/\(with a borrowed blade\)$/)
    expect(what('toBuy', 'ship')).not.toMatch(/borrowed/)
    expect(what()).toBeUndefined()
  })
})

describe('a fix asks for what it touches and nothing else', () => {
  const touched = (place: Ref, change: (s: Saber) => void = () => undefined) => {
    const s = done()
    s.settings.sensitivities = [{ id: 'sw', sense: 'swing', value: stated('5'), triedWith: [] }]
    s.blades.push({ ...structuredClone(s.blades[0]!), id: 'plug', kind: 'plug', use: 'ship' })
    change(s)
    s.tests = proposeTests(MAKER, s).map((t, i) => ({
      ...t,
      id: `t${i}`,
      readings: [{ id: `r${i}`, at: '2026-11-20T10:00:00Z', by: 'Osk', pass: true }],
    }))
    return touchedBy(s, place).map((t) => t.key)
  }
  const part = (kind: string) => `part:${done().parts.find((p) => p.kind === kind)!.id}` as Ref
  const socket = `socket:${done().hilt.sockets[0]!.id}` as Ref
  test('a speaker: how loud it is, and every preset, no current', () => {
    const keys = touched(part('speaker'))
    expect(keys).toEqual(expect.arrayContaining(['volume', ...done().presets.map((p) => `preset-${p.id}`)]))
    expect(keys.filter((k) => /current|cut|pull|row|sense|fit/.test(k))).toEqual([])
  })
  test('a board: how readily it answers, with the plug and with the blade', () => {
    expect(touched(part('board'))).toEqual(
      expect.arrayContaining(['sense-sw-plug', 'sense-sw-blade', 'sleep-current', 'lit-current', 'volume']),
    )
  })
  test('a screw that holds the blade: the pull of its socket alone', () => {
    const s = done()
    const id = s.hilt.sockets[0]!.retention[0]!
    expect(touched(`fastener:${id}`)).toEqual([`pull-${s.hilt.sockets[0]!.id}`])
  })
  test('a socket: pull, pixels, fit and play of its blades; a preset: only itself and the current in it', () => {
    const keys = touched(socket)
    expect(keys.every((k) => /^(pull|pixels|fit|play)-/.test(k))).toBe(true)
    expect(keys.length).toBeGreaterThanOrEqual(4)
    const p = done().presets[1]!
    expect(new Set(touched(`preset:${p.id}`))).toEqual(
      new Set(touched(`preset:${p.id}`).filter((k) => k.endsWith(`-${p.id}`))),
    )
    expect(touched(`preset:${done().presets[0]!.id}`)).toContain('lit-current')
  })
  test('what was never read is not asked for again; an own test is by its place', () => {
    const s = done()
    const place = part('speaker')
    s.tests = [
      { id: 'a', key: 'volume', what: 'v', readings: [] },
      {
        id: 'b',
        key: 'own-b',
        what: 'o',
        place,
        readings: [{ id: 'r', at: '2026-11-20T10:00:00Z', by: 'O', pass: true }],
      },
      { id: 'c', key: 'own-c', what: 'o', readings: [{ id: 'q', at: '2026-11-20T10:00:00Z', by: 'O', pass: true }] },
    ]
    expect(touchedBy(s, place).map((t) => t.id)).toEqual(['b'])
  })
})

describe('what happened to a saber stands in one line', () => {
  test('its own, by day, what is of another saber left out, and what has no day', () => {
    const c = structuredClone(demo('ember-fair'))
    const s = c.sabers[2]!
    Object.assign(c, { ordered: '2026-01-01', shipped: '2026-12-01' })
    delete (c as { deadline?: string }).deadline
    const arrival = { ...c.arrivals[0]!, what: 'hilt', condition: 'scratched', shares: [], faults: [] }
    c.arrivals = [
      { ...arrival, id: 'mine', conditionOn: '2026-01-03', saber: s.id },
      { ...arrival, id: 'theirs', conditionOn: '2026-01-04', saber: c.sabers[0]!.id },
      { ...arrival, id: 'none', saber: s.id },
    ]
    delete (c.arrivals[2] as { conditionOn?: string }).conditionOn
    s.decisions = [{ id: 'd1', on: '2026-02-01', by: 'Osk', chose: 'thinner wire', why: 'room' }]
    s.repairs = [
      {
        id: 'f1',
        on: '2026-03-02',
        reportedOn: '2026-03-01',
        fault: stated('goes dark'),
        cause: 'a wire',
        fix: 'soldered',
        retest: [],
      },
    ]
    s.losses = [{ id: 'l1', on: '2026-02-15', what: 'lens', how: 'spoilt', cause: 'dropped' }]
    const at = (day: string, pass: boolean, id: string) => ({ id, at: `${day}T09:00:00Z`, by: 'Osk', pass })
    s.tests = [
      { id: 't1', key: 'a', what: 'a', readings: [at('2026-03-03', true, 'r1'), at('2026-03-01', false, 'r2')] },
      { id: 't2', key: 'b', what: 'b', readings: [at('2026-03-03', true, 'r3')] },
    ]
    c.handoff.issued = [{ number: 2, on: '2026-11-30', revision: 4, by: 'Osk' }]
    expect(historyOf(c, s).map((h) => `${h.on} ${h.kind} ${h.text}${h.ref ? ` @${h.ref}` : ''}`)).toEqual([
      `2026-01-01 ordered ${c.title}`,
      '2026-01-03 arrived hilt: scratched',
      '2026-02-01 decided thinner wire',
      '2026-02-15 lost lens: dropped @loss:l1',
      '2026-03-01 fault goes dark @repair:f1',
      '2026-03-01 tested 1 reading, 1 failed',
      '2026-03-02 repaired soldered @repair:f1',
      '2026-03-03 tested 2 readings',
      '2026-11-30 handedOver handoff 2',
      '2026-12-01 handedOver shipped',
    ])
  })
})

describe('the simulated instruments', () => {
  const saber = () => {
    const s = done()
    s.tests = proposeTests(MAKER, s).map((t, i) => ({ ...t, id: `t${i}`, readings: [] }))
    return s
  }
  test('show what is computed, within two in a hundred, in lines that are taken as they are; the same seed the same', () => {
    const s = saber()
    const lines = instrumentLines(s, 7)
    expect(lines).toEqual(instrumentLines(s, 7))
    expect(lines).not.toEqual(instrumentLines(s, 8))
    const { taken, problems } = readReadings(lines.join('\n'), s.tests)
    expect(problems).toEqual([])
    expect(taken.length).toBe(lines.length)
    expect(taken.length).toBeGreaterThan(3)
    for (const r of taken) {
      const t = s.tests.find((x) => x.id === r.test)!
      const e = expectationOf(s, t.key)!
      expect(Math.abs(r.value! - e.value)).toBeLessThanOrEqual(0.02 * e.value + 0.0006)
      expect(r.with).toMatch(/\(simulated\)$/)
      expect(['V', 'A', 'mA', 'g', 'mm', 's']).toContain(t.unit)
    }
  })
  test('know nothing that the record does not, and leave alone what was read', () => {
    const s = saber()
    const keys = (lines: string[]) => lines.map((l) => l.split(';')[0])
    const all = keys(instrumentLines(s, 1))
    expect(all).toContain('mass')
    s.tests.find((t) => t.key === 'mass')!.readings = [{ id: 'r', at: '2026-11-20T10:00:00Z', by: 'O', pass: true }]
    expect(keys(instrumentLines(s, 1))).toEqual(all.filter((k) => k !== 'mass'))
    s.parts = []
    s.blades = []
    s.presets = []
    expect(instrumentLines(s, 1)).toEqual([])
  })
})
