import { API, reaching } from '@nubrin/core/api'
import { Router } from 'express'
import { Op, type Transaction } from 'sequelize'
import { newId, secret, sha256 } from '../base/ids'
import type { InvitationRow, Tables, User } from '../db/models'
import { transact } from '../db/transact'
import { Conflict, Invalid, NotFound } from '../http/problem'
import { serve, type Who } from '../http/serve'
import { likeness } from './likeness'
import { hashPassword } from './passwords'
import { settingsOf } from './settings'
import { openSession } from './sign-in'

const INVITED_DAYS = 7
const LAST_OWNER = 'A shop keeps one owner: make somebody else one first.'

/**
 * Makes an invitation, and the secret that is told once. `userId`: to choose a new password for somebody who is here. An older
 * one of its kind ends: to the same person, or to somebody of the same name.
 */
export async function invite(
  db: Tables,
  made: Pick<InvitationRow, 'shopId' | 'name' | 'role' | 'madeBy' | 'madeById'> & { userId?: string },
  transaction?: Transaction,
): Promise<{ token: string; expires: Date }> {
  const token = secret()
  const expires = new Date(Date.now() + INVITED_DAYS * 24 * 3_600_000)
  const sameKind = {
    shopId: made.shopId,
    ...(made.userId ? { userId: made.userId } : { userId: null, name: made.name }),
  }
  await db.invitations.update(
    { usedAt: new Date() },
    { where: { ...sameKind, usedAt: null }, ...(transaction ? { transaction } : {}) },
  )
  await db.invitations.create(
    { id: newId('i'), userId: null, usedAt: null, ...made, secretHash: sha256(token), expiresAt: expires },
    transaction ? { transaction } : {},
  )
  return { token, expires }
}

/**
 * Whether a link stands on what it rested on when it was made, by the people of its shop: whoever made it is an owner still, and
 * whom it is for, where they work here already, does so still. That of a first start stands as long as nobody works here.
 */
function stands(i: InvitationRow, people: readonly User[]): boolean {
  if (i.madeById === null) return !people.length
  const here = (id: string | null) => people.find((p) => p.id === id && !p.leftAt)
  return here(i.madeById)?.role === 'owner' && (i.userId === null || here(i.userId) !== undefined)
}

/** People of a shop: invited, given a role, helped back in, and gone. Their sessions end whenever what they may changes. */
export function teamRoutes(r: Router, db: Tables): void {
  const endSessions = (userId: string, transaction: Transaction) =>
    db.sessions.destroy({ where: { userId }, transaction })
  const mine = async (who: Who, id: string, transaction: Transaction) => {
    // All rows of a shop's owners are locked, so that two owners cannot demote each other at one time.
    const owners = await db.users.findAll({
      where: { shopId: who.shopId, role: 'owner', leftAt: null },
      transaction,
      lock: transaction.LOCK.UPDATE,
    })
    const user = await db.users.findOne({ where: { id, shopId: who.shopId, leftAt: null }, transaction })
    if (!user) throw new NotFound('There is nobody like that in this shop.')
    return { user, last: owners.length === 1 && owners[0]!.id === id }
  }

  serve(r, API.people, async ({ who }) => {
    const [people, invited] = [
      await db.users.findAll({ where: { shopId: who.shopId }, order: [['name', 'ASC']] }),
      await db.invitations.findAll({ where: { shopId: who.shopId, usedAt: null, expiresAt: { [Op.gt]: new Date() } } }),
    ]
    return {
      people: people.map((p) => ({
        id: p.id,
        name: p.name,
        signIn: p.signIn,
        role: p.role,
        factor: !!p.secondFactor,
        leftAt: p.leftAt?.toISOString() ?? null,
      })),
      invited: invited
        .filter((i) => stands(i, people))
        .map((i) => ({
          id: i.id,
          name: i.name,
          role: i.role,
          expires: i.expiresAt.toISOString(),
          resets: i.userId !== null,
        })),
    }
  })
  serve(r, API.invite, async ({ body, who }) => {
    const made = { shopId: who.shopId, name: body.name.trim(), role: body.role, madeBy: who.name, madeById: who.id }
    const { token, expires } = await invite(db, made)
    return { link: `/join/${token}`, expires: expires.toISOString() }
  })
  serve(r, API.uninvite, async ({ params, who }) => {
    const [n] = await db.invitations.update(
      { usedAt: new Date() },
      { where: { id: params.id, shopId: who.shopId, usedAt: null } },
    )
    if (!n) throw new NotFound('There is no such invitation.')
    return undefined
  })
  serve(r, API.setRole, async ({ params, body, who }) => {
    await transact(db.sequelize, async (transaction) => {
      const { user, last } = await mine(who, params.id, transaction)
      if (last && body.role !== 'owner') throw new Conflict(LAST_OWNER)
      if (user.role === body.role) return
      await user.update({ role: body.role }, { transaction })
      await endSessions(user.id, transaction)
    })
    return undefined
  })
  serve(r, API.letGo, async ({ params, who }) => {
    await transact(db.sequelize, async (transaction) => {
      const { user, last } = await mine(who, params.id, transaction)
      if (last) throw new Conflict(LAST_OWNER)
      await user.update({ leftAt: new Date() }, { transaction })
      await endSessions(user.id, transaction)
    })
    return undefined
  })
  serve(r, API.resetPassword, async ({ params, who }) =>
    transact(db.sequelize, async (transaction) => {
      const { user } = await mine(who, params.id, transaction)
      // What nobody knows any more: the old password is worth nothing from now on.
      const lost = await hashPassword(secret())
      await user.update({ passwordHash: lost, secondFactor: null, factorUsed: null }, { transaction })
      await endSessions(user.id, transaction)
      const made = {
        shopId: who.shopId,
        name: user.name,
        role: user.role,
        madeBy: who.name,
        madeById: who.id,
        userId: user.id,
      }
      const { token, expires } = await invite(db, made, transaction)
      return { link: `/join/${token}`, expires: expires.toISOString() }
    }),
  )
  serve(r, API.settings, async ({ who }) => {
    const settings = await settingsOf(db, who.shopId)
    if (reaching(settings.pricesFor).includes(who.role)) return settings
    const { hourRate: _rate, margin: _margin, ...open } = settings
    return open
  })
  serve(r, API.setSettings, async ({ body, who }) => {
    const { name, ...settings } = body
    // What an older page does not know stays as it was.
    const { name: _was, ...kept } = await settingsOf(db, who.shopId)
    await db.shops.update({ name: name.trim(), settings: { ...kept, ...settings } }, { where: { id: who.shopId } })
    return settingsOf(db, who.shopId)
  })
}

/** Accepting an invitation; open to whoever has its secret. */
export function joinRoutes(db: Tables, port: number): Router {
  const r = Router()
  const find = async (token: string, transaction?: Transaction) => {
    const row = await db.invitations.findOne({
      where: { secretHash: sha256(token), usedAt: null, expiresAt: { [Op.gt]: new Date() } },
      ...(transaction ? { transaction, lock: transaction.LOCK.UPDATE } : {}),
    })
    const people = row
      ? await db.users.findAll({ where: { shopId: row.shopId }, ...(transaction ? { transaction } : {}) })
      : []
    if (!row || !stands(row, people))
      throw new NotFound('This invitation was used, withdrawn, or is too old. Ask for a new one.')
    return row
  }
  const asks = (i: InvitationRow) => {
    if (i.userId) return 'password' as const
    return i.madeById === null ? ('shop' as const) : ('person' as const)
  }
  serve(r, API.invitation, async ({ params }) => {
    const i = await find(params.token)
    const shop = await db.shops.findByPk(i.shopId)
    return { shop: shop?.name ?? '', name: i.name, role: i.role, asks: asks(i) }
  })
  serve(r, API.accept, async ({ params, body, req }) => {
    const passwordHash = await hashPassword(body.password)
    const user = await transact(db.sequelize, async (transaction) => {
      const i = await find(params.token, transaction)
      const what = asks(i)
      await i.update({ usedAt: new Date() }, { transaction })
      if (what === 'password') {
        await db.users.update({ passwordHash }, { where: { id: i.userId! }, transaction })
        return (await db.users.findByPk(i.userId!, { transaction }))!
      }
      const missing = (['signIn', ...(what === 'shop' ? (['shop', 'name'] as const) : [])] as const).filter(
        (k) => !body[k],
      )
      if (missing.length)
        throw new Invalid(
          `${missing[0]} is missing.`,
          missing.map((k) => ({ path: `/${k}`, rule: 'required', message: 'is missing' })),
        )
      if (what === 'shop') await db.shops.update({ name: body.shop!.trim() }, { where: { id: i.shopId }, transaction })
      const signIn = body.signIn!.trim().toLowerCase()
      const signInKey = likeness(signIn)
      const taken = new Conflict('That sign-in is taken.', { path: '/signIn', rule: 'unique', message: 'is taken' })
      // All people are locked, so that two that look alike cannot come in at one time.
      await db.users.findAll({ attributes: ['id'], transaction, lock: transaction.LOCK.UPDATE })
      if (await db.users.findOne({ where: { [Op.or]: [{ signIn }, { signInKey }] }, transaction })) throw taken
      const name = body.name?.trim() || i.name
      return db.users
        .create(
          { id: newId('u'), shopId: i.shopId, name, signIn, signInKey, passwordHash, role: i.role },
          { transaction },
        )
        .catch((e: Error) => {
          throw e.name === 'SequelizeUniqueConstraintError' ? taken : e
        })
    })
    return openSession(db, user, req, port)
  })
  return r
}
