import { API, type GoodOf, reaching } from '@nubrin/core/api'
import { fileNameOf } from '@nubrin/core/handoff'
import {
  actualOf,
  changedOffer,
  draftQuote,
  minorOf,
  mixedIn,
  type Quote,
  quotePaper,
  sumsOf,
} from '@nubrin/core/quote'
import { type Commission, readerOf } from '@nubrin/core/record'
import { itemAt, type Op } from '@nubrin/core/record/ops'
import { guessesFrom } from '@nubrin/core/schedule'
import type { Router } from 'express'
import { newId, today } from '../base/ids'
import type { Commissions } from '../commissions/store'
import type { QuoteRow, Tables } from '../db/models'
import { transact } from '../db/transact'
import { sendPdf } from '../handoff/papers'
import { quotePage } from '../handoff/quote-page'
import { Conflict, Invalid, NotFound } from '../http/problem'
import { notAllowed, serve, type Who } from '../http/serve'
import { settingsOf } from '../people/settings'
import type { Work } from '../work/kinds'
import type { Logs } from './history'

interface With {
  db: Tables
  store: Commissions
  logs: Logs
  work: Work
}
type Kept = GoodOf<(typeof API)['draftQuote']>

const keptOf = (q: QuoteRow): Kept => {
  const quote = q.quote as Quote
  return {
    ...{ quote, revision: q.revision, savedAt: new Date(q.savedAt).toISOString(), savedBy: q.savedBy },
    sums: sumsOf(quote),
  }
}

/** What is offered for a commission: versions, options, what was agreed and paid. For whom the owner has opened prices. */
export function quoteRoutes(r: Router, { db, store, logs, work }: With): void {
  /** The shop's terms, where somebody may see prices. */
  const termsFor = async (who: Who) => {
    const s = await settingsOf(db, who.shopId)
    if (!reaching(s.pricesFor).includes(who.role)) throw notAllowed('Prices are for the owner of the shop to open.')
    return { ...s, terms: { currency: s.currency, rate: minorOf(s.hourRate, s.currency), margin: s.margin } }
  }
  const costs = async (shopId: string) => {
    const rows = await db.parts.findAll({ where: { shopId }, attributes: ['id', 'cost'], raw: true })
    const by = new Map(rows.map((p) => [p.id, p.cost]))
    return (row: string) => by.get(row) ?? undefined
  }
  const versions = (id: string) => db.quotes.findAll({ where: { commissionId: id }, order: [['number', 'DESC']] })
  const one = async (who: Who, id: string, number: string) => {
    await store.there(who.shopId, id)
    const row = /^\d{1,3}$/.test(number)
      ? await db.quotes.findOne({ where: { commissionId: id, number: Number(number) } })
      : null
    if (!row) throw new NotFound(`There is no version ${number} of a quote for this commission.`)
    return row
  }

  serve(r, API.quotes, async ({ params, who }) => {
    const { terms } = await termsFor(who)
    const { record } = await store.load(who.shopId, params.id)
    const rows = await versions(params.id)
    const last =
      rows.map((x) => x.quote as Quote).find((q) => q.state !== 'draft') ?? (rows[0]?.quote as Quote | undefined)
    return {
      quotes: rows.map(keptOf),
      actual: last ? actualOf(record, last, terms, await costs(who.shopId)) : null,
    }
  })

  serve(r, API.draftQuote, async ({ params, body, who }) => {
    const { terms } = await termsFor(who)
    const { record } = await store.load(who.shopId, params.id)
    const [mixed] = mixedIn(record, terms)
    if (mixed)
      throw new Conflict(
        `“${mixed.wish}” is priced in ${mixed.currency}, and the shop quotes in ${terms.currency}: one quote has one currency.`,
        { path: '/requests', rule: 'currency', message: `must be in ${terms.currency}`, got: mixed.currency },
      )
    const [guesses, costOf] = [guessesFrom(await logs.of(who.shopId)), await costs(who.shopId)]
    return transact(db.sequelize, async (transaction) => {
      const rows = await db.quotes.findAll({
        where: { commissionId: params.id },
        order: [['number', 'DESC']],
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      const last = rows[0]?.quote as Quote | undefined
      if (last?.state === 'draft') throw new Conflict(`Version ${last.number} is a draft already.`)
      const number = (last?.number ?? 0) + 1
      const given = { number, on: today(), by: who.name, terms, costOf, guesses, newId: () => newId('q') }
      const fresh = draftQuote(record, given)
      // What was agreed and paid is not offered anew: the newest version alone is in force, so it takes it along.
      const { sentOn: _s, accepted: _a, ...kept } = last ?? fresh
      const quote: Quote =
        body.from === 'last' && last ? { ...kept, number, on: today(), by: who.name, state: 'draft' } : fresh
      const row = { commissionId: params.id, number, quote, revision: 1, savedAt: new Date(), savedBy: who.name }
      await db.quotes.create(row, { transaction })
      return keptOf(row)
    })
  })

  serve(r, API.keepQuote, async ({ params, body, who }) => {
    await termsFor(who)
    const was = (await one(who, params.id, params.number)).quote as Quote
    const { quote, base } = body
    if (String(quote.number) !== params.number)
      throw new Invalid('The quote was not saved: it is another version.', [
        { path: '/quote/number', rule: 'const', message: `must be ${params.number}`, got: String(quote.number) },
      ])
    if (quote.validUntil && quote.validUntil < quote.on)
      throw new Invalid('The quote was not saved: it ends before it begins.', [
        { path: '/quote/validUntil', rule: 'order', message: 'is before the day of the quote', got: quote.validUntil },
      ])
    const kept = await transact(db.sequelize, async (transaction) => {
      const rows = await db.quotes.findAll({
        where: { commissionId: params.id },
        transaction,
        lock: transaction.LOCK.UPDATE,
      })
      const row = rows.find((x) => x.number === quote.number)!
      if (row.revision !== base)
        throw new Conflict(`${row.savedBy} has changed this quote since you read it. Read it again.`)
      const before = row.quote as Quote
      const changed = changedOffer(before, quote)
      if (changed.length)
        throw new Conflict(`Version ${quote.number} was sent: what it offers stays. Begin another version.`, {
          ...{ path: `/quote/${changed[0]}`, rule: 'sent', message: 'may not be changed after it was sent' },
        })
      const now = {
        ...quote,
        ...(before.state === 'draft' && quote.state === 'sent' ? { sentOn: quote.sentOn ?? today() } : {}),
      }
      const next = { quote: now, revision: row.revision + 1, savedAt: new Date(), savedBy: who.name }
      await db.quotes.update(next, { where: { commissionId: params.id, number: quote.number }, transaction })
      // What is sent takes the place of what was.
      if (before.state === 'draft' && now.state === 'sent')
        for (const o of rows)
          if (o.number < quote.number && ['sent', 'accepted'].includes((o.quote as Quote).state))
            await db.quotes.update(
              { quote: { ...(o.quote as Quote), state: 'replaced' }, revision: o.revision + 1 },
              { where: { commissionId: params.id, number: o.number }, transaction },
            )
      return keptOf({ commissionId: params.id, number: quote.number, ...next })
    })
    await wishesAccepted(who, params.id, was, quote)
    return kept
  })
  /** A wish that was offered is accepted, or not any more, on the same day in the record. */
  const wishesAccepted = async (who: Who, id: string, was: Quote, is: Quote) => {
    const days = (q: Quote) =>
      new Map(q.options.flatMap((o) => (o.request ? [[o.request, o.accepted?.on] as const] : [])))
    const before = days(was)
    const changed = [...days(is)].filter(([wish, on]) => before.get(wish) !== on)
    if (!changed.length) return
    const { record, revision } = await store.load(who.shopId, id)
    const ops = changed.flatMap(([wish, on]): Op[] => {
      const r = record.requests.find((x) => x.id === wish)
      const at = `${itemAt('/requests', wish)}/acceptedOn`
      if (!r || r.acceptedOn === on) return []
      return [on ? { op: 'set', at, value: on, was: r.acceptedOn } : { op: 'unset', at, was: r.acceptedOn }]
    })
    if (ops.length) await store.change(who, id, revision, ops)
  }

  serve(r, API.dropQuote, async ({ params, who }) => {
    await termsFor(who)
    const row = await one(who, params.id, params.number)
    if ((row.quote as Quote).state !== 'draft') throw new Conflict('It was sent, and stays.')
    await db.quotes.destroy({ where: { commissionId: params.id, number: row.number } })
    return undefined
  })

  /** A version as its client reads it. */
  const paperOf = async (who: Who, id: string, number: string) => {
    const { name, address } = await termsFor(who)
    const row = await one(who, id, number)
    const { record } = await store.load(who.shopId, id)
    const reader = readerOf(record as Commission)
    return { paper: quotePaper(record, row.quote as Quote, name), reader, shop: name, address, record }
  }
  serve(r, API.quotePdf, async ({ params, query, who, res }) => {
    const { paper, reader, shop, address, record } = await paperOf(who, params.id, params.number)
    const ask = { quote: paper, reader, shop, address, paper: query.paper ?? record.handoff.paper }
    const pdf = await work.run('quote', ask, who)
    sendPdf(res, pdf, `${fileNameOf(record)}-quote-${params.number}`)
    return undefined
  })
  serve(r, API.quotePage, async ({ params, who, res }) => {
    const { paper, reader, shop, record } = await paperOf(who, params.id, params.number)
    res
      .type('html')
      .attachment(`${fileNameOf(record)}-quote-${params.number}.html`)
      .send(quotePage(paper, { language: reader.language, shop }))
    return undefined
  })
}
