import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import {
  type Assembly,
  assemblyOf,
  atRest,
  type Body,
  choicesOf,
  errand,
  goalsOf,
  type Joint,
  machineOf,
  planHome,
  planOff,
  planOn,
  powered,
  run,
  runAll,
  type State,
} from '@nubrin/core/machine'
import type { Act, Saber, Joint as Said } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { tries } from './drawn'
import { done, TODAY } from './samples'

const act = (what: string): Act => {
  const [verb, at] = what.split(' ') as [Act['do'], Act['at']]
  return { do: verb, at }
}
const told = (acts: readonly Act[]) => acts.map((x) => `${x.do} ${x.at}`)
const mm = (v: number) => fact(v, 'mm', 'measured')

/** A joint of an assembly made up. */
const joint = (body: string, more: Partial<Joint> = {}): Joint => ({
  ...{ body: `part:${body}` as Body, name: body, held: [], who: 'client', loads: [], blocked: [] },
  ways: [{ how: 'pull', after: [], towards: 'aside', risk: 0, from: 'maker' }],
  ...more,
})
const assembly = (joints: Joint[], screws: Assembly['screws'] = {}, more: Partial<Assembly> = {}): Assembly => ({
  joints: Object.fromEntries(joints.map((j) => [j.body, j])),
  screws,
  spare: [],
  plugs: [],
  cells: true,
  ...more,
})
const screw = (more: Partial<Assembly['screws'][string]> = {}): Assembly['screws'][string] => ({
  ...{ name: 'screw', clientMay: 'remove', head: 'set' },
  ...more,
})

/** Small assemblies at random: bodies that wait for earlier ones in one or two ways, screws that hold several. */
const HOWS = ['pull', 'slide', 'lift'] as const
const random = fc
  .record({
    n: fc.integer({ min: 1, max: 5 }),
    m: fc.integer({ min: 0, max: 3 }),
    seeds: fc.array(fc.nat(), { minLength: 60, maxLength: 60 }),
  })
  .map(({ n, m, seeds }) => {
    let i = 0
    const draw = (k: number) => seeds[i++ % seeds.length]! % k
    const screws = Object.fromEntries(
      Array.from({ length: m }, (_, k) => [`f${k}`, screw({ clientMay: draw(6) ? 'remove' : 'never' })]),
    )
    const joints = Array.from({ length: n }, (_, k) => {
      const ways = Array.from({ length: draw(8) ? 1 + draw(2) : 0 }, (_v, w) => ({
        ...{ how: HOWS[w]!, towards: 'aside' as const, risk: draw(3), from: 'maker' as const },
        // Some wait for later ones: they may wait for each other.
        after: Array.from({ length: n }, (_x, b) => b).flatMap((b) =>
          b !== k && draw(3) === 0 && (b < k || draw(5) === 0) ? [`part:b${b}` as Body] : [],
        ),
      }))
      const held = Object.keys(screws).flatMap((f) =>
        draw(3) ? [] : [{ screw: f, by: draw(2) ? ('loosen' as const) : ('remove' as const) }],
      )
      const never = held.some((h) => screws[h.screw]!.clientMay === 'never')
      return joint(`b${k}`, {
        ...{ ways: never ? [] : ways, held, who: draw(7) ? 'client' : 'nobody' },
        ...(draw(2) ? { dark: true as const } : {}),
      })
    })
    return { a: assembly(joints, screws), target: `part:b${draw(n)}` as Body }
  })

/** The least risk, then the fewest acts, to a body off, by looking at every state: a way of its own, slow. */
function bruteForce(a: Assembly, target: Body): [number, number] | undefined {
  const acts: Act[] = [
    ...Object.keys(a.screws).flatMap((f): Act[] => [
      { do: 'loosen', at: `fastener:${f}` },
      { do: 'remove', at: `fastener:${f}` },
    ]),
    ...Object.values(a.joints).flatMap((j) => j.ways.map((w): Act => ({ do: 'takeOff', at: j.body, how: w.how }))),
  ]
  const key = (s: State) => JSON.stringify([s.off.toSorted(), Object.entries(s.screws).sort()])
  const best = new Map<string, [number, number]>([[key(atRest(a)), [0, 0]]])
  const open: { s: State; cost: [number, number] }[] = [{ s: atRest(a), cost: [0, 0] }]
  const less = (p: [number, number], q: [number, number]) => p[0] < q[0] || (p[0] === q[0] && p[1] < q[1])
  while (open.length) {
    let at = 0
    open.forEach((o, i) => {
      if (less(o.cost, open[at]!.cost)) at = i
    })
    const [{ s, cost }] = open.splice(at, 1) as [(typeof open)[number]]
    if (s.off.includes(target)) return cost
    for (const x of acts) {
      const o = run(a, s, x)
      if (!o.ok) continue
      const risk = x.do === 'takeOff' ? a.joints[x.at as Body]!.ways.find((w) => w.how === x.how)!.risk : 0
      const next: [number, number] = [cost[0] + risk, cost[1] + 1]
      const k = key(o.state)
      const known = best.get(k)
      if (known && !less(next, known)) continue
      best.set(k, next)
      open.push({ s: o.state, cost: next })
    }
  }
  return undefined
}

describe('plans', () => {
  test('are the safest and shortest there are, and nothing is planned that looking everywhere does not find', () => {
    fc.assert(
      fc.property(random, ({ a, target }) => {
        const plan = planOff(a, atRest(a), [target])
        const slow = bruteForce(a, target)
        // A screw taken out also serves a joint for which it need only be loose: that one act less is the plan's own loss.
        expect(plan.ok ? [plan.risk, plan.acts.length] : undefined).toEqual(slow)
      }),
      { numRuns: tries(600, 150) },
    )
  })
  test('go round what may only be touched dead, where nothing makes it so', () => {
    const free = (risk: number, ...after: Body[]): Assembly['joints'][Body]['ways'][number] => ({
      how: risk ? 'pull' : 'slide',
      towards: 'aside',
      risk,
      from: 'maker',
      after,
    })
    const a: Assembly = {
      joints: {
        'part:live': {
          body: 'part:live',
          name: 'live',
          held: [],
          who: 'client',
          loads: [],
          blocked: [],
          ways: [free(0)],
          dark: true,
        },
        'part:it': {
          body: 'part:it',
          name: 'it',
          held: [],
          who: 'client',
          loads: [],
          blocked: [],
          ways: [free(0, 'part:live'), free(3)],
        },
      },
      ...{ screws: {}, plugs: [], spare: [], cells: true },
    }
    expect(planOff(a, atRest(a), ['part:it'])).toMatchObject({
      ok: true,
      risk: 3,
      acts: [{ do: 'takeOff', at: 'part:it' }],
    })
    expect(planOff(a, atRest(a), ['part:live']).ok).toBe(false)
    // With no current at all nothing is live.
    expect(planOff({ ...a, cells: false }, atRest(a), ['part:it'])).toMatchObject({ ok: true, risk: 0 })
  })
  test('lead there, touch nothing that is forbidden, and lead home again to the state of before', () => {
    fc.assert(
      fc.property(random, ({ a, target }) => {
        const rest = atRest(a)
        const plan = planOff(a, rest, [target])
        if (!plan.ok) {
          expect(plan.blocked.length).toBeGreaterThan(0)
          return
        }
        const out = runAll(a, rest, plan.acts)
        expect(out.refused).toBeUndefined()
        expect(out.state.off).toContain(target)
        for (const x of plan.acts) {
          const f = a.screws[x.at.slice(9)]
          if (x.at.startsWith('fastener:')) expect(f!.clientMay).not.toBe('never')
          else expect(a.joints[x.at as Body]!.who).toBe('client')
        }
        const home = planHome(a, out.state)
        if (!home.ok) throw new Error(JSON.stringify(home))
        const back = runAll(a, out.state, home.acts)
        expect(back.refused).toBeUndefined()
        expect({ ...back.state, off: back.state.off.toSorted() }).toEqual({ ...rest, off: rest.off.toSorted() })
      }),
      { numRuns: tries(400, 100) },
    )
  })
  test('of two ways the one of less risk, then the one of fewer acts', () => {
    const a = assembly([
      joint('lid'),
      joint('cell', {
        ways: [
          { how: 'pull', after: [], towards: 'aside', risk: 1, from: 'maker' },
          { how: 'slide', after: ['part:lid'], towards: 'pommel', risk: 0, from: 'maker' },
        ],
      }),
    ])
    const p = planOff(a, atRest(a), ['part:cell'])
    expect(p.ok && told(p.acts)).toEqual(['takeOff part:lid', 'takeOff part:cell'])
    a.joints['part:cell']!.ways[1]!.risk = 1
    const q = planOff(a, atRest(a), ['part:cell'])
    expect(q.ok && told(q.acts)).toEqual(['takeOff part:cell'])
  })
  test('bodies that wait for each other are no plan, and say so', () => {
    const wait = (b: string) =>
      [{ how: 'pull', after: [`part:${b}`], towards: 'aside', risk: 0, from: 'maker' }] as Joint['ways']
    const a = assembly([
      joint('x', { ways: wait('y') }),
      joint('y', { ways: wait('x') }),
      joint('self', { ways: wait('self') }),
    ])
    for (const b of ['part:x', 'part:self'] as Body[]) expect(planOff(a, atRest(a), [b]).ok).toBe(false)
    expect(planOff(a, atRest(a), ['part:none']).ok).toBe(false)
  })
  test('what only the maker opens is on his plans and on no client’s', () => {
    const a = assembly([
      joint('x', { who: 'maker' }),
      joint('y', { who: 'nobody', blocked: [{ code: 'closed', at: 'part:y', name: 'y' }] }),
    ])
    expect(planOff(a, atRest(a), ['part:x']).ok).toBe(false)
    expect(planOff(a, atRest(a), ['part:x'], 'maker').ok).toBe(true)
    expect(planOff(a, atRest(a), ['part:y'], 'maker')).toMatchObject({
      ok: false,
      blocked: [{ code: 'closed', at: 'part:y' }],
    })
  })
})

describe('what somebody will want', () => {
  test('of every blade that is in the order that it goes in; of a plug that it is a plug', () => {
    const s = structuredClone(done())
    const [blade] = s.blades
    s.blades = [
      { ...blade!, id: 'b-pixel', kind: 'pixel', use: 'ship' },
      { ...blade!, id: 'b-plug', kind: 'plug', use: 'ship' },
      { ...blade!, id: 'b-bench', kind: 'pixel', use: 'demo' },
    ]
    const goals = goalsOf(s, assemblyOf(s)).filter((g) => g.at?.startsWith('blade:'))
    expect(goals.map((g) => [g.kind, g.at])).toEqual([
      ['bladeIn', 'blade:b-pixel'],
      ['bladeOut', 'blade:b-pixel'],
      ['plugIn', 'blade:b-plug'],
      ['plugOut', 'blade:b-plug'],
    ])
  })
})

describe('acts', () => {
  const blade = (id: string): Joint =>
    joint(id, { body: `blade:${id}`, place: 'socket:k', held: [{ screw: 'f', by: 'loosen' }], loads: ['part:top'] })
  const a = assembly(
    [
      joint('top', { held: [{ screw: 't', by: 'remove' }] }),
      blade('one'),
      blade('two'),
      joint('cell', { cell: true, dark: true }),
    ],
    { f: screw({ clientMay: 'loosen' }), t: screw(), n: screw({ clientMay: 'never' }), d: screw({ head: 'dummy' }) },
    { spare: ['blade:two'], cutter: { part: 'kill', name: 'switch' } },
  )
  const why = (st: State, what: string) => {
    const o = run(a, st, act(what))
    return o.ok ? 'done' : `${o.why.code} ${o.why.at ?? ''}`.trim()
  }
  const after = (...whats: string[]) => {
    const r = runAll(a, atRest(a), whats.map(act))
    expect(r.refused).toBeUndefined()
    return r.state
  }
  test.each<[string, string[], string, string]>([
    ['a screw that holds it', [], 'takeOff blade:one', 'tight fastener:f'],
    ['a screw that must be out, not only loose', ['loosen fastener:t'], 'takeOff part:top', 'tight fastener:t'],
    ['a screw never to be touched', [], 'loosen fastener:n', 'notClient fastener:n'],
    ['a glued dummy', [], 'loosen fastener:d', 'notClient fastener:d'],
    ['a screw that may only be loosened', [], 'remove fastener:f', 'notClient fastener:f'],
    ['a screw that is tight', [], 'tighten fastener:f', 'already fastener:f'],
    ['what is off', [], 'takeOff blade:two', 'notThere blade:two'],
    ['what is in', [], 'putOn blade:one', 'there blade:one'],
    ['another one in its place', ['loosen fastener:f'], 'putOn blade:two', 'occupied blade:one'],
    [
      'a joint that it loads is open',
      ['loosen fastener:f', 'takeOff blade:one', 'remove fastener:t', 'takeOff part:top'],
      'putOn blade:two',
      'open part:top',
    ],
    [
      'a screw of a joint that it loads is not tight',
      ['loosen fastener:f', 'takeOff blade:one', 'loosen fastener:t'],
      'putOn blade:two',
      'loose fastener:t',
    ],
    ['under power', ['restore part:kill'], 'takeOff part:cell', 'live part:cell'],
    [
      'a blade that is not tight does not pass the pull',
      ['loosen fastener:f'],
      'pullCheck blade:one',
      'loose fastener:f',
    ],
    ['no such thing', [], 'takeOff part:none', 'noSuch part:none'],
    ['what cuts nothing', [], 'cut part:cell', 'noCutter part:cell'],
  ])('%s', (_what, before, then, refused) => expect(why(after(...before), then)).toBe(refused))
  test('nothing comes off while it is alight', () => {
    const lit: State = { ...after('restore part:kill', 'loosen fastener:f'), lit: true }
    expect(why(lit, 'takeOff blade:one')).toBe('lit blade:one')
    // Cutting the power makes it dark.
    const o = run(a, lit, act('cut part:kill'))
    expect(o.ok && [o.state.lit, o.happened]).toEqual([false, ['dark']])
  })
  test('power follows from the assembly: a cell in, nothing that cuts', () => {
    expect(powered(a, atRest(a))).toBe(false)
    const on = after('restore part:kill')
    expect(powered(a, on)).toBe(true)
    expect(powered(a, { ...on, off: [...on.off, 'part:cell'] })).toBe(false)
    expect(powered({ ...a, cells: false }, on)).toBe(false)
  })
  test('a blade goes in with its joints closed and tight, another one goes out first, and it is pulled at last', () => {
    const st = after('loosen fastener:f', 'remove fastener:t', 'takeOff part:top')
    const p = planOn(a, st, 'blade:two')
    expect(p.ok && told(p.acts)).toEqual([
      'takeOff blade:one',
      ...['putOn part:top', 'tighten fastener:t', 'putOn blade:two', 'tighten fastener:f', 'pullCheck blade:two'],
    ])
    // Home again, the demonstration blade goes out, its own one in, and the power is cut.
    const end = p.ok ? p.end : st
    const home = planHome(a, end)
    expect(home.ok && told(home.acts).slice(0, 4)).toEqual([
      'loosen fastener:f',
      'takeOff blade:two',
      'putOn blade:one',
      'tighten fastener:f',
    ])
    expect(home.ok && home.end.screws).toEqual({})
  })
  test('a state is never changed by what is done to it', () => {
    const st = Object.freeze({
      ...atRest(a),
      off: Object.freeze([...atRest(a).off]) as Body[],
      screws: Object.freeze({}),
    })
    expect(
      runAll(a, st, ['loosen fastener:f', 'takeOff blade:one', 'putOn blade:two'].map(act)).refused,
    ).toBeUndefined()
    expect(st).toEqual(atRest(a))
  })
})

describe('drafted from the drawing', () => {
  const sabers = [...demoCommissions(TODAY), ...[...FIRST, ...SECOND, ...THIRD].map((j) => j.make())].flatMap((c) =>
    c.sabers.map((s): [string, Saber] => [`${c.title}: ${s.name}`, s]),
  )
  test.each(sabers)('%s: every goal is reached and left again, or names what is in the way', (_name, s) => {
    const { assembly: a, rest } = machineOf(s)
    for (const g of goalsOf(s, a)) {
      const e = errand(a, rest, g)
      if (!e.ok) {
        expect(e.blocked.length).toBeGreaterThan(0)
        continue
      }
      const { refused, state } = runAll(a, e.from, e.acts)
      expect(refused).toBeUndefined()
      // All that was opened is closed, and no screw is left loose.
      expect(state.screws).toEqual({})
      if (!/^(blade|plug)/.test(g.kind)) expect(state.off.toSorted()).toEqual(rest.off.toSorted())
      for (const x of e.acts) {
        const f = s.hilt.fasteners.find((y) => x.at === `fastener:${y.id}`)
        expect(f?.clientMay).not.toBe('never')
        expect(f?.head).not.toBe('dummy')
      }
    }
    expect(JSON.parse(JSON.stringify(a))).toEqual(a)
  })
  /** The sample with a pommel and a cell behind a removable chassis. */
  const sample = (change: (s: Saber) => void = () => undefined) => {
    const s = structuredClone(done())
    // Here it is the cell that comes out by itself; the chassis stays.
    for (const p of s.parts) if (p.kind === 'chassis') p.removable = false
    change(s)
    return s
  }
  const cellOf = (s: Saber) => `part:${s.parts.find((p) => p.kind === 'cell')!.id}` as Body
  const out = (s: Saber) => {
    const { assembly: a, rest } = machineOf(s)
    const p = planOff(a, rest, [cellOf(s)])
    return p.ok ? told(p.acts) : p.blocked.map((b) => `${b.code} ${b.at}`)
  }
  const pommel = `section:${done().hilt.sections[0]!.id}`
  test('a cell that lies over the seam comes out where the pommel was', () => {
    expect(out(sample())).toEqual([`takeOff ${pommel}`, `takeOff ${cellOf(sample())}`])
  })
  test('what stands before it goes first, or blocks it by name when it cannot be moved', () => {
    const far = (s: Saber) => {
      for (const p of s.parts) if (p.kind === 'cell') p.at = mm(45)
      s.parts.find((p) => p.kind === 'speaker')!.at = mm(36)
    }
    const speaker = done().parts.find((p) => p.kind === 'speaker')!
    expect(out(sample(far))).toContain(`behind part:${speaker.id}`)
  })
  test('in a chassis that comes out it is lifted from it', () => {
    const s = sample((x) => {
      const c = x.parts.find((p) => p.kind === 'chassis')!
      c.removable = true
      const cell = x.parts.find((p) => p.kind === 'cell')!
      // A contact stands before it: along the axis it does not come out.
      x.parts.push({
        ...structuredClone(cell),
        id: 'contact',
        kind: 'contactBoard',
        name: 'contact',
        at: mm(35),
      })
      x.parts.at(-1)!.specs.length = mm(2)
      c.at = mm(33)
      cell.at = mm(40)
    })
    const chassis = s.parts.find((p) => p.kind === 'chassis')!.id
    expect(out(s)).toEqual([`takeOff ${pommel}`, `takeOff part:${chassis}`, `takeOff ${cellOf(s)}`])
  })
  test('a chassis is held by its set screws, as far as each has to go, or by its thread; one that nobody turns keeps it in', () => {
    const held = (by: 'setScrew' | 'thread' | 'friction', may: 'remove' | 'loosen' | 'never', head?: 'dummy') => {
      const s = sample((x) => {
        Object.assign(x.parts.find((p) => p.kind === 'chassis')!, { removable: true, at: mm(25), heldBy: by })
        const other = { ...x.hilt.fasteners[0]!, clientMay: 'remove' as const }
        x.hilt.fasteners.push(
          { ...other, id: 'holds', purpose: 'chassis', clientMay: may, ...(head ? { head } : {}) },
          { ...other, id: 'other', purpose: 'decoration' },
        )
      })
      const { joints } = machineOf(s).assembly
      const j = joints[`part:${s.parts.find((p) => p.kind === 'chassis')!.id}`]!
      return {
        held: j.held,
        who: j.who,
        hows: [...new Set(j.ways.map((w) => w.how))],
        blocked: j.blocked.filter((b) => b.code === 'never').map((b) => b.at),
      }
    }
    expect(held('setScrew', 'loosen')).toEqual({
      ...{ held: [{ screw: 'holds', by: 'loosen' }], who: 'client', hows: ['slide'], blocked: [] },
    })
    expect(held('setScrew', 'remove').held).toEqual([{ screw: 'holds', by: 'remove' }])
    expect(held('setScrew', 'remove', 'dummy').held).toEqual([])
    expect(held('setScrew', 'never')).toMatchObject({ who: 'nobody', hows: [], blocked: ['fastener:holds'] })
    expect(held('thread', 'loosen')).toMatchObject({ held: [], who: 'client', hows: ['unscrew'] })
    expect(held('friction', 'never')).toMatchObject({ held: [], who: 'client', hows: ['slide'] })
  })
  test('of several ways out each has its errand, the better one first', () => {
    const s = sample((x) => {
      const c = x.parts.find((p) => p.kind === 'chassis')!
      Object.assign(c, { removable: true, at: mm(25) })
    })
    const { assembly: a, rest } = machineOf(s)
    const g = goalsOf(s, a).find((x) => x.kind === 'cell')!
    const all = choicesOf(a, rest, g)
    expect(all.map((c) => [c.way.how, c.errand.turn])).toEqual([
      ['slide', 3],
      ['lift', 4],
    ])
    expect(all[0]!.errand).toEqual(errand(a, rest, g))
    for (const { errand: e } of all) expect(runAll(a, e.from, e.acts).state.off.toSorted()).toEqual(rest.off.toSorted())
    // One way only is no choice.
    const { assembly, rest: still } = machineOf(sample())
    expect(choicesOf(assembly, still, goalsOf(sample(), assembly).find((x) => x.kind === 'cell')!)).toEqual([])
  })
  test('a port in the wall is plugged in from outside; one that lies within wants what holds it out, and back', () => {
    const plugged = (change: (s: Saber) => void) => {
      const s = sample(change)
      const { assembly: a, rest } = machineOf(s)
      const g = goalsOf(s, a).find((x) => x.kind === 'port' && x.name === 'Service port')
      const e = g && errand(a, rest, g)
      return e && (e.ok ? told(e.acts) : e.blocked.map((b) => b.code))
    }
    const within = (s: Saber) =>
      void s.parts.push({ id: 'usb', kind: 'chargePort', name: 'Service port', specs: {}, at: mm(90), beside: 'rw-p3' })
    const chassis = sample().parts.find((p) => p.kind === 'chassis')!.id
    const acts = plugged((s) => {
      within(s)
      Object.assign(s.parts.find((p) => p.id === chassis)!, { removable: true, at: mm(25) })
    }) as string[]
    const [at, on, off] = [`takeOff part:${chassis}`, 'plugIn part:usb', 'unplug part:usb'].map((x) => acts.indexOf(x))
    expect(at).toBeGreaterThanOrEqual(0)
    expect(on).toBeGreaterThan(at!)
    expect(off).toBeGreaterThan(on!)
    expect(acts.at(-1)).not.toBe('unplug part:usb')
    // Without a seam and a chassis that comes out it stays within, and says so.
    const shut = plugged((s) => {
      within(s)
      s.hilt.sections = s.hilt.sections.slice(1, 2)
      s.parts = s.parts.filter((p) => p.kind !== 'chassis')
      s.hilt.sockets = []
      s.blades = []
    })
    expect(shut).toEqual(['closed'])
    expect(
      plugged(
        (s) =>
          void s.parts.push({
            id: 'usb',
            kind: 'chargePort',
            name: 'Service port',
            specs: {},
            at: mm(90),
            clock: fact(0, 'deg'),
          }),
      ),
    ).toBe(undefined)
  })
  test('a board that froze has current: the power is cut and given again, and it goes on', () => {
    const s = sample()
    const { assembly: a, rest } = machineOf(s)
    const e = errand(a, rest, goalsOf(s, a).find((x) => x.kind === 'reset')!)
    expect(e.ok && told(e.acts)).toEqual(['cut part:rw-p7', 'restore part:rw-p7'])
    expect(e.ok && powered(a, runAll(a, e.from, e.acts).state)).toBe(true)
  })
  test('a bore that is too narrow blocks it, by the section', () => {
    const s = sample((x) => {
      for (const p of x.parts) if (p.kind === 'cell') p.at = mm(40)
      x.hilt.sections[1]!.boreProfile = [
        { x: 0, d: 15 },
        { x: 5, d: 15 },
        { x: 5, d: 31 },
        { x: 116, d: 31 },
      ]
    })
    expect(out(s)).toContain(`narrow section:${s.hilt.sections[1]!.id}`)
  })
  test('wired in, it stays', () => {
    expect(out(sample((s) => void (s.parts.find((p) => p.kind === 'cell')!.removable = false)))).toEqual([
      `fixed ${cellOf(sample())}`,
    ])
  })

  describe('corrected by the maker', () => {
    const say = (more: Partial<Said>) => (s: Saber) =>
      void s.joints.push({ id: 'said', body: pommel as Said['body'], ...more })
    const of = (s: Saber) => assemblyOf(s).joints[pommel as Body]!
    test('how it comes off, which way, how far and what happens', () => {
      const j = of(
        sample(
          say({
            ...{ how: 'pressPull', hand: 'left', turns: fact(6, '×', 'measured'), byItself: 'wakes', tethered: true },
            ...{ hurts: 'the wires', feels: 'a click', landmark: 'dot to dot', angle: fact(90, 'deg', 'measured') },
          }),
        ),
      )
      expect(j.ways.map((w) => [w.how, w.from])).toEqual([['pressPull', 'maker']])
      expect(j).toMatchObject({
        ...{ hand: 'left', turns: 6, byItself: 'wakes', tethered: true, hurts: 'the wires', feels: 'a click' },
        ...{ landmark: 'dot to dot', angle: 90 },
      })
    })
    test('what opens by itself wakes it', () => {
      const s = sample(say({ byItself: 'wakes' }))
      const { assembly: a, rest } = machineOf(s)
      const o = run(a, rest, act(`takeOff ${pommel}`))
      expect(o.ok && o.happened).toEqual(['wakes'])
    })
    test('which screws hold it; one never to be touched still forbids it', () => {
      const f = done().hilt.fasteners[0]!
      const held = (may: 'loosen' | 'never') => (s: Saber) => {
        s.hilt.fasteners[0]!.clientMay = may
        say({ held: [{ screw: f.id, by: 'loosen' }] })(s)
      }
      expect(out(sample(held('loosen')))[0]).toBe(`loosen fastener:${f.id}`)
      expect(out(sample(held('never')))).toEqual([`never fastener:${f.id}`])
    })
    test('what the draft was unsure of is answered', () => {
      const collar = (s: Saber) => void (s.hilt.sections[0]!.joint = { kind: 'collar' })
      expect(of(sample(collar)).ways).toEqual([])
      expect(of(sample(collar)).blocked.map((b) => b.code)).toEqual(['howUnknown'])
      const s = sample((x) => {
        collar(x)
        say({ how: 'turnPull', towards: 'pommel' })(x)
      })
      expect(of(s)).toMatchObject({ ways: [{ how: 'turnPull', towards: 'pommel' }], blocked: [] })
    })
    test('nobody means nobody', () => {
      expect(out(sample(say({ who: 'nobody' })))).toEqual([`closed ${pommel}`])
    })
    test('what must be off before', () => {
      const s = sample((x) => {
        const f = { ...x.parts[0]!, id: 'lid', kind: 'cover' as const, name: 'lid', specs: {} }
        x.parts.push(f)
        say({ after: ['part:lid'] })(x)
      })
      expect(out(s)[0]).toBe('takeOff part:lid')
    })
  })
  test('a hundred cells with three ways each are planned, and none is left out', () => {
    const s = sample((x) => {
      x.parts.find((p) => p.kind === 'chassis')!.removable = true
      const cell = x.parts.find((p) => p.kind === 'cell')!
      while (x.parts.length < 120) x.parts.push({ ...structuredClone(cell), id: `c${x.parts.length}` })
    })
    const { assembly: a, rest } = machineOf(s)
    const e = errand(a, rest, goalsOf(s, a).find((g) => g.kind === 'strip')!)
    if (!e.ok) throw new Error('no plan')
    const out = runAll(a, e.from, e.acts.slice(0, e.turn)).state.off
    for (const p of s.parts) if (p.kind === 'cell') expect(out).toContain(`part:${p.id}`)
    expect(runAll(a, e.from, e.acts).refused).toBeUndefined()
  })
  test('a saber of nothing is a machine of nothing', () => {
    const s = sample((x) => {
      Object.assign(x, { parts: [], blades: [], zones: [], cutPower: 'none' })
      Object.assign(x.hilt, { sections: [], fasteners: [], sockets: [], openings: [] })
    })
    const { assembly: a, rest } = machineOf(s)
    expect([a.joints, rest.off, goalsOf(s, a)]).toEqual([{}, [], []])
    expect(planHome(a, rest)).toMatchObject({ ok: true, acts: [] })
  })
})
