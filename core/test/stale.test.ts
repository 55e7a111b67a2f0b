import { describe, expect, test } from '@jest/globals'
import { fact, stated } from '@nubrin/core/facts'
import { judgeCommission } from '@nubrin/core/judge'
import type { Commission, Saber } from '@nubrin/core/record'
import { compose, staleSentences } from '@nubrin/core/script'
import { demo, TODAY } from './samples'

/** The finished commission with its script composed anew, then changed. */
function after(change: (s: Saber, c: Commission) => void) {
  const c = demo('reed-warden')
  const s = c.sabers[0]!
  s.beats = compose(c, s)
  change(s, c)
  return { c, s, found: staleSentences(c, s) }
}
const covers = (s: Saber, key: string) => s.beats.find((b) => b.covers.includes(key))!
const brief = (change: (s: Saber, c: Commission) => void) =>
  after(change).found.map((x) =>
    x.code === 'differs'
      ? `differs ${x.where} ${x.said} / ${x.is}`
      : x.code === 'unsure'
        ? `unsure ${x.where} ${x.said}`
        : `${x.code} ${x.beat.covers.join()}`,
  )

describe('sentences that the record no longer bears out', () => {
  test('fresh from the composer nothing is stale', () => expect(brief(() => undefined)).toEqual([]))
  test('a changed colour, name, gesture, hold or step marks every composed beat that speaks of it', () => {
    expect(brief((s) => void (s.presets[0]!.name = 'Another name'))).toEqual([
      `changed preset:${demo('reed-warden').sabers[0]!.presets[0]!.id}`,
    ])
    expect(brief((s) => void (s.presets[0]!.colour = stated('#ff0000', 'configured')))[0]).toMatch(/^changed preset:/)
    expect(brief((s) => void (s.controls.find((r) => r.hold?.value === 2)!.hold = fact(3, 's', 'configured')))).toEqual(
      [expect.stringMatching(/^changed control:/)],
    )
    const otherwise = (s: Saber) => {
      s.access = structuredClone(s.access)
      s.access[0]!.steps[0]!.text = 'Do it otherwise'
    }
    expect(brief(otherwise)).toEqual([expect.stringMatching(/^changed task:/)])
    expect(brief((s) => void (s.name = 'Renamed'))).toEqual(['changed welcome', 'changed farewell'])
    // An input is named in every gesture that uses it, and where its button is shown.
    const n = demo('reed-warden').sabers[0]!.controls.filter((r) => r.input === 'rw-i1' || r.other === 'rw-i1').length
    expect(brief((s) => void (s.inputs.find((i) => i.id === 'rw-i1')!.name = 'Far button'))).toHaveLength(n + 1)
  })
  test('what is taken out is told of no more', () => {
    const id = demo('reed-warden').sabers[0]!.presets[1]!.id
    expect(brief((s) => void s.presets.splice(1, 1))).toEqual([`gone preset:${id}`])
  })
  test('own words that name another of its kind where this one is shown', () => {
    const shown = (say: string, show = 'input:rw-i1') =>
      brief((s) => {
        Object.assign(s.inputs[0]!, { id: 'rw-i1', name: 'Front key' })
        s.inputs.push({ id: 'rear', name: 'Rear key', kind: 'button' })
        s.inputs.push({ id: 'key', name: 'key', kind: 'button' })
        s.beats = [{ id: 'own', say, show: show as never, seconds: 4, covers: [], by: 'own' }]
      })
    expect(shown('Press the rear key.')).toEqual(['differs beat:own Rear key / Front key'])
    expect(shown('Press the FRONT KEY.')).toEqual([])
    expect(shown('Press the front key, not the rear key.')).toEqual([])
    // Part of a longer word, no name at all, or a name that its own contains.
    expect(shown('Press the rear keys.')).toEqual([])
    expect(shown('Press this one.')).toEqual([])
    expect(shown('Press the key.')).toEqual([])
    expect(shown('Press the front key.', 'input:rear')).toEqual(['differs beat:own Front key / Rear key'])
  })
  test('a step that names another screw than the one it turns', () => {
    const said = (text: string) =>
      brief((s) => {
        Object.assign(s.access[0]!.steps[0]!, { place: 'fastener:rw-f1', text })
        s.beats = []
        s.hilt.fasteners[0]!.name = 'left blade screw'
        s.hilt.fasteners[1]!.name = 'right blade screw'
      }).filter((x) => x.startsWith('differs step'))
    expect(said('Loosen the right blade screw')).toHaveLength(1)
    expect(said('Loosen the left blade screw')).toEqual([])
  })
  test('own words are left alone until they say another colour or volume', () => {
    const own = (key: string, say: string, more: (s: Saber) => void = () => undefined) =>
      brief((s) => {
        Object.assign(covers(s, key), { say, by: 'edited' })
        more(s)
        // Another blue one is told from it anew; that is another matter.
      }).filter((x) => !/^changed preset:rw-s[23]$/.test(x))
    const preset = demo('reed-warden').sabers[0]!.presets[0]!
    const key = `preset:${preset.id}`
    const colour = (hex: string) => (s: Saber) =>
      void Object.assign(s.presets[0]!, { colour: stated(hex, 'configured'), effects: {} })
    expect(own(key, 'A deep blue, like the harbour.', colour('#0000ff'))).toEqual([])
    expect(own(key, 'A deep blue, like the harbour.', colour('#ff0000'))).toEqual([
      expect.stringMatching(/ blue \/ red$/),
    ])
    expect(own(key, 'It glows.', colour('#ff0000'))).toEqual([])
    // The name of a preset is no colour of it.
    expect(
      own(key, 'Here is Blue moon.', (s) => {
        colour('#ff0000')(s)
        s.presets[0]!.name = 'Blue moon'
      }),
    ).toEqual([])
    expect(own('welcome', 'Volume is at 100, loud enough.')).toEqual([])
    expect(own('welcome', 'Volume is at 70, loud enough.')).toEqual([
      expect.stringMatching(/ volume 70 \/ volume 100$/),
    ])
    // Which pole goes where is not read out of words: right ones and wrong ones are left alone, and the record is printed.
    for (const end of ['emitter', 'pommel'])
      for (const pole of ['Plus', 'Minus first into the spring, plus'])
        expect(own('welcome', `${pole} towards the ${end}.`)).toEqual([])
  })
  test('what is certain stands against shipping, what is only read out of words does not', () => {
    const { c } = after((s) => {
      s.presets[0]!.name = 'Another name'
      s.presets.splice(1, 1)
      Object.assign(covers(s, 'welcome'), { say: 'Volume 70.', by: 'edited' })
    })
    const found = judgeCommission(c, TODAY).filter((f) => f.check === 'stale')
    expect(found.map((f) => `${f.code} ${f.gate} ${f.refs[0]?.split(':')[0]}`).sort()).toEqual([
      'changed true beat',
      'differs false beat',
      'gone true beat',
    ])
    expect(found.find((f) => f.code === 'changed')!.detail).toContain('Another name')
    expect(found.find((f) => f.code === 'differs')!.title).toBe('Said: volume 70. Recorded: volume 100')
  })
})
