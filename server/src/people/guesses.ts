import type { Request, RequestHandler, Response } from 'express'
import { rateLimit } from 'express-rate-limit'
import type { Tables } from '../db/models'
import { HttpProblem, send } from '../http/problem'
import { forget, known } from './devices'
import { likeness } from './likeness'

const QUARTER = 15 * 60_000
const tooMany = (res: Response) =>
  send(res, new HttpProblem(429, 'tooManyTries', 'Too many tries. Wait a quarter of an hour, then try again.'))

interface Limited {
  /** What is counted together; the address where nothing is said. */
  by?: (req: Request, res: Response) => string
  skip?: (res: Response) => boolean
  beyond?: (res: Response, next: () => void) => void
}
/** So many failures in a quarter of an hour. */
const limited = (limit: number, { by, skip = () => false, beyond = tooMany }: Limited = {}): RequestHandler =>
  rateLimit({
    ...{ windowMs: QUARTER, limit, skipSuccessfulRequests: true, standardHeaders: 'draft-8', legacyHeaders: false },
    ...(by ? { keyGenerator: by } : {}),
    skip: (_req, res) => skip(res),
    handler: (_req, res, next) => beyond(res, next),
  })

/** Against guessing what a link's secret is. */
export const byAddress = (limit: number): RequestHandler => limited(limit)

/**
 * Against guessing passwords and codes: failures are counted by address, and by whom they are about from whatever address. A
 * browser that its person signed in with before is counted by itself, so that nobody is shut out by what others try; what fails
 * too often with it makes it one like any other.
 */
export const atTheDoor = (db: Tables, limit: number, port: number): RequestHandler[] => {
  const isKnown = (res: Response) => res.locals.device !== undefined
  return [
    known(db, port),
    limited(limit, {
      by: (_req, res) => res.locals.device!,
      skip: (res) => !isKnown(res),
      beyond: (res, next) => {
        const id = res.locals.device!
        delete res.locals.device
        forget(db, id).then(() => next(), next)
      },
    }),
    limited(limit, { skip: isKnown }),
    limited(limit, { by: (req) => likeness(String(req.body?.signIn ?? '').slice(0, 120)), skip: isKnown }),
  ]
}

/** The same where somebody is signed in already: by who it is. */
export const inside = (limit: number): RequestHandler =>
  limited(limit, { by: (req) => req.session.user?.id ?? 'nobody' })
