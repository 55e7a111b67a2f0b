// A handoff packed while others work: how long it takes, what small requests feel of it, and when the client's page is in hand.
import { chromium } from 'playwright-core'
import { benchServer } from './bench-server.mjs'
import { CHROMIUM } from './chromium.mjs'

const sorted = (list) => list.toSorted((a, b) => a - b)
const median = (list) => sorted(list)[list.length >> 1]
const p99 = (list) => sorted(list)[Math.min(list.length - 1, Math.floor(list.length * 0.99))]
const ms = (n) => `${n.toFixed(1)} ms`
/** Limits: a pack, small requests beside it, the page. */
const [PACK, BESIDE, PAGE] = [2000, 2, 1000]

export async function benchPack(root) {
  const { url: at, up, stop } = await benchServer(root, 'pack')
  const browser = await chromium.launch(CHROMIUM)
  try {
    await up
    const url = `${at}/api`
    const signed = await fetch(`${url}/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ signIn: 'maren', password: 'brass-and-light' }),
    })
    const cookie = signed.headers.getSetCookie()[0].split(';')[0]
    const { csrf } = await signed.json()
    const ask = async (method, path, body) => {
      const r = await fetch(`${url}${path}`, {
        method,
        headers: { cookie, 'x-csrf-token': csrf, ...(body ? { 'content-type': 'application/json' } : {}) },
        ...(body ? { body: JSON.stringify(body) } : {}),
      })
      if (!r.ok) throw new Error(`${r.status} ${path} ${(await r.text()).slice(0, 200)}`)
      return r
    }
    const small = async () => {
      const t = performance.now()
      await (await ask('GET', '/commissions/ember-fair/changes?after=0')).text()
      return performance.now() - t
    }
    /** Small requests at the pace of a few who type, for as long as something lasts. */
    const beside = async (until) => {
      const all = []
      while (!until()) {
        all.push(await small())
        await new Promise((r) => setTimeout(r, 4))
      }
      return all
    }
    // As a server is that has been up for a minute.
    await new Promise((r) => setTimeout(r, 9000))
    for (let i = 0; i < 400; i++) await small()
    const end = performance.now() + 3000
    const idle = await beside(() => performance.now() > end)
    const link = async () => {
      const { revision } = await (await ask('GET', '/commissions/reed-warden')).json()
      const ops = [{ op: 'set', at: '/handoff/words', value: `Packed at ${performance.now()}` }]
      await ask('PATCH', '/commissions/reed-warden', { base: revision, ops })
      return (await ask('POST', '/commissions/reed-warden/handoffs')).json()
    }
    // Nothing of it is kept from before: every pack is of a record that was just changed.
    const packs = []
    let done = false
    const work = (async () => {
      for (let i = 0; i < 8; i++) {
        const t = performance.now()
        const { number } = await link()
        await (await ask('GET', `/commissions/reed-warden/handoffs/${number}/archive.zip`)).arrayBuffer()
        packs.push(performance.now() - t)
      }
      done = true
    })()
    const busy = await beside(() => done)
    await work
    console.log(
      `a handoff issued and packed (record, PDF, page, captions, card, files): first ${ms(packs[0])}, then ${ms(median(packs.slice(1)))} of ${PACK} ms, ratio ${(PACK / median(packs.slice(1))).toFixed(1)}`,
    )
    console.log(
      `small requests beside it, p99: ${ms(p99(busy))} against ${ms(p99(idle))} idle, ${(p99(busy) / p99(idle)).toFixed(1)} of ${BESIDE} times, ratio ${((BESIDE * p99(idle)) / p99(busy)).toFixed(1)}`,
    )
    const { link: path } = await link()
    const opened = []
    for (let i = 0; i < 7; i++) {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
      const page = await context.newPage()
      const t = performance.now()
      await page.goto(`${at}${path}`, { waitUntil: 'commit' })
      const key = page.getByRole('button', { name: 'front button', exact: true })
      const box = await key.boundingBox()
      await page.mouse.move(box.x + 20, box.y + 20)
      await page.mouse.down()
      await page.locator('button[aria-pressed=true]', { hasText: 'front button' }).waitFor()
      opened.push(performance.now() - t)
      await page.mouse.up()
      await page.getByText('Its blade is lit.').waitFor()
      await context.close()
    }
    console.log(
      `the client’s page, opened anew until a button answers the finger: first ${ms(opened[0])}, then ${ms(median(opened.slice(1)))} of ${PAGE} ms, ratio ${(PAGE / median(opened.slice(1))).toFixed(1)}`,
    )
  } finally {
    await browser.close()
    await stop()
  }
}
