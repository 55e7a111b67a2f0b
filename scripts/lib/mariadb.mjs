// A MariaDB of the project's own: a data folder, loopback only, started and stopped by process id.
import { execFileSync, spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

/** A free loopback port; the wanted one when it is free. */
export function freePort(wanted = 0) {
  return new Promise((done, fail) => {
    const s = createServer()
    s.once('error', () => (wanted ? freePort(0).then(done, fail) : fail(new Error('no free port'))))
    s.listen(wanted, '127.0.0.1', () => {
      const { port } = s.address()
      s.close(() => done(port))
    })
  })
}

const which = (name) =>
  ['/usr/sbin', '/usr/bin', '/usr/local/sbin', '/usr/local/bin'].map((d) => join(d, name)).find(existsSync)

/**
 * Starts mariadbd on a data folder, making it first when it is new. Resolves once it answers; rejects with the tail of
 * its log when it dies. `stop` asks it to shut down and waits.
 */
export async function startMariadb(folder, { wantedPort = 0, quietDisk = false } = {}) {
  const dir = resolve(folder)
  const data = join(dir, 'data')
  const fresh = !existsSync(join(data, 'mysql'))
  mkdirSync(dir, { recursive: true })
  stopStale(join(dir, 'mariadbd.pid'))
  const asRoot = process.getuid?.() === 0 ? ['--user=root'] : []
  if (fresh) {
    rmSync(data, { recursive: true, force: true })
    execFileSync(
      which('mariadb-install-db') ?? 'mariadb-install-db',
      ['--no-defaults', `--datadir=${data}`, '--auth-root-authentication-method=normal', '--skip-test-db', ...asRoot],
      { stdio: 'pipe' },
    )
  }
  const port = await freePort(wantedPort)
  // A socket path has at most 107 characters, so it does not live under a deep checkout.
  const socket = join(tmpdir(), `nubrin-${process.pid}-${port}.sock`)
  const log = join(dir, 'mariadbd.log')
  const child = spawn(
    which('mariadbd') ?? 'mariadbd',
    [
      '--no-defaults',
      `--datadir=${data}`,
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      `--socket=${socket}`,
      `--pid-file=${join(dir, 'mariadbd.pid')}`,
      `--log-error=${log}`,
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--max-allowed-packet=64M',
      '--innodb-buffer-pool-size=128M',
      ...(quietDisk ? ['--innodb-flush-log-at-trx-commit=2'] : []),
      ...asRoot,
    ],
    { stdio: 'ignore', detached: true },
  )
  let dead = false
  child.once('exit', () => {
    dead = true
  })
  const url = `mariadb://root@127.0.0.1:${port}/nubrin`
  const client = which('mariadb') ?? 'mariadb'
  for (let i = 0; ; i++) {
    if (dead || i > 300)
      throw new Error(
        `The database did not start.\n${existsSync(log) ? readFileSync(log, 'utf8').split('\n').slice(-12).join('\n') : ''}`,
      )
    try {
      execFileSync(
        client,
        ['--no-defaults', '-h127.0.0.1', `-P${port}`, '-uroot', '-e', 'CREATE DATABASE IF NOT EXISTS nubrin'],
        { stdio: 'pipe' },
      )
      break
    } catch {
      await new Promise((r) => setTimeout(r, 100))
    }
  }
  const stop = () =>
    new Promise((done) => {
      if (dead) return done()
      child.once('exit', () => done())
      child.kill('SIGTERM')
    })
  return { url, port, pid: child.pid, stop, kill: () => child.kill('SIGKILL') }
}

/** A database left behind by a killed start is stopped before its folder is opened again. */
function stopStale(pidFile) {
  if (!existsSync(pidFile)) return
  const pid = Number(readFileSync(pidFile, 'utf8').trim())
  try {
    const name = readFileSync(`/proc/${pid}/comm`, 'utf8').trim()
    if (!name.startsWith('mariadbd')) return
    process.kill(pid, 'SIGTERM')
    for (let i = 0; i < 100; i++) {
      process.kill(pid, 0)
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 100)
    }
  } catch {
    // It is gone, which is what was wanted.
  }
  rmSync(pidFile, { force: true })
}
