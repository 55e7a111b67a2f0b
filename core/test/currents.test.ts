import { describe, expect, test } from '@jest/globals'
import { type Calculated, fact } from '@nubrin/core/facts'
import { judgeCommission } from '@nubrin/core/judge'
import { duties } from '@nubrin/core/light'
import {
  bladeCurrent,
  chargeTime,
  chooseResistor,
  discharge,
  farLedVolts,
  LEFT_WAYS,
  ledResistors,
  litBlades,
  litCurrent,
  looksOf,
  meanCurrent,
  nextE24,
  ocv,
  packOf,
  pixels,
  ratings,
  restCurrent,
  runtime,
  safeVolume,
  speakerWatts,
  standby,
  WHITE,
  wattHours,
  wireDrop,
  wireGuideAmps,
  wireOhms,
  zoneBudget,
  zoneCurrent,
} from '@nubrin/core/power'
import { proposeTests } from '@nubrin/core/proof'
import { colourOf, type FittedPart, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { demo, done, TODAY, tube } from './samples'

/** What the board of the sample is set to. */
const LIMIT = 0.8
const val = (f: Calculated) => (f.ok ? f.value : Number.NaN)
const needs = (f: Calculated) => (f.ok ? [] : f.needs.map((n) => n.name))
const of = (s: Saber, kind: FittedPart['kind']) => s.parts.find((p) => p.kind === kind)!
const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

describe('what the lights draw', () => {
  test('a pixel draws its share of each channel, and its idle current dark', () => {
    const s = done()
    const b = s.blades[0]!
    const n = val(pixels(s, b))
    expect(n).toBe(Math.floor((val(pixels(s, { ...b, strips: fact(1, '×') })) * 2) / 1))
    fc.assert(
      fc.property(colour, (c) => {
        // IEC 61966-2-1: what the eye should see, decoded to what the die has to give.
        const [r, g, bl] = [1, 3, 5].map((i) => {
          const v = Number.parseInt(c.slice(i, i + 2), 16) / 255
          return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
        })
        const byHand = (n * (LIMIT * 12 * (r! + g! + bl!) + 0.6)) / 1000
        expect(val(bladeCurrent(s, b, c))).toBeCloseTo(byHand, 3)
        expect(duties(c).map((v) => Number(v.toFixed(6)))).toEqual([r, g, bl].map((v) => Number(v!.toFixed(6))))
      }),
    )
    expect(val(bladeCurrent(s, b, '#000000'))).toBeCloseTo((n * 0.6) / 1000, 6)
  })
  test('a light zone draws by its own count, one that follows another shows its colour and draws its own', () => {
    const s = done()
    const z = {
      id: 'z',
      name: 'z',
      kind: 'accent' as const,
      leds: fact(4, '×'),
      channelCurrent: fact(18, 'mA'),
      idleCurrent: fact(1, 'mA'),
    }
    expect(val(zoneCurrent(s, z, WHITE))).toBeCloseTo((4 * (LIMIT * 3 * 18 + 1)) / 1000, 9)
    expect(val(zoneCurrent(s, z, '#ff0000'))).toBeCloseTo((4 * (LIMIT * 18 + 1)) / 1000, 9)
    expect(needs(zoneCurrent(s, { ...z, leds: fact(null, '×') }, WHITE))).toEqual(['LEDs in z'])
    expect(val(zoneCurrent(s, { ...z, leds: fact(0, '×') }, WHITE))).toBe(0)
  })
  test('the saber draws what its lights, its boards and its cone draw; more light never less', () => {
    const s = done()
    fc.assert(
      fc.property(colour, (c) => {
        const whole = val(litCurrent(s, c))
        expect(whole).toBeLessThanOrEqual(val(litCurrent(s, WHITE)) + 1e-9)
        expect(whole).toBeGreaterThanOrEqual(val(litCurrent(s, '#000000')) - 1e-9)
        expect(whole).toBeGreaterThan(val(bladeCurrent(s, s.blades[0]!, c)))
      }),
    )
  })
  test('the bench’s own blade does not light the shipped saber while there is another', () => {
    const s = done()
    s.blades.push({ ...structuredClone(s.blades[0]!), id: 'demo', use: 'demo' })
    expect(litBlades(s).map((b) => b.id)).toEqual([s.blades[0]!.id])
  })
  test('every look of a preset is told once with its colour, steady first and white last', () => {
    const s = done()
    for (const p of s.presets) {
      const looks = looksOf(p)
      expect(looks[0]).toEqual({ look: 'steady', colour: colourOf(p) })
      expect(looks.at(-1)).toEqual({ look: 'white', colour: WHITE })
      expect(looks).toHaveLength(2 + Object.keys(p.effects ?? {}).length)
      for (const z of zoneBudget(s, p)) expect(z.looks.map((l) => l.look)).toEqual(looks.map((l) => l.look))
    }
  })
})

describe('what carries the current', () => {
  test('each rating is its share of the load; twice the rating is half the share, and the worst stands first', () => {
    const s = done()
    const before = ratings(s).list
    expect(before.map((r) => r.share)).toEqual(before.map((r) => r.share).toSorted((a, b) => b - a))
    for (const r of before) expect(r.share * r.ratedAmps).toBeCloseTo(val(litCurrent(s, WHITE)), 6)
    const board = of(s, 'killSwitch')
    const was = before.find((r) => r.ref === `part:${board.id}`)!
    board.specs.contCurrent = fact(was.ratedAmps * 2, 'A')
    expect(ratings(s).list.find((r) => r.ref === `part:${board.id}`)!.share).toBeCloseTo(was.share / 2, 9)
  })
  test('pins share the current between them; without their number or rating it is asked for', () => {
    const s = done()
    const c = of(s, 'connector')
    c.specs.pins = fact(5, '×')
    c.specs.pinCurrent = fact(2, 'A')
    expect(ratings(s).list.find((r) => r.name.endsWith(', pins'))!.ratedAmps).toBe(10)
    c.specs.pins = fact(null, '×')
    expect(ratings(s).needs.map((n) => n.name)).toEqual([`the number of power pins of ${c.name}`])
  })
  test('a signal wire carries none of it; one for everything does', () => {
    const s = done()
    const refs = () => ratings(s).list.map((r) => r.ref)
    const wires = s.parts.filter((p) => p.kind === 'wire')
    expect(wires.length).toBeGreaterThan(1)
    for (const w of wires) expect(refs().includes(`part:${w.id}`)).toBe(w.carries !== 'signal')
    for (const w of wires) delete w.carries
    for (const w of wires) expect(refs()).toContain(`part:${w.id}`)
  })
  test('copper by the metre: 20 AWG of one metre is about 33 mΩ, twice as long twice as much', () => {
    expect(wireOhms(20, 1000) * 1000).toBeCloseTo(33.3, 0)
    expect(wireOhms(20, 2000)).toBeCloseTo(2 * wireOhms(20, 1000), 9)
    expect(wireGuideAmps(20)).toBeGreaterThan(wireGuideAmps(24)!)
    const s = done()
    const awg = s.parts.find((p) => p.kind === 'wire' && p.carries !== 'signal')!
    const drop = val(wireDrop(s))
    awg.specs.length = fact(awg.specs.length!.value! * 2, 'mm')
    expect(val(wireDrop(s)) / drop).toBeCloseTo(2, 2)
  })
  test('the last pixel has less the more the strip resists, and nothing is said without the strip', () => {
    const s = done()
    const b = s.blades[0]!
    b.stripResistance = fact(100, 'mΩ')
    const better = val(farLedVolts(s, b))
    b.stripResistance = fact(300, 'mΩ')
    expect(val(farLedVolts(s, b))).toBeLessThan(better)
    delete b.stripResistance
    expect(farLedVolts(s, b).ok).toBe(false)
  })
})

describe('hours and volts', () => {
  test('the rest voltage runs from empty to full without a step down', () => {
    expect(ocv(0)).toBeLessThan(3.3)
    expect(ocv(1)).toBeGreaterThan(4.1)
    for (let k = 1; k <= 100; k++) expect(ocv(k / 100)).toBeGreaterThanOrEqual(ocv((k - 1) / 100))
  })
  test('a discharge ends at its cut-off, never rises, and takes out what its minutes say', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (amps, mOhm) => {
          const d = discharge({
            capacityMah: 3000,
            internalOhms: mOhm / 1000,
            series: 1,
            cutoffVolts: 3,
            meanAmps: amps,
            peakAmps: amps,
          })
          const curve = d.curve
          for (let i = 1; i < curve.length; i++) expect(curve[i]!.volts).toBeLessThanOrEqual(curve[i - 1]!.volts + 1e-9)
          expect(d.minutes).toBeLessThanOrEqual((3 / amps) * 60 + 1e-6)
        },
      ),
      { numRuns: 40 },
    )
  })
  test('runtime: less light, longer; a second cell beside it, more than twice as long; what is missing is named', () => {
    const s = done()
    const before = val(runtime(s).minutes)
    const dim = structuredClone(s)
    dim.use.brightness = fact(40, '%')
    expect(val(runtime(dim).minutes)).toBeGreaterThan(before)
    expect(val(meanCurrent(dim))).toBeLessThan(val(meanCurrent(s)))
    const bare = structuredClone(s)
    bare.parts = bare.parts.filter((p) => p.kind !== 'cell')
    expect(needs(runtime(bare).minutes)).toContain('a cell')
  })
  test('what rests in deep sleep is judged, tested and told by that, with all that stays on beside the board', () => {
    const s = done()
    const board = of(s, 'board')
    board.specs.sleepCurrent = fact(8, 'mA')
    board.specs.deepSleepCurrent = fact(0.1, 'mA')
    s.parts = s.parts.filter((p) => !['auxBoard', 'display'].includes(p.kind))
    s.parts.push({ id: 'aux', kind: 'auxBoard', name: 'charge controller', specs: { sleepCurrent: fact(0.02, 'mA') } })
    expect(val(restCurrent(s, 'asleep'))).toBeCloseTo(8.02, 9)
    expect(val(restCurrent(s, 'deepSleep'))).toBeCloseTo(0.12, 9)
    expect(val(restCurrent(s, 'cut'))).toBe(0)
    const most = () => proposeTests(MAKER, s).find((t) => t.key === 'sleep-current')!.max!
    const found = () =>
      judgeCommission({ ...demo('reed-warden'), sabers: [s] }, TODAY).filter((f) => f.check === 'standby')
    s.cutPower = 'killSwitch'
    expect(most()).toBeGreaterThan(8)
    expect(found()).toHaveLength(1)
    s.cutPower = 'deepSleep'
    expect(most()).toBeLessThan(0.3)
    expect(found()).toEqual([])
  })
  test('kept in a drawer: capacity over what stays connected and a thirtieth of a month’s loss, by hand', () => {
    const s = done()
    const cell = of(s, 'cell')
    const lost = (0.03 * cell.specs.capacity!.value!) / 720
    expect(val(standby(s, 'cellOut'))).toBeCloseTo(cell.specs.capacity!.value! / lost, 3)
    expect(val(standby(s, 'cut'))).toBe(val(standby(s, 'cellOut')))
    const sleep = s.parts
      .filter((p) => ['board', 'auxBoard', 'display'].includes(p.kind))
      .reduce((n, p) => n + (p.specs.sleepCurrent?.value ?? 0), 0)
    expect(val(standby(s, 'asleep'))).toBeCloseTo(cell.specs.capacity!.value! / (sleep + lost), 3)
    const hours = LEFT_WAYS.map((w) => val(standby(s, w)))
    expect(hours).toEqual(hours.toSorted((a, b) => a - b))
    expect(standby(s, 'cut')).toMatchObject({ about: true })
    // Where nobody knows at what voltage it stops, all of it counts.
    const whole = structuredClone(s)
    delete of(whole, 'cell').specs.cutoffVolts
    expect(val(standby(whole, 'cellOut'))).toBeCloseTo(cell.specs.capacity!.value! / lost, 3)
    const early = structuredClone(s)
    of(early, 'cell').specs.cutoffVolts = fact(3.5, 'V')
    expect(val(standby(early, 'cellOut'))).toBeLessThan(0.9 * val(standby(s, 'cellOut')))
    const empty = tube([[100, 36, 30]])
    expect(needs(standby(empty, 'cut'))).toEqual(['a cell', 'capacity'])
    expect(needs(standby(empty, 'asleep'))).toContain('a sound board')
  })
  test('charging: 1.3 × capacity over the smaller of what the port gives and the cell takes', () => {
    const s = done()
    const [cell, source] = [of(s, 'cell'), s.parts.find((p) => p.kind === 'chargePort') ?? of(s, 'charger')]
    cell.specs.capacity = fact(3000, 'mAh')
    cell.specs.chargeCurrent = fact(1.5, 'A')
    source.specs.chargeCurrent = fact(1, 'A')
    expect(val(chargeTime(s))).toBeCloseTo(3.9, 9)
    source.specs.chargeCurrent = fact(2, 'A')
    expect(val(chargeTime(s))).toBeCloseTo(2.6, 9)
    delete cell.specs.chargeCurrent
    expect(val(chargeTime(s))).toBeCloseTo(1.95, 9)
    cell.specs.nominalVolts = fact(3.6, 'V')
    expect(val(wattHours(s))).toBeCloseTo(10.8, 9)
  })
  test('cells side by side carry half each; one after the other feed through a converter', () => {
    const s = done()
    const cell = of(s, 'cell')
    expect(packOf(s)).toMatchObject({ parallel: 1, stepDown: 1 })
    s.parts.push({ ...structuredClone(cell), id: 'second' })
    for (const p of s.parts) if (p.kind === 'cell') p.wiring = 'parallel'
    expect(packOf(s)).toMatchObject({ parallel: 2, stepDown: 1 })
    for (const p of s.parts) if (p.kind === 'cell') p.wiring = 'series'
    expect(packOf(s).parallel).toBe(1)
    expect(packOf(s).stepDown).toBeLessThan(1)
  })
})

describe('resistors and cones', () => {
  test('the next E24 value is in the series, not below, and at most a step above', () => {
    const series = [10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91]
    fc.assert(
      fc.property(fc.double({ min: 0.11, max: 9e5, noNaN: true }), (r) => {
        const e = nextE24(r)
        const decade = 10 ** Math.floor(Math.log10(e) + 1e-9)
        expect(series.some((v) => Math.abs(v / 10 - e / decade) < 1e-6)).toBe(true)
        expect(e).toBeGreaterThanOrEqual(r - 1e-9)
        expect(e / r).toBeLessThan(1.16)
      }),
    )
  })
  test('a resistor lets no more than asked through at the full cell, and is rated for its heat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.6, max: 3.4, noNaN: true }),
        fc.double({ min: 0.005, max: 0.5, noNaN: true }),
        (vf, amps) => {
          const c = chooseResistor(4.2, 3, vf, amps)
          expect((4.2 - vf) / c.ohms).toBeLessThanOrEqual(amps + 1e-9)
          expect(c.ratingWatts).toBeGreaterThanOrEqual((4.2 - vf) ** 2 / c.ohms)
          expect(c.darkWhenEmpty).toBe(3 <= vf)
          if (!c.darkWhenEmpty) expect(c.currentEmpty).toBeCloseTo((3 - vf) / c.ohms, 9)
        },
      ),
    )
  })
  test('an LED without its forward voltage is asked for it', () => {
    const s = done()
    const led = s.parts.find((p) => p.kind === 'accentLed' || p.kind === 'inHiltLed')
    if (!led) s.parts.push({ id: 'led', kind: 'accentLed', name: 'a lamp', specs: { channelCurrent: fact(20, 'mA') } })
    else led.specs = { channelCurrent: fact(20, 'mA') }
    const r = ledResistors(s).at(-1)!
    expect(needs(r.ohms)).toEqual(['forward voltage'])
    expect(r.choice).toBeUndefined()
  })
  test('power goes with the square of the volume, and the highest safe volume is just within the cone', () => {
    const s = done()
    const at = (v: number) => val(speakerWatts(s, fact(v, '%')))
    expect(at(50) / at(100)).toBeCloseTo(0.25, 6)
    expect(at(0)).toBe(0)
    const speaker = of(s, 'speaker')
    speaker.specs.ratedWatts = fact(at(100) / 2, 'W')
    const safe = val(safeVolume(s))
    if (!Number.isNaN(safe)) {
      expect(at(safe)).toBeLessThanOrEqual(at(100) / 2 + 1e-6)
      expect(at(safe + 1)).toBeGreaterThan(at(100) / 2 - 1e-6)
    }
  })
})
