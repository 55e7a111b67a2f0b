import { describe, expect, test } from '@jest/globals'
import { compile, gestureText, secondsInWords, startOf } from '@nubrin/core/controls'
import { fact, stated } from '@nubrin/core/facts'
import { handedSaber } from '@nubrin/core/handoff'
import { judgeCommission } from '@nubrin/core/judge'
import { errand, goalsOf, KEY_MOVES, keyWays, leadsFrom, machineOf, planOff, run } from '@nubrin/core/machine'
import { dieFaults, ledResistors, moduleCurrent, wrongEnds } from '@nubrin/core/power'
import { changedSince, restedOn, standing, takeReading } from '@nubrin/core/proof'
import {
  ACTIONS,
  asCopy,
  type Commission,
  type Die,
  type FittedPart,
  ORDERS,
  readerOf,
  type Saber,
} from '@nubrin/core/record'
import { compose } from '@nubrin/core/script'
import { carrierSays, cellsOf, cellsUnsent } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import fc from 'fast-check'
import { playing } from './playing'
import { demo, done, tube as plainTube, TODAY } from './samples'

const part = (s: Saber, kind: FittedPart['kind']) => s.parts.find((p) => p.kind === kind)!
const found = (change: (s: Saber, c: Commission) => void, check: string) => {
  const c = demo('reed-warden')
  change(c.sabers[0]!, c)
  return judgeCommission(c, TODAY).filter((f) => f.check === check)
}
const codes = (change: (s: Saber, c: Commission) => void, check: string) =>
  found(change, check).map((f) => `${f.code} ${f.level}${f.gate ? ' gate' : ''}`)

describe('what a kill key does with the circuit', () => {
  const STATES = ['open', 'closed'] as const
  type Circuit = (typeof STATES)[number]
  /** Where a key is after a move, from where it was; the hand, without the table. */
  const AFTER: Record<string, [from: string, to: string]> = {
    ...{ pushIn: ['out', 'in'], pullOut: ['in', 'out'], turn: ['in', 'turned'], turnBack: ['turned', 'in'] },
    ...{ inAndTurn: ['out', 'turned'], backAndOut: ['turned', 'out'] },
  }
  const all = STATES.flatMap((out) =>
    STATES.flatMap((into) =>
      [undefined, ...STATES].map((turned) => ({ out, in: into, ...(turned ? { turned } : {}) })),
    ),
  )
  test.each(all.map((d) => [JSON.stringify(d), d] as const))(
    '%s: cut leads where it is open, restore where it is closed',
    (_n, does) => {
      const ways = keyWays({ keyDoes: does })
      const at = does as Record<string, Circuit | undefined>
      const kinds = new Set(Object.values(does))
      if (kinds.size < 2) return expect(ways).toBeUndefined()
      const [cutFrom, cutTo] = AFTER[ways!.cut]!
      const [backFrom, backTo] = AFTER[ways!.restore]!
      expect([at[cutFrom], at[cutTo], at[backFrom], at[backTo]]).toEqual(['closed', 'open', 'open', 'closed'])
      // What is told of where it is dead names every such place, and no other.
      const said = ways!.cuts.match(/out|in|turned/gi)!.map((x) => x.toLowerCase())
      expect(said.sort()).toEqual(
        Object.keys(does)
          .filter((k) => at[k] === 'open')
          .sort(),
      )
    },
  )
  test('every move is somebody’s, and nothing is said of a key of which half is not known', () => {
    expect(Object.keys(AFTER).sort()).toEqual([...KEY_MOVES].sort())
    for (const d of [undefined, {}, { out: 'open' as const }, { in: 'closed' as const, turned: 'open' as const }])
      expect(keyWays(d ? { keyDoes: d } : {})).toBeUndefined()
  })
  test('a key of which nobody said what it does is asked about; one that changes nothing stops', () => {
    const key = (does?: Saber['keyDoes']) => (s: Saber) => {
      s.parts = s.parts.filter((p) => p.kind !== 'killSwitch')
      s.parts.push({ id: 'kk', kind: 'killKey', name: 'the key', specs: {} })
      s.cutPower = 'killKey'
      if (does) s.keyDoes = does
    }
    expect(codes(key(), 'cutOff')).toEqual(['keyUnsaid caution gate'])
    expect(codes(key({ out: 'open' }), 'cutOff')).toEqual(['keyUnsaid caution gate'])
    expect(codes(key({ out: 'open', in: 'open' }), 'cutOff')).toEqual(['keyNever stop gate'])
    expect(codes(key({ out: 'closed', in: 'open' }), 'cutOff')).toEqual([])
  })
})

describe('how a charge ends', () => {
  const charged = (
    cells: number,
    ends: number,
    more: Partial<FittedPart> = {},
    cell: Partial<FittedPart['specs']> = {},
  ) => {
    const s = done()
    const own = part(s, 'cell')
    Object.assign(own.specs, cell)
    for (let i = 1; i < cells; i++) s.parts.push({ ...structuredClone(own), id: `more${i}` })
    for (const p of s.parts) if (p.kind === 'cell') p.wiring = 'series'
    s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: { chargeVolts: fact(ends, 'V') }, ...more })
    return s
  }
  test.each([
    [1, 4.2, {}, undefined],
    [1, 4.24, {}, undefined],
    [1, 4.26, {}, 4.2],
    [1, 8.4, {}, 4.2],
    [2, 8.4, {}, undefined],
    [2, 8.49, {}, undefined],
    [2, 8.52, {}, 8.4],
    [2, 4.2, {}, 8.4],
    [3, 12.6, {}, undefined],
    // Iron phosphate is full at 3.65 V, and a cell charged higher at 4.35 V.
    [1, 4.2, { fullVolts: undefined, nominalVolts: fact(3.2, 'V') }, 3.65],
    [1, 4.35, { fullVolts: undefined, nominalVolts: fact(3.8, 'V') }, undefined],
    [1, 4.2, { fullVolts: undefined, nominalVolts: undefined }, undefined],
  ] as const)('%d in series, %d V: wanted %#', (cells, ends, cell, wanted) => {
    const s = charged(cells, ends, {}, cell as never)
    expect(wrongEnds(s).map((w) => Number(w.wanted.toFixed(6)))).toEqual(wanted === undefined ? [] : [wanted])
  })
  test('over and far under stop, a gentle end is told; a charger outside has each cell by itself', () => {
    const end = (v: number, kind: 'chargePort' | 'charger' = 'chargePort') =>
      codes((s) => {
        s.parts = s.parts.filter((p) => p.kind !== 'charger')
        s.parts.push({ id: 'cc', kind, name: 'it', specs: { chargeVolts: fact(v, 'V') } })
        part(s, 'cell').specs.fullVolts = fact(4.2, 'V')
      }, 'chargeEnd')
    expect(end(5)).toEqual(['over stop gate'])
    expect(end(3.65)).toEqual(['other stop gate'])
    expect(end(4.1)).toEqual(['gentle note'])
    expect(end(4.2)).toEqual([])
    expect(end(8.4, 'charger')).toEqual(['over stop gate'])
  })
  test('cells in series want a balance, and every charge an end', () => {
    const of = (more: Partial<FittedPart>, cells = 2) =>
      codes((s) => Object.assign(s, { parts: charged(cells, 4.2 * cells, more).parts }), 'chargeEnd')
    expect(of({})).toEqual(['balanceUnsaid caution gate'])
    expect(of({ balances: false })).toEqual(['unbalanced stop gate'])
    expect(of({ balances: true })).toEqual([])
    expect(of({}, 1)).toEqual([])
    expect(of({ balances: true, endsCharge: false })).toEqual(['endless stop gate'])
    expect(of({ endsCharge: true }, 1)).toEqual([])
  })
})

describe('LEDs die by die', () => {
  const die = (name: string, vf: number, mA: number, colour: string, through?: string): Die => ({
    ...{ id: `d-${name}`, name, colour: stated(colour, 'datasheet') },
    ...{ forwardVolts: fact(vf, 'V'), current: fact(mA, 'mA'), ...(through ? { through } : {}) },
  })
  const red = (through?: string) => die('red', 2.1, 1000, '#ff0000', through)
  const blue = (through?: string) => die('blue', 3.3, 1000, '#0000ff', through)
  const ohms = (id: string, r: number): FittedPart => ({
    id,
    kind: 'resistor',
    name: id,
    specs: { ohms: fact(r, 'Ω') },
  })
  const withLed = (led: Partial<FittedPart>, ...more: FittedPart[]) => {
    const s = done()
    s.parts = s.parts.filter((p) => !['resistor', 'accentLed', 'inHiltLed', 'heatsink'].includes(p.kind))
    part(s, 'cell').specs.fullVolts = fact(4.2, 'V')
    const p: FittedPart = { id: 'led', kind: 'inHiltLed', name: 'lamp', specs: {}, ...led }
    s.parts.push(p, ...more)
    return { s, p }
  }
  const faults = (led: Partial<FittedPart>, ...more: FittedPart[]) => {
    const { s, p } = withLed(led, ...more)
    return dieFaults(s, p).map((f) => f.code)
  }
  const sink = (w?: number): FittedPart => ({
    ...{ id: 'sink', kind: 'heatsink', name: 'sink' },
    specs: w === undefined ? {} : { ratedWatts: fact(w, 'W') },
  })
  test('unlike dies side by side on one resistor stop; alike ones share its current', () => {
    expect(faults({ through: 'r', dies: [red(), blue()] }, ohms('r', 10), sink(9))).toEqual(['unlike'])
    // (4.2 − 2.1) V ÷ 1 Ω = 2.1 A, 1.05 A a die, of 1 A: within the tolerance of a resistor.
    const two = [red(), { ...red(), id: 'd-two', name: 'red two' }]
    expect(faults({ through: 'r', dies: two }, ohms('r', 1), sink(9))).toEqual([])
    expect(faults({ through: 'r', dies: two }, ohms('r', 0.9), sink(9))).toEqual(['over'])
  })
  test('a resistor that lets a die over its rating stops; so does none', () => {
    // (4.2 − 3.3) V ÷ 0.2 Ω = 4.5 A on 1 A.
    const { s, p } = withLed({ dies: [blue('r')] }, ohms('r', 0.2), sink(9))
    expect(dieFaults(s, p)).toEqual([
      { code: 'over', id: 'd-blue', die: 'blue', amps: expect.closeTo(4.5, 9), takes: 1, ohms: 0.2 },
    ])
    expect(faults({ fed: 'resistor', dies: [blue()] }, sink(9))).toEqual(['unlimited'])
    expect(faults({ dies: [blue()] }, sink(9))).toEqual(['howFed'])
    // Resistors that are not named are asked whose they are, elsewhere.
    expect(faults({ dies: [blue()] }, ohms('r', 1), sink(9))).toEqual([])
    expect(faults({ dies: [red('a'), blue('b')] }, ohms('a', 2.2), ohms('b', 1), sink(9))).toEqual([])
    expect(faults({ dies: [red('a'), blue('b')] }, ohms('a', 1), ohms('b', 1), sink(9))).toEqual(['over'])
  })
  test('what a driver or a chip feeds is judged as that; in series all of it drops', () => {
    for (const fed of ['driver', 'addressable'] as const)
      expect(faults({ fed, dies: [red(), blue()] }, sink(9))).toEqual([])
    expect(faults({ fed: 'addressable', specs: { dies: fact(3, '×') } })).toEqual([])
    const string = { through: 'r', joined: 'series' as const, dies: [red(), { ...red(), id: 'd-x', name: 'x' }] }
    // 4.2 V of 4.2 V: nothing is left.
    expect(faults(string, ohms('r', 1), sink(9))).toEqual(['dark'])
    const near = { ...string, dies: [die('a', 1, 100, '#ff0000'), die('b', 1, 50, '#ff0000')] }
    // 2.2 V ÷ 40 Ω = 55 mA on 50 mA: a tenth too much; 44 Ω is just right.
    expect(faults(near, ohms('r', 40), sink(9))).toEqual(['over'])
    expect(faults(near, ohms('r', 44), sink(9))).toEqual([])
  })
  test('several dies of which nothing is known are asked for', () => {
    expect(faults({ specs: { dies: fact(3, '×') } })).toEqual(['unsaid'])
    expect(
      codes((s) => s.parts.push({ id: 'l', kind: 'inHiltLed', name: 'l', specs: { dies: fact(3, '×') } }), 'dies'),
    ).toEqual(['unsaid caution gate'])
  })
  test('heat is volts times amperes of every die, and wants a heatsink beyond a watt', () => {
    const fed = { fed: 'driver' as const, dies: [red(), blue()] }
    // 2.1 + 3.3 W.
    expect(faults(fed)).toEqual(['noSink'])
    expect(faults(fed, sink())).toEqual([])
    expect(faults(fed, sink(5.5))).toEqual([])
    expect(faults(fed, sink(5.3))).toEqual(['hot'])
    expect(faults({ fed: 'driver', dies: [die('w', 3, 300, '#ffffff')] })).toEqual([])
  })
  test('each die draws by its own colour, and wants a resistor of its own', () => {
    const { s, p } = withLed({ dies: [red(), blue(), die('green', 3.2, 500, '#00ff00')] })
    s.use.brightness = fact(100, '%', 'configured')
    const amps = (hex: string) => {
      const c = moduleCurrent(s, p, hex)
      return c.ok ? c.value : Number.NaN
    }
    expect([amps('#ff0000'), amps('#0000ff'), amps('#00ff00'), amps('#ffffff'), amps('#000000')]).toEqual([
      1, 1, 0.5, 2.5, 0,
    ])
    const wanted = ledResistors(s).map((r) => [r.name, r.choice?.ohms])
    // 2.1 V at 1 A; 0.9 V at 1 A; 1 V at half an ampere: the next of E24.
    expect(wanted).toEqual([
      ['lamp, red', 2.2],
      ['lamp, blue', 0.91],
      ['lamp, green', 2],
    ])
    expect(ledResistors({ ...s, parts: s.parts.map((q) => (q === p ? { ...q, fed: 'driver' as const } : q)) })).toEqual(
      [],
    )
  })
})

describe('which pole goes first', () => {
  test('pushed in along its axis it is the one away from the opening; tipped in, either', () => {
    fc.assert(
      fc.property(fc.constantFrom('emitter', 'pommel'), fc.constantFrom('emitter', 'pommel'), (plus, from) => {
        // The end of the cell that lies away from the end by which it came in went first.
        const far = from === 'pommel' ? 'emitter' : 'pommel'
        const poleAt = { [plus]: 'plus', [plus === 'pommel' ? 'emitter' : 'pommel']: 'minus' }
        expect(leadsFrom(plus, from)).toBe(poleAt[far])
        expect(leadsFrom(plus, 'aside')).toBeUndefined()
      }),
    )
  })
  /** A bare tube with a cell that leaves at the pommel end alone. */
  const tube = (plus: 'emitter' | 'pommel', leads?: 'plus' | 'minus') => (s: Saber) => {
    const cell = part(s, 'cell')
    s.parts = [
      {
        ...cell,
        removable: true,
        faces: stated(plus, 'measured'),
        ...(leads ? { leads: stated(leads, 'measured') } : {}),
      },
    ]
    s.hilt.sockets = []
    s.blades = []
    for (const x of s.hilt.sections.slice(1)) x.joint = { kind: 'glue' }
  }
  test('what is recorded against that stops; what agrees, and what is only assumed, does not', () => {
    expect(codes(tube('emitter', 'minus'), 'poles')).toEqual(['against stop gate'])
    expect(codes(tube('emitter', 'plus'), 'poles')).toEqual([])
    expect(codes(tube('pommel', 'plus'), 'poles')).toEqual(['against stop gate'])
    expect(codes(tube('pommel'), 'poles')).toEqual([])
    const assumed = (s: Saber) => {
      tube('emitter', 'minus')(s)
      part(s, 'cell').leads = stated('minus', 'assumed')
    }
    expect(codes(assumed, 'poles')).toEqual([])
  })
  test('an act with the other pole first is refused by the machine', () => {
    const s = done()
    tube('emitter')(s)
    const { assembly, rest } = machineOf(s)
    const body = `part:${part(s, 'cell').id}` as const
    const out = planOff(assembly, rest, [body])
    if (!out.ok) throw new Error(JSON.stringify(out.blocked))
    const way = out.acts.at(-1)!
    const put = (leads: 'plus' | 'minus') => run(assembly, out.end, { ...way, do: 'putOn', leads })
    expect(put('plus')).toMatchObject({ ok: true })
    expect(put('minus')).toMatchObject({ ok: false, why: { code: 'wrongPole', at: body } })
  })
})

describe('what is touched only dead', () => {
  test('a card waits for the cut; where nothing cuts, the cell comes out before it and goes in after it', () => {
    const s = done()
    s.parts.push({ id: 'cardx', kind: 'card', name: 'card', specs: {} })
    s.parts = s.parts.filter((p) => p.kind !== 'killSwitch')
    s.cutPower = 'none'
    const { assembly, rest } = machineOf(s)
    const goal = goalsOf(s, assembly).find((g) => g.kind === 'card' && g.at === 'part:cardx')!
    const e = errand(assembly, rest, goal)
    if (!e.ok) throw new Error(JSON.stringify(e.blocked))
    const order = e.acts.map((a) => `${a.do} ${a.at}`)
    const [cell] = Object.values(assembly.joints).flatMap((j) => (j.cell ? [j.body] : []))
    const places = [`takeOff ${cell}`, 'takeOff part:cardx', 'putOn part:cardx', `putOn ${cell}`].map((x) =>
      order.indexOf(x),
    )
    expect(places.every((n) => n >= 0)).toBe(true)
    expect(places).toEqual([...places].sort((a, b) => a - b))
    const live = run(assembly, { ...e.from, off: e.from.off }, { do: 'takeOff', at: 'part:cardx' })
    expect(live).toMatchObject({ ok: false })
  })
  test('what the maker says is touched only dead is refused while it lives', () => {
    const s = done()
    const { assembly } = machineOf(s)
    const body = Object.values(assembly.joints).find(
      (j) => !j.dark && !j.place && j.ways.some((w) => !w.after.length) && !j.held.length,
    )!.body
    const take = (dark: boolean) => {
      const d = structuredClone(s)
      if (dark) d.joints.push({ id: 'jx', body, dark: true })
      const m = machineOf(d)
      const [way] = m.assembly.joints[body]!.ways.filter((w) => !w.after.length)
      return run(
        m.assembly,
        { ...m.rest, cut: false },
        { do: 'takeOff', at: body, how: way!.how, towards: way!.towards },
      )
    }
    expect(take(false)).toMatchObject({ ok: true })
    expect(take(true)).toMatchObject({ ok: false, why: { code: 'live' } })
  })
})

describe('a test is as old as what it rests on', () => {
  const lit = (s: Saber) => s.tests.find((t) => t.key === 'lit-current')!
  const proved = () => {
    const s = done()
    for (const t of s.tests) for (const r of t.readings) r.rested = restedOn(s, t)
    return s
  }
  const things = (change: (s: Saber) => void, key = 'lit-current') => {
    const s = proved()
    change(s)
    const t = s.tests.find((x) => x.key === key)!
    return { is: standing(s, t), of: changedSince(s, t).map((r) => r.split(':')[0]) }
  }
  test('nothing changed is nothing to test again', () => {
    const s = proved()
    expect(s.tests.flatMap((t) => changedSince(s, t))).toEqual([])
    expect(lit(s).readings.at(-1)!.rested!.length).toBeGreaterThan(4)
  })
  test.each<[string, (s: Saber) => void, string, string]>([
    ['how bright it is set', (s) => void (s.use.brightness = fact(61, '%', 'configured')), 'lit-current', 'saber'],
    ['another cell', (s) => void (part(s, 'cell').specs.capacity = fact(2100, 'mAh')), 'lit-current', 'part'],
    ['a cell of another lot', (s) => void (part(s, 'cell').lot = 'other'), 'lit-current', 'part'],
    ['another blade', (s) => void (s.blades[0]!.density = fact(96, '1/m')), 'lit-current', 'blade'],
    ['another speaker', (s) => void (part(s, 'speaker').specs.impedance = fact(4, 'Ω')), 'volume', 'part'],
    ['another board', (s) => void (part(s, 'board').type = stated('other', 'read')), 'volume', 'part'],
    ['how the power is cut', (s) => void (s.cutPower = 'cellOut'), 'cut-off', 'saber'],
  ])('%s asks for its tests by name', (_w, change, key, kind) => {
    expect(things(change, key)).toEqual({ is: 'retest', of: [kind] })
  })
  test('a name, a note, a weight, a better source and a place are no other thing; a way in rests on places', () => {
    for (const change of [
      (s: Saber) => void (part(s, 'cell').name = 'renamed'),
      (s: Saber) => void (part(s, 'cell').note = 'a note'),
      (s: Saber) => void (part(s, 'cell').specs.mass = fact(1, 'g')),
      (s: Saber) => void (part(s, 'cell').specs.capacity!.source = 'believed'),
      (s: Saber) => void (part(s, 'cell').at = fact(1, 'mm')),
    ])
      expect(things(change)).toEqual({ is: 'pass', of: [] })
    const way = done().tests.find((t) => t.key.startsWith('errand-cell'))!
    expect(things((s) => void (part(s, 'cell').at = fact(1, 'mm')), way.key).is).toBe('retest')
  })
  test('a copy with ids of its own is as proved as what it was copied from, no more and no less', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    for (const t of s.tests) for (const r of t.readings) r.rested = restedOn(s, t)
    part(s, 'speaker').specs.impedance = fact(6, 'Ω')
    let n = 0
    const twin = asCopy(c, () => `copy${n++}`).sabers[0]!
    const stands = (x: Saber) => x.tests.map((t) => standing(x, t))
    expect(stands(twin)).toEqual(stands(s))
    expect(new Set(stands(s))).toEqual(new Set(['pass', 'retest']))
  })
  test('a reading beyond the tolerance of what it reads is a rival of that, and a rating never changes', () => {
    const s = done()
    const t = s.tests.find((x) => x.key === 'volume')!
    const take = (value: number) =>
      takeReading(s, t.id, { id: `r${value}`, at: `${TODAY}T10:00:00Z`, by: 'M', pass: true, value })
    expect(s.use.volume.value).toBe(100)
    take(99)
    expect(s.use.volume.rivals).toBeUndefined()
    take(50.5)
    expect(s.use.volume).toMatchObject({
      value: 100,
      rivals: [{ value: 50.5, source: 'measured', by: 'M', on: TODAY }],
    })
    const p = s.presets.find((x) => x.extendMs?.value)!
    playing(s, p, [{ id: 'ign', event: 'ignite', name: 'ign.wav' }])
    const e = { id: 'ext', key: `extend-${p.id}`, what: 'how long it takes to come out', unit: 's', readings: [] }
    s.tests.push(e)
    const was = p.extendMs!.value!
    takeReading(s, e.id, { id: 'e1', at: `${TODAY}T10:00:00Z`, by: 'M', pass: false, value: (2 * was) / 1000 })
    expect(p.extendMs!.rivals).toMatchObject([{ value: 2 * was }])
    const cell = structuredClone(part(s, 'cell'))
    const lit_ = lit(s)
    takeReading(s, lit_.id, { id: 'l1', at: `${TODAY}T10:00:00Z`, by: 'M', pass: true, value: 99 })
    expect(part(s, 'cell')).toEqual(cell)
    expect(() => takeReading(s, 'gone', { id: 'g1', at: `${TODAY}T10:00:00Z`, by: 'M', pass: true })).not.toThrow()
  })
  test('a retest after the fix on the same day counts; one before it does not', () => {
    const s = done()
    const t = lit(s)
    const at = (h: string) => ({ id: 'r1', at: `2026-11-20T${h}:00:00Z`, by: 'M', pass: true, value: 1 })
    s.repairs = [{ id: 'fx', on: '2026-11-20', at: '2026-11-20T12:00:00Z', cause: 'c', fix: 'f', retest: [t.id] }]
    t.readings = [at('14')]
    expect(standing(s, t)).toBe('pass')
    t.readings = [at('10')]
    expect(standing(s, t)).toBe('retest')
    delete s.repairs[0]!.at
    t.readings = [at('14')]
    expect(standing(s, t)).toBe('retest')
  })
})

describe('cells that travel', () => {
  test('built in and beside count as one number where the rule says so', () => {
    const rule = (together: boolean) => ({
      id: 'x',
      name: 'X',
      rules: (['inEquipment', 'withEquipment', 'alone'] as const).map((cells) => ({
        cells,
        abroad: false,
        mostCells: 2,
        together,
        answer: 'taken' as const,
      })),
    })
    const cells = [
      { name: 'in', count: 2, are: 'inEquipment' as const },
      { name: 'beside', count: 1, are: 'withEquipment' as const },
      { name: 'alone', count: 1, are: 'alone' as const },
    ]
    const says = (together: boolean) => carrierSays(rule(together), false, cells).map((k) => k.answer)
    expect(says(false)).toEqual(['taken', 'taken', 'taken'])
    expect(says(true)).toEqual(['refused', 'refused', 'taken'])
  })
  test('cells of one sort in two sabers are counted once, however the box was drafted', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    const twin = structuredClone(s)
    twin.id = 'rx'
    twin.parts = twin.parts.map((p) => ({ ...p, id: `x${p.id}`, catalogue: p.catalogue }))
    c.sabers.push(twin)
    c.packing = [
      { id: 'b1', what: 'one', quantity: 1, packed: true, key: 'saber:rw' },
      { id: 'b2', what: 'two', quantity: 1, packed: true, key: 'saber:rx' },
      { id: 'b3', what: 'cells', quantity: 2, packed: true, key: `part:${part(s, 'cell').id}` },
    ]
    expect(cellsOf(c, c.parcels[0]).map((x) => [x.are, x.count])).toEqual([['withEquipment', 2]])
    c.packing[2]!.quantity = 1
    expect(
      cellsOf(c, c.parcels[0])
        .map((x) => [x.are, x.count])
        .sort(),
    ).toEqual([
      ['inEquipment', 1],
      ['withEquipment', 1],
    ])
  })
  test('without a parcel they are asked about, and how they are secured with one', () => {
    const without = (c: Commission) => {
      c.parcels = []
      delete c.shipped
    }
    expect(codes((_s, c) => without(c), 'lithium')).toEqual(['noParcel caution gate'])
    const c = demo('reed-warden')
    without(c)
    expect(cellsUnsent(c)).toBe(1)
    c.sabers[0]!.parts = c.sabers[0]!.parts.map((p) =>
      p.kind === 'cell' ? { ...p, supplied: 'notSupplied' as const } : p,
    )
    expect(cellsUnsent(c)).toBe(0)
    expect(codes((_s, d) => void delete d.parcels[0]!.polesCovered, 'lithium')).toEqual(['unsecured caution gate'])
    // A cell without a line of its own is built in: it may wake.
    const built = (_s: Saber, d: Commission) => {
      d.packing = d.packing.filter((p) => p.key !== 'part:rw-p2')
      delete d.parcels[0]!.cannotWake
    }
    expect(codes(built, 'lithium')).toEqual(['unsecured caution gate'])
  })
  test('damaged ones are always asked about, a charge is asked for where a rule names one', () => {
    expect(codes((s) => void (part(s, 'cell').damaged = true), 'lithium')).toEqual(['confirm caution gate'])
    const alone = (charged?: number) => (s: Saber, c: Commission) => {
      c.packing = c.packing.filter((p) => p.key === 'part:rw-p2')
      if (charged !== undefined) part(s, 'cell').charged = fact(charged, '%')
    }
    expect(codes(alone(), 'lithium')).toEqual(['unknown caution gate'])
    expect(codes(alone(60), 'lithium')).toEqual(['refused stop gate'])
    expect(codes(alone(30), 'lithium')).toEqual(['confirm caution gate'])
  })
})

describe('what is said of controls', () => {
  const reader = (language: 'en' | 'de') =>
    readerOf({ ...demo('reed-warden'), client: { name: 'x', language }, writtenIn: language })
  test.each(['en', 'de'] as const)('every doing has words of its own, and what is seen of it, in %s', (language) => {
    for (const key of ['action', 'action.seen'] as const) {
      const words = ACTIONS.map((action) => say(reader(language), key, { action, blade: 'yes' }))
      expect(words.filter((w, i) => words.indexOf(w) !== i)).toEqual([])
    }
  })
  test('a time is said as it is recorded, and as about so where nobody made sure', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), (ms) => {
        const said = secondsInWords(MAKER, ms / 1000)
        const n = Number(/^[\d.]+/.exec(said)?.[0] ?? { half: 0.5 }[said.split(' ')[0]!] ?? ms / 1000)
        // A hand does not tell half a second from five milliseconds more.
        expect(Math.abs(n - ms / 1000)).toBeLessThan(n === 0.5 ? 0.01 : 1e-9)
      }),
    )
    const s = done()
    const row = s.controls.find((r) => r.gesture === 'hold' && r.hold?.value)!
    const about = (source: 'configured' | 'assumed' | 'recalled' | 'measured') =>
      /about/.test(gestureText(MAKER, s, { ...row, hold: fact(2, 's', source) }))
    expect((['configured', 'measured', 'assumed', 'recalled'] as const).map(about)).toEqual([false, false, true, true])
  })
  test('a board begins as loud as it is shipped', () => {
    const at = (volume: number | null, steps: number | undefined) => {
      const s = done()
      s.use.volume = fact(volume, '%')
      if (steps === undefined) delete s.settings.volumeSteps
      else s.settings.volumeSteps = fact(steps, '×')
      return startOf(compile(s)).volume
    }
    expect([at(100, 8), at(0, 8), at(50, 8), at(60, 10), at(null, 8), at(100, undefined)]).toEqual([8, 0, 4, 6, 4, 10])
  })
  test('claws are told before the hilt is taken in hand, in whatever order it is told', () => {
    for (const order of ORDERS) {
      const c = demo('reed-warden')
      const s = c.sabers[0]!
      s.order = order
      s.hilt.sections.at(-1)!.sharp = true
      const beats = compose(c, s)
      const sharp = beats.findIndex((b) => b.covers.includes('caution:sharp'))
      const first = beats.findIndex((b) => b.perform !== undefined)
      expect(`${order} ${sharp >= 0 && sharp < first}`).toBe(`${order} true`)
    }
  })
  test('what a client takes in hand knows what its key does', () => {
    const s = done()
    s.cutPower = 'killKey'
    s.keyDoes = { out: 'closed', in: 'open' }
    expect(handedSaber(s).keyDoes).toEqual(s.keyDoes)
  })
})

describe('where screws are', () => {
  const at =
    (x: number, deg: number, more: object = {}) =>
    (s: Saber) =>
      void s.hilt.fasteners.push({
        ...structuredClone(s.hilt.fasteners[0]!),
        id: 'nx',
        name: 'new',
        purpose: 'joint',
        ...more,
        at: fact(x, 'mm'),
        clock: fact(deg, 'deg'),
      })
  test('off the hilt, on another one, in an opening: a stop each; beside them nothing', () => {
    const s = done()
    const f = s.hilt.fasteners[0]!
    const o = s.hilt.openings.find((q) => q.face !== 'rear')!
    const [fx, fd, ox, od] = [f.at.value!, f.clock.value!, o.at.value!, o.clock.value!]
    expect(codes(at(-2, 0), 'screwPlace')).toEqual(['off stop gate'])
    expect(codes(at(1000, 0), 'screwPlace')).toEqual(['off stop gate'])
    expect(codes(at(fx, fd), 'screwPlace')).toEqual(['meet stop gate'])
    // Threads of 4 mm lie clear of each other 4 mm apart.
    expect(codes(at(fx - 4.1, fd, { thread: 'M4' }), 'screwPlace')).toEqual([])
    expect(codes(at(fx - 3.8, fd, { thread: 'M4' }), 'screwPlace')).toEqual(['meet stop gate'])
    expect(codes(at(ox, od), 'screwPlace')).toEqual(['inHole stop gate'])
    expect(codes(at(ox, od + 90), 'screwPlace')).toEqual([])
    // Where an opening is that nobody has placed is not known.
    for (const key of ['at', 'clock', 'length', 'width'] as const)
      expect(
        codes((s2) => {
          at(ox, od)(s2)
          const q = s2.hilt.openings.find((y) => y.id === o.id)!
          q[key] = fact(null, key === 'clock' ? 'deg' : 'mm') as never
        }, 'screwPlace'),
      ).toEqual([])
  })
  test('openings are as far apart as the hilt is thick where they are', () => {
    // 60° round a grip of 20 mm are 10.5 mm, round a pommel of 40 mm twice that; each is 12 mm wide.
    const meet = (x: number) =>
      codes((s) => {
        Object.assign(
          s,
          plainTube([
            [40, 40, 30],
            [160, 20, 10],
          ]),
        )
        const hole = (id: string, clock: number) => ({
          id,
          name: id,
          kind: 'vent' as const,
          at: fact(x, 'mm'),
          clock: fact(clock, 'deg'),
          length: fact(8, 'mm'),
          width: fact(12, 'mm'),
        })
        s.hilt.openings = [hole('one', 0), hole('two', 60)]
      }, 'openingPlace')
    expect(meet(120)).toEqual(['meet stop gate'])
    expect(meet(20)).toEqual([])
  })
})

describe('a sleeve between blade and socket', () => {
  const sleeved =
    (outside: number, bore: number, tube = 22.2) =>
    (s: Saber) => {
      const k = s.hilt.sockets[0]!
      k.bore = fact(25.5, 'mm')
      const b = s.blades.find((x) => x.socket === k.id)!
      s.blades = [b]
      b.outside = fact(tube, 'mm')
      b.adapter = { name: 'sleeve', outside: fact(outside, 'mm'), bore: fact(bore, 'mm') }
    }
  test('each seat is judged by itself, and none by the tube against the socket', () => {
    expect(codes(sleeved(25.38, 22.32), 'socketFit')).toEqual([])
    expect(found(sleeved(25.6, 22.32), 'socketFit').map((f) => f.title)).toEqual([
      expect.stringMatching(/^The adapter of .* will not enter$/),
    ])
    expect(found(sleeved(25.38, 22.5), 'socketFit').map((f) => f.title)).toEqual([
      expect.stringMatching(/, in its adapter, sits loose$/),
    ])
    expect(found(sleeved(25.38, 22.1), 'socketFit').map((f) => f.remedy)).toEqual([
      expect.stringMatching(/^Open the adapter by /),
    ])
    // On a taper the wall is what the least outside leaves.
    const tight = (s: Saber) => {
      sleeved(25.6, 22.32)(s)
      const x = s.hilt.sections.find((y) => y.id === s.hilt.sockets[0]!.section)!
      s.hilt.sockets[0]!.depth = fact(20, 'mm')
      x.outerProfile = [
        { x: 0, d: 40 },
        { x: x.length.value!, d: 28 },
      ]
    }
    const [f] = found(tight, 'socketFit')
    expect((f!.params as { left: number }).left).toBeCloseTo((28 - 25.5) / 2 - (0.1 + 0.12) / 2, 6)
    const bare = (s: Saber) => {
      sleeved(25.38, 22.32)(s)
      delete s.blades[0]!.adapter
    }
    expect(codes(bare, 'socketFit')).toEqual(['wrongSize stop gate'])
  })
})
