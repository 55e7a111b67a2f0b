import { describe, expect, test } from '@jest/globals'
import { type Calculated, fact } from '@nubrin/core/facts'
import * as power from '@nubrin/core/power'
import type { FittedPart, Saber } from '@nubrin/core/record'
import { layOut, socketSpan, spanOf } from '@nubrin/core/room'
import { done, tube } from './samples'

const val = (f: Calculated) => (f.ok ? f.value : Number.NaN)
const needs = (f: Calculated) => (f.ok ? [] : f.needs.map((n) => (n.ref ? `${n.name} @${n.ref}` : n.name)))
/** A figure as it opens: what, by which formula, from where; then each input, ~ where it is only about, with its place. */
const opened = (c: Calculated) =>
  c.ok
    ? [
        `${Number(c.value.toPrecision(4))} ${c.unit} | ${c.formula} | ${c.basis}${c.about ? ' | about' : ''}`,
        ...c.inputs.map((i) => `${i.name} = ${i.text}${i.about ? ' ~' : ''}${i.ref ? ` @${i.ref}` : ''}`),
      ]
    : ['not calculable', ...needs(c)]
const withLed = (kind: FittedPart['kind']) => {
  const s = done()
  const specs = { forwardVolts: fact(2, 'V'), channelCurrent: fact(20, 'mA') }
  s.parts.push({ id: 'led', kind, name: 'a lamp', specs })
  return s
}
const LIGHT = 'Σ over pixels: idle + Σ channel max × level'
const STANDBY = 'capacity ÷ (Σ current + self-discharge) | standby: what stays connected, and the cell itself'
const MONTH = 'self-discharge = 3 % a month, usual at room temperature'
const CAPACITY = 'capacity = 3000 mAh @part:rw-p2'

describe('every figure of power opens to its inputs, formula and source', () => {
  const s = done()
  const b = s.blades[0]!
  const string = { ...b, kind: 'string' as const, groups: fact(6, '×'), groupCurrent: fact(300, 'mA') }
  test.each<[string, Calculated, string[]]>([
    [
      'pixels',
      power.pixels(s, b),
      [
        '250 × | ⌊(tube − seat) × density⌋ × strips | lit length times density',
        'length of blade, 92 cm = 920 mm @blade:rw-b1',
        'LED density of blade, 92 cm = 144 1/m @blade:rw-b1',
        'strips in blade, 92 cm = 2 @blade:rw-b1',
        'socket depth = 46 ± 0.2 mm @socket:rw-k1',
      ],
    ],
    [
      'a blade in one colour',
      power.bladeCurrent(s, b, '#ff0000'),
      [
        `3.15 A | n × (idle + Σ channel × level) ÷ 1000 | ${LIGHT}`,
        'pixels of blade, 92 cm = 250 ×',
        'current per channel = 12 mA @blade:rw-b1',
        'idle current per pixel = 0.6 mA @blade:rw-b1',
        'colour = #ff0000',
      ],
    ],
    [
      'a string blade',
      power.bladeCurrent(s, string, '#ff0000'),
      [
        '1.8 A | groups × current of a group ÷ 1000 | groups in parallel',
        'groups of blade, 92 cm = 6 @blade:rw-b1',
        'current of a group of blade, 92 cm = 300 mA @blade:rw-b1',
      ],
    ],
    [
      'another zone',
      power.zoneCurrent(s.zones.find((z) => !z.blade)!, '#ffffff'),
      [
        `0.0546 A | n × (idle + Σ channel × level) ÷ 1000 | ${LIGHT}`,
        'LEDs in crystal = 1 @zone:rw-z2',
        'channel current of crystal = 18 mA @zone:rw-z2',
        'idle current of crystal = 0.6 mA @zone:rw-z2',
      ],
    ],
    [
      'all that is lit',
      power.litCurrent(withLed('inHiltLed'), '#ffffff'),
      [
        // 250 × 36.6 mA, 54.6 mA, 34 and 12 mA, three dies of 20 mA.
        `9.311 A | Σ blades + Σ zones + boards | ${LIGHT}`,
        'blade, 92 cm = 9.15 A',
        'crystal = 0.0546 A',
        'idle current of Sound board, medium = 34 mA @part:rw-p3',
        'idle current of Display 0.69 in = 12 mA @part:rw-p5',
        'current of a lamp = 20 mA @part:led',
      ],
    ],
    [
      'lost in the wire',
      power.wireDrop(s),
      [
        '0.1171 V | I × 2ρL/A | ρ(Cu) = 1.724e-8 Ω·m; AWG by ASTM B258',
        'wire gauge = 20 @part:rw-p11',
        'wire length, one way = 190 mm @part:rw-p11',
        'current = 9.251 A',
      ],
    ],
    [
      'the last pixel',
      power.farLedVolts(s, b),
      [
        '3.053 V | OCV(half) − I·R(cell) − I·R(wire) − I/strips × R(strip) × L ÷ 2 | Ohm’s law; evenly spread load',
        'nominal voltage = 3.6 V @part:rw-p2',
        'internal resistance = 40 mΩ @part:rw-p2',
        'current of the whole saber = 9.251 A',
        'lost in the wire = 0.1171 V',
        'current of blade, 92 cm = 9.15 A',
        'strips in blade, 92 cm = 2 @blade:rw-b1',
        'resistance of a metre of strip in blade, 92 cm = 100 mΩ @blade:rw-b1',
        'length of blade, 92 cm = 920 mm @blade:rw-b1',
        'socket depth = 46 ± 0.2 mm @socket:rw-k1',
      ],
    ],
    [
      'charging',
      power.chargeTime(s),
      [
        '3.9 h | 1.3 × capacity ÷ current | constant current, then constant voltage',
        CAPACITY,
        'charge current = 1 A @part:rw-p13',
        "the cell's charge current = 1.5 A @part:rw-p2",
      ],
    ],
    [
      'energy',
      power.wattHours(s),
      [
        '10.8 Wh | Σ V × Ah | Wh = V·Ah',
        'capacity of Cell 18650, protected, 15 A = 3000 mAh @part:rw-p2',
        'nominal voltage of Cell 18650, protected, 15 A = 3.6 V @part:rw-p2',
      ],
    ],
    [
      'left on',
      power.standby(s, 'on'),
      [
        // 3000 ÷ (34 + 12 + 250 × 0.6 + 0.125)
        `15.3 h | ${STANDBY}`,
        CAPACITY,
        'idle current of Sound board, medium = 34 mA @part:rw-p3',
        'idle current of Display 0.69 in = 12 mA @part:rw-p5',
        'pixels of blade, 92 cm = 250 ×',
        'idle current of blade, 92 cm = 0.6 mA @blade:rw-b1',
        MONTH,
      ],
    ],
    [
      'asleep',
      power.standby(s, 'asleep'),
      [
        `7407 h | ${STANDBY} | about`,
        CAPACITY,
        'sleep current of Sound board, medium = 0.28 mA @part:rw-p3',
        'blade, 92 cm, asleep = taken as switched off by the board ~',
        MONTH,
      ],
    ],
    [
      'in deep sleep',
      power.standby(s, 'deepSleep'),
      [
        `21430 h | ${STANDBY} | about`,
        CAPACITY,
        'deep-sleep current of Sound board, medium = 0.01 mA @part:rw-p3',
        'blade, 92 cm, asleep = taken as switched off by the board ~',
        MONTH,
      ],
    ],
    ['cut', power.standby(s, 'cut'), [`24000 h | ${STANDBY} | about`, CAPACITY, `${MONTH} ~`]],
    ['cell out', power.standby(s, 'cellOut'), [`24000 h | ${STANDBY} | about`, CAPACITY, `${MONTH} ~`]],
    [
      'the mean',
      power.meanCurrent(s),
      [
        '2.483 A | share × ((lit − idle) × brightness + speaker) + idle | use profile of this saber',
        'share of time lit = 60 %',
        'mean brightness = 80 %',
        'current lit = 5.025 A',
        'board, idle = 34 mA @part:rw-p3',
        'speaker, mean = 0.33 W',
      ],
    ],
    [
      'runtime',
      power.runtime(s).minutes,
      [
        '70.69 min | ∫ dSoC until OCV(soc) − I·R = cut-off | discharge with internal resistance, steps of 0.5 %',
        CAPACITY,
        'internal resistance = 40 mΩ @part:rw-p2',
        'cut-off voltage = 3 V @part:rw-p2',
        'nominal voltage = 3.6 V @part:rw-p2',
        'current lit = 5.025 A',
        'mean current = 2.483 A',
      ],
    ],
    [
      'the speaker',
      power.speakerWatts(s, s.use.volume),
      [
        '0.98 W | (Vrms × volume)² ÷ Z | volume is amplitude, so power goes with its square',
        'volume = 100 %',
        'impedance = 8 Ω @part:rw-p1',
        "board's highest output = 2.8 V @part:rw-p3",
      ],
    ],
    [
      'the highest safe volume',
      power.safeVolume(s),
      [
        '100 % | min(100, √(P·Z) ÷ Vrms × 100), rounded down | P = Vrms²/Z',
        'impedance = 8 Ω @part:rw-p1',
        'rated power = 2 W @part:rw-p1',
        "board's highest output = 2.8 V @part:rw-p3",
      ],
    ],
    [
      'a resistor',
      power.ledResistors(withLed('accentLed'))[0]!.ohms,
      [
        '110 Ω | (V full − Vf) ÷ I, next higher E24 | Ohm’s law; E24 by IEC 60063',
        'full voltage = 4.2 V @part:rw-p2',
        'cut-off voltage = 3 V @part:rw-p2',
        'forward voltage = 2 V @part:led',
        'current = 20 mA @part:led',
      ],
    ],
  ])('%s', (_what, figure, expected) => expect(opened(figure)).toEqual(expected))
  test('an empty bench is asked for each thing by name', () => {
    const e = tube([[100, 36, 30]])
    const cell = ['a cell', 'capacity']
    expect(needs(power.litCurrent(e, '#ffffff'))).toEqual(['a blade or a light'])
    expect(needs(power.standby(e, 'on'))).toEqual([...cell, 'a sound board'])
    expect(needs(power.standby(e, 'deepSleep'))).toEqual([...cell, 'a sound board'])
    expect(needs(power.standby(e, 'cellOut'))).toEqual(cell)
    expect(needs(power.chargeTime(e))).toEqual(['a cell', 'a charge port or charger', 'capacity', 'charge current'])
    expect(needs(power.wattHours(e))).toEqual(['a cell'])
    expect(needs(power.wireDrop(e))).toEqual([
      'the wire from cell to connector',
      'wire gauge',
      'the wire length',
      'a blade or a light',
    ])
    expect(needs(power.meanCurrent(e))).toContain('a preset for the colour')
    expect(needs(power.runtime(e).minutes)).toEqual(
      expect.arrayContaining(['a cell', 'a preset for the colour', 'internal resistance', 'cut-off voltage']),
    )
    expect(needs(power.speakerWatts(e, undefined))).toEqual([
      'a speaker',
      'a sound board',
      'volume',
      'impedance',
      "board's highest output",
    ])
    expect(needs(power.safeVolume(e))).toEqual([
      'a speaker',
      'a sound board',
      'impedance',
      'rated power',
      "board's highest output",
    ])
  })
})

describe('what counts as a light', () => {
  const bare = (run: (s: Saber) => void) => {
    const s = done()
    const { zones, parts } = s
    Object.assign(s, { blades: [], zones: [], parts: [] })
    run(s)
    return { s, zones, parts }
  }
  test('a zone of its own, or a module in the hilt, is enough; each draws its own current', () => {
    const z = bare((s) => void (s.zones = done().zones.filter((q) => !q.blade))).s
    expect(val(power.litCurrent(z, '#ffffff'))).toBeCloseTo(0.0546, 9)
    const led = bare((s) => void (s.parts = [withLed('inHiltLed').parts.at(-1)!])).s
    // One die at full, one at half, one dark: 20 mA × 1.5 in all.
    expect(val(power.litCurrent(led, '#ff8000'))).toBeCloseTo(0.02 * (1 + 128 / 255), 9)
    const accent = bare((s) => void (s.parts = [withLed('accentLed').parts.at(-1)!])).s
    expect(needs(power.litCurrent(accent, '#ffffff'))).toEqual(['a blade or a light'])
  })
  test('a board is asked for its idle current, a display without one draws nothing that is known', () => {
    const s = done()
    delete s.parts.find((p) => p.kind === 'display')!.specs.idleCurrent
    expect(val(power.litCurrent(s, '#000000'))).toBeCloseTo(0.25 * 0.6 + 0.0006 + 0.034, 9)
    delete s.parts.find((p) => p.kind === 'board')!.specs.idleCurrent
    expect(needs(power.litCurrent(s, '#000000'))).toEqual(['idle current of Sound board, medium @part:rw-p3'])
  })
  test('left on, a string blade draws nothing until it is lit', () => {
    const s = done()
    Object.assign(s.blades[0]!, { kind: 'string' })
    s.blades.length = 1
    expect(opened(power.standby(s, 'on')).join()).not.toContain('pixels')
  })
  test('without a length of its own the wire runs from the cell to the socket', () => {
    const s = done()
    delete s.parts.find((p) => p.kind === 'wire' && p.carries !== 'signal')!.specs.length
    const cell = spanOf(s.parts.find((p) => p.kind === 'cell')!)!
    const seat = socketSpan(s, s.hilt.sockets[0]!.id, layOut(s.hilt))!
    const mm = seat.x0 - cell.x0
    const drop = power.wireDrop(s)
    expect(opened(drop)).toContain(`wire run, cell to socket = ${Math.round(mm)} mm ~`)
    expect(val(drop)).toBeCloseTo(val(power.litCurrent(s, '#ffffff')) * power.wireOhms(20, 2 * mm), 9)
    s.parts = s.parts.filter((p) => p.kind !== 'cell')
    expect(needs(power.wireDrop(s))).toEqual(['the wire length'])
  })
  test('several cells are side by side unless one says otherwise; one alone is no row', () => {
    const s = done()
    const cell = s.parts.find((p) => p.kind === 'cell')!
    cell.wiring = 'series'
    expect(power.packOf(s)).toMatchObject({ series: 1, parallel: 1, stepDown: 1 })
    s.parts.push({ ...structuredClone(cell), id: 'b', wiring: 'parallel' })
    expect(power.packOf(s)).toMatchObject({ series: 2, parallel: 1 })
    cell.wiring = 'parallel'
    expect(power.packOf(s)).toMatchObject({ series: 1, parallel: 2, stepDown: 1 })
    expect(opened(power.standby(s, 'cut'))).toEqual([
      `24000 h | ${STANDBY} | about`,
      CAPACITY,
      'cells = 2 in parallel',
      `${MONTH} ~`,
    ])
    cell.wiring = 'series'
    expect(opened(power.standby(s, 'cut'))).toContain('converter = 5 V at 90 %: 0.77 A drawn for 1 A of light ~')
  })
  test('a board is rated where its rating is known, and not asked for it', () => {
    const s = done()
    const board = s.parts.find((p) => p.kind === 'board')!
    board.specs.contCurrent = fact(6, 'A')
    const r = power.ratings(s)
    expect(r.list.find((x) => x.ref === `part:${board.id}`)).toMatchObject({ ratedAmps: 6 })
    delete board.specs.contCurrent
    expect(power.ratings(s).list.map((x) => x.ref)).not.toContain(`part:${board.id}`)
    expect(power.ratings(s).needs.map((x) => x.ref)).not.toContain(`part:${board.id}`)
  })
})
