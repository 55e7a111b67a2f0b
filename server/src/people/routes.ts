import { API } from '@nubrin/core/api'
import { Router } from 'express'
import { Op } from 'sequelize'
import type { Config } from '../base/config'
import { sha256 } from '../base/ids'
import type { Tables, User } from '../db/models'
import { Conflict, HttpProblem, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import { personOf } from './devices'
import { atTheDoor, byAddress, inside } from './guesses'
import { hashPassword, isPassword } from './passwords'
import { cookieName, csrf, generateToken } from './sessions'
import { openSession } from './sign-in'
import { beyond, newFactor, stepOfCode } from './totp'

declare module 'express-session' {
  interface SessionData {
    /** A secret that was shown and not confirmed yet. */
    newFactor: string
  }
}

const wrong = (detail: string) => new HttpProblem(401, 'signIn', detail)
/** Uses a code of somebody's second factor up; false when it is not right, or was used already. */
async function takesCode(db: Tables, user: User, code: string): Promise<boolean> {
  const step = stepOfCode(user.secondFactor!, code, user.factorUsed ?? null)
  if (step === undefined) return false
  // Only one of two requests with the same code may use it.
  const [used] = await db.users.update(
    { factorUsed: step },
    {
      where: {
        id: user.id,
        [Op.or]: [{ factorUsed: null }, { factorUsed: { [Op.lt]: step } }, { factorUsed: { [Op.gte]: beyond() } }],
      },
    },
  )
  return used > 0
}

/** Signing in and out. */
export function signInRoutes(db: Tables, config: Config): Router {
  const r = Router()
  serve(r, API.session, async ({ req }) =>
    req.session.user ? { user: req.session.user, csrf: generateToken(req) } : { user: null },
  )
  r.post(API.signIn.path, ...atTheDoor(db, config.signInLimit, config.port))
  serve(r, API.signIn, async ({ body, req }) => {
    const user = await personOf(db, body.signIn)
    const good = await isPassword(user?.passwordHash, body.password)
    if (!user || !good) throw wrong('That name and password do not belong together.')
    if (user.secondFactor) {
      if (!body.code) throw new HttpProblem(401, 'codeWanted', 'The code of your authenticator is wanted too.')
      if (!(await takesCode(db, user, body.code))) throw wrong('That code is not right, or was used already.')
    }
    return openSession(db, user, req, config.port)
  })
  r.delete(API.signOut.path, csrf)
  serve(r, API.signOut, async ({ req, res }) => {
    await new Promise<void>((done, fail) => req.session.destroy((e) => (e ? fail(e) : done())))
    res.clearCookie(cookieName(config.port))
    return undefined
  })
  r.post(API.accept.path.replace('{token}', ':token'), byAddress(config.signInLimit))
  return r
}

/** One's own password, second factor and sessions. */
export function selfRoutes(r: Router, db: Tables, config: Config): void {
  const slow = inside(config.signInLimit)
  r.put(API.changePassword.path, slow)
  r.put(API.setFactor.path, slow)
  r.delete(API.dropFactor.path, slow)
  /** Oneself, once the password is right, and the code of the second factor where one is on. */
  const oneself = async (id: string, password: string, code: string | undefined) => {
    const user = (await db.users.findByPk(id))!
    if (!(await isPassword(user.passwordHash, password))) throw wrong('The password is wrong.')
    if (user.secondFactor && !(code && (await takesCode(db, user, code))))
      throw wrong('The code of the authenticator that is on is not right, or was used already.')
    return user
  }
  serve(r, API.changePassword, async ({ body, who, req }) => {
    const user = await db.users.findByPk(who.id)
    if (!(await isPassword(user?.passwordHash, body.current))) throw wrong('The current password is wrong.')
    await db.users.update({ passwordHash: await hashPassword(body.next) }, { where: { id: who.id } })
    await db.sessions.destroy({ where: { userId: who.id, sid: { [Op.ne]: req.sessionID } } })
    return undefined
  })
  serve(r, API.beginFactor, async ({ who, req }) => {
    const made = newFactor(who.name, `Nubrin, ${who.shop}`)
    req.session.newFactor = made.secret
    return made
  })
  serve(r, API.setFactor, async ({ body, who, req }) => {
    const secret = req.session.newFactor
    const step = secret && stepOfCode(secret, body.code, null)
    if (!secret || step === undefined) throw wrong('That code is not of the secret shown.')
    await oneself(who.id, body.password, body.old)
    await db.users.update({ secondFactor: secret, factorUsed: Number(step) }, { where: { id: who.id } })
    delete (req.session as Partial<typeof req.session>).newFactor
    req.session.user = { ...who, factor: true }
    return undefined
  })
  serve(r, API.dropFactor, async ({ body, who, req }) => {
    const user = await oneself(who.id, body.password, body.code)
    if (!user.secondFactor) throw new Conflict('There is no second factor to turn off.')
    await db.users.update({ secondFactor: null, factorUsed: null }, { where: { id: who.id } })
    req.session.user = { ...who, factor: false }
    return undefined
  })
  serve(r, API.sessions, async ({ who, req }) => {
    const people = await db.users.findAll({
      where: { shopId: who.shopId, ...(who.role === 'owner' ? {} : { id: who.id }) },
    })
    const name = new Map(people.map((p) => [p.id, p.name]))
    const rows = await db.sessions.findAll({
      where: { userId: [...name.keys()], expires: { [Op.gt]: new Date() } },
      order: [['seen', 'DESC']],
      limit: 200,
    })
    return rows.map((s) => ({
      // The id itself opens the session; its hash only names it.
      id: sha256(s.sid).slice(0, 24),
      person: name.get(s.userId!) ?? '',
      agent: s.agent ?? '',
      began: s.began?.toISOString() ?? null,
      seen: s.seen?.toISOString() ?? null,
      here: s.sid === req.sessionID,
    }))
  })
  serve(r, API.endSession, async ({ params, who }) => {
    const people = await db.users.findAll({
      where: { shopId: who.shopId, ...(who.role === 'owner' ? {} : { id: who.id }) },
      attributes: ['id'],
    })
    const rows = await db.sessions.findAll({ where: { userId: people.map((p) => p.id) }, attributes: ['sid'] })
    const row = rows.find((s) => sha256(s.sid).slice(0, 24) === params.id)
    if (!row) throw new NotFound('There is no such session.')
    await db.sessions.destroy({ where: { sid: row.sid } })
    return undefined
  })
}
