import * as T from '@sinclair/typebox'
import { MapFile } from '../controls'
import { CataloguePartSchema } from '../parts/schema'
import { closed, orNull } from './common'
import { route } from './route'

const { id: _id, ...withoutId } = CataloguePartSchema.properties
const Asked = T.String({ minLength: 1, maxLength: 120, pattern: '\\S' })
const Carried = T.Object(
  {
    part: T.String(),
    lot: orNull(T.String()),
    kind: T.String(),
    saberId: T.String(),
    saber: T.String(),
    commission: T.String(),
    title: T.String(),
    shipped: orNull(T.String()),
    client: orNull(T.String()),
    /** Whether it hangs on the rack, was taken off it, or was erased: of that lot and part are kept, and no name. */
    place: T.Union([T.Literal('rack'), T.Literal('off'), T.Literal('erased')]),
  },
  closed,
)
const Count = T.Integer({ minimum: 0 })

export const shelf = {
  parts: route({
    method: 'get',
    path: '/parts',
    summary: 'The catalogue',
    good: { status: 200, says: 'Parts', json: T.Array(CataloguePartSchema) },
  }),
  partsCsv: route({
    method: 'get',
    path: '/parts/export.csv',
    summary: 'The catalogue as CSV',
    good: { status: 200, says: 'CSV', file: 'text/csv' },
  }),
  partsJson: route({
    method: 'get',
    path: '/parts/export.json',
    summary: 'The catalogue as JSON',
    good: { status: 200, says: 'JSON', file: 'application/json' },
  }),
  keepPart: route({
    method: 'put',
    path: '/parts/{id}',
    summary: 'Put one part on the shelf, or change it',
    body: T.Object({ id: T.Optional(T.String()), ...withoutId }, closed),
    good: { status: 200, says: 'The part', json: CataloguePartSchema },
  }),
  dropPart: route({
    method: 'delete',
    path: '/parts/{id}',
    summary: 'Take one part off the shelf; sabers keep their copy',
    good: { status: 204, says: 'Taken off', empty: true },
    bad: { 404: 'Not on this shelf' },
  }),
  bringIn: route({
    method: 'post',
    path: '/parts/import',
    summary: 'Bring parts in from CSV or JSON; all or none, or with take=good the rows without a fault',
    query: T.Object({ take: T.Optional(T.Literal('good')) }, closed),
    takesFile: true,
    good: {
      status: 201,
      says: 'Taken in',
      json: T.Object({ rows: T.Integer(), taken: T.Integer(), faults: T.Integer() }, closed),
    },
  }),
  readMap: route({
    method: 'post',
    path: '/maps/read',
    summary: 'Read a file of controls; nothing is kept of it',
    takesFile: true,
    good: { status: 200, says: 'The map', json: MapFile },
  }),
  recall: route({
    method: 'get',
    path: '/recall',
    summary: 'Which sabers carry this part or lot, wherever they are by now',
    query: T.Object({ q: Asked }, closed),
    good: {
      status: 200,
      says: 'Sabers, as many as are shown; how many there are, and of how many nobody can be reached any more',
      json: T.Object({ carried: T.Array(Carried), sabers: Count, erased: Count }, closed),
    },
  }),
  recallMessages: route({
    method: 'post',
    path: '/recall/messages',
    summary:
      'Write to every client whose saber carries a part or lot, on the rack or off it; drafts only, until `send`',
    needs: 'maker',
    body: T.Object(
      {
        id: T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' }),
        q: Asked,
        why: T.String({ minLength: 3, maxLength: 600, pattern: '\\S' }),
        todo: T.String({ minLength: 3, maxLength: 600, pattern: '\\S' }),
        send: T.Boolean(),
      },
      closed,
    ),
    good: {
      status: 200,
      says: 'Messages, one a commission, and how many commissions were erased, whose clients nobody can reach',
      json: T.Object(
        {
          messages: T.Array(
            T.Object(
              {
                commission: T.String(),
                title: T.String(),
                client: T.String(),
                contact: T.String(),
                /** What in the contact is an address for mail; empty where it is none. */
                to: T.String(),
                subject: T.String(),
                text: T.String(),
                sent: T.Boolean(),
              },
              closed,
            ),
          ),
          erased: Count,
        },
        closed,
      ),
    },
    bad: { 409: 'The shop has no address to write from' },
  }),
}
