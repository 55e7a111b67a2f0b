// npm run attack: everything that a hostile or unlucky world does to the shop, on loopback and bounded. Prints what happened and
// fails when anything was answered with a fault, hung, was lost, or took too much memory.
//   --small   a tenth of a hundredth of it, as npm test runs it: the same doors, another seed each day
//   --seed=N  the same draw again
//   --only=disk,zip  some of the rounds
import { execFileSync, spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { freePort, startMariadb } from './lib/mariadb.mjs'
import { serving } from './lib/serving.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
const small = process.argv.includes('--small')
const only = process.argv
  .find((a) => a.startsWith('--only='))
  ?.slice(7)
  .split(',')
const seed = Number(process.argv.find((a) => a.startsWith('--seed='))?.slice(7) ?? Math.floor(Date.now() / 86_400_000))
const HOW_MANY = small
  ? { json: 150, zip: 20, wav: 30, csv: 20, pictures: 15, kills: 1, disk: 1 }
  : { json: 10_000, zip: 1000, wav: 1000, csv: 500, pictures: 500, kills: 30, disk: 3 }
const HANGS_MS = 60_000
const MOST_MEMORY = 1024 ** 3

/** Numbers by the seed: the same attack again when something was found (mulberry32). */
let state = seed >>> 0
const random = () => {
  state = (state + 0x6d2b79f5) >>> 0
  let t = Math.imul(state ^ (state >>> 15), 1 | state)
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
}
const pick = (list) => list[Math.floor(random() * list.length)]
const nat = (n) => Math.floor(random() * n)

const { build } = await import('./build.mjs')
await build()
const data = mkdtempSync(join(tmpdir(), 'nubrin-attack-'))
/** Another data folder, on a disk of its own that is soon full. */
const SMALL_DISK = '420m'
/** What the server keeps free of it. */
const KEPT_FREE = 48 * 1024 * 1024
const tight = mkdtempSync(join(tmpdir(), 'nubrin-tight-'))
let home = data
let db
let server
let deaths = 0
let stopping = false
const port = await freePort()
const url = `http://127.0.0.1:${port}`
async function start() {
  server = spawn(process.execPath, serving(root), {
    env: {
      ...process.env,
      DATABASE_URL: db.url,
      DATABASE_OWNER_URL: db.ownerUrl,
      NUBRIN_DEMO: '1',
      PORT: String(port),
      NUBRIN_DATA: home,
      NUBRIN_SIGNIN_LIMIT: '100000',
      LOG_LEVEL: 'silent',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const own = server
  await new Promise((done, fail) => {
    let out = ''
    server.stdout.on('data', (b) => {
      out += b
      if (out.includes('Nubrin is at')) done()
    })
    server.once('exit', () => fail(new Error(`the server ended at its start: ${out}`)))
  })
  own.once('exit', (_c, signal) => {
    if (!stopping && signal !== 'SIGKILL') deaths++
  })
}

const found = []
const note = (what) => {
  if (found.length < 40) found.push(what)
}
let peak = 0
const watch = setInterval(() => {
  try {
    const rss = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) * 1024
    peak = Math.max(peak, rss)
  } catch {
    // Between two lives.
  }
}, 100)

let cookie = ''
let csrf = ''
async function ask(method, path, body, headers = {}) {
  const form = body instanceof FormData
  const raw = typeof body === 'string'
  const began = Date.now()
  try {
    const res = await fetch(`${url}/api${path}`, {
      method,
      headers: {
        cookie,
        'x-csrf-token': csrf,
        ...(body !== undefined && !form ? { 'content-type': 'application/json' } : {}),
        ...headers,
      },
      ...(body === undefined ? {} : { body: form || raw ? body : JSON.stringify(body) }),
      signal: AbortSignal.timeout(HANGS_MS),
    })
    const text = await res.text()
    const set = res.headers.getSetCookie().map((c) => c.split(';')[0])
    if (set.length) cookie = set.join('; ')
    if (res.status >= 500 && res.status !== 503 && res.status !== 507)
      note(`${res.status} to ${method} ${path}: ${text.slice(0, 160)}`)
    return { status: res.status, text, json: () => JSON.parse(text) }
  } catch (e) {
    if (e.name === 'TimeoutError') note(`no answer within ${(Date.now() - began) / 1000} s: ${method} ${path}`)
    return { status: 0, text: e.message, json: () => ({}) }
  }
}
async function signIn() {
  for (let i = 0; i < 50; i++) {
    cookie = ''
    const r = await ask('POST', '/session', { signIn: 'maren', password: 'brass-and-light' })
    if (r.status === 200) {
      csrf = r.json().csrf
      return
    }
    await new Promise((done) => setTimeout(done, 200))
  }
  throw new Error('signing in is not possible any more')
}
const upload = (path, bytes, name) => {
  const form = new FormData()
  form.append('file', new Blob([bytes]), name)
  return ask('POST', path, form)
}

const ODD = [
  0,
  -1,
  1e308,
  -1e308,
  5e-324,
  null,
  '',
  'x'.repeat(5000),
  '\ud800',
  '\u0000',
  [],
  {},
  true,
  '0000-01-01',
  '2016-12-31T23:59:60Z',
  [[[[]]]],
  { $ref: '#' },
  '__proto__',
  '../../etc/passwd',
]
/** A document with some of its values, keys and lengths made odd. */
function mutated(doc) {
  const copy = structuredClone(doc)
  for (let n = 1 + nat(4); n > 0; n--) {
    let at = copy
    for (let depth = nat(7); depth > 0; depth--) {
      const keys = Object.keys(at)
      const next = at[pick(keys)]
      if (typeof next !== 'object' || next === null || !Object.keys(next).length) break
      at = next
    }
    const key = pick(Object.keys(at))
    const how = nat(5)
    if (how === 0) delete at[key]
    else if (how === 1 && Array.isArray(at)) at.push(...Array(1 + nat(3)).fill(at[key]))
    else if (how === 2) at[pick(['id', 'x', 'value', 'constructor'])] = structuredClone(pick(ODD))
    else at[key] = structuredClone(pick(ODD))
  }
  return copy
}
/** Bytes with some of them flipped, cut off or put in. */
function garbled(bytes) {
  const b = Buffer.from(bytes)
  for (let n = 1 + nat(12); n > 0; n--) b[nat(Math.min(b.length, random() < 0.7 ? 200 : b.length))] = nat(256)
  return random() < 0.3 ? b.subarray(0, nat(b.length)) : b
}

const rounds = {
  async json() {
    const ids = ['cinder-oath', 'ember-fair', 'crosswind', 'first-lantern', 'reed-warden']
    const docs = []
    for (const id of ids) docs.push((await ask('GET', `/commissions/${id}`)).json().record)
    for (let i = 0; i < HOW_MANY.json; i++) {
      const doc = pick(docs)
      const way = nat(4)
      if (way === 0) {
        const id = pick(ids)
        const { revision } = (await ask('GET', `/commissions/${id}`)).json()
        const at = pick([
          '/title',
          '/sabers',
          '/client/name',
          '/requests/@x',
          `/sabers/@${doc.sabers[0].id}/hilt/sections`,
          '/id',
          '/__proto__/x',
        ])
        const op = pick([
          { op: 'set', at, value: pick(ODD) },
          { op: 'insert', at, item: { id: pick(['a', '', 'x'.repeat(60)]) }, after: null },
          { op: pick(ODD), at },
          { op: 'remove', at, item: { id: 'x' }, after: pick(ODD) },
        ])
        // What goes in is taken out again: the shop stays what it was.
        const r = await ask('PATCH', `/commissions/${id}`, {
          base: pick([revision, 0, -1, 1e308, 'x']),
          ops: Array(1 + nat(3)).fill(op),
        })
        if (r.status === 200) await ask('GET', `/commissions/${id}`)
      } else {
        const r = await upload(
          `/import${pick(['', '?as=copy'])}`,
          Buffer.from(JSON.stringify({ ...mutated(doc), ...(way === 1 ? {} : { id: `a-${seed}-${i}` }) })),
          'x.json',
        )
        if (r.status === 201 && random() < (small ? 0.5 : 0.05)) {
          const { id } = r.json().record
          await ask('GET', `/commissions/${id}/handoff.pdf`)
          await ask('GET', `/commissions/${id}/cavity.dxf`)
          await ask('POST', `/commissions/${id}/handoffs`)
          await ask('GET', '/rack')
        }
      }
    }
    const rack = await ask('GET', '/rack')
    if (rack.status !== 200) note(`home answers ${rack.status} after the odd records`)
  },
  async zip() {
    const res = await fetch(`${url}/api/commissions/reed-warden/export.zip`, { headers: { cookie } })
    const good = Buffer.from(await res.arrayBuffer())
    for (let i = 0; i < HOW_MANY.zip; i++) await upload('/import?as=copy', garbled(good), 'x.zip')
    await upload('/import', Buffer.from('['.repeat(5_000_000)), 'x.json')
  },
  async wav() {
    const { record } = (await ask('GET', '/commissions/reed-warden')).json()
    const sound = record.sabers[0].presets[0].sounds[0].media
    const res = await fetch(`${url}/api/media/${sound}`, { headers: { cookie } })
    const good = Buffer.from(await res.arrayBuffer())
    for (let i = 0; i < HOW_MANY.wav; i++) {
      const b = garbled(good)
      b.write('RIFF', 0)
      b.write('WAVE', 8)
      if (random() < 0.5 && b.length > 8) b.writeUInt32LE(b.length - 8, 4)
      await upload('/media', b, 'x.wav')
    }
  },
  async csv() {
    const good = Buffer.from((await ask('GET', '/parts.csv')).text)
    for (let i = 0; i < HOW_MANY.csv; i++) {
      const odd = pick([
        () => garbled(good),
        () => Buffer.from(`kind,name,${' '.repeat(nat(100_000))}(${'('.repeat(nat(1000))}\ncell,A\n`),
        () => Buffer.from(`kind,name${','.repeat(nat(300_000))}\ncell,A\n`),
        () => Buffer.from(`kind,name,diameter (mm)\n${`cell,A,${'1'.repeat(nat(5000))}\n`.repeat(20)}`),
        () => Buffer.from(`"${'a,"'.repeat(nat(20_000))}`),
      ])()
      await upload('/parts/import', odd, 'x.csv')
      if (i % 5 === 0) await upload('/import/earlier', odd, 'x.csv')
    }
  },
  async pictures() {
    const sharp = (await import('sharp')).default
    const made = []
    for (const kind of ['jpeg', 'png', 'webp'])
      made.push(
        await sharp({ create: { width: 64, height: 48, channels: 3, background: '#965' } })
          [kind]()
          .toBuffer(),
      )
    for (let i = 0; i < HOW_MANY.pictures; i++)
      await upload('/media', garbled(pick(made)), pick(['x.jpg', 'x.html', 'x.svg']))
  },
  /** The server, or the database, is killed in mid-edit: every acknowledged edit is there afterwards. */
  async kills() {
    for (let i = 0; i < HOW_MANY.kills; i++) {
      const acknowledged = []
      const { record, revision } = (await ask('GET', '/commissions/first-lantern')).json()
      let base = revision
      let go = true
      const editing = (async () => {
        for (let k = 0; go; k++) {
          const value = `edit ${i}-${k}`
          const r = await ask('PATCH', '/commissions/first-lantern', {
            base,
            change: `kill-${seed}-${i}-${k}`,
            ops: [
              { op: 'insert', at: '/questions', item: { id: `k${i}-${k}`, text: value, blocks: false }, after: null },
            ],
          })
          if (r.status === 200) {
            base = r.json().revision
            acknowledged.push(`k${i}-${k}`)
          } else await new Promise((done) => setTimeout(done, 20))
          if (k > 60) go = false
        }
      })()
      await new Promise((done) => setTimeout(done, 60 + nat(250)))
      if (i % 3 === 2) {
        db.kill()
        await new Promise((done) => setTimeout(done, 300))
        stopping = true
        server.kill('SIGKILL')
        db = await startMariadb(join(data, 'mariadb'))
        stopping = false
      } else {
        server.kill('SIGKILL')
        await new Promise((done) => setTimeout(done, 200))
      }
      go = false
      await editing
      await start()
      await signIn()
      const now = (await ask('GET', '/commissions/first-lantern')).json()
      const there = new Set(now.record.questions.map((q) => q.id))
      const lost = acknowledged.filter((id) => !there.has(id))
      if (lost.length) note(`${lost.length} acknowledged edits are gone after a kill`)
      // Tidied up again, or the list would grow past what a record takes.
      const gone = now.record.questions.filter((q) => /^k\d+-\d+$/.test(q.id))
      if (gone.length)
        await ask('PATCH', '/commissions/first-lantern', {
          base: now.revision,
          ops: gone.map((item) => ({ op: 'remove', at: `/questions/@${item.id}`, item, after: null })),
        })
      void record
    }
  },
  /** A disk of its own is filled: refusals say so, nothing acknowledged is gone, reading goes on, and with room all goes on. */
  async disk() {
    try {
      execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SMALL_DISK}`, 'tmpfs', tight], { stdio: 'pipe' })
    } catch (e) {
      // Only root may; said, so that nobody takes it for tried.
      console.log(`disk: not tried, a small disk cannot be mounted here: ${e.stderr?.toString().trim()}`)
      return
    }
    stopping = true
    server.kill('SIGTERM')
    await new Promise((done) => server.once('exit', done))
    await db.stop()
    stopping = false
    home = tight
    db = await startMariadb(join(tight, 'mariadb'))
    await start()
    await signIn()
    const sharp = (await import('sharp')).default
    for (let i = 0; i < HOW_MANY.disk; i++) {
      const free = () => {
        const s = statfsSync(tight)
        return s.bavail * s.bsize
      }
      const filler = join(tight, 'filler')
      writeFileSync(filler, Buffer.alloc(Math.max(0, free() - KEPT_FREE - 3_000_000 * (1 + nat(2)))))
      const edits = []
      let { revision: base } = (await ask('GET', '/commissions/reed-warden')).json()
      const refused = { edits: 0, photos: 0 }
      for (let k = 0; k < 400 && (refused.edits < 3 || refused.photos < 3); k++) {
        const id = `d${i}-${k}`
        const r = await ask('PATCH', '/commissions/reed-warden', {
          base,
          change: `disk-${seed}-${id}`,
          ops: [{ op: 'set', at: '/brief', value: `${id} ${'ledger '.repeat(1000)}`.trim() }],
        })
        if (r.status === 200) {
          base = r.json().revision
          edits.push(id)
        } else if (r.status === 507) refused.edits++
        else note(`a full disk: an edit is answered ${r.status} ${r.text.slice(0, 300)}`)
        const noise = await sharp(Buffer.from(Array.from({ length: 300 * 300 * 3 }, () => nat(256))), {
          raw: { width: 300, height: 300, channels: 3 },
        })
          .png()
          .toBuffer()
        const photo = await upload('/media', noise, 'x.png')
        if (photo.status === 507) refused.photos++
        else if (photo.status !== 201 && photo.status !== 200)
          note(`a full disk: a photo is answered ${photo.status} ${photo.text.slice(0, 120)}`)
        // Others fill it too, to its very end once nothing is taken any more.
        const left = free()
        const more = refused.edits && refused.photos ? left : 40_000
        if (left > 40_000) writeFileSync(filler, Buffer.alloc(more), { flag: 'a' })
        if ((await ask('GET', '/commissions/reed-warden')).status !== 200) note('a full disk: reading stops')
      }
      if (!refused.photos || !refused.edits)
        note(`a full disk: ${refused.photos} photos and ${refused.edits} edits were refused, so too little was tried`)
      const health = await ask('GET', '/health')
      if (health.status !== 503 || !/disk/.test(health.text)) note(`a full disk: health says ${health.status}`)
      rmSync(filler)
      // Room again: what was refused goes through, and what was acknowledged is there, also after a kill.
      server.kill('SIGKILL')
      db.kill()
      await new Promise((done) => setTimeout(done, 300))
      db = await startMariadb(join(tight, 'mariadb'))
      await start()
      await signIn()
      const lines = (await ask('GET', '/commissions/reed-warden/history')).text
      const lost = edits.slice(-150).filter((id) => !lines.includes(`"${id} ledger`))
      if (lost.length) note(`a full disk: ${lost.length} acknowledged edits are gone`)
      const now = (await ask('GET', '/commissions/reed-warden')).json()
      const after = await ask('PATCH', '/commissions/reed-warden', {
        base: now.revision,
        ops: [{ op: 'set', at: '/brief', value: `room again ${i}` }],
      })
      if (after.status !== 200) note(`with room again an edit is answered ${after.status} ${after.text.slice(0, 120)}`)
    }
  },
}

let code = 0
try {
  mkdirSync(data, { recursive: true })
  db = await startMariadb(join(data, 'mariadb'))
  await start()
  await signIn()
  for (const [name, run] of Object.entries(rounds)) {
    if (only && !only.includes(name)) continue
    const began = performance.now()
    const before = found.length
    await run()
    await signIn()
    console.log(
      `${name}: ${HOW_MANY[name]} tried in ${((performance.now() - began) / 1000).toFixed(0)} s, ${found.length - before} found`,
    )
  }
  if (deaths) note(`the server died ${deaths} times by itself`)
  if (peak > MOST_MEMORY) note(`it took ${(peak / 1e6).toFixed(0)} MB`)
  console.log(`seed ${seed}; most memory ${(peak / 1e6).toFixed(0)} MB; ${found.length ? 'FOUND:' : 'nothing found.'}`)
  for (const f of found) console.log(`  ${f}`)
  code = found.length ? 1 : 0
} catch (e) {
  console.error(e)
  code = 1
} finally {
  clearInterval(watch)
  stopping = true
  server?.kill('SIGTERM')
  await db?.stop()
  if (home === tight) execFileSync('umount', [tight])
  for (const folder of [data, tight]) rmSync(folder, { recursive: true, force: true })
  process.exit(code)
}
