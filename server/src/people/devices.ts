import { parse } from 'cookie'
import type { Request, RequestHandler } from 'express'
import { Op } from 'sequelize'
import { secret, sha256 } from '../base/ids'
import type { Tables, User } from '../db/models'
import { likeness } from './likeness'

declare global {
  namespace Express {
    interface Locals {
      /** The browser that asks, where whoever is asked for signed in with it before. */
      device?: string
    }
  }
}

const LIFE = 180 * 24 * 3_600_000
const cookieOf = (port: number) => `nubrin-device-${port}`
const held = (req: Request, port: number): string | undefined => parse(req.headers.cookie ?? '')[cookieOf(port)]

/** Whoever has this sign-in, or one that looks like it and is the only one. */
export async function personOf(db: Tables, signIn: string) {
  const exact = await db.users.findOne({ where: { signIn: signIn.trim().toLowerCase(), leftAt: null } })
  if (exact) return exact
  const alike = await db.users.findAll({ where: { signInKey: likeness(signIn), leftAt: null }, limit: 2 })
  return alike.length === 1 ? alike[0]! : null
}

/** Remembers the browser that somebody has just signed in with. */
export async function remember(db: Tables, user: Pick<User, 'id'>, req: Request, port: number): Promise<void> {
  const seen = new Date()
  const had = held(req, port)
  const [known] = had ? await db.devices.update({ seen }, { where: { id: sha256(had), userId: user.id } }) : [0]
  const value = known ? had! : secret()
  if (!known) await db.devices.create({ id: sha256(value), userId: user.id, seen })
  await db.devices.destroy({ where: { userId: user.id, seen: { [Op.lt]: new Date(Date.now() - LIFE) } } })
  req.res!.cookie(cookieOf(port), value, { httpOnly: true, sameSite: 'lax', secure: req.secure, maxAge: LIFE })
}

/** Notes whether a signing in comes from a browser that its person signed in with before. */
export const known =
  (db: Tables, port: number): RequestHandler =>
  async (req, res, next) => {
    const value = held(req, port)
    const signIn: unknown = req.body?.signIn
    if (value && typeof signIn === 'string') {
      const user = await personOf(db, signIn.slice(0, 120))
      const row = user && (await db.devices.findOne({ where: { id: sha256(value), userId: user.id } }))
      if (row) res.locals.device = row.id
    }
    next()
  }
/** What is guessed with too often is no longer known. */
export const forget = (db: Tables, id: string) => db.devices.destroy({ where: { id } })
