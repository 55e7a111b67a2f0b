// A backup is a folder: every table as lines of JSON, how the tables are made, and every file under its hash. It is taken
// from one moment of the database while the shop works, and read back before it is called good.
import { createHash } from 'node:crypto'
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs'
import { copyFile, mkdir, readdir, readFile, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'

const VERSION = 1
/** Sessions are not kept: after a restore everybody signs in again. */
const LEFT_OUT = new Set(['sessions'])
const ROWS_AT_A_TIME = 200

const connect = async (url) =>
  (await import('mariadb')).default.createConnection(
    `${url}?connectTimeout=5000&dateStrings=true&bigIntAsNumber=true&autoJsonMap=false&checkNumberRange=true`,
  )
const tableNames = async (c) =>
  (
    await c.query(
      "SELECT table_name AS t FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' ORDER BY t",
    )
  ).map((r) => r.t)

/** Lines and their hash, of a table's file as it stands. */
async function readTable(path, each = async () => {}) {
  const hash = createHash('sha256')
  let rows = 0
  const lines = createInterface({
    input: createReadStream(path).pipe(createGunzip()),
    crlfDelay: Number.POSITIVE_INFINITY,
  })
  for await (const line of lines) {
    hash.update(line).update('\n')
    rows++
    await each(JSON.parse(line))
  }
  return { rows, sha256: hash.digest('hex') }
}

async function writeTable(c, name, path) {
  const hash = createHash('sha256')
  let rows = 0
  const keys = (await c.query(`SHOW KEYS FROM \`${name}\` WHERE Key_name = 'PRIMARY'`)).map(
    (k) => `\`${k.Column_name}\``,
  )
  async function* lines() {
    for (let from = 0; ; from += ROWS_AT_A_TIME) {
      const part = await c.query(
        `SELECT * FROM \`${name}\` ORDER BY ${keys.join(', ')} LIMIT ${from}, ${ROWS_AT_A_TIME}`,
      )
      for (const r of part) {
        const line = JSON.stringify(r)
        hash.update(line).update('\n')
        rows++
        yield `${line}\n`
      }
      if (part.length < ROWS_AT_A_TIME) return
    }
  }
  await pipeline(Readable.from(lines()), createGzip(), createWriteStream(path, { flush: true }))
  return { rows, sha256: hash.digest('hex') }
}

/** The hash of each stored file below a folder. */
async function storedFiles(folder) {
  if (!existsSync(folder)) return []
  const out = []
  for (const two of await readdir(folder))
    for (const name of await readdir(join(folder, two)).catch(() => [])) if (/^[0-9a-f]{64}$/.test(name)) out.push(name)
  return out.sort()
}
const placeOf = (folder, hash) => join(folder, hash.slice(0, 2), hash)
const hashOf = (bytes) => createHash('sha256').update(bytes).digest('hex')
/** The letters that lie in a folder. */
const lettersIn = async (folder) => (await readdir(folder).catch(() => [])).filter((n) => n.endsWith('.eml')).sort()

/**
 * Takes a backup into `data/backups/<moment>`; files are kept once for all backups beside them. Throws when what was
 * written does not read back as it was; then the last good one stays the last good one. Returns where it is.
 */
export async function backup({ data, ownerUrl, into = join(data, 'backups') }) {
  const at = new Date().toISOString()
  const name = at.slice(0, 19).replaceAll(':', '-')
  const draft = join(into, `${name}.making`)
  await mkdir(join(draft, 'tables'), { recursive: true })
  const c = await connect(ownerUrl)
  const manifest = { format: 'nubrin-backup', version: VERSION, at, tables: {}, schema: [], files: [], letters: {} }
  try {
    await c.query('SET SESSION TRANSACTION ISOLATION LEVEL REPEATABLE READ')
    await c.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY')
    for (const table of await tableNames(c)) {
      manifest.schema.push((await c.query(`SHOW CREATE TABLE \`${table}\``))[0]['Create Table'])
      if (!LEFT_OUT.has(table))
        manifest.tables[table] = await writeTable(c, table, join(draft, 'tables', `${table}.gz`))
    }
    // After the tables: a file named by a record of that moment is there, since files are kept before they are named.
    manifest.files = await storedFiles(join(data, 'files'))
    // So is a letter that a log calls sent.
    for (const letter of await lettersIn(join(data, 'outbox'))) {
      const bytes = await readFile(join(data, 'outbox', letter))
      await mkdir(join(draft, 'outbox'), { recursive: true })
      writeFileSync(join(draft, 'outbox', letter), bytes)
      manifest.letters[letter] = hashOf(bytes)
    }
    await c.query('COMMIT')
  } finally {
    await c.end()
  }
  for (const hash of manifest.files) {
    const to = placeOf(join(into, 'files'), hash)
    if (existsSync(to)) continue
    await mkdir(join(into, 'files', hash.slice(0, 2)), { recursive: true })
    await copyFile(placeOf(join(data, 'files'), hash), `${to}.making`)
    await rename(`${to}.making`, to)
  }
  writeFileSync(join(draft, 'manifest.json'), `${JSON.stringify(manifest, null, 1)}\n`)
  await verify(draft, into)
  renameSync(draft, join(into, name))
  writeFileSync(join(into, 'last-good.json.new'), JSON.stringify({ at, name }))
  renameSync(join(into, 'last-good.json.new'), join(into, 'last-good.json'))
  return join(into, name)
}

/** Reads a backup whole and holds it against what it says of itself; throws with what is wrong. */
export async function verify(folder, into = join(folder, '..')) {
  let manifest
  try {
    manifest = JSON.parse(readFileSync(join(folder, 'manifest.json'), 'utf8'))
  } catch (e) {
    throw new Error(`This is no backup, or it is damaged: ${folder} (${e.message})`)
  }
  if (manifest.format !== 'nubrin-backup' || manifest.version > VERSION)
    throw new Error(`This is no backup that this program reads: ${folder}`)
  for (const [table, said] of Object.entries(manifest.tables)) {
    const is = await readTable(join(folder, 'tables', `${table}.gz`)).catch((e) => ({ rows: -1, sha256: e.message }))
    if (is.rows !== said.rows || is.sha256 !== said.sha256)
      throw new Error(`The backup is damaged: table ${table} has ${is.rows} of ${said.rows} rows, or other ones.`)
  }
  for (const hash of manifest.files) {
    const bytes = await readFile(placeOf(join(into, 'files'), hash)).catch(() => Buffer.alloc(0))
    if (hashOf(bytes) !== hash) throw new Error(`The backup is damaged: file ${hash} is missing or not as it was.`)
  }
  for (const [letter, hash] of Object.entries(manifest.letters ?? {})) {
    const bytes = await readFile(join(folder, 'outbox', letter)).catch(() => Buffer.alloc(0))
    if (hashOf(bytes) !== hash) throw new Error(`The backup is damaged: letter ${letter} is missing or not as it was.`)
  }
  return manifest
}

/** When the last good backup was taken, ms; undefined where none was. */
export function lastGood(data) {
  try {
    return Date.parse(JSON.parse(readFileSync(join(data, 'backups', 'last-good.json'), 'utf8')).at)
  } catch {
    return undefined
  }
}

/** Backups there are, newest first. */
export const backupsIn = (into) =>
  existsSync(into)
    ? readdirSync(into)
        .filter((n) => /^\d{4}-\d{2}-\d{2}T[\d-]{8}$/.test(n) && existsSync(join(into, n, 'manifest.json')))
        .sort()
        .reverse()
    : []

/** Fills an empty database and an empty folder of files from a backup that was read through first. */
export async function restore({ folder, data, ownerUrl }) {
  const into = join(folder, '..')
  const manifest = await verify(folder, into)
  const c = await connect(ownerUrl)
  try {
    if ((await tableNames(c)).length) throw new Error('The database to restore into is not empty. Nothing was changed.')
    await c.query('SET FOREIGN_KEY_CHECKS = 0')
    for (const sql of manifest.schema) await c.query(sql)
    for (const [table, said] of Object.entries(manifest.tables)) {
      const is = await readTable(join(folder, 'tables', `${table}.gz`), async (row) => {
        const keys = Object.keys(row)
        await c.query(
          `INSERT INTO \`${table}\` (${keys.map((k) => `\`${k}\``).join(', ')}) VALUES (${keys.map(() => '?').join(', ')})`,
          keys.map((k) => row[k]),
        )
      })
      const [{ n }] = await c.query(`SELECT COUNT(*) AS n FROM \`${table}\``)
      if (Number(n) !== said.rows || is.sha256 !== said.sha256)
        throw new Error(`Table ${table} has ${n} rows after restoring, and should have ${said.rows}.`)
    }
    await c.query('SET FOREIGN_KEY_CHECKS = 1')
  } finally {
    await c.end()
  }
  for (const hash of manifest.files) {
    const to = placeOf(join(data, 'files'), hash)
    mkdirSync(join(data, 'files', hash.slice(0, 2)), { recursive: true })
    await copyFile(placeOf(join(into, 'files'), hash), to)
  }
  // One that was taken before letters were kept says nothing of them: those that lie there stay.
  if (manifest.letters) mkdirSync(join(data, 'outbox'), { recursive: true })
  for (const letter of Object.keys(manifest.letters ?? {}))
    await copyFile(join(folder, 'outbox', letter), join(data, 'outbox', letter))
  return manifest
}

/** Throws away all but the newest so many backups, and files that none of those left names. */
export async function thin(into, keep) {
  const all = backupsIn(into)
  for (const name of all.slice(keep)) await rm(join(into, name), { recursive: true })
  const named = new Set(
    all.slice(0, keep).flatMap((n) => JSON.parse(readFileSync(join(into, n, 'manifest.json'), 'utf8')).files),
  )
  for (const hash of await storedFiles(join(into, 'files')))
    if (!named.has(hash)) await rm(placeOf(join(into, 'files'), hash))
}
