import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { API, openApi } from '@nubrin/core/api'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { QueryTypes } from 'sequelize'
import { commissionRoutes } from '../commissions/routes'
import type { Commissions } from '../commissions/store'
import type { Config } from '../config'
import type { Tables } from '../db/models'
import { Pdfs } from '../handoff/pdfs'
import { clientRoutes, handoffRoutes } from '../handoff/routes'
import type { Files } from '../media/files'
import { Library } from '../media/library'
import { mediaRoutes } from '../media/routes'
import { peopleRoutes } from '../people/routes'
import { csrf, sessions, signedIn } from '../people/sessions'
import { rackRoutes } from '../rack/routes'
import { shelfRoutes } from '../shelf/routes'
import type { Work } from '../work'
import { HttpProblem, NotFound, onError } from './problem'
import { serve } from './serve'

/** What the server works with. */
export interface Parts {
  config: Config
  db: Tables
  store: Commissions
  files: Files
  work: Work
  cookieSecret: string
  log: Logger
}

/** The whole server: API under /api, the built interface everywhere else. */
export function createApp({ config, db, store, files, work, cookieSecret, log }: Parts): Express {
  const library = new Library(db, files)
  const pdfs = new Pdfs(work)
  const app = express()
  app.disable('x-powered-by')
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
      strictTransportSecurity: false,
    }),
  )
  app.use(compression())

  const api = express.Router()
  api.use(express.json({ limit: '3mb' }))
  serve(api, API.health, async () => {
    try {
      await db.sequelize.query('SELECT 1', { type: QueryTypes.SELECT })
    } catch {
      throw new HttpProblem(503, 'database', 'The database does not answer.')
    }
    return { ok: true as const }
  })
  serve(api, API.openapi, async () => openApi())
  api.use(clientRoutes(db, library, pdfs))
  api.use(sessions(db, cookieSecret))
  api.use(peopleRoutes(db, config))
  api.use(signedIn, csrf)
  rackRoutes(api, store, db)
  commissionRoutes(api, { store, db, library, work })
  mediaRoutes(api, library, work)
  handoffRoutes(api, store, db, pdfs)
  shelfRoutes(api, db)
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
  app.get(/.*/, (_req, res, next) => {
    if (existsSync(index)) res.set('Cache-Control', 'no-cache').sendFile(index)
    else next(new NotFound('The interface is not built yet: npm run build.'))
  })
  app.use(onError((e) => log.error(e)))
  return app
}
