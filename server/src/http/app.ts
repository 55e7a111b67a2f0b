import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { QueryTypes } from 'sequelize'
import type { Config } from '../config'
import type { Store } from '../db/store'
import type { Files } from '../files'
import { authRoutes, csrf, sessions, signedIn } from './auth'
import { clientRoutes, commissionRoutes } from './commissions'
import { openApi } from './openapi'
import { partRoutes } from './parts'
import { HttpProblem, NotFound, onError, send } from './problem'

/** The whole server: API under /api, the built interface everywhere else. */
export function createApp(config: Config, store: Store, files: Files, cookieSecret: string, log: Logger): Express {
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
  api.get('/health', async (_req, res) => {
    try {
      await store.db.sequelize.query('SELECT 1', { type: QueryTypes.SELECT })
      res.json({ ok: true })
    } catch {
      send(res, new HttpProblem(503, 'database', 'The database does not answer.'))
    }
  })
  api.get('/openapi.json', (_req, res) => {
    res.json(openApi())
  })
  api.use('/client', clientRoutes(store, files))
  api.use(sessions(store.db, cookieSecret))
  api.use(authRoutes(store.db, config))
  api.use(signedIn, csrf)
  api.use(commissionRoutes(store, files))
  api.use(partRoutes(store.db))
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
