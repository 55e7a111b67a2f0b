// npm start: installs what is missing, starts the database, builds, serves. Ctrl-C stops all of it.
//   npm start -- --empty   begins without the demo shop and asks for an owner
//   npm run reset          empties the database and loads the demo shop anew
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, realpathSync, rmSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { lockFolder } from './lib/lock.mjs'
import { freePort, startMariadb } from './lib/mariadb.mjs'
import { endOrphan, forgetServer, noteServer } from './lib/orphan.mjs'
import { afterRestore } from './lib/restoring.mjs'
import { serving } from './lib/serving.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const reset = process.argv.includes('--reset')
const empty = process.argv.includes('--empty')
const external = process.env.DATABASE_URL || undefined
const keepBackups = process.env.NUBRIN_BACKUP_HOURS ?? '24'

/** More deaths than this within the time, and something is wrong that starting again does not mend. */
const [MOST_DEATHS, WITHIN_MS] = [5, 60_000]
/** Whether a backup is due is asked so often. */
const LOOKS_EVERY_MS = 10 * 60_000

let data
let giveBack = () => {}
let db
let server
let backups
let stopping = false
async function stop(code) {
  if (stopping) return
  stopping = true
  clearInterval(backups)
  if (server && server.exitCode === null && server.signalCode === null) {
    server.kill('SIGTERM')
    await new Promise((r) => server.once('exit', r))
  }
  if (server) forgetServer(data)
  await db?.stop()
  giveBack()
  process.exit(code)
}
for (const s of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(s, () => stop(0))

/** Says whether what just died may be started again. */
function deaths(what) {
  const times = []
  return (how) => {
    const now = Date.now()
    times.push(now)
    while (times[0] < now - WITHIN_MS) times.shift()
    if (times.length > MOST_DEATHS) {
      console.error(`${what} ended ${times.length} times within a minute (${how}). Nubrin stops; its log says more.`)
      return false
    }
    console.error(`${what} ended unexpectedly (${how}); it is started again.`)
    return true
  }
}
const databaseMayRise = deaths('The database')
const serverMayRise = deaths('The server')

async function startDatabase(port = Number(process.env.NUBRIN_DB_PORT ?? 0)) {
  db = await startMariadb(join(data, 'mariadb'), {
    wantedPort: port,
    onExit: async (how) => {
      if (stopping) return
      if (!databaseMayRise(how)) return stop(1)
      try {
        // On the same port: the server's connections find it again by themselves.
        await startDatabase(db.port)
      } catch (e) {
        console.error(e.message)
        await stop(1)
      }
    },
  })
}

function startServer(port, first) {
  server = spawn(process.execPath, serving(root), {
    stdio: ['inherit', 'pipe', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: external ?? db.url,
      ...(external ? {} : { DATABASE_OWNER_URL: db.ownerUrl }),
      ...(external || empty ? {} : { NUBRIN_DEMO: '1' }),
      PORT: String(port),
      NUBRIN_DATA: data,
      ...(reset && first ? { NUBRIN_RESET: '1' } : {}),
    },
  })
  noteServer(data, server.pid, port)
  let began = false
  server.stdout.on('data', (b) => {
    began ||= String(b).includes('Nubrin is at')
    process.stdout.write(b)
  })
  server.once('exit', (code, signal) => {
    if (stopping) return
    // One that never stood says itself why; trying again would only say it again.
    if ((first && !began) || !serverMayRise(signal ?? `code ${code}`)) return stop(code || 1)
    setTimeout(() => !stopping && startServer(port, false), 500)
  })
}

try {
  ensureNpm(root)
  mkdirSync(process.env.NUBRIN_DATA ?? join(root, '.data'), { recursive: true })
  data = realpathSync(process.env.NUBRIN_DATA ?? join(root, '.data'))
  giveBack = lockFolder(data)
  const left = await endOrphan(data)
  const cutOff = afterRestore(data)
  if (cutOff) console.log(cutOff)
  // From here on the first backup is waited for: a shop begun just now has nothing to keep yet.
  const shopBegan = existsSync(join(data, 'mariadb')) ? statSync(join(data, 'mariadb')).birthtimeMs : Date.now()
  if (!external) {
    ensureDebian(['mariadbd', 'mariadb', 'letters'])
    await startDatabase()
  }
  if (reset) rmSync(join(data, 'files'), { recursive: true, force: true })
  const { build } = await import('./build.mjs')
  await build()
  // The address stays what it was, where a killed start had to take another one.
  startServer(await freePort(left ?? Number(process.env.PORT ?? 4310)), true)
  if (!external && Number(keepBackups) > 0) {
    const { backup, lastGood, thin } = await import('./lib/backup.mjs')
    const often = Number(keepBackups) * 3_600_000
    let making
    /** Looked at often, since a shop that is switched off at night never runs for a day. */
    const look = () => {
      if (making || Date.now() - (lastGood(data) ?? shopBegan) < often) return
      making = backup({ data, ownerUrl: db.ownerUrl })
        .then(() => thin(join(data, 'backups'), Number(process.env.NUBRIN_KEEP_BACKUPS ?? 14)))
        .catch((e) => console.error(`The backup failed: ${e.message}`))
        .finally(() => {
          making = undefined
        })
    }
    look()
    backups = setInterval(look, Math.min(often, LOOKS_EVERY_MS))
  }
} catch (e) {
  console.error(e instanceof Error ? e.message : e)
  await stop(1)
}
