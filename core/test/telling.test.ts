import { describe, expect, test } from '@jest/globals'
import { piecesOf, proceduresOf } from '@nubrin/core/access'
import { gestureText, secondsInWords } from '@nubrin/core/controls'
import { fact, stated } from '@nubrin/core/facts'
import { buildHandoff } from '@nubrin/core/handoff'
import { readReadings } from '@nubrin/core/import'
import { loadsOf } from '@nubrin/core/power'
import { judge, proposeTests, standing } from '@nubrin/core/proof'
import { asCopy, type Beat, type Commission, ORDERS, type Saber } from '@nubrin/core/record'
import {
  cautionsOf,
  chaptersOf,
  compose,
  cueTimes,
  guessSeconds,
  markdownOf,
  rehearse,
  spokenSeconds,
  stamp,
  topicsOf,
  troubleText,
  uncovered,
  webVttOf,
} from '@nubrin/core/script'
import { proposePacking } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { demo, done, TODAY } from './samples'

describe('controls', () => {
  test('gestures in words say the configured time and admit an unknown one', () => {
    const s = done()
    expect(gestureText(MAKER, s, s.controls.at(-1)!)).toBe('hold the front button for two seconds')
    const chord = { ...s.controls.at(-1)!, gesture: 'chord' as const, other: s.inputs[0]!.id }
    expect(gestureText(MAKER, s, chord)).toMatch(/^hold the front button and the .* together for two seconds$/)
    const { hold: _none, ...short } = chord
    expect(gestureText(MAKER, s, short)).toMatch(/^press the front button and the .* together$/)
    expect(gestureText(MAKER, s, { ...s.controls.at(-1)!, hold: fact(null, 's') })).toContain('a time not recorded')
    expect(gestureText(MAKER, s, { ...s.controls.at(-1)!, hold: fact(2, 's', 'recalled') })).toContain(
      'about two seconds',
    )
  })
})

describe('spoken times', () => {
  test.each([
    ['hold it for two seconds', [2]],
    ['half a second, then one and a half seconds', [0.5, 1.5]],
    ['a 3-second hold, or 1.5 s', [3, 1.5]],
    ['for as long as it is held, as is', []],
  ])('%s', (text, seconds) => {
    expect(spokenSeconds(text as string)).toEqual(seconds)
  })
  test('what is put into words is heard again', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100 }), (n) =>
        expect(spokenSeconds(`for ${secondsInWords(MAKER, n / 10)}`)).toEqual([n / 10]),
      ),
    )
  })
})

describe('the script', () => {
  test.each(ORDERS)('composed %s, it covers everything and can be carried out', (order) => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    s.beats = compose(c, s, order)
    expect(uncovered(c, s)).toEqual([])
    expect(rehearse(MAKER, s).troubles.map(troubleText)).toEqual([])
    const at = (key: string) => s.beats.findIndex((b) => b.covers.includes(key))
    expect(at('task:powerOn')).toBeLessThan(at('task:powerOff'))
    expect(at('control:rw-c8')).toBeLessThan(at('task:bladeOut'))
  })
  test('composing again keeps edited and own beats, and is otherwise the same', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    s.beats[3] = { ...s.beats[3]!, say: 'In my words.', by: 'edited' }
    s.beats.splice(10, 0, { id: 'mine', say: 'One more thing.', seconds: 4, covers: [], by: 'own' })
    const again = compose(c, s)
    expect(again.map((b) => b.id)).toEqual(s.beats.map((b) => b.id))
    expect(again[3]!.say).toBe('In my words.')
    // Nothing follows the farewell.
    s.beats.push({ id: 'late', say: 'And another.', seconds: 4, covers: [], by: 'own' })
    expect(
      compose(c, s)
        .map((b) => b.id)
        .slice(-2),
    ).toEqual(['late', 'rw-farewell'])
  })
  test('what nobody has said anything of is told as it is planned, and nothing of it is missed', () => {
    const c = demo('crosswind')
    const s = c.sabers[0]!
    s.beats = compose(c, s)
    expect(s.beats.some((b) => b.say.includes('not recorded yet'))).toBe(false)
    expect(
      uncovered(c, s)
        .map((t) => t.key)
        .filter((k) => k.startsWith('task:')),
    ).toEqual([])
  })
  test('a removed beat is missed by name', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    for (const t of topicsOf(c, s)) {
      const less = { ...s, beats: s.beats.filter((b) => !b.covers.includes(t.key)) }
      expect(uncovered(c, less).map((u) => u.key)).toContain(t.key)
    }
  })
  test('rehearsal finds the wrong hold, the missing power, the lit end and the vanished control', () => {
    const troubles = (run: (s: ReturnType<typeof done>) => void) => {
      const s = done()
      run(s)
      return rehearse(MAKER, s).troubles.map((t) => t.code)
    }
    const beat = (s: ReturnType<typeof done>, key: string) => s.beats.find((b) => b.covers.includes(key))!
    expect(troubles(() => undefined)).toEqual([])
    expect(troubles((s) => void (beat(s, 'control:rw-c8').say = 'Hold it for one second.'))).toContain('holdDiffers')
    expect(troubles((s) => void (s.beats = s.beats.filter((b) => !b.covers.includes('task:powerOn'))))).toContain(
      'noPower',
    )
    expect(troubles((s) => void (s.controls = s.controls.filter((r) => r.id !== 'rw-c5')))).toContain('gone')
    expect(
      troubles(
        (s) => void (s.beats = s.beats.slice(0, s.beats.findIndex((b) => b.covers.includes('control:rw-c5')) + 1)),
      ),
    ).toContain('endsLit')
    expect(troubles((s) => void (s.beats = s.beats.filter((b) => !b.covers.includes('control:rw-c1'))))).toContain(
      'wrongState',
    )
  })
  test('WebVTT has growing times and harmless text; a take gives its own times', () => {
    const s = done()
    s.beats[0]!.say = 'a --> b\n\n<c> & d'
    const vtt = webVttOf(MAKER, s)
    expect(vtt.startsWith('WEBVTT\n\n1\n00:00:00.000 --> ')).toBe(true)
    expect(vtt.split('\n').filter((l) => l.includes('-->'))).toHaveLength(s.beats.length)
    const take = {
      id: 't1',
      at: '2026-11-24T10:00:00Z',
      marks: s.beats.slice(0, 3).map((b, i) => ({ beat: b.id, atMs: i * 4000 })),
    }
    take.marks.push({ beat: s.beats[1]!.id, atMs: 6000 })
    expect(cueTimes(MAKER, s, take).map((q) => q.startMs)).toEqual([0, 6000, 8000])
    expect(chaptersOf(MAKER, s, take).split('\n')[2]).toMatch(/^00:00:08 /)
    expect(stamp(3_723_004)).toBe('01:02:03.004')
    expect(markdownOf(MAKER, 'T', s)).toContain('## 2. ')
    expect(guessSeconds('one two three four five six seven eight nine ten eleven twelve')).toBe(7)
  })
})

describe('composing again', () => {
  const edit = (c: Commission) => {
    const s = c.sabers[0]!
    for (const k of [1, 4, 7]) Object.assign(s.beats[k]!, { say: `in my own words ${k}`, by: 'edited' })
    s.beats.push({ ...s.beats[2]!, id: 'mine', say: 'all my own', by: 'own', covers: [] })
    return s
  }
  const edited = (list: readonly Beat[]) =>
    list
      .filter((b) => b.by !== 'composed')
      .map((b) => b.say)
      .sort()
  test('keeps what the maker has edited, in this order and in a copy of it under other ids', () => {
    const c = demo('reed-warden')
    const s = edit(c)
    const before = edited(s.beats)
    expect(before).toHaveLength(4)
    expect(edited(compose(c, s))).toEqual(before)
    let n = 0
    const copy = asCopy(c, () => `copy-${n++}`)
    expect(edited(copy.sabers[0]!.beats)).toEqual(before)
    const again = compose(copy, copy.sabers[0]!)
    expect(edited(again)).toEqual(before)
    // It stands for its topic: nothing is told twice.
    expect(again).toHaveLength(compose(c, s).length)
    expect(uncovered(copy, { ...copy.sabers[0]!, beats: again })).toEqual(uncovered(c, { ...s, beats: compose(c, s) }))
  })
  test('an edited beat of several topics stands for all of them; one whose topic is gone stands where it stood', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    const [a, b] = [s.beats[3]!, s.beats[5]!]
    s.beats = [{ ...a, by: 'edited', say: 'both at once', covers: [...a.covers, ...b.covers] }]
    const list = compose(c, s)
    expect(list.filter((x) => x.covers.some((k) => [...a.covers, ...b.covers].includes(k)))).toHaveLength(1)
    s.beats = [{ ...a, by: 'edited', say: 'of something gone', covers: ['preset:gone'] }]
    expect(compose(c, s)[0]!.say).toBe('of something gone')
    s.beats = [list[2]!, s.beats[0]!]
    expect(compose(c, s).findIndex((x) => x.say === 'of something gone')).toBe(3)
  })
  test('a wish about a thing of one saber is told in its film only', () => {
    const c = demo('ember-fair')
    const [one, other] = c.sabers as [Saber, Saber]
    const about = (where: string | undefined) => {
      c.requests = [{ id: 'w', text: 'wish', status: 'met', ...(where ? { where } : {}) } as never]
      return [one, other].map((s) => topicsOf(c, s).some((t) => t.key === 'request:w'))
    }
    expect(about(`section:${one.hilt.sections[0]!.id}`)).toEqual([true, false])
    expect(about(`section:${other.hilt.sections[0]!.id}`)).toEqual([false, true])
    expect(about(undefined)).toEqual([true, true])
  })
})

describe('access and proof', () => {
  test('pieces follow from what is built', () => {
    const s = done()
    const pieces = () => piecesOf(s, proceduresOf(MAKER, s)).map((p) => p.task)
    expect(pieces()).toEqual([
      ...['powerOn', 'powerOff', 'bladeIn', 'bladeOut', 'open', 'cellOut', 'card', 'cellIn', 'close', 'charge'],
    ])
    s.parts = s.parts.filter((p) => !['killSwitch', 'card'].includes(p.kind))
    s.cutPower = 'none'
    expect(pieces()).not.toContain('powerOff')
    expect(pieces()).not.toContain('card')
  })
  test('a cell that stays in the hilt is told neither its poles nor which sort to buy', () => {
    const s = done()
    const cell = s.parts.find((p) => p.kind === 'cell')!
    Object.assign(cell, { landmark: 'dot to the front', protected: true, removable: true })
    const text = () => cautionsOf(MAKER, s).find((c) => c.key === 'cell')!.text
    expect(text()).toContain('Polarity: plus pole towards the emitter; dot to the front.')
    expect(text()).toContain('Use a protected cell')
    cell.removable = false
    expect(text()).not.toMatch(/Polarity|protected cell/)
    expect(text()).toContain('Lithium-ion can burn.')
  })
  test('limits, own verdicts, and a fix that calls for the test again', () => {
    expect(judge({ min: 3, max: 4 }, 3.5, true)).toBe(true)
    expect(judge({ min: 3 }, 2.9, true)).toBe(false)
    expect(judge({ min: 3 }, undefined, true)).toBe(false)
    expect(judge({}, undefined, true)).toBe(true)
    expect(judge({}, Number.NaN, true)).toBe(false)
    const s = demo('ember-fair').sabers[2]!
    expect(s.tests.map((t) => standing(s, t))).toEqual(['retest', 'fail'])
    s.tests[0]!.readings.push({ id: 'r2', at: '2026-11-23T09:00:00Z', by: 'Osk', value: 0.4, pass: true })
    expect(standing(s, s.tests[0]!)).toBe('pass')
    // A fix of the reading's own day may have come after it, unless the test had failed before on that day.
    s.repairs.push({ id: 'late', on: '2026-11-23', cause: 'a wire', fix: 'soldered', retest: [s.tests[0]!.id] })
    expect(standing(s, s.tests[0]!)).toBe('retest')
    s.tests[0]!.readings.push({ id: 'r0', at: '2026-11-23T08:00:00Z', by: 'Osk', value: 9, pass: false })
    expect(standing(s, s.tests[0]!)).toBe('pass')
    s.tests[0]!.readings.push({ id: 'r3', at: '2026-11-24T08:00:00Z', by: 'Osk', value: 0.4, pass: true })
    s.tests[0]!.readings.splice(1, 2)
    expect(standing(s, s.tests[0]!)).toBe('pass')
  })
  test('each repair proposes its open-and-close test once', () => {
    const c = demo('ember-fair')
    const keys = proposeTests(MAKER, c.sabers[2]!).map((p) => p.key)
    expect(keys).toContain('fix-ef3-x1')
    expect(new Set(keys).size).toBe(keys.length)
  })
})

describe('the handoff', () => {
  const text = (id: string) => JSON.stringify(buildHandoff(demo(id), 'Shop', '2026-11-24'))
  test('unknown prints as not recorded, recalled as about', () => {
    expect(text('first-lantern')).toContain('"Length of the hilt","value":"not recorded"')
    const c = demo('cinder-oath')
    c.sabers[0]!.blades[0]!.length = fact(810, 'mm', 'recalled')
    expect(JSON.stringify(buildHandoff(c, 'Shop', '2026-11-24'))).toContain('about 810 mm')
  })
  test('every wish, arrival, screw, control, preset, test and caution is in it', () => {
    const c = demo('reed-warden')
    const all = text('reed-warden')
    for (const x of [
      ...c.requests.map((r) => r.text),
      ...c.arrivals.map((a) => a.what),
      ...c.sabers[0]!.hilt.fasteners.map((f) => f.name),
      ...c.sabers[0]!.presets.map((p) => p.name),
      ...c.sabers[0]!.tests.map((t) => t.what),
      'Flashing light',
      'local',
    ])
      expect(all.toLowerCase()).toContain(JSON.stringify(x).slice(1, -1).toLowerCase())
  })
  test('an order of three names the saber of each chapter', () => {
    const doc = buildHandoff(demo('ember-fair'), 'Shop', '2026-11-24')
    expect(doc.chapters.filter((x) => x.title.startsWith('Old Bellwether:')).length).toBeGreaterThan(4)
    expect(new Set(doc.chapters.map((x) => x.id)).size).toBe(doc.chapters.length)
  })
  test('the packing list is derived once', () => {
    const c = demo('crosswind')
    const list = proposePacking(MAKER, c)
    expect(list.map((p) => p.what)).toEqual(
      expect.arrayContaining(['The saber', 'String blade (yours, coming back)', 'Blade plug 1 in, resin']),
    )
    // What is not sent is named all the same: the client has it, or has to get it.
    const cell = list.find((p) => p.what === 'Cell 21700, protected')!
    expect(cell.supply).toBe('toBuy')
    expect(list.filter((p) => !p.supply)).not.toContain(cell)
    c.packing = list.map((p, i) => ({ id: `g${i}x`, ...p, packed: false }))
    expect(proposePacking(MAKER, c)).toEqual([])
  })
})

describe('readings, many at once', () => {
  const tests = [
    { id: 'a', key: 'cell-volts', what: 'Cell voltage at rest', unit: 'V', min: 3, max: 4.25 },
    { id: 'b', key: 'sleep-current', what: 'Current when asleep', unit: 'mA', min: 0 },
    { id: 'c', key: 'row-1', what: 'Control: ignite' },
    { id: 'd', key: 'fix-1', what: 'Open and close after the repair', unit: 'cycles', min: 10 },
    { id: 'e', key: 'row-2', what: 'Control: retract' },
  ]
  test.each([
    ['Cell voltage at rest; 4.12 V; meter 2', { test: 'a', value: 4.12, with: 'meter 2' }],
    ['cell-volts;4,12', { test: 'a', value: 4.12 }],
    ['current when\t1200 µA', { test: 'b', value: 1.2 }],
    ['Open and close, 20', { test: 'd', value: 20 }],
    ['Control: ignite; pass', { test: 'c', pass: true }],
    ['row-2; fails; by hand', { test: 'e', pass: false, with: 'by hand' }],
  ])('%j', (line, taken) => {
    expect(readReadings(`\n${line}\r\n`, tests)).toEqual({ taken: [taken], problems: [] })
  })
  test.each([
    ['Control; pass', 'test', 'is the beginning of 2 tests'],
    ['nothing; 4', 'test', 'is no test of this saber'],
    ['; 4', 'test', 'is no test of this saber'],
    ['cell-volts; 4 A', 'number', 'is no value in V'],
    ['cell-volts', 'number', 'is no value in V'],
    ['fix-1; many', 'number', 'is no value in cycles'],
    ['row-1; 4', 'verdict', 'is neither pass nor fail'],
  ])('%j is named by its line', (line, rule, message) => {
    const r = readReadings(`cell-volts; 4\n${line}`, tests)
    expect(r.taken).toEqual([{ test: 'a', value: 4 }])
    expect(r.problems).toMatchObject([{ row: 2, path: '/2', rule, message }])
  })
  test('a whole file is no list of readings', () => {
    const r = readReadings('cell-volts; 4\n'.repeat(501), tests)
    expect(r).toMatchObject({ taken: [], problems: [{ rule: 'maxItems' }] })
  })
})

describe('tests follow from what is built, set up and shipped beside it', () => {
  const keys = (change: (s: Saber) => void) => {
    const c = demo('crosswind')
    const before = new Set(proposeTests(MAKER, c.sabers[0]!).map((p) => p.key))
    change(c.sabers[0]!)
    return proposeTests(MAKER, c.sabers[0]!).filter((p) => !before.has(p.key))
  }
  const spec = {}
  test.each<[string, (s: Saber) => void, string[]]>([
    [
      'a port',
      (s) => void s.parts.push({ id: 'xp', kind: 'chargePort', name: 'port', specs: spec }),
      ['port-xp', 'errand-port-xp'],
    ],
    [
      'a card',
      (s) => void s.parts.push({ id: 'xc', kind: 'card', name: 'card', specs: spec }),
      ['card-xc', 'errand-card-xc'],
    ],
    [
      'a light',
      (s) =>
        void s.zones.push({
          ...{ id: 'xz', name: 'accent', kind: 'accent', leds: fact(2, '×') },
          ...{ channelCurrent: fact(5, 'mA'), idleCurrent: fact(1, 'mA') },
        }),
      ['zone-xz'],
    ],
    [
      'a sensitivity, with the blade and with a plug where there are both',
      (s) => {
        s.settings.sensitivities = [{ id: 'xs', sense: 'swing', value: stated('5'), triedWith: [] }]
        s.blades.push({ ...structuredClone(s.blades[0]!), id: 'xplug', kind: 'plug', use: 'ship' })
      },
      ['fit-xplug', 'sense-xs-plug', 'sense-xs-blade'],
    ],
    ['a link', (s) => void (s.settings.link = { name: 'hilt-7' }), ['link']],
    [
      'a spare that ships; one that the client buys is his',
      (s) => {
        const item = { what: 'key', quantity: 1 } as const
        s.items = [
          { id: 'x1', ...item, role: 'spare', supplied: 'shop' },
          { id: 'x2', ...item, role: 'spare', supplied: 'notSupplied' },
          { id: 'x3', ...item, role: 'accessory', supplied: 'shop' },
        ]
      },
      ['item-x1'],
    ],
    [
      'effects of a preset',
      (s) => {
        const { font: _f, ...silent } = s.presets[0]!
        const effects = { clash: { colour: stated('#ffffff', 'configured') } }
        s.presets.push({ ...silent, id: 'mute', effects }, { ...silent, id: 'plain' })
        s.controls = s.controls.filter((r) => r.does !== 'deflect' && r.does !== 'lock')
      },
      ['preset-mute', 'effects-mute', 'preset-plain'],
    ],
  ])('%s', (_what, change, wanted) => {
    expect(keys(change).map((p) => p.key)).toEqual(expect.arrayContaining(wanted))
    expect(keys(change).length).toBe(wanted.length)
  })
  test('the peak is that of the look that draws most; the last pixel is held to what green and blue dies need', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    const by = new Map(proposeTests(MAKER, s).map((p) => [p.key, p]))
    const most = Math.max(...loadsOf(s).flatMap((l) => (l.current.ok ? [l.current.value] : [])))
    const peak = by.get('peak-current')!
    expect(peak.unit).toBe('A')
    // In the middle of its band stands what Power computes.
    expect((peak.min! + peak.max!) / 2).toBeCloseTo(most, 1)
    expect(by.get(`far-led-${s.blades[0]!.id}`)).toMatchObject({ unit: 'V', min: 3.3, setup: 'blade' })
    expect(new Set(proposeTests(MAKER, s).map((p) => p.key)).size).toBe(proposeTests(MAKER, s).length)
  })
  test('what cannot be tried here is said so, and stands against nothing', () => {
    const t = { id: 't', key: 'k', what: 'w', readings: [], notPossible: 'no long blade here' }
    const waived = { who: 'Maren', on: TODAY, why: 'the client asked for it' }
    for (const readings of [[], [{ id: 'r', at: `${TODAY}T10:00:00Z`, by: 'Osk', pass: false }]])
      expect(standing(demo('reed-warden').sabers[0]!, { ...t, readings, waived })).toBe('waived')
    const s = demo('reed-warden').sabers[0]!
    expect(standing(s, t)).toBe('notPossible')
    expect(standing(s, { ...t, readings: [{ id: 'r', at: `${TODAY}T10:00:00Z`, by: 'Osk', pass: false }] })).toBe(
      'fail',
    )
  })
})

describe('a blade is told so that another one can be ordered like it', () => {
  const light = (change: (b: Saber['blades'][number]) => void) => {
    const c = demo('reed-warden')
    change(c.sabers[0]!.blades[0]!)
    const page = JSON.stringify(buildHandoff(c, 'Shop', TODAY).chapters.find((x) => x.id === 'blade'))
    return /"920 mm","([^"]*)"/.exec(page)?.[1]
  }
  test('pixels by density and strips, with what the board is set to; a string by its groups; a plug by nothing', () => {
    expect(light(() => undefined)).toBe('144 LEDs a metre, 2 strips')
    expect(light((b) => void (b.configured = fact(250, '×', 'configured')))).toBe(
      '144 LEDs a metre, 2 strips, set to 250 pixels',
    )
    expect(light((b) => void (b.strips = fact(null, '×')))).toBe('144 LEDs a metre, not recorded strips')
    expect(
      light((b) => {
        Object.assign(b, { kind: 'string', groups: fact(6, '×'), ledsPerGroup: fact(16, '×') })
        b.ledsTotal = fact(96, '×', 'client')
      }),
    ).toBe('6 groups of 16, about 96 in all')
    expect(light((b) => void (b.kind = 'plug'))).toBe('–')
  })
})
