import { type BodyOf, type GoodOf, type ParamsOf, type QueryOf, type Route, reaching } from '@nubrin/core/api'
import { explain, makeAjv } from '@nubrin/core/import'
import type { Request, RequestHandler, Response, Router } from 'express'
import multer from 'multer'
import type { User } from '../db/models'
import { HttpProblem, Invalid } from './problem'

export type Who = Pick<User, 'id' | 'shopId' | 'name' | 'role'> & { shop: string; factor: boolean }

/** One request as its route describes it: everything in it has been checked. */
interface Call<R extends Route> {
  params: ParamsOf<R>
  query: QueryOf<R>
  body: BodyOf<R>
  /** The file of a form, for routes that take one. */
  file: { bytes: Buffer; name: string }
  /** Who is asking; behind the sign-in only. */
  who: Who
  req: Request
  res: Response
}
/** Answers with the JSON of the route, or writes a file to `res` itself. */
export type Handler<R extends Route> = (call: Call<R>) => Promise<GoodOf<R> | JsonText | undefined>

/** An answer that is JSON text already, as what is kept as such: it travels as it is. */
export class JsonText {
  constructor(readonly text: string) {}
}

/** Whether somebody may use a route; those without a word of their own let everybody of the shop look, and helpers change. */
function may(route: Route, who: Who | undefined): boolean {
  if (route.open) return true
  const needs = route.needs ?? (route.method === 'get' ? 'viewer' : 'helper')
  return who !== undefined && reaching(needs).includes(who.role)
}
export const notAllowed = (what: string) => new HttpProblem(403, 'notAllowed', what)

const ajv = makeAjv()
/** Answers are held against their schema too, where that is asked for: by the tests. */
const CHECK_ANSWERS = process.env.NUBRIN_CHECK_ANSWERS === '1'

const expressPath = (path: string) => path.replace(/\{(\w+)\}/g, ':$1')

function checked<T>(schema: object, value: unknown, what: string): T {
  const valid = ajv.compile(schema)
  if (!valid(value)) {
    const problems = explain(valid.errors ?? [])
    const first = problems[0]
    throw new Invalid(
      first ? `${first.path.slice(1) || what} ${first.message}.` : `The ${what} is not as it should be.`,
      problems,
    )
  }
  return value as T
}

/** Puts a route on a router: reads what it takes, checks it, and answers as it says. */
export function serve<R extends Route>(router: Router, route: R, handle: Handler<R>, fileBytes = 0): void {
  const before: RequestHandler[] = route.takesFile
    ? [
        multer({
          storage: multer.memoryStorage(),
          // As browsers send the names of files.
          defParamCharset: 'utf8',
          limits: { fileSize: fileBytes, files: 1, fields: 10 },
        }).single('file'),
      ]
    : []
  // Asked before anything is read: what somebody may not do need not be looked at.
  const allowed: RequestHandler = (req, _res, next) => {
    if (may(route, req.session?.user)) return next()
    next(notAllowed(`This is for ${route.needs ?? 'helper'}s of the shop and above.`))
  }
  router[route.method](expressPath(route.path), allowed, ...before, async (req: Request, res: Response) => {
    const query = route.query ? checked<QueryOf<R>>(route.query, { ...req.query }, 'query') : {}
    const body = route.body ? checked<BodyOf<R>>(route.body, req.body ?? {}, 'body') : undefined
    if (route.takesFile && !req.file)
      throw new Invalid('No file was sent.', [{ path: 'file', rule: 'required', message: 'is missing' }])
    const answer = await handle({
      params: req.params as ParamsOf<R>,
      query: query as QueryOf<R>,
      body: body as BodyOf<R>,
      file: { bytes: req.file?.buffer ?? Buffer.alloc(0), name: req.file?.originalname ?? '' },
      who: req.session?.user as Who,
      req,
      res,
    })
    if (res.headersSent || res.writableEnded || 'file' in route.good) return
    if ('empty' in route.good) {
      res.status(204).end()
      return
    }
    if (CHECK_ANSWERS && 'json' in route.good) {
      const valid = ajv.compile(route.good.json)
      const sent: unknown = JSON.parse(answer instanceof JsonText ? answer.text : JSON.stringify(answer))
      if (!valid(sent))
        throw new Error(`${route.method} ${route.path} answers against its schema: ${ajv.errorsText(valid.errors)}`)
    }
    if (answer instanceof JsonText) res.status(route.good.status).type('application/json').send(answer.text)
    else res.status(route.good.status).json(answer)
  })
}
