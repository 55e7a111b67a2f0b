// npm start: installs what is missing, starts the database, builds, serves. Ctrl-C stops all of it.
import { spawn } from 'node:child_process'
import { rmSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { freePort, startMariadb } from './lib/mariadb.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const reset = process.argv.includes('--reset')
const data = process.env.NUBRIN_DATA ?? join(root, '.data')

ensureNpm(root)
const external = process.env.DATABASE_URL
let db
let server
let stopping = false
async function stop(code) {
  if (stopping) return
  stopping = true
  if (server && server.exitCode === null && server.signalCode === null) {
    server.kill('SIGTERM')
    await new Promise((r) => server.once('exit', r))
  }
  await db?.stop()
  process.exit(code)
}
for (const s of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(s, () => stop(0))

try {
  if (!external) {
    ensureDebian(['mariadbd', 'mariadb'])
    db = await startMariadb(join(data, 'mariadb'), { wantedPort: Number(process.env.NUBRIN_DB_PORT ?? 0) })
  }
  if (reset) rmSync(join(data, 'files'), { recursive: true, force: true })
  const { build } = await import('./build.mjs')
  await build()
  const port = await freePort(Number(process.env.PORT ?? 4310))
  server = spawn(process.execPath, ['--enable-source-maps', join(root, 'server', 'dist', 'main.js')], {
    stdio: 'inherit',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: external ?? db.url,
      PORT: String(port),
      NUBRIN_DATA: data,
      ...(reset ? { NUBRIN_RESET: '1' } : {}),
    },
  })
  server.once('exit', (code) => stop(code ?? 0))
} catch (e) {
  console.error(e instanceof Error ? e.message : e)
  await stop(1)
}
