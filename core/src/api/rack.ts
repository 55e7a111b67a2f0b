import { Type as T } from '@sinclair/typebox'
import { STATIONS } from '../judge'
import { Hilt, JOBS } from '../record'
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
    sabers: T.Array(T.Object({ id: T.String(), name: T.String(), job: Job, hilt: Hilt }, closed)),
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

export const rack = {
  rack: route({
    method: 'get',
    path: '/rack',
    summary: 'All commissions with their progress and what blocks them',
    good: {
      status: 200,
      says: 'The rack',
      json: T.Object({ shop: T.String(), commissions: T.Array(RackRow) }, closed),
    },
  }),
  clients: route({
    method: 'get',
    path: '/clients',
    summary: 'Clients with their commissions',
    query: T.Object({ name: T.Optional(T.String({ maxLength: 240 })) }, closed),
    good: { status: 200, says: 'Clients', json: T.Array(KnownClient) },
  }),
}
