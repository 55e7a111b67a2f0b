import { hash, verify } from '@node-rs/argon2'
import sequelizeStore from 'connect-session-sequelize'
import { csrfSync } from 'csrf-sync'
import { type RequestHandler, Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import session from 'express-session'
import type { Config } from '../config'
import type { Tables, User } from '../db/models'
import { HttpProblem, Invalid, send } from './problem'

declare module 'express-session' {
  interface SessionData {
    user: { id: string; shopId: string; name: string; shop: string }
  }
}

/** argon2id with the library's defaults (19 MiB, 2 passes), the floor OWASP names. */
export const hashPassword = (password: string) => hash(password)

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

const { csrfSynchronisedProtection, generateToken } = csrfSync({
  getTokenFromRequest: (req) => req.headers['x-csrf-token'] as string | undefined,
})
export const csrf: RequestHandler = csrfSynchronisedProtection

export const signedIn: RequestHandler = (req, res, next) => {
  if (req.session.user) return next()
  send(res, new HttpProblem(401, 'signIn', 'Please sign in.'))
}

// A real hash, so that an unknown name costs as much time as a wrong password.
const DECOY = hashPassword('nobody has this password')

export function authRoutes(db: Tables, config: Config): Router {
  const r = Router()
  const limit = rateLimit({
    windowMs: 15 * 60_000,
    limit: config.signInLimit,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_req, res) =>
      send(res, new HttpProblem(429, 'tooManyTries', 'Too many tries. Wait a quarter of an hour, then try again.')),
  })
  r.get('/session', (req, res) => {
    res.json(req.session.user ? { user: req.session.user, csrf: generateToken(req) } : { user: null })
  })
  r.post('/session', limit, async (req, res) => {
    const { signIn, password } = (req.body ?? {}) as { signIn?: unknown; password?: unknown }
    if (typeof signIn !== 'string' || !signIn.trim())
      throw new Invalid('Enter your sign-in name.', [{ path: '/signIn', rule: 'required', message: 'is missing' }])
    if (typeof password !== 'string' || !password || password.length > 200)
      throw new Invalid('Enter your password.', [{ path: '/password', rule: 'required', message: 'is missing' }])
    const user = await db.users.findOne({ where: { signIn: signIn.trim().toLowerCase() } })
    const good = await verify(user?.passwordHash ?? (await DECOY), password)
    if (!user || !good) throw new HttpProblem(401, 'signIn', 'That name and password do not belong together.')
    const shop = await db.shops.findByPk(user.shopId)
    // A new session id at sign-in, so that one planted before is worth nothing.
    await new Promise<void>((done, fail) => req.session.regenerate((e) => (e ? fail(e) : done())))
    req.session.user = { id: user.id, shopId: user.shopId, name: user.name, shop: shop?.name ?? '' }
    const token = generateToken(req)
    await new Promise<void>((done, fail) => req.session.save((e) => (e ? fail(e) : done())))
    res.json({ user: req.session.user, csrf: token })
  })
  r.delete('/session', csrf, (req, res, next) => {
    req.session.destroy((e) => (e ? next(e) : res.clearCookie('nubrin').status(204).end()))
  })
  return r
}

/** Who is asking, for routes behind `signedIn`. */
export const who = (req: {
  session: { user?: { id: string; shopId: string; name: string; shop: string } }
}): Pick<User, 'id' | 'shopId' | 'name'> & { shop: string } => req.session.user!
