import { Type as T } from '@sinclair/typebox'
import { closed } from './common'
import { route } from './route'

const Person = T.Object({ id: T.String(), shopId: T.String(), name: T.String(), shop: T.String() }, closed)

export const people = {
  session: route({
    method: 'get',
    path: '/session',
    summary: 'Who is signed in, and the token for changes',
    open: true,
    good: {
      status: 200,
      says: 'Person or null',
      json: T.Object({ user: T.Union([Person, T.Null()]), csrf: T.Optional(T.String()) }, closed),
    },
  }),
  signIn: route({
    method: 'post',
    path: '/session',
    summary: 'Sign in',
    open: true,
    body: T.Object(
      {
        signIn: T.String({ minLength: 1, maxLength: 120, pattern: '\\S' }),
        password: T.String({ minLength: 1, maxLength: 200 }),
      },
      closed,
    ),
    good: { status: 200, says: 'Signed in', json: T.Object({ user: Person, csrf: T.String() }, closed) },
    bad: { 401: 'Name and password do not belong together', 429: 'Too many tries' },
  }),
  signOut: route({
    method: 'delete',
    path: '/session',
    summary: 'Sign out',
    good: { status: 204, says: 'Signed out', empty: true },
  }),
}
