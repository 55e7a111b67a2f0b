import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { drawn, HELD, LONG } from './drawn'

test('what is drawn is a share in its own order with every kind among it, the same again by the same seed', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 60 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.string({ maxLength: 3 }),
      (kinds, share, salt) => {
        const cases = kinds.map((kind, at) => ({ kind, at }))
        const draw = () => drawn(cases, share, (c) => [`${c.kind}`, c.kind % 2 ? 'odd' : 'even'], salt)
        const out = draw()
        expect(draw()).toEqual(out)
        expect(out).toEqual(out.toSorted((a, b) => a.at - b.at))
        expect(new Set(out.map((c) => c.kind))).toEqual(new Set(kinds))
        const most = Math.max(Math.ceil(share * HELD * cases.length), new Set(kinds).size)
        expect(out.length).toBeLessThanOrEqual(LONG ? cases.length : most)
        expect(out.length).toBeGreaterThanOrEqual(Math.ceil(share * HELD * cases.length))
      },
    ),
  )
})
