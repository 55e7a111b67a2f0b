import { statfs } from 'node:fs/promises'
import type { RequestHandler } from 'express'
import { diskFull, send } from './problem'

/**
 * Kept free for the database, bytes. It grows by some megabytes at a time, and one that finds no room while it takes a
 * change back ends itself; so nothing is begun that might take the last of it.
 */
const KEPT_FREE = 48 * 1024 * 1024
/** How long an answer of the disk holds, ms. */
const HOLDS = 200

/** What is free where the data lies. One that cannot be asked counts as having room: the write itself will say. */
export class Disk {
  private asked = Number.NEGATIVE_INFINITY
  private free = Number.POSITIVE_INFINITY

  constructor(private readonly folder: string) {}

  /** Whether `bytes` more may be written without touching what is kept free. */
  async hasRoom(bytes = 0): Promise<boolean> {
    if (performance.now() - this.asked > HOLDS) {
      this.asked = performance.now()
      this.free = await statfs(this.folder).then(
        (s) => s.bavail * s.bsize,
        () => Number.POSITIVE_INFINITY,
      )
    }
    return this.free - bytes >= KEPT_FREE
  }
}

/** Refuses what would write before it is read; whoever comes to look may still sign in. */
export const roomToWrite =
  (disk: Disk): RequestHandler =>
  (req, res, next) => {
    if (req.method === 'GET' || req.method === 'HEAD' || req.path === '/session') return next()
    // What is sent is unpacked and kept beside what was sent.
    disk.hasRoom(2 * Number(req.headers['content-length'] ?? 0)).then((room) => {
      if (room) next()
      else send(res, diskFull())
    }, next)
  }
