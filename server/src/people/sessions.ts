import sequelizeStore from 'connect-session-sequelize'
import { csrfSync } from 'csrf-sync'
import type { RequestHandler } from 'express'
import session from 'express-session'
import type { Tables } from '../db/models'
import { HttpProblem, send } from '../http/problem'
import type { Who } from '../http/serve'

declare module 'express-session' {
  interface SessionData {
    user: Who
  }
}

/** Sessions on the server, in MariaDB; the browser holds a signed id in an HttpOnly, SameSite cookie. */
export function sessions(db: Tables, cookieSecret: string): RequestHandler {
  const Store = sequelizeStore(session.Store)
  const store = new Store({
    db: db.sequelize,
    table: 'sessions',
    checkExpirationInterval: 15 * 60_000,
    expiration: 14 * 24 * 3_600_000,
  })
  return session({
    store,
    secret: cookieSecret,
    name: 'nubrin',
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: 14 * 24 * 3_600_000 },
  })
}

const sync = csrfSync({ getTokenFromRequest: (req) => req.headers['x-csrf-token'] as string | undefined })
export const generateToken = sync.generateToken
/** Changes need the token of their session. */
export const csrf: RequestHandler = sync.csrfSynchronisedProtection

export const signedIn: RequestHandler = (req, res, next) => {
  if (req.session.user) return next()
  send(res, new HttpProblem(401, 'signIn', 'Please sign in.'))
}
