import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import express from 'express'
import { inTurn } from '../src/http/limits'

let url = ''
let close = () => {}
const now: Record<string, number> = {}
const most: Record<string, number> = {}
const served: string[] = []
beforeAll(async () => {
  const app = express()
  app.use(
    '/:who/:ms',
    inTurn((req) => String(req.params.who)),
    (req, res) => {
      const { who, ms } = req.params as { who: string; ms: string }
      now[who] = (now[who] ?? 0) + 1
      most[who] = Math.max(most[who] ?? 0, now[who])
      let over = false
      const end = () => {
        if (!over) now[who]!--
        over = true
      }
      res.once('close', end)
      if (ms === 'never') return
      setTimeout(() => {
        served.push(who)
        end()
        res.end()
      }, Number(ms))
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
  const thirty = Array.from({ length: 30 }, () => fetch(`${url}/many/20`))
  await new Promise((done) => setTimeout(done, 30))
  expect((await fetch(`${url}/other/1`)).status).toBe(200)
  expect(served.filter((who) => who === 'many').length).toBeLessThan(15)
  for (const r of await Promise.all(thirty)) expect(r.status).toBe(200)
  expect(most).toEqual({ many: 2, other: 1 })
})
test('who goes away gives his place up, waiting or served', async () => {
  const gone = new AbortController()
  const away = Array.from({ length: 6 }, () => fetch(`${url}/away/never`, { signal: gone.signal }).catch(() => 'gone'))
  await new Promise((done) => setTimeout(done, 50))
  expect(now.away).toBe(2)
  gone.abort()
  expect(await Promise.all(away)).toEqual(Array(6).fill('gone'))
  expect((await fetch(`${url}/away/1`)).status).toBe(200)
  expect(now.away).toBe(0)
})
