import { tmpdir } from 'node:os'
import { expect, test } from '@jest/globals'
import type { Request, Response } from 'express'
import { Disk, roomToWrite } from '../src/http/disk'

test('a disk that cannot be asked has room; a real one has none for more than there is', async () => {
  expect(await new Disk('/there/is/no/such/folder').hasRoom()).toBe(true)
  expect(await new Disk(tmpdir()).hasRoom()).toBe(true)
  expect(await new Disk(tmpdir()).hasRoom(Number.MAX_SAFE_INTEGER)).toBe(false)
})

test('without room nothing is written and all is read; what is sent must fit twice', async () => {
  let free = 1000
  const door = roomToWrite(Object.assign(new Disk('/'), { hasRoom: async (bytes = 0) => bytes < free }))
  const ask = (method: string, path = '/commissions/x', bytes?: number) =>
    new Promise<number>((done) => {
      let status = 0
      const res = {
        status: (n: number) => {
          status = n
          return res
        },
        type: () => res,
        send: () => done(status),
      }
      const headers = bytes === undefined ? {} : { 'content-length': String(bytes) }
      door({ method, path, headers } as Request, res as unknown as Response, () => done(200))
    })
  expect([await ask('PATCH'), await ask('POST', '/media', 499), await ask('POST', '/media', 500)]).toEqual([
    200, 200, 507,
  ])
  free = 0
  expect(await Promise.all(['PATCH', 'POST', 'PUT', 'DELETE'].map((m) => ask(m)))).toEqual([507, 507, 507, 507])
  expect([await ask('GET'), await ask('HEAD'), await ask('POST', '/session', 40)]).toEqual([200, 200, 200])
})
