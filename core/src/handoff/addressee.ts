import type { Commission } from '../record'
import { giftOf, listenerOf } from '../script'

/** Whom page and paper speak to: whoever receives the sabers, each once, in their order. Empty where nobody is recorded. */
export const addresseesOf = (c: Commission): string[] => [
  ...new Set(c.sabers.map((s) => listenerOf(c, s)).filter((name) => name)),
]

/** Who gives the whole order, where it is a gift: then what was wished and sent is his, not the reader's. */
export const orderGiver = (c: Commission): string =>
  c.sabers.every((s) => giftOf(c, s).gift) ? giftOf(c, c.sabers[0]!).giver : ''
