import * as T from '@sinclair/typebox'
import { WORK_KINDS } from '../record'
import type { Coming, Guess, Work, Worker } from '../schedule'
import { closed, Moment, Revision } from './common'
import { route } from './route'

const oneOf = <const V extends readonly string[]>(values: V) => T.Union(values.map((v) => T.Literal(v as V[number])))
const Day = T.String({ format: 'date' })
const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const Kind = oneOf(WORK_KINDS)

/** A day's hours: nobody is planned for more than fifteen. */
const DayHours = T.Number({ minimum: 0, maximum: 15 })
/** When somebody works, what he can do, and when he is away. */
const Works = T.Object(
  {
    /** By weekday, Monday first. */
    week: T.Array(DayHours, { minItems: 7, maxItems: 7 }),
    /** Everything where nothing is said. */
    skills: T.Array(Kind, { maxItems: WORK_KINDS.length, uniqueItems: true }),
    off: T.Array(T.Object({ from: Day, to: Day }, closed), { maxItems: 60 }),
  },
  closed,
)
/** How long things take, by what the shop has written down. */
const Said = T.Unsafe<Guess>({
  type: 'object',
  required: ['median', 'spread', 'n', 'from'],
  properties: {
    ...{ median: { type: 'number', minimum: 0 }, spread: { type: 'number', minimum: 1 } },
    ...{ n: { type: 'integer', minimum: 0 }, from: { enum: ['log', 'said', 'thumb'] } },
  },
})
const Timer = T.Object(
  {
    id: Id,
    commission: Id,
    title: T.String(),
    work: T.Optional(Kind),
    saber: T.Optional(Id),
    toDo: T.Optional(Id),
    began: Moment,
  },
  closed,
)
const Running = T.Object({ now: Moment, timer: T.Union([Timer, T.Null()]) }, closed)
const { began: _began, title: _title, ...begun } = Timer.properties

export const plan = {
  plan: route({
    method: 'get',
    path: '/plan',
    summary:
      'What is to be done on the open commissions, by whom, and what is waited for: all that a forecast follows from',
    good: {
      status: 200,
      says: 'The plan; at most the 500 commissions that are promised first',
      json: T.Object(
        {
          today: Day,
          /** Minutes since midnight. */
          minute: T.Integer({ minimum: 0, maximum: 1439 }),
          people: T.Array(T.Unsafe<Worker>({ type: 'object' })),
          /** The commissions that the shop has put in order by hand. */
          order: T.Array(Id),
          open: T.Array(
            T.Object(
              {
                id: Id,
                title: T.String(),
                client: T.String(),
                promise: T.Optional(Day),
                revision: Revision,
                work: T.Array(T.Unsafe<Work>({ type: 'object' })),
              },
              closed,
            ),
          ),
          coming: T.Array(T.Unsafe<Coming>({ type: 'object' })),
          log: T.Record(T.String(), Said),
          /** How many open ones are left out. */
          beyond: T.Integer({ minimum: 0 }),
        },
        closed,
      ),
    },
  }),
  setTurn: route({
    method: 'put',
    path: '/plan/order',
    summary: 'Put one commission before another one, or last; the rest stays as it is',
    body: T.Object({ id: Id, before: T.Union([Id, T.Null()]) }, closed),
    good: { status: 200, says: 'The order', json: T.Object({ order: T.Array(Id) }, closed) },
    bad: { 404: 'One of them is not on the rack' },
  }),
  planDays: route({
    method: 'get',
    path: '/plan/days.ics',
    summary: 'Promises, arrivals and days set for work, as a calendar',
    good: { status: 200, says: 'iCalendar', file: 'text/calendar' },
  }),
  works: route({
    method: 'get',
    path: '/works',
    summary: 'When everybody works, what they can do, and when they are away',
    good: {
      status: 200,
      says: 'People',
      json: T.Array(T.Object({ id: T.String(), name: T.String(), ...Works.properties }, closed)),
    },
  }),
  setWorks: route({
    method: 'put',
    path: '/works/{id}',
    summary: 'Change that: everybody of oneself, an owner of all',
    body: Works,
    good: { status: 200, says: 'As kept', json: Works },
    bad: { 404: 'Not of this shop' },
  }),
  timer: route({
    method: 'get',
    path: '/timer',
    summary: 'The clock that one has running',
    good: { status: 200, says: 'The clock, and what time it is', json: Running },
  }),
  startTimer: route({
    method: 'post',
    path: '/timer',
    summary: 'Start the clock on a piece of work; one that runs already is stopped and written down',
    body: T.Object(begun, closed),
    good: { status: 200, says: 'The clock', json: Running },
    bad: { 404: 'No such commission on the rack', 409: 'The record has been put back since' },
  }),
  stopTimer: route({
    method: 'delete',
    path: '/timer/{id}',
    summary: 'Stop the clock; what it ran goes into the log, nothing where `drop` is said',
    query: T.Object({ drop: T.Optional(T.Literal('yes')) }, closed),
    good: {
      status: 200,
      says: 'What was written down',
      json: T.Object({ hours: T.Number({ minimum: 0 }), commission: T.Union([Id, T.Null()]) }, closed),
    },
    bad: { 404: 'It does not run' },
  }),
}
