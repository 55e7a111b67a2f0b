import { describe, expect, test } from '@jest/globals'
import { fact, missingText } from '@nubrin/core/facts'
import {
  awgDiameterMm,
  bladeCurrent,
  chargeTime,
  chooseResistor,
  discharge,
  farLedVolts,
  LEFT_WAYS,
  ledResistors,
  litCurrent,
  nextE24,
  ocv,
  packOf,
  pixels,
  ratings,
  runtime,
  safePlaying,
  safeVolume,
  speakerWatts,
  standby,
  WHITE,
  wattHours,
  wattsPlaying,
  wireGuideAmps,
  wireOhms,
  zoneBudget,
} from '@nubrin/core/power'
import { colourOf } from '@nubrin/core/record'
import fc from 'fast-check'
import { done, tube } from './samples'

describe('wire', () => {
  test('diameters and resistances of the published AWG table', () => {
    // AWG table: diameter mm, Ω/km at 20 °C.
    for (const [awg, d, ohmsPerKm] of [
      [20, 0.812, 33.31],
      [24, 0.511, 84.22],
      [30, 0.255, 338.6],
    ] as const) {
      expect(awgDiameterMm(awg)).toBeCloseTo(d, 2)
      expect(wireOhms(awg, 1e6) / ohmsPerKm).toBeCloseTo(1, 1)
    }
  })
  test('the handbook guide, and nothing outside it', () => {
    expect(wireGuideAmps(22)).toBe(7)
    expect(wireGuideAmps(21)).toBeUndefined()
  })
})

describe('blade current', () => {
  test('two strips of 0.8 m at 144/m in white are more than ten amperes at 18 mA, a colour a third', () => {
    const s = done()
    const b = s.blades[0]!
    b.length = fact(846, 'mm')
    b.channelCurrent = fact(16, 'mA')
    s.use.brightness = fact(100, '%', 'configured')
    const n = pixels(s, b)
    expect(n.ok && n.value).toBe(Math.floor(0.8 * 144) * 2)
    const white = bladeCurrent(s, b, '#ffffff')
    const red = bladeCurrent(s, b, '#ff0000')
    expect(white.ok && white.value).toBeGreaterThan(10)
    expect(white.ok && red.ok && (red.value - 0.1) / (white.value - 0.1)).toBeCloseTo(1 / 3, 1)
  })
  test('a missing input is named, not invented', () => {
    const s = done()
    s.blades[0]!.density = fact(null, '1/m')
    const c = litCurrent(s, '#ffffff')
    expect(c.ok).toBe(false)
    expect(!c.ok && missingText(c)).toBe('cannot be calculated without LED density of blade, 92 cm')
    expect(ratings(s).list).toEqual([])
  })
  test('an assumed input makes the result about', () => {
    const s = done()
    s.blades[0]!.length.source = 'recalled'
    expect(litCurrent(s, '#ff0000')).toMatchObject({ ok: true, about: true })
  })
  test('ratings come worst first and lack nothing that has none', () => {
    const s = done()
    delete s.parts.find((p) => p.kind === 'cell')!.specs.contCurrent
    const r = ratings(s)
    expect(r.list.map((x) => x.share)).toEqual([...r.list.map((x) => x.share)].sort((a, b) => b - a))
    expect(r.needs.map((x) => x.ref)).toContain('part:rw-p2')
  })
})

describe('discharge', () => {
  const base = { capacityMah: 3000, internalOhms: 0, series: 1, cutoffVolts: 2.9, meanAmps: 1, peakAmps: 1 }
  test('without resistance all of the capacity is used: 3 Ah at 1 A is three hours', () => {
    expect(discharge(base).minutes).toBeCloseTo(180, 0)
    expect(discharge(base).usedShare).toBeCloseTo(1)
  })
  test('more resistance, more current or a higher cut-off never run longer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.double({ min: 3, max: 3.6, noNaN: true }),
        (r, amps, cut) => {
          const m = (x: object) =>
            discharge({ ...base, internalOhms: r, meanAmps: amps, peakAmps: amps, cutoffVolts: cut, ...x }).minutes
          expect(m({ internalOhms: r + 0.02 })).toBeLessThanOrEqual(m({}) + 1e-9)
          expect(m({ meanAmps: amps * 1.3 })).toBeLessThanOrEqual(m({}) + 1e-9)
          expect(m({ cutoffVolts: cut + 0.1 })).toBeLessThanOrEqual(m({}) + 1e-9)
        },
      ),
    )
  })
  test('a cell that cannot carry the peak runs for no time', () => {
    expect(discharge({ ...base, internalOhms: 0.2, peakAmps: 10 }).minutes).toBe(0)
  })
  test('the rest voltage never falls with charge', () => {
    for (let s = 0; s < 1; s += 0.01) expect(ocv(s + 0.01)).toBeGreaterThanOrEqual(ocv(s))
    expect([ocv(-1), ocv(2)]).toEqual([3.0, 4.2])
  })
  test('a saber without current never ends, so it is refused', () => {
    expect(() => discharge({ ...base, meanAmps: 0 })).toThrow(RangeError)
  })
})

describe('resistors', () => {
  test('E24 by the standard, at every decade', () => {
    expect([nextE24(67), nextE24(68), nextE24(9.2), nextE24(0.95), nextE24(101)]).toEqual([68, 68, 10, 1, 110])
  })
  test('never lets more through than asked, and never less than the widest E24 step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.6, max: 3.6, noNaN: true }),
        fc.double({ min: 0.002, max: 1, noNaN: true }),
        (vf, amps) => {
          const r = chooseResistor(4.2, 3, vf, amps)
          expect(r.currentFull).toBeLessThanOrEqual(amps + 1e-9)
          expect(r.currentFull).toBeGreaterThan(amps * 0.86)
          expect(r.darkWhenEmpty).toBe(vf >= 3)
        },
      ),
    )
  })
})

describe('the resistor of an accent LED', () => {
  test('red at 20 mA from a full cell takes 110 Ω; blue goes dark at the empty one; a missing value is named', () => {
    const s = done()
    const led = (id: string, vf: number | null) => ({
      id,
      kind: 'accentLed' as const,
      name: id,
      specs: { forwardVolts: fact(vf, 'V'), channelCurrent: fact(20, 'mA') },
    })
    s.parts.push(led('red', 2), led('blue', 3.2), led('odd', null))
    const [red, blue, odd] = ledResistors(s)
    expect(red).toMatchObject({ ohms: { ok: true, value: 110 }, choice: { darkWhenEmpty: false } })
    expect(blue).toMatchObject({ ohms: { ok: true, value: 51 }, choice: { darkWhenEmpty: true, currentEmpty: 0 } })
    expect(odd!.ohms).toMatchObject({ ok: false, needs: [{ name: 'forward voltage', ref: 'part:odd' }] })
    expect(odd).not.toHaveProperty('choice')
  })
})

describe('time, volume, energy', () => {
  test('80 of 100 is 64 % of the power', () => {
    const s = done()
    const [a, b] = [speakerWatts(s, fact(100, '%')), speakerWatts(s, fact(80, '%'))]
    expect(a.ok && b.ok && b.value / a.value).toBeCloseTo(0.64)
  })
  test('the highest safe volume is just within the rating', () => {
    const s = done()
    s.parts.find((p) => p.kind === 'speaker')!.specs.ratedWatts = fact(0.5, 'W')
    const v = safeVolume(s)
    const at = (x: number) => speakerWatts(s, fact(x, '%'))
    expect(v.ok).toBe(true)
    if (!v.ok) return
    const [now, more] = [at(v.value), at(v.value + 1)]
    expect(now.ok && now.value).toBeLessThanOrEqual(0.5)
    expect(more.ok && more.value).toBeGreaterThan(0.5)
  })
  test('with its own sounds: a sine at full scale is the board’s highest, 6 dB less a quarter; the gain of a font counts', () => {
    const s = done()
    for (const f of s.fonts) for (const x of f.sounds) delete x.rmsDb
    expect(wattsPlaying(s, fact(80, '%'))).toMatchObject({ ok: false, needs: [{ name: 'a measured sound' }] })
    const [sound] = s.fonts[0]!.sounds
    const watts = (v = 80) => {
      const [own, full] = [wattsPlaying(s, fact(v, '%')), speakerWatts(s, fact(v, '%'))]
      return own.ok && full.ok ? own.value / full.value : undefined
    }
    sound!.rmsDb = -3.0103
    expect(watts()).toBeCloseTo(1, 5)
    sound!.rmsDb = -9.0309
    expect(watts()).toBeCloseTo(0.25, 4)
    s.fonts[1]!.sounds[0]!.rmsDb = -10
    s.fonts[1]!.gain = fact(4, 'dB', 'configured')
    expect(watts()).toBeCloseTo(10 ** ((-6 + 3.0103) / 10), 4)
    // By search: the last whole setting at which the loudest stays within the rating.
    s.parts.find((p) => p.kind === 'speaker')!.specs.ratedWatts = fact(0.2, 'W')
    const at = (v: number) => {
      const w = wattsPlaying(s, fact(v, '%'))
      return w.ok ? w.value : Number.NaN
    }
    const most = Array.from({ length: 101 }, (_, v) => v).findLast((v) => at(v) <= 0.2)
    expect(safePlaying(s)).toMatchObject({ ok: true, value: most })
    expect(most).toBeGreaterThan(safeVolume(s).ok ? (safeVolume(s) as { value: number }).value : 0)
  })
  test('hand sums: standby, charging, energy', () => {
    const s = done()
    const h = standby(s, 'asleep')
    // Self-discharge of 3 % a month goes on beside what the board draws.
    expect(h.ok && h.value).toBeCloseTo(3000 / (0.28 + (0.03 * 3000) / 720))
    const charge = chargeTime(s)
    expect(charge.ok && charge.value).toBeCloseTo((1.3 * 3) / 1)
    const wh = wattHours(s)
    expect(wh.ok && wh.value).toBeCloseTo(10.8)
    expect(runtime(s).minutes.ok).toBe(true)
  })
  test('an empty bench asks for everything it needs', () => {
    const s = tube([[30, 36, 30]])
    for (const c of [runtime(s).minutes, standby(s, 'asleep'), chargeTime(s), safeVolume(s), wattHours(s)]) {
      expect(c.ok).toBe(false)
      expect(!c.ok && c.needs.length).toBeGreaterThan(0)
    }
  })
})

describe('packs, looks and the far end', () => {
  const twoCells = (wiring: 'series' | 'parallel') => {
    const s = done()
    const cell = s.parts.find((p) => p.kind === 'cell')!
    s.parts.push({ ...structuredClone(cell), id: 'second', name: 'second cell' })
    for (const p of s.parts) if (p.kind === 'cell') p.wiring = wiring
    return s
  }
  const value = (c: ReturnType<typeof runtime>['minutes']) => (c.ok ? c.value : Number.NaN)
  test('two in parallel run over twice as long as one, and each carries half', () => {
    const one = value(runtime(done()).minutes)
    const two = value(runtime(twoCells('parallel')).minutes)
    // The sag per cell halves, so the end comes a little later than at twice the time.
    expect(two).toBeGreaterThan(2 * one - 1)
    const share = (s: ReturnType<typeof done>) => ratings(s).list.find((r) => r.name.includes('18650'))!.share
    expect(share(twoCells('parallel'))).toBeCloseTo(share(done()) / 2)
  })
  test('two in series feed through a converter: same energy, less current', () => {
    const p = packOf(twoCells('series'))
    expect(p).toMatchObject({ series: 2, parallel: 1 })
    // 5 V at 90 % from 7.2 V.
    expect(p.stepDown).toBeCloseTo(5 / (7.2 * 0.9))
    const wh = wattHours(twoCells('series'))
    expect(value(wh)).toBeCloseTo(2 * value(wattHours(done())))
    expect(packOf(done())).toMatchObject({ series: 1, parallel: 1, stepDown: 1 })
  })
  test('the last pixel, by hand: cell under load, wire, half the strip', () => {
    const s = done()
    const [b, colour] = [s.blades[0]!, colourOf(s.presets[0]!)]
    const I = value(litCurrent(s, colour))
    const own = value(bladeCurrent(s, b, colour))
    const byHand = 3.74 - I * 0.04 - I * wireOhms(20, 2 * 190) - ((own / 2) * 0.1 * 0.874) / 2
    expect(value(farLedVolts(s, b, colour))).toBeCloseTo(byHand, 6)
    delete b.stripResistance
    expect(farLedVolts(s, b, colour)).toMatchObject({
      ok: false,
      needs: [expect.objectContaining({ name: expect.stringContaining('a metre of strip') })],
    })
  })
  test('every light in every look, and the sum is the saber less what is no light', () => {
    const s = done()
    const budget = zoneBudget(s)
    expect(budget.map((z) => z.name)).toEqual(['blade, 92 cm', 'crystal'])
    expect(budget[0]!.looks.map((l) => l.look)).toEqual(['steady', 'clash', 'lock', 'white'])
    const white = budget.reduce((sum, z) => sum + value(z.looks.at(-1)!.current), 0)
    const boards = s.parts
      .filter((p) => ['board', 'auxBoard', 'display'].includes(p.kind))
      .reduce((sum, p) => sum + (p.specs.idleCurrent?.value ?? 0) / 1000, 0)
    expect(white + boards).toBeCloseTo(value(litCurrent(s, WHITE)))
  })
  test('the less stays connected the longer it keeps, and never longer than self-discharge allows', () => {
    const s = done()
    const hours = LEFT_WAYS.map((w) => value(standby(s, w)))
    expect(hours).toEqual([...hours].sort((a, b) => a - b))
    // 3 % a month empties any cell in 100 / 3 months.
    expect(hours.at(-1)).toBeCloseTo((100 / 3) * 30 * 24)
    delete s.parts.find((p) => p.kind === 'board')!.specs.deepSleepCurrent
    expect(standby(s, 'deepSleep')).toMatchObject({ ok: false })
    expect(standby(s, 'cut')).toMatchObject({ ok: true })
  })
  test('a string blade draws by its groups, and is dark where nothing is lit', () => {
    const s = done()
    const b = {
      ...s.blades[0]!,
      kind: 'string' as const,
      groups: fact(6, '×'),
      groupCurrent: fact(300, 'mA'),
    }
    expect(value(bladeCurrent(s, b, '#ff0000'))).toBeCloseTo(1.8)
    expect(value(bladeCurrent(s, b, '#000000'))).toBe(0)
  })
})
