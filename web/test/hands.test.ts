import { describe, expect, test } from '@jest/globals'
import { fact, known } from '@nubrin/core/facts'
import { profileFaults } from '@nubrin/core/geometry'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { tries } from '../../core/test/drawn'
import { withMoved } from '../src/drawing/ProfileHandles'
import { strokeOf } from '../src/play/PlayLayer'

describe('a stroke over the blade', () => {
  test.each([
    ['a touch', 4, 5, 90, 'strike'],
    ['along the blade', 60, 10, 300, 'thrust'],
    ['across it, slowly', 10, 60, 300, 'swing'],
    ['across it, sharply', 10, -60, 100, 'flick'],
  ] as const)('%s', (_what, x, y, ms, is) => {
    expect(strokeOf(x, y, ms, false)).toBe(is)
    // A saber that stands up is the same, turned: what goes along it goes up the screen.
    expect(strokeOf(y, x, ms, true)).toBe(is)
  })
})

describe('a point of a profile that is dragged', () => {
  const section = demoCommissions('2026-11-24')
    .flatMap((c) => c.sabers)
    .flatMap((s) => s.hilt.sections)
    .find((x) => known(x.length) !== undefined && known(x.outside) !== undefined)!
  const length = known(section.length)!
  const straight = { ...section, outside: fact(30, 'mm', 'measured') }
  delete straight.outerProfile
  test('of a straight section one end makes a taper, and keeps its place', () => {
    expect(withMoved(straight, 'outer', 1, 3, 25).outerProfile).toEqual([
      { x: 0, d: 30 },
      { x: length, d: 25 },
    ])
  })
  test('wherever it is dragged, the profile keeps the rules: ends stay, order stays, nothing thinner than 1 mm', () => {
    const points = [0, 0.25, 0.5, 0.5, 1].map((share, i) => ({ x: Number((share * length).toFixed(1)), d: 20 + i }))
    points[4]!.x = length
    fc.assert(
      fc.property(
        fc.nat(4),
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -50, max: 99, noNaN: true }),
        (i, x, d) => {
          const next = withMoved({ ...straight, outerProfile: points }, 'outer', i, x, d).outerProfile!
          expect(next.map((p, k) => (k === i ? points[k] : p))).toEqual(points)
          expect(next[i]!.d).toBeCloseTo(Math.max(1, d), 1)
          expect(profileFaults(next, length, 'outer')).toEqual([])
        },
      ),
      { numRuns: tries(300, 60) },
    )
  })
})
