import { describe, expect, test } from '@jest/globals'
import {
  analyse,
  type ControlMap,
  isException,
  MAP_FORMAT,
  readsAs,
  takeMap,
  templateMap,
  writeMap,
} from '@nubrin/core/controls'
import { readMap } from '@nubrin/core/import'
import { sec } from './map-of'
import { demo, done } from './samples'

const mapOf = (): ControlMap => ({
  ...{ modes: [], timing: {}, inputs: [], controls: [], fonts: [], settings: { sensitivities: [] } },
  presets: [{ ...done().presets[0]!, id: 'p', tracks: [], effects: {} }],
})
const matters = (m: ControlMap) => analyse(m).matters

describe('a map that is kept and taken over', () => {
  const ids = () => {
    let k = 0
    return () => `new-${k++}`
  }
  test('goes into a file and out of it, without what is this saber’s alone', () => {
    for (const c of ['reed-warden', 'crosswind', 'cinder-oath']) {
      const s = demo(c).sabers[0]!
      s.controls[0]!.presets = [s.presets[0]!.id]
      const read = readMap(writeMap(s, 'House map'))
      if (!read.ok) throw new Error(JSON.stringify(read.problems))
      expect(read.map).toMatchObject({ name: 'House map', modes: s.modes, timing: s.timing })
      expect(read.map.controls.map((r) => r.presets)).toEqual(s.controls.map(() => undefined))
      expect(read.map.inputs.map((i) => i.part)).toEqual(s.inputs.map(() => undefined))
    }
  })
  test('fits the inputs that a saber has, makes those it lacks, and knows what differs from it later', () => {
    const s = done()
    const sheet = templateMap('gestures')
    const t = takeMap({ inputs: s.inputs.slice(0, 1) }, sheet, ids())
    expect(t.inputs.map((i) => i.kind)).toEqual(['button', 'button', 'motion'])
    expect(t.inputs[0]).toEqual(s.inputs[0])
    expect(t.controls).toHaveLength(sheet.controls.length)
    const all = [...t.modes, ...t.controls, ...t.inputs.slice(1)].map((x) => x.id)
    expect(new Set(all).size).toBe(all.length)
    expect(matters({ ...mapOf(), ...t })).toEqual([])
    expect(t.mapFrom).toBe(sheet.name)
    const m = { ...mapOf(), ...t }
    expect(t.controls.filter((r) => isException(m, r))).toEqual([])
    for (const change of [
      { times: 3 },
      { pose: 'up' as const },
      { says: 'otherwise' },
      { hold: sec(4) },
      { does: 'battery' as const },
      { beeps: 2 },
      { to: t.modes.at(-1)!.id },
      { release: 'letGo' as const },
    ])
      expect([change, isException(m, { ...t.controls[1]!, ...change })]).toEqual([change, true])
    const { standard: _s, ...own } = t.controls[0]!
    expect(isException(m, own)).toBe(true)
    // Names of inputs may differ from saber to saber; what is said of them may not.
    expect(readsAs({ ...m, inputs: m.inputs.map((i) => ({ ...i, name: 'x' })) }, t.controls[1]!)).toBe(
      t.controls[1]!.standard,
    )
  })
  const file = (change: (d: Record<string, unknown>) => void) => {
    const d = JSON.parse(writeMap(done(), 'House map')) as Record<string, unknown>
    change(d)
    const read = readMap(JSON.stringify(d))
    return read.ok ? [] : read.problems.map((p) => `${p.path} ${p.rule}`)
  }
  type Rows = Record<string, unknown>[]
  const bad: [string, (d: Record<string, unknown>) => void, string][] = [
    ['a gesture nobody knows', (d) => void ((d.controls as Rows)[2]!.gesture = 'whistle'), '/controls/2/gesture enum'],
    [
      'a row in a mode that is not there',
      (d) => void ((d.controls as Rows)[1]!.mode = 'nowhere'),
      '/controls/1/mode reference',
    ],
    ['a row that leads to none', (d) => void ((d.controls as Rows)[1]!.to = 'nowhere'), '/controls/1/to reference'],
    ['an input of nothing', (d) => void ((d.controls as Rows)[0]!.input = 'gone'), '/controls/0/input reference'],
    [
      'a second button of nothing',
      (d) => void ((d.controls as Rows)[0]!.other = 'gone'),
      '/controls/0/other reference',
    ],
    ['a mode over none', (d) => void ((d.modes as Rows)[0]!.on = 'gone'), '/modes/0/on reference'],
    ['a time-out to none', (d) => void ((d.modes as Rows)[0]!.leads = 'gone'), '/modes/0/leads reference'],
    ['an id twice', (d) => void (d.controls as Rows).push((d.controls as Rows)[0]!), 'uniqueId'],
    [
      'ten thousand rows',
      (d) =>
        void (d.controls = Array.from({ length: 10_000 }, (_, i) => ({ ...(d.controls as Rows)[0]!, id: `r${i}x` }))),
      '/controls maxItems',
    ],
    ['another format', (d) => void (d.format = 'other'), '/format format'],
    ['another version', (d) => void (d.version = 9), '/version const'],
    ['a word more', (d) => void (d.extra = 1), 'additionalProperties'],
    ['no name', (d) => void (d.name = ''), '/name minLength'],
  ]
  test.each(bad)('%s is refused by its place and its rule', (_what, change, says) => {
    const problems = file(change)
    expect(problems.length).toBeGreaterThan(0)
    expect(problems.length).toBeLessThanOrEqual(40)
    expect(problems.some((p) => p.includes(says.split(' ').at(-1)!) && p.includes(says.split(' ')[0]!))).toBe(true)
  })
  test('an id that is used twice is told with both places', () => {
    const doc = JSON.parse(writeMap(done(), 'Twice')) as { controls: { id: string }[] }
    doc.controls.splice(2, 0, doc.controls[0]!)
    const r = readMap(JSON.stringify(doc))
    expect(r.ok ? [] : r.problems).toEqual([
      {
        ...{ path: '/controls/2/id', rule: 'uniqueId', got: doc.controls[0]!.id },
        message: 'the id is already used at /controls/0',
      },
    ])
  })
  test('what is no map at all is refused as what it is', () => {
    const said = (text: string) => {
      const r = readMap(text)
      return r.ok ? 'read' : r.problems[0]!.rule
    }
    expect(said('')).toBe('json')
    expect(said('[]')).toBe('type')
    expect(said('null')).toBe('type')
    expect(said('['.repeat(200))).toBe('depth')
    expect(said(' '.repeat(5e6))).toBe('maxLength')
    expect(said(JSON.stringify({ format: MAP_FORMAT }))).not.toBe('read')
  })
})
