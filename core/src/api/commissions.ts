import * as T from '@sinclair/typebox'
import { Commission, JOBS, PURPOSES } from '../record'
import { type Op, OpSchema } from '../record/ops'
import { closed, Moment, Revision, Title } from './common'
import { route } from './route'

const oneOf = <const V extends readonly string[]>(values: V) => T.Union(values.map((v) => T.Literal(v as V[number])))
/** A whole commission as it is kept. */
const SavedCommission = T.Object(
  { record: Commission, revision: Revision, savedAt: Moment, savedBy: T.String() },
  closed,
)
const whole = (status: 200 | 201, says: string) => ({ status, says, json: SavedCommission }) as const
const file = (says: string, type: string) => ({ status: 200, says, file: type }) as const
const elsewhere = { 404: 'Not in this shop' } as const

/** Operations of a revision. Those from before operations had identities are kept as they were. */
const OldOrNewOps = T.Array(T.Unsafe<Op>(T.Object({}, { additionalProperties: true })))
/** One revision as it was made. */
const Revised = T.Object(
  {
    revision: Revision,
    by: T.String(),
    at: Moment,
    ops: OldOrNewOps,
    change: T.Optional(T.String()),
  },
  closed,
)

/** The most operations one change may have. */
const MOST_OPS = 2000

export const commissions = {
  begin: route({
    method: 'post',
    path: '/commissions',
    summary: 'Begin a commission, empty or from a model sheet',
    body: T.Object(
      {
        title: Title,
        client: T.Optional(T.String({ maxLength: 240 })),
        job: T.Optional(oneOf(JOBS)),
        purpose: T.Optional(oneOf(PURPOSES)),
        model: T.Optional(T.String({ maxLength: 48 })),
        /** A client of the shop whom a person said it is. */
        knownClient: T.Optional(T.String({ maxLength: 48 })),
      },
      closed,
    ),
    good: whole(201, 'The new record'),
  }),
  commission: route({
    method: 'get',
    path: '/commissions/{id}',
    summary: 'One commission whole',
    good: whole(200, 'Record and revision'),
    bad: elsewhere,
  }),
  change: route({
    method: 'patch',
    path: '/commissions/{id}',
    summary: 'Change it by operations that name things by identity, against the revision they were made on',
    body: T.Object(
      {
        base: Revision,
        ops: T.Array(OpSchema, { minItems: 1, maxItems: MOST_OPS }),
        change: T.Optional(T.String({ minLength: 8, maxLength: 64, pattern: '^[\\w-]+$' })),
        /** When the revision `base` was saved, as it was read: another one of that number, as after a restore, is refused. */
        at: T.Optional(Moment),
      },
      closed,
    ),
    good: {
      status: 200,
      says: 'Saved; `since` is every revision after the base, one’s own among them, to be carried out in their order',
      json: T.Object({ revision: Revision, savedAt: Moment, savedBy: T.String(), since: T.Array(Revised) }, closed),
    },
    bad: {
      ...elsewhere,
      403: 'Of what it changes something is for makers',
      409: 'Somebody else changed the same field; says who changed what. Or the base is no revision of this record any more',
    },
  }),
  changes: route({
    method: 'get',
    path: '/commissions/{id}/changes',
    summary: 'What was changed after a revision',
    query: T.Object({ after: T.String({ pattern: '^\\d{1,9}$' }), at: T.Optional(Moment) }, closed),
    good: { status: 200, says: 'Revisions, oldest first', json: T.Array(Revised) },
    bad: { ...elsewhere, 409: 'That is no revision of this record any more' },
  }),
  archive: route({
    method: 'delete',
    path: '/commissions/{id}',
    summary: 'Take it off the rack; history stays, clients’ links end',
    needs: 'maker',
    good: { status: 204, says: 'Archived', empty: true },
    bad: elsewhere,
  }),
  archived: route({
    method: 'get',
    path: '/archive',
    summary: 'What was taken off the rack',
    good: {
      status: 200,
      says: 'List',
      json: T.Array(T.Object({ id: T.String(), title: T.String(), archivedAt: Moment }, closed)),
    },
  }),
  unarchive: route({
    method: 'post',
    path: '/commissions/{id}/unarchive',
    summary: 'Hang it on the rack again',
    needs: 'maker',
    good: { status: 204, says: 'Back', empty: true },
    bad: elsewhere,
  }),
  erase: route({
    method: 'post',
    path: '/commissions/{id}/erase',
    summary: 'Erase the content of a commission that is off the rack, for good: record, history, handoffs, files',
    needs: 'owner',
    body: T.Object({ why: T.String({ minLength: 3, maxLength: 300, pattern: '\\S' }) }, closed),
    good: { status: 204, says: 'Erased', empty: true },
    bad: { 404: 'Not in this shop', 409: 'It is still on the rack' },
  }),
  shopExport: route({
    method: 'get',
    path: '/shop/export.zip',
    summary:
      'The whole shop in the open format: every commission with its files, the shelf, quotes, letters, orders and clients',
    needs: 'owner',
    good: file('File', 'application/zip'),
  }),
  sameClient: route({
    method: 'put',
    path: '/commissions/{id}/client',
    summary: 'Say that its client is one whom the shop knows',
    body: T.Object({ client: T.String({ maxLength: 48 }) }, closed),
    good: { status: 204, says: 'Said', empty: true },
    bad: elsewhere,
  }),
  history: route({
    method: 'get',
    path: '/commissions/{id}/history',
    summary: 'Who changed what, newest first',
    good: {
      status: 200,
      says: 'Revisions',
      json: T.Array(
        T.Object(
          {
            revision: Revision,
            by: T.String(),
            at: Moment,
            paths: T.Array(T.String()),
            ops: OldOrNewOps,
          },
          closed,
        ),
      ),
    },
    bad: elsewhere,
  }),
  keepModel: route({
    method: 'post',
    path: '/commissions/{id}/model',
    summary: 'Keep a saber as a model sheet, a copy of its own',
    body: T.Object({ title: Title, saber: T.Optional(T.String({ maxLength: 48 })) }, closed),
    good: whole(201, 'The model sheet'),
    bad: elsewhere,
  }),
  exportJson: route({
    method: 'get',
    path: '/commissions/{id}/export.json',
    summary: 'The open format',
    good: file('File', 'application/json'),
    bad: elsewhere,
  }),
  exportZip: route({
    method: 'get',
    path: '/commissions/{id}/export.zip',
    summary: 'The open format with its media',
    good: file('File', 'application/zip'),
    bad: elsewhere,
  }),
  takeIn: route({
    method: 'post',
    path: '/import',
    summary: 'Take a commission in, as it is or as a copy',
    query: T.Object({ as: T.Optional(T.Literal('copy')) }, closed),
    takesFile: true,
    good: whole(201, 'The record'),
    bad: { 409: 'That id is already here' },
  }),
  takeEarlier: route({
    method: 'post',
    path: '/import/earlier',
    summary: 'Take work from before this program in, as CSV, a row a commission',
    needs: 'owner',
    takesFile: true,
    good: { status: 201, says: 'How many', json: T.Object({ taken: T.Integer() }, closed) },
  }),
  scriptMarkdown: route({
    method: 'get',
    path: '/commissions/{id}/walkthrough.md',
    summary: 'The script as Markdown',
    good: file('File', 'text/markdown'),
    bad: elsewhere,
  }),
  scriptVtt: route({
    method: 'get',
    path: '/commissions/{id}/walkthrough.vtt',
    summary: 'The script as WebVTT',
    query: T.Object({ saber: T.Optional(T.String()), take: T.Optional(T.String()) }, closed),
    good: file('File', 'text/vtt'),
    bad: elsewhere,
  }),
  cavityDxf: cavity('dxf', 'image/vnd.dxf'),
  cavitySvg: cavity('svg', 'image/svg+xml'),
  cavityCsv: cavity('csv', 'text/csv'),
}

function cavity<K extends 'dxf' | 'svg' | 'csv'>(kind: K, type: string) {
  return route({
    method: 'get',
    path: `/commissions/{id}/cavity.${kind}`,
    summary: `Cavity and keep-outs as ${kind.toUpperCase()}, in millimetres`,
    query: T.Object({ saber: T.Optional(T.String()) }, closed),
    good: file(kind.toUpperCase(), type),
    bad: elsewhere,
  })
}
