import { randomUUID } from 'node:crypto'
import type { RequestHandler } from 'express'
import type { Logger } from 'pino'

/**
 * Gives each request an id, told back to whoever asked, and logs how it went: method, route, status, time. No path beyond
 * its first two steps, no query and no body, so that nothing of a client and no secret link gets into a log.
 */
export const requestLog =
  (log: Logger): RequestHandler =>
  (req, res, next) => {
    const id = randomUUID().slice(0, 12)
    res.set('x-request-id', id)
    const began = performance.now()
    const where = req.path.split('/').slice(0, 3).join('/')
    res.once('finish', () => {
      const line = {
        request: id,
        method: req.method,
        where,
        status: res.statusCode,
        ms: Math.round(performance.now() - began),
      }
      if (res.statusCode >= 500) log.warn(line)
      else log.info(line)
    })
    next()
  }
