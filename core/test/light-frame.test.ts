import { describe, expect, test } from '@jest/globals'
import {
  EFFECT_SECONDS,
  effectAt,
  FLASH_LIMIT_HZ,
  LEAST_BETWEEN_FLASHES,
  type LedEffect,
  type Look,
  ledFrame,
  rgbOf,
  SCREEN_FLICKER_HZ,
  turned,
} from '@nubrin/core/light'
import fc from 'fast-check'

const KINDS = Object.keys(EFFECT_SECONDS) as LedEffect[]
const frame = (leds: number, look: Partial<Look>, t = 0) => {
  const out = new Uint8ClampedArray(leds * 4)
  ledFrame(leds, { colour: [0, 128, 255], extended: 1, effects: [], ...look }, t, out)
  return Array.from({ length: leds }, (_, i) => [...out.slice(i * 4, i * 4 + 4)])
}

describe('every LED of a blade at a moment', () => {
  test('from the hilt on, as far as it is extended; the one at the edge in part', () => {
    expect(frame(4, { extended: 0 })).toEqual(Array(4).fill([0, 0, 0, 0]))
    expect(frame(4, { extended: 1 })).toEqual(Array(4).fill([0, 128, 255, 255]))
    expect(frame(4, { extended: 0.625 }).map((p) => p[3])).toEqual([255, 255, 128, 0])
    expect(frame(4, { extended: 9 }).map((p) => p[3])).toEqual([255, 255, 255, 255])
    expect(frame(0, {})).toEqual([])
  })
  test('a page that is too small is refused', () => {
    expect(() => ledFrame(2, { colour: [0, 0, 0], extended: 1, effects: [] }, 0, new Uint8ClampedArray(7))).toThrow(
      /8 bytes/,
    )
  })
  test('each effect colours its own place, and is over after its time unless it is held', () => {
    const at = (kind: LedEffect, x: number, age = 0.1, held = false) => effectAt(kind, held, age, 0.5, x)
    expect(at('clash', 0.1)).toBeCloseTo(0.6)
    expect(at('deflect', 0.5)).toBeGreaterThan(0.6)
    expect(at('deflect', 0.7)).toBe(0)
    expect(at('lock', 0.5)).toBeGreaterThan(0.6)
    expect(at('lock', 0.1)).toBe(0)
    expect(at('drag', 0.98)).toBeGreaterThan(0.6)
    expect(at('drag', 0.5)).toBe(0)
    expect(at('melt', 0.99)).toBeGreaterThan(at('melt', 0.8))
    expect(at('melt', 0.5)).toBe(0)
    expect(at('surge', 0.13)).toBeGreaterThan(0.6)
    expect(at('surge', 0.9)).toBe(0)
    for (const k of KINDS) {
      expect([k, effectAt(k, false, EFFECT_SECONDS[k] + 0.01, 0.5, 0.98)]).toEqual([k, 0])
      expect(effectAt(k, false, -1, 0.5, 0.98)).toBe(0)
    }
    expect(effectAt('lock', true, 60, 0.5, 0.5)).toBeGreaterThan(0.3)
    const white = { kind: 'clash', since: 0, colour: [255, 255, 255], at: 0.5, held: false } as const
    expect(frame(2, { effects: [white] }, 0)[0]).toEqual([255, 255, 255, 255])
    expect(frame(2, { effects: [white] }, 9)[0]).toEqual([0, 128, 255, 255])
  })
  test('is always a strength between none and all', () => {
    const real = fc.double({ min: -1, max: 5, noNaN: true })
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.boolean(),
        real,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (k, held, age, x) => {
          const s = effectAt(k, held, age, 0.5, x)
          expect(s).toBeGreaterThanOrEqual(0)
          expect(s).toBeLessThanOrEqual(1)
        },
      ),
    )
  })
  test('what is held flickers slower than the photosensitive threshold, and no flash follows another sooner', () => {
    expect(SCREEN_FLICKER_HZ).toBeLessThan(FLASH_LIMIT_HZ)
    expect(1 / LEAST_BETWEEN_FLASHES).toBeLessThan(FLASH_LIMIT_HZ)
    // Counted on the light itself: maxima of a held lock in ten seconds.
    const s = Array.from({ length: 10_000 }, (_, i) => effectAt('lock', true, i / 1000, 0.5, 0.46))
    const peaks = s.filter((v, i) => i > 0 && i < s.length - 1 && v > s[i - 1]! && v >= s[i + 1]!).length
    expect(peaks / 10).toBeLessThan(FLASH_LIMIT_HZ)
  })
})

describe('colours', () => {
  test('are read off their writing, and refused when they are none', () => {
    expect(rgbOf('#20c0ff')).toEqual([32, 192, 255])
    expect(() => rgbOf('blue')).toThrow(RangeError)
  })
  test('turn round a whole circle and come back; a third of it takes each die to the next', () => {
    expect(turned([255, 0, 0], 0, 12)).toEqual([255, 0, 0])
    expect(turned([10, 200, 90], 24, 12)).toEqual([10, 200, 90])
    expect(turned([255, 0, 0], 4, 12).map(Math.round)).toEqual([0, 255, 0])
    expect(turned([255, 0, 0], -4, 12).map(Math.round)).toEqual([0, 0, 255])
    expect(turned([90, 90, 90], 5, 12).map(Math.round)).toEqual([90, 90, 90])
  })
})
