import session from 'express-session'
import { LRUCache } from 'lru-cache'

/** How long what a session holds is believed without asking the database, ms. */
const BELIEVED = 5000

/**
 * Sessions of another store, remembered for a moment: a page that asks ten things reads its session once. What this server
 * ends is forgotten at once; what another one ends holds for the moment at most.
 */
export class Remembered extends session.Store {
  private readonly kept = new LRUCache<string, string>({ max: 5000, ttl: BELIEVED })

  constructor(private readonly under: session.Store) {
    super()
  }

  /** Forgets all, as when somebody's sessions are ended. */
  forget() {
    this.kept.clear()
  }
  override get(sid: string, done: (err: unknown, s?: session.SessionData | null) => void) {
    const there = this.kept.get(sid)
    if (there) return done(null, JSON.parse(there))
    this.under.get(sid, (err, s) => {
      if (s) this.kept.set(sid, JSON.stringify(s))
      done(err, s)
    })
  }
  override set(sid: string, s: session.SessionData, done?: (err?: unknown) => void) {
    this.kept.delete(sid)
    this.under.set(sid, s, done)
  }
  override destroy(sid: string, done?: (err?: unknown) => void) {
    this.kept.delete(sid)
    this.under.destroy(sid, done)
  }
}
