// The built app with a database of its own, for one measurement.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort, startMariadb } from './mariadb.mjs'
import { serving } from './serving.mjs'

/** Starts it with the demo shop; `up` is fulfilled when it answers, `stop` takes everything away again. */
export async function benchServer(root, name) {
  const data = mkdtempSync(join(tmpdir(), `nubrin-${name}-`))
  const db = await startMariadb(join(data, 'mariadb'))
  const port = await freePort()
  const server = spawn(process.execPath, serving(root), {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: db.url,
      DATABASE_OWNER_URL: db.ownerUrl,
      NUBRIN_DEMO: '1',
      PORT: String(port),
      NUBRIN_DATA: data,
      NODE_ENV: 'production',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  return {
    db,
    url: `http://127.0.0.1:${port}`,
    up: new Promise((done) => server.stdout.on('data', (b) => String(b).includes('Nubrin is at') && done())),
    stop: async () => {
      server.kill('SIGTERM')
      await new Promise((done) => server.once('exit', done))
      await db.stop()
      rmSync(data, { recursive: true, force: true })
    },
  }
}
