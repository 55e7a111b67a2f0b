import { type ChildProcess, spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mariadb from 'mariadb'
import yauzl from 'yauzl'
import yazl from 'yazl'
// @ts-expect-error a plain script without types, shared with npm start
import { freePort, startMariadb } from '../../scripts/lib/mariadb.mjs'

export interface Server {
  url: string
  data: string
  /** The database as the user that owns its tables. */
  databaseUrl: string
  /** The same as the program's own user. */
  appUrl: string
  /** What the database says to some SQL, asked as its owner or as whoever an address names. */
  // biome-ignore lint/suspicious/noExplicitAny: rows of every shape
  sql: (query: string, values?: unknown[], url?: string) => Promise<any>
  /** Kills the server process at once, as a power cut would. */
  kill: () => Promise<void>
  start: () => Promise<void>
  /** Starts it anew on the demo shop as it was. */
  reset: () => Promise<void>
  stop: () => Promise<void>
}

type Env = Record<string, string>
interface Database {
  url: string
  ownerUrl: string
  stop: () => Promise<void>
}
const startDatabase = (data: string): Promise<Database> => startMariadb(join(data, 'mariadb'))

/** A server process on a data folder, once it answers. */
async function startProcess(data: string, port: number, app: string, owner: string, env: Env): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      NODE_OPTIONS: env.NUBRIN_CLOCK_NODE ?? process.env.NUBRIN_CLOCK_NODE ?? '',
      DATABASE_URL: app,
      DATABASE_OWNER_URL: owner,
      NUBRIN_DEMO: '1',
      PORT: String(port),
      NUBRIN_DATA: data,
      NUBRIN_SIGNIN_LIMIT: '8',
      NUBRIN_CHECK_ANSWERS: '1',
      ...env,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let out = ''
  await new Promise<void>((done, fail) => {
    const watch = (b: Buffer) => {
      out += b
      if (out.includes('Nubrin is at')) done()
    }
    child.stdout.on('data', watch)
    child.stderr.on('data', watch)
    child.once('exit', () => fail(new Error(`the server ended: ${out}`)))
  })
  return child
}
const end = (child: ChildProcess | undefined, signal: NodeJS.Signals) =>
  new Promise<void>((done) => {
    if (!child || child.exitCode !== null || child.signalCode !== null) return done()
    child.once('exit', () => done())
    child.kill(signal)
  })

/** Demo shops as a first start leaves them. */
const MADE = 'test-results/demo'
/**
 * A folder with the demo shop as the first start of this build leaves it on this day: made once, then copied, since making it
 * takes longer than most of what is tried on it.
 */
export async function demoData(env: Env = {}): Promise<string> {
  const said = { ...process.env, ...env }
  const now = new Date(Date.now() + Number(env.NUBRIN_CLOCK_SHIFT ?? 0))
  const build = readFileSync('server/dist/.built', 'utf8').trim().slice(0, 12)
  const day = new Intl.DateTimeFormat('en-CA', { timeZone: said.TZ || undefined }).format(now)
  const made = join(MADE, `${build}-${day}-${(said.TZ ?? '').replace(/\W/g, '')}`)
  if (existsSync(made)) return made
  mkdirSync(MADE, { recursive: true })
  for (const other of readdirSync(MADE)) if (!other.startsWith(build)) rmSync(join(MADE, other), { recursive: true })
  const draft = `${made}.${randomBytes(4).toString('hex')}`
  const db = await startDatabase(draft)
  await end(await startProcess(draft, await freePort(), db.url, db.ownerUrl, env), 'SIGTERM')
  await db.stop()
  try {
    renameSync(draft, made)
  } catch {
    // Another has just made the same.
    rmSync(draft, { recursive: true, force: true })
  }
  return made
}

/** The built server on a throw-away MariaDB with the demo shop, both on free loopback ports. */
export async function startServer(
  env: Env = {},
  /** What stands between the server and its database. */
  between: (url: string) => string | Promise<string> = (url) => url,
): Promise<Server> {
  const data = mkdtempSync(join(tmpdir(), 'nubrin-test-'))
  const port: number = await freePort()
  let db: Database
  let child: ChildProcess | undefined
  const start = async () => {
    child = await startProcess(data, port, await between(db.url), await between(db.ownerUrl), env)
  }
  const begin = async () => {
    rmSync(data, { recursive: true, force: true })
    // Made under another clock where that is asked for; another machine's zone is only where it runs.
    cpSync(await demoData(env.NUBRIN_CLOCK_SHIFT ? env : {}), data, { recursive: true })
    db = await startDatabase(data)
    try {
      await start()
    } catch (e) {
      await db.stop()
      throw e
    }
  }
  await begin()
  return {
    url: `http://127.0.0.1:${port}`,
    data,
    get databaseUrl() {
      return db.ownerUrl
    },
    get appUrl() {
      return db.url
    },
    sql: async (query, values = [], url = db.ownerUrl) => {
      const c = await mariadb.createConnection(`${url}?connectTimeout=5000`)
      try {
        // A moment is written as the program writes it: in UTC, wherever this runs.
        const utc = (v: unknown) => (v instanceof Date ? v.toISOString().replace('T', ' ').replace('Z', '') : v)
        return await c.query(query, values.map(utc))
      } finally {
        await c.end()
      }
    },
    kill: () => end(child, 'SIGKILL'),
    start,
    reset: async () => {
      await end(child, 'SIGTERM')
      await db.stop()
      await begin()
    },
    stop: async () => {
      await end(child, 'SIGTERM')
      await db.stop()
      rmSync(data, { recursive: true, force: true })
    },
  }
}

/** A signed-in visitor of the API. */
export class Visitor {
  private readonly cookies = new Map<string, string>()
  private csrf = ''
  constructor(readonly base: string) {}

  async raw(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Response> {
    const form = body instanceof FormData
    const res = await fetch(`${this.base}/api${path}`, {
      method,
      headers: {
        cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        ...(this.csrf ? { 'x-csrf-token': this.csrf } : {}),
        ...(body !== undefined && !form ? { 'content-type': 'application/json' } : {}),
        ...headers,
      },
      ...(body === undefined ? {} : { body: form ? body : JSON.stringify(body) }),
    })
    for (const set of res.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(set)!
      this.cookies.set(name!, value!)
    }
    return res
  }
  // biome-ignore lint/suspicious/noExplicitAny: tests look into answers of every shape
  async ask(method: string, path: string, body?: unknown): Promise<{ status: number; body: any }> {
    const res = await this.raw(method, path, body)
    const text = await res.text()
    const answer = /json/.test(res.headers.get('content-type') ?? '') ? JSON.parse(text) : text
    if (res.status >= 400) inWords(`${method} ${path} ${res.status}`, answer)
    return { status: res.status, body: answer }
  }
  async signIn(name = 'maren', password = 'brass-and-light') {
    const r = await this.ask('POST', '/session', { signIn: name, password })
    if (r.status === 200) this.csrf = r.body.csrf
    return r
  }
  /** Takes the token over that an answer gave. */
  use(csrf: string) {
    this.csrf = csrf
  }
  upload(path: string, bytes: Uint8Array, name: string) {
    const form = new FormData()
    form.append('file', new Blob([bytes as Uint8Array<ArrayBuffer>]), name)
    return this.ask('POST', path, form)
  }
}

/** Every refusal says what was wrong, in words: as a whole, and of each field with its rule. */
// biome-ignore lint/suspicious/noExplicitAny: an answer may be anything before it is looked at
function inWords(asked: string, answer: any) {
  const words = (v: unknown) => typeof v === 'string' && /\p{L}{3}/u.test(v)
  if (!words(answer?.title) || !words(answer?.detail))
    throw new Error(`${asked}: refused without words: ${JSON.stringify(answer)}`)
  for (const p of answer.problems ?? [])
    if (typeof p.path !== 'string' || !words(p.rule) || !words(p.message))
      throw new Error(`${asked}: a problem without its rule or words: ${JSON.stringify(p)}`)
}

/** A ZIP of some entries. */
export const zip = (entries: [string, Uint8Array][], compress = true) =>
  new Promise<Buffer>((done) => {
    const z = new yazl.ZipFile()
    for (const [name, data] of entries) z.addBuffer(Buffer.from(data), name, { compress })
    z.end()
    const parts: Buffer[] = []
    z.outputStream.on('data', (b: Buffer) => parts.push(b)).on('end', () => done(Buffer.concat(parts)))
  })

/** What an archive holds, by name. */
export const entries = (bytes: Buffer) =>
  new Promise<Map<string, Buffer>>((done, fail) =>
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (e, z) => {
      if (e) return fail(e)
      const out = new Map<string, Buffer>()
      z.on('end', () => done(out))
      z.on('entry', (x: yauzl.Entry) =>
        z.openReadStream(x, (_e, s) => {
          const parts: Buffer[] = []
          s.on('data', (b: Buffer) => parts.push(b)).on('end', () => {
            out.set(x.fileName, Buffer.concat(parts))
            z.readEntry()
          })
        }),
      )
      z.readEntry()
    }),
  )
