import { describe, expect, test } from '@jest/globals'
import type { Beat, Saber, Take } from '@nubrin/core/record'
import {
  chaptersVttOf,
  clipsOf,
  cueTimes,
  descriptionOf,
  type FilmAct,
  type Filming,
  filmed,
  filmOf,
  firstOpen,
  leftOutOf,
  overBy,
  remaining,
  takeCsvOf,
  takeOf,
  webVttOf,
} from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { demo } from './samples'

const beat = (id: string, seconds = 10, more: Partial<Beat> = {}): Beat => ({
  ...{ id, say: `Words of ${id}. And more.`, seconds, covers: [], by: 'own' },
  ...more,
})
const BEATS = [beat('a1'), beat('b1', 5), beat('c1', 20, { leftTo: 'paper' }), beat('d1', 8)]
const play = (acts: readonly [FilmAct['do'], number, number?][], beats: readonly Beat[] = BEATS): Filming =>
  acts.reduce(
    (f, [act, ms, to]) => filmed(beats, f, act === 'jump' ? { do: act, to: to! } : ({ do: act } as FilmAct), ms),
    filmOf(beats),
  )

describe('while it is filmed', () => {
  test('the first press starts the clock, the next goes on; what is left to paper is passed over', () => {
    const f = play([
      ['next', 999],
      ['next', 4000],
      ['next', 9000],
    ])
    expect(f).toMatchObject({ at: 3, running: true })
    expect(f.marks).toEqual([
      { beat: 'a1', atMs: 0 },
      { beat: 'b1', atMs: 4000 },
      { beat: 'd1', atMs: 9000 },
    ])
  })
  test('past the ends nothing is marked', () => {
    const f = play([
      ['next', 0],
      ['back', 10],
      ['jump', 20, 9],
      ['jump', 30, 3],
      ['next', 40],
    ])
    expect(f.marks.map((m) => m.beat)).toEqual(['a1', 'd1'])
  })
  test('a slip is noted, a retake begins the beat anew, a new thing stays to be settled', () => {
    const f = play([
      ['next', 0],
      ['slip', 1500],
      ['retake', 3000],
      ['saidNew', 5000],
    ])
    expect(f.slips).toEqual([
      { kind: 'slip', beat: 'a1', atMs: 1500 },
      { kind: 'retake', beat: 'a1', atMs: 3000 },
      { kind: 'saidNew', beat: 'a1', atMs: 5000 },
    ])
    expect(f.marks).toEqual([
      { beat: 'a1', atMs: 0 },
      { beat: 'a1', atMs: 3000 },
    ])
    expect(f.at).toBe(0)
  })
  test('before the clock runs nothing is noted', () => {
    const f = play([
      ['slip', 10],
      ['retake', 20],
      ['jump', 30, 1],
      ['back', 40],
    ])
    expect(f).toEqual(filmOf(BEATS))
  })
  test('how much is over, how much is left, and what is still open', () => {
    const f = play([
      ['next', 0],
      ['next', 12_000],
    ])
    expect(overBy(BEATS, f, 14_000)).toBe(-3)
    expect(overBy(BEATS, f, 19_500)).toBe(2.5)
    expect(remaining(BEATS, f, 14_000)).toBe(11)
    expect(remaining(BEATS, f, 60_000)).toBe(8)
    expect(remaining(BEATS, filmOf(BEATS), 0)).toBe(23)
    expect(firstOpen(BEATS, f)).toBe(3)
    expect(
      firstOpen(
        BEATS,
        play([
          ['next', 0],
          ['next', 1],
          ['next', 2],
        ]),
      ),
    ).toBeUndefined()
    expect(firstOpen([], { marks: [] })).toBeUndefined()
  })
  test('whatever is pressed, marks grow in time and name beats that are there', () => {
    const act = fc.constantFrom<FilmAct['do']>('start', 'next', 'back', 'slip', 'retake', 'saidNew')
    fc.assert(
      fc.property(fc.array(fc.tuple(act, fc.integer({ min: 1, max: 9000 })), { maxLength: 60 }), (list) => {
        let t = 0
        const f = play(
          list.map(([a, dt]) => {
            t += dt
            return [a, t]
          }),
        )
        const times = f.marks.map((m) => m.atMs)
        expect([...times].sort((a, b) => a - b)).toEqual(times)
        for (const m of [...f.marks, ...f.slips]) expect(BEATS.some((b) => b.id === m.beat)).toBe(true)
        expect(BEATS[f.at]!.leftTo).toBeUndefined()
        expect(f.running).toBe(f.marks.length > 0)
      }),
    )
  })
  test('a film without a beat, or in which nothing was told, becomes no take', () => {
    expect(filmed([], filmOf([]), { do: 'next' }, 5)).toEqual(filmOf([]))
    expect(
      takeOf(filmOf(BEATS), { id: 'tk', at: '2026-11-24T10:00:00Z', endMs: 5, slipId: () => 's1' }),
    ).toBeUndefined()
  })
})

describe('after it is filmed', () => {
  const f = play([
    ['next', 0],
    ['slip', 2000],
    ['retake', 4000],
    ['next', 16_000],
    ['saidNew', 18_000],
    ['next', 22_000],
    ['back', 30_000],
    ['next', 33_000],
  ])
  let n = 0
  const take = takeOf(f, {
    ...{ id: 'tk1', at: '2026-11-24T10:00:00Z', by: 'Maren', endMs: 41_000 },
    slipId: () => `slip-${n++}`,
  })!
  const saber: Saber = { ...demo('reed-warden').sabers[0]!, beats: BEATS, takes: [take] }
  test('a beat runs from its last telling on', () => {
    expect(cueTimes(MAKER, saber, take).map((c) => [c.beat.id, c.startMs, c.endMs])).toEqual([
      ['a1', 4000, 30_000],
      ['b1', 30_000, 33_000],
      ['d1', 33_000, 41_000],
    ])
  })
  test('all tellings but the last, and what was marked, are cut', () => {
    expect(clipsOf(MAKER, saber, take).map((c) => [c.beat.id, c.why, c.fromMs, c.toMs])).toEqual([
      ['a1', 'slip', 0, 2000],
      ['a1', 'retaken', 0, 4000],
      ['b1', 'retaken', 16_000, 22_000],
      ['d1', 'retaken', 22_000, 30_000],
    ])
    expect(clipsOf(MAKER, { ...saber, beats: [BEATS[3]!] }, take).map((c) => c.beat.id)).toEqual(['d1'])
  })
  test('chapters and captions are WebVTT, the table a CSV that starts no formula', () => {
    const vtt = chaptersVttOf(MAKER, saber, take)
    expect(vtt.split('\n\n')[0]).toBe('WEBVTT')
    expect(vtt).toContain('00:00:30.000 --> 00:00:33.000\nWords of b1')
    expect(webVttOf(MAKER, saber, take)).toContain('And more.')
    const bad = { ...saber, beats: [beat('a1', 10, { say: '=1+1 --> x' }), ...BEATS.slice(1)] }
    const [head, first] = takeCsvOf(MAKER, bad, take).split('\r\n')
    expect(head).toBe('beat,says,begins,ends,planned s,took s,over s,marks')
    expect(first).toMatch(/^1,"?'=1\+1 --> x"?,00:00:04\.000,00:00:30\.000,10,26\.0,16\.0,/)
    expect(first).toContain('slip 00:00:02; retake 00:00:04')
    expect(chaptersVttOf(MAKER, bad).match(/-->/g)).toHaveLength(3)
  })
  test('what was not told is named, and read on paper', () => {
    expect(leftOutOf(MAKER, saber).map((b) => b.id)).toEqual(['c1'])
    const short: Take = { ...take, marks: [{ beat: 'a1', atMs: 0 }] }
    expect(leftOutOf(MAKER, saber, short).map((b) => b.id)).toEqual(['b1', 'c1', 'd1'])
    const text = descriptionOf(demo('reed-warden'), saber, take)
    expect(text).toContain('00:00:04 Words of a1')
    expect(text.split('Not in the film; read in the record:')[1]).toContain('- Words of c1')
    const c = demo('reed-warden')
    c.client.language = 'de'
    expect(descriptionOf(c, saber, take)).toContain('Nicht im Film; zu lesen im Begleitheft:')
  })
})
