import * as T from '@sinclair/typebox'

export const closed = { additionalProperties: false }
export const Title = T.String({ minLength: 1, maxLength: 120, pattern: '\\S' })
export const Moment = T.String({ format: 'date-time' })
export const Revision = T.Integer({ minimum: 0 })
export const orNull = <S extends ReturnType<typeof T.String>>(s: S) => T.Union([s, T.Null()])

/** RFC 9457, with the fields and rules at fault. */
export const ProblemSchema = T.Object({
  type: T.String(),
  title: T.String(),
  status: T.Integer(),
  detail: T.String(),
  problems: T.Optional(
    T.Array(T.Object({ path: T.String(), rule: T.String(), message: T.String(), got: T.Optional(T.String()) })),
  ),
})
