import { type Commission, readerOf, told } from '../record'
import { type Guesses, workOf } from '../schedule'
import { say } from '../words'
import { minorOf } from './money'
import type { Quote } from './quote'

/** What a shop reckons with: its currency, what an hour costs in minor units, and how much it adds to what a part costs, percent. */
export interface Terms {
  currency: string
  rate: number
  margin: number
}
/** What a row of the shelf costs the shop, in major units of its currency. */
export type CostOf = (row: string) => number | undefined

/** Why a quote cannot be drafted: a wish is priced in another currency. */
export interface MixedCurrency {
  wish: string
  currency: string
}
/** Offered wishes whose price is in another currency than the shop's: nothing is ever exchanged. */
export const mixedIn = (c: Commission, terms: Pick<Terms, 'currency'>): MixedCurrency[] =>
  c.requests.flatMap((r) =>
    r.shape === 'offered' && r.price && r.price.currency !== terms.currency
      ? [{ wish: r.text, currency: r.price.currency }]
      : [],
  )

/**
 * A quote from what is known: the parts that the shop brings at their cost with its margin, each kind of work at the hours that it
 * is guessed to take, and as options the wishes that are offered and not accepted yet. What has no cost stands at nothing, to be
 * filled in. Everything may be changed before it is sent.
 */
export function draftQuote(
  c: Commission,
  given: {
    number: number
    on: string
    by: string
    terms: Terms
    costOf: CostOf
    guesses: Guesses
    newId: () => string
  },
): Quote {
  const { terms, newId } = given
  const parts = new Map<string, { what: string; cost: number | undefined; quantity: number }>()
  // Names and wishes as the client reads them.
  const read = told(c)
  const reader = readerOf(c)
  for (const s of read.sabers)
    for (const p of s.parts) {
      if ((p.supplied ?? 'shop') !== 'shop') continue
      const key = p.catalogue ?? `own ${p.name}`
      const had = parts.get(key)
      if (had) had.quantity++
      else parts.set(key, { what: p.name, cost: p.catalogue ? given.costOf(p.catalogue) : undefined, quantity: 1 })
    }
  const hours = new Map<string, number>()
  for (const w of workOf(c)) {
    if (w.kind === 'toDo' || w.done === 'leftOut') continue
    const what = say(reader, 'quote.work', { kind: w.kind })
    hours.set(what, (hours.get(what) ?? 0) + given.guesses.hoursOf(w).median)
  }
  const minor = (major: number) => minorOf(major, terms.currency)
  return {
    ...{ format: 'nubrin-quote', version: 1, number: given.number, on: given.on, by: given.by },
    ...{ currency: terms.currency, state: 'draft' },
    lines: [
      ...[...parts.values()].map(({ what, cost, quantity }) => ({
        ...{ id: newId(), kind: 'part' as const, what, quantity },
        ...(cost === undefined
          ? { price: 0 }
          : { cost: minor(cost), price: Math.round(minor(cost) * (1 + terms.margin / 100)) }),
      })),
      ...[...hours].map(([what, h]) => {
        const rounded = Math.round(h * 4) / 4
        return {
          ...{ id: newId(), kind: 'work' as const, what, quantity: 1 },
          ...{ hours: rounded, price: Math.round(rounded * terms.rate) },
        }
      }),
    ],
    options: read.requests.flatMap((r) =>
      r.shape === 'offered' && !r.acceptedOn
        ? [{ id: newId(), what: r.text, price: r.price ? minor(r.price.amount) : 0, request: r.id }]
        : [],
    ),
    ...{ changes: [], payments: [] },
  }
}

/** What a commission really took, beside what was quoted, in minor units: parts at their cost, hours of the log at the rate. */
export interface Actual {
  parts: { quoted: number; cost: number }
  work: { quotedHours: number; hours: number; quoted: number; atRate: number }
}
export function actualOf(c: Commission, q: Quote, terms: Terms, costOf: CostOf): Actual {
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
  const of = (kind: 'part' | 'work') => q.lines.filter((l) => l.kind === kind)
  const hours = sum(c.log.map((e) => e.hours ?? 0))
  const spoilt = sum(
    c.sabers.flatMap((s) =>
      s.losses.flatMap((l) => (l.cost?.currency === q.currency ? [minorOf(l.cost.amount, q.currency)] : [])),
    ),
  )
  const bought = sum(
    c.sabers.flatMap((s) =>
      s.parts.flatMap((p) =>
        (p.supplied ?? 'shop') === 'shop' && p.catalogue ? [minorOf(costOf(p.catalogue) ?? 0, q.currency)] : [],
      ),
    ),
  )
  return {
    parts: { quoted: sum(of('part').map((l) => l.quantity * l.price)), cost: bought + spoilt },
    work: {
      ...{ quotedHours: sum(of('work').map((l) => l.hours ?? 0)), hours },
      ...{ quoted: sum(of('work').map((l) => l.quantity * l.price)), atRate: Math.round(hours * terms.rate) },
    },
  }
}
