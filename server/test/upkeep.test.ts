import { type ChildProcess, execFileSync, spawn, spawnSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import mariadb from 'mariadb'
import { costly } from '../../core/test/costly'
// @ts-expect-error a plain script without types
import { lockFolder } from '../../scripts/lib/lock.mjs'
// @ts-expect-error a plain script without types
import { freePort, startMariadb } from '../../scripts/lib/mariadb.mjs'
import { Visitor } from './harness'

let data: string
let port: number
let running: { child: ChildProcess; said: () => string; code: Promise<number | null> }[] = []
beforeEach(async () => {
  data = mkdtempSync(join(tmpdir(), 'nubrin-upkeep-'))
  port = (await freePort()) as number
})
afterEach(async () => {
  for (const r of running) {
    r.child.kill('SIGTERM')
    await r.code
  }
  running = []
  rmSync(data, { recursive: true, force: true })
})
const env = () => ({
  ...process.env,
  NODE_OPTIONS: process.env.NUBRIN_CLOCK_NODE ?? '',
  NUBRIN_DATA: data,
  PORT: String(port),
  DATABASE_URL: '',
})

/** npm start, until it says where it is, or ends. */
async function start(...args: string[]) {
  const child = spawn(process.execPath, ['scripts/start.mjs', ...args], {
    env: env(),
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const code = new Promise<number | null>((done) => child.once('exit', done))
  const r = { child, said: () => said, code }
  running.push(r)
  await new Promise<void>((done) => {
    const hear = (b: Buffer) => {
      said += b
      if (/Ctrl-C stops it/.test(said)) done()
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    void code.then(() => done())
  })
  return r
}
const script = (name: string, ...args: string[]) =>
  spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], { env: env(), encoding: 'utf8' })
const url = () => `http://127.0.0.1:${port}`
const signedIn = async () => {
  const v = new Visitor(url())
  expect((await v.signIn()).status).toBe(200)
  return v
}
const until = async (what: () => Promise<boolean>) => {
  for (let i = 0; i < 150; i++) {
    if (await what().catch(() => false)) return
    await new Promise((r) => setTimeout(r, 200))
  }
  throw new Error('it did not come to that')
}

describe('starting', () => {
  costly(
    'a second start on the same folder changes nothing and says why; the first one goes on',
    async () => {
      await start()
      const second = await start()
      expect(await second.code).toBe(1)
      expect(second.said()).toMatch(/Another Nubrin is running on this data folder \(process \d+\)/)
      expect((await (await fetch(`${url()}/api/health`)).json()).ok).toBe(true)
    },
    120_000,
  )
  test('a lock of a process that is gone is taken over, also when its number is used anew', () => {
    const path = join(data, 'nubrin.lock')
    writeFileSync(path, JSON.stringify({ pid: 2 ** 22 - 3, began: '1' }))
    lockFolder(data)()
    writeFileSync(path, JSON.stringify({ pid: process.pid, began: '1' }))
    const giveBack = lockFolder(data) as () => void
    expect(() => lockFolder(data)).toThrow(/Another Nubrin/)
    giveBack()
    expect(existsSync(path)).toBe(false)
    writeFileSync(path, '')
    lockFolder(data)()
  })
  test('a database folder without its system tables is left as it is, and the words say what to do', async () => {
    const folder = join(data, 'mariadb', 'data')
    mkdirSync(folder, { recursive: true })
    writeFileSync(join(folder, 'ibdata1'), 'somebody’s')
    const r = await start()
    expect(await r.code).toBe(1)
    expect(r.said()).toContain('system tables are missing')
    expect(readdirSync(folder)).toEqual(['ibdata1'])
    expect(readFileSync(join(folder, 'ibdata1'), 'utf8')).toBe('somebody’s')
  }, 60_000)
  test('a first start cut short leaves nothing that looks like a database; the next one begins anew', async () => {
    mkdirSync(join(data, 'mariadb', 'data.making-1-abc', 'mysql'), { recursive: true })
    const db = await startMariadb(join(data, 'mariadb'))
    await db.stop()
    expect(existsSync(join(data, 'mariadb', 'data', 'mysql'))).toBe(true)
    expect(existsSync(join(data, 'mariadb', 'data.making-1-abc'))).toBe(true)
  }, 60_000)
  costly(
    'half a demo is no demo: cut off while it is loaded, the next start loads it whole',
    async () => {
      const db = await startMariadb(join(data, 'mariadb'))
      const serve = (kill: number) =>
        new Promise<void>((done) => {
          const child = spawn(process.execPath, ['server/dist/main.js'], {
            env: { ...env(), DATABASE_URL: db.url, DATABASE_OWNER_URL: db.ownerUrl, NUBRIN_DEMO: '1' },
            stdio: 'ignore',
          })
          setTimeout(() => child.kill('SIGKILL'), kill)
          child.once('exit', () => done())
        })
      const count = async (t: string) => {
        const c = await mariadb.createConnection(db.ownerUrl)
        try {
          return Number((await c.query(`SELECT COUNT(*) AS n FROM ${t}`))[0].n)
        } catch {
          return 0
        } finally {
          await c.end()
        }
      }
      for (const ms of [500, 900, 1300, 1700]) {
        await serve(ms)
        const [users, commissions] = [await count('users'), await count('commissions')]
        expect([0, 6]).toContain(commissions)
        expect(users > 0).toBe(commissions > 0)
      }
      await db.stop()
    },
    120_000,
  )
  costly(
    'without the demo it asks for an owner, once; who has the link begins the shop',
    async () => {
      const r = await start('--empty')
      const token = /\/join\/([\w-]+)/.exec(r.said())?.[1]
      const v = new Visitor(url())
      expect((await v.ask('GET', `/invitation/${token}`)).body).toMatchObject({ asks: 'shop', role: 'owner' })
      const whole = { shop: 'Tidewater', name: 'Bryn', signIn: 'bryn', password: 'long enough now' }
      expect(await v.ask('POST', `/invitation/${token}`, { password: whole.password })).toMatchObject({
        status: 422,
        body: { problems: expect.arrayContaining([expect.objectContaining({ path: '/signIn' })]) },
      })
      expect(await v.ask('POST', `/invitation/${token}`, whole)).toMatchObject({
        status: 200,
        body: { user: { shop: 'Tidewater', role: 'owner' } },
      })
      expect((await v.ask('GET', '/rack')).body).toMatchObject({ commissions: [], counts: { open: 0 } })
      expect((await v.ask('POST', `/invitation/${token}`, whole)).status).toBe(404)
    },
    120_000,
  )
  costly(
    'a server and a database that die are started again; the shop goes on',
    async () => {
      const r = await start()
      const v = await signedIn()
      const children = (pid: number) =>
        execFileSync('ps', ['-o', 'pid=,args=', '--ppid', String(pid)])
          .toString()
          .split('\n')
      const kill = (what: RegExp) => {
        const line = children(r.child.pid!).find((l) => what.test(l))
        process.kill(Number(line!.trim().split(' ')[0]), 'SIGKILL')
      }
      kill(/server\/dist\/main\.js/)
      await until(async () => (await v.ask('GET', '/rack')).status === 200)
      kill(/mariadbd/)
      // Until it is back the answer says that the database is away, and no more.
      const status = (await v.ask('GET', '/rack')).status
      expect([200, 503]).toContain(status)
      await until(async () => (await v.ask('GET', '/rack')).status === 200)
      expect(r.said()).toMatch(/The server ended unexpectedly[\s\S]*The database ended unexpectedly/)
    },
    120_000,
  )
})

describe('backup and restore', () => {
  costly(
    'beside the running shop; read back; put back as it was, and what was erased stays erased',
    async () => {
      const r = await start()
      const v = await signedIn()
      const one = (await v.ask('POST', '/commissions', { title: 'To stay', client: 'Marl' })).body.record
      const gone = (await v.ask('POST', '/commissions', { title: 'To be erased', client: 'Sedge' })).body.record
      const made = script('backup')
      expect(made.stdout).toMatch(/Backed up and read back: /)
      const folder = /read back: (\S+)/.exec(made.stdout)![1]!
      expect((await v.ask('GET', '/health')).body.parts.backup.says).toMatch(/^good, of /)
      await v.ask('DELETE', `/commissions/${gone.id}`)
      expect((await v.ask('POST', `/commissions/${gone.id}/erase`, { why: 'asked' })).status).toBe(204)
      await v.ask('PATCH', `/commissions/${one.id}`, {
        base: 1,
        ops: [{ op: 'set', at: '/title', value: 'Changed since' }],
      })
      const photo = (await v.ask('GET', '/commissions/reed-warden')).body.record.media[0].hash as string
      expect(script('restore').stderr).toMatch(/Another Nubrin is running/)
      r.child.kill('SIGTERM')
      expect(await r.code).toBe(0)
      expect(script('restore', folder).stdout).toMatch(/Restored as of/)
      expect(readdirSync(data).some((n) => n.startsWith('before-restore-'))).toBe(true)
      await start()
      const back = await signedIn()
      expect((await back.ask('GET', `/commissions/${one.id}`)).body.record).toEqual(one)
      expect((await back.ask('GET', `/rack?q=Sedge`)).body.commissions).toEqual([])
      expect((await back.ask('GET', `/commissions/${gone.id}`)).body.record).toMatchObject({
        title: 'Erased',
        client: { name: '' },
      })
      expect((await back.raw('GET', `/media/${photo}`)).status).toBe(200)
      expect((await back.ask('GET', '/commissions/reed-warden/history')).body.length).toBeGreaterThan(0)
    },
    240_000,
  )
  test('a damaged backup is named and nothing is touched; no backup is said', async () => {
    const db = await startMariadb(join(data, 'mariadb'))
    await db.stop()
    expect(script('restore').stderr).toMatch(/There is no backup yet/)
    expect(script('backup').stdout).toMatch(/read back/)
    const name = readdirSync(join(data, 'backups')).find((n) => /^\d{4}/.test(n))!
    const manifest = join(data, 'backups', name, 'manifest.json')
    const said = JSON.parse(readFileSync(manifest, 'utf8'))
    writeFileSync(manifest, JSON.stringify({ ...said, files: ['a'.repeat(64)] }))
    expect(script('restore', join(data, 'backups', name)).stderr).toMatch(/damaged: file a+ is missing/)
    expect(existsSync(join(data, 'mariadb', 'data', 'mysql'))).toBe(true)
    renameSync(manifest, `${manifest}.x`)
    expect(script('restore', join(data, 'backups', name)).stderr).toMatch(/no backup, or it is damaged/)
  }, 120_000)
})
