import type { Problem } from '@nubrin/core/record'
import type { ErrorRequestHandler, Response } from 'express'

/** A fault that the caller can mend: status, what is wrong, which field and which rule. Sent as application/problem+json (RFC 9457). */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly type: string,
    detail: string,
    readonly problems: Problem[] = [],
    readonly more: Record<string, unknown> = {},
  ) {
    super(detail)
  }
}
export class Invalid extends HttpProblem {
  constructor(detail: string, problems: Problem[], more: Record<string, unknown> = {}) {
    super(422, 'invalid', detail, problems, more)
  }
}
export class NotFound extends HttpProblem {
  constructor(detail: string) {
    super(404, 'notFound', detail)
  }
}
export class Conflict extends HttpProblem {
  constructor(detail: string, problem?: Problem, more: Record<string, unknown> = {}) {
    super(409, 'conflict', detail, problem ? [problem] : [], more)
  }
}

export function send(res: Response, p: HttpProblem): void {
  res
    .status(p.status)
    .type('application/problem+json')
    .send({
      type: `/problems/${p.type}`,
      title: p.type,
      status: p.status,
      detail: p.message,
      problems: p.problems,
      ...p.more,
    })
}

export const diskFull = () =>
  new HttpProblem(507, 'disk', 'The server’s disk is full; nothing was saved. Make room, then send it again.')

/** What an error says of itself, and what is wrapped in it. */
interface Wrapped {
  name?: string
  code?: string
  sqlState?: string
  errno?: number
  message?: string
  parent?: unknown
  original?: unknown
}
const within = (e: unknown, says: (x: Wrapped) => boolean): boolean => {
  if (!e || typeof e !== 'object') return false
  const x = e as Wrapped
  return says(x) || within(x.original ?? x.parent, says)
}

/** Whether an error says that the connection to the database is gone, however it is wrapped. */
const isAway = (e: unknown) =>
  within(
    e,
    (x) =>
      // Refused, too: its password was changed while it ran.
      /^Sequelize(Connection|AccessDenied|HostNot|InvalidConnection)/.test(x.name ?? '') ||
      x.sqlState === '28000' ||
      x.sqlState?.startsWith('08') === true ||
      /connection (is )?closed|socket has unexpectedly|ECONNREFUSED|ECONNRESET/i.test(x.message ?? ''),
  )

/** The database's words for no room: disk full, error writing a file, a table that cannot grow, a temporary file likewise. */
const NO_ROOM = new Set([1021, 1026, 1114, 3, 28])
/** Whether an error says that there is no room on the disk. */
const isFull = (e: unknown) =>
  within(
    e,
    (x) =>
      x.code === 'ENOSPC' ||
      x.code === 'EDQUOT' ||
      (x.sqlState !== undefined && NO_ROOM.has(x.errno ?? 0)) ||
      /no space left on device/i.test(x.message ?? ''),
  )

/** Turns whatever was thrown into a problem; what nobody foresaw is logged and answered with 500 and no inner detail. */
export const onError =
  (log: (e: unknown, request: string) => void): ErrorRequestHandler =>
  (error, _req, res, next) => {
    if (res.headersSent) return next(error)
    if (error instanceof HttpProblem) return send(res, error)
    const e = error as { type?: string; status?: number; code?: string; message?: string }
    if (e.type === 'entity.too.large' || e.code === 'LIMIT_FILE_SIZE')
      return send(
        res,
        new HttpProblem(413, 'tooLarge', 'That is larger than this server takes.', [
          { path: '', rule: 'maxBytes', message: 'is too large' },
        ]),
      )
    if (e.type === 'entity.parse.failed')
      return send(
        res,
        new HttpProblem(400, 'json', 'The body is not JSON.', [
          { path: '', rule: 'json', message: e.message ?? 'not JSON' },
        ]),
      )
    if (e.code?.startsWith('LIMIT_'))
      return send(res, new HttpProblem(400, 'upload', `The upload was refused: ${e.message}`))
    if (e.code === 'EBADCSRFTOKEN')
      return send(res, new HttpProblem(403, 'csrf', 'The request did not come from this page. Reload and try again.'))
    if (e.type === 'request.aborted') return
    if (isAway(error))
      return send(
        res,
        new HttpProblem(503, 'database', 'The database does not answer just now. Send it again in a moment.'),
      )
    if (isFull(error)) return send(res, diskFull())
    if (e.status && e.status >= 400 && e.status < 500)
      return send(res, new HttpProblem(e.status, e.type ?? 'request', 'The request cannot be read.'))
    log(error, String(res.getHeader('x-request-id') ?? ''))
    send(
      res,
      new HttpProblem(500, 'server', 'Something went wrong here; nothing was saved. The server’s log says more.'),
    )
  }
