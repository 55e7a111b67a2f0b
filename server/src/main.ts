import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pino from 'pino'
import { SqlCommissions } from './commissions/sql-store'
import { readConfig } from './config'
import { migrate, wipe } from './db/migrations'
import { connect, tables } from './db/models'
import { createApp } from './http/app'
import { secret } from './ids'
import { FolderFiles } from './media/files'
import { DEMO_SIGN_IN, seed } from './seed'
import { ThreadWork } from './work'

const here = dirname(fileURLToPath(import.meta.url))
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' })

async function main() {
  const config = readConfig(process.env, here)
  mkdirSync(config.dataFolder, { recursive: true })
  const sequelize = connect(config.databaseUrl)
  const db = tables(sequelize)
  if (config.reset) await wipe(sequelize)
  else await migrate(sequelize)
  const files = new FolderFiles(join(config.dataFolder, 'files'))
  const store = new SqlCommissions(db)
  if ((await db.shops.count()) === 0) await seed(db, store, files)

  const work = new ThreadWork(join(here, 'worker.js'))
  const server = createServer(
    createApp({ config, db, store, files, work, cookieSecret: cookieSecret(config.dataFolder), log }),
  )
  await new Promise<void>((done, fail) => {
    server.once('error', fail)
    server.listen(config.port, '127.0.0.1', done)
  })
  console.log(
    `Nubrin is at http://127.0.0.1:${config.port}\nDemo sign-in: ${DEMO_SIGN_IN.signIn} / ${DEMO_SIGN_IN.password}\nCtrl-C stops it.`,
  )
  const stop = () => {
    server.close(() => Promise.allSettled([work.close(), sequelize.close()]).finally(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.once('SIGTERM', stop)
  process.once('SIGINT', stop)
}

/** The key that signs session cookies: made once and kept beside the data, readable by its owner only. */
function cookieSecret(folder: string): string {
  const path = join(folder, 'cookie-secret')
  if (!existsSync(path)) writeFileSync(path, secret(), { mode: 0o600 })
  return readFileSync(path, 'utf8')
}

main().catch((e) => {
  log.fatal(e)
  console.error(`Nubrin could not start: ${(e as Error).message}`)
  process.exit(1)
})
