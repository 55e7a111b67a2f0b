// How much script each screen loads before it stands, counted as the browser loads it: all imports, all the way down.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'

/** Screens by the address bar or the bench's rail; pieces that come when something is opened are none. */
const SCREEN =
  /^src\/(rack\/Rack|shelf\/Shelf|shop\/\w+|film\/Film|client\/ClientPage|(stations|desks)\/[\w-]+\/index)\.tsx$/
const BENCH = 'src/bench/Bench.tsx'

/** Screen → bytes of gzip, the largest first; `first` is what every screen begins with. */
export function firstLoads(web) {
  const manifest = JSON.parse(readFileSync(join(web, '.vite', 'manifest.json'), 'utf8'))
  const whole = (starts) => {
    const seen = new Set()
    const todo = [...starts]
    for (let k = todo.pop(); k; k = todo.pop())
      if (!seen.has(k)) {
        seen.add(k)
        todo.push(...(manifest[k].imports ?? []))
      }
    return seen
  }
  const sizes = new Map()
  const size = (k) => {
    const { file } = manifest[k]
    if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(join(web, file))).length)
    return sizes.get(file)
  }
  const bytes = (keys) => [...new Set(keys)].reduce((n, k) => n + size(k), 0)
  const first = Object.keys(manifest).filter((k) => manifest[k].isEntry)
  const screens = Object.keys(manifest)
    .filter((k) => SCREEN.test(k) && manifest[k].isDynamicEntry)
    .map((k) => {
      // A station stands on the bench, which is loaded first.
      const keys = whole([...first, ...(k.includes('/stations/') ? [BENCH] : []), k])
      return { screen: k, bytes: bytes(keys), of: [...keys].map((x) => ({ file: manifest[x].file, bytes: size(x) })) }
    })
  return { first: bytes(whole(first)), screens: screens.toSorted((a, b) => b.bytes - a.bytes) }
}
