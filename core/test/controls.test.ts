import { describe, expect, test } from '@jest/globals'
import {
  after,
  collisions,
  doingOf,
  gestureText,
  HOLD_APART,
  type Mode,
  reachable,
  secondsInWords,
  traps,
} from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import type { ControlRow } from '@nubrin/core/record'
import fc from 'fast-check'
import { done } from './samples'

let n = 0
const row = (more: Partial<ControlRow> = {}): ControlRow => ({
  ...{ id: `r${n++}`, state: 'lit', pose: 'any', input: 'a', gesture: 'tap', does: 'deflect', status: 'configured' },
  ...more,
})
const hold = (s: number | null) => fact(s, 's', s === null ? 'unknown' : 'configured')
const STATES: Mode[] = ['asleep', 'off', 'lit', 'menu', 'muted', 'combat']

describe('where an action leads', () => {
  const leads: [ControlRow['does'], Mode][] = [
    ['powerOn', 'off'],
    ['powerOff', 'lit'],
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
    ['combatOn', 'combat'],
    ['combatOff', 'lit'],
    ['other', 'lit'],
  ]
  test.each(leads)('%s, from lit, to %s', (does, to) => expect(after(row({ does }))).toBe(to))
  test('what the row names comes before what the action says; what says nothing stays', () => {
    expect(after(row({ does: 'retract', to: 'menu' }))).toBe('menu')
    expect(after(row({ does: 'deflect', state: 'combat' }))).toBe('combat')
  })
})

describe('rows that the board could not tell apart', () => {
  const why = (a: Partial<ControlRow>, b: Partial<ControlRow>) =>
    collisions([row(a), row({ does: 'lock', ...b })])
      .map((c) => c.why)
      .join()
  const cases: [string, Partial<ControlRow>, Partial<ControlRow>, string][] = [
    ['the same gesture for two things', {}, {}, 'same'],
    ['the same thing twice', {}, { does: 'deflect' }, ''],
    ['the same thing to two states', {}, { does: 'deflect', to: 'off' }, 'same'],
    ['the same action in other words', { says: 'spark' }, { does: 'deflect', says: 'burst' }, 'same'],
    ['the same action in the same words', { says: 'spark' }, { does: 'deflect', says: 'spark' }, ''],
    ['in another state', {}, { state: 'off' }, ''],
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
    ['a hold nobody timed', { gesture: 'hold', hold: hold(1) }, { gesture: 'hold' }, 'same'],
    ['a hold timed as unknown', { gesture: 'hold', hold: hold(null) }, { gesture: 'hold', hold: hold(1) }, 'same'],
  ]
  test.each(cases)('%s', (_what, a, b, said) => {
    expect(why(a, b)).toBe(said)
    // Whichever stands first.
    expect(why({ does: 'lock', ...b }, { does: 'deflect', ...a })).toBe(said)
  })
  test('of many every pair is named once', () => {
    const four = (['deflect', 'lock', 'drag', 'melt'] as const).map((does) => row({ does }))
    expect(collisions(four).map((c) => `${c.a.does}-${c.b.does}`)).toEqual([
      'deflect-lock',
      'deflect-drag',
      'deflect-melt',
      'lock-drag',
      'lock-melt',
      'drag-melt',
    ])
    expect(collisions([])).toEqual([])
    expect(HOLD_APART).toBe(0.4)
  })
})

describe('states that can be reached, and left', () => {
  const list = fc.array(
    fc.record({ from: fc.constantFrom(...STATES), to: fc.constantFrom(...STATES), presets: fc.subarray(['p', 'q']) }),
    { maxLength: 9 },
  )
  /** By squaring the table of steps until nothing is added. */
  const closure = (steps: { from: Mode; to: Mode }[]) => {
    const to = new Map(STATES.map((s) => [s, new Set<Mode>([s])]))
    for (const { from, to: t } of steps) to.get(from)!.add(t)
    for (let k = 0; k < STATES.length; k++)
      for (const s of STATES) for (const m of [...to.get(s)!]) for (const t of to.get(m)!) to.get(s)!.add(t)
    return to
  }
  const rowsOf = (steps: { from: Mode; to: Mode; presets: string[] }[]) =>
    steps.map((s) => row({ state: s.from, to: s.to, presets: s.presets }))

  test('as the table of steps says', () => {
    fc.assert(
      fc.property(list, (steps) => {
        const to = closure(steps)
        const starts: Mode[] = steps.some((s) => s.from === 'asleep') ? ['off', 'asleep'] : ['off']
        const expected = new Set(starts.flatMap((s) => [...to.get(s)!]))
        expect(reachable(rowsOf(steps))).toEqual(expected)
        for (const s of STATES)
          if (s === 'off' || steps.some((x) => x.from === s)) expect(reachable(rowsOf(steps), [s])).toEqual(to.get(s)!)
      }),
    )
  })
  test('a trap is what no steps of its preset lead out of', () => {
    fc.assert(
      fc.property(list, fc.subarray(['p', 'q']), (steps, presets) => {
        const found = new Map<Mode, string[]>()
        for (const p of presets.length ? presets : ['']) {
          const here = steps.filter((s) => !s.presets.length || !p || s.presets.includes(p))
          const to = closure(here)
          const starts: Mode[] = here.some((s) => s.from === 'asleep') ? ['off', 'asleep'] : ['off']
          for (const m of new Set(starts.flatMap((s) => [...to.get(s)!])))
            if (!to.get(m)!.has('off')) found.set(m, [...(found.get(m) ?? []), ...(p ? [p] : [])])
        }
        const said = new Map(traps(rowsOf(steps), presets).map((t) => [t.state, t.presets]))
        expect(said).toEqual(found)
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
    [1.25, '1.3 seconds'],
    [0, '0 seconds'],
  ])('%d s: %s', (s, words) => expect(secondsInWords(s)).toBe(words))
  const said = (more: Partial<ControlRow>) => {
    const s = done()
    s.inputs = [
      { id: 'a', name: 'Front key', kind: 'button' },
      { id: 'b', name: 'rear key', kind: 'button' },
    ]
    return gestureText(s, row(more))
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
    ['press the button once', { input: 'gone' }],
    ['press the front key and the button together', { gesture: 'chord' }],
    ['press the front key once with the blade up', { pose: 'up' }],
    ['press the front key once with the blade down', { pose: 'down' }],
    ['press the front key once with the blade level', { pose: 'level' }],
    ['twist the hilt twice', { gesture: 'twist', times: 2 }],
    ['swing', { gesture: 'swing' }],
  ])('%s', (words, more) => expect(said(more)).toBe(words))
  test('what it does is in the maker’s words when he gave any', () => {
    expect(doingOf(row({ does: 'ignite' }))).toBe('ignite')
    expect(doingOf(row({ does: 'ignite', says: 'call the light' }))).toBe('call the light')
  })
})
