import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
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
  /** Kills the server process at once, as a power cut would. */
  kill: () => Promise<void>
  start: () => Promise<void>
  /** Starts it anew on an emptied database with the demo shop. */
  reset: () => Promise<void>
  stop: () => Promise<void>
}

/** The built server on a throw-away MariaDB, both on free loopback ports. */
export async function startServer(
  env: Record<string, string> = {},
  /** What stands between the server and its database. */
  between: (url: string) => string | Promise<string> = (url) => url,
): Promise<Server> {
  const data = mkdtempSync(join(tmpdir(), 'nubrin-test-'))
  const db = (await startMariadb(join(data, 'mariadb'))) as {
    url: string
    ownerUrl: string
    stop: () => Promise<void>
  }
  const port = (await freePort()) as number
  const [app, owner] = [await between(db.url), await between(db.ownerUrl)]
  let child: ChildProcess | undefined
  const start = async (more: Record<string, string> = {}) => {
    child = spawn(process.execPath, ['server/dist/main.js'], {
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
        ...more,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let out = ''
    await new Promise<void>((done, fail) => {
      const watch = (b: Buffer) => {
        out += b
        if (out.includes('Nubrin is at')) done()
      }
      child!.stdout!.on('data', watch)
      child!.stderr!.on('data', watch)
      child!.once('exit', () => fail(new Error(`the server ended: ${out}`)))
    })
  }
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((done) => {
      if (!child || child.exitCode !== null || child.signalCode !== null) return done()
      child.once('exit', () => done())
      child.kill(signal)
    })
  try {
    await start()
  } catch (e) {
    await db.stop()
    throw e
  }
  return {
    url: `http://127.0.0.1:${port}`,
    data,
    databaseUrl: db.ownerUrl,
    appUrl: db.url,
    kill: () => end('SIGKILL'),
    start: () => start(),
    reset: async () => {
      await end('SIGTERM')
      await start({ NUBRIN_RESET: '1' })
    },
    stop: async () => {
      await end('SIGTERM')
      await db.stop()
      rmSync(data, { recursive: true, force: true })
    },
  }
}

/** A signed-in visitor of the API. */
export class Visitor {
  private cookie = ''
  private csrf = ''
  constructor(readonly base: string) {}

  async raw(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Response> {
    const form = body instanceof FormData
    const res = await fetch(`${this.base}/api${path}`, {
      method,
      headers: {
        cookie: this.cookie,
        ...(this.csrf ? { 'x-csrf-token': this.csrf } : {}),
        ...(body !== undefined && !form ? { 'content-type': 'application/json' } : {}),
        ...headers,
      },
      ...(body === undefined ? {} : { body: form ? body : JSON.stringify(body) }),
    })
    const set = res.headers.getSetCookie().map((c) => c.split(';')[0]!)
    if (set.length) this.cookie = set.join('; ')
    return res
  }
  // biome-ignore lint/suspicious/noExplicitAny: tests look into answers of every shape
  async ask(method: string, path: string, body?: unknown): Promise<{ status: number; body: any }> {
    const res = await this.raw(method, path, body)
    const text = await res.text()
    return { status: res.status, body: /json/.test(res.headers.get('content-type') ?? '') ? JSON.parse(text) : text }
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

/** A ZIP of some entries. */
export const zip = (entries: [string, Uint8Array][]) =>
  new Promise<Buffer>((done) => {
    const z = new yazl.ZipFile()
    for (const [name, data] of entries) z.addBuffer(Buffer.from(data), name)
    z.end()
    const parts: Buffer[] = []
    z.outputStream.on('data', (b: Buffer) => parts.push(b)).on('end', () => done(Buffer.concat(parts)))
  })
