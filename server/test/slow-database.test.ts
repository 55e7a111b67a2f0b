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
