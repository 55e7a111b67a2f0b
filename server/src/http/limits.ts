import type { IncomingMessage } from 'node:http'
import { DEEPEST_JSON, nestedDeeper } from '@nubrin/core/import'
import type { Request, RequestHandler } from 'express'
import PQueue from 'p-queue'
import { HttpProblem, send } from './problem'

/** For the reader of JSON bodies: refuses what is nested too deep before it is read. */
export function verifyDepth(_req: IncomingMessage, _res: unknown, body: Buffer): void {
  if (nestedDeeper(body.toString('latin1'), DEEPEST_JSON))
    throw new HttpProblem(422, 'invalid', 'The body is nested too deep.', [
      { path: '', rule: 'maxDepth', message: `is nested deeper than ${DEEPEST_JSON} levels` },
    ])
}

/** A path that no decoder understands is a bad request, not a fault of the server. */
export const readablePath: RequestHandler = (req, res, next) => {
  try {
    decodeURIComponent(req.path)
    next()
  } catch {
    send(res, new HttpProblem(400, 'path', 'The address is not readable: it is not percent-encoded UTF-8.'))
  }
}

/** So many requests of one key are worked on at a time. */
const AT_A_TIME = 2
/** Of whoever asks for many things at once, some are worked on and the others wait their turn, so that nobody else waits for them. */
export function inTurn(keyOf: (req: Request) => string): RequestHandler {
  const turns = new Map<string, PQueue>()
  return (req, res, next) => {
    const key = keyOf(req)
    const turn = turns.get(key) ?? new PQueue({ concurrency: AT_A_TIME })
    turns.set(key, turn)
    void turn.add(
      () =>
        new Promise<void>((done) => {
          res.once('close', done)
          if (res.closed) done()
          else next()
        }),
    )
    void turn.onIdle().then(() => turns.get(key) === turn && turns.delete(key))
  }
}

/** Whether an address, as the network gives it, is this machine's own. */
export const isLoopback = (ip: string | undefined) => /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/.test(ip ?? '')

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])$/
/** Answers only under names that are this server's: another name may be somebody's page that points here. */
export const knownHost =
  (hosts: readonly string[]): RequestHandler =>
  (req, res, next) => {
    const name = (req.headers.host ?? '').toLowerCase().replace(/:\d+$/, '')
    if (LOOPBACK.test(name) || hosts.includes(name)) return next()
    send(
      res,
      new HttpProblem(421, 'host', 'This server does not answer to that name. NUBRIN_HOSTS names those it does.'),
    )
  }
