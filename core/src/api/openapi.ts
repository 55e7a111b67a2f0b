import { CataloguePartSchema } from '../parts/schema'
import { Commission } from '../record'
import { API } from './all'
import { ProblemSchema } from './common'
import { paramNames, type Route } from './route'

const plain = (v: unknown): object => JSON.parse(JSON.stringify(v))
const problem = { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } }
const form = {
  'multipart/form-data': {
    schema: { type: 'object', required: ['file'], properties: { file: { type: 'string', format: 'binary' } } },
  },
}

/** The refusals a route may answer with: what it names, and what follows from what it takes. */
export function refusalsOf(r: Route): Record<string, string> {
  return {
    ...(r.open ? {} : { 401: 'Not signed in' }),
    ...(r.method === 'get' && r.needs ? { 403: 'Not for your role' } : {}),
    ...(r.method === 'get' ? {} : r.open ? {} : { 403: 'The token for changes is missing, or not for your role' }),
    ...(r.takesFile ? { 413: 'Too large' } : {}),
    ...(r.body || r.query || r.takesFile ? { 422: 'A field is wrong; names field and rule' } : {}),
    ...r.bad,
  }
}

function contentOf(good: Route['good']) {
  if ('json' in good) return { content: { 'application/json': { schema: plain(good.json) } } }
  return 'file' in good ? { content: { [good.file]: { schema: { type: 'string', format: 'binary' } } } } : {}
}

function operation(r: Route): object {
  const query = Object.entries(r.query?.properties ?? {})
  return {
    summary: r.summary,
    parameters: [
      ...paramNames(r.path).map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })),
      ...query.map(([name, schema]) => ({
        name,
        in: 'query',
        required: (r.query?.required ?? []).includes(name),
        schema: plain(schema),
      })),
    ],
    ...(r.takesFile ? { requestBody: { content: form } } : {}),
    ...(r.body ? { requestBody: { content: { 'application/json': { schema: plain(r.body) } } } } : {}),
    ...(r.open ? { security: [] } : {}),
    responses: {
      [r.good.status]: { description: r.good.says, ...contentOf(r.good) },
      ...Object.fromEntries(
        Object.entries(refusalsOf(r)).map(([code, description]) => [code, { description, content: problem }]),
      ),
    },
  }
}

/** The API as an OpenAPI document, made from the schemas that check requests and answers. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const r of Object.values(API) as Route[]) paths[r.path] = { ...paths[r.path], [r.method]: operation(r) }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Nubrin',
      version: '2',
      description: 'Commissions of custom saber shops. Changes need the header x-csrf-token from GET /session.',
    },
    servers: [{ url: '/api' }],
    security: [{ session: [] }],
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'nubrin' } },
      schemas: {
        Commission: plain(Commission),
        Part: plain(CataloguePartSchema),
        Problem: plain(ProblemSchema),
      },
    },
  }
}
