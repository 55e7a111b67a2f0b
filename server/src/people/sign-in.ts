import type { Request } from 'express'
import type { Tables, User } from '../db/models'
import type { Who } from '../http/serve'
import { remember } from './devices'
import { generateToken } from './sessions'

/** Signs somebody in on this request's session, which gets a new id: one planted before is worth nothing. */
export async function openSession(
  db: Tables,
  user: User,
  req: Request,
  port: number,
): Promise<{ user: Who; csrf: string }> {
  const shop = await db.shops.findByPk(user.shopId)
  await new Promise<void>((done, fail) => req.session.regenerate((e) => (e ? fail(e) : done())))
  const me: Who = {
    id: user.id,
    shopId: user.shopId,
    name: user.name,
    shop: shop?.name ?? '',
    role: user.role,
    factor: !!user.secondFactor,
  }
  const now = new Date().toISOString()
  Object.assign(req.session, { user: me, began: now, seen: now, agent: (req.get('user-agent') ?? '').slice(0, 200) })
  const csrf = generateToken(req)
  await remember(db, user, req, port)
  await new Promise<void>((done, fail) => req.session.save((e) => (e ? fail(e) : done())))
  return { user: me, csrf }
}
