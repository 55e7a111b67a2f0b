import { createServer, connect as dial, type Server as Gate, type Socket } from 'node:net'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { type Server, startServer, Visitor } from './harness'

/** How late the database greets whoever opens a connection, as on a busy machine. */
const LATE_MS = 1500
let server: Server
const gates: Gate[] = []
const lines = new Set<Socket>()
let opened = 0
let late = false
/** The address of a door before the database that, once it is late, lets every new connection wait. */
async function lateDoor(url: string): Promise<string> {
  const to = new URL(url)
  const { port, hostname } = to
  const gate = createServer((near) => {
    opened++
    lines.add(near)
    const through = () => {
      const far = dial(Number(port), hostname)
      lines.add(far)
      near.pipe(far).pipe(near)
      for (const [a, b] of [
        [near, far],
        [far, near],
      ] as const)
        a.on('error', () => b.destroy()).on('close', () => b.destroy())
    }
    if (late) setTimeout(through, LATE_MS)
    else through()
  })
  gates.push(gate)
  await new Promise<void>((done) => gate.listen(0, '127.0.0.1', done))
  to.port = String((gate.address() as { port: number }).port)
  return to.href
}

beforeAll(async () => {
  server = await startServer({}, lateDoor)
})
afterAll(async () => {
  await server?.stop()
  for (const line of lines) line.destroy()
  for (const gate of gates) gate.close()
})

test('many at once are answered though each new connection takes seconds; afterwards connections are kept', async () => {
  const v = new Visitor(server.url)
  await v.signIn()
  late = true
  const before = opened
  const many = () => Promise.all(Array.from({ length: 20 }, () => v.ask('GET', '/rack')))
  // Those that are open are slow to answer for a while, so that others have to be opened.
  const slow = [...lines]
  for (const line of slow) line.pause()
  setTimeout(() => slow.forEach((line) => void line.resume()), 1000)
  expect((await many()).map((r) => r.status)).toEqual(Array.from({ length: 20 }, () => 200))
  const after = opened
  expect(after).toBeGreaterThan(before)
  await many()
  expect(opened).toBe(after)
})

test('the database refuses the program while it runs: that is told, never a fault, and it goes on by itself afterwards', async () => {
  late = false
  const v = new Visitor(server.url)
  expect((await v.signIn()).status).toBe(200)
  const own = decodeURIComponent(new URL(server.appUrl).password)
  // As somebody does who tidies up passwords: it is another one, and who is connected is sent away.
  const changed = async (from: string, to: string) => {
    const as = new URL(server.appUrl)
    as.password = from
    await server.sql('SET PASSWORD = PASSWORD(?)', [to], as.href)
    as.password = to
    const others = 'SELECT id FROM information_schema.processlist WHERE id <> CONNECTION_ID()'
    for (const { id } of await server.sql(others, [], as.href))
      await server.sql(`KILL ${Number(id)}`, [], as.href).catch(() => {})
  }
  const base = (await v.ask('GET', '/commissions/first-lantern')).body.revision
  const asked = () =>
    Promise.all([
      v.ask('GET', '/rack'),
      v.ask('GET', '/session'),
      v.ask('PATCH', '/commissions/first-lantern', { base, ops: [{ op: 'set', at: '/brief', value: 'meanwhile' }] }),
      new Visitor(server.url).signIn(),
      new Visitor(server.url).ask('GET', '/client/nobody'),
    ])
  await changed(own, 'another')
  for (const r of [...(await asked()), ...(await asked())])
    expect(r).toMatchObject({
      status: 503,
      body: { type: '/problems/database', detail: expect.stringMatching(/again/) },
    })
  const health = await v.ask('GET', '/health')
  expect(health).toMatchObject({ status: 503, body: { detail: expect.stringContaining('database') } })
  await changed('another', own)
  let r = await v.ask('GET', '/rack')
  for (let i = 0; i < 50 && r.status === 503; i++) {
    await new Promise((done) => setTimeout(done, 100))
    r = await v.ask('GET', '/rack')
  }
  expect(r.status).toBe(200)
  expect((await v.ask('GET', '/commissions/first-lantern')).body.revision).toBe(base)
}, 60_000)
