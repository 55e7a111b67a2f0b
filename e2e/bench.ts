import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BrowserContext, test as base, expect, type Page } from '@playwright/test'
import type { Commission } from '../core/src/record'
// @ts-expect-error a plain script without types, shared with npm run shots
import { CHROMIUM } from '../scripts/lib/chromium.mjs'
// @ts-expect-error a plain script without types, shared with npm run mutate
import { planted } from '../scripts/lib/covered-page.mjs'
// @ts-expect-error a plain script without types, shared with npm test
import { shiftClock } from '../scripts/lib/shift-clock.mjs'
import { type Server, startServer } from '../server/test/harness'

/** By what clock server and page go: its name, where one is, how much later than now it is, and what says so to a process. */
export interface Clock {
  name: string
  zone: string
  shift: number
  env: Record<string, string>
}

const goesBy = async (context: BrowserContext, { shift }: Clock) => {
  await planted(context, () => running)
  if (shift) await context.addInitScript({ content: `(${shiftClock})(globalThis, ${shift})` })
  return context
}

/** A fresh shop for every file of tests, and a page on which nothing may go wrong unseen. */
let usedBy = ''
let running = ''
export const test = base.extend<
  { folder: string; fresh: undefined; quiet: undefined; firstVisit: boolean },
  { server: Server; clock: Clock; visited: BrowserContext }
>({
  clock: [
    { name: 'today', zone: 'UTC', shift: 0, env: {} },
    { option: true, scope: 'worker' },
  ],
  browser: [
    async ({ browser, clock }, use) => {
      const make = browser.newContext.bind(browser)
      browser.newContext = async (how) => goesBy(await make(how), clock)
      await use(browser)
    },
    { scope: 'worker' },
  ],
  // Whether the browser has never been here, and keeps pages for when the server is away.
  firstVisit: [false, { option: true }],
  // A browser that has been here before: it holds the program's files, and between tests nothing else.
  visited: [
    async ({ playwright, clock }, use) => {
      const profile = mkdtempSync(join(tmpdir(), 'nubrin-profile-'))
      const context = await playwright.chromium.launchPersistentContext(profile, {
        ...CHROMIUM,
        ...{ viewport: { width: 1280, height: 800 }, timezoneId: clock.zone, serviceWorkers: 'block' },
      })
      await use(await goesBy(context, clock))
      await context.close()
      rmSync(profile, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  context: async ({ context, visited, firstVisit, server }, use) => {
    if (firstVisit) return use(context)
    const own = visited.pages()
    await use(visited)
    await visited.setOffline(false)
    const tab = own[0]!
    const cdp = await visited.newCDPSession(tab)
    for (const page of visited.pages()) if (!own.includes(page)) await page.close()
    await cdp.send('Storage.clearDataForOrigin', {
      origin: server.url,
      storageTypes: 'cookies,local_storage,indexeddb,cache_storage,service_workers',
    })
    await cdp.detach()
  },
  server: [
    async ({ clock }, use) => {
      const server = await startServer({ NUBRIN_SIGNIN_LIMIT: '500', ...clock.env })
      await use(server)
      await server.stop()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  // biome-ignore lint/correctness/noEmptyPattern: the runner reads what a fixture needs from this pattern
  folder: async ({}, use, info) => {
    const folder = info.outputPath('made')
    mkdirSync(folder, { recursive: true })
    await use(folder)
  },
  quiet: [
    async ({ page }, use) => {
      const faults: string[] = []
      page.on('pageerror', (e) => faults.push(e.message))
      await use(undefined)
      expect(faults).toEqual([])
    },
    { auto: true },
  ],
  fresh: [
    async ({ server }, use, info) => {
      if (usedBy && usedBy !== info.file) await server.reset()
      usedBy = info.file
      running = info.title
      await use(undefined)
    },
    { auto: true },
  ],
})
export { expect }

/** Signed in already; the form is filled in where signing in is what is tried. */
export async function signIn(page: Page, url: string) {
  const answer = await page.request.post(`${url}/api/session`, {
    data: { signIn: 'maren', password: 'brass-and-light' },
  })
  expect(answer.ok()).toBe(true)
}
/** Whoever is signed in changes a commission as it stands. */
export async function change(page: Page, url: string, id: string, ops: (record: Commission) => object[]) {
  const { csrf } = await (await page.request.get(`${url}/api/session`)).json()
  const path = `${url}/api/commissions/${id}`
  const { revision, record } = await (await page.request.get(path)).json()
  const data = { base: revision, ops: ops(record) }
  const set = await page.request.patch(path, { headers: { 'x-csrf-token': csrf }, data })
  expect(set.status(), await set.text()).toBe(200)
}
/** The shop issues a commission as it is, and sets aside by name what stands against it. Gives the link. */
export async function issued(page: Page, url: string, id: string): Promise<string> {
  const { csrf } = await (await page.request.get(`${url}/api/session`)).json()
  const headers = { 'x-csrf-token': csrf }
  const issue = () => page.request.post(`${url}/api/commissions/${id}/handoffs`, { headers })
  const first = await issue()
  if (first.status() !== 409) return (await first.json()).link
  const aside = { who: 'Maren', reason: 'Tried here.', on: '2026-11-24' }
  const waivers = ((await first.json()).open as { key: string }[]).map(({ key }) => ({ key, ...aside }))
  await change(page, url, id, ({ handoff }) => [
    { op: 'set', at: '/handoff/waivers', value: [...handoff.waivers, ...waivers], was: handoff.waivers },
  ])
  return (await (await issue()).json()).link
}
/** Signed in and before the rack. */
export async function atRack(page: Page, url: string) {
  await signIn(page, url)
  await page.goto(url)
  await page.getByRole('heading', { name: 'On the rack' }).waitFor()
}
export const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved')

export const open = async (page: Page, path: string) => {
  await page.goto(path)
  await page.locator('nav[aria-label=Stations]').waitFor()
}

/** Films the page while something is done; the pictures stay with the test's results. */
export async function startFilm(page: Page, folder: string) {
  const cdp = await page.context().newCDPSession(page)
  let frames = 0
  cdp.on('Page.screencastFrame', ({ data, sessionId }) => {
    frames++
    writeFileSync(join(folder, `${String(frames).padStart(4, '0')}.jpg`), Buffer.from(data, 'base64'))
    void cdp.send('Page.screencastFrameAck', { sessionId }).catch(() => undefined)
  })
  await cdp.send('Page.startScreencast', { format: 'jpeg', quality: 60, everyNthFrame: 2 })
  return {
    async stop() {
      await cdp.send('Page.stopScreencast')
      await cdp.detach()
      return frames
    },
  }
}
