import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Browser, chromium, type Page } from 'playwright-core'
// @ts-expect-error a plain script without types, shared with npm run shots
import { CHROMIUM } from '../scripts/lib/chromium.mjs'
import { type Server, startServer } from '../server/test/harness'

export interface Bench {
  server: Server
  page: Page
  browser: Browser
  folder: string
}
type Case = [name: string, run: (b: Bench) => Promise<void>]

const cases: Case[] = []
/** Registers a case of the real interface; each runs in a fresh browser context on the same server. */
export const job = (name: string, run: (b: Bench) => Promise<void>) => void cases.push([name, run])

export function must(condition: unknown, what: string): asserts condition {
  if (!condition) throw new Error(what)
}
export async function eventually(what: string, probe: () => Promise<unknown> | unknown, ms = 8000) {
  const end = Date.now() + ms
  let last: unknown
  while (Date.now() < end) {
    try {
      last = await probe()
      if (last) return
    } catch (e) {
      last = e
    }
    await new Promise((r) => setTimeout(r, 80))
  }
  throw new Error(`not within ${ms} ms: ${what} (${last instanceof Error ? last.message : String(last)})`)
}

export async function signIn(page: Page, url: string) {
  await page.goto(url)
  await page.getByLabel('Sign-in name').fill('maren')
  await page.getByLabel('Password').fill('brass-and-light')
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name: 'On the rack' }).waitFor()
}
export const saved = (page: Page) =>
  eventually('saved', async () => (await page.locator('[data-save]').getAttribute('data-save')) === 'saved')

/** Films the page while something is done; the pictures stay in the case's folder until it ends. */
export async function startFilm({ page, folder }: Bench, name: string) {
  const cdp = await page.context().newCDPSession(page)
  const started = Date.now()
  let frames = 0
  cdp.on('Page.screencastFrame', ({ data, sessionId }) => {
    frames++
    writeFileSync(join(folder, `${name}-${String(frames).padStart(4, '0')}.jpg`), Buffer.from(data, 'base64'))
    void cdp.send('Page.screencastFrameAck', { sessionId }).catch(() => undefined)
  })
  await cdp.send('Page.startScreencast', { format: 'jpeg', quality: 60, everyNthFrame: 2 })
  return {
    async stop() {
      const seconds = (Date.now() - started) / 1000
      await cdp.send('Page.stopScreencast')
      await cdp.detach()
      return { seconds, frames }
    },
  }
}

await import('./jobs')

const server = await startServer({ NUBRIN_SIGNIN_LIMIT: '500' })
let passed = 0
let failed = 0
const only = process.argv[2]
for (const [name, run] of cases.filter(([n]) => !only || n.includes(only))) {
  const folder = mkdtempSync(join(tmpdir(), 'nubrin-e2e-'))
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const faults: string[] = []
  page.on('pageerror', (e) => faults.push(e.message))
  try {
    await run({ server, page, browser, folder })
    must(!faults.length, `errors on the page: ${faults.join('; ')}`)
    console.log(`  ✓ ${name}`)
    passed++
  } catch (e) {
    failed++
    console.log(`  ✗ ${name}\n    ${(e as Error).message}`)
    await page.screenshot({ path: join(tmpdir(), `nubrin-failed-${failed}.png`) }).catch(() => undefined)
  }
  await browser.close()
  rmSync(folder, { recursive: true, force: true })
}
await server.stop()
console.log(`interface: ${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
