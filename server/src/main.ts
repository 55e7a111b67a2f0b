import { createHash } from 'node:crypto'
import { mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pino from 'pino'
import { createApp } from './app'
import { type Config, readConfig } from './base/config'
import { newId, secret } from './base/ids'
import { repeatErasures } from './commissions/erase'
import { gateIn } from './commissions/shipping'
import { SqlCommissions } from './commissions/sql-store'
import { allow, migrate, wipe } from './db/migrations'
import { connect, type Tables, tables } from './db/models'
import { transact } from './db/transact'
import { Disk } from './http/disk'
import { Outbox } from './mail/outbox'
import { FolderFiles } from './media/files'
import { Library } from './media/library'
import { fillLikeness } from './people/likeness'
import { isPassword } from './people/passwords'
import { invite } from './people/team'
import { RackStore } from './rack/rack-store'
import { DEMO_SIGN_IN, seed } from './seed'
import { ThreadWork } from './work'

const here = dirname(fileURLToPath(import.meta.url))
/** The start itself comes first, ms. */
const WARM_AFTER = 4000
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' })

async function main() {
  const config = readConfig(process.env, here)
  // Neither a thread nor a report of a crash is to find the passwords.
  delete process.env.DATABASE_URL
  delete process.env.DATABASE_OWNER_URL
  mkdirSync(config.dataFolder, { recursive: true })
  await prepare(config)
  const sequelize = connect(config.databaseUrl)
  const db = tables(sequelize)
  const files = new FolderFiles(join(config.dataFolder, 'files'))
  const welcome = await firstRun(config, db, files)
  await fillLikeness(db)
  const library = new Library(db, files)
  const outbox = new Outbox(join(config.dataFolder, 'outbox'))
  await repeatErasures({ db, library, outbox, data: config.dataFolder })
  const script = join(here, 'worker.js')
  const work = new ThreadWork(script)
  const store = new SqlCommissions(db, gateIn(work))
  const rules = createHash('sha256').update(readFileSync(script)).digest('hex').slice(0, 40)
  const disk = new Disk(config.dataFolder)
  const rackStore = new RackStore(db, work, rules, disk)

  const server = createServer(
    createApp({
      config,
      db,
      store,
      library,
      outbox,
      work,
      rackStore,
      disk,
      cookieSecret: cookieSecret(config.dataFolder),
      log,
    }),
  )
  server.requestTimeout = 120_000
  server.headersTimeout = 20_000
  await new Promise<void>((done, fail) => {
    server.once('error', fail)
    // Longer than any proxy or page keeps a line: who closes first must not be the one that is asked.
    server.keepAliveTimeout = 65_000
    server.listen(config.port, '127.0.0.1', done)
  })
  const address = `http://127.0.0.1:${config.port}`
  console.log(`Nubrin is at ${address}\n${welcome(address)}\nCtrl-C stops it.`)
  const tidy = () => {
    void sweep(rackStore)
    library.sweep().catch((e) => log.error(e))
  }
  const sweeping = setInterval(tidy, 10 * 60_000)
  tidy()
  setTimeout(() => void work.run('warm', {}, 'upkeep').catch(() => undefined), WARM_AFTER).unref()
  const stop = () => {
    clearInterval(sweeping)
    server.close(() => Promise.allSettled([work.close(), sequelize.close()]).finally(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => process.exit(0), 3000).unref()
  }
  process.once('SIGTERM', stop)
  process.once('SIGINT', stop)
}

/** Tables as this program needs them, made by the user that may. */
async function prepare(config: Config): Promise<void> {
  const owner = connect(config.ownerUrl ?? config.databaseUrl)
  try {
    if (config.reset) await wipe(owner)
    else await migrate(owner)
    if (config.ownerUrl) await allow(owner, decodeURIComponent(new URL(config.databaseUrl).username), '127.0.0.1')
  } finally {
    await owner.close()
  }
}

/** Fills an empty database: with the demo shop, or with a shop that waits for its owner. Gives the words for the terminal. */
async function firstRun(config: Config, db: Tables, files: FolderFiles): Promise<(address: string) => string> {
  const demo = () => `Demo sign-in: ${DEMO_SIGN_IN.signIn} / ${DEMO_SIGN_IN.password}`
  if (await db.users.count()) {
    // Said as long as it is so.
    const shown = config.demo ? await db.users.findOne({ where: { signIn: DEMO_SIGN_IN.signIn, leftAt: null } }) : null
    const opens = shown && (await isPassword(shown.passwordHash, DEMO_SIGN_IN.password))
    return opens ? demo : () => 'Sign in as you always do.'
  }
  if (config.demo && (await neverUsed(config, db))) {
    await seed(db, files)
    return demo
  }
  // Nobody is here yet: whoever reads this terminal may become the owner. A new link each start; the old ones end.
  const token = await transact(db.sequelize, async (transaction) => {
    const shop = await db.shops.findOne({ transaction })
    const shopId = shop?.id ?? newId('s')
    if (!shop) await db.shops.create({ id: shopId, name: 'My shop' }, { transaction })
    await db.invitations.update({ usedAt: new Date() }, { where: { shopId, usedAt: null }, transaction })
    return (
      await invite(db, { shopId, name: '', role: 'owner', madeBy: 'the first start', madeById: null }, transaction)
    ).token
  })
  return (address) => `Nobody works here yet. Open ${address}/join/${token} to begin as the owner.`
}

/** What a shop leaves in its folder. */
const OF_A_SHOP = /^(backups|outbox|erasures\.ndjson|restoring.*|before-restore-.*)$/
/** Whether nothing was ever here: the demo, with its known password, is made nowhere else, but where everything was just emptied. */
async function neverUsed(config: Config, db: Tables): Promise<boolean> {
  if (config.reset) return true
  if (readdirSync(config.dataFolder).some((name) => OF_A_SHOP.test(name))) return false
  return !(await db.shops.count()) && !(await db.commissions.count())
}

let sweepingNow = false
/** Brings the rack up to date quietly, a little at a time. */
async function sweep(rackStore: RackStore): Promise<void> {
  if (sweepingNow) return
  sweepingNow = true
  try {
    while (await rackStore.sweep()) await new Promise((r) => setTimeout(r, 50))
  } catch (e) {
    log.error(e)
  } finally {
    sweepingNow = false
  }
}

/** The key that signs session cookies: made once and kept beside the data, readable by its owner only. */
function cookieSecret(folder: string): string {
  const path = join(folder, 'cookie-secret')
  const read = () => {
    try {
      return readFileSync(path, 'utf8')
    } catch {
      return ''
    }
  }
  // An empty or half written one, as after a full disk, is made anew: everybody signs in again.
  if (read().length < 20) {
    writeFileSync(`${path}.new`, secret(), { mode: 0o600 })
    renameSync(`${path}.new`, path)
  }
  return read()
}

main().catch((e) => {
  log.fatal(e)
  console.error(`Nubrin could not start: ${(e as Error).message}`)
  process.exit(1)
})
