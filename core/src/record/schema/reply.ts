import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { closed } from './schema-kit'

const REPLY_FORMAT = 'nubrin-reply'
const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const By = T.Optional(T.String({ minLength: 1, maxLength: 120 }))
/** What a client says back: a question, or that a chapter was read. The id is his page's, so that what is sent twice is taken once. */
export const ReplyBody = T.Union([
  T.Object({ id: Id, asks: T.String({ minLength: 1, maxLength: 240, pattern: '\\S' }), by: By }, closed),
  T.Object({ id: Id, read: T.String({ minLength: 1, maxLength: 120 }), by: By }, closed),
])
/** The same as a file, from a page that has no server: it says which record it answers, and when. */
export const ReplyFile = T.Object(
  {
    format: T.Literal(REPLY_FORMAT),
    version: T.Literal(1),
    of: T.String({ maxLength: 48 }),
    number: T.Integer({ minimum: 1, maximum: 10_000 }),
    on: T.String({ format: 'date' }),
    says: T.Array(ReplyBody, { minItems: 1, maxItems: 60 }),
  },
  closed,
)
export type ReplyBody = Static<typeof ReplyBody>
export type ReplyFile = Static<typeof ReplyFile>
