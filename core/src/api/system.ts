import { Type as T } from '@sinclair/typebox'
import { route } from './route'

export const system = {
  health: route({
    method: 'get',
    path: '/health',
    summary: 'Whether server and database answer',
    open: true,
    good: { status: 200, says: 'They do', json: T.Object({ ok: T.Literal(true) }) },
    bad: { 503: 'The database does not' },
  }),
  openapi: route({
    method: 'get',
    path: '/openapi.json',
    summary: 'This document',
    open: true,
    good: { status: 200, says: 'OpenAPI 3.1', json: T.Object({}, { additionalProperties: true }) },
  }),
}
