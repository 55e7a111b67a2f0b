import { hash, verify } from '@node-rs/argon2'
import { API } from '@nubrin/core/api'
import { Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import type { Config } from '../config'
import type { Tables } from '../db/models'
import { HttpProblem, send } from '../http/problem'
import { serve, type Who } from '../http/serve'
import { csrf, generateToken } from './sessions'

/** argon2id with the library's defaults (19 MiB, 2 passes), the floor OWASP names. */
export const hashPassword = (password: string) => hash(password)

// A real hash, so that an unknown name costs as much time as a wrong password.
const DECOY = hashPassword('nobody has this password')

/** Signing in and out. */
export function peopleRoutes(db: Tables, config: Config): Router {
  const r = Router()
  serve(r, API.session, async ({ req }) =>
    req.session.user ? { user: req.session.user, csrf: generateToken(req) } : { user: null },
  )
  r.post(
    API.signIn.path,
    rateLimit({
      windowMs: 15 * 60_000,
      limit: config.signInLimit,
      skipSuccessfulRequests: true,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: (_req, res) =>
        send(res, new HttpProblem(429, 'tooManyTries', 'Too many tries. Wait a quarter of an hour, then try again.')),
    }),
  )
  serve(r, API.signIn, async ({ body, req }) => {
    const user = await db.users.findOne({ where: { signIn: body.signIn.trim().toLowerCase() } })
    const good = await verify(user?.passwordHash ?? (await DECOY), body.password)
    if (!user || !good) throw new HttpProblem(401, 'signIn', 'That name and password do not belong together.')
    const shop = await db.shops.findByPk(user.shopId)
    // A new session id at sign-in, so that one planted before is worth nothing.
    await new Promise<void>((done, fail) => req.session.regenerate((e) => (e ? fail(e) : done())))
    const me: Who = { id: user.id, shopId: user.shopId, name: user.name, shop: shop?.name ?? '' }
    req.session.user = me
    const token = generateToken(req)
    await new Promise<void>((done, fail) => req.session.save((e) => (e ? fail(e) : done())))
    return { user: me, csrf: token }
  })
  r.delete(API.signOut.path, csrf)
  serve(r, API.signOut, async ({ req, res }) => {
    await new Promise<void>((done, fail) => req.session.destroy((e) => (e ? fail(e) : done())))
    res.clearCookie('nubrin')
    return undefined
  })
  return r
}
