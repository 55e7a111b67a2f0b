import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import express from 'express'
import { inTurn } from '../src/http/limits'

let url = ''
let close = () => {}
/** Who is worked on now, and the most of each at one time. */
const now: Record<string, number> = {}
const most: Record<string, number> = {}
/** Answers that are held back until the test lets them go. */
const held: (() => void)[] = []
let told: () => void = () => {}
/** When so many of somebody are worked on. */
const until = async (who: string, n: number) => {
  while ((now[who] ?? 0) !== n)
    await new Promise<void>((done) => {
      told = done
    })
}
beforeAll(async () => {
  const app = express()
  app.use(
    '/:who/:how',
    inTurn((req) => String(req.params.who)),
    (req, res) => {
      const { who, how } = req.params as { who: string; how: string }
      now[who] = (now[who] ?? 0) + 1
      most[who] = Math.max(most[who] ?? 0, now[who])
      res.once('close', () => {
        now[who]!--
        told()
      })
      const answer = () => void res.end()
      if (how === 'held') held.push(answer)
      else answer()
      told()
    },
  )
  const server = app.listen(0, '127.0.0.1')
  await new Promise((done) => server.once('listening', done))
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  close = () => {
    server.closeAllConnections()
    server.close()
  }
})
afterAll(() => close())

test('of one who asks for thirty things at once two are worked on, all are answered, and another is not behind them', async () => {
  const thirty = Array.from({ length: 30 }, () => fetch(`${url}/many/held`))
  await until('many', 2)
  // None of the thirty has its answer yet.
  expect((await fetch(`${url}/other/now`)).status).toBe(200)
  for (let n = 0; n < 30; n++) {
    while (!held.length)
      await new Promise<void>((done) => {
        told = done
      })
    held.shift()!()
  }
  for (const r of await Promise.all(thirty)) expect(r.status).toBe(200)
  expect(most).toEqual({ many: 2, other: 1 })
})
test('who goes away gives his place up, waiting or served', async () => {
  const gone = new AbortController()
  const away = Array.from({ length: 6 }, () => fetch(`${url}/away/held`, { signal: gone.signal }).catch(() => 'gone'))
  await until('away', 2)
  gone.abort()
  expect(await Promise.all(away)).toEqual(Array(6).fill('gone'))
  expect((await fetch(`${url}/away/now`)).status).toBe(200)
  await until('away', 0)
})
