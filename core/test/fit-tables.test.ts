import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import {
  adapterFor,
  adapterText,
  bladeDifferenceText,
  brokenText,
  changeText,
  clampOf,
  demoAgainstShipped,
  duelReasonText,
  exposed,
  fitParts,
  gapsAlong,
  judgeDuel,
  keysAlike,
  layoutFacts,
  overClosing,
  reviewLayout,
  seatOf,
  shoppingList,
  shoppingNeedText,
  standardKey,
  stringSums,
  swingRoom,
  verdictWords,
  wireRoom,
} from '@nubrin/core/fit'
import type { Blade, Fastener, FittedPart, Opening, Saber } from '@nubrin/core/record'
import { TODAY, tube } from './samples'

const mm = (v: number | null) => fact(v, 'mm', v === null ? 'unknown' : 'measured')
const part = (
  id: string,
  kind: FittedPart['kind'],
  at: number | null,
  l: number | null,
  d: number | null = 10,
): FittedPart => ({
  id,
  kind,
  name: `the ${id}`,
  specs: { ...(l === null ? {} : { length: mm(l) }), ...(d === null ? {} : { diameter: mm(d) }) },
  ...(at === null ? {} : { at: mm(at) }),
})
const hilt = (...parts: FittedPart[]): Saber => {
  const s = tube([
    [40, 36, 30],
    [60, 34, 26],
  ])
  s.hilt.clearance = mm(0)
  s.parts = parts
  return s
}
const socket = (s: Saber, bore: number | null, depth: number | null, retention: string[] = []) =>
  s.hilt.sockets.push({
    id: 'k',
    name: 'mouth',
    section: 's1',
    bore: mm(bore),
    depth: mm(depth),
    insertion: 'straight',
    retention,
  })
const blade = (more: Partial<Blade> = {}): Blade => ({
  ...{ id: 'b', name: 'blade', socket: 'k', use: 'ship', kind: 'pixel' },
  ...{ outside: mm(25.4), wall: mm(3), length: mm(900) },
  ...{ strips: fact(2, '×'), density: fact(144, '1/m'), channelCurrent: fact(15, 'mA'), idleCurrent: fact(1, 'mA') },
  ...more,
})
const screw = (id: string, more: Partial<Fastener> = {}): Fastener => ({
  ...{ id, name: id, thread: 'M4', key: '2 mm', head: 'set', clientMay: 'loosen' },
  ...{ at: mm(90), clock: fact(0, 'deg', 'measured') },
  ...more,
})
const inputs = (f: { ok: boolean; inputs?: { name: string; ref?: string }[] }) =>
  f.inputs?.map((i) => `${i.name} @${i.ref ?? ''}`)
const needs = (f: { ok: boolean; needs?: { name: string; ref?: string }[] }) =>
  f.needs?.map((i) => `${i.name} @${i.ref ?? ''}`)

describe('whether a part is judged, and what it needs first', () => {
  const needsOf = (s: Saber) => fitParts(s).map((f) => f.needs)
  test('a place, sizes, the clearance, lengths, and only the bores that it lies in', () => {
    expect(needsOf(hilt(part('disc', 'spacer', 5, 10)))).toEqual([[]])
    expect(needsOf(hilt(part('disc', 'spacer', null, 10)))).toEqual([['where the disc sits']])
    expect(needsOf(hilt(part('disc', 'spacer', 5, null, null)))[0]).toEqual([
      'the length of the disc',
      'the size of the disc',
    ])
    const bare = hilt(part('disc', 'spacer', 5, 10))
    bare.hilt.clearance = mm(null)
    expect(needsOf(bare)).toEqual([['the clearance']])
    const short = hilt(part('disc', 'spacer', 5, 10))
    short.hilt.sections[1]!.length = mm(null)
    expect(needsOf(short)).toEqual([['every section length']])
  })
  test.each([
    [5, 10, []],
    // From face to face of the unmeasured section, which lies from 40 to 100: touching it is not lying in it.
    [30, 10, []],
    [30.5, 10, ['the bore of section 1']],
    [95, 20, ['the bore of section 1']],
    [100, 10, []],
  ])('from %d, %d long, beside a section without a bore', (at, l, wanted) => {
    const s = hilt(part('disc', 'spacer', at, l))
    s.hilt.sections[1]!.bore = mm(null)
    expect(needsOf(s)).toEqual([wanted])
    // A profile says it as well.
    s.hilt.sections[1]!.boreProfile = [
      { x: 0, d: 26 },
      { x: 60, d: 24 },
    ]
    expect(needsOf(s)).toEqual([[]])
  })
  test.each([
    [-3, 10, 3],
    [0, 10, 0],
    [90, 10, 0],
    [95, 10, 5],
    [-2, 110, 10],
  ])('from %d, %d long, it sticks out by %d', (at, l, out) => {
    expect(fitParts(hilt(part('disc', 'spacer', at, l)))[0]!.outsideMm).toBeCloseTo(out)
  })
})

describe('a chassis held by its length', () => {
  const held = (l: number | null, at: number | null = 0) => {
    const s = hilt({ ...part('frame', 'chassis', at, l), heldBy: 'length' })
    return clampOf(s)!
  }
  test.each([
    // Longer than its 100 mm by so much; wanted 0.2 to 0.5, aimed at 0.35.
    [100.19, 0.16],
    [100.2, 0],
    [100.35, 0],
    [100.5, 0],
    [100.51, -0.16],
    [99, 1.35],
  ])('%d long in 100: change by %d', (l, change) => {
    expect(held(l).changeMm).toBeCloseTo(change)
    expect(held(l).clamp).toMatchObject({ ok: true, value: expect.closeTo(l - 100) })
  })
  test('without its length or place it says so and proposes nothing', () => {
    expect(needs(held(null).clamp)).toContain('length of the frame @part:frame')
    expect(held(null)).not.toHaveProperty('changeMm')
    expect(needs(held(100, null).clamp)).toContain('where the frame sits @part:frame')
  })
  test('what lies outside it in line is pressed with it, what lies within is not', () => {
    const s = hilt(
      { ...part('frame', 'chassis', 0, 80), heldBy: 'length' },
      part('in', 'cell', 10, 60),
      part('ahead', 'spacer', 80, 20.3),
    )
    expect(clampOf(s)!.clamp).toMatchObject({ ok: true, value: expect.closeTo(0.3) })
    expect(inputs(clampOf(s)!.clamp)).toEqual(
      expect.arrayContaining(['length of the frame @part:frame', 'length of the ahead @part:ahead']),
    )
    expect(inputs(clampOf(s)!.clamp)).not.toContain('length of the in @part:in')
  })
  test('a thread that nothing stops takes from the slack what it travels', () => {
    const s = hilt(part('disc', 'spacer', 0, 97))
    s.hilt.sections[0]!.joint = { kind: 'thread', stop: false, overTravel: mm(2) }
    expect(overClosing(s)).toMatchObject([{ travelMm: 2, leftMm: expect.closeTo(1) }])
    s.hilt.sections[0]!.joint = { kind: 'thread', stop: false }
    expect(overClosing(s)).toMatchObject([{ section: { id: 's0' } }])
    expect(overClosing(s)[0]).not.toHaveProperty('travelMm')
    s.hilt.sections[0]!.joint = { kind: 'press', stop: false, overTravel: mm(2) }
    expect(overClosing(s)).toEqual([])
  })
})

describe('blades', () => {
  test('what sticks out opens to the tube and its seat', () => {
    const s = hilt()
    socket(s, 25.5, 40)
    expect(exposed(s, blade())).toMatchObject({ ok: true, value: 860, unit: 'mm', formula: 'tube − seat depth' })
    expect(inputs(exposed(s, blade()))).toEqual(['length of blade @blade:b', 'depth of mouth @socket:k'])
    expect(needs(exposed(s, blade({ length: mm(null) })))).toEqual(['length of blade @blade:b'])
    s.hilt.sockets = []
    expect(needs(exposed(s, blade()))).toEqual(['depth of the socket @socket:k'])
  })
  test('the room to swing: an arm and a step, from the middle of the grip', () => {
    const s = hilt()
    socket(s, 25.5, 40)
    // The grip is the second section: its middle is at 70 of 100.
    expect(swingRoom(s, blade())).toMatchObject({ ok: true, value: 1100 + 30 + 860 })
    s.hilt.sections[1]!.role = 'neck'
    expect(swingRoom(s, blade())).toMatchObject({ ok: true, value: 1100 + 50 + 860 })
    s.hilt.sections[0]!.length = mm(null)
    expect(needs(swingRoom(s, blade()))).toEqual(['every section length @'])
  })
  test('the bench’s blade against the shipped one', () => {
    const s = hilt()
    const ship = blade({ id: 'a' })
    s.blades = [blade({ use: 'demo', kind: 'string', length: mm(800), wall: mm(2), density: fact(60, '1/m') }), ship]
    expect(demoAgainstShipped(s)[0]!.differs.map(bladeDifferenceText)).toEqual([
      'length 800 on the bench, 900 shipped',
      'wall 2 on the bench, 3 shipped',
      'pixels a metre 60 on the bench, 144 shipped',
      'string on the bench, pixel shipped',
    ])
    s.blades[1]!.socket = 'other'
    expect(demoAgainstShipped(s)).toEqual([])
  })
  test('the sum of a string blade opens to its groups; what is stated is held against it', () => {
    const b = blade({
      kind: 'string',
      groups: fact(6, '×'),
      ledsPerGroup: fact(40, '×'),
      groupCurrent: fact(500, 'mA'),
      ledsTotal: fact(236, '×'),
    })
    const sums = stringSums(b)
    expect(sums).toMatchObject({
      total: { value: 240, unit: '×', formula: 'groups × LEDs in each', basis: 'counting' },
      agrees: false,
      differsBy: -4,
    })
    expect(sums.current).toMatchObject({ value: 3, unit: 'A', basis: 'groups in parallel' })
    expect(inputs(sums.total)).toEqual(['groups of blade @blade:b', 'LEDs in a group of blade @blade:b'])
    expect(inputs(sums.current)).toEqual(['groups of blade @blade:b', 'current of a group of blade @blade:b'])
    expect(stringSums({ ...b, ledsTotal: fact(240, '×') }).agrees).toBe(true)
    expect(stringSums(blade())).not.toHaveProperty('agrees')
  })
  test('only blades to be bought are on the shopping list, with what a shop must be told', () => {
    const s = hilt(part('plug', 'connector', 60, 10))
    socket(s, 25.5, 40)
    s.blades = [
      blade(),
      blade({ id: 'd', use: 'demo' }),
      blade({ id: 'x', use: 'toBuy', wall: mm(null), strips: fact(null, '×') }),
    ]
    const [one, ...more] = shoppingList(s)
    expect(more).toEqual([])
    expect(one).toMatchObject({ blade: { id: 'x' }, socket: 'mouth', needs: ['wall', 'strips'] })
    expect(one!.lines.join('\n')).toMatch(/25\.4.*\n.*900[\s\S]*860[\s\S]*144[\s\S]*the plug/)
    expect(one!.needs.map(shoppingNeedText)).toEqual(['its wall', 'how many strips'])
    s.parts = []
    expect(shoppingList(s)[0]!.needs).toEqual(['wall', 'strips', 'contacts'])
  })
  test.each([
    [25.4, 25.4, undefined],
    // A wall of (23.4 − 22.2 − 0.24)/2 = 0.48 is not worth making; of 1.48 it is.
    [23.4, 22.2, undefined],
    [25.4, 22.2, { outsideMm: 25.28, insideMm: 22.32, wallMm: 1.48, lengthMm: 40 }],
  ])('a socket of %d for a tube of %d: the sleeve between', (bore, d, sleeve) => {
    const s = hilt()
    socket(s, bore, 40)
    const a = adapterFor(s, blade({ outside: mm(d) }))
    if (!sleeve) expect(a).toBeUndefined()
    else for (const [k, v] of Object.entries(sleeve)) expect(a![k as keyof typeof a]).toBeCloseTo(v)
  })
  test('the sleeve in words, in inches where they are', () => {
    const s = hilt()
    socket(s, 25.5, null)
    const a = adapterFor(s, blade({ outside: mm(22.225) }))!
    expect(adapterText(a)).toBe('a sleeve 22.35 inside, 25.38 outside, wall 1.52 mm: 7/8 to 1 in')
    expect(adapterText({ ...a, lengthMm: 40 })).toContain(', 40 long:')
  })
})

describe('whether a blade is for contact', () => {
  /** Everything that speaks for it: a deep seat, two tight screws, a heavy wall, no glass. */
  const sound = () => {
    const s = hilt()
    socket(s, 25.5, 45, ['f1', 'f2'])
    s.hilt.fasteners = [screw('f1'), screw('f2')]
    return s
  }
  const codes = (run: (s: Saber, b: Blade) => void) => {
    const [s, b] = [sound(), blade()]
    run(s, b)
    const j = judgeDuel(s, b)
    return [
      j.verdict,
      ...j.against.map((r) => `−${r.code}`),
      ...j.limits.map((r) => `±${r.code}`),
      ...j.unknown.map((r) => `?${r.code}`),
    ].join(' ')
  }
  const window = { id: 'o', name: 'pane', kind: 'window' } as Opening
  const cases: [string, (s: Saber, b: Blade) => void, string][] = [
    ['nothing against it', () => undefined, 'nothingAgainst'],
    ['a plug', (_s, b) => void (b.kind = 'plug'), 'notForContact −plug'],
    ['a string', (_s, b) => void (b.kind = 'string'), 'lightContact ±string'],
    ['a seat of one and a half diameters', (s) => void (s.hilt.sockets[0]!.depth = mm(38.1)), 'nothingAgainst'],
    ['a shorter seat', (s) => void (s.hilt.sockets[0]!.depth = mm(38)), 'notForContact −shortSeat'],
    ['an unknown seat', (s) => void (s.hilt.sockets[0]!.depth = mm(null)), 'unknown ?unknownDepth'],
    ['an unknown tube', (_s, b) => void (b.outside = mm(null)), 'unknown ?unknownOutside'],
    ['an unknown wall', (_s, b) => void (b.wall = mm(null)), 'unknown ?unknownWall'],
    ['a wall of 2', (_s, b) => void (b.wall = mm(2)), 'lightContact ±lightWall'],
    ['a wall of 1.9', (_s, b) => void (b.wall = mm(1.9)), 'notForContact −thinWall'],
    ['a wall of 2.9', (_s, b) => void (b.wall = mm(2.9)), 'lightContact ±lightWall'],
    ['one screw', (s) => void s.hilt.sockets[0]!.retention.pop(), 'lightContact ±oneScrew'],
    ['no screw', (s) => void (s.hilt.sockets[0]!.retention = []), 'notForContact −noScrew'],
    ['a loose screw', (s) => void (s.hilt.fasteners[1]!.looseNow = true), 'notForContact −looseScrew'],
    ['play', (s) => void (s.hilt.sockets[0]!.bore = mm(25.7)), 'notForContact −play'],
    ['far too wide', (s) => void (s.hilt.sockets[0]!.bore = mm(30)), 'notForContact −play'],
    ['too narrow', (s) => void (s.hilt.sockets[0]!.bore = mm(25.3)), 'notForContact −doesNotEnter'],
    ['covers', (s) => void s.parts.push(part('c', 'cover', 0, 20)), 'notForContact −covers'],
    ['magnets', (s) => void (s.hilt.sections[0]!.joint = { kind: 'magnet' }), 'notForContact −magnetJoint'],
    ['a window', (s) => void s.hilt.openings.push(window), 'lightContact ±glass'],
    ['a vent', (s) => void s.hilt.openings.push({ ...window, kind: 'vent' }), 'nothingAgainst'],
    [
      'a resin chassis',
      (s) => void s.parts.push({ ...part('c', 'chassis', 0, 20), material: 'resin' }),
      'lightContact ±resin',
    ],
    [
      'a resin spacer',
      (s) => void s.parts.push({ ...part('c', 'spacer', 0, 20), material: 'resin' }),
      'nothingAgainst',
    ],
    [
      'two against, one unknown',
      (s, b) => {
        b.kind = 'plug'
        b.wall = mm(null)
        s.hilt.sockets[0]!.retention = []
      },
      'notForContact −plug −noScrew ?unknownWall',
    ],
  ]
  test.each(cases)('%s', (_what, run, said) => expect(codes(run)).toBe(said))
  test('each reason is worded with its figures', () => {
    expect(
      (
        [
          'plug',
          'string',
          'unknownDepth',
          'unknownOutside',
          'unknownWall',
          'noScrew',
          'oneScrew',
          'looseScrew',
          'doesNotEnter',
          'covers',
          'magnetJoint',
          'resin',
        ] as const
      ).map((code) => duelReasonText({ code })),
    ).toEqual([
      'a plug is for display',
      'a string blade carries its LEDs through the tube: they break under blows',
      'the depth of the socket',
      'the outside of the tube',
      'the wall of the tube',
      'no screw holds the blade',
      'one screw holds the blade',
      'a screw that holds the blade is loose',
      'the tube does not enter',
      'covers held by magnets come off',
      'a joint is held by magnets',
      'a resin chassis is brittle',
    ])
    expect(duelReasonText({ code: 'shortSeat', seat: 30, least: 38.1 })).toBe(
      'the seat is 30 mm, less than 1.5 diameters (38.1 mm)',
    )
    expect(duelReasonText({ code: 'thinWall', wall: 1.5 })).toBe('the wall is 1.5 mm, thinner than 2 mm')
    expect(duelReasonText({ code: 'lightWall', wall: 2.5 })).toBe('the wall is 2.5 mm: heavy blows want 3 mm')
    expect(duelReasonText({ code: 'play', clearance: 0.3 })).toBe('the tube has 0.3 mm of play')
    expect(duelReasonText({ code: 'glass', windows: ['pane', 'port'] })).toBe('pane and port can break')
  })
})

describe('keys', () => {
  test('by the published tables', () => {
    const set = {
      M2: '0.9 mm',
      'M2.5': '1.3 mm',
      M3: '1.5 mm',
      M4: '2 mm',
      M5: '2.5 mm',
      '#4-40': '0.050 in',
      '#6-32': '1/16 in',
      '#8-32': '5/64 in',
      '#10-32': '3/32 in',
      '#10-24': '3/32 in',
    }
    for (const [thread, key] of Object.entries(set)) expect(standardKey(thread, 'set')).toBe(key)
    const cap = { M2: '1.5 mm', 'M2.5': '2 mm', M3: '2.5 mm', M4: '3 mm', M5: '4 mm' }
    for (const [thread, key] of Object.entries(cap)) expect(standardKey(thread, 'cap')).toBe(key)
    expect(standardKey('M4', 'button')).toBeUndefined()
    expect(standardKey('M40', 'set')).toBeUndefined()
  })
  test.each([
    ['1.5 mm', '1/16 in', true],
    ['2 mm', '5/64 in', true],
    ['3 mm', '1/8 in', false],
    ['hex 2 mm', '2.0 mm', true],
    ['Hex key 2 mm', '2', true],
    ['by hand', 'by hand', true],
    ['by hand', '2 mm', false],
    ['', '', false],
  ])('%s and %s', (a, b, alike) => expect(keysAlike(a, b)).toBe(alike))
})

describe('seats of what stands in the wall', () => {
  const hole = (id: string, at: number | null, more: Partial<Opening> = {}): Opening => ({
    ...{ id, name: id, kind: 'switch', at: mm(at), clock: fact(10, 'deg', 'measured'), length: mm(8), width: mm(8) },
    ...more,
  })
  const button = part('key', 'switch', null, 6)
  const at = (s: Saber) => seatOf(s, button, TODAY)?.at?.value
  test.each([
    ['the first from the pommel', [hole('b', 60), hole('a', 30)], [], 27],
    ['one whose place is known', [hole('a', null), hole('b', 60)], [], 57],
    ['of its own kind', [hole('a', 30, { kind: 'port' }), hole('b', 60)], [], 57],
    ['no other than in the side', [hole('a', 30, { face: 'rear' }), hole('b', 60)], [], 57],
    [
      'not where one stands: half the hole’s length beside its middle',
      [hole('a', 30), hole('b', 60)],
      [part('o', 'switch', 31, 6)],
      57,
    ],
    ['but where one stands a little further off', [hole('a', 30), hole('b', 60)], [part('o', 'switch', 31.1, 6)], 27],
    [
      'a hole of unknown length is taken within a millimetre',
      [hole('a', 30, { length: mm(null) }), hole('b', 60)],
      [part('o', 'switch', 28, 6)],
      57,
    ],
    ['and free beyond', [hole('a', 30, { length: mm(null) }), hole('b', 60)], [part('o', 'switch', 28.2, 6)], 27],
    ['a part of another kind takes no hole', [hole('a', 30)], [part('o', 'chargePort', 27, 6)], 27],
    ['no hole, no seat', [], [], undefined],
  ] as const)('%s', (_what, holes, parts, where) => {
    const s = hilt(...parts)
    s.hilt.openings = [...holes]
    expect(at(s)).toBe(where)
  })
  test('its clock is the hole’s, both assumed from it; without a length there is none', () => {
    const s = hilt()
    s.hilt.openings = [hole('a', 30)]
    expect(seatOf(s, button, TODAY)).toMatchObject({
      at: { source: 'assumed', with: 'at a', on: TODAY },
      clock: { value: 10, unit: 'deg', source: 'assumed' },
    })
    expect(seatOf(s, { ...button, specs: {} }, TODAY)).toBeUndefined()
    s.hilt.openings[0]!.clock = fact(null, 'deg')
    expect(seatOf(s, button, TODAY)).not.toHaveProperty('clock')
  })
})

describe('gaps and wires', () => {
  test('between things that touch there is none; after the last comes the rest', () => {
    const s = hilt(
      part('a', 'spacer', 0, 10),
      part('b', 'spacer', 10, 20),
      part('c', 'spacer', 25, 10),
      part('d', 'spacer', 50, 10),
    )
    expect(gapsAlong(s)).toEqual([
      { lo: 35, hi: 50 },
      { lo: 60, hi: 100 },
    ])
    expect(gapsAlong(hilt(part('a', 'spacer', 0, 100)))).toEqual([])
    expect(gapsAlong(hilt(part('a', 'spacer', -5, 5), part('b', 'spacer', 90, 30)))).toEqual([{ lo: 0, hi: 90 }])
  })
  test('what has no place keeps wires from being counted, by name', () => {
    const s = hilt(part('cell', 'cell', 10, 30), part('board', 'board', null, 30))
    const at = wireRoom(s, 45)
    expect(at!.needs.some((n) => n === 'where the board sits')).toBe(true)
    expect(wireRoom(s, 300)).toBeUndefined()
  })
})

describe('a chosen layout, later', () => {
  const chosen = () => {
    const s = hilt(part('cell', 'cell', 10, 30), part('disc', 'spacer', 50, 10))
    socket(s, 25.5, 20)
    s.decisions = [{ id: 'd', on: TODAY, by: 'Maren', chose: 'this', why: 'fits', layout: layoutFacts(s) }]
    return s
  }
  const told = (run: (s: Saber) => void) => {
    const s = chosen()
    run(s)
    const r = reviewLayout(s)!
    return [...r.changed.map(changeText), ...r.broke.map(brokenText)]
  }
  const changes: [string, (s: Saber) => void, string[]][] = [
    ['nothing', () => undefined, []],
    ['a hair', (s) => void (s.parts[0]!.at = mm(10.004)), []],
    ['more than a hair', (s) => void (s.parts[0]!.at = mm(10.1)), ['the cell: place 10 mm → 10.1 mm']],
    ['a bore', (s) => void (s.hilt.sections[0]!.bore = mm(29)), ['section 0: bore 30 mm → 29 mm']],
    ['a name', (s) => void (s.parts[1]!.name = 'ring'), ['ring: part the disc → ring']],
    [
      'a part gone',
      (s) => void s.parts.pop(),
      [
        'the disc: part the disc → gone',
        'the disc: place 50 mm → gone',
        'the disc: length 10 mm → gone',
        'the disc: diameter 10 mm → gone',
      ],
    ],
    ['a part more', (s) => void s.parts.push(part('new', 'spacer', 65, 5)), ['the new came in']],
    ['a seat', (s) => void (s.hilt.sockets[0]!.depth = mm(25)), ['mouth: depth 20 mm → 25 mm']],
    [
      'a profile',
      (s) =>
        void (s.hilt.sections[1]!.boreProfile = [
          { x: 0, d: 26 },
          { x: 60, d: 25 },
        ]),
      [],
    ],
    [
      'too big',
      (s) => void (s.parts[0]!.specs.diameter = mm(31)),
      ['the cell: diameter 10 mm → 31 mm', 'the cell is 1 mm too big'],
    ],
    [
      'out of the hilt',
      (s) => void (s.parts[0]!.at = mm(-2)),
      ['the cell: place 10 mm → −2 mm', 'the cell sticks out by 2 mm'],
    ],
    [
      'one over the other',
      (s) => void (s.parts[1]!.at = mm(38)),
      ['the disc: place 50 mm → 38 mm', 'the cell and the disc share 2 mm'],
    ],
    [
      'too long',
      (s) => void (s.parts[1]!.specs.length = mm(51)),
      ['the disc: length 10 mm → 51 mm', 'the disc sticks out by 1 mm', 'it is 1 mm too long to close'],
    ],
  ]
  test.each(changes)('%s', (_what, run, words) => expect(told(run)).toEqual(words))
  test('the last one with a layout counts; without one nothing is held', () => {
    const s = chosen()
    s.decisions.push({ id: 'e', on: TODAY, by: 'Maren', chose: 'brass', why: 'looks' })
    expect(reviewLayout(s)!.decision.id).toBe('d')
    s.decisions = [s.decisions[1]!]
    expect(reviewLayout(s)).toBeUndefined()
  })
  test.each([
    [{ ok: true, layouts: 1 }, 'in one layout'],
    [{ ok: true, layouts: 7 }, 'in 7 layouts'],
    [
      { ok: false, why: 'bore', mm: 0.4, from: 10, to: 20.2, section: 'grip' },
      'the bore is 0.4 mm too small between 10 and 20 (grip)',
    ],
    [
      { ok: false, why: 'bore', mm: 0.4, from: 10, to: 20, section: 'grip', next: 'Speaker 24' },
      'the bore is 0.4 mm too small between 10 and 20 (grip); next down: Speaker 24',
    ],
    [{ ok: false, why: 'length', mm: 3.26 }, '3.3 mm too long'],
    [
      { ok: false, why: 'length', mm: 3, with: 'Cell A', next: 'Cell B' },
      '3 mm too long with Cell A; next down: Cell B',
    ],
    [{ ok: false, why: 'others' }, 'goes in by itself, but nothing can be found for the other places'],
  ])('a verdict %j', (v, words) => expect(verdictWords(v as never)).toBe(words))
})
