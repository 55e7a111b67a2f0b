import { CataloguePartSchema } from '@nubrin/core/import'
import { Commission } from '@nubrin/core/record'

type Method = 'get' | 'post' | 'patch' | 'put' | 'delete'
interface Route {
  method: Method
  path: string
  summary: string
  /** Status codes beside the usual 401 and 500. */
  answers: Record<number, string>
  body?: object
  open?: boolean
  params?: string[]
}

const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` })
const json = (schema: object) => ({ 'application/json': { schema } })
const file = {
  'multipart/form-data': {
    schema: { type: 'object', required: ['file'], properties: { file: { type: 'string', format: 'binary' } } },
  },
}

/** Every route of the API; the tests hold this list against the routes that Express really serves. */
export const ROUTES: Route[] = [
  {
    method: 'get',
    path: '/health',
    summary: 'Whether server and database answer',
    answers: { 200: 'They do', 503: 'The database does not' },
    open: true,
  },
  { method: 'get', path: '/openapi.json', summary: 'This document', answers: { 200: 'OpenAPI 3.1' }, open: true },
  {
    method: 'get',
    path: '/session',
    summary: 'Who is signed in, and the token for changes',
    answers: { 200: 'Person or null' },
    open: true,
  },
  {
    method: 'post',
    path: '/session',
    summary: 'Sign in',
    answers: {
      200: 'Signed in',
      401: 'Name and password do not match',
      422: 'A field is missing',
      429: 'Too many tries',
    },
    body: json({
      type: 'object',
      required: ['signIn', 'password'],
      properties: { signIn: { type: 'string' }, password: { type: 'string' } },
    }),
    open: true,
  },
  { method: 'delete', path: '/session', summary: 'Sign out', answers: { 204: 'Signed out', 403: 'Token missing' } },
  {
    method: 'get',
    path: '/rack',
    summary: 'All commissions with their progress and what blocks them',
    answers: { 200: 'The rack' },
  },
  {
    method: 'get',
    path: '/clients',
    summary: 'Clients with their commissions',
    answers: { 200: 'Clients' },
    params: ['name'],
  },
  {
    method: 'post',
    path: '/commissions',
    summary: 'Begin a commission, empty or from a model sheet',
    answers: { 201: 'The new record', 422: 'A field is wrong' },
    body: json({
      type: 'object',
      required: ['title'],
      properties: {
        title: { type: 'string' },
        client: { type: 'string' },
        job: { type: 'string' },
        purpose: { type: 'string' },
        model: { type: 'string' },
      },
    }),
  },
  {
    method: 'get',
    path: '/commissions/{id}',
    summary: 'One commission whole',
    answers: { 200: 'Record and revision', 404: 'Not in this shop' },
  },
  {
    method: 'patch',
    path: '/commissions/{id}',
    summary: 'Change it by JSON Patch against a revision',
    answers: {
      200: 'Saved',
      404: 'Not in this shop',
      409: 'Someone else saved first; says who changed what',
      422: 'Does not apply, or would be invalid',
    },
    body: json({
      type: 'object',
      required: ['base', 'ops'],
      properties: { base: { type: 'integer' }, ops: { type: 'array', items: { type: 'object' } } },
    }),
  },
  {
    method: 'delete',
    path: '/commissions/{id}',
    summary: 'Take it off the rack; history stays',
    answers: { 204: 'Archived', 404: 'Not in this shop' },
  },
  {
    method: 'get',
    path: '/commissions/{id}/history',
    summary: 'Who changed what, newest first',
    answers: { 200: 'Revisions' },
  },
  { method: 'get', path: '/commissions/{id}/export.json', summary: 'The open format', answers: { 200: 'File' } },
  {
    method: 'get',
    path: '/commissions/{id}/export.zip',
    summary: 'The open format with its media',
    answers: { 200: 'File' },
  },
  {
    method: 'post',
    path: '/import',
    summary: 'Take a commission in, as it is or as a copy',
    answers: {
      201: 'The record',
      409: 'That id is already here',
      413: 'Too large',
      422: 'Not valid; names path and rule',
    },
    body: file,
    params: ['as'],
  },
  {
    method: 'post',
    path: '/media',
    summary: 'Store a photo or sound',
    answers: { 201: 'Its hash', 413: 'Too large', 422: 'Not a file of a kind that is taken' },
    body: file,
  },
  { method: 'get', path: '/media/{hash}', summary: 'A stored file', answers: { 200: 'File', 404: 'None' } },
  {
    method: 'get',
    path: '/commissions/{id}/walkthrough.md',
    summary: 'The script as Markdown',
    answers: { 200: 'File' },
  },
  {
    method: 'get',
    path: '/commissions/{id}/walkthrough.vtt',
    summary: 'The script as WebVTT',
    answers: { 200: 'File' },
    params: ['saber', 'take'],
  },
  {
    method: 'get',
    path: '/commissions/{id}/handoff.pdf',
    summary: 'The handoff record as it stands',
    answers: { 200: 'PDF', 422: 'Unknown paper' },
    params: ['paper'],
  },
  {
    method: 'post',
    path: '/commissions/{id}/handoffs',
    summary: 'Issue a handoff: freezes the record and makes the client’s link',
    answers: { 201: 'Number and link, told once', 409: 'Something stands against it' },
  },
  { method: 'get', path: '/commissions/{id}/handoffs', summary: 'Handoffs issued', answers: { 200: 'List' } },
  {
    method: 'delete',
    path: '/commissions/{id}/handoffs/{number}',
    summary: 'Withdraw a client’s link',
    answers: { 204: 'Withdrawn', 404: 'None' },
  },
  {
    method: 'get',
    path: '/recall',
    summary: 'Which sabers carry this part or lot',
    answers: { 200: 'Sabers', 422: 'Nothing asked' },
    params: ['q'],
  },
  { method: 'get', path: '/parts', summary: 'The catalogue', answers: { 200: 'Parts' } },
  { method: 'get', path: '/parts/export.csv', summary: 'The catalogue as CSV', answers: { 200: 'CSV' } },
  { method: 'get', path: '/parts/export.json', summary: 'The catalogue as JSON', answers: { 200: 'JSON' } },
  {
    method: 'put',
    path: '/parts/{id}',
    summary: 'Put one part on the shelf, or change it',
    answers: { 200: 'The part', 422: 'A field is wrong' },
    body: json(ref('Part')),
  },
  {
    method: 'delete',
    path: '/parts/{id}',
    summary: 'Take one part off the shelf; sabers keep their copy',
    answers: { 204: 'Taken off', 404: 'Not on this shelf' },
  },
  {
    method: 'post',
    path: '/parts/import',
    summary: 'Bring parts in from CSV or JSON; all or none, or with take=good the rows without a fault',
    answers: { 201: 'Taken in', 413: 'Too large', 422: 'Cells are wrong, each named by row, column and rule' },
    body: file,
    params: ['take'],
  },
  {
    method: 'post',
    path: '/commissions/{id}/model',
    summary: 'Keep a saber as a model sheet, a copy of its own',
    answers: { 201: 'The model sheet', 404: 'Not in this shop', 422: 'A field is wrong' },
    body: json({
      type: 'object',
      required: ['title'],
      properties: { title: { type: 'string' }, saber: { type: 'string' } },
    }),
  },
  ...(['dxf', 'svg', 'csv'] as const).map((kind) => ({
    method: 'get' as const,
    path: `/commissions/{id}/cavity.${kind}`,
    summary: `Cavity and keep-outs as ${kind.toUpperCase()}, in millimetres`,
    answers: { 200: kind.toUpperCase(), 404: 'Not in this shop' },
    params: ['saber'],
  })),
  {
    method: 'get',
    path: '/client/{token}',
    summary: 'A client’s page, frozen as issued',
    answers: { 200: 'Document', 404: 'No such link' },
    open: true,
  },
  {
    method: 'get',
    path: '/client/{token}/handoff.pdf',
    summary: 'The same as PDF',
    answers: { 200: 'PDF', 404: 'No such link' },
    open: true,
  },
  {
    method: 'get',
    path: '/client/{token}/media/{hash}',
    summary: 'A file of that record',
    answers: { 200: 'File', 404: 'None' },
    open: true,
  },
]

const problem = { 'application/problem+json': { schema: ref('Problem') } }

export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const r of ROUTES) {
    const answers = { ...r.answers, ...(r.open ? {} : { 401: 'Not signed in' }) }
    const names = [...r.path.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!)
    paths[r.path] = {
      ...paths[r.path],
      [r.method]: {
        summary: r.summary,
        parameters: [
          ...names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
          ...(r.params ?? []).map((name) => ({ name, in: 'query', schema: { type: 'string' } })),
        ],
        ...(r.body ? { requestBody: { content: r.body } } : {}),
        ...(r.open ? { security: [] } : {}),
        responses: Object.fromEntries(
          Object.entries(answers).map(([code, description]) => [
            code,
            { description, ...(Number(code) >= 400 ? { content: problem } : {}) },
          ]),
        ),
      },
    }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Nubrin',
      version: '1',
      description: 'Commissions of custom saber shops. Changes need the header x-csrf-token from GET /session.',
    },
    servers: [{ url: '/api' }],
    security: [{ session: [] }],
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'nubrin' } },
      schemas: {
        Commission: JSON.parse(JSON.stringify(Commission)),
        Part: JSON.parse(JSON.stringify(CataloguePartSchema)),
        Problem: {
          type: 'object',
          required: ['type', 'title', 'status', 'detail'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            problems: {
              type: 'array',
              items: {
                type: 'object',
                required: ['path', 'rule', 'message'],
                properties: {
                  path: { type: 'string' },
                  rule: { type: 'string' },
                  message: { type: 'string' },
                  got: { type: 'string' },
                },
              },
            },
          },
        },
      },
    },
  }
}
