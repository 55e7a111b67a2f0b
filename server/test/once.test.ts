import { expect, test } from '@jest/globals'
import { Once } from '../src/base/once'

const later = <T>(value: T) => new Promise<T>((done) => setTimeout(() => done(value), 10))

test('what many ask for at one time is made once, and kept', async () => {
  const once = new Once<{ n: number }>({ max: 3 })
  let made = 0
  const ask = () => once.of('a', () => later({ n: ++made }))
  expect(await Promise.all([ask(), ask(), ask()])).toEqual([{ n: 1 }, { n: 1 }, { n: 1 }])
  expect(await ask()).toEqual({ n: 1 })
  expect(await once.of('b', () => later({ n: ++made }))).toEqual({ n: 2 })
})
test('what fails fails for all who wait, and the next makes it anew', async () => {
  const once = new Once<{ n: number }>({ max: 3 })
  const fail = () => once.of('a', () => later(0).then(() => Promise.reject(new Error('no paper'))))
  const both = await Promise.allSettled([fail(), fail()])
  expect(both.map((r) => r.status)).toEqual(['rejected', 'rejected'])
  await expect(fail()).rejects.toThrow('no paper')
  expect(await once.of('a', () => later({ n: 1 }))).toEqual({ n: 1 })
})
test('what there is no room for is given all the same, and made again', async () => {
  const once = new Once<Uint8Array>({ maxSize: 100, sizeCalculation: (b) => b.length })
  let made = 0
  const ask = (key: string, size: number) => once.of(key, () => later(new Uint8Array(size).fill(++made)))
  expect((await ask('large', 500))[0]).toBe(1)
  expect((await ask('large', 500))[0]).toBe(2)
  // More at one time than fit: each gets his own.
  const all = await Promise.all(['a', 'b', 'c', 'd'].map((k) => ask(k, 60)))
  expect(all.map((b) => b[0]).sort()).toEqual([3, 4, 5, 6])
  const few = new Once<{ k: string }>({ max: 1 })
  expect(await Promise.all(['a', 'b', 'c'].map((k) => few.of(k, () => later({ k }))))).toEqual([
    { k: 'a' },
    { k: 'b' },
    { k: 'c' },
  ])
})
