import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { API, openApi } from '@nubrin/core/api'
import { loadLanguages } from '@nubrin/core/languages'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import type { Config } from './base/config'
import { earlierRoutes } from './commissions/earlier'
import { eraseRoutes } from './commissions/erase'
import { phoneLinkRoutes, phoneRoutes } from './commissions/phone'
import { commissionRoutes } from './commissions/routes'
import type { Commissions } from './commissions/store'
import type { Tables } from './db/models'
import { cardRoutes } from './handoff/card-zip'
import { clientRoutes } from './handoff/client'
import { clientIndex } from './handoff/client-index'
import { letterRoutes } from './handoff/letters'
import { Papers } from './handoff/papers'
import { handoffRoutes } from './handoff/routes'
import { healthOf } from './health'
import { type Disk, roomToWrite } from './http/disk'
import { isLoopback, knownHost, readablePath, verifyDepth } from './http/limits'
import { requestLog } from './http/log'
import { HttpProblem, NotFound, onError } from './http/problem'
import { JsonText, serve } from './http/serve'
import type { Outbox } from './mail/outbox'
import type { Library } from './media/library'
import { mediaRoutes } from './media/routes'
import { selfRoutes, signInRoutes } from './people/routes'
import { csrf, sessions, signedIn } from './people/sessions'
import { joinRoutes, teamRoutes } from './people/team'
import { planRoutes } from './plan/routes'
import type { RackStore } from './rack/rack-store'
import { rackRoutes } from './rack/routes'
import { fontRoutes } from './shelf/fonts'
import { recallRoutes } from './shelf/recall'
import { shelfRoutes } from './shelf/routes'
import { shopExportRoutes } from './shop/export'
import type { Work } from './work/kinds'

/** What the server works with. */
export interface Parts {
  config: Config
  db: Tables
  store: Commissions
  library: Library
  outbox: Outbox
  work: Work
  rackStore: RackStore
  disk: Disk
  cookieSecret: string
  log: Logger
}

/** The whole server: API under /api, the built interface everywhere else. */
export function createApp({
  config,
  db,
  store,
  library,
  outbox,
  work,
  rackStore,
  disk,
  cookieSecret,
  log,
}: Parts): Express {
  loadLanguages()
  const papers = new Papers(work)
  const app = express()
  app.disable('x-powered-by')
  app.set('trust proxy', config.trustProxy)
  app.use(requestLog(log), knownHost(config.hosts), readablePath)
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'blob:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
          workerSrc: ["'self'", 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      // Only where the way here is encrypted; browsers ignore it elsewhere, and loopback has no certificate.
      strictTransportSecurity: config.trustProxy ? { maxAge: 15_552_000 } : false,
    }),
  )
  // Answers are made once and read once: neither a strong pressing nor a sum over them pays.
  app.set('etag', false)
  // Whoever asks from this machine has no slow line; through a proxy it is the browser's address that counts.
  app.use(compression({ level: 1, filter: (req, res) => !isLoopback(req.ip) && compression.filter(req, res) }))

  const api = express.Router()
  api.use((_req, res, next) => {
    // What is private is kept nowhere on the way; routes that may be kept say so themselves.
    res.set('Cache-Control', 'private, no-store')
    next()
  })
  api.use(roomToWrite(disk))
  api.use(express.json({ limit: '3mb', verify: verifyDepth }))
  serve(api, API.health, async ({ res }) => {
    const health = await healthOf(db, config.dataFolder)
    if (!health.ok) {
      const down = Object.entries(health.parts).flatMap(([k, v]) => (v.ok ? [] : [`${k}: ${v.says}`]))
      throw new HttpProblem(503, 'health', `Not everything is well. ${down.join('; ')}.`, [], { parts: health.parts })
    }
    res.set('Cache-Control', 'no-store')
    return health
  })
  const document = new JsonText(JSON.stringify(openApi()))
  serve(api, API.openapi, async ({ res }) => {
    res.set('Cache-Control', 'public, max-age=3600')
    return document
  })
  api.use(
    clientRoutes({ db, store, library, papers, work, webFolder: config.webFolder }),
    phoneRoutes(db, store, library, work),
  )
  api.use(...sessions(db, cookieSecret, config.port))
  api.use(signInRoutes(db, config), joinRoutes(db, config.port))
  api.use(signedIn, csrf)
  selfRoutes(api, db, config)
  teamRoutes(api, db)
  rackRoutes(api, rackStore, db)
  commissionRoutes(api, { store, db, library, work })
  mediaRoutes(api, library, work, (shopId, id) => store.there(shopId, id))
  eraseRoutes(api, { db, library, outbox, data: config.dataFolder })
  earlierRoutes(api, db, work)
  shopExportRoutes(api, db, library)
  phoneLinkRoutes(api, store, db)
  handoffRoutes(api, { store, db, library, papers, work, webFolder: config.webFolder })
  shelfRoutes(api, { db, work })
  fontRoutes(api, { db, library })
  cardRoutes(api, { store, library, work })
  recallRoutes(api, { db, store, outbox })
  letterRoutes(api, { db, store, outbox })
  planRoutes(api, { db, store, rackStore, work })
  api.use((req, _res) => {
    throw new NotFound(`There is nothing at ${req.method} ${req.baseUrl}${req.path}.`)
  })
  app.use('/api', api)

  app.use(
    '/assets',
    express.static(join(config.webFolder, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }),
  )
  app.use(express.static(config.webFolder, { index: false }))
  const index = join(config.webFolder, 'index.html')
  app.get(/.*/, (req, res, next) => {
    if (existsSync(index) && req.path.startsWith('/c/'))
      res.set('Cache-Control', 'no-cache').type('html').send(clientIndex(config.webFolder))
    else if (existsSync(index)) res.set('Cache-Control', 'no-cache').sendFile(index)
    else next(new NotFound('The interface is not built yet: npm run build.'))
  })
  app.use(onError((e, id) => log.error({ err: e, request: id })))
  return app
}
