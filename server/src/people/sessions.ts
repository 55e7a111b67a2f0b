import sequelizeStore from 'connect-session-sequelize'
import { csrfSync } from 'csrf-sync'
import type { RequestHandler } from 'express'
import session from 'express-session'
import type { Tables } from '../db/models'
import { HttpProblem, send } from '../http/problem'
import type { Who } from '../http/serve'
import { Remembered } from './remembered'

declare module 'express-session' {
  interface SessionData {
    user: Who
    began: string
    seen: string
    agent: string
  }
}

const SESSION_DAYS = 14
const LIFE = SESSION_DAYS * 24 * 3_600_000
/** A session's use is noted so often, ms; not at every read. */
const NOTED_EVERY = 3_600_000

/** The cookie's name holds the port: two shops on one machine do not sign each other out. */
export const cookieName = (port: number) => `nubrin-${port}`

/** Sessions on the server, in MariaDB; the browser holds a signed id in an HttpOnly, SameSite cookie. */
export function sessions(db: Tables, cookieSecret: string, port: number): RequestHandler[] {
  db.sessions.addHook('afterBulkDestroy', () => remembered.forget())
  const Store = sequelizeStore(session.Store)
  const store = new Store({
    db: db.sequelize,
    table: 'sessions',
    checkExpirationInterval: 15 * 60_000,
    expiration: LIFE,
    disableTouch: true,
    extendDefaultFields: (defaults: object, s: session.SessionData) => ({
      ...defaults,
      userId: s.user?.id ?? null,
      began: s.began ?? null,
      seen: s.seen ?? null,
      agent: s.agent ?? null,
    }),
  } as unknown as ConstructorParameters<typeof Store>[0])
  const remembered = new Remembered(store)
  const handle = session({
    store: remembered,
    secret: cookieSecret,
    name: cookieName(port),
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: LIFE },
  })
  const note: RequestHandler = (req, _res, next) => {
    const { user, seen } = req.session
    if (user && Date.now() - Date.parse(seen ?? '1970-01-01T00:00:00Z') > NOTED_EVERY)
      req.session.seen = new Date().toISOString()
    next()
  }
  return [handle, note]
}

const sync = csrfSync({ getTokenFromRequest: (req) => req.headers['x-csrf-token'] as string | undefined })
export const generateToken = sync.generateToken
/** Changes need the token of their session. */
export const csrf: RequestHandler = sync.csrfSynchronisedProtection

export const signedIn: RequestHandler = (req, res, next) => {
  if (req.session.user) return next()
  send(res, new HttpProblem(401, 'signIn', 'Please sign in.'))
}
