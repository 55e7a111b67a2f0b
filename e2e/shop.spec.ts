import { createHmac } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { Browser, Page } from '@playwright/test'
import { atRack, expect, open, saved, signIn, test } from './bench'
import { choose, type } from './hands'

/** The six digits an authenticator shows, by RFC 6238 and RFC 4648. */
function codeOf(secret: string, at: number): string {
  const bits = [...secret]
    .map((c) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(c).toString(2).padStart(5, '0'))
    .join('')
  const key = Buffer.from(bits.match(/.{8}/g)!.map((b) => Number.parseInt(b, 2)))
  const step = Buffer.alloc(8)
  step.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)))
  const mac = createHmac('sha1', key).update(step).digest()
  return String((mac.readUInt32BE(mac.at(-1)! & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0')
}
const visit = async (browser: Browser, url: string) => {
  const page = await (await browser.newContext()).newPage()
  await page.goto(url)
  return page
}
const command = async (page: Page, words: string) => {
  await page.getByRole('button', { name: 'more' }).click()
  await page.getByRole('menuitem', { name: words }).click()
}
const block = (page: Page, name: string) => page.getByRole('region', { name })

test('somebody is invited, comes in as a helper, may not do what owners do, and leaves', async ({
  page,
  server,
  browser,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/shop`)
  const people = block(page, 'People')
  await people.getByLabel('Invite').fill('Ilse')
  await choose(page, 'Role', 'helper')
  await people.getByRole('button', { name: 'create a link' }).click()
  const link = await page.getByLabel('The link').inputValue()
  await page.keyboard.press('Escape')
  await expect(people.getByText(/Ilse: invited as helper until/)).toBeVisible()

  const hers = await visit(browser, link)
  await hers.getByText(/Ilse, you join as/).waitFor()
  await hers.getByLabel('Sign-in name').fill('ilse')
  await hers.getByLabel(/^Password/).fill('short')
  await hers.getByLabel('Repeat the password').fill('other')
  await hers.getByRole('button', { name: 'Come in' }).click()
  await expect(hers.getByText('Ten characters or more.')).toBeVisible()
  await expect(hers.getByText('The passwords do not match.')).toBeVisible()
  for (const label of [/^Password/, 'Repeat the password']) await hers.getByLabel(label).fill('a lamp in the reeds')
  await hers.getByRole('button', { name: 'Come in' }).click()
  await hers.getByRole('heading', { name: 'On the rack' }).waitFor()
  // The link has done its work.
  const again = await visit(browser, link)
  await expect(again.getByText(/no longer|not valid|used/i)).toBeVisible()
  await again.context().close()

  await hers.goto(`${server.url}/shop`)
  await expect(block(hers, 'Upkeep')).toBeVisible()
  await expect(block(hers, 'People')).toHaveCount(0)
  const settings = block(hers, 'About the shop')
  await expect(settings.getByText('Only an owner can change this.')).toBeVisible()
  await expect(settings.getByRole('definition').first()).toHaveText('Hollowmere Hiltworks')
  await expect(hers.getByText('export the whole shop')).toHaveCount(0)
  await expect(hers.getByRole('button', { name: 'erase' })).toHaveCount(0)
  await open(hers, `${server.url}/commission/crosswind/brief`)
  await type(hers, 'Country', 'the fens')
  await saved(hers)

  await page.reload()
  await people
    .getByRole('listitem')
    .filter({ hasText: 'Ilse' })
    .getByRole('button', { name: 'remove', exact: true })
    .click()
  await page.getByRole('button', { name: 'Yes' }).click()
  await expect(people.getByText('ilse', { exact: true })).toHaveCount(0)
  await type(hers, 'Country', 'the marsh')
  await hers.getByRole('heading', { name: 'Your session has ended' }).waitFor()
  await hers.getByLabel('Sign-in name').fill('ilse')
  await hers.getByLabel('Password').fill('a lamp in the reeds')
  await hers.keyboard.press('Enter')
  await expect(hers.getByRole('alert').last()).toContainText('do not belong together')
  await hers.context().close()
  // What she did stays under her name.
  await open(page, `${server.url}/commission/crosswind/brief`)
  await expect(page.getByLabel('Country')).toHaveValue('the fens')
  await command(page, 'Who changed what')
  await expect(page.getByRole('dialog').getByText('Ilse')).toBeVisible()
})

test('a second factor is asked for once it is on, and another session is ended', async ({
  page,
  server,
  browser,
  clock,
}) => {
  const now = () => Date.now() + clock.shift
  await signIn(page, server.url)
  await page.goto(`${server.url}/shop`)
  const myself = block(page, 'Maren: sign-in')
  await myself.getByRole('button', { name: 'turn it on' }).click()
  const secret = (await page.getByText(/^or type /).textContent())!.slice(8).trim()
  await page.getByLabel('Your password').fill('brass-and-light')
  await page.getByLabel('The code it shows now').fill('000000')
  await page.getByRole('button', { name: 'Confirm' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toBeVisible()
  await page.getByLabel('The code it shows now').fill(codeOf(secret, now()))
  await page.getByRole('button', { name: 'Confirm' }).click()
  await expect(myself.getByText('Signing in also asks for a code')).toBeVisible()

  const other = await visit(browser, server.url)
  await other.getByLabel('Sign-in name').fill('maren')
  await other.getByLabel('Password').fill('brass-and-light')
  await other.keyboard.press('Enter')
  // The step of the code that turned it on is used up: the next one is waited for by asking for it.
  await other.getByLabel('Code from your authenticator').fill(codeOf(secret, now() + 30_000))
  await other.keyboard.press('Enter')
  await other.getByRole('heading', { name: 'On the rack' }).waitFor()

  await page.reload()
  const sessions = block(page, 'Signed in')
  const each = sessions.getByRole('listitem')
  await expect.poll(() => each.count()).toBeGreaterThanOrEqual(2)
  for (let n = await each.count(); n > 1; n--) {
    await sessions.getByRole('button', { name: 'sign out' }).and(page.locator(':enabled')).first().click()
    await expect(each).toHaveCount(n - 1)
  }
  await other.reload()
  await other.getByRole('heading', { name: 'Nubrin' }).waitFor()
  await other.context().close()

  await myself.getByRole('button', { name: 'turn it off' }).click()
  await page.getByLabel('Your password').fill('brass-and-light')
  // The code that signed in is used up.
  await page.getByLabel('Code from your authenticator').fill(codeOf(secret, now() + 30_000))
  await page.getByRole('button', { name: 'Confirm' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toBeVisible()
  // As a minute later.
  await server.sql('UPDATE users SET factor_used = NULL WHERE sign_in = ?', ['maren'])
  await page.getByRole('button', { name: 'Confirm' }).click()
  await expect(myself.getByRole('button', { name: 'turn it on' })).toBeVisible()
})

test('what the shop says of itself is kept, and refused with its field', async ({ page, server }) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/shop`)
  const settings = block(page, 'About the shop')
  await settings.getByLabel('Contact').fill('bell at the lock house')
  await settings.getByLabel('Web address for client links').fill('records.example')
  await settings.getByRole('button', { name: 'Save' }).click()
  await expect(settings.getByText('Like https://records.example')).toBeVisible()
  await settings.getByLabel('Web address for client links').fill('https://records.example')
  await settings.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Kept.')).toBeVisible()
  await page.reload()
  await expect(settings.getByLabel('Contact')).toHaveValue('bell at the lock house')
})

test('who changed what: one deed is put back, then all since a revision', async ({ page, server }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/first-lantern/brief`)
  const was = await page.getByLabel('Contact').inputValue()
  await type(page, 'Country', 'the delta')
  await saved(page)
  await type(page, 'Contact', 'by raven')
  await saved(page)
  await command(page, 'Who changed what')
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('by raven')).toBeVisible()
  await dialog.locator('li li').filter({ hasText: 'the delta' }).getByRole('button', { name: 'put back' }).click()
  await saved(page)
  await expect(page.getByLabel('Country')).not.toHaveValue('the delta')
  await expect(page.getByLabel('Contact')).toHaveValue('by raven')
  await command(page, 'Who changed what')
  await dialog.getByRole('button', { name: 'back to here' }).last().click()
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Contact')).toHaveValue(was)
})

test('a phone at the bench sends a photo by a link, and what is no picture is refused by name', async ({
  page,
  server,
  browser,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/crosswind/brief`)
  await command(page, 'Photos from a phone')
  const link = await page.getByText(/\/up\//).textContent()
  // The shop's own address may be another than the one this server has here.
  const phone = await visit(browser, `${server.url}${new URL(link!).pathname}`)
  await phone.setViewportSize({ width: 390, height: 800 })
  await phone.getByRole('heading', { name: 'Crosswind' }).waitFor()
  await phone.locator('input[type=file]').setInputFiles([
    { name: 'bench.png', mimeType: 'image/png', buffer: readFileSync('docs/screenshots/rack.png') },
    { name: 'bench.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') },
  ])
  await expect(phone.getByRole('status')).toHaveText('1 photo is with the commission.')
  await expect(phone.getByRole('alert')).toContainText('bench.jpg')
  await phone.context().close()
})

test('a rack of hundreds stays light, and what is not yet loaded comes as one scrolls', async ({ page, server }) => {
  await server.sql(
    `INSERT INTO commissions (id, shop_id, client_id, title, job, deadline, shipped, revision, record, saved_at, saved_by, search, place, due)
     SELECT CONCAT('many-', seq), shop_id, client_id, CONCAT('Many ', seq), job, deadline, NULL, 1,
       JSON_SET(record, '$.id', CONCAT('many-', seq), '$.title', CONCAT('Many ', seq)), saved_at, saved_by, CONCAT('Many ', seq), 'open', '2031-01-01'
     FROM seq_1_to_300 JOIN commissions k ON k.id = 'crosswind'`,
  )
  await atRack(page, server.url)
  const elements = () => page.evaluate(() => document.querySelectorAll('*').length)
  const counts = [await elements()]
  const shown = new Set<string>()
  await page
    .getByRole('link', { name: /Many \d+/ })
    .first()
    .waitFor()
  for (let i = 0; i < 40 && shown.size <= 25; i++) {
    await page.mouse.wheel(0, 3000)
    await page.waitForTimeout(250)
    counts.push(await elements())
    for (const t of await page.getByRole('link', { name: /Many \d+/ }).allTextContents())
      shown.add(/Many \d+/.exec(t)![0])
  }
  expect(Math.max(...counts)).toBeLessThanOrEqual(3000)
  expect(shown.size).toBeGreaterThan(25)
})
