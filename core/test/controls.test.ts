import { describe, expect, test } from '@jest/globals'
import {
  after,
  type ControlMap,
  collisions,
  doingOf,
  gestureText,
  modeName,
  reachable,
  secondsInWords,
  shines,
  timeOutOf,
  traps,
  USUAL,
  usualModes,
} from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import type { ControlRow, Mode, ModeIs } from '@nubrin/core/record'
import { STATES } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { mapOf, row } from './map-of'
import { done } from './samples'

const hold = (s: number | null) => fact(s, 's', s === null ? 'unknown' : 'configured')

describe('where an action leads', () => {
  const leads: [ControlRow['does'], ModeIs][] = [
    ['powerOn', 'off'],
    ['powerOff', 'off'],
    ['wake', 'off'],
    ['sleep', 'asleep'],
    ['ignite', 'lit'],
    ['retract', 'off'],
    ['nextPreset', 'lit'],
    ['deflect', 'lit'],
    ['volumeUp', 'lit'],
    ['mute', 'muted'],
    ['unmute', 'lit'],
    ['menuOpen', 'menu'],
    ['menuClose', 'off'],
    ['keep', 'off'],
    ['discard', 'off'],
    ['choose', 'lit'],
    ['combatOn', 'combat'],
    ['combatOff', 'lit'],
    ['other', 'lit'],
  ]
  const usual = mapOf([])
  test.each(leads)('%s, from lit, to %s', (does, to) => expect(after(usual, row({ does }))).toBe(`m-${to}`))
  test('what the row names comes before what the action says; what says nothing stays', () => {
    expect(after(usual, row({ does: 'retract', to: 'm-menu' }))).toBe('m-menu')
    expect(after(usual, row({ does: 'deflect', mode: 'm-combat' }))).toBe('m-combat')
  })
  test('a menu is the one over the mode, and goes back to what it sits on', () => {
    const modes: Mode[] = [
      ...usualModes('m', ['off', 'lit']),
      { id: 'fonts', name: 'fonts', is: 'menu', on: 'm-off' },
      { id: 'tones', name: 'tones', is: 'menu', on: 'm-lit' },
      { id: 'deep', name: 'deep', is: 'menu', on: 'tones' },
    ]
    const m = mapOf([], { modes })
    expect(after(m, row({ does: 'menuOpen' }))).toBe('tones')
    expect(after(m, row({ does: 'menuOpen', mode: 'm-off' }))).toBe('fonts')
    expect(after(m, row({ does: 'menuOpen', mode: 'fonts' }))).toBe('fonts')
    for (const does of ['menuClose', 'keep', 'discard', 'unmute', 'combatOff'] as const) {
      expect(after(m, row({ does, mode: 'tones' }))).toBe('m-lit')
      expect(after(m, row({ does, mode: 'deep' }))).toBe('tones')
    }
    expect(['m-off', 'm-lit', 'fonts', 'tones', 'deep', 'gone'].map((id) => shines(m, id))).toEqual([
      ...[false, true, false, true, true, false],
    ])
    // Menus that sit on each other shine on nobody, and end.
    const ring: Mode[] = [
      { id: 'x', name: 'x', is: 'menu', on: 'y' },
      { id: 'y', name: 'y', is: 'menu', on: 'x' },
    ]
    expect(shines(mapOf([], { modes: ring }), 'x')).toBe(false)
    // Where a board has no mode of the sort, it stays.
    expect(after(mapOf([], { modes: [] }), row({ does: 'ignite' }))).toBe('m-lit')
    expect(modeName(m, 'deep')).toBe('deep')
    expect(modeName(m, 'gone')).toBe('gone')
  })
  test('a mode ends by itself after its own time; what is off sleeps after the time set for the board', () => {
    const timed = (more: Partial<Mode>, is: ModeIs = 'lit') => {
      const modes = usualModes('m', STATES).map((x) => (x.is === is ? { ...x, ...more } : x))
      return timeOutOf(mapOf([], { modes, settings: { sensitivities: [], sleepAfter: fact(60, 's') } }), `m-${is}`)
    }
    expect(timed({})).toBeUndefined()
    expect(timed({ after: fact(0, 's') })).toBeUndefined()
    expect(timed({ after: fact(null, 's') })).toBeUndefined()
    expect(timed({ after: fact(8, 's') })).toEqual({ s: 8, to: 'm-off' })
    expect(timed({ after: fact(8, 's'), on: 'm-lit' }, 'menu')).toEqual({ s: 8, to: 'm-lit' })
    expect(timed({ after: fact(8, 's'), on: 'm-lit', leads: 'm-asleep' }, 'menu')).toEqual({ s: 8, to: 'm-asleep' })
    expect(timed({ after: fact(8, 's'), leads: 'm-lit' })).toBeUndefined()
    expect(timed({}, 'off')).toEqual({ s: 60, to: 'm-asleep' })
    expect(timed({ after: fact(5, 's') }, 'off')).toEqual({ s: 5, to: 'm-asleep' })
    expect(timeOutOf(mapOf([]), 'm-off')).toBeUndefined()
    expect(timeOutOf(mapOf([]), 'gone')).toBeUndefined()
  })
})

describe('rows that the board could not tell apart', () => {
  const why = (a: Partial<ControlRow>, b: Partial<ControlRow>) =>
    collisions(mapOf([row(a), row({ does: 'lock', ...b })]))
      .map((c) => c.why)
      .join()
  const cases: [string, Partial<ControlRow>, Partial<ControlRow>, string][] = [
    ['the same gesture for two things', {}, {}, 'same'],
    ['the same thing twice', {}, { does: 'deflect' }, ''],
    ['the same thing to two states', {}, { does: 'deflect', to: 'm-off' }, 'same'],
    ['the same action in other words', { says: 'spark' }, { does: 'deflect', says: 'burst' }, 'same'],
    ['the same action in the same words', { says: 'spark' }, { does: 'deflect', says: 'spark' }, ''],
    ['in another mode', {}, { mode: 'm-off' }, ''],
    ['another gesture', {}, { gesture: 'twist' }, ''],
    ['another count', {}, { times: 2 }, ''],
    ['once is once', { times: 1 }, {}, 'same'],
    ['another input', {}, { input: 'b' }, ''],
    ['one pose overrules any', {}, { pose: 'up' }, ''],
    ['two poses', { pose: 'down' }, { pose: 'up' }, ''],
    ['the same pose', { pose: 'up' }, { pose: 'up' }, 'same'],
    ['some presets overrule all', {}, { presets: ['p'] }, ''],
    ['presets that meet', { presets: ['p', 'q'] }, { presets: ['q'] }, 'same'],
    ['presets apart', { presets: ['p'] }, { presets: ['q'] }, ''],
    ['no preset is all of them', { presets: [] }, {}, 'same'],
    [
      'a chord has no order',
      { gesture: 'chord', input: 'a', other: 'b' },
      { gesture: 'chord', input: 'b', other: 'a' },
      'same',
    ],
    [
      'holding one and tapping the other has',
      { gesture: 'holdThenTap', input: 'a', other: 'b' },
      { gesture: 'holdThenTap', input: 'b', other: 'a' },
      '',
    ],
    [
      'one input is not a chord with itself and another',
      { gesture: 'chord', input: 'a', other: 'b' },
      { gesture: 'chord', input: 'a', other: 'c' },
      '',
    ],
    ['holds of one time', { gesture: 'hold', hold: hold(1) }, { gesture: 'hold', hold: hold(1) }, 'same'],
    ['holds too close', { gesture: 'hold', hold: hold(1) }, { gesture: 'hold', hold: hold(1.39) }, 'holdsTooClose'],
    ['holds just apart', { gesture: 'hold', hold: hold(1) }, { gesture: 'hold', hold: hold(1.4) }, ''],
    ['holds apart, the longer first', { gesture: 'hold', hold: hold(2) }, { gesture: 'hold', hold: hold(1) }, ''],
    ['beeps are times', { gesture: 'hold', beeps: 2 }, { gesture: 'hold', hold: hold(2) }, 'same'],
    ['beeps are a second apart', { gesture: 'hold', beeps: 2 }, { gesture: 'hold', beeps: 3 }, ''],
    ['a beep too near a hold', { gesture: 'hold', beeps: 2 }, { gesture: 'hold', hold: hold(2.3) }, 'holdsTooClose'],
    [
      'a chord with an order differs from its reverse',
      { gesture: 'chord', input: 'a', other: 'b', ordered: true },
      { gesture: 'chord', input: 'b', other: 'a', ordered: true },
      '',
    ],
    [
      'a short chord and a held one',
      { gesture: 'chord', input: 'a', other: 'b' },
      { gesture: 'chord', input: 'a', other: 'b', hold: hold(1) },
      '',
    ],
    ['a hold nobody timed', { gesture: 'hold', hold: hold(1) }, { gesture: 'hold' }, 'same'],
    ['a hold timed as unknown', { gesture: 'hold', hold: hold(null) }, { gesture: 'hold', hold: hold(1) }, 'same'],
  ]
  test.each(cases)('%s', (_what, a, b, said) => {
    expect(why(a, b)).toBe(said)
    // Whichever stands first.
    expect(why({ does: 'lock', ...b }, { does: 'deflect', ...a })).toBe(said)
  })
  test('what a hand keeps apart, and how far beeps are apart, can be set', () => {
    const two = [row({ gesture: 'hold', hold: hold(1) }), row({ gesture: 'hold', hold: hold(1.5), does: 'lock' })]
    const found = (timing: ControlMap['timing'], rows = two) => collisions(mapOf(rows, { timing })).map((c) => c.why)
    expect(found({})).toEqual([])
    expect(found({ handKeeps: hold(0.6) })).toEqual(['holdsTooClose'])
    expect(found({ handKeeps: hold(0.5) })).toEqual([])
    const beeps = [row({ gesture: 'hold', beeps: 1 }), row({ gesture: 'hold', beeps: 2, does: 'lock' })]
    expect(found({ beepEvery: hold(0.3) }, beeps)).toEqual(['holdsTooClose'])
  })
  test('they do not depend on the order of rows, and are those that every pair says', () => {
    const rows = fc.array(
      fc.record({
        mode: fc.constantFrom('m-off', 'm-lit'),
        pose: fc.constantFrom('any' as const, 'up' as const),
        times: fc.integer({ min: 1, max: 2 }),
      }),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(rows, (list) => {
        const all = list.map((r, i) => row({ ...r, does: i % 2 ? 'lock' : 'deflect' }))
        const pairs = all.flatMap((a, i) =>
          all
            .slice(i + 1)
            .filter((b) => a.mode === b.mode && a.pose === b.pose && a.times === b.times && a.does !== b.does)
            .map((b) => `${a.id} ${b.id}`),
        )
        expect(collisions(mapOf(all)).map((c) => `${c.a.id} ${c.b.id}`)).toEqual(pairs)
        expect(collisions(mapOf(all.toReversed()))).toHaveLength(pairs.length)
      }),
    )
  })
  test('of many every pair is named once', () => {
    const four = (['deflect', 'lock', 'drag', 'melt'] as const).map((does) => row({ does }))
    expect(collisions(mapOf(four)).map((c) => `${c.a.does}-${c.b.does}`)).toEqual([
      'deflect-lock',
      'deflect-drag',
      'deflect-melt',
      'lock-drag',
      'lock-melt',
      'drag-melt',
    ])
    expect(collisions(mapOf([]))).toEqual([])
    expect(USUAL.handKeeps).toBe(0.4)
  })
})

describe('modes that can be reached, and left', () => {
  const list = fc.array(
    fc.record({ from: fc.constantFrom(...STATES), to: fc.constantFrom(...STATES), presets: fc.subarray(['p', 'q']) }),
    { maxLength: 9 },
  )
  type Step = { from: ModeIs; to: ModeIs }
  /** By squaring the table of steps until nothing is added. */
  const closure = (steps: readonly Step[]) => {
    const to = new Map(STATES.map((s) => [s, new Set<ModeIs>([s])]))
    for (const { from, to: t } of steps) to.get(from)!.add(t)
    for (let k = 0; k < STATES.length; k++)
      for (const s of STATES) for (const m of [...to.get(s)!]) for (const t of to.get(m)!) to.get(s)!.add(t)
    return to
  }
  const rowsOf = (steps: readonly (Step & { presets: string[] })[]) =>
    steps.map((s) => row({ mode: `m-${s.from}`, to: `m-${s.to}`, presets: s.presets }))
  const ids = (set: ReadonlySet<ModeIs> | readonly ModeIs[]) => new Set([...set].map((s) => `m-${s}`))
  const presetsOf = (names: readonly string[]) =>
    names.map((id) => ({ ...done().presets[0]!, id })) as ControlMap['presets']
  /** Modes that end by themselves, as steps more. */
  const timed = fc.array(fc.constantFrom<Step>({ from: 'lit', to: 'off' }, { from: 'menu', to: 'asleep' }), {
    maxLength: 2,
  })
  const modesWith = (outs: readonly Step[]) =>
    usualModes('m', STATES).map((x): Mode => {
      const out = outs.find((o) => o.from === x.is)
      return out ? { ...x, after: fact(9, 's'), leads: `m-${out.to}` } : x
    })

  test('as the table of steps says', () => {
    fc.assert(
      fc.property(list, timed, (steps, outs) => {
        const to = closure([...steps, ...outs])
        const starts: ModeIs[] = steps.some((s) => s.from === 'asleep') ? ['off', 'asleep'] : ['off']
        const m = mapOf(rowsOf(steps), { modes: modesWith(outs) })
        expect(reachable(m, m.controls)).toEqual(ids(starts.flatMap((s) => [...to.get(s)!])))
        for (const s of STATES) expect(reachable(m, m.controls, [`m-${s}`])).toEqual(ids(to.get(s)!))
      }),
    )
  })
  test('a trap is what no steps of its preset lead out of', () => {
    fc.assert(
      fc.property(list, timed, fc.subarray(['p', 'q', 'r']), (steps, outs, presets) => {
        const found = new Map<string, string[]>()
        for (const p of presets.length ? presets : ['']) {
          const here = steps.filter((s) => !s.presets.length || !p || s.presets.includes(p))
          const to = closure([...here, ...outs])
          const starts: ModeIs[] = here.some((s) => s.from === 'asleep') ? ['off', 'asleep'] : ['off']
          for (const m of new Set(starts.flatMap((s) => [...to.get(s)!])))
            if (!to.get(m)!.has('off')) found.set(`m-${m}`, [...(found.get(`m-${m}`) ?? []), ...(p ? [p] : [])])
        }
        const m = mapOf(rowsOf(steps), { modes: modesWith(outs), presets: presetsOf(presets) })
        expect(new Map(traps(m).map((t) => [t.mode, t.presets]))).toEqual(found)
      }),
    )
  })
})

describe('gestures in words', () => {
  test.each([
    [0.5, 'half a second'],
    [0.505, 'half a second'],
    [0.6, '0.6 seconds'],
    [1, 'one second'],
    [2, 'two seconds'],
    [10, 'ten seconds'],
    [11, '11 seconds'],
    [1.25, '1.25 seconds'],
    [0, '0 seconds'],
  ])('%d s: %s', (s, words) => expect(secondsInWords(MAKER, s)).toBe(words))
  const said = (more: Partial<ControlRow>) => {
    const s = done()
    s.inputs = [
      { id: 'a', name: 'Front key', kind: 'button' },
      { id: 'b', name: 'rear key', kind: 'button' },
    ]
    return gestureText(MAKER, s, row(more))
  }
  test.each<[string, Partial<ControlRow>]>([
    ['press the front key once', {}],
    ['press the front key twice', { times: 2 }],
    ['press the front key three times', { times: 3 }],
    ['hold the front key for two seconds', { gesture: 'hold', hold: hold(2) }],
    ['hold the front key for about two seconds', { gesture: 'hold', hold: fact(2, 's', 'recalled') }],
    ['hold the front key for a time not recorded', { gesture: 'hold' }],
    ['hold the front key for a time not recorded', { gesture: 'hold', hold: hold(null) }],
    ['hold the front key and press the rear key once', { gesture: 'holdThenTap', other: 'b' }],
    ['press the front key and the rear key together', { gesture: 'chord', other: 'b' }],
    ['hold the front key and the rear key together for one second', { gesture: 'chord', other: 'b', hold: hold(1) }],
    ['hold the front key and let go after the first beep', { gesture: 'hold', beeps: 1 }],
    ['hold the front key and let go after the third beep', { gesture: 'hold', beeps: 3, hold: hold(2) }],
    [
      'hold the front key for one second, and let go before three seconds',
      { gesture: 'hold', hold: hold(1), most: hold(3) },
    ],
    ['hold the front key for as long as you like', { gesture: 'hold', release: 'whileHeld' }],
    ['hold the front key for one second, and keep holding', { gesture: 'hold', hold: hold(1), release: 'whileHeld' }],
    ['press the front key and with it the rear key', { gesture: 'chord', other: 'b', ordered: true }],
    ['press the button once', { input: 'gone' }],
    ['press the front key and the button together', { gesture: 'chord' }],
    ['press the front key once with the blade up', { pose: 'up' }],
    ['press the front key once with the blade down', { pose: 'down' }],
    ['press the front key once with the blade level', { pose: 'level' }],
    ['twist the hilt twice', { gesture: 'twist', times: 2 }],
    ['swing', { gesture: 'swing' }],
  ])('%s', (words, more) => expect(said(more)).toBe(words))
  test('what it does is in the maker’s words when he gave any', () => {
    expect(doingOf(MAKER, row({ does: 'ignite' }))).toBe('ignite')
    expect(doingOf(MAKER, row({ does: 'ignite', says: 'call the light' }))).toBe('call the light')
  })
})
