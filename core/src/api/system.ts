import * as T from '@sinclair/typebox'
import { route } from './route'

export const system = {
  health: route({
    method: 'get',
    path: '/health',
    summary: 'How each part of the server is',
    open: true,
    good: {
      status: 200,
      says: 'All are well',
      json: T.Object({
        ok: T.Boolean(),
        parts: T.Record(T.String(), T.Object({ ok: T.Boolean(), says: T.String() })),
      }),
    },
    bad: { 503: 'One is not; says which' },
  }),
  openapi: route({
    method: 'get',
    path: '/openapi.json',
    summary: 'This document',
    open: true,
    good: { status: 200, says: 'OpenAPI 3.1', json: T.Object({}, { additionalProperties: true }) },
  }),
}
