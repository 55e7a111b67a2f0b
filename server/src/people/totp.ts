import { Secret, TOTP } from 'otpauth'

const totp = (secret: string, label = '', issuer = '') =>
  new TOTP({ secret: Secret.fromBase32(secret), label, issuer, algorithm: 'SHA1', digits: 6, period: 30 })

/** A new secret for an authenticator, and the address that it reads. */
export function newFactor(label: string, issuer: string): { secret: string; uri: string } {
  const secret = new Secret({ size: 20 }).base32
  return { secret, uri: totp(secret, label, issuer).toString() }
}

/** The first step that no right clock can have used yet. */
export const beyond = (now = Date.now()): number => Math.floor(now / 30_000) + 2
/** Whether a step was used by a clock that was ahead and is put right now: it must not shut anybody out until then. */
const isAhead = (lastUsed: number, now: number) => lastUsed >= beyond(now)

/**
 * The time step of a code of six digits, when it is right now or was half a minute ago and its step is later than the last
 * one used; undefined otherwise. Source: RFC 6238.
 */
export function stepOfCode(
  secret: string,
  code: string,
  lastUsed: number | null,
  now = Date.now(),
): number | undefined {
  if (!/^\d{6}$/.test(code)) return undefined
  const delta = totp(secret).validate({ token: code, window: 1, timestamp: now })
  if (delta === null) return undefined
  const current = Math.floor(now / 30_000)
  const step = current + delta
  return lastUsed !== null && step <= lastUsed && !isAhead(lastUsed, now) ? undefined : step
}
