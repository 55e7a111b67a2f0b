import { type Role, reaching } from '@nubrin/core/api'
import type { Commission } from '@nubrin/core/record'
import { notAllowed } from '../http/serve'

/** What of a record takes more than a helper to change, by whatever way it comes. */
const FOR_MAKERS: { what: (r: Commission) => unknown; says: string }[] = [
  { what: (r) => r.shipped ?? null, says: 'Shipping is for makers of the shop and above.' },
  { what: (r) => r.handoff.issued, says: 'Handing over is for makers of the shop and above.' },
]
const same = (a: unknown, b: unknown) => a === b || JSON.stringify(a) === JSON.stringify(b)

/**
 * Refuses what somebody may not do by what it changes: a record begun, taken in or changed. `before` is undefined where there
 * was none: then it is as if nothing had been shipped or handed over.
 */
export function mayMake(role: Role, before: Commission | undefined, after: Commission): void {
  if (before === after || reaching('maker').includes(role)) return
  for (const { what, says } of FOR_MAKERS) {
    const [was, is] = [before && what(before), what(after)]
    const nothing = is === null || (Array.isArray(is) && !is.length)
    if (before ? !same(was, is) : !nothing) throw notAllowed(says)
  }
}
