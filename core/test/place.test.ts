import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { asCopy, type Beat, type Saber } from '@nubrin/core/record'
import {
  compose,
  composedWords,
  factToken,
  firstSentenceEnd,
  guessSeconds,
  liveBeat,
  liveBeats,
  liveText,
  lostFacts,
  markdownOf,
  merged,
  rehearse,
  sayableFacts,
  splitAt,
  staleSentences,
  straysOf,
} from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { demo } from './samples'

const beat = (more: Partial<Beat>): Beat => ({
  ...{ id: 'x1', say: 'One. Two.', seconds: 10, covers: [], by: 'own' },
  ...more,
})
const told = () => {
  const c = demo('reed-warden')
  const s = c.sabers[0]!
  s.beats = compose(c, s)
  return { c, s }
}

describe('a beat that stands far from its kind', () => {
  test('is offered the place where the composer would tell it; near is left alone', () => {
    const { c, s } = told()
    expect(straysOf(c, s)).toEqual([])
    const at = (key: string) => s.beats.findIndex((b) => b.covers.includes(key))
    const i = at('task:bladeOut')
    const before = s.beats[i - 1]!
    const [moved] = s.beats.splice(i, 1)
    s.beats.splice(1, 0, { ...moved!, by: 'edited' })
    expect(straysOf(c, s)).toEqual([{ beat: moved!.id, after: before.id }])
    s.beats.splice(1, 1)
    s.beats.splice(i - 3, 0, { ...moved!, by: 'edited' })
    expect(straysOf(c, s)).toEqual([])
  })
  test('one that only shows a thing is offered to those that show it too; one that shows nothing is let be', () => {
    const { c, s } = told()
    const last = s.beats.findLast((b) => b.show === `part:${s.parts.find((p) => p.kind === 'cell')!.id}`)!
    s.beats.splice(1, 0, beat({ id: 'mine', show: last.show! }), beat({ id: 'free' }))
    expect(straysOf(c, s)).toEqual([{ beat: 'mine', after: last.id }])
  })
})

describe('cut in two and put together', () => {
  test('at a place, or behind the first sentence; nothing is left without words', () => {
    const b = beat({ say: 'First this. Then that.', show: 'part:p', covers: ['k'], by: 'composed', perform: 'row:r' })
    const two = splitAt(b, firstSentenceEnd(b.say), 'new', guessSeconds)!
    expect(two.map((x) => x.say)).toEqual(['First this.', 'Then that.'])
    expect(two[0]).toMatchObject({ id: 'x1', covers: ['k'], by: 'edited', perform: 'row:r' })
    expect(two[1]).toEqual({ ...{ id: 'new', say: 'Then that.', covers: [], by: 'own' }, show: 'part:p', seconds: 4 })
    expect(splitAt(b, 0, 'new', guessSeconds)).toBeUndefined()
    expect(splitAt(b, b.say.length, 'new', guessSeconds)).toBeUndefined()
    expect(firstSentenceEnd('Only one.')).toBe(9)
  })
  test('two that are both carried out stay two; else nothing of either is lost', () => {
    const a = beat({
      id: 'a1',
      perform: 'row:r',
      times: 3,
      expect: 'red',
      doText: 'hold',
      covers: ['a'],
      by: 'composed',
    })
    const b = beat({ id: 'b1', show: 'part:p', expect: 'blue', doText: 'turn', covers: ['a', 'b'], leftTo: 'paper' })
    expect(merged(a, { ...b, task: 'open' })).toBeUndefined()
    expect(merged(a, b)).toEqual({
      ...{ id: 'a1', say: 'One. Two. One. Two.', seconds: 20, by: 'edited', covers: ['a', 'b'] },
      ...{ perform: 'row:r', times: 3, show: 'part:p', expect: 'red; blue', doText: 'hold; turn' },
    })
    expect(merged(b, a)).toMatchObject({ perform: 'row:r', times: 3 })
    expect(merged({ ...b, id: 'c1' }, b)!.leftTo).toBe('paper')
    expect(merged(beat({ seconds: 590 }), beat({ seconds: 590 }))!.seconds).toBe(600)
  })
  test('whatever is cut is the same words when it is put together again', () => {
    fc.assert(
      fc.property(fc.lorem({ maxCount: 12 }), fc.nat(80), (say, at) => {
        const two = splitAt(beat({ say }), at, 'new', guessSeconds)
        if (two) expect(merged(...two)!.say.replace(/\s+/g, '')).toBe(say.replace(/\s+/g, ''))
      }),
    )
  })
})

describe('facts within own words', () => {
  const cellOf = (s: Saber) => s.parts.find((p) => p.kind === 'cell')!
  const withFact = () => {
    const { c, s } = told()
    const [capacity] = sayableFacts(s).filter((f) => f.name === `${cellOf(s).name}: capacity`)
    s.beats[0] = { ...s.beats[0]!, by: 'edited', say: `It holds ${capacity!.token}.` }
    return { c, s, capacity: capacity! }
  }
  test('they read as the fact does, and follow it', () => {
    const { s, capacity } = withFact()
    expect(capacity.value).toBe('3000 mAh')
    expect(liveText(MAKER, s, s.beats[0]!.say)).toBe('It holds 3000 mAh.')
    cellOf(s).specs.capacity = fact(3500, 'mAh', 'recalled')
    expect(liveBeat(MAKER, s, s.beats[0]!).say).toBe('It holds about 3500 mAh.')
    expect(rehearse(MAKER, s).troubles).toEqual([])
    expect(markdownOf(MAKER, 'x', s)).toContain('It holds about 3500 mAh.')
  })
  test('without any a beat is the very one that it was', () => {
    const { s } = told()
    expect(liveBeat(MAKER, s, s.beats[0]!)).toBe(s.beats[0])
    expect(liveBeats(MAKER, s)).toBe(s.beats)
    expect(liveText(MAKER, s, 'nothing [[ here')).toBe('nothing [[ here')
  })
  test('one that is gone is named, and not invented', () => {
    const { c, s, capacity } = withFact()
    delete cellOf(s).specs.capacity
    expect(liveText(MAKER, s, s.beats[0]!.say)).toBe('It holds not recorded.')
    const path = capacity.token.slice(2, -2)
    expect(lostFacts(s, s.beats[0]!.say)).toEqual([path])
    expect(staleSentences(c, s)).toContainEqual(expect.objectContaining({ code: 'gone', what: path }))
    expect(factToken({ path })).toBe(capacity.token)
  })
  test('a copy speaks of its own parts', () => {
    const { c } = withFact()
    let n = 0
    const copy = asCopy(c, () => `copy-${n++}`)
    const s = copy.sabers[0]!
    expect(s.beats[0]!.say).not.toBe(c.sabers[0]!.beats[0]!.say)
    expect(liveText(MAKER, s, s.beats[0]!.say)).toBe('It holds 3000 mAh.')
  })
})

test('composed words follow the record and the place; the maker’s stay', () => {
  const { c, s } = told()
  expect(composedWords(c, s)).toEqual(s.beats)
  s.presets[0]!.name = 'Another'
  s.beats[2] = { ...s.beats[2]!, by: 'edited', say: 'Mine.' }
  const now = composedWords(c, s)
  expect(now[2]!.say).toBe('Mine.')
  expect(now.find((b) => b.covers.includes(`preset:${s.presets[0]!.id}`))!.say).toMatch(/^Another is/)
  // Moved away from its like, a control says again in what mode it is shown.
  const i = s.beats.findIndex((b) => /^Press the rear button twice/.test(b.say))
  const [moved] = s.beats.splice(i, 1)
  s.beats.splice(1, 0, moved!)
  expect(composedWords(c, s)[1]!.say).toMatch(/^With the blade off, press the rear button twice/)
})
