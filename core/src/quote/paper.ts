import type { Commission } from '../record'
import { readerOf } from '../record'
import { dayText } from '../units'
import { say } from '../words'
import { moneyText } from './money'
import { type Quote, sumsOf } from './quote'

/** A row of a quote as the client reads it. */
export interface QuoteRow {
  what: string
  price: string
  /** Said under it. */
  more?: string
}
/** A quote as its client reads it, in his language: what the shop pays for a part and how many hours it reckons with are not his. */
export interface QuotePaper {
  title: string
  head: string[]
  lines: QuoteRow[]
  options: { title: string; rows: QuoteRow[] }
  changes: { title: string; rows: QuoteRow[] }
  sums: QuoteRow[]
  paid: { title: string; rows: QuoteRow[] }
  foot: string[]
}
export function quotePaper(c: Commission, q: Quote, shop: string): QuotePaper {
  const reader = readerOf(c)
  const money = (minor: number) => moneyText(reader, minor, q.currency)
  const day = (iso: string) => dayText(reader, iso)
  const sums = sumsOf(q)
  const agreed = (a: { on: string; by: string }) => say(reader, 'quote.agreed', { on: day(a.on), by: a.by })
  const row = (key: 'total' | 'paid' | 'balance', minor: number): QuoteRow => ({
    what: say(reader, 'quote.sum', { which: key }),
    price: money(minor),
  })
  const many = (what: string, quantity: number) => (quantity > 1 ? `${quantity} × ${what}` : what)
  return {
    title: say(reader, 'quote.title', { title: c.title, number: q.number }),
    head: [
      say(reader, 'quote.head', { client: c.client.name, shop, on: day(q.on) }),
      ...(q.validUntil ? [say(reader, 'quote.valid', { on: day(q.validUntil) })] : []),
    ],
    lines: q.lines.map((l) => ({ what: many(l.what, l.quantity), price: money(l.quantity * l.price) })),
    options: {
      title: say(reader, 'quote.options'),
      rows: q.options.map((o) => ({
        ...{ what: o.what, price: money(o.price) },
        more: o.accepted ? agreed(o.accepted) : say(reader, 'quote.open'),
      })),
    },
    changes: {
      title: say(reader, 'quote.changes'),
      rows: q.changes.map((x) => ({ what: x.what, price: money(x.price), more: agreed({ on: x.on, by: x.consent }) })),
    },
    sums: [row('total', sums.total), ...(sums.paid ? [row('paid', sums.paid), row('balance', sums.balance)] : [])],
    paid: {
      title: say(reader, 'quote.payments'),
      rows: q.payments.map((p) => ({
        ...{ what: say(reader, 'quote.payment', { kind: p.kind, on: day(p.on) }), price: money(p.amount) },
        ...(p.note ? { more: p.note } : {}),
      })),
    },
    foot: [...(q.note ? [q.note] : []), ...(q.accepted ? [agreed(q.accepted)] : []), say(reader, 'quote.taxes')],
  }
}
