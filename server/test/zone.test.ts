import { afterEach, expect, test } from '@jest/globals'
import { type Server, startServer, Visitor } from './harness'

let server: Server
afterEach(() => server.stop())

test.each(['America/St_Johns'])('moments are the same in each column, on a machine in %s', async (TZ) => {
  server = await startServer({ TZ })
  const v = new Visitor(server.url)
  await v.signIn()
  const path = '/commissions/first-lantern'
  const { revision, savedAt } = (await v.ask('GET', path)).body
  const ops = [{ op: 'set', at: '/brief', value: 'in another zone' }]
  const saved = await v.ask('PATCH', path, { base: revision, at: savedAt, ops })
  expect(saved.status).toBe(200)
  // What was read before the last change is of this history, too.
  const since = await v.ask('GET', `${path}/changes?after=${revision}&at=${encodeURIComponent(savedAt)}`)
  expect(since).toMatchObject({ status: 200, body: [{ at: saved.body.savedAt }] })
  const lines = (await v.ask('GET', `${path}/history`)).body
  expect(lines.map((l: { at: string }) => l.at)).toEqual([saved.body.savedAt, savedAt])
  expect(Math.abs(Date.parse(saved.body.savedAt) - Date.now())).toBeLessThan(60_000)
})
