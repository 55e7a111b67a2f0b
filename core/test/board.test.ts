import { describe, expect, test } from '@jest/globals'
import {
  type BoardEvent,
  type BoardState,
  type ControlMap,
  compile,
  eventsFor,
  type HandEvent,
  heldFrom,
  rowsDone,
  startOf,
  stateIn,
  step,
  stepAll,
  TEMPLATES,
  templateMap,
  USUAL,
  usualModes,
} from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import { type ControlRow, type Mode, STATES } from '@nubrin/core/record'
import fc from 'fast-check'
import { tries } from './drawn'
import { mapOf as plainMap, row, sec } from './map-of'
import { done } from './samples'

const presets = (...ids: string[]) => ids.map((id) => ({ ...done().presets[0]!, id, tracks: ['one', 'two'] }))
const mapOf = (controls: ControlRow[], more: Partial<ControlMap> = {}): ControlMap =>
  plainMap(controls, { presets: presets('p', 'q', 'r'), ...more })
/** A board in a mode, with what a hand does to it in words: `a+` presses, `a-` lets go, `swing` moves, `up` holds it so. */
function play(map: ControlMap, mode: string, hand: [at: number, does: string][], preset = 0) {
  const b = compile(map)
  let state: BoardState = stateIn(b, startOf(b), mode, preset)
  const happened: BoardEvent[] = []
  for (const [t, does] of hand) {
    const e: HandEvent = /^[a-d][+-]$/.test(does)
      ? { t, do: does[1] === '+' ? 'press' : 'release', input: does[0]! }
      : does.startsWith('turn')
        ? { t, do: 'turn', steps: Number(does.slice(4)) }
        : ['up', 'level', 'down'].includes(does)
          ? { t, do: 'pose', pose: does as 'up' }
          : does === 'wait'
            ? { t, do: 'wait' }
            : { t, do: 'move', motion: does as 'swing' }
    const r = step(b, state, e)
    state = r.state
    happened.push(...r.happened)
  }
  return { state, happened, did: rowsDone(happened) }
}
const TAP: [number, string][] = [
  [0, 'a+'],
  [0.1, 'a-'],
]

describe('a single press', () => {
  test('is carried out when it is let go, where nothing longer could come of it', () => {
    const one = row()
    expect(play(mapOf([one]), 'm-lit', TAP).did).toEqual([one.id])
    expect(play(mapOf([one]), 'm-lit', TAP.slice(0, 1)).did).toEqual([])
    expect(play(mapOf([one]), 'm-off', TAP).happened).toMatchObject([
      { what: 'nothing', made: { sort: 'tap', times: 1 } },
    ])
  })
  test('waits for another where a double press exists, and says how long and why', () => {
    const [one, two] = [row(), row({ times: 2 })]
    const m = mapOf([one, two])
    const first = play(m, 'm-lit', TAP)
    expect(first.did).toEqual([])
    expect(first.happened).toEqual([{ t: 0.1, what: 'waits', input: 'a', ms: 350, times: 2 }])
    expect(play(m, 'm-lit', [...TAP, [0.44, 'wait']]).did).toEqual([])
    expect(play(m, 'm-lit', [...TAP, [0.46, 'wait']]).did).toEqual([one.id])
    expect(play(m, 'm-lit', [...TAP, [0.4, 'a+'], [0.5, 'a-']]).did).toEqual([two.id])
    // Too late for a double press, it is two single ones.
    expect(play(m, 'm-lit', [...TAP, [0.5, 'a+'], [0.6, 'a-'], [2, 'wait']]).did).toEqual([one.id, one.id])
    // A longer pause can be set.
    const slow = { ...m, timing: { tapGap: sec(1) } }
    expect(play(slow, 'm-lit', [...TAP, [1, 'a+'], [1.1, 'a-']]).did).toEqual([two.id])
  })
  test('a double press of which only a triple one is recorded is nothing, and is said to be two', () => {
    const three = row({ times: 3 })
    const { did, happened } = play(mapOf([row(), three]), 'm-lit', [...TAP, [0.2, 'a+'], [0.3, 'a-'], [1, 'wait']])
    expect(did).toEqual([])
    expect(happened.at(-1)).toMatchObject({ what: 'nothing', made: { sort: 'tap', times: 2 } })
  })
  test('of another button ends the waiting of the first', () => {
    const [one, two, other] = [row(), row({ times: 2 }), row({ input: 'b' })]
    const { did } = play(mapOf([one, two, other]), 'm-lit', [...TAP, [0.2, 'b+'], [0.3, 'b-']])
    expect(did).toEqual([one.id, other.id])
  })
  test('that lasts as long as a tap may not is none', () => {
    expect(
      play(mapOf([row()]), 'm-lit', [
        [0, 'a+'],
        [0.39, 'a-'],
      ]).did,
    ).toHaveLength(1)
    const long = play(mapOf([row()]), 'm-lit', [
      [0, 'a+'],
      [0.4, 'a-'],
    ])
    expect(long.happened).toMatchObject([{ what: 'nothing', made: { sort: 'hold', held: 0.4 } }])
    expect(
      play(mapOf([row()], { timing: { tapMost: sec(0.6) } }), 'm-lit', [
        [0, 'a+'],
        [0.5, 'a-'],
      ]).did,
    ).toHaveLength(1)
  })
})

describe('a hold', () => {
  const hold = (s: number, more: Partial<ControlRow> = {}) => row({ gesture: 'hold', hold: sec(s), ...more })
  test('is carried out as soon as its time has come, where no longer one exists', () => {
    const one = hold(1)
    expect(
      play(mapOf([one]), 'm-lit', [
        [0, 'a+'],
        [0.99, 'wait'],
      ]).did,
    ).toEqual([])
    const at = play(mapOf([one]), 'm-lit', [
      [0, 'a+'],
      [5, 'wait'],
    ])
    expect(at.happened).toEqual([{ t: 1, what: 'did', row: one.id, held: 1 }])
    // Let go later, nothing more comes of it.
    expect(
      play(mapOf([one, row()]), 'm-lit', [
        [0, 'a+'],
        [5, 'a-'],
        [9, 'wait'],
      ]).did,
    ).toEqual([one.id])
  })
  test('waits until it is let go where a longer one could follow', () => {
    const [short, long] = [hold(1), hold(3)]
    const m = mapOf([long, short])
    expect(
      play(m, 'm-lit', [
        [0, 'a+'],
        [2.9, 'wait'],
      ]).did,
    ).toEqual([])
    expect(
      play(m, 'm-lit', [
        [0, 'a+'],
        [2.9, 'a-'],
      ]).did,
    ).toEqual([short.id])
    expect(
      play(m, 'm-lit', [
        [0, 'a+'],
        [3.1, 'wait'],
      ]).did,
    ).toEqual([long.id])
    expect(
      play(m, 'm-lit', [
        [0, 'a+'],
        [0.9, 'a-'],
      ]).did,
    ).toEqual([])
  })
  test('whose effect lasts ends when it is let go', () => {
    const lock = hold(0.5, { does: 'lock' })
    const { happened, state } = play(mapOf([lock]), 'm-lit', [
      [0, 'a+'],
      [2, 'a-'],
    ])
    expect(happened).toEqual([
      { t: 0.5, what: 'began', row: lock.id, held: 0.5 },
      { t: 2, what: 'ended', row: lock.id },
    ])
    expect(state.lasting).toBeUndefined()
    expect(
      play(mapOf([lock]), 'm-lit', [
        [0, 'a+'],
        [2, 'wait'],
      ]).state.lasting,
    ).toBe(lock.id)
    // One that is said to be carried out at its time does not last.
    expect(
      play(mapOf([{ ...lock, release: 'reached' }]), 'm-lit', [
        [0, 'a+'],
        [2, 'wait'],
      ]).happened,
    ).toMatchObject([{ what: 'did' }])
  })
  test('by beeps counts them, and is what was let go after', () => {
    const [one, three] = [row({ gesture: 'hold', beeps: 1 }), row({ gesture: 'hold', beeps: 3 })]
    const m = mapOf([one, three], { timing: { beepEvery: sec(0.8) } })
    const held = (s: number) =>
      play(m, 'm-lit', [
        [0, 'a+'],
        [s, 'a-'],
      ])
    expect(held(0.7).did).toEqual([])
    expect(held(0.9).did).toEqual([one.id])
    expect(held(0.9).happened).toMatchObject([{ what: 'beep', n: 1, t: 0.8 }, { what: 'did' }])
    expect(held(1.7).did).toEqual([])
    expect(held(2.5).did).toEqual([three.id])
    expect(held(2.5).happened.filter((h) => h.what === 'beep')).toHaveLength(3)
    expect(held(3.3).did).toEqual([])
  })
  test('may have to be let go before a time', () => {
    const m = mapOf([hold(1, { most: sec(2) })])
    const held = (s: number) =>
      play(m, 'm-lit', [
        [0, 'a+'],
        [s, 'a-'],
      ]).did.length
    expect([0.9, 1, 1.9, 2, 3].map(held)).toEqual([0, 1, 1, 0, 0])
  })
  test('after taps counts with them', () => {
    const m = mapOf([hold(1, { times: 2 }), hold(1, { does: 'lock', release: 'reached' }), row()])
    const [twice, , tap] = m.controls
    expect(play(m, 'm-lit', [...TAP, [0.2, 'a+'], [1.3, 'wait']]).did).toEqual([twice!.id])
    expect(play(m, 'm-lit', [...TAP, [1, 'wait']]).did).toEqual([tap!.id])
  })
  test('belongs to the mode in which it began: what follows in another mode needs another press', () => {
    const [on, off] = [hold(1, { mode: 'm-off', does: 'ignite' }), hold(2, { does: 'retract' })]
    const { did, state } = play(mapOf([on, off]), 'm-off', [
      [0, 'a+'],
      [9, 'a-'],
      [10, 'wait'],
    ])
    expect(did).toEqual([on.id])
    expect(state.mode).toBe('m-lit')
  })
})

describe('two hands', () => {
  test('holding one and tapping another is neither of both alone', () => {
    const both = row({ gesture: 'holdThenTap', other: 'b' })
    const m = mapOf([both, row({ input: 'b' }), row({ gesture: 'hold', hold: sec(1) })])
    expect(
      play(m, 'm-lit', [
        [0, 'a+'],
        [0.5, 'b+'],
        [0.6, 'b-'],
        [2, 'a-'],
      ]).did,
    ).toEqual([both.id])
    expect(
      play(m, 'm-lit', [
        [0, 'b+'],
        [0.5, 'a+'],
        [0.6, 'a-'],
        [0.7, 'b-'],
      ]).did,
    ).toEqual([])
    const timed = { ...both, hold: sec(0.8) }
    expect(
      play(mapOf([timed]), 'm-lit', [
        [0, 'a+'],
        [0.5, 'b+'],
        [0.6, 'b-'],
        [2, 'a-'],
      ]).did,
    ).toEqual([])
    expect(
      play(mapOf([timed]), 'm-lit', [
        [0, 'a+'],
        [0.9, 'b+'],
        [1, 'b-'],
        [2, 'a-'],
      ]).did,
    ).toEqual([timed.id])
  })
  test('a chord is both pressed within its time, in either order unless it has one', () => {
    const both = row({ gesture: 'chord', other: 'b', hold: sec(1) })
    const chord = (m: ControlMap, first: string, second: string, apart: number) =>
      play(m, 'm-lit', [
        [0, `${first}+`],
        [apart, `${second}+`],
        [3, `${first}-`],
        [3.1, `${second}-`],
      ]).did
    const m = mapOf([both, row(), row({ input: 'b' })])
    expect(chord(m, 'a', 'b', 0.14)).toEqual([both.id])
    expect(chord(m, 'b', 'a', 0.14)).toEqual([both.id])
    expect(chord(m, 'a', 'b', 0.2)).toEqual([])
    const ordered = mapOf([{ ...both, ordered: true }])
    expect(chord(ordered, 'a', 'b', 0.1)).toEqual([both.id])
    expect(chord(ordered, 'b', 'a', 0.1)).toEqual([])
    // A short chord and a held one are two things.
    const short = row({ gesture: 'chord', other: 'b' })
    const two = mapOf([both, short])
    expect(chord(two, 'a', 'b', 0.1)).toEqual([both.id])
    expect(
      play(two, 'm-lit', [
        [0, 'a+'],
        [0.1, 'b+'],
        [0.4, 'a-'],
        [0.5, 'b-'],
      ]).did,
    ).toEqual([short.id])
  })
  test('a button with a strike or a flick, for as long as it is held', () => {
    const m = mapOf([row({ gesture: 'holdStrike', does: 'lock' }), row({ gesture: 'holdFlick', does: 'ignite' })])
    const [lock, flick] = m.controls
    const struck = play(m, 'm-lit', [
      [0, 'a+'],
      [0.5, 'strike'],
      [2, 'a-'],
    ])
    expect(struck.happened).toMatchObject([
      { what: 'began', row: lock!.id },
      { what: 'ended', t: 2 },
    ])
    expect(
      play(m, 'm-lit', [
        [0, 'a+'],
        [0.5, 'flick'],
        [2, 'a-'],
      ]).did,
    ).toEqual([flick!.id])
    expect(play(m, 'm-lit', [[0.5, 'strike']]).happened).toMatchObject([
      { what: 'nothing', made: { sort: 'motion', motion: 'strike' } },
    ])
  })
})

describe('poses, presets, motions, menus, time-outs', () => {
  test('what is said of a pose or of a preset stands before what is said of any', () => {
    const [any, up, mine, both] = [
      row(),
      row({ pose: 'up' }),
      row({ presets: ['q'] }),
      row({ presets: ['r'], pose: 'up' }),
    ]
    const m = mapOf([any, up, mine, both])
    const tapped = (pose: string, preset: number) => play(m, 'm-lit', [[0, pose], ...TAP], preset).did[0]
    expect([0, 1, 2].map((p) => tapped('level', p))).toEqual([any.id, mine.id, any.id])
    expect([0, 1, 2].map((p) => tapped('up', p))).toEqual([up.id, mine.id, both.id])
  })
  test('motions are counted as taps are', () => {
    const m = mapOf([row({ gesture: 'twist', input: 'm' }), row({ gesture: 'twist', input: 'm', times: 2 })])
    const [one, two] = m.controls
    expect(
      play(m, 'm-lit', [
        [0, 'twist'],
        [1, 'wait'],
      ]).did,
    ).toEqual([one!.id])
    expect(
      play(m, 'm-lit', [
        [0, 'twist'],
        [0.2, 'twist'],
      ]).did,
    ).toEqual([two!.id])
    expect(play(m, 'm-lit', [[0, 'thrust']]).did).toEqual([])
  })
  test('a menu is gone through by turning or by rows, and holds what is kept', () => {
    const menu = (more: Partial<Mode>): Mode => ({ id: 'menu', name: 'menu', is: 'menu', on: 'm-off', ...more })
    const modes = (more: Partial<Mode>) => [...usualModes('m', ['off', 'lit']), menu(more)]
    const rows = [
      row({ mode: 'menu', does: 'choose' }),
      row({ mode: 'menu', times: 2, does: 'chooseBack' }),
      row({ mode: 'menu', gesture: 'hold', hold: sec(1), does: 'keep' }),
      row({ mode: 'menu', input: 'b', does: 'discard' }),
    ]
    const kept: [number, string][] = [
      [5, 'a+'],
      [6.5, 'a-'],
    ]
    const byTurning = mapOf(rows, { modes: modes({ chooses: 'preset', by: 'turning' }) })
    const at = (hand: [number, string][], preset = 0) => play(byTurning, 'menu', hand, preset).state
    expect(at([[0, 'turn2'], ...kept])).toMatchObject({ preset: 2, mode: 'm-off' })
    expect(at([[0, 'turn-1'], ...kept])).toMatchObject({ preset: 2 })
    expect(
      at(
        [
          [0, 'turn1'],
          [1, 'b+'],
          [1.1, 'b-'],
        ],
        1,
      ),
    ).toMatchObject({ preset: 1, mode: 'm-off' })
    expect(at([[0, 'turn1']], 1)).toMatchObject({ preset: 1, choice: 2, mode: 'menu' })
    // Volume ends at its ends.
    const byRows = mapOf(rows, {
      modes: modes({ chooses: 'volume', by: 'stepping' }),
      settings: { sensitivities: [], volumeSteps: fact(4, '×') },
    })
    const tap = (t: number): [number, string][] => [
      [t, 'a+'],
      [t + 0.1, 'a-'],
      [t + 0.6, 'wait'],
    ]
    expect(play(byRows, 'menu', [...tap(0), ...kept]).state.volume).toBe(3)
    expect(play(byRows, 'menu', [...tap(0), ...tap(1), ...tap(2), ...tap(3), ...kept]).state.volume).toBe(4)
    expect(play(byRows, 'menu', [[0, 'turn3'], ...kept]).state.volume).toBe(2)
    // Where nothing keeps a choice, it holds at once.
    const live = mapOf(rows.slice(0, 1), { modes: modes({ chooses: 'preset' }) })
    expect(
      play(live, 'menu', [
        [0, 'a+'],
        [0.1, 'a-'],
      ]).state.preset,
    ).toBe(1)
  })
  test('a mode ends by itself when no hand has done anything for its time; modes that end one another come to rest', () => {
    const timed = usualModes('m', STATES).map((x): Mode => (x.is === 'menu' ? { ...x, after: sec(8), on: 'm-lit' } : x))
    const m = mapOf([], { modes: timed })
    const out = play(m, 'm-menu', [
      [3, 'swing'],
      [10.9, 'wait'],
    ])
    expect(out.state.mode).toBe('m-menu')
    expect(
      play(m, 'm-menu', [
        [3, 'swing'],
        [11.1, 'wait'],
      ]).happened.at(-1),
    ).toEqual({
      ...{ t: 11, what: 'went', from: 'm-menu', to: 'm-lit', after: 8 },
    })
    // A button that is held down keeps it.
    expect(
      play(m, 'm-menu', [
        [0, 'a+'],
        [60, 'wait'],
      ]).state.mode,
    ).toBe('m-menu')
    const ring = usualModes('m', ['off', 'lit']).map(
      (x): Mode => ({ ...x, after: sec(0.001), leads: x.is === 'off' ? 'm-lit' : 'm-off' }),
    )
    const round = play(mapOf([], { modes: ring }), 'm-off', [[1e6, 'wait']])
    expect(round.happened.length).toBeLessThan(5)
  })
  test('presets go round, tracks and volume are kept, power that is cut leaves nothing but what brings it back', () => {
    const m = mapOf([
      row({ does: 'nextPreset' }),
      row({ does: 'previousPreset', times: 2 }),
      row({ input: 'b', does: 'track' }),
      row({ input: 'b', times: 2, does: 'trackStop' }),
      row({ input: 'c', does: 'volumeUp' }),
      row({ input: 'c', times: 2, does: 'volumeDown' }),
      row({ input: 'd', does: 'powerOff' }),
      row({ input: 'd', mode: 'm-off', does: 'powerOn' }),
      row({ mode: 'm-off', does: 'ignite' }),
    ])
    const tap = (t: number, input = 'a', times = 1): [number, string][] =>
      Array.from({ length: times }, (_, i): [number, string][] => [
        [t + i * 0.2, `${input}+`],
        [t + i * 0.2 + 0.1, `${input}-`],
      ]).flat()
    const end = (...hand: [number, string][][]) => play(m, 'm-lit', [...hand.flat(), [90, 'wait']]).state
    expect(end(tap(0), tap(1), tap(2)).preset).toBe(0)
    expect(end(tap(0, 'a', 2)).preset).toBe(2)
    expect(end(tap(0, 'b')).track).toBe(0)
    expect(end(tap(0, 'b'), tap(1, 'b'), tap(2, 'b')).track).toBe(0)
    expect(end(tap(0, 'b'), tap(1, 'b', 2)).track).toBeUndefined()
    expect(end(tap(0, 'c')).volume).toBe(6)
    expect(end(tap(0, 'c', 2)).volume).toBe(4)
    expect(end(tap(0, 'd'))).toMatchObject({ cut: true, mode: 'm-off' })
    expect(end(tap(0, 'd'), tap(1, 'a')).mode).toBe('m-off')
    expect(end(tap(0, 'd'), tap(1, 'd'), tap(2, 'a'))).toMatchObject({ cut: false, mode: 'm-lit' })
  })
  test('what is odd does nothing: a press twice, a release of nothing, a time that goes back, no modes at all', () => {
    const one = row()
    const b = compile(mapOf([one]))
    const st = stateIn(b, { ...startOf(b), t: 5 }, 'm-lit')
    const at = (...events: HandEvent[]) => stepAll(b, st, events)
    expect(at({ t: 5, do: 'release', input: 'a' }).happened).toEqual([])
    expect(at({ t: 5, do: 'press', input: 'a' }, { t: 5.1, do: 'press', input: 'a' }).state.held).toHaveLength(1)
    expect(at({ t: 1, do: 'press', input: 'a' }).state.t).toBe(5)
    expect(at({ t: Number.NaN, do: 'wait' }).state.t).toBe(5)
    expect(rowsDone(at({ t: 5, do: 'press', input: 'a' }, { t: 5.1, do: 'release', input: 'a' }).happened)).toEqual([
      one.id,
    ])
    const bare = compile(mapOf([], { modes: [], presets: [] }))
    expect(step(bare, startOf(bare), { t: 1, do: 'press', input: 'a' }).state.mode).toBe('')
    expect(startOf(b).mode).toBe('m-off')
    expect(startOf(compile(mapOf([row({ mode: 'm-asleep', does: 'wake' })]))).mode).toBe('m-asleep')
  })
})

/** What a hand means to do, apart from what comes before and after by a long pause. */
type Meant =
  | { sort: 'tap'; input: string; times: number }
  | { sort: 'hold'; input: string; times: number; s: number }
  | { sort: 'holdThenTap'; input: string; other: string; s: number; times: number }
  | { sort: 'chord'; input: string; other: string; s: number }
  | { sort: 'holdStrike'; input: string; s: number }
  | { sort: 'twist'; times: number }
const INPUTS = ['a', 'b']

/** The same, read literally off the map: rows in force by pose and preset, the more special before the others, and its times. */
function literally(rows: readonly ControlRow[], meant: Meant, pose: string, preset: string): string | undefined {
  const gesture = meant.sort === 'tap' || meant.sort === 'hold' ? meant.sort : meant.sort
  const times = 'times' in meant ? meant.times : 1
  const same = rows.filter((r) => {
    if (r.gesture !== gesture || (r.times ?? 1) !== times) return false
    if (r.pose !== 'any' && r.pose !== pose) return false
    if (r.presets?.length && !r.presets.includes(preset)) return false
    if (meant.sort === 'twist') return true
    if (meant.sort === 'chord')
      return (
        (r.input === meant.input && r.other === meant.other) || (r.input === meant.other && r.other === meant.input)
      )
    return r.input === meant.input && (meant.sort !== 'holdThenTap' || r.other === meant.other)
  })
  const rank = (r: ControlRow) => (r.presets?.length ? 2 : 0) + (r.pose === 'any' ? 0 : 1)
  const best = [...same].sort((x, y) => rank(y) - rank(x) || rows.indexOf(x) - rows.indexOf(y))
  if (!('s' in meant)) return best[0]?.id
  // Each time is taken by the most special that has it; of those begun in time, the last counts.
  const byTime = new Map<number, ControlRow>()
  for (const r of best) {
    const at = r.hold?.value ?? (r.gesture === 'hold' ? 1 : 0)
    if (!byTime.has(at)) byTime.set(at, r)
  }
  return [...byTime].filter(([at]) => at <= meant.s).sort((x, y) => y[0] - x[0])[0]?.[1].id
}

/**
 * What is meant, as far as the map lets it count together: when as many taps have been made as anything asks for, they are over,
 * and the next begins anew.
 */
function counted(rows: readonly ControlRow[], meant: Meant, pose: string, preset: string): Meant[] {
  if (!('times' in meant)) return [meant]
  // Held on, the taps count together, up to as many as anything asks for.
  if (meant.sort === 'holdThenTap') return [meant]
  const most = Math.max(
    0,
    ...rows
      .filter((r) =>
        meant.sort === 'twist' ? r.gesture === 'twist' : r.input === meant.input && ['tap', 'hold'].includes(r.gesture),
      )
      .filter((r) => (r.pose === 'any' || r.pose === pose) && (!r.presets?.length || r.presets.includes(preset)))
      .map((r) => r.times ?? 1),
  )
  const alone = (times: number): Meant =>
    meant.sort === 'twist' ? { sort: 'twist', times } : { sort: 'tap', input: meant.input, times }
  const out: Meant[] = []
  let taps = meant.sort === 'hold' ? meant.times - 1 : meant.times
  for (; taps >= Math.max(1, most); taps -= Math.max(1, most)) out.push(alone(Math.max(1, most)))
  if (meant.sort === 'hold') return [...out, { ...meant, times: taps + 1 }]
  return taps ? [...out, alone(taps)] : out
}

/** The events that a hand makes of it, from a moment on, and when it is over. */
function handOf(meant: Meant, t: number): HandEvent[] {
  if (meant.sort === 'tap')
    return Array.from({ length: meant.times }, (_, i): HandEvent[] => [
      { t: t + i * 0.3, do: 'press', input: meant.input },
      { t: t + i * 0.3 + 0.1, do: 'release', input: meant.input },
    ]).flat()
  if (meant.sort === 'twist')
    return Array.from({ length: meant.times }, (_, i): HandEvent => ({ t: t + i * 0.3, do: 'move', motion: 'twist' }))
  if (meant.sort === 'hold') {
    const last = t + (meant.times - 1) * 0.3
    return [
      ...handOf({ sort: 'tap', input: meant.input, times: meant.times - 1 }, t),
      { t: last, do: 'press', input: meant.input },
      { t: last + meant.s, do: 'release', input: meant.input },
    ]
  }
  if (meant.sort === 'holdStrike')
    return [
      { t, do: 'press', input: meant.input },
      { t: t + meant.s, do: 'move', motion: 'strike' },
      { t: t + meant.s + 0.1, do: 'release', input: meant.input },
    ]
  if (meant.sort === 'holdThenTap')
    return [
      { t, do: 'press', input: meant.input },
      ...handOf({ sort: 'tap', input: meant.other, times: meant.times }, t + meant.s),
      { t: t + meant.s + meant.times * 0.3, do: 'release', input: meant.input },
    ]
  const apart = 0.1
  const long = apart + meant.s
  return [
    { t, do: 'press', input: meant.input },
    { t: t + apart, do: 'press', input: meant.other },
    { t: t + long, do: 'release', input: meant.other },
    { t: t + long + 0.1, do: 'release', input: meant.input },
  ]
}

describe('the recogniser reads a map as it stands there', () => {
  const TIMES = [0.5, 1, 1.5, 2.5]
  const rows = fc.array(
    fc.record({
      gesture: fc.constantFrom<ControlRow['gesture']>('tap', 'hold', 'chord', 'holdThenTap', 'holdStrike', 'twist'),
      pose: fc.constantFrom<ControlRow['pose']>('any', 'any', 'up', 'down'),
      presets: fc.constantFrom<string[]>([], [], ['p'], ['p', 'q']),
      input: fc.constantFrom(...INPUTS),
      times: fc.integer({ min: 1, max: 3 }),
      at: fc.constantFrom(...TIMES),
    }),
    { maxLength: 14 },
  )
  const meant = fc.oneof(
    fc.record({
      sort: fc.constant('tap' as const),
      input: fc.constantFrom(...INPUTS),
      times: fc.integer({ min: 1, max: 3 }),
    }),
    fc.record({
      ...{
        sort: fc.constant('hold' as const),
        input: fc.constantFrom(...INPUTS),
        times: fc.integer({ min: 1, max: 2 }),
      },
      s: fc.constantFrom(0.7, 1.2, 2, 3),
    }),
    fc
      .record({
        sort: fc.constantFrom('chord' as const, 'holdThenTap' as const),
        s: fc.constantFrom(0.7, 1.2, 2, 3),
        times: fc.integer({ min: 1, max: 3 }),
      })
      .map(
        ({ sort, s, times }): Meant =>
          sort === 'chord' ? { sort, s, input: 'a', other: 'b' } : { sort, s, times, input: 'a', other: 'b' },
      ),
    fc.record({
      sort: fc.constant('holdStrike' as const),
      input: fc.constantFrom(...INPUTS),
      s: fc.constantFrom(0.7, 1.2, 2),
    }),
    fc.record({ sort: fc.constant('twist' as const), times: fc.integer({ min: 1, max: 3 }) }),
  )
  test('whatever the map, the pose and the preset', () => {
    fc.assert(
      fc.property(
        rows,
        fc.constantFrom('up', 'level', 'down'),
        fc.nat(2),
        fc.array(meant, { maxLength: 5 }),
        (list, pose, preset, made) => {
          const all = list.map(({ at, times, ...r }, i): ControlRow => {
            const timed = r.gesture === 'hold' || r.gesture === 'chord' || r.gesture === 'holdThenTap'
            return row({
              ...{ ...r, id: `x${i}`, input: r.gesture === 'twist' ? 'm' : r.input },
              ...(['tap', 'twist', 'hold', 'holdThenTap'].includes(r.gesture) ? { times } : {}),
              ...(r.gesture === 'chord' || r.gesture === 'holdThenTap' ? { other: r.input === 'a' ? 'b' : 'a' } : {}),
              ...(timed ? { hold: sec(at) } : {}),
            })
          })
          const b = compile(mapOf(all))
          let st = step(b, stateIn(b, startOf(b), 'm-lit', preset), { t: 0, do: 'pose', pose: pose as 'up' }).state
          for (const [k, m] of made.entries()) {
            const inForce = (g: string) => all.some((r) => r.gesture === g)
            // Where a hand that holds one and taps the other could be read otherwise, only the gesture itself is asked for.
            if ((m.sort === 'holdThenTap' || m.sort === 'holdStrike') && (inForce('hold') || inForce('chord'))) continue
            if (m.sort === 'chord' && !literally(all, m, pose, 'pqr'[preset]!)) continue
            if (m.sort === 'holdThenTap' && !literally(all, m, pose, 'pqr'[preset]!)) continue
            const { state, happened } = stepAll(b, st, [
              ...handOf(m, (k + 1) * 20),
              { t: (k + 2) * 20 - 1, do: 'wait' },
            ])
            st = state
            expect([JSON.stringify(m), ...rowsDone(happened)]).toEqual([
              JSON.stringify(m),
              ...counted(all, m, pose, 'pqr'[preset]!).flatMap((x) => literally(all, x, pose, 'pqr'[preset]!) ?? []),
            ])
          }
        },
      ),
      { numRuns: tries(600, 150) },
    )
  })
  test('a state is plain data: written down and read again it goes on the same way', () => {
    const sheet = templateMap('twoButtons')
    const b = compile({ ...mapOf([]), ...sheet })
    const event = fc.tuple(
      fc.double({ min: 0, max: 1.5, noNaN: true }),
      fc.constantFrom('a+', 'a-', 'b+', 'b-', 'swing', 'turn'),
    )
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), fc.nat(29), (list, cut) => {
        let t = 0
        const events = list.map(([dt, does]): HandEvent => {
          t += dt
          if (does === 'swing') return { t, do: 'move', motion: 'swing' }
          if (does === 'turn') return { t, do: 'turn', steps: 1 }
          return { t, do: does[1] === '+' ? 'press' : 'release', input: does[0]! }
        })
        const start = startOf(b)
        const frozen = JSON.stringify(start)
        const whole = stepAll(b, start, events)
        const first = stepAll(b, start, events.slice(0, cut))
        const rest = stepAll(b, JSON.parse(JSON.stringify(first.state)) as BoardState, events.slice(cut))
        expect(rest.state).toEqual(whole.state)
        expect([...first.happened, ...rest.happened]).toEqual(whole.happened)
        expect(JSON.stringify(start)).toBe(frozen)
      }),
    )
  })
})

describe('a gesture made on purpose', () => {
  test.each(TEMPLATES)('%s: each of its rows, made as it is meant, is carried out and nothing else', (which) => {
    const sheet = templateMap(which)
    const b = compile({ ...mapOf([]), ...sheet })
    for (const r of sheet.controls) {
      const st = stateIn(b, startOf(b), r.mode)
      const { state, happened } = stepAll(b, st, eventsFor(b, r, 1))
      expect([r.id, ...rowsDone(happened)]).toEqual([r.id, r.id])
      expect(state.held).toEqual([])
    }
  })
  test('every row of every demo too, in its own preset', () => {
    const s = done()
    const b = compile(s)
    expect(s.controls.length).toBeGreaterThan(8)
    for (const r of s.controls) {
      const { happened } = stepAll(b, stateIn(b, startOf(b), r.mode), eventsFor(b, r, 1))
      expect([r.id, ...rowsDone(happened)]).toEqual([r.id, r.id])
    }
  })
  test('a hold that nobody has timed is taken as usual', () => {
    expect(heldFrom(mapOf([]), row({ gesture: 'hold' }))).toBe(1)
    expect(heldFrom(mapOf([]), row({ gesture: 'hold', beeps: 3 }))).toBe(3 * USUAL.beepEvery)
    expect(heldFrom(mapOf([]), row({ hold: sec(3) }))).toBe(0)
  })
})
