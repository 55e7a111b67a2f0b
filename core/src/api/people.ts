import * as T from '@sinclair/typebox'
import { closed, Moment, orNull } from './common'
import { route } from './route'

/** What somebody may do: an owner everything, a maker all work, a helper all but shipping and taking away, a viewer look. */
export const ROLES = ['owner', 'maker', 'helper', 'viewer'] as const
export type Role = (typeof ROLES)[number]
/** The roles that may do what `needs` may: itself and those above it. */
export const reaching = (needs: Role): Role[] => ROLES.slice(0, ROLES.indexOf(needs) + 1)
const RoleSchema = T.Union(ROLES.map((r) => T.Literal(r)))
const Person = T.Object(
  {
    id: T.String(),
    shopId: T.String(),
    name: T.String(),
    shop: T.String(),
    role: RoleSchema,
    /** Whether a code of an authenticator is asked for too. */
    factor: T.Boolean(),
  },
  closed,
)
const Name = T.String({ minLength: 1, maxLength: 120, pattern: '\\S' })
/** Long rather than odd; a passphrase is welcome. */
const NewPassword = T.String({ minLength: 10, maxLength: 200 })
const Password = T.String({ minLength: 1, maxLength: 200 })
const Code = T.String({ pattern: '^\\d{6}$' })
const signedIn = { user: Person, csrf: T.String() }
const Link = T.Object({ link: T.String(), expires: Moment }, closed)

/** Words and figures of the shop that print on what it sends, and how its links are made. */
const Settings = T.Object(
  {
    name: Name,
    address: T.String({ maxLength: 400 }),
    contact: T.String({ maxLength: 240 }),
    signature: T.String({ maxLength: 240 }),
    closing: T.String({ maxLength: 600 }),
    /** Where clients reach this server, for links and QR codes; empty: where the maker's own browser does. */
    publicUrl: T.String({ maxLength: 200, pattern: '^$|^https?://[^\\s/]+(/[^\\s]*)?$' }),
    /** Days that a client's link leads somewhere; 0 for always. */
    linkDays: T.Integer({ minimum: 0, maximum: 3650 }),
    /** What it quotes in, what an hour costs in major units, and how much is added to what a part costs, percent. */
    currency: T.Optional(T.String({ pattern: '^[A-Z]{3}$' })),
    hourRate: T.Optional(T.Number({ minimum: 0, maximum: 1e6 })),
    margin: T.Optional(T.Number({ minimum: 0, maximum: 1000 })),
    /** The least that somebody must be to see prices and who works how long: its owner opens them. */
    pricesFor: T.Optional(T.Union([T.Literal('owner'), T.Literal('maker'), T.Literal('helper')])),
  },
  closed,
)

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
    summary: 'Sign in; with a code when a second factor is set',
    open: true,
    body: T.Object(
      {
        signIn: T.String({ minLength: 1, maxLength: 120, pattern: '\\S' }),
        password: Password,
        code: T.Optional(Code),
      },
      closed,
    ),
    good: { status: 200, says: 'Signed in', json: T.Object(signedIn, closed) },
    bad: { 401: 'Name, password and code do not belong together, or a code is wanted', 429: 'Too many tries' },
  }),
  signOut: route({
    method: 'delete',
    path: '/session',
    summary: 'Sign out',
    needs: 'viewer',
    good: { status: 204, says: 'Signed out', empty: true },
  }),
  changePassword: route({
    method: 'put',
    path: '/session/password',
    summary: 'Change one’s password; all other sessions of oneself end',
    needs: 'viewer',
    body: T.Object({ current: Password, next: NewPassword }, closed),
    good: { status: 204, says: 'Changed', empty: true },
    bad: { 401: 'The current one is wrong', 429: 'Too many tries' },
  }),
  beginFactor: route({
    method: 'post',
    path: '/session/factor',
    summary: 'A secret for an authenticator; it counts once a code of it was given',
    needs: 'viewer',
    good: { status: 200, says: 'Secret and address', json: T.Object({ secret: T.String(), uri: T.String() }, closed) },
  }),
  setFactor: route({
    method: 'put',
    path: '/session/factor',
    summary:
      'Turn the second factor on, or put a new one in place of the one that is on, of which a code is wanted too',
    needs: 'viewer',
    body: T.Object({ password: Password, code: Code, old: T.Optional(Code) }, closed),
    good: { status: 204, says: 'On', empty: true },
    bad: { 401: 'The password is wrong, or a code is not of its secret', 429: 'Too many tries' },
  }),
  dropFactor: route({
    method: 'delete',
    path: '/session/factor',
    summary: 'Turn the second factor off',
    needs: 'viewer',
    body: T.Object({ password: Password, code: Code }, closed),
    good: { status: 204, says: 'Off', empty: true },
    bad: { 401: 'The password or the code is wrong', 409: 'There is none', 429: 'Too many tries' },
  }),
  sessions: route({
    method: 'get',
    path: '/sessions',
    summary: 'Where one is signed in; an owner sees everybody',
    good: {
      status: 200,
      says: 'Sessions, newest first',
      json: T.Array(
        T.Object(
          {
            id: T.String(),
            person: T.String(),
            agent: T.String(),
            began: orNull(Moment),
            seen: orNull(Moment),
            here: T.Boolean(),
          },
          closed,
        ),
      ),
    },
  }),
  endSession: route({
    method: 'delete',
    path: '/sessions/{id}',
    summary: 'End a session',
    needs: 'viewer',
    good: { status: 204, says: 'Ended', empty: true },
    bad: { 404: 'None' },
  }),
  people: route({
    method: 'get',
    path: '/people',
    summary: 'Who works here, and who is invited',
    needs: 'owner',
    good: {
      status: 200,
      says: 'People and invitations',
      json: T.Object(
        {
          people: T.Array(
            T.Object(
              {
                id: T.String(),
                name: T.String(),
                signIn: T.String(),
                role: RoleSchema,
                factor: T.Boolean(),
                leftAt: orNull(Moment),
              },
              closed,
            ),
          ),
          invited: T.Array(
            T.Object(
              { id: T.String(), name: T.String(), role: RoleSchema, expires: Moment, resets: T.Boolean() },
              closed,
            ),
          ),
        },
        closed,
      ),
    },
  }),
  invite: route({
    method: 'post',
    path: '/people',
    summary:
      'Invite somebody: a link for one use; it stands as long as who made it is an owner, and ends an older one to the same name',
    needs: 'owner',
    body: T.Object({ name: Name, role: RoleSchema }, closed),
    good: { status: 201, says: 'The link, told once', json: Link },
  }),
  uninvite: route({
    method: 'delete',
    path: '/invitations/{id}',
    summary: 'Withdraw an invitation',
    needs: 'owner',
    good: { status: 204, says: 'Withdrawn', empty: true },
    bad: { 404: 'None' },
  }),
  setRole: route({
    method: 'put',
    path: '/people/{id}/role',
    summary: 'Change what somebody may do; their sessions end',
    needs: 'owner',
    body: T.Object({ role: RoleSchema }, closed),
    good: { status: 204, says: 'Changed', empty: true },
    bad: { 404: 'Not of this shop', 409: 'A shop keeps one owner' },
  }),
  letGo: route({
    method: 'delete',
    path: '/people/{id}',
    summary: 'Somebody leaves: no signing in any more; what they did stays under their name',
    needs: 'owner',
    good: { status: 204, says: 'Left', empty: true },
    bad: { 404: 'Not of this shop', 409: 'A shop keeps one owner' },
  }),
  resetPassword: route({
    method: 'post',
    path: '/people/{id}/reset',
    summary:
      'A link for choosing a new password; the old one, the second factor, all sessions and older links of this kind end',
    needs: 'owner',
    good: { status: 201, says: 'The link, told once', json: Link },
    bad: { 404: 'Not of this shop' },
  }),
  invitation: route({
    method: 'get',
    path: '/invitation/{token}',
    summary: 'What an invitation is for',
    open: true,
    good: {
      status: 200,
      says: 'Shop, name, and what is asked',
      json: T.Object(
        {
          shop: T.String(),
          name: T.String(),
          role: RoleSchema,
          asks: T.Union([T.Literal('shop'), T.Literal('person'), T.Literal('password')]),
        },
        closed,
      ),
    },
    bad: { 404: 'No such invitation, used, or too old' },
  }),
  accept: route({
    method: 'post',
    path: '/invitation/{token}',
    summary: 'Accept an invitation, and be signed in',
    open: true,
    body: T.Object(
      {
        password: NewPassword,
        signIn: T.Optional(T.String({ minLength: 2, maxLength: 60, pattern: '^[\\p{L}\\p{N}._@-]+$' })),
        name: T.Optional(Name),
        shop: T.Optional(Name),
      },
      closed,
    ),
    good: { status: 200, says: 'Signed in', json: T.Object(signedIn, closed) },
    bad: { 404: 'No such invitation, used, or too old', 409: 'That sign-in is taken' },
  }),
  settings: route({
    method: 'get',
    path: '/settings',
    summary: 'The shop’s name, address and words',
    good: { status: 200, says: 'Settings', json: Settings },
  }),
  setSettings: route({
    method: 'put',
    path: '/settings',
    summary: 'Change them',
    needs: 'owner',
    body: Settings,
    good: { status: 200, says: 'Settings', json: Settings },
  }),
}
