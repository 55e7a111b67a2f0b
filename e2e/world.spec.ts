import type { Page } from '@playwright/test'
import { readCommission } from '../core/src/import'
import { STATIONS } from '../core/src/judge'
import type { Commission } from '../core/src/record'
import { leaves, put } from '../core/test/odd'
import { change, expect, issued, open, signIn, test } from './bench'

/** A record in which every text is the same one, as far as its schema lets it. */
function sameText(record: Commission, text: string): Commission {
  let where = leaves(record, 'string').filter(([first]) => !['format', 'id', 'job', 'purpose'].includes(String(first)))
  for (;;) {
    const read = readCommission(JSON.stringify(put(put(record, where, text), [['title']], text.slice(0, 120))))
    if (read.ok) return read.record
    const wrong = read.problems.map((p) => `${p.path}/`)
    const left = where.filter((path) => !wrong.some((w) => `/${path.join('/')}/`.startsWith(w)))
    if (left.length === where.length) throw new Error(JSON.stringify(read.problems.slice(0, 3)))
    where = left
  }
}
/** What stands beyond the right edge of the screen, and can be seen. */
const beyond = (page: Page) =>
  page.evaluate(() => {
    const wide = document.documentElement.clientWidth
    const cut = (el: Element | null): boolean =>
      !!el && (getComputedStyle(el).overflowX !== 'visible' || (el.parentElement ? cut(el.parentElement) : false))
    const out = [...document.body.querySelectorAll('*')].filter((el) => {
      const { right, width } = el.getBoundingClientRect()
      return width > 0 && right > wide + 1 && !cut(el) && !el.closest('.sr-only')
    })
    return [
      ...(document.documentElement.scrollWidth > wide ? [`scrolls to ${document.documentElement.scrollWidth}`] : []),
      ...out.slice(0, 4).map((el) => `${el.tagName} ${el.className} ${el.textContent?.slice(0, 40)}`),
    ]
  })

test('a word of 240 letters widens nothing: not the rack, not a screen of the bench, not the client’s page', async ({
  page,
  server,
  browser,
}) => {
  await signIn(page, server.url)
  const url = `${server.url}/api`
  const { csrf } = await (await page.request.get(`${url}/session`)).json()
  const { record } = await (await page.request.get(`${url}/commissions/reed-warden`)).json()
  const { shipped: _shipped, ...onTheRack } = record
  const wide = sameText({ ...onTheRack, id: 'wide-words' }, 'Donaudampfschifffahrt'.repeat(12).slice(0, 240))
  const taken = await page.request.post(`${url}/import`, {
    headers: { 'x-csrf-token': csrf },
    multipart: { file: { name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(wide)) } },
  })
  expect(taken.status(), await taken.text()).toBe(201)
  await page.goto(server.url)
  await page
    .getByText(/Donaudampf/)
    .first()
    .waitFor()
  const wider: Record<string, string[]> = { rack: await beyond(page) }
  for (const s of STATIONS) {
    await open(page, `${server.url}/commission/wide-words/${s}`)
    await page.locator('main section').first().waitFor()
    wider[s] = await beyond(page)
  }
  await page.goto(`${server.url}/film/wide-words/rw`)
  await page.getByRole('timer').waitFor()
  wider.film = await beyond(page)
  const link = await issued(page, server.url, 'wide-words')
  const client = await browser.newPage({ viewport: { width: 390, height: 800 } })
  await client.goto(`${server.url}${link}`)
  await expect(client.locator('main')).toContainText(/Donaudampf/)
  await client.getByRole('heading').nth(3).waitFor()
  wider.client = await beyond(client)
  await client.evaluate(() => {
    for (const d of document.querySelectorAll('details')) d.open = true
  })
  wider.unfolded = await beyond(client)
  expect(Object.entries(wider).filter(([, found]) => found.length)).toEqual([])
  await client.close()
})

test('what is written from right to left begins at the right, on the client’s page as at the bench', async ({
  page,
  server,
}) => {
  const said = 'תודה על הסבלנות, והנה החרב שלך (גרסה 2).'
  await signIn(page, server.url)
  await change(page, server.url, 'reed-warden', () => [{ op: 'set', at: '/handoff/words', value: said }])
  await page.goto(server.url + (await issued(page, server.url, 'reed-warden')))
  const words = page.getByText(said)
  await words.waitFor()
  const at = await words.evaluate((el) => {
    const range = document.createRange()
    range.selectNodeContents(el)
    const [text, box] = [range.getBoundingClientRect(), el.getBoundingClientRect()]
    return { left: text.left - box.left, right: box.right - text.right }
  })
  expect(at.right).toBeLessThan(2)
  expect(at.left).toBeGreaterThan(20)
})
