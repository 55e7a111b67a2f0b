import * as T from '@sinclair/typebox'
import { STATIONS } from '../judge'
import { FACINGS, Hilt, JOBS, TODO_BLOCKS, TODO_WHO } from '../record'
import { closed, Moment, orNull, Revision } from './common'
import { route } from './route'

const oneOf = <const V extends readonly string[]>(values: V) => T.Union(values.map((v) => T.Literal(v as V[number])))
const Day = T.String({ format: 'date' })
const Job = oneOf(JOBS)
const State = oneOf(['empty', 'stop', 'caution', 'clear'] as const)

/** One commission on its peg. */
const RackRow = T.Object(
  {
    id: T.String(),
    title: T.String(),
    client: T.String(),
    job: Job,
    deadline: orNull(Day),
    shipped: orNull(Day),
    revision: Revision,
    savedAt: Moment,
    savedBy: T.String(),
    sabers: T.Array(T.Object({ id: T.String(), name: T.String(), job: Job }, closed)),
    /** The first saber's hilt, as far as it is drawn there. */
    hilt: Hilt,
    colour: orNull(T.String()),
    states: T.Object(
      Object.fromEntries(STATIONS.map((s) => [s, State])) as Record<(typeof STATIONS)[number], typeof State>,
      closed,
    ),
    progress: T.Number({ minimum: 0, maximum: 1 }),
    blocking: T.Union([
      T.Object(
        {
          level: oneOf(['stop', 'caution', 'note'] as const),
          station: oneOf(STATIONS),
          title: T.String(),
          saber: orNull(T.String()),
        },
        closed,
      ),
      T.Null(),
    ]),
    gate: T.Integer({ minimum: 0 }),
  },
  closed,
)
/** What is kept of a commission for the rack: all but what its row says anyway. */
export type RackEntry = Omit<T.Static<typeof RackRow>, 'revision' | 'savedAt' | 'savedBy'>

const KnownClient = T.Object(
  {
    id: T.String(),
    name: T.String(),
    country: orNull(T.String()),
    contact: orNull(T.String()),
    note: orNull(T.String()),
    commissions: T.Array(
      T.Object({ id: T.String(), title: T.String(), shipped: orNull(Day), job: T.String() }, closed),
    ),
  },
  closed,
)

/** Work that is left on some commission of the shop. */
const LeftToDo = T.Object(
  {
    id: T.String(),
    commission: T.String(),
    title: T.String(),
    client: orNull(T.String()),
    revision: Revision,
    text: T.String(),
    about: orNull(T.String()),
    who: oneOf(TODO_WHO),
    person: orNull(T.String()),
    due: orNull(Day),
    blocks: T.Union([oneOf(TODO_BLOCKS), T.Null()]),
    /** The day on which the commission is to ship. */
    ships: orNull(Day),
  },
  closed,
)

export const rack = {
  rack: route({
    method: 'get',
    path: '/rack',
    summary:
      'Commissions with their progress and what blocks them, a page at a time, or those that answer to some words',
    query: T.Object(
      {
        place: T.Optional(oneOf(['open', 'shipped', 'model'] as const)),
        after: T.Optional(T.String({ pattern: '^\\d{4}-\\d{2}-\\d{2} \\S{1,48}$' })),
        q: T.Optional(T.String({ minLength: 1, maxLength: 120 })),
      },
      closed,
    ),
    good: {
      status: 200,
      says: 'The rack; `next` asks for the page after',
      json: T.Object(
        {
          shop: T.String(),
          counts: T.Optional(
            T.Object(
              {
                open: T.Integer(),
                shipped: T.Integer(),
                models: T.Integer(),
                sabers: T.Integer(),
                soon: T.Integer(),
              },
              closed,
            ),
          ),
          commissions: T.Array(RackRow),
          next: orNull(T.String()),
        },
        closed,
      ),
    },
  }),
  poles: route({
    method: 'get',
    path: '/commissions/{id}/poles',
    summary: 'Which way round the cells go in the client’s other sabers, and in those the shop made last',
    good: {
      status: 200,
      says: 'Ends to which the plus poles look',
      json: T.Object(
        {
          earlier: T.Array(T.Object({ title: T.String(), saber: T.String(), end: oneOf(FACINGS) }, closed)),
          habit: T.Object({ emitter: T.Integer(), pommel: T.Integer() }, closed),
        },
        closed,
      ),
    },
    bad: { 404: 'Not in this shop' },
  }),
  clientOf: route({
    method: 'get',
    path: '/commissions/{id}/client',
    summary: 'The client of a commission, their other ones, and clients of the same name',
    good: {
      status: 200,
      says: 'Client',
      json: T.Object(
        {
          id: orNull(T.String()),
          earlier: T.Array(T.Object({ id: T.String(), title: T.String() }, closed)),
          alike: T.Array(T.Object({ id: T.String(), name: T.String(), titles: T.Array(T.String()) }, closed)),
        },
        closed,
      ),
    },
    bad: { 404: 'Not in this shop' },
  }),
  clients: route({
    method: 'get',
    path: '/clients',
    summary: 'Clients with their commissions',
    query: T.Object({ name: T.Optional(T.String({ maxLength: 240 })) }, closed),
    good: { status: 200, says: 'Clients', json: T.Array(KnownClient) },
  }),
  toDos: route({
    method: 'get',
    path: '/to-dos',
    summary: 'The work that is left on all open commissions, what presses most first, at most 500',
    good: { status: 200, says: 'Work', json: T.Array(LeftToDo) },
  }),
}
