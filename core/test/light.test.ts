import { describe, expect, test } from '@jest/globals'
import {
  chromaticity,
  colourWords,
  DIES,
  difference,
  drive,
  duties,
  flashesOf,
  goneAt,
  hexOf,
  hueWord,
  isSaturatedRed,
  type Look,
  ledFrame,
  lightOf,
  rgbOf,
  STYLE_KINDS,
  type Style,
  slowedBy,
  through,
  tintMatrix,
  USUAL_DIES,
  USUAL_STYLE,
} from '@nubrin/core/light'
import { differenceCiede2000, modeLab65, modeRgb, modeXyz65, useMode } from 'culori/fn'
import fc from 'fast-check'
import { matching } from '../src/light/spectra'

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((c) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`)

describe('colour as it is measured', () => {
  // CIE 15, 2° observer of 1931, table T.4.
  test.each([
    [450, 0.3362, 0.038, 1.7721],
    [470, 0.1954, 0.091, 1.2876],
    [500, 0.0049, 0.323, 0.272],
    [520, 0.0633, 0.71, 0.0782],
    [550, 0.4334, 0.995, 0.0087],
    [580, 0.9163, 0.87, 0.0017],
    [600, 1.0622, 0.631, 0.0008],
    [620, 0.8544, 0.381, 0.0002],
    [650, 0.2835, 0.107, 0],
  ])('the eye at %d nm, as CIE publishes it', (nm, x, y, z) => {
    for (const [i, v] of [x, y, z].entries()) expect(Math.abs(matching(nm)[i]! - v)).toBeLessThan(0.02)
  })
  // G. Sharma, W. Wu, E. Dalal: The CIEDE2000 color-difference formula, 2005, table 1.
  test.each([
    [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
    [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
    [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
    [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
    [50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
    [50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
    [50, 0, 0, 50, -1, 2, 2.3669],
    [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
    [50, 2.5, 0, 73, 25, -18, 27.1492],
    [50, 2.5, 0, 61, -5, 29, 22.8977],
    [50, 2.5, 0, 56, -27, -3, 31.903],
    [50, 2.5, 0, 58, 24, 15, 19.4535],
    [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
    [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
  ])('CIEDE2000 of %d %d %d and %d %d %d', (l1, a1, b1, l2, a2, b2, published) => {
    for (const mode of [modeRgb, modeXyz65, modeLab65]) useMode(mode)
    const lab = (l: number, a: number, b: number) => ({ mode: 'lab65', l, a, b }) as const
    expect(differenceCiede2000()(lab(l1, a1, b1), lab(l2, a2, b2))).toBeCloseTo(published, 3)
  })
  test('the primaries of sRGB stand as far apart as they are published to', () => {
    expect(difference('#ff0000', '#00ff00')).toBeCloseTo(86.6, 0)
    expect(difference('#ff0000', '#ff0000')).toBe(0)
  })
})

describe('dies', () => {
  // Where datasheets of such dies have them: dominant 620 to 630, 520 to 530 and 465 to 472 nm, a little inside the locus.
  test.each([
    ['red', 0.7, 0.3],
    ['green', 0.14, 0.73],
    ['blue', 0.13, 0.06],
    ['amber', 0.575, 0.42],
  ] as const)('%s stands where such dies do', (die, x, y) => {
    const [cx, cy] = chromaticity(die)
    expect(Math.hypot(cx - x, cy - y)).toBeLessThan(0.035)
  })
  test('white ones have the temperature of their names, by McCamy', () => {
    const kelvin = (die: 'white' | 'warmWhite') => {
      const [x, y] = chromaticity(die)
      const n = (x - 0.332) / (0.1858 - y)
      return 449 * n ** 3 + 3525 * n ** 2 + 6823.3 * n + 5520.33
    }
    expect(kelvin('white')).toBeGreaterThan(5500)
    expect(kelvin('white')).toBeLessThan(7000)
    expect(kelvin('warmWhite')).toBeGreaterThan(2300)
    expect(kelvin('warmWhite')).toBeLessThan(3200)
  })
  test('a colour is what the eye sees of the dies that were turned up for it', () => {
    fc.assert(
      fc.property(hex, (h) => {
        const duty = drive(h)
        for (const d of duty) expect(d).toBeGreaterThanOrEqual(0)
        expect(difference(hexOf(lightOf(duty, USUAL_DIES)), h)).toBeLessThan(2.5)
      }),
      { numRuns: 300 },
    )
    for (const d of drive('#ffffff')) expect(d).toBeCloseTo(1, 6)
    expect(drive('#000000')).toEqual([0, 0, 0])
  })
  test('with a white die it is the same colour for less, and no way there is cheaper', () => {
    const four = [...USUAL_DIES, 'white'] as const
    const sum = (d: readonly number[]) => d.reduce((a, b) => a + b, 0)
    fc.assert(
      fc.property(hex, (h) => {
        const duty = drive(h, four)
        expect(sum(duty)).toBeLessThanOrEqual(sum(drive(h)) + 1e-6)
        expect(difference(hexOf(lightOf(duty, four)), hexOf(lightOf(drive(h), USUAL_DIES)))).toBeLessThan(1)
        // Every share of white, and the rest as three dies make it: what white gives, they give less.
        const white = drive('#ffffff').map(() => 0)
        const all = lightOf([...white, 1], four)
        const wanted = lightOf(drive(h), USUAL_DIES)
        const columns = USUAL_DIES.map((_d, i) =>
          lightOf(
            [0, 1, 2].map((k) => (k === i ? 1 : 0)),
            USUAL_DIES,
          ),
        )
        for (let w = 0; w <= 1; w += 0.05) {
          const rest = solve(
            columns,
            wanted.map((v, i) => v - w * all[i]!),
          )
          if (rest.some((v) => v < -1e-9)) continue
          expect(sum(duty)).toBeLessThanOrEqual(sum(rest) + w + 1e-6)
        }
      }),
      { numRuns: 60 },
    )
  })
  test('what dies cannot show comes as near as they can; no colour and no dies are refused', () => {
    expect(drive('#ffffff', ['red'])).toHaveLength(1)
    expect(hueWord(hexOf(lightOf(drive('#ffffff', ['red']), ['red'])))).toBe('red')
    expect(drive('#2040ff', ['red', 'red'])[0]).toBe(drive('#2040ff', ['red', 'red'])[1])
    expect(() => drive('blue')).toThrow(RangeError)
    expect(() => drive('#ffffff', [])).toThrow(RangeError)
    for (const die of DIES) expect(drive('#ffffff', [die])[0]).toBeGreaterThan(0)
  })
})
/** Three equations by Cramer. */
function solve(c: readonly (readonly number[])[], w: readonly number[]): number[] {
  const det = (m: readonly (readonly number[])[]) =>
    m[0]![0]! * (m[1]![1]! * m[2]![2]! - m[1]![2]! * m[2]![1]!) -
    m[1]![0]! * (m[0]![1]! * m[2]![2]! - m[0]![2]! * m[2]![1]!) +
    m[2]![0]! * (m[0]![1]! * m[1]![2]! - m[0]![2]! * m[1]![1]!)
  const whole = det(c)
  return c.map((_x, i) => det(c.map((x, k) => (k === i ? w : x))) / whole)
}

describe('behind a tint', () => {
  test('blue behind a red jewel is nearly dark, red is not; clear takes nothing, black all', () => {
    expect(through('#1028ff', '#b00018').share).toBeLessThan(0.1)
    expect(through('#ff1408', '#b00018').share).toBeGreaterThan(0.25)
    expect(through('#1028ff', '#ffffff').share).toBeCloseTo(1, 6)
    expect(difference(through('#1028ff', '#ffffff').hex, '#1028ff')).toBeLessThan(2.5)
    expect(through('#20c840', '#000000')).toEqual({ hex: '#000000', share: 0 })
    expect(through('#000000', '#b00018').share).toBe(1)
  })
  test('a darker tint lets less through, and none adds light', () => {
    fc.assert(
      fc.property(hex, hex, fc.double({ min: 0, max: 1, noNaN: true }), (light, tint, k) => {
        const darker = `#${rgbOf(tint)
          .map((v) =>
            Math.floor(v * k)
              .toString(16)
              .padStart(2, '0'),
          )
          .join('')}`
        const [a, b] = [through(light, tint), through(light, darker)]
        expect(a.share).toBeLessThanOrEqual(1 + 1e-9)
        expect(b.share).toBeLessThanOrEqual(a.share + 1e-9)
      }),
      { numRuns: 200 },
    )
  })
  test('the matrix of a picture is the same as what one colour is worked out to', () => {
    fc.assert(
      fc.property(hex, hex, (light, tint) => {
        const m = tintMatrix(tint)
        const lin = duties(light)
        const seen = [0, 1, 2].map((r) => lin.reduce((s, v, c) => s + m[r * 3 + c]! * v, 0))
        // What a screen cannot show clips, and each way clips by itself.
        if (seen.some((v) => v < 0.002 || v > 1)) return
        const byMatrix = `#${seen
          .map((v) => Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055)))
          .map((v) => v.toString(16).padStart(2, '0'))
          .join('')}`
        expect(difference(byMatrix, through(light, tint).hex)).toBeLessThan(3)
      }),
      { numRuns: 300 },
    )
  })
})

describe('words that tell near colours apart', () => {
  test('three blues: the darkest, the middle and the lightest, or towards what they lean', () => {
    const blues = ['#0c28f0', '#1030ff', '#2a6cff']
    const words = blues.map((b) => colourWords(blues).get(b)!)
    expect(new Set(words.map((w) => w.hue))).toEqual(new Set(['blue']))
    expect(words.map((w) => w.apart!.rank)).toEqual([1, 2, 3])
    expect(words.every((w) => w.apart!.of === 3)).toBe(true)
  })
  test('the darker is the darker; one alone needs no more than its hue', () => {
    const two = colourWords(['#20c840', '#105c20'])
    expect(two.get('#105c20')).toEqual({ hue: hueWord('#105c20'), apart: { by: 'light', rank: 1, of: 2 } })
    expect(colourWords(['#20c840', '#1030ff']).get('#20c840')).toEqual({ hue: 'green' })
    expect(colourWords([]).size).toBe(0)
    expect(() => colourWords(['blue', '#ffffff'])).toThrow(RangeError)
  })
  test('other colours have other words, equal ones the same', () => {
    fc.assert(
      fc.property(fc.array(hex, { maxLength: 12 }), (all) => {
        const words = colourWords([...all, ...all])
        const said = [...words.values()].map((w) => JSON.stringify(w))
        expect(new Set(said).size).toBe(new Set(all).size)
      }),
    )
  })
  test('what is said of hues leans the right way round', () => {
    const [a, b] = ['#00d060', '#50d000']
    const words = colourWords([a, b])
    if (words.get(a)!.apart?.by !== 'lean') return expect(words.get(a)!.apart).toBeDefined()
    expect(words.get(a)!.apart!.towards).toBe('teal')
    expect(words.get(b)!.apart!.towards).toBe('yellow')
  })
})

describe('how a light moves', () => {
  const style = fc
    .record({
      kind: fc.constantFrom(...STYLE_KINDS),
      hz: fc.double({ min: 0.2, max: 6, noNaN: true }),
      depth: fc.double({ min: 0.05, max: 1, noNaN: true }),
      width: fc.double({ min: 0.02, max: 1, noNaN: true }),
    })
    .map((s): Style => s)
  test('what it is gone over by is a share, at every place and moment', () => {
    fc.assert(
      fc.property(
        style,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 600, noNaN: true }),
        (s, x, t) => {
          const gone = goneAt(s, x, t)
          expect(gone).toBeGreaterThanOrEqual(0)
          expect(gone).toBeLessThanOrEqual(s.depth + 1e-9)
        },
      ),
    )
  })
  test('it flashes no oftener than it is said to: counted on the LEDs themselves', () => {
    fc.assert(
      fc.property(style, fc.nat(39), (s, led) => {
        const [seconds, leds, rate] = [6, 40, 120]
        const out = new Uint8ClampedArray(leds * 4)
        const look: Look = { colour: [255, 200, 60], moves: s, extended: 1, effects: [] }
        const light: number[] = []
        for (let i = 0; i < seconds * rate; i++) {
          ledFrame(leds, look, i / rate, out)
          const lin = [0, 1, 2].map((c) => (out[led * 4 + c]! / 255) ** 2.2)
          light.push(0.2126 * lin[0]! + 0.7152 * lin[1]! + 0.0722 * lin[2]!)
        }
        // A flash is there and back by a tenth of full white (WCAG 2.3.1).
        let flashes = 0
        let low = light[0]!
        let high = light[0]!
        let up = false
        for (const v of light) {
          if (!up && v - low >= 0.1) [up, high] = [true, v]
          else if (up && high - v >= 0.1) {
            ;[up, low] = [false, v]
            flashes++
          }
          if (up) high = Math.max(high, v)
          else low = Math.min(low, v)
        }
        expect(flashes).toBeLessThanOrEqual(Math.ceil(flashesOf(s) * seconds) + 1)
      }),
      { numRuns: 40 },
    )
  })
  test('slowed, it is at the threshold and no more; what is slow enough is as it is', () => {
    fc.assert(
      fc.property(style, (s) => {
        const n = flashesOf(s)
        expect(n * slowedBy(n)).toBeLessThanOrEqual(3 + 1e-9)
        if (n <= 3) expect(slowedBy(n)).toBe(1)
      }),
    )
    for (const kind of STYLE_KINDS) expect(flashesOf({ kind, ...USUAL_STYLE[kind] })).toBeLessThanOrEqual(3)
  })
  test('saturated red by WCAG', () => {
    expect(isSaturatedRed(duties('#ff0000'))).toBe(true)
    expect(isSaturatedRed(duties('#ff4020'))).toBe(true)
    expect(isSaturatedRed(duties('#ffa000'))).toBe(false)
    expect(isSaturatedRed(duties('#0000ff'))).toBe(false)
    expect(isSaturatedRed([0, 0, 0])).toBe(false)
  })
})

describe('the LEDs through what is around them', () => {
  const frame = (look: Partial<Look>, leds = 60, t = 0.7) => {
    const out = new Uint8ClampedArray(leds * 4)
    ledFrame(leds, { colour: [40, 90, 255], extended: 1, effects: [], ...look }, t, out)
    return out
  }
  test('nothing around them is as nothing said; half lit stays half lit', () => {
    expect(frame({ through: [1, 0, 0, 0, 1, 0, 0, 0, 1] })).toEqual(frame({}))
    const half = frame({ extended: 0.5, through: tintMatrix('#b00018') })
    expect(half[29 * 4 + 3]).toBe(255)
    expect(half[31 * 4 + 3]).toBe(0)
  })
  test('a tint takes the colour it takes', () => {
    const out = frame({ through: tintMatrix('#b00018') })
    const seen = `#${[0, 1, 2].map((c) => out[c]!.toString(16).padStart(2, '0')).join('')}`
    expect(difference(seen, through('#285aff', '#b00018').hex)).toBeLessThan(4)
  })
  test('spread, a spot is wider and no brighter, and all of its light is still there', () => {
    const spot: Look['effects'] = [{ kind: 'deflect', since: 0, colour: [255, 255, 255], at: 0.5, held: true }]
    const dark = { colour: [0, 0, 0] as const, effects: spot }
    const light = (out: Uint8ClampedArray) => Array.from({ length: 60 }, (_, i) => (out[i * 4]! / 255) ** 2.2)
    const [sharp, wide] = [light(frame(dark)), light(frame({ ...dark, spread: 9 }))]
    const sum = (l: number[]) => l.reduce((a, b) => a + b, 0)
    expect(sum(wide)).toBeGreaterThan(sum(sharp) * 0.95)
    expect(sum(wide)).toBeLessThan(sum(sharp) * 1.05)
    expect(Math.max(...wide)).toBeLessThanOrEqual(Math.max(...sharp))
    expect(wide.filter((v) => v > 0.01).length).toBeGreaterThan(sharp.filter((v) => v > 0.01).length)
  })
})
