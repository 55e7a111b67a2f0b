import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'

const closed = { additionalProperties: false }
const opt = T.Optional
const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const Day = T.String({ format: 'date' })
const Line = T.String({ minLength: 1, maxLength: 240, pattern: '\\S' })
/** Whole cents, pence, öre: never a fraction. */
const Minor = T.Integer({ minimum: 0, maximum: 1_000_000_000 })
const Signed = T.Integer({ minimum: -1_000_000_000, maximum: 1_000_000_000 })
/** That the client agreed: when, and by what message. */
const Agreed = T.Object({ on: Day, by: Line }, closed)

export const LINE_KINDS = ['part', 'work', 'other'] as const
export const PAYMENT_KINDS = ['deposit', 'balance', 'other'] as const
export const QUOTE_STATES = ['draft', 'sent', 'accepted', 'declined', 'replaced'] as const

/** What is offered for a commission and at what price: a version of it, kept as it was. Amounts are whole minor units of one currency; of taxes it knows nothing. */
export const Quote = T.Object(
  {
    format: T.Literal('nubrin-quote'),
    version: T.Literal(1),
    number: T.Integer({ minimum: 1, maximum: 999 }),
    on: Day,
    by: Line,
    currency: T.String({ pattern: '^[A-Z]{3}$' }),
    state: T.Union(QUOTE_STATES.map((s) => T.Literal(s))),
    lines: T.Array(
      T.Object(
        {
          id: Id,
          kind: T.Union(LINE_KINDS.map((k) => T.Literal(k))),
          what: Line,
          quantity: T.Integer({ minimum: 1, maximum: 9999 }),
          /** Of each: what the client pays, and what the shop does. */
          price: Minor,
          cost: opt(Minor),
          /** Of work: the hours that the price was reckoned from. */
          hours: opt(T.Number({ minimum: 0, maximum: 2000 })),
        },
        closed,
      ),
      { maxItems: 200 },
    ),
    /** Held out of the sum until they are accepted. */
    options: T.Array(T.Object({ id: Id, what: Line, price: Minor, request: opt(Id), accepted: opt(Agreed) }, closed), {
      maxItems: 60,
    }),
    /** What became different afterwards, with the client's consent: dearer or cheaper by so much. */
    changes: T.Array(T.Object({ id: Id, on: Day, what: Line, price: Signed, consent: Line }, closed), {
      maxItems: 200,
    }),
    payments: T.Array(
      T.Object(
        {
          id: Id,
          on: Day,
          kind: T.Union(PAYMENT_KINDS.map((k) => T.Literal(k))),
          amount: Minor,
          note: opt(T.String({ maxLength: 240 })),
        },
        closed,
      ),
      { maxItems: 60 },
    ),
    validUntil: opt(Day),
    note: opt(T.String({ maxLength: 2000 })),
    sentOn: opt(Day),
    accepted: opt(Agreed),
  },
  closed,
)
export type Quote = Static<typeof Quote>

export interface Sums {
  /** Lines; options that were accepted; changes; all of these; what was paid; what is left to pay, less than nothing where too much was paid. */
  lines: number
  options: number
  changes: number
  total: number
  paid: number
  balance: number
  /** Options that are open: not in the total. */
  open: number
}
const sum = <X>(list: readonly X[], of: (x: X) => number) => list.reduce((n, x) => n + of(x), 0)

/** The sums of a quote, in minor units. */
export function sumsOf(q: Quote): Sums {
  const lines = sum(q.lines, (l) => l.quantity * l.price)
  const options = sum(q.options, (o) => (o.accepted ? o.price : 0))
  const changes = sum(q.changes, (c) => c.price)
  const total = lines + options + changes
  const paid = sum(q.payments, (p) => p.amount)
  return {
    lines,
    options,
    changes,
    total,
    paid,
    balance: total - paid,
    open: sum(q.options, (o) => (o.accepted ? 0 : o.price)),
  }
}

/** What a version that was sent may no longer change: what it offers. Accepting, paying and agreed changes come after it. */
const OFFERED = ['currency', 'lines', 'on', 'by', 'number', 'validUntil'] as const
/** Fields of an offer that would be changed although it was sent; none for a draft. */
export function changedOffer(before: Quote, after: Quote): string[] {
  if (before.state === 'draft') return []
  const fields: string[] = OFFERED.filter((k) => JSON.stringify(before[k]) !== JSON.stringify(after[k]))
  const offer = (q: Quote) => JSON.stringify(q.options.map(({ accepted: _a, ...o }) => o))
  if (offer(before) !== offer(after)) fields.push('options')
  if (after.state === 'draft') fields.push('state')
  return fields
}
