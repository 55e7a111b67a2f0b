import * as T from '@sinclair/typebox'
import type { Bias, Learned, Often, ShelfProposal } from '../learning'
import type { Guess } from '../schedule'
import { closed, orNull } from './common'
import { route } from './route'

const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const of = <X>() => T.Array(T.Unsafe<X>({ type: 'object' }))
/** Notes on how a client uses his sabers, in the shop's words. */
const Note = T.String({ maxLength: 600 })
const Day = T.String({ format: 'date' })

export const learning = {
  learning: route({
    method: 'get',
    path: '/learning',
    summary:
      'What the shop knows by now: predicted against measured, figures of the shelf that its own measurements would set, hours and lead times, what fails, comes back, slips and is asked',
    query: T.Object({ row: T.Optional(Id), lot: T.Optional(T.String({ maxLength: 240 })) }, closed),
    good: {
      status: 200,
      says: 'What was learnt; `left` records are not looked through yet',
      json: T.Object(
        {
          biases: of<Bias>(),
          proposals: of<ShelfProposal>(),
          log: T.Record(T.String(), T.Unsafe<Guess>({ type: 'object' })),
          failing: of<Often>(),
          returns: of<Often>(),
          slips: of<Often>(),
          asks: of<Often>(),
          left: T.Integer({ minimum: 0 }),
        },
        closed,
      ),
    },
  }),
  clientCard: route({
    method: 'get',
    path: '/clients/{id}',
    summary: 'A client with his sabers, what he asked, and his habits',
    good: {
      status: 200,
      says: 'The client',
      json: T.Object(
        {
          id: T.String(),
          name: T.String(),
          country: orNull(T.String()),
          contact: orNull(T.String()),
          note: T.String(),
          habits: T.Array(T.Unsafe<Learned['habits'][number]>({ type: 'string' })),
          commissions: T.Array(
            T.Object(
              { id: Id, title: T.String(), job: T.String(), shipped: orNull(Day), deadline: orNull(Day) },
              closed,
            ),
          ),
          asked: T.Array(
            T.Object(
              { commission: Id, title: T.String(), text: T.String(), on: orNull(Day), answered: T.Boolean() },
              closed,
            ),
          ),
        },
        closed,
      ),
    },
    bad: { 404: 'Not a client of this shop' },
  }),
  setHabits: route({
    method: 'put',
    path: '/clients/{id}/habits',
    summary: 'What the shop has noticed of how a client uses his sabers',
    body: T.Object({ note: Note }, closed),
    good: { status: 200, says: 'As kept', json: T.Object({ note: T.String() }, closed) },
    bad: { 404: 'Not a client of this shop' },
  }),
}
