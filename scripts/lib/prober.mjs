// Asks small things of a server at a steady pace, on a thread of its own, and tells how long each answer took.
import { Agent, request } from 'node:http'
import { parentPort, workerData } from 'node:worker_threads'

const { url, headers, commission, every } = workerData
const lines = new Agent({ keepAlive: true })
const ask = (method, path, body) =>
  new Promise((done, fail) => {
    const sent = request(
      `${url}${path}`,
      { method, agent: lines, headers: { ...headers, 'content-type': 'application/json' } },
      (r) => {
        const got = []
        r.on('data', (b) => got.push(b))
        r.on('end', () => done({ status: r.statusCode, text: Buffer.concat(got).toString() }))
      },
    )
    sent.on('error', fail)
    sent.end(body)
  })
/** How long each kind took. */
let times = {}
let refused = []
let base = 0
let n = 0
let typing = false
const KINDS = {
  session: () => ask('GET', '/session'),
  changes: () => ask('GET', `/commissions/${commission}/changes?after=${base}`),
  rack: () => ask('GET', '/rack'),
  // As one types: the next word is sent when the last one is there.
  word: async () => {
    if (typing) return undefined
    typing = true
    const r = await ask(
      'PATCH',
      `/commissions/${commission}`,
      JSON.stringify({ base, ops: [{ op: 'set', at: '/brief', value: `word ${n}` }] }),
    ).finally(() => (typing = false))
    if (r.status === 200) base = JSON.parse(r.text).revision
    return r
  },
}
const NAMES = Object.keys(KINDS)
base = JSON.parse((await ask('GET', `/commissions/${commission}`)).text).revision
// At its moment whether or not the last answer is there: a server that stands still is asked on.
setInterval(async () => {
  const began = performance.now()
  const kind = NAMES[n++ % NAMES.length]
  const r = await KINDS[kind]().catch((e) => ({ status: 0, text: e.message }))
  if (!r) return
  const list = (times[kind] ??= [])
  list.push(performance.now() - began)
  if (r.status !== 200) refused.push(`${kind}: ${r.status} ${r.text.slice(0, 160)}`)
}, every)
parentPort.on('message', () => {
  parentPort.postMessage({ times, refused })
  times = {}
  refused = []
})
