import { describe, expect, test } from '@jest/globals'
import { type Calculated, fact, stated } from '@nubrin/core/facts'
import { layOut, socketSpan, spanOf } from '@nubrin/core/geometry'
import * as power from '@nubrin/core/power'
import type { FittedPart, Saber } from '@nubrin/core/record'
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
  const specs = { forwardVolts: fact(2, 'V'), channelCurrent: fact(20, 'mA'), dies: fact(3, '×') }
  s.parts.push({ id: 'led', kind, name: 'a lamp', specs })
  return s
}
const LIGHT = 'Σ over pixels: idle + Σ channel max × duty; duty by sRGB'
const PIXELS = 'n × (idle + brightness × Σ channel × duty) ÷ 1000'
const SET = 'brightness, as configured = 80 %'
const STANDBY =
  'capacity to the cut-off ÷ (Σ current + self-discharge) | standby: what stays connected, and the cell itself'
const MONTH = 'self-discharge = 3 % a month, usual at room temperature'
const CUTOFF = 'cut-off voltage = 3 V @part:rw-p2'
const CAPACITY = 'capacity = 3000 mAh @part:rw-p2'

describe('every figure of power opens to its inputs, formula and source', () => {
  const s = done()
  const b = s.blades[0]!
  const string = { ...b, kind: 'string' as const, groups: fact(6, '×'), groupCurrent: fact(300, 'mA') }
  test.each<[string, () => Calculated, string[]]>([
    [
      'pixels',
      () => power.pixels(s, b),
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
      () => power.bladeCurrent(s, b, '#ff0000'),
      [
        // 250 × (0.6 + 0.8 × 12) mA
        `2.55 A | ${PIXELS} | ${LIGHT}`,
        'pixels of blade, 92 cm = 250 ×',
        'current per channel = 12 mA @blade:rw-b1',
        'idle current per pixel = 0.6 mA @blade:rw-b1',
        'colour = #ff0000',
        SET,
      ],
    ],
    [
      'a string blade',
      () => power.bladeCurrent(s, string, '#ff0000'),
      [
        '1.8 A | groups × current of a group ÷ 1000 | groups in parallel',
        'groups of blade, 92 cm = 6 @blade:rw-b1',
        'current of a group of blade, 92 cm = 300 mA @blade:rw-b1',
      ],
    ],
    [
      'another zone',
      () => power.zoneCurrent(s, s.zones.find((z) => !z.blade)!, '#ffffff'),
      [
        `0.0438 A | ${PIXELS} | ${LIGHT}`,
        'LEDs in crystal = 1 @zone:rw-z2',
        'channel current of crystal = 18 mA @zone:rw-z2',
        'idle current of crystal = 0.6 mA @zone:rw-z2',
        SET,
      ],
    ],
    [
      'all that is lit',
      () => power.litCurrent(withLed('inHiltLed'), '#ffffff'),
      [
        // 250 × 29.4 mA, 43.8 mA, 34 and 12 mA, three dies of 20 mA at 80 %.
        `7.488 A | Σ blades + Σ zones + boards | ${LIGHT}`,
        'blade, 92 cm = 7.35 A',
        'crystal = 0.0438 A',
        'idle current of Sound board, medium = 34 mA @part:rw-p3',
        'idle current of Display 0.69 in = 12 mA @part:rw-p5',
        'a lamp = 0.048 A',
      ],
    ],
    [
      'lost in the wire',
      () => power.wireDrop(s),
      [
        '0.09416 V | I × 2ρL/A | ρ(Cu) = 1.724e-8 Ω·m; AWG by ASTM B258',
        'wire gauge = 20 @part:rw-p11',
        'wire length, one way = 190 mm @part:rw-p11',
        'current = 7.44 A',
      ],
    ],
    [
      'the last pixel',
      () => power.farLedVolts(s, b),
      [
        '3.188 V | OCV(half) − I·R(cell) − I·R(wire) − I/strips × R(strip) × L ÷ 2 | Ohm’s law; evenly spread load',
        'nominal voltage = 3.6 V @part:rw-p2',
        'internal resistance = 40 mΩ @part:rw-p2',
        'current of the whole saber = 7.44 A',
        'lost in the wire = 0.09416 V',
        'current of blade, 92 cm = 7.35 A',
        'strips in blade, 92 cm = 2 @blade:rw-b1',
        'resistance of a metre of strip in blade, 92 cm = 100 mΩ @blade:rw-b1',
        'length of blade, 92 cm = 920 mm @blade:rw-b1',
        'socket depth = 46 ± 0.2 mm @socket:rw-k1',
      ],
    ],
    [
      'charging',
      () => power.chargeTime(s),
      [
        '3.9 h | 1.3 × capacity ÷ current | constant current, then constant voltage',
        CAPACITY,
        'charge current = 1 A @part:rw-p13',
        "the cell's charge current = 1.5 A @part:rw-p2",
      ],
    ],
    [
      'energy',
      () => power.wattHours(s),
      [
        '10.8 Wh | Σ V × Ah | Wh = V·Ah',
        'capacity of Cell 18650, protected, 15 A = 3000 mAh @part:rw-p2',
        'nominal voltage of Cell 18650, protected, 15 A = 3.6 V @part:rw-p2',
      ],
    ],
    [
      'left on',
      () => power.standby(s, 'on'),
      [
        // 3000 ÷ (34 + 12 + 250 × 0.6 + 0.125)
        `15.3 h | ${STANDBY}`,
        CAPACITY,
        CUTOFF,
        'idle current of Sound board, medium = 34 mA @part:rw-p3',
        'idle current of Display 0.69 in = 12 mA @part:rw-p5',
        'pixels of blade, 92 cm = 250 ×',
        'idle current of blade, 92 cm = 0.6 mA @blade:rw-b1',
        MONTH,
      ],
    ],
    [
      'asleep',
      () => power.standby(s, 'asleep'),
      [
        `7407 h | ${STANDBY} | about`,
        CAPACITY,
        CUTOFF,
        'sleep current of Sound board, medium = 0.28 mA @part:rw-p3',
        'blade, 92 cm, asleep = taken as switched off by the board ~',
        MONTH,
      ],
    ],
    [
      'in deep sleep',
      () => power.standby(s, 'deepSleep'),
      [
        `21430 h | ${STANDBY} | about`,
        CAPACITY,
        CUTOFF,
        'deep-sleep current of Sound board, medium = 0.01 mA @part:rw-p3',
        'blade, 92 cm, asleep = taken as switched off by the board ~',
        MONTH,
      ],
    ],
    ['cut', () => power.standby(s, 'cut'), [`24000 h | ${STANDBY} | about`, CAPACITY, CUTOFF, `${MONTH} ~`]],
    ['cell out', () => power.standby(s, 'cellOut'), [`24000 h | ${STANDBY} | about`, CAPACITY, CUTOFF, `${MONTH} ~`]],
    [
      'the mean',
      () => power.meanCurrent(s),
      [
        '1.881 A | share × ((lit − idle) × brightness + speaker) + idle | use profile of this saber',
        'share of time lit = 60 %',
        'current lit = 2.915 A',
        'current on and dark = 0.196 A',
        'speaker, mean = 0.33 W',
      ],
    ],
    [
      'runtime',
      () => power.runtime(s).minutes,
      [
        '94.28 min | ∫ dSoC until OCV(soc) − I·R = cut-off | discharge with internal resistance, steps of 0.5 %',
        CAPACITY,
        'internal resistance = 40 mΩ @part:rw-p2',
        'cut-off voltage = 3 V @part:rw-p2',
        'nominal voltage = 3.6 V @part:rw-p2',
        'current lit = 2.915 A',
        'mean current = 1.881 A',
      ],
    ],
    [
      'the speaker',
      () => power.speakerWatts(s, s.use.volume),
      [
        '0.98 W | (Vrms × volume)² ÷ Z | volume is amplitude, so power goes with its square',
        'volume = 100 %',
        'impedance = 8 Ω @part:rw-p1',
        "board's highest output = 2.8 V @part:rw-p3",
      ],
    ],
    [
      'the highest safe volume',
      () => power.safeVolume(s),
      [
        '100 % | min(100, √(P·Z) ÷ Vrms × 100), rounded down | P = Vrms²/Z',
        'impedance = 8 Ω @part:rw-p1',
        'rated power = 2 W @part:rw-p1',
        "board's highest output = 2.8 V @part:rw-p3",
      ],
    ],
    [
      'a resistor',
      () => power.ledResistors(withLed('accentLed'))[0]!.ohms,
      [
        '110 Ω | (V full − Vf) ÷ I, next higher E24 | Ohm’s law; E24 by IEC 60063',
        'full voltage = 4.2 V @part:rw-p2',
        'cut-off voltage = 3 V @part:rw-p2',
        'forward voltage = 2 V @part:led',
        'current = 20 mA @part:led',
      ],
    ],
  ])('%s', (_what, figure, expected) => expect(opened(figure())).toEqual(expected))
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
    expect(val(power.litCurrent(z, '#ffffff'))).toBeCloseTo(0.0438, 9)
    const led = bare((s) => void (s.parts = [withLed('inHiltLed').parts.at(-1)!])).s
    // One die at full, one at half to the eye (a fifth of the light), one dark; all at 80 %.
    expect(val(power.litCurrent(led, '#ff8000'))).toBeCloseTo(0.8 * 0.02 * (1 + 0.2158605), 7)
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
      CUTOFF,
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

describe('modules, packs and what they cost', () => {
  const led = (dies: number | null, more: object = {}) => {
    const s = withLed('inHiltLed')
    const p = s.parts.at(-1)!
    Object.assign(p.specs, { dies: fact(dies, '×') })
    Object.assign(s.use, { brightness: fact(100, '%', 'assumed') })
    return { s, p: { ...p, ...more } }
  }
  const drawn = (dies: number, colour: string) => {
    const { s, p } = led(dies)
    return val(power.moduleCurrent(s, p, colour)) * 1000
  }
  test('a die a channel, one for all of them, or several a channel', () => {
    expect(drawn(3, '#ffffff')).toBeCloseTo(60, 9)
    expect(drawn(3, '#ff0000')).toBeCloseTo(20, 9)
    expect(drawn(1, '#ffffff')).toBeCloseTo(20, 9)
    expect(drawn(1, '#ff0000')).toBeCloseTo(20, 9)
    expect(drawn(4, '#ffffff')).toBeCloseTo(80, 9)
    expect(drawn(4, '#000000')).toBe(0)
    const { s, p } = led(null)
    expect(needs(power.moduleCurrent(s, p, '#ffffff'))).toEqual(['dies of a lamp @part:led'])
  })
  test('several dies have a forward voltage each: one for all is not enough for a resistor', () => {
    const { s } = led(3)
    expect(needs(power.ledResistors(s)[0]!.ohms)).toEqual(['the forward voltage of each die of a lamp @part:led'])
    expect(val(power.ledResistors(led(1).s)[0]!.ohms)).toBe(110)
  })
  test('a resistor stands before the whole pack, not before one of its cells', () => {
    const s = withLed('accentLed')
    const cell = s.parts.find((p) => p.kind === 'cell')!
    s.parts.push({ ...structuredClone(cell), id: 'b' })
    for (const p of s.parts) if (p.kind === 'cell') p.wiring = 'series'
    // (8.4 − 2) V ÷ 20 mA = 320 Ω, next of E24.
    const { ohms, choice } = power.ledResistors(s)[0]!
    expect(opened(ohms)).toContain('cells in series = 2')
    expect(val(ohms)).toBe(330)
    expect(choice!.currentEmpty).toBeCloseTo((6 - 2) / 330, 9)
  })
  test('brightness that is configured limits every colour; one that is only supposed limits none', () => {
    const s = done()
    const at = (v: number | null, source: 'configured' | 'assumed') => {
      s.use.brightness = fact(v, '%', source)
      return val(power.bladeCurrent(s, s.blades[0]!, '#ffffff'))
    }
    const full = 0.25 * (0.6 + 36)
    expect(at(50, 'assumed')).toBeCloseTo(full, 9)
    expect(at(50, 'configured')).toBeCloseTo(0.25 * (0.6 + 18), 9)
    expect(at(0, 'configured')).toBeCloseTo(0.25 * 0.6, 9)
    expect(at(180, 'configured')).toBeCloseTo(full, 9)
    // What cannot be is no limit either.
    expect(at(-5, 'configured')).toBeCloseTo(full, 9)
    // In the mean it counts once, wherever it comes from.
    s.use.litShare = fact(100, '%')
    delete (s.parts.find((p) => p.kind === 'speaker')!.specs as { impedance?: unknown }).impedance
    s.use.brightness = fact(50, '%', 'configured')
    const set = val(power.meanCurrent(s))
    s.use.brightness = fact(50, '%', 'assumed')
    const idle = val(power.idleCurrent(s))
    expect(val(power.meanCurrent(s)) - idle).toBeCloseTo(set - idle, 1)
  })
  test('a number of pixels that is whole on paper is whole', () => {
    const s = done()
    const b = s.blades[0]!
    for (let mm = 47; mm <= 1246; mm++)
      for (const density of [60, 72, 100, 144]) {
        b.length = fact(mm, 'mm')
        b.density = fact(density, '1/m')
        // In integers there is no rounding to go wrong.
        const byHand = Number((BigInt(mm - 46) * BigInt(density)) / 1000n) * 2
        const n = power.pixels(s, b)
        if (val(n) !== byHand) expect([mm, density, val(n)]).toEqual([mm, density, byHand])
      }
  })
  test('a blade shorter than its seat has no pixels to count, and says so', () => {
    const s = done()
    const b = s.blades[0]!
    b.length = fact(36, 'mm')
    expect(needs(power.pixels(s, b))).toEqual(['a length of blade, 92 cm beyond its seat @blade:rw-b1'])
    expect(power.litCurrent(s, '#ffffff').ok).toBe(false)
    b.length = fact(46, 'mm')
    expect(val(power.pixels(s, b))).toBe(0)
  })
  test('never lit, and left on in a drawer, come to the same hours', () => {
    const s = done()
    s.use.litShare = fact(0, '%')
    for (const cutoff of [3, 3.3]) {
      s.parts.find((p) => p.kind === 'cell')!.specs.cutoffVolts = fact(cutoff, 'V')
      // Without light the peak is that of the lit blade no more.
      const dark = structuredClone(s)
      for (const p of dark.presets) p.colour = stated('#000000', 'configured')
      for (const p of dark.parts) if (p.kind === 'speaker') delete p.specs.impedance
      const ratio = val(power.runtime(dark).minutes) / 60 / val(power.standby(dark, 'on'))
      expect(Math.abs(ratio - 1)).toBeLessThan(0.02)
    }
  })
  test('what may be used before the cut-off is what the rest curve says', () => {
    expect([2.5, 3, 3.74, 4.2, 5].map((v) => Number(power.usableShare(v).toFixed(6)))).toEqual([1, 1, 0.5, 0, 0])
    for (let v = 3; v < 4.2; v += 0.01) expect(power.ocv(1 - power.usableShare(v))).toBeCloseTo(v, 9)
  })
  test('of several blades of one socket the hungriest is lit, whatever its length', () => {
    const s = done()
    const b = s.blades[0]!
    const long = { ...structuredClone(b), id: 'long', length: fact(1100, 'mm'), strips: fact(1, '×') }
    const unknown = { ...structuredClone(b), id: 'unknown', length: fact(null, 'mm') }
    s.blades = [long, unknown, b]
    expect(power.litBlades(s).map((x) => x.id)).toEqual([b.id])
    s.blades = [unknown]
    expect(power.litBlades(s).map((x) => x.id)).toEqual(['unknown'])
  })
  test('every look of every preset is a load: what lasts, what is held, what flashes', () => {
    const s = done()
    s.presets = [
      {
        ...s.presets[0]!,
        id: 'a',
        colour: stated('#ff0000', 'configured'),
        effects: {
          clash: { colour: stated('#ffffff', 'configured') },
          lock: { colour: stated('#00ff00', 'configured') },
        },
      },
      {
        ...s.presets[0]!,
        id: 'b',
        colour: stated('#0000ff', 'configured'),
        effects: {
          drag: { colour: stated('#ffff00', 'configured') },
          melt: { colour: stated('#ff00ff', 'configured') },
          surge: { colour: stated('#00ffff', 'configured') },
          deflect: { colour: stated('#ffffff', 'configured') },
        },
      },
    ]
    expect(power.loadsOf(s).map((l) => `${l.preset.id} ${l.look} ${l.lasts} ${l.colour}`)).toEqual([
      'a steady steady #ff0000',
      'a clash flash #ffffff',
      'a lock held #00ff00',
      'b steady steady #0000ff',
      'b drag held #ffff00',
      'b melt held #ff00ff',
      'b deflect flash #ffffff',
      'b surge flash #00ffff',
    ])
    for (const l of power.loadsOf(s)) expect(l.current).toEqual(power.litCurrent(s, l.colour))
    s.presets = []
    expect(power.loadsOf(s)).toEqual([])
  })
  test('a port that switches the current is rated; pins are asked for what they lack', () => {
    const s = done()
    s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: { contCurrent: fact(2, 'A') } })
    // What only charges carries no current of the blade, whatever it is rated for.
    expect(power.ratings(s).list.map((r) => r.ref)).not.toContain('part:port')
    s.parts.at(-1)!.switched = true
    expect(power.ratings(s).list[0]).toMatchObject({ ref: 'part:port', ratedAmps: 2 })
    s.parts.at(-1)!.specs = {}
    expect(power.ratings(s).needs.map((n) => n.name)).toEqual(['the rating of port'])
    s.parts.pop()
    expect(power.ratings(s).needs).toEqual([])
    const c = s.parts.find((p) => p.kind === 'connector')!
    c.specs = { pinCurrent: fact(3, 'A') }
    expect(power.ratings(s).needs.map((n) => n.name)).toEqual([`the number of power pins of ${c.name}`])
    c.specs = { pins: fact(3, '×') }
    expect(power.ratings(s).needs.map((n) => n.name)).toEqual([`the rating of a pin of ${c.name}`])
  })
})

test('the worst look of each rating is the largest of all that last, flashes apart', () => {
  const s = done()
  s.presets[0]!.effects = {
    clash: { colour: stated('#ffffff', 'configured') },
    lock: { colour: stated('#ffff00', 'configured') },
  }
  const loads = power.loadsOf(s).filter((l) => l.lasts !== 'flash')
  const { list } = power.worstRatings(s)
  expect(list.map((r) => r.share)).toEqual(list.map((r) => r.share).toSorted((a, b) => b - a))
  for (const r of list) {
    const all = loads.map(
      (l) => power.ratings(s, l.colour).list.find((x) => x.ref === r.ref && x.name === r.name)!.share,
    )
    expect(r.share).toBeCloseTo(Math.max(...all), 12)
    expect(power.ratings(s, r.by!.colour).list.find((x) => x.ref === r.ref && x.name === r.name)!.share).toBe(r.share)
  }
  s.presets = []
  expect(power.worstRatings(s)).toEqual(power.ratings(s, '#ffffff'))
})
