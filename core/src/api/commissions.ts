import { Type as T } from '@sinclair/typebox'
import { Commission, JOBS, PURPOSES } from '../record'
import { OpSchema } from '../record/ops'
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
    body: T.Object({ base: Revision, ops: T.Array(OpSchema, { minItems: 1, maxItems: MOST_OPS }) }, closed),
    good: {
      status: 200,
      says: 'Saved; `since` is what others changed after the base, to be carried out before one’s own',
      json: T.Object({ revision: Revision, savedAt: Moment, savedBy: T.String(), since: T.Array(OpSchema) }, closed),
    },
    bad: { ...elsewhere, 409: 'Somebody else changed the same field; says who changed what' },
  }),
  archive: route({
    method: 'delete',
    path: '/commissions/{id}',
    summary: 'Take it off the rack; history stays',
    good: { status: 204, says: 'Archived', empty: true },
    bad: elsewhere,
  }),
  history: route({
    method: 'get',
    path: '/commissions/{id}/history',
    summary: 'Who changed what, newest first',
    good: {
      status: 200,
      says: 'Revisions',
      json: T.Array(T.Object({ revision: Revision, by: T.String(), at: Moment, paths: T.Array(T.String()) }, closed)),
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
