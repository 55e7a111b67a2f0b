import session from 'express-session'
import { LRUCache } from 'lru-cache'
import { Op, QueryTypes } from 'sequelize'
import { secret } from '../base/ids'
import type { Tables } from '../db/models'
import type { Who } from '../http/serve'

/** What is past its time is swept out so often, ms; it opens nothing meanwhile. */
const SWEPT_EVERY = 15 * 60_000

/**
 * Sessions as rows of MariaDB. One is only ever changed where its row is: what has ended stays ended, whatever was still on its
 * way. Whose it is, and what they may do, is read with it each time: who was let go or made less is so with the next request.
 */
export class SessionRows extends session.Store {
  /** Ids made here whose sessions were not written yet: only these may become rows. */
  private readonly fresh = new LRUCache<string, true>({ max: 20_000, ttl: 3_600_000 })

  constructor(
    private readonly db: Tables,
    /** How long one lives without use, ms. */
    private readonly life: number,
  ) {
    super()
    setInterval(() => void this.sweep().catch(() => {}), SWEPT_EVERY).unref()
  }

  /** An id for a session that begins. */
  readonly newId = (): string => {
    const sid = secret()
    this.fresh.set(sid, true)
    return sid
  }

  override get(sid: string, done: (err: unknown, s?: session.SessionData | null) => void): void {
    this.read(sid).then((s) => done(null, s), done)
  }
  override set(sid: string, s: session.SessionData, done: (err?: unknown) => void = () => {}): void {
    this.write(sid, s).then(() => done(), done)
  }
  override destroy(sid: string, done: (err?: unknown) => void = () => {}): void {
    this.fresh.delete(sid)
    this.db.sessions.destroy({ where: { sid } }).then(() => done(), done)
  }

  private async read(sid: string): Promise<session.SessionData | null> {
    const [row] = await this.db.sequelize.query<
      { data: string; of: string | null; factor: number } & Omit<Who, 'factor'>
    >(
      `SELECT s.data, s.user_id AS \`of\`, u.id, u.shop_id AS shopId, u.name, u.role,
        u.second_factor IS NOT NULL AS factor, h.name AS shop
      FROM sessions s
        LEFT JOIN users u ON u.id = s.user_id AND u.left_at IS NULL
        LEFT JOIN shops h ON h.id = u.shop_id
      WHERE s.sid = ? AND s.expires > ?`,
      { replacements: [sid, new Date()], type: QueryTypes.SELECT },
    )
    if (!row || (row.of && !row.id)) return null
    const { data, of, factor, ...who } = row
    const { user: _then, ...kept } = JSON.parse(data) as session.SessionData
    return { ...kept, ...(of ? { user: { ...who, factor: !!factor } } : {}) } as session.SessionData
  }

  private async write(sid: string, s: session.SessionData): Promise<void> {
    const fields = {
      data: JSON.stringify(s),
      expires: s.cookie.expires ? new Date(s.cookie.expires) : new Date(Date.now() + this.life),
      ...{ userId: s.user?.id ?? null, agent: s.agent ?? null },
      ...{ began: s.began ? new Date(s.began) : null, seen: s.seen ? new Date(s.seen) : null },
    }
    if (this.fresh.delete(sid)) await this.db.sessions.create({ sid, ...fields })
    else await this.db.sessions.update(fields, { where: { sid } })
  }

  private async sweep(): Promise<void> {
    await this.db.sessions.destroy({ where: { expires: { [Op.lt]: new Date() } } })
  }
}
