// The shop that is attacked: its server and database, who asks it, the numbers of the draw, and what was found.
import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort, startMariadb } from '../lib/mariadb.mjs'
import { serving } from '../lib/serving.mjs'
import { visitor } from '../lib/visitor.mjs'

const MOST_FOUND = 40

/** Numbers by the seed: the same attack again when something was found (mulberry32). */
function draws(seed) {
  let state = seed >>> 0
  const random = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
  const nat = (n) => Math.floor(random() * n)
  return { random, nat, pick: (list) => list[nat(list.length)] }
}

export async function makeWorld(root, { seed, small, many }) {
  const port = await freePort()
  const data = mkdtempSync(join(tmpdir(), 'nubrin-attack-'))
  const world = {
    ...draws(seed),
    ...{ root, seed, small, many, data },
    /** Another data folder, on a disk of its own that is soon full. */
    tight: mkdtempSync(join(tmpdir(), 'nubrin-tight-')),
    home: data,
    url: `http://127.0.0.1:${port}`,
    db: await startMariadb(join(data, 'mariadb')),
    server: undefined,
    stopping: false,
    deaths: 0,
    peak: 0,
    found: [],
    note: (what) => world.found.length < MOST_FOUND && world.found.push(what),
    async start() {
      const server = spawn(process.execPath, serving(root), {
        env: {
          ...process.env,
          DATABASE_URL: world.db.url,
          DATABASE_OWNER_URL: world.db.ownerUrl,
          NUBRIN_DEMO: '1',
          PORT: String(port),
          NUBRIN_DATA: world.home,
          NUBRIN_SIGNIN_LIMIT: '100000',
          NUBRIN_TRUST_PROXY: '1',
          LOG_LEVEL: 'silent',
        },
        stdio: ['ignore', 'pipe', 'inherit'],
      })
      world.server = server
      await new Promise((done, fail) => {
        let out = ''
        server.stdout.on('data', (b) => {
          out += b
          if (out.includes('Nubrin is at')) done()
        })
        server.once('exit', () => fail(new Error(`the server ended at its start: ${out}`)))
      })
      server.once('exit', (_c, signal) => {
        if (!world.stopping && signal !== 'SIGKILL') world.deaths++
      })
    },
    async end() {
      clearInterval(watch)
      world.stopping = true
      world.server?.kill('SIGTERM')
      await world.db.stop()
      // The round of the full disk has taken the shop onto one of its own.
      if (world.home === world.tight) execFileSync('umount', [world.tight])
      for (const folder of [data, world.tight]) rmSync(folder, { recursive: true, force: true })
    },
    /** Somebody with a browser of his own. */
    visitor: () => visitor(world.url, world.note),
  }
  const owner = world.visitor()
  const { ask, upload, headers, change } = owner
  const signIn = async () => {
    for (let i = 0; i < 50; i++) {
      if ((await owner.signIn()) === 200) return
      await new Promise((done) => setTimeout(done, 200))
    }
    throw new Error('signing in is not possible any more')
  }
  /** A commission of this round's own. Gives its id. */
  const copy = async (name) => {
    const { record } = (await ask('GET', '/commissions/crosswind')).json()
    const own = { ...record, id: `${name}-${seed}`, title: name, media: [] }
    const r = await upload('/import', Buffer.from(JSON.stringify(own)), 'x.json')
    if (r.status !== 201) throw new Error(`a copy is not taken in: ${r.status} ${r.text.slice(0, 200)}`)
    return r.json().record.id
  }
  const watch = setInterval(() => {
    try {
      const said = readFileSync(`/proc/${world.server.pid}/status`, 'utf8')
      world.peak = Math.max(world.peak, Number(/VmRSS:\s+(\d+)/.exec(said)?.[1] ?? 0) * 1024)
    } catch {
      // Between two lives.
    }
  }, 100)
  return Object.assign(world, { ask, upload, headers, change, copy, signIn })
}
