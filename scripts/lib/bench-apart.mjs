// Small requests while one person sends the heaviest that he may: their slowest of a hundred beside that of an idle shop.
import os from 'node:os'
import { Worker } from 'node:worker_threads'
import { benchServer } from './bench-server.mjs'
import { heavyThings } from './heavy.mjs'
import { visitor } from './visitor.mjs'

const LIMIT_MS = 300
const EVERY_MS = 30
const AT_LEAST_MS = 9000
const p99 = (list) => list.toSorted((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * 0.99))]
const slowest = (times) => Object.fromEntries(Object.entries(times).map(([k, list]) => [k, p99(list)]))
const each = (of) =>
  Object.entries(of)
    .map(([k, ms]) => `${k} ${ms.toFixed(0)}`)
    .join(', ')
const pause = (ms) => new Promise((done) => setTimeout(done, ms))

export async function benchApart(root, only) {
  // Whoever sends has a machine of his own; here he gives way to the one that is measured.
  if (process.platform === 'linux') os.setPriority(0, 15)
  const { url: at, up, stop } = await benchServer(root, 'apart')
  let prober
  try {
    await up
    const me = visitor(at)
    await me.signIn()
    const { record } = (await me.ask('GET', '/commissions/reed-warden')).json()
    const issued = await me.ask('POST', '/commissions/reed-warden/handoffs')
    const token = issued.json().link.split('/').pop()
    const heavy = heavyThings(root, { record, token })

    prober = new Worker(new URL('./prober.mjs', import.meta.url), {
      workerData: { url: `${at}/api`, headers: me.headers(), commission: 'crosswind', every: EVERY_MS },
    })
    const told = () =>
      new Promise((done) => {
        prober.once('message', done)
        prober.postMessage('tell')
      })
    // Warm, as a shop is in the middle of its day.
    await pause(15_000)
    await told()
    await pause(AT_LEAST_MS)
    // Between the heavy things there is more of it: a machine has its moods.
    const quiet = {}
    const idleSoFar = async () => {
      for (const [k, list] of Object.entries((await told()).times)) quiet[k] = [...(quiet[k] ?? []), ...list]
    }
    await idleSoFar()
    for (const [name, make] of Object.entries(heavy)) {
      if (only && !name.includes(only)) continue
      const doing = await make(me)
      const statuses = new Set()
      const small = {}
      const refused = []
      let [times, took] = [0, 0]
      // What is measured is asked while it is worked on, and only then.
      while (took < AT_LEAST_MS) {
        await told()
        const began = performance.now()
        statuses.add(await doing())
        took += performance.now() - began
        // What was asked in its last moment is answered.
        await pause(120)
        const said = await told()
        for (const [k, list] of Object.entries(said.times)) small[k] = [...(small[k] ?? []), ...list]
        refused.push(...said.refused)
        times++
        await pause(300)
      }
      const all = p99(Object.values(small).flat())
      const beside = `${times}×, ${(took / times / 1000).toFixed(1)} s, ${[...new Set([...statuses].join('/').split('/'))].join(' ')}`
      const turned = refused.length ? `; ${refused.length} REFUSED: ${refused[0]}` : ''
      console.log(
        `small requests beside ${name} (${beside}): p99 ${all.toFixed(0)} of ${LIMIT_MS} ms, ratio ${(LIMIT_MS / all).toFixed(1)}; of twice idle, ratio ${((2 * p99(Object.values(quiet).flat())) / all).toFixed(1)} (${each(slowest(small))})${turned}`,
      )
      await pause(1500)
      await told()
      await pause(2500)
      await idleSoFar()
    }
    console.log(
      `small requests, p99, nothing else going on: ${p99(Object.values(quiet).flat()).toFixed(0)} ms (${each(slowest(quiet))})`,
    )
  } finally {
    await prober?.terminate()
    await stop()
  }
}
