// The shop with ten thousand commissions, held against plain SQL on the same MariaDB in the same run.
import { createHash } from 'node:crypto'
import { Agent, request } from 'node:http'
import { createRequire } from 'node:module'
import { benchServer } from './bench-server.mjs'

const MANY = 10_000
const sorted = (list) => list.toSorted((a, b) => a - b)
const median = (list) => sorted(list)[list.length >> 1]
const p99 = (list) => sorted(list)[Math.min(list.length - 1, Math.floor(list.length * 0.99))]
/** Lines that stay open, as a browser's and the raw statements' do: what is measured is the server, not how a caller dials. */
const lines = new Agent({ keepAlive: true })
const ask = (url, { method = 'GET', headers = {}, body } = {}) =>
  new Promise((done, fail) => {
    const length = body === undefined ? {} : { 'content-length': Buffer.byteLength(body) }
    const sent = request(url, { method, agent: lines, headers: { ...headers, ...length } }, (r) => {
      const got = []
      r.on('data', (b) => got.push(b))
      r.on('end', () => done({ status: r.statusCode, headers: r.headers, text: Buffer.concat(got).toString() }))
    })
    sent.on('error', fail)
    sent.end(body)
  })
const ms = (n) => `${n.toFixed(1)} ms`

export async function benchShop(root) {
  const { default: mariadb } = await import('mariadb')
  const { db, url: at, up, stop } = await benchServer(root, 'bench')
  const url = `${at}/api`
  const c = await mariadb.createConnection({ ...parts(db.ownerUrl), bigIntAsNumber: true })
  try {
    await up
    let cookie = ''
    const headers = () => ({ cookie })
    const signed = await ask(`${url}/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ signIn: 'maren', password: 'brass-and-light' }),
    })
    cookie = signed.headers['set-cookie'].map((c) => c.split(';')[0]).join('; ')
    const { csrf } = JSON.parse(signed.text)
    const get = async (path) => {
      const { status, text } = await ask(`${url}${path}`, { headers: headers() })
      if (status >= 400) throw new Error(`${status} ${path} ${text.slice(0, 200)}`)
      return text
    }
    // Warm, as a server is that has been up for an hour: a route is compiled once it has been asked some hundred times.
    const time = async (n, run, warm = 600) => {
      for (let i = 0; i < warm; i++) await run(i)
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
           JSON_SET(record, '$.id', CONCAT('many-', seq)), saved_at, saved_by, JSON_SET(peg, '$.id', CONCAT('many-', seq)), 1, peg_on, peg_rules, CONCAT(' many ', seq, ' only', seq, 'x', search),
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
    // One answer in a hundred as in ten thousand; what is asked for commonly is asked for as well.
    const find = '/rack?q=only77x'
    const common = '/rack?q=many'
    const recall = '/recall?q=LOT-77-3'
    await fill(1, 100)
    const few = {
      rack: median(await time(30, () => get('/rack'))),
      find: median(await time(30, () => get(find))),
      common: median(await time(30, () => get(common))),
    }
    await fill(101, MANY)
    const rack = median(await time(40, () => get('/rack')))
    const raw = median(await time(40, () => c.query(rackSql, [shop])))
    against('rack, ten thousand, against the same SQL', rack, raw, 3)
    console.log(
      `rack, bytes: ${((await get('/rack')).length / 1000).toFixed(0)} kB of 60 kB, ratio ${(60_000 / (await get('/rack')).length).toFixed(1)}`,
    )
    against('rack, ten thousand, against a hundred', rack, few.rack, 1.2)
    against('find, ten thousand, against a hundred', median(await time(30, () => get(find))), few.find, 1.2)
    against('find a common word, against a hundred', median(await time(30, () => get(common))), few.common, 1.2)
    // The same three indexes that the route asks, and the same columns.
    const recallSql = `SELECT f.name AS part, f.lot, f.kind, s.id AS saberId, s.name AS saber, c.id AS commission, c.title, c.shipped, k.name AS client
      FROM (SELECT commission_id, id FROM fitted_parts WHERE lot = ?
        UNION SELECT commission_id, id FROM fitted_parts WHERE catalogue_id = ?
        UNION SELECT commission_id, id FROM fitted_parts WHERE name LIKE ?) hit
      JOIN fitted_parts f ON f.commission_id = hit.commission_id AND f.id = hit.id
      JOIN commissions c ON c.id = f.commission_id
      JOIN sabers s ON s.commission_id = f.commission_id AND s.id = f.saber_id
      LEFT JOIN clients k ON k.id = c.client_id
      WHERE c.shop_id = ? AND c.place <> 'archived' ORDER BY c.title, s.position LIMIT 500`
    const lot = 'LOT-77-3'
    against(
      'recall, against its indexed SQL',
      median(await time(40, () => get(recall))),
      median(await time(40, () => c.query(recallSql, [lot, lot, `${lot}%`, shop]))),
      4,
    )
    const health = median(await time(60, () => get('/health')))
    against('one commission, against health', median(await time(60, () => get('/commissions/reed-warden'))), health, 2)

    const patch = (id, body) =>
      ask(`${url}/commissions/${id}`, {
        method: 'PATCH',
        headers: { ...headers(), 'content-type': 'application/json', 'x-csrf-token': csrf },
        body: JSON.stringify(body),
      }).then(({ status, text }) => {
        if (status !== 200) throw new Error(`${status} ${text}`)
        return JSON.parse(text)
      })
    let base = JSON.parse(await get('/commissions/reed-warden')).revision
    const save = median(
      await time(
        40,
        async (i) => {
          base = (
            await patch('reed-warden', {
              base,
              ops: [{ op: 'set', at: '/brief', value: `word ${i} ${Math.random()}` }],
            })
          ).revision
        },
        60,
      ),
    )
    const write = median(
      await time(
        40,
        async (i) => {
          const [r] = await c.query("SELECT record FROM commissions WHERE id = 'reed-warden'")
          const record = typeof r.record === 'string' ? JSON.parse(r.record) : r.record
          record.brief = `raw ${i}`
          await c.query("UPDATE commissions SET record = ? WHERE id = 'reed-warden'", [JSON.stringify(record)])
        },
        60,
      ),
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
    const idle = p99(await time(300, () => get('/session')))
    const meanwhile = async (what, work) => {
      const during = []
      let done = false
      const working = work().finally(() => {
        done = true
      })
      while (!done) {
        const t = performance.now()
        await get('/session')
        during.push(performance.now() - t)
      }
      await working
      against(`small requests while ${what}, p99 of ${during.length} against idle`, p99(during), idle, 2)
    }
    await meanwhile('PDFs are made', async () => {
      // Another revision each time, so that it is made and not remembered.
      let at = JSON.parse(await get('/commissions/ember-fair')).revision
      for (let i = 0; i < 4; i++) {
        const op = { op: 'set', at: '/brief', value: `pdf ${i} ${Math.random()}` }
        at = (await patch('ember-fair', { base: at, ops: [op] })).revision
        await get(`/commissions/ember-fair/handoff.pdf?paper=${i % 2 ? 'A4' : 'Letter'}`)
      }
    })
    const upload = async (path, name, bytes) => {
      const form = new Response(toForm(name, bytes))
      const headed = { ...headers(), 'content-type': form.headers.get('content-type'), 'x-csrf-token': csrf }
      const body = Buffer.from(await form.arrayBuffer())
      const { status, text } = await ask(`${url}${path}`, { method: 'POST', headers: headed, body })
      if (status >= 400) throw new Error(`${status} ${path} ${text.slice(0, 200)}`)
    }
    const large = await largeImport(JSON.parse(await get('/commissions/reed-warden')).record)
    // Those that lay idle while it was made may be closed at the other end.
    lines.destroy()
    await meanwhile(`150 MB are taken in (${(large.length / 1e6).toFixed(0)} MB sent)`, () =>
      upload('/import?as=copy', 'large.zip', large),
    )
    const photo = await noisyPhoto()
    await meanwhile('photos are taken in', async () => {
      for (let i = 0; i < 4; i++) await upload('/media', 'photo.jpg', photo)
    })
  } finally {
    await c.end()
    await stop()
  }
}

const toForm = (name, bytes) => {
  const form = new FormData()
  form.append('file', new Blob([bytes]), name)
  return form
}

/** A commission with four sounds of 36 MB, quiet enough that they press well. */
async function largeImport(record) {
  const yazl = createRequire(new URL('../../server/package.json', import.meta.url))('yazl')
  const zip = new yazl.ZipFile()
  const missing = new Set(JSON.stringify(record).match(/[0-9a-f]{64}/g))
  zip.addBuffer(Buffer.from(JSON.stringify(record)), 'commission.json')
  zip.addBuffer(Buffer.from(JSON.stringify([...missing])), 'missing.json')
  for (let k = 0; k < 4; k++) {
    const wav = Buffer.alloc(36_000_044)
    wav.write('RIFF\0\0\0\0WAVEfmt ', 0, 'latin1')
    wav.writeUInt32LE(wav.length - 8, 4)
    const head = [16, 1 | (1 << 16), 48_000, 96_000, 2 | (16 << 16)]
    for (const [i, n] of head.entries()) wav.writeUInt32LE(n, 16 + 4 * i)
    wav.write('data', 36, 'latin1')
    wav.writeUInt32LE(wav.length - 44, 40)
    for (let i = 44, noise = k + 1; i < wav.length; i += 2) {
      noise = (Math.imul(noise, 1_103_515_245) + 12_345) & 0x7fffffff
      wav[i] = noise >> 26
    }
    zip.addBuffer(wav, `media/${createHash('sha256').update(wav).digest('hex')}`)
  }
  zip.end()
  const all = []
  for await (const b of zip.outputStream) all.push(b)
  return Buffer.concat(all)
}

/** A photo as a phone takes it: twelve million pixels. */
async function noisyPhoto() {
  const { default: sharp } = await import('sharp')
  const noise = { type: 'gaussian', mean: 128, sigma: 30 }
  return sharp({ create: { width: 4000, height: 3000, channels: 3, noise } })
    .jpeg({ quality: 80 })
    .toBuffer()
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
