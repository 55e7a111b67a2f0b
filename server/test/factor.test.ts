import { describe, expect, test } from '@jest/globals'
import { Secret, TOTP } from 'otpauth'
import { beyond, newFactor, stepOfCode } from '../src/people/totp'

const NOW = Date.parse('2026-11-30T12:00:10Z')
const { secret } = newFactor('Maren', 'Nubrin')
const codeAt = (at: number) => new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: at })
const STEP = Math.floor(NOW / 30_000)

describe('the codes of an authenticator', () => {
  test('half a minute early or late is right, more is not', () => {
    for (const by of [-1, 0, 1]) expect(stepOfCode(secret, codeAt(NOW + by * 30_000), null, NOW)).toBe(STEP + by)
    for (const by of [-2, 2, 100]) expect(stepOfCode(secret, codeAt(NOW + by * 30_000), null, NOW)).toBeUndefined()
    for (const odd of ['', '12345', '1234567', 'abcdef', ' 12345'])
      expect(stepOfCode(secret, odd, null, NOW)).toBeUndefined()
  })
  test('none is taken twice, nor one before it', () => {
    const next = codeAt(NOW + 30_000)
    expect(stepOfCode(secret, next, STEP, NOW)).toBe(STEP + 1)
    expect(stepOfCode(secret, next, STEP + 1, NOW)).toBeUndefined()
    expect(stepOfCode(secret, codeAt(NOW), STEP + 1, NOW)).toBeUndefined()
  })
  test('a clock that ran ahead and is put right shuts nobody out', () => {
    // Used by a clock an hour ahead: no right clock can have got there.
    for (const ahead of [2, 3, 120]) expect(stepOfCode(secret, codeAt(NOW), STEP + ahead, NOW)).toBe(STEP)
    expect(beyond(NOW)).toBe(STEP + 2)
  })
})
