// The saber in play with six hundred LEDs, in a browser that draws without a graphics card: how many frames come late.
import { chromium } from 'playwright-core'
import { benchServer } from './bench-server.mjs'
import { CHROMIUM } from './chromium.mjs'

const SECONDS = 10
const LEDS = 600
/** A frame is late when the next one comes after more than one and a half of its time. */
const FRAME = 1000 / 60

export async function benchFrames(root) {
  const { url, up, stop } = await benchServer(root, 'frames')
  const browser = await chromium.launch(CHROMIUM)
  try {
    await up
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(url)
    await page.getByLabel('Sign-in name').fill('maren')
    await page.getByLabel('Password').fill('brass-and-light')
    await page.keyboard.press('Enter')
    await page.getByRole('heading', { name: 'On the rack' }).waitFor()
    // The longest of the demo sabers' blades gets as many LEDs as no blade has.
    await page.evaluate(async (leds) => {
      const { csrf } = await (await fetch('/api/session')).json()
      const { record, revision } = await (await fetch('/api/commissions/reed-warden')).json()
      const blade = record.sabers[0].blades.find((b) => b.kind === 'pixel')
      const socket = record.sabers[0].hilt.sockets.find((k) => k.id === blade.socket)
      const lit = (blade.length.value - socket.depth.value) / 1000
      const at = `/sabers/@${record.sabers[0].id}/blades/@${blade.id}`
      const ops = [{ op: 'set', at: `${at}/density/value`, value: (leds + 0.5) / lit, was: blade.density.value }]
      if (blade.strips.value !== 1) ops.push({ op: 'set', at: `${at}/strips/value`, value: 1, was: blade.strips.value })
      // And it is the dearest to draw: it moves everywhere, spreads, and is seen through a tint.
      const stated = (value) => ({ value, source: 'configured' })
      const preset = `/sabers/@${record.sabers[0].id}/presets/@${record.sabers[0].presets[0].id}`
      ops.push({ op: 'set', at: `${preset}/moves`, value: { is: 'unstable', second: stated('#ff4000') } })
      ops.push({ op: 'set', at: `${at}/tint`, value: stated('#ffd0a0') })
      ops.push({ op: 'set', at: `${at}/spreads`, value: { value: 40, unit: 'mm', source: 'measured' } })
      const r = await fetch('/api/commissions/reed-warden', {
        method: 'PATCH',
        headers: { 'content-type': 'application/json', 'x-csrf-token': csrf },
        body: JSON.stringify({ base: revision, change: 'bench-frames', ops }),
      })
      if (!r.ok) throw new Error(`${r.status} ${await r.text()}`)
    }, LEDS)
    await page.goto(`${url}/commission/reed-warden/controls`)
    await page.locator('canvas[data-leds]').waitFor()
    const leds = await page.locator('canvas[data-leds]').getAttribute('data-leds')
    await page.keyboard.press('z')
    await page.waitForTimeout(1000)
    await page.keyboard.down('x')
    await page.waitForTimeout(800)
    const gaps = await page.evaluate(
      (ms) =>
        new Promise((done) => {
          const out = []
          let last = performance.now()
          const from = last
          const frame = (t) => {
            out.push(t - last)
            last = t
            if (t - from < ms) requestAnimationFrame(frame)
            else done(out.slice(1))
          }
          requestAnimationFrame(frame)
        }),
      SECONDS * 1000,
    )
    await page.keyboard.up('x')
    const late = gaps.filter((g) => g > FRAME * 1.5).length
    const share = (100 * late) / gaps.length
    console.log(
      `a lit and locked blade of ${leds} LEDs, ${gaps.length} frames in ${SECONDS} s: ${late} late, ${share.toFixed(2)} % of 1 %, ratio ${share ? (1 / share).toFixed(2) : 'over 100'}`,
    )
  } finally {
    await browser.close()
    await stop()
  }
}
