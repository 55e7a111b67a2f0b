import * as T from '@sinclair/typebox'
import { LETTER_KINDS } from '../handoff'
import { DELAY_REASONS } from '../record'
import { closed, Moment } from './common'
import { route } from './route'

const Day = T.String({ format: 'date' })
const Id = T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' })
const Kind = T.Union(LETTER_KINDS.map((k) => T.Literal(k)))
const Subject = T.String({ minLength: 1, maxLength: 200, pattern: '\\S' })
const Text = T.String({ minLength: 1, maxLength: 20_000, pattern: '\\S' })
const About = {
  kind: Kind,
  questions: T.Optional(T.Array(Id, { maxItems: 60 })),
  reason: T.Optional(T.Union(DELAY_REASONS.map((r) => T.Literal(r)))),
  newly: T.Optional(Day),
}
const Letter = T.Object(
  {
    ...{ id: Id, kind: T.Union([Kind, T.Literal('recall')]), subject: T.String(), text: T.String(), to: T.String() },
    ...{ at: Moment, by: T.String(), rests: T.Array(T.String()) },
  },
  closed,
)

export const letters = {
  letters: route({
    method: 'get',
    path: '/commissions/{id}/letters',
    summary: 'The letters to the client of a commission, oldest first',
    good: { status: 200, says: 'Letters', json: T.Array(Letter) },
    bad: { 404: 'Not in this shop' },
  }),
  draftLetter: route({
    method: 'post',
    path: '/commissions/{id}/letters/draft',
    summary: 'A letter in the client’s language, to be read and changed; nothing is kept or sent',
    body: T.Object(About, closed),
    good: {
      status: 200,
      says: 'The letter',
      json: T.Object({ subject: T.String(), text: T.String(), to: T.String() }, closed),
    },
    bad: { 404: 'Not in this shop', 409: 'Something that the letter needs is not there' },
  }),
  putLetter: route({
    method: 'post',
    path: '/commissions/{id}/letters',
    summary:
      'Put a letter into the outbox as it was read, once; a question is asked with it, a delay moves the promise and stands in the log',
    needs: 'maker',
    body: T.Object({ id: Id, subject: Subject, text: Text, ...About }, closed),
    good: { status: 201, says: 'The letter', json: Letter },
    bad: { 404: 'Not in this shop', 409: 'Nobody to write to, or something that the letter needs is not there' },
  }),
}
