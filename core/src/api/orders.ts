import * as T from '@sinclair/typebox'
import type { Low, ReservedTwice, Standing, ToOrder } from '../stock'
import { closed } from './common'
import { route } from './route'

const Day = T.String({ format: 'date' })
const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const Name = T.String({ minLength: 1, maxLength: 240, pattern: '\\S' })
const Quantity = T.Integer({ minimum: 1, maximum: 9999 })
export const ARRIVAL_FAULTS = ['wrong', 'damaged'] as const
const Fault = T.Union(ARRIVAL_FAULTS.map((f) => T.Literal(f)))

/** What is ordered: some of a row of the shelf, or of anything with a name, for the shelf or for one part of a commission. */
const Ordered = {
  id: Id,
  catalogue: T.Optional(Id),
  name: Name,
  supplier: Name,
  quantity: Quantity,
  commission: T.Optional(Id),
  part: T.Optional(Id),
  orderedOn: Day,
  expectedOn: T.Optional(Day),
}
const Line = T.Object(
  {
    ...Ordered,
    title: T.Optional(T.String()),
    arrivedOn: T.Optional(Day),
    lot: T.Optional(T.String()),
    fault: T.Optional(Fault),
    note: T.Optional(T.String()),
    by: T.String(),
  },
  closed,
)

export const orders = {
  orders: route({
    method: 'get',
    path: '/orders',
    summary: 'What is to be ordered, what is on its way, what came last, what is laid aside twice and what runs low',
    good: {
      status: 200,
      says: 'Orders',
      json: T.Object(
        {
          toOrder: T.Array(T.Unsafe<ToOrder>({ type: 'object' })),
          twice: T.Array(T.Unsafe<ReservedTwice>({ type: 'object' })),
          low: T.Array(T.Unsafe<Low>({ type: 'object' })),
          /** What is in hand and free for somebody who has not laid it aside yet. */
          free: T.Array(T.Unsafe<Standing['chosen']>({ type: 'object' })),
          coming: T.Array(Line),
          arrived: T.Array(Line),
        },
        closed,
      ),
    },
  }),
  order: route({
    method: 'post',
    path: '/orders',
    summary: 'Write down what was ordered; what is sent twice is there once',
    body: T.Object({ lines: T.Array(T.Object(Ordered, closed), { minItems: 1, maxItems: 200 }) }, closed),
    good: { status: 201, says: 'Written down', json: T.Object({ lines: T.Integer() }, closed) },
    bad: { 404: 'A commission or a row of the shelf that is not there' },
  }),
  arrive: route({
    method: 'put',
    path: '/orders/{id}/arrival',
    summary:
      'Book what came: onto the shelf with its lot, or, wrong or damaged, as something left to do; fewer than ordered leave the rest on its way',
    body: T.Object(
      {
        on: Day,
        quantity: Quantity,
        lot: T.Optional(T.String({ maxLength: 240 })),
        fault: T.Optional(Fault),
        note: T.Optional(T.String({ maxLength: 400 })),
      },
      closed,
    ),
    good: { status: 200, says: 'The line', json: Line },
    bad: { 404: 'Never ordered', 409: 'It has come already' },
  }),
  dropOrder: route({
    method: 'delete',
    path: '/orders/{id}',
    summary: 'Strike out what was not ordered after all',
    good: { status: 204, says: 'Struck out', empty: true },
    bad: { 404: 'Never ordered', 409: 'It has come already' },
  }),
  orderList: route({
    method: 'get',
    path: '/orders/list.csv',
    summary: 'What is to be ordered, of one supplier or of all, as a list to send',
    query: T.Object({ supplier: T.Optional(T.String({ maxLength: 240 })) }, closed),
    good: { status: 200, says: 'CSV', file: 'text/csv' },
  }),
}
