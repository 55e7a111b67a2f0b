import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Browser, Page } from 'playwright-core'
import type { Server } from '../server/test/harness'

export interface Bench {
  server: Server
  page: Page
  browser: Browser
  folder: string
}
type Case = [name: string, run: (b: Bench) => Promise<void>]

/** All cases, in the order they were registered. */
export const cases: Case[] = []
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
