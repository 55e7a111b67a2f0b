import { describe, expect, test } from '@jest/globals'
import { readWav, type WavFacts } from '@nubrin/core/voice'
import fc from 'fast-check'
import { tries } from './drawn'
import { faded, inTurn, noise, type Signal, silence, sine, wavOf } from './signals'

const R = 22_050
const facts = (signal: Signal, bits: 16 | 'float' = 'float'): WavFacts => {
  const w = readWav(wavOf(R, signal, bits))
  if (!w.ok) throw new Error(w.message)
  return w
}

describe('the seam of a loop', () => {
  test('a hum of whole waves goes on without a click; cut in the middle of one it clicks, and says how far it jumps', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 400 }),
        fc.double({ min: -30, max: -1, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        (waves, level, cut) => {
          // So many whole waves in a second: the last sample is one step before the first.
          const whole = sine(R, 1, level, waves)
          expect(facts([whole]).seam.clicks).toBe(false)
          const shorter = whole.subarray(0, whole.length - Math.round((cut * R) / waves))
          const { jump, clicks } = facts([shorter]).seam
          expect(jump).toBeCloseTo(Math.abs(shorter.at(-1)! - shorter[0]!), 5)
          const step = (2 * Math.PI * waves * 10 ** (level / 20)) / R
          if (jump > Math.max(0.02, 5 * step)) expect(clicks).toBe(true)
        },
      ),
      { numRuns: tries(300, 60) },
    )
  })
  test('noise that ends anywhere does not click, since each of its steps is one', () => {
    for (let seed = 1; seed < 30; seed++) expect(facts([noise(R, 0.5, -6, seed)]).seam.clicks).toBe(false)
  })
})

describe('when its energy comes', () => {
  test.each([0.3, 0.9, 1.5])('an even sound of %d s behind silence begins there and arrives nine tenths on', (long) => {
    const w = facts([inTurn(silence(R, 0.5), sine(R, long, -6, 300), silence(R, 0.4))])
    expect(w.begins).toBeGreaterThanOrEqual(0.5)
    expect(w.begins).toBeLessThan(0.5 + 0.03 * long + 0.02)
    expect(Math.abs(w.arrives - (0.5 + 0.9 * long))).toBeLessThan(0.02)
    expect(w.leadSilence).toBeCloseTo(0.5, 2)
    expect(w.tailSilence).toBeCloseTo(0.4, 2)
  })
  test('a loud burst has arrived before its long faint tail', () => {
    const w = facts([inTurn(sine(R, 0.8, -3, 200), sine(R, 4, -40, 200))])
    expect(w.arrives).toBeGreaterThan(0.7)
    expect(w.arrives).toBeLessThan(0.85)
  })
  test('silence has none', () => {
    const w = facts([silence(R, 1)])
    expect(w).toMatchObject({ peakDb: -200, truePeakDb: -200, rmsDb: -200, begins: 0, arrives: 0, leadSilence: 1 })
    expect(w.integrated).toBeUndefined()
  })
})

describe('as the board plays it', () => {
  test('two channels alike are one; two that are opposite are nothing; what is only in one is half as high', () => {
    const x = faded(R, sine(R, 1, -6, 440))
    expect(facts([x, x]).peakDb).toBeCloseTo(facts([x]).peakDb, 4)
    expect(facts([x, x]).integrated!).toBeCloseTo(facts([x]).integrated!, 4)
    expect(facts([x, x.map((v) => -v)]).peakDb).toBe(-200)
    expect(facts([x, silence(R, 1)]).peakDb).toBeCloseTo(facts([x]).peakDb - 20 * Math.log10(2), 3)
  })
  test('what is cut off in one stored channel is cut off, however it sounds with the other', () => {
    const over = sine(R, 0.2, 6, 200).map((v) => Math.max(-1, Math.min(1, v)))
    const waves = 40
    // Each wave is cut off above and below.
    expect(facts([over, over.map((v) => -v)]).clips).toBe(2 * 2 * waves)
    expect(facts([sine(R, 0.2, -1, 200)]).clips).toBe(0)
  })
})
