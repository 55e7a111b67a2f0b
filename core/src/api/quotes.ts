import * as T from '@sinclair/typebox'
import { type Actual, Quote, type Sums } from '../quote'
import { closed, Moment } from './common'
import { route } from './route'

const Kept = T.Object(
  {
    quote: Quote,
    revision: T.Integer({ minimum: 1 }),
    savedAt: Moment,
    savedBy: T.String(),
    sums: T.Unsafe<Sums>({ type: 'object' }),
  },
  closed,
)

export const quotes = {
  quotes: route({
    method: 'get',
    path: '/commissions/{id}/quotes',
    summary:
      'What was offered for a commission, the newest version first, and what it really takes; for whom the owner has opened prices',
    good: {
      status: 200,
      says: 'Quotes',
      json: T.Object(
        { quotes: T.Array(Kept), actual: T.Union([T.Unsafe<Actual>({ type: 'object' }), T.Null()]) },
        closed,
      ),
    },
    bad: { 404: 'Not in this shop' },
  }),
  draftQuote: route({
    method: 'post',
    path: '/commissions/{id}/quotes',
    summary:
      'Begin a version: from the newest one where there is one, which it replaces once it is sent, else from the record',
    body: T.Object({ from: T.Union([T.Literal('record'), T.Literal('last')]) }, closed),
    good: { status: 201, says: 'The draft', json: Kept },
    bad: { 404: 'Not in this shop', 409: 'A wish is priced in another currency, or a draft is there already' },
  }),
  keepQuote: route({
    method: 'put',
    path: '/commissions/{id}/quotes/{number}',
    summary:
      'Keep a version as it is now, against the revision it was read at; what was offered stays once it was sent',
    body: T.Object({ quote: Quote, base: T.Integer({ minimum: 1 }) }, closed),
    good: { status: 200, says: 'As kept', json: Kept },
    bad: { 404: 'Not there', 409: 'Somebody else changed it, or it was sent' },
  }),
  dropQuote: route({
    method: 'delete',
    path: '/commissions/{id}/quotes/{number}',
    summary: 'Throw a draft away',
    good: { status: 204, says: 'Gone', empty: true },
    bad: { 404: 'Not there', 409: 'It was sent' },
  }),
  quotePdf: route({
    method: 'get',
    path: '/commissions/{id}/quotes/{number}/quote.pdf',
    summary: 'A version as paper, in the client’s language',
    query: T.Object({ paper: T.Optional(T.Union([T.Literal('A4'), T.Literal('Letter')])) }, closed),
    good: { status: 200, says: 'PDF', file: 'application/pdf' },
    bad: { 404: 'Not there' },
  }),
  quotePage: route({
    method: 'get',
    path: '/commissions/{id}/quotes/{number}/quote.html',
    summary: 'A version as a page that needs nothing else, in the client’s language',
    good: { status: 200, says: 'HTML', file: 'text/html' },
    bad: { 404: 'Not there' },
  }),
}
