import { csrfSync } from 'csrf-sync'
import type { RequestHandler } from 'express'
import session from 'express-session'
import type { Tables } from '../db/models'
import { HttpProblem, send } from '../http/problem'
import type { Who } from '../http/serve'
import { SessionRows } from './session-rows'

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
  const store = new SessionRows(db, LIFE)
  const handle = session({
    store,
    genid: store.newId,
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
