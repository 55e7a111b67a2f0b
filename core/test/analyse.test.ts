import { describe, expect, test } from '@jest/globals'
import {
  analyse,
  askText,
  type ControlMap,
  compile,
  eventsFor,
  hintText,
  lessonsOf,
  type Matter,
  mended,
  mendsFor,
  missText,
  rowsDone,
  slipsOf,
  startOf,
  stateIn,
  stepAll,
  TEMPLATES,
  templateMap,
  triedAt,
  usualModes,
} from '@nubrin/core/controls'
import { fact, stated } from '@nubrin/core/facts'
import type { ControlRow, Font, Mode, Preset } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { tries } from './drawn'
import { mapOf as plainMap, row, sec } from './map-of'
import { playing } from './playing'
import { done } from './samples'

const hold = (s: number, more: Partial<ControlRow> = {}) => row({ gesture: 'hold', hold: sec(s), ...more })
const silent = ({ font: _f, ...p }: Preset): Preset => p
const preset = (id: string, more: Partial<ControlMap['presets'][number]> = {}) => ({
  ...{ ...silent(done().presets[0]!), id, tracks: [], effects: {} },
  ...more,
})
const mapOf = (controls: ControlRow[], more: Partial<ControlMap> = {}): ControlMap =>
  plainMap(controls, { modes: usualModes('m', ['off', 'lit']), presets: [preset('p')], ...more })
/** On and off, so that nothing is missing but what a test is about. */
const ON = row({ id: 'on', mode: 'm-off', does: 'ignite' })
const OFF = hold(2, { id: 'off', does: 'retract' })
const matters = (m: ControlMap) => analyse(m).matters
const codes = (m: ControlMap) => matters(m).map((x) => x.code)

describe('a map with nothing wrong', () => {
  test.each(TEMPLATES)('%s, as we draft it', (which) => {
    expect(matters({ ...mapOf([]), ...templateMap(which) })).toEqual([])
  })
  test('of a finished saber, and an empty one', () => {
    expect(matters(done())).toEqual([])
    expect(matters(mapOf([ON, OFF]))).toEqual([])
    expect(matters(mapOf([], { modes: [], presets: [] }))).toEqual([])
  })
})

describe('what a walk through the map finds', () => {
  const found = (extra: ControlRow[], more: Partial<ControlMap> = {}) => matters(mapOf([ON, OFF, ...extra], more))
  test('the same gesture for two things, and holds too close, with the milliseconds', () => {
    const [a, b] = [row(), row({ does: 'lock' })]
    expect(found([a, b])).toEqual([{ code: 'same', rows: [a.id, b.id] }])
    const close = hold(2.3, { does: 'lock' })
    expect(found([close])).toEqual([{ code: 'tooClose', rows: ['off', close.id], ms: 300, hand: 400 }])
  })
  test('a window that no hand keeps, by beeps or by a time to let go', () => {
    const one = hold(0.8, { most: sec(1) })
    expect(found([one])).toEqual([{ code: 'narrow', rows: [one.id], presets: [], from: 800, to: 1000, hand: 400 }])
    expect(found([one], { timing: { handKeeps: sec(0.2) } })).toEqual([])
    const beep = row({ gesture: 'hold', beeps: 3, does: 'lock' })
    expect(found([beep], { timing: { beepEvery: sec(0.25) } })).toContainEqual({
      ...{ code: 'narrow', rows: [beep.id], presets: [], from: 750, to: 1000, hand: 400 },
    })
    // Named with the presets in which it is so.
    const mine = { ...one, presets: ['p'] }
    expect(found([mine])).toMatchObject([{ code: 'narrow', presets: ['p'] }])
  })
  test('a hold that is let go before it begins, and one that is still a tap', () => {
    const never = hold(1, { most: sec(1) })
    expect(found([never])).toEqual([{ code: 'never', rows: [never.id], from: 1000, to: 1000 }])
    const short = hold(0.39)
    expect(found([short])).toEqual([{ code: 'holdInTap', rows: [short.id], from: 390, tap: 400 }])
    expect(found([hold(0.4)])).toEqual([])
    expect(found([hold(0.5)], { timing: { tapMost: sec(0.6) } }).map((m) => m.code)).toEqual(['holdInTap'])
  })
  test('a hold before which a shorter one has led elsewhere', () => {
    const early = hold(1, { does: 'mute', to: 'm-off', release: 'reached' })
    expect(found([early])).toEqual([{ code: 'cutOff', rows: ['off'], by: [early.id] }])
    expect(found([hold(1, { does: 'lock', release: 'reached' })])).toEqual([])
    expect(found([{ ...early, release: 'letGo' }])).toEqual([])
  })
  test('what a hold of the same button does on the way to a tap, a blow or a menu', () => {
    const tap = row({ gesture: 'holdThenTap', other: 'b', hold: sec(0.5), does: 'track' })
    const blow = row({ gesture: 'holdStrike', hold: sec(0.5), does: 'lock' })
    const off = (s: number, release: 'reached' | 'letGo') => hold(s, { id: 'off', does: 'retract', release })
    const with_ = (...rows: ControlRow[]) =>
      matters(mapOf([ON, ...rows], { inputs: [] })).filter((m) => m.code === 'behind')
    const gone = (r: ControlRow, from: number) => ({ code: 'behind', rows: [r.id, 'off'], why: 'gone', from })
    expect(with_(tap, off(0.8, 'reached'))).toEqual([gone(tap, 800)])
    expect(with_(blow, off(0.8, 'reached'))).toEqual([gone(blow, 800)])
    expect(with_(tap, off(0.4, 'reached'))).toEqual([gone(tap, 400)])
    // From half a second on a hand has its 0.4 s until the hold is reached; and what is let go asks for nothing on the way.
    expect(with_(tap, off(0.9, 'reached'))).toEqual([])
    expect(with_(tap, off(0.8, 'letGo'))).toEqual([])
    const lock = hold(0.5, { id: 'lock', does: 'lock', release: 'whileHeld' })
    const menu = hold(2, { id: 'menu', does: 'menuOpen', to: 'm-off' })
    expect(with_(lock, menu)).toEqual([{ code: 'behind', rows: ['menu', 'lock'], why: 'effect', from: 500 }])
    expect(with_({ ...lock, release: 'reached' }, menu)).toEqual([])
    expect(with_(lock, { ...menu, input: 'b' })).toEqual([])
  })
  test('a chord in an order beside the same in none', () => {
    const chord = (more: Partial<ControlRow>) => row({ gesture: 'chord', input: 'a', other: 'b', ...more })
    // Named the one way round they are one row for two things; the other way round it takes a look at both.
    const [one, two] = [chord({ input: 'b', other: 'a', ordered: true, does: 'lock' }), chord({})]
    expect(found([one, two])).toContainEqual({ code: 'ordered', rows: [one.id, two.id] })
    expect(found([one, { ...two, ordered: true }]).map((m) => m.code)).not.toContain('ordered')
    expect(found([one, { ...two, other: 'c' }]).map((m) => m.code)).not.toContain('ordered')
  })
  test('taps faster than a hand, where any are counted', () => {
    const twice = row({ times: 2 })
    const quick = { timing: { tapGap: sec(0.05) } }
    expect(found([twice], quick)).toContainEqual({ code: 'gapShort', rows: [twice.id], gap: 50 })
    expect(found([row()], quick)).toEqual([])
    expect(found([twice], { timing: { tapGap: sec(0.15) } })).toEqual([])
  })
  test('a row of one preset in a mode that only another one leads to', () => {
    const presets = [preset('p'), preset('q')]
    const modes = usualModes('m', ['off', 'lit', 'muted'])
    const rows = [
      row({ id: 'go', does: 'mute', presets: ['p'] }),
      row({ id: 'back', mode: 'm-muted', does: 'unmute' }),
      row({ id: 'there', mode: 'm-muted', input: 'b', presets: ['q'] }),
    ]
    const next = row({ id: 'next', input: 'b', does: 'nextPreset' })
    const codesOf = (...more: ControlRow[]) =>
      found([...rows, ...more], { presets, modes }).filter((m) => m.code === 'otherPreset')
    expect(codesOf(next)).toEqual([{ code: 'otherPreset', rows: ['there'], presets: ['q'] }])
    // Where the presets are stepped through in that mode, it is reached through its own.
    expect(codesOf(next, row({ id: 'inside', mode: 'm-muted', input: 'c', does: 'nextPreset' }))).toEqual([])
    expect(codesOf(row({ id: 'go2', input: 'd', does: 'mute', presets: ['q'] }), next)).toEqual([])
  })
  test('modes that nothing leads to, that nothing leaves, and boards that are never off', () => {
    const modes = [...usualModes('m', ['off', 'lit', 'muted']), { id: 'far', name: 'far', is: 'combat' } as Mode]
    const mute = row({ does: 'mute' })
    const there = row({ mode: 'far' })
    expect(found([mute, there], { modes })).toEqual([
      { code: 'unreached', rows: [there.id], mode: 'far' },
      { code: 'trap', rows: [], mode: 'm-muted', presets: ['p'] },
    ])
    const dark = matters(mapOf([row({ mode: 'm-lit' })], { modes: usualModes('m', ['lit']) }))
    expect(dark.map((m) => m.code)).toEqual(['noOff'])
  })
  test('modes that end one another in a round', () => {
    const modes = usualModes('m', ['off', 'lit']).map(
      (x): Mode => ({ ...x, after: sec(5), leads: x.is === 'off' ? 'm-lit' : 'm-off' }),
    )
    expect(found([], { modes })).toEqual([{ code: 'round', rows: [], modes: ['m-off', 'm-lit'] }])
    const line = usualModes('m', ['off', 'lit']).map((x): Mode => (x.is === 'lit' ? { ...x, after: sec(5) } : x))
    expect(found([], { modes: line })).toEqual([])
  })
  test('a menu of which nobody knows what it chooses, how one goes through it, or how a choice is kept', () => {
    const menu = (more: Partial<Mode>) => ({
      modes: [
        ...usualModes('m', ['off', 'lit']),
        { id: 'menu', name: 'menu', is: 'menu', on: 'm-off', ...more } as Mode,
      ],
    })
    const open = row({ mode: 'm-off', times: 2, does: 'menuOpen' })
    const [keep, next] = [row({ mode: 'menu', times: 2, does: 'keep' }), row({ mode: 'menu', does: 'choose' })]
    const said = (rows: ControlRow[], more: Partial<Mode>) => found([open, ...rows], menu(more)).map((m) => m.code)
    expect(said([keep, next], { chooses: 'volume' })).toEqual([])
    expect(said([keep, next], {})).toEqual(['choosesWhat'])
    expect(said([keep], { chooses: 'volume' })).toEqual(['choosing'])
    expect(said([keep], { chooses: 'volume', by: 'turning' })).toEqual([])
    expect(said([next], { chooses: 'volume' })).toEqual(['trap', 'keeping'])
    expect(said([next], { chooses: 'volume', after: sec(5) })).toEqual([])
  })
  test('what is recorded and reached by no row, preset by preset', () => {
    const fonts: Font[] = [
      { id: 'bank', name: 'Bank', is: 'musicBank', sounds: [{ id: 'slow', event: 'track', name: 'Slow water' }] },
    ]
    const presets = [
      preset('p', { tracks: ['slow'] }),
      preset('q', { effects: { lock: { colour: stated('#fff000', 'configured') } } }),
    ]
    const settings = { sensitivities: [], volumeSteps: fact(8, '×') }
    const said = (rows: ControlRow[]) =>
      found(rows, { fonts, presets, settings }).map((m) =>
        m.code === 'noWayTo' ? `${m.what} ${[...m.presets, ...m.names].join(' ')}` : m.code,
      )
    expect(said([])).toEqual(['preset p q', 'track p', 'effect q lock', 'volume '])
    const next = row({ mode: 'm-off', times: 2, does: 'nextPreset' })
    const lock = row({ gesture: 'holdStrike', does: 'lock' })
    const track = row({ times: 2, does: 'track' })
    const louder = row({ times: 3, does: 'volumeUp' })
    expect(said([next, lock, track, louder])).toEqual([])
    // In one preset only, the other has no way on.
    expect(said([{ ...next, presets: ['p'] }, lock, track, louder])).toEqual(['preset q'])
    expect(said([next, { ...lock, presets: ['p'] }, track, louder])).toEqual(['effect q lock'])
    // What stands where nobody comes leads nowhere.
    const modes = [...usualModes('m', ['off', 'lit']), { id: 'far', name: 'far', is: 'combat' } as Mode]
    expect(
      matters(mapOf([ON, OFF, { ...next, mode: 'far' }, lock, track, louder], { fonts, presets, settings, modes })).map(
        (m) => m.code,
      ),
    ).toEqual(['unreached', 'noWayTo'])
    // A font has what it has: a sound of it that no hand calls up is nobody's mistake.
    const p = preset('p')
    const own: Font[] = []
    playing({ fonts: own }, p, [{ id: 's', event: 'melt', name: 'melt.wav' }])
    expect(codes(mapOf([ON, OFF], { fonts: own, presets: [p] }))).toEqual([])
  })
  test('a motion that lights it in a bag', () => {
    const twist = row({ mode: 'm-off', gesture: 'twist', input: 'm', does: 'ignite' })
    expect(found([twist])).toEqual([{ code: 'bag', rows: [twist.id] }])
    expect(found([row({ mode: 'm-off', gesture: 'holdFlick', does: 'ignite' })])).toEqual([])
    expect(found([row({ mode: 'm-lit', gesture: 'twist', input: 'm', does: 'deflect' })])).toEqual([])
  })
  test('what waits, and because of which', () => {
    const [tap, twice, short] = [row(), row({ times: 2 }), hold(1, { does: 'lock' })]
    expect(analyse(mapOf([ON, OFF, tap, twice, short])).delays).toEqual([
      { row: tap.id, ms: 350, because: twice.id },
      { row: short.id, because: 'off' },
    ])
  })
})

describe('a row that is overruled is one that no hand brings about', () => {
  const rows = fc.array(
    fc.record({
      pose: fc.constantFrom<ControlRow['pose']>('any', 'up', 'level', 'down'),
      presets: fc.subarray(['p', 'q']),
      times: fc.integer({ min: 1, max: 2 }),
      does: fc.constantFrom<ControlRow['does']>('deflect', 'surge', 'battery', 'quote'),
    }),
    { maxLength: 10 },
  )
  test('whatever the map: in every pose and preset, tried on the board', () => {
    fc.assert(
      fc.property(rows, (list) => {
        const all = list.map((r, i) => row({ ...r, id: `x${i}` }))
        const m = mapOf([ON, OFF, ...all], { presets: [preset('p'), preset('q'), preset('r')] })
        const b = compile(m)
        const done = new Set<string>()
        for (const pose of ['up', 'level', 'down'] as const)
          for (const k of [0, 1, 2])
            for (const times of [1, 2]) {
              const st = { ...stateIn(b, startOf(b), 'm-lit', k), pose }
              for (const id of rowsDone(stepAll(b, st, eventsFor(b, row({ times }), 1)).happened)) done.add(id)
            }
        const clash = new Set(matters(m).flatMap((x) => (x.code === 'same' ? x.rows : [])))
        const said = new Set(matters(m).flatMap((x) => (x.code === 'overruled' ? x.rows : [])))
        for (const r of all) {
          // Two that say the same thing, and rows that collide, are other matters.
          const twin = all.some((o) => o !== r && o.pose === r.pose && o.times === r.times && o.does === r.does)
          if (!clash.has(r.id) && !twin) expect([r.id, said.has(r.id)]).toEqual([r.id, !done.has(r.id)])
        }
      }),
      { numRuns: tries(300, 80) },
    )
  })
})

describe('mends', () => {
  const sameWith = (m: ControlMap, change: (c: ReturnType<typeof mendsFor>[number]) => void) => {
    const [first] = matters(m)
    const list = mendsFor(m, first!)
    expect(list.length).toBeGreaterThan(0)
    for (const x of list) change(x)
    return list
  }
  const cases: [string, ControlRow[]][] = [
    ['the same tap', [row({ id: 'one' }), row({ id: 'two', does: 'lock' })]],
    ['holds too close', [hold(1, { id: 'one', does: 'lock' }), hold(1.2, { id: 'two', does: 'drag' })]],
    ['a hold in a tap', [hold(0.2, { id: 'one', does: 'lock' })]],
    ['one cut off', [hold(1, { id: 'one', does: 'mute', to: 'm-off', release: 'reached' })]],
  ]
  test.each(cases)('%s: each takes the matter away, brings none, and is as it says', (_what, rows) => {
    const m = mapOf([ON, OFF, ...rows])
    sameWith(m, (x) => {
      const after = matters(mended(m, x.row, x.change))
      expect(after.length).toBe(matters(m).length - x.gone.length)
      expect(x.gone.length).toBeGreaterThan(0)
      const key = (k: Matter) => JSON.stringify(k)
      for (const g of x.gone) expect(after.map(key)).not.toContain(key(g))
    })
  })
  test('there is none for what no change of a row mends', () => {
    const m = mapOf([ON, OFF], { presets: [preset('p'), preset('q')] })
    expect(codes(m)).toEqual(['noWayTo'])
    expect(mendsFor(m, matters(m)[0]!)).toEqual([])
  })
})

describe('what a beginner learns, and where a slip leads', () => {
  test('on before off before all else, each after what leads to it, each once', () => {
    for (const which of TEMPLATES) {
      const m = { ...mapOf([]), ...templateMap(which) }
      const b = compile(m)
      const lessons = lessonsOf(b, 'p')
      expect(lessons.map((l) => l.row).toSorted()).toEqual(m.controls.map((r) => r.id).toSorted())
      const does = lessons.map((l) => m.controls.find((r) => r.id === l.row)!.does)
      expect(does.indexOf('ignite')).toBeLessThan(does.indexOf('retract'))
      expect(does.indexOf('retract')).toBeLessThan(4)
      for (const [i, l] of lessons.entries())
        for (const w of l.way) expect(lessons.findIndex((x) => x.row === w)).toBeLessThan(i)
    }
    expect(lessonsOf(compile(mapOf([], { modes: [] })))).toEqual([])
    // What nobody is sure of is not taught.
    expect(lessonsOf(compile(mapOf([ON, { ...OFF, status: 'unsure' }]))).map((l) => l.row)).toEqual(['on'])
  })
  test('a tap held on, a hold held on, one more tap, a gesture in play: what came of it and the way back', () => {
    const tap = row({ mode: 'm-off', does: 'nextPreset', times: 2, id: 'next' })
    const menu = hold(3, { id: 'mute', does: 'mute' })
    const back = row({ id: 'back', mode: 'm-muted', does: 'unmute' })
    const m = mapOf([ON, OFF, tap, menu, back], { modes: usualModes('m', ['off', 'lit', 'muted']) })
    const b = compile(m)
    const found = slipsOf(b, startOf(b), [ON, OFF])
    const on = found.filter((x) => x.row === 'on')
    expect(on.map((x) => `${x.slip}: ${x.did.join()} ${x.ends} ${x.back?.join()}`)).toEqual([
      'longer:  m-off on',
      'once more: next m-off on',
    ])
    const off = found.filter((x) => x.row === 'off')
    // Held between its own time and the next and a little longer, it is still the same; a client who counts on is not.
    expect(off.map((x) => `${x.slip}: ${x.did.join()} ${x.ends} ${x.back?.join()}`)).toEqual([])
    const longer = slipsOf(compile({ ...m, timing: { handKeeps: sec(1) } }), startOf(b), [OFF])
    expect(longer.map((x) => `${x.slip}: ${x.did.join()} ${x.ends} ${x.back?.join()}`)).toEqual([
      'longer: mute m-muted back,off',
    ])
  })
})

describe('practice', () => {
  const s = done()
  s.inputs = [
    { id: 'a', name: 'front key', kind: 'button' },
    { id: 'b', name: 'rear key', kind: 'button' },
    { id: 'm', name: 'hilt', kind: 'motion' },
  ]
  const lock = hold(2, { id: 'lock', does: 'lock', release: 'letGo', most: sec(4) })
  const twice = row({ id: 'twice', times: 2, does: 'surge' })
  const beeps = row({ id: 'beeps', input: 'b', gesture: 'hold', beeps: 2, does: 'mute' })
  const raised = row({ id: 'raised', input: 'b', pose: 'up', does: 'quote' })
  const chord = row({ id: 'chord', gesture: 'chord', other: 'b', does: 'battery' })
  Object.assign(s, {
    modes: usualModes('m', ['off', 'lit', 'muted']),
    timing: {},
    controls: [ON, lock, twice, beeps, raised, chord],
  })
  const b = compile(s)
  /** What is said when a row is asked for and another hand, or the same one otherwise, is tried. */
  const tried = (
    wanted: string,
    events: Parameters<typeof stepAll>[2],
    mode = 'm-lit',
    pose: 'level' | 'up' = 'level',
  ) => {
    const r = s.controls.find((x) => x.id === wanted)!
    const { happened } = stepAll(b, { ...stateIn(b, startOf(b), mode), pose }, [...events, { t: 99, do: 'wait' }])
    const all = happened.flatMap((h) => triedAt(b, r, h) ?? [])
    return all.map((x) => (x.ok ? 'right' : missText(MAKER, s, x.miss)))
  }
  const held = (input: string, seconds: number): Parameters<typeof stepAll>[2] => [
    { t: 1, do: 'press', input },
    { t: 1 + seconds, do: 'release', input },
  ]
  test.each<[string, () => string[], string[]]>([
    ['right', () => tried('lock', held('a', 3)), ['right']],
    [
      'too short',
      () => tried('lock', held('a', 0.9)),
      ['Let go too soon, after 0.9 seconds: hold it for two seconds.'],
    ],
    [
      'a tap for a hold',
      () => tried('lock', held('a', 0.1)),
      ['Let go too soon, after 0.4 seconds: hold it for two seconds.'],
    ],
    ['too long', () => tried('lock', held('a', 5)), ['Held too long, five seconds: let go before four seconds.']],
    ['a hold for a tap', () => tried('twice', held('a', 1)), ['Held too long, one second: let go before 0.4 seconds.']],
    ['once for twice', () => tried('twice', held('a', 0.1)), ['That was once; it needs twice.']],
    ['the other key', () => tried('twice', held('b', 0.1)), ['That was the rear key.']],
    [
      'before the beeps',
      () => tried('beeps', held('b', 1.5)),
      ['Too soon: wait for 2 beeps, which takes two seconds.'],
    ],
    ['after the beeps', () => tried('beeps', held('b', 3.5)), ['Too late: let go after 2 beeps.']],
    ['another pose', () => tried('raised', held('b', 0.1)), ['Right move, but hold the saber with the blade up.']],
    [
      'another mode',
      () => tried('twice', held('b', 0.1), 'm-off'),
      ['It is in blade off now, and there that does nothing.'],
    ],
    ['another thing', () => tried('raised', held('a', 3), 'm-lit', 'up'), ['That did something else: lock.']],
    ['another gesture', () => tried('twice', [{ t: 1, do: 'move', motion: 'thrust' }]), ['Not that way.']],
    [
      'a beep settles nothing',
      () =>
        tried('beeps', [
          { t: 1, do: 'press', input: 'b' },
          { t: 2.5, do: 'wait' },
        ]).slice(0, 0),
      [],
    ],
  ])('%s', (_what, run, says) => expect(run()).toEqual(says))
  test('asks by mode and says how', () => {
    expect(askText(MAKER, s, lock)).toBe('With the blade lit, try this: lock.')
    expect(askText(MAKER, s, ON)).toBe('With the blade off, try this: ignite.')
    expect(hintText(MAKER, s, twice)).toBe('Like this: press the front key twice.')
  })
})
