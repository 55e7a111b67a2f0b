// The shop with ten thousand commissions, held against plain SQL on the same MariaDB in the same run.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort, startMariadb } from './mariadb.mjs'

const MANY = 10_000
const sorted = (list) => list.toSorted((a, b) => a - b)
const median = (list) => sorted(list)[list.length >> 1]
const p99 = (list) => sorted(list)[Math.min(list.length - 1, Math.floor(list.length * 0.99))]
const ms = (n) => `${n.toFixed(1)} ms`

export async function benchShop(root) {
  const { default: mariadb } = await import('mariadb')
  const data = mkdtempSync(join(tmpdir(), 'nubrin-bench-'))
  const db = await startMariadb(join(data, 'mariadb'))
  const port = await freePort()
  const url = `http://127.0.0.1:${port}/api`
  const server = spawn(process.execPath, ['server/dist/main.js'], {
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
  const c = await mariadb.createConnection({ ...parts(db.ownerUrl), bigIntAsNumber: true })
  try {
    await new Promise((done) => server.stdout.on('data', (b) => String(b).includes('Nubrin is at') && done()))
    let cookie = ''
    const headers = () => ({ cookie })
    const signed = await fetch(`${url}/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ signIn: 'maren', password: 'brass-and-light' }),
    })
    cookie = signed.headers.getSetCookie()[0].split(';')[0]
    const { csrf } = await signed.json()
    const get = async (path) => {
      const r = await fetch(`${url}${path}`, { headers: headers() })
      const text = await r.text()
      if (r.status >= 400) throw new Error(`${r.status} ${path} ${text.slice(0, 200)}`)
      return text
    }
    const time = async (n, run) => {
      for (let i = 0; i < Math.min(5, n); i++) await run(i)
      const all = []
      for (let i = 0; i < n; i++) {
        const t = performance.now()
        await run(i)
        all.push(performance.now() - t)
      }
      return all
    }
    const against = (what, mine, raw, limit) =>
      console.log(
        `${what}: ${ms(mine)} against ${ms(raw)}, ${(mine / raw).toFixed(1)} of ${limit} times, ratio ${((limit * raw) / mine).toFixed(1)}`,
      )

    await get('/rack')
    const fill = async (from, to) => {
      const [one] = await c.query("SELECT id FROM commissions WHERE place = 'open' ORDER BY LENGTH(record) LIMIT 1")
      await c.query(
        `INSERT INTO commissions (id, shop_id, client_id, title, job, deadline, shipped, revision, record, saved_at, saved_by, peg, peg_revision, peg_on, peg_rules, search, place, due)
         SELECT CONCAT('many-', seq), shop_id, client_id, CONCAT('Many ', seq), job, IF(seq % 100, NULL, '2027-01-01'), IF(seq % 100, DATE_SUB('2026-11-01', INTERVAL seq DAY), NULL), 1,
           JSON_SET(record, '$.id', CONCAT('many-', seq)), saved_at, saved_by, JSON_SET(peg, '$.id', CONCAT('many-', seq)), 1, peg_on, peg_rules, CONCAT('Many ', seq, ' only', seq, ' ', search),
           IF(seq % 100, 'shipped', 'open'), IF(seq % 100, DATE_SUB('2026-11-01', INTERVAL seq DAY), '2027-01-01')
         FROM seq_${from}_to_${to} JOIN commissions k ON k.id = ?`,
        [one.id],
      )
      await c.query(
        `INSERT INTO sabers (id, commission_id, position, name, job) SELECT 's', CONCAT('many-', seq), 0, CONCAT('Saber ', seq), 'install' FROM seq_${from}_to_${to}`,
      )
      await c.query(
        `INSERT INTO fitted_parts (id, commission_id, saber_id, kind, name, catalogue_id, lot) SELECT n.seq, CONCAT('many-', m.seq), 's', 'cell', CONCAT('Part ', n.seq, ' ', m.seq % 977), CONCAT('cat-', n.seq * 1000 + m.seq % 977), CONCAT('LOT-', m.seq % 5003, '-', n.seq) FROM seq_${from}_to_${to} m JOIN seq_1_to_12 n`,
      )
      await c.query('ANALYZE TABLE commissions, sabers, fitted_parts')
    }
    const rackSql =
      "SELECT id, revision, saved_at, saved_by, peg, peg_revision, peg_on, peg_rules, due FROM commissions WHERE shop_id = ? AND place = 'open' ORDER BY due, id LIMIT 21"
    const [{ id: shop }] = await c.query('SELECT id FROM shops LIMIT 1')
    const find = '/rack?q=only77'
    const recall = '/recall?q=LOT-77-3'
    await fill(1, 100)
    const few = { rack: median(await time(30, () => get('/rack'))), find: median(await time(30, () => get(find))) }
    await fill(101, MANY)
    const rack = median(await time(40, () => get('/rack')))
    const raw = median(await time(40, () => c.query(rackSql, [shop])))
    against('rack, ten thousand, against the same SQL', rack, raw, 3)
    console.log(
      `rack, bytes: ${((await get('/rack')).length / 1000).toFixed(0)} kB of 60 kB, ratio ${(60_000 / (await get('/rack')).length).toFixed(1)}`,
    )
    against('rack, ten thousand, against a hundred', rack, few.rack, 1.2)
    against('find, ten thousand, against a hundred', median(await time(30, () => get(find))), few.find, 1.2)
    const recallSql =
      'SELECT f.name AS part, f.lot, s.name AS saber, c.title FROM fitted_parts f JOIN commissions c ON c.id = f.commission_id JOIN sabers s ON s.commission_id = f.commission_id AND s.id = f.saber_id WHERE f.lot = ?'
    against(
      'recall, against its indexed SQL',
      median(await time(40, () => get(recall))),
      median(await time(40, () => c.query(recallSql, ['LOT-77-3']))),
      4,
    )
    const health = median(await time(60, () => get('/health')))
    against('one commission, against health', median(await time(60, () => get('/commissions/reed-warden'))), health, 2)

    const patch = (id, body) =>
      fetch(`${url}/commissions/${id}`, {
        method: 'PATCH',
        headers: { ...headers(), 'content-type': 'application/json', 'x-csrf-token': csrf },
        body: JSON.stringify(body),
      }).then(async (r) => {
        if (r.status !== 200) throw new Error(`${r.status} ${await r.text()}`)
        return r.json()
      })
    let base = JSON.parse(await get('/commissions/reed-warden')).revision
    const save = median(
      await time(40, async (i) => {
        base = (
          await patch('reed-warden', { base, ops: [{ op: 'set', at: '/brief', value: `word ${i} ${Math.random()}` }] })
        ).revision
      }),
    )
    const write = median(
      await time(40, async (i) => {
        const [r] = await c.query("SELECT record FROM commissions WHERE id = 'reed-warden'")
        const record = typeof r.record === 'string' ? JSON.parse(r.record) : r.record
        record.brief = `raw ${i}`
        await c.query("UPDATE commissions SET record = ? WHERE id = 'reed-warden'", [JSON.stringify(record)])
      }),
    )
    against('one-word save, against reading and writing the record raw', save, write, 3)
    const each = []
    await Promise.all(
      Array.from({ length: 20 }, async (_, w) => {
        const id = `many-${w + 1}`
        let own = 1
        for (let k = 0; k < 12; k++) {
          const t = performance.now()
          own = (await patch(id, { base: own, ops: [{ op: 'set', at: '/brief', value: `w${w} ${k}` }] })).revision
          each.push(performance.now() - t)
        }
      }),
    )
    against('twenty writers at once, p99 against their median', p99(each), median(each), 3)
    const idle = p99(await time(150, () => get('/session')))
    for (const [what, work] of [
      ['a PDF is made', (i) => get(`/commissions/ember-fair/handoff.pdf?paper=${i % 2 ? 'A4' : 'Letter'}`)],
    ]) {
      const during = []
      let done = false
      // Another revision each time, so that it is made and not remembered.
      const making = (async () => {
        let at = JSON.parse(await get('/commissions/ember-fair')).revision
        for (let i = 0; i < 4; i++) {
          at = (
            await patch('ember-fair', {
              base: at,
              ops: [{ op: 'set', at: '/brief', value: `pdf ${i} ${Math.random()}` }],
            })
          ).revision
          await work(i)
        }
        done = true
      })()
      while (!done) {
        const t = performance.now()
        await get('/session')
        during.push(performance.now() - t)
      }
      await making
      against(`small requests while ${what}, p99 against idle`, p99(during), idle, 2)
    }
  } finally {
    await c.end()
    server.kill('SIGTERM')
    await new Promise((done) => server.once('exit', done))
    await db.stop()
    rmSync(data, { recursive: true, force: true })
  }
}

const parts = (url) => {
  const u = new URL(url)
  return {
    host: u.hostname,
    port: Number(u.port),
    user: u.username,
    password: decodeURIComponent(u.password),
    database: u.pathname.slice(1),
  }
}
