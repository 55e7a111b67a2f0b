import { type ChildProcess, execFileSync, spawn, spawnSync } from 'node:child_process'
import {
  cpSync,
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
import { drawn } from '../../core/test/drawn'
// @ts-expect-error a plain script without types
import { beganAt, lockFolder } from '../../scripts/lib/lock.mjs'
// @ts-expect-error a plain script without types
import { freePort, startMariadb } from '../../scripts/lib/mariadb.mjs'
// @ts-expect-error a plain script without types
import { endOrphan } from '../../scripts/lib/orphan.mjs'
// @ts-expect-error a plain script without types
import { afterRestore, beginRestore } from '../../scripts/lib/restoring.mjs'
import { demoData, Visitor } from './harness'

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
/** The same on a folder that holds the demo shop as a first start leaves it. */
async function startDemo() {
  cpSync(await demoData(), data, { recursive: true })
  return start()
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
      await startDemo()
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
      const r = await startDemo()
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
  costly(
    'of a start that was killed the server is ended by the next, which has its address again; a living one is left alone',
    async () => {
      const first = await startDemo()
      const pid = JSON.parse(readFileSync(join(data, 'server.json'), 'utf8')).pid as number
      first.child.kill('SIGKILL')
      await first.code
      expect((await fetch(`${url()}/api/health`)).status).toBeLessThan(600)
      const second = await start()
      expect(second.said()).toContain(`Nubrin is at ${url()}`)
      expect(existsSync(`/proc/${pid}`)).toBe(false)
      await signedIn()
      // Whoever stands there with the number of another time, or on another folder, or of a living start, stays.
      const other = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)'], {
        env: { ...env(), NUBRIN_DATA: '/other' },
      })
      const began = beganAt(other.pid!)
      const gone = { pid: 2 ** 22 - 3, began: '1' }
      const self = { pid: process.pid, began: beganAt(process.pid) }
      const elsewhere = mkdtempSync(join(tmpdir(), 'nubrin-orphan-'))
      for (const note of [
        { pid: other.pid, began: '1', starter: gone },
        { pid: other.pid, began, starter: gone },
        { pid: other.pid, began, starter: self },
        {},
      ]) {
        writeFileSync(join(elsewhere, 'server.json'), JSON.stringify({ ...note, port: 1 }))
        expect(await endOrphan(elsewhere)).toBeUndefined()
        expect(existsSync(`/proc/${other.pid}`)).toBe(true)
      }
      writeFileSync(
        join(elsewhere, 'server.json'),
        JSON.stringify({ pid: other.pid, began, starter: gone, port: 4711 }),
      )
      expect(await endOrphan(elsewhere)).toBeUndefined()
      other.kill()
      rmSync(elsewhere, { recursive: true })
    },
    240_000,
  )
  costly(
    'a backup that fell due while it was off is made at the start; health says what is old',
    async () => {
      const first = await startDemo()
      const path = /read back: (\S+)/.exec(script('backup').stdout)![1]!
      const note = join(data, 'backups', 'last-good.json')
      const says = async () => (await (await fetch(`${url()}/api/health`)).json()).parts.backup
      const ago = (hours: number) =>
        writeFileSync(note, JSON.stringify({ at: new Date(Date.now() - hours * 3_600_000).toISOString(), name: 'x' }))
      ago(47)
      expect(await says()).toMatchObject({ ok: true, says: expect.stringMatching(/^good/) })
      ago(49)
      expect(await says()).toMatchObject({ ok: false, says: 'old: the last good one was taken 2 days ago' })
      first.child.kill('SIGTERM')
      await first.code
      ago(25)
      const made = () => readdirSync(join(data, 'backups')).filter((n) => /^\d{4}[^.]*$/.test(n))
      const before = made()
      await start()
      await until(async () => made().length > before.length)
      expect(await says()).toMatchObject({ ok: true, says: expect.stringMatching(/^good/) })
      expect(existsSync(path)).toBe(true)
    },
    240_000,
  )
})

describe('backup and restore', () => {
  costly(
    'beside the running shop; read back; put back as it was, and what was erased stays erased',
    async () => {
      const r = await startDemo()
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
  costly(
    'a restore that is killed anywhere leaves the one or the other whole, and never the demo',
    async () => {
      const first = await start('--empty')
      const token = /\/join\/([\w-]+)/.exec(first.said())?.[1]
      const v = new Visitor(url())
      const whole = { shop: 'Tidewater', name: 'Bryn', signIn: 'bryn', password: 'long enough now' }
      v.use((await v.ask('POST', `/invitation/${token}`, whole)).body.csrf)
      const { id } = (await v.ask('POST', '/commissions', { title: 'At the backup', client: 'Marl' })).body.record
      const folder = /read back: (\S+)/.exec(script('backup').stdout)![1]!
      await v.ask('PATCH', `/commissions/${id}`, { base: 1, ops: [{ op: 'set', at: '/title', value: 'Since' }] })
      first.child.kill('SIGTERM')
      await first.code
      for (const ms of drawn([300, 700, 1100, 1500, 2000, 2600, 3400], 1 / 4)) {
        const child = spawn(process.execPath, ['scripts/restore.mjs', folder], {
          env: env(),
          stdio: 'ignore',
          detached: true,
        })
        const over = new Promise((done) => child.once('exit', done))
        setTimeout(() => child.kill('SIGKILL'), ms)
        await over
        // As anybody would start it: with the demo, where nothing was.
        const next = await start()
        expect(next.said()).not.toMatch(/Demo sign-in/)
        const back = new Visitor(url())
        expect((await back.signIn()).status).toBe(401)
        expect((await back.signIn('bryn', whole.password)).status).toBe(200)
        const { title } = (await back.ask('GET', `/commissions/${id}`)).body.record
        expect(['At the backup', 'Since']).toContain(title)
        expect(existsSync(join(data, 'restoring.json'))).toBe(false)
        next.child.kill('SIGTERM')
        await next.code
      }
      // Left to its end it is as at the backup.
      expect(script('restore', folder).stdout).toMatch(/Restored as of/)
      await start()
      const back = new Visitor(url())
      await back.signIn('bryn', whole.password)
      expect((await back.ask('GET', `/commissions/${id}`)).body.record.title).toBe('At the backup')
    },
    300_000,
  )
  test('a restore cut off at its end is finished by whatever comes next, wherever it was', () => {
    const all = ['mariadb', 'files', 'outbox']
    for (let cut = 0; cut <= 2 * all.length; cut++) {
      const at = mkdtempSync(join(tmpdir(), 'nubrin-swap-'))
      const aside = join(at, 'before-restore-x')
      const put = (folder: string, words: string) => {
        mkdirSync(folder, { recursive: true })
        writeFileSync(join(folder, 'what'), words)
      }
      for (const n of all) put(join(at, n), 'old')
      beginRestore(at, aside)
      for (const n of all) put(join(at, 'restoring', n), 'new')
      writeFileSync(join(at, 'restoring.json'), JSON.stringify({ whole: true, aside }))
      // So many of its renames were done.
      mkdirSync(aside)
      const renames = all.flatMap((n): [string, string][] => [
        [join(at, n), join(aside, n)],
        [join(at, 'restoring', n), join(at, n)],
      ])
      for (const [from, to] of renames.slice(0, cut)) renameSync(from, to)
      expect(afterRestore(at)).toMatch(/it is whole now/)
      for (const n of all) {
        expect(readFileSync(join(at, n, 'what'), 'utf8')).toBe('new')
        expect(readFileSync(join(aside, n, 'what'), 'utf8')).toBe('old')
      }
      expect(afterRestore(at)).toBeUndefined()
      beginRestore(at, aside)
      for (const n of all) put(join(at, 'restoring', n), 'half')
      expect(afterRestore(at)).toMatch(/as it was before/)
      expect(readdirSync(at).sort()).toEqual(['before-restore-x', 'files', 'mariadb', 'outbox'])
      for (const n of all) expect(readFileSync(join(at, n, 'what'), 'utf8')).toBe('new')
      rmSync(at, { recursive: true })
    }
  })
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

describe('a shop of the last published version', () => {
  /** As `npm run backup` of that version left it: people with a password of their own, an invitation, a handoff, one erased. */
  const SHOP = 'server/test/published/format-8.tar.gz'
  const [PASSWORD, LINK] = ['an old shop of ours', 'LZSH62PqVERXlibNy-quNlQZ6Pk6k64S']
  costly(
    'is put back, started, judged, worked in, backed up and put back once more',
    async () => {
      execFileSync('tar', ['xzf', SHOP, '-C', data])
      const back = script('restore')
      expect([back.status, back.stderr]).toEqual([0, ''])
      const holds = async (brief: string) => {
        const running = await start()
        expect(running.said()).not.toContain('Demo sign-in')
        const v = new Visitor(url())
        expect((await v.signIn()).status).toBe(401)
        expect((await v.signIn('maren', PASSWORD)).status).toBe(200)
        // Judged by the rules of today.
        const { commissions } = (await v.ask('GET', '/rack')).body
        expect(commissions.map((c: { id: string }) => c.id)).toEqual(['crosswind', 'first-lantern'])
        expect(commissions[0]).toMatchObject({ blocking: { level: 'stop', station: 'power' } })
        expect(commissions[1].gate).toBeGreaterThan(0)
        const lantern = (await v.ask('GET', '/commissions/first-lantern')).body
        expect(lantern.record.brief).toBe(brief)
        const photo = lantern.record.media.find((m: { name: string }) => m.name === 'bench.jpg')
        expect((await v.raw('GET', `/media/${photo.hash}`)).status).toBe(200)
        // What was issued then is reached by its link, in each of its forms.
        const client = new Visitor(url())
        const page = await client.ask('GET', `/client/${LINK}`)
        expect(page).toMatchObject({ status: 200, body: { document: { title: 'Reed Warden' } } })
        for (const form of ['handoff.pdf', 'saber.html'])
          expect((await client.raw('GET', `/client/${LINK}/${form}`)).status).toBe(200)
        const archived = (await v.ask('GET', '/archive')).body
        expect(archived.map((c: { title: string }) => c.title).sort()).toEqual(['Cinder Oath', 'Erased'])
        expect((await v.ask('GET', '/people')).body.people).toHaveLength(2)
        return { v, lantern, running }
      }
      const { v, lantern, running } = await holds('From before.')
      const saved = await v.ask('PATCH', '/commissions/first-lantern', {
        base: lantern.revision,
        ops: [{ op: 'set', at: '/brief', value: 'From now.' }],
      })
      expect(saved.status).toBe(200)
      expect(script('backup').status).toBe(0)
      running.child.kill('SIGTERM')
      await running.code
      expect(script('restore').status).toBe(0)
      await holds('From now.')
    },
    240_000,
  )
})
