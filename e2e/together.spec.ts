import { expect, saved, signIn, test } from './bench'
import { type } from './hands'

test('a lost connection keeps the work and sends it later; two makers do not overwrite each other', async ({
  page,
  server,
  browser,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/first-lantern/brief`)
  await page.getByLabel('Brief', { exact: true }).waitFor()
  await page.context().setOffline(true)
  await page.getByLabel('Brief', { exact: true }).fill('Written without a connection.')
  await page.getByLabel('Brief', { exact: true }).blur()
  await page.getByText(/no connection · \d+ kept here/).waitFor()
  await page.context().setOffline(false)
  await saved(page)
  const other = await browser.newPage()
  await signIn(other, server.url)
  await other.goto(`${server.url}/commission/first-lantern/brief`)
  await other.getByLabel('Country').waitFor()
  expect(
    (await other.getByLabel('Brief', { exact: true }).inputValue()) === 'Written without a connection.',
    'what was kept arrived',
  ).toBeTruthy()
  await type(other, 'Country', 'the islands')
  await saved(other)
  await type(page, 'Contact', 'by the ferry')
  await saved(page)
  // Nothing of the two changes touches the other: both are there, and nobody was asked.
  await expect(page.getByLabel('Country')).toHaveValue('the islands')
  await page.reload()
  await expect(page.getByLabel('Country')).toHaveValue('the islands')
  await expect(page.getByLabel('Contact')).toHaveValue('by the ferry')
  // Both write the same field: the second is asked, and neither is lost until he answers.
  await type(other, 'Country', 'the far islands')
  await saved(other)
  await type(page, 'Country', 'the near islands')
  await page.getByText(/country: yours is “the near islands”; Maren saved “the far islands” meanwhile/i).waitFor()
  await page.reload()
  await page.getByText(/yours is “the near islands”/i).waitFor()
  await expect(page.getByLabel('Country')).toHaveValue('the far islands')
  await page.getByRole('button', { name: 'Use mine' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Country')).toHaveValue('the near islands')
  await expect(page.getByLabel('Contact')).toHaveValue('by the ferry')
  // What he does shows here by itself, and undoing one's own touches nothing of it.
  await type(page, 'Contact', 'by the bridge')
  await saved(page)
  await expect(other.getByLabel('Contact')).toHaveValue('by the bridge', { timeout: 15_000 })
  await type(other, 'Contact', 'by boat')
  await saved(other)
  await expect(page.getByLabel('Contact')).toHaveValue('by boat', { timeout: 15_000 })
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await page.getByText(/stays: Maren has changed the same since/).waitFor()
  await expect(page.getByLabel('Contact')).toHaveValue('by boat')
  await other.close()
})

test('two tabs of one maker: what the first kept without a connection is not thrown away by the second', async ({
  page,
  server,
  context,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/crosswind/brief`)
  await page.getByLabel('Country').waitFor()
  const second = await context.newPage()
  await second.goto(`${server.url}/commission/crosswind/brief`)
  await second.getByLabel('Contact').waitFor()
  await context.setOffline(true)
  await type(page, 'Country', 'first tab')
  await type(second, 'Contact', 'second tab')
  for (const p of [page, second]) await p.getByText(/no connection · \d+ kept here/).waitFor()
  // The first is closed with its work still here; a third tab finds it.
  await page.close()
  await context.setOffline(false)
  await saved(second)
  const third = await context.newPage()
  await third.goto(`${server.url}/commission/crosswind/brief`)
  await expect(third.getByLabel('Country')).toHaveValue('first tab')
  await expect(third.getByLabel('Contact')).toHaveValue('second tab')
  await saved(third)
})

test('a reply that was lost: another tab reads on, the first is reloaded without a connection, and what it sent is there once', async ({
  page,
  context,
  server,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/first-lantern/brief`)
  const wish = page.getByLabel('a wish, one per line')
  await wish.waitFor()
  // The server carries it out; that it has never comes.
  let sent = 0
  await page.route('**/api/commissions/first-lantern', async (route) => {
    if (route.request().method() !== 'PATCH') return route.continue()
    if (!sent++) await route.fetch()
    await route.abort()
  })
  await wish.fill('Sent, and never answered')
  await wish.press('Enter')
  await expect.poll(() => sent).toBeGreaterThan(0)
  await page.getByText(/no connection · \d+ kept here/).waitFor()
  const second = await context.newPage()
  await second.goto(`${server.url}/commission/first-lantern/brief`)
  await expect(second.getByText('Sent, and never answered')).toHaveCount(1)
  await type(second, 'Country', 'read on')
  await saved(second)
  // The first begins again from what the second has read, and sends the same change on top of it.
  await page.route('**/api/commissions/first-lantern', (route) =>
    route.request().method() === 'GET' ? route.abort() : route.fallback(),
  )
  await page.reload()
  await wish.waitFor()
  await expect(page.getByText('Sent, and never answered')).toHaveCount(1)
  await page.unrouteAll()
  await saved(page)
  await expect(page.getByLabel('Country')).toHaveValue('read on')
  await expect(page.getByText('Sent, and never answered')).toHaveCount(1)
  await expect(page.getByText(/yours is/)).toHaveCount(0)
  await second.reload()
  await expect(second.getByText('Sent, and never answered')).toHaveCount(1)
})

test('a backup is put back: two open tabs begin anew, and what was not sent stands beside what is there', async ({
  page,
  context,
  server,
}) => {
  const at = `${server.url}/commission/crosswind/brief`
  await server.reset()
  await signIn(page, server.url)
  await page.goto(at)
  const country = page.getByLabel('Country')
  await country.waitFor()
  const before = await country.inputValue()
  await type(page, 'Country', 'saved after the backup')
  await saved(page)
  const second = await context.newPage()
  await second.goto(at)
  await expect(second.getByLabel('Country')).toHaveValue('saved after the backup')
  await context.setOffline(true)
  await type(page, 'Contact', 'never sent')
  await page.getByText(/no connection · 1 kept here/).waitFor()
  await server.reset()
  await signIn(page, server.url)
  await context.setOffline(false)
  for (const tab of [page, second]) await expect(tab.getByLabel('Country')).toHaveValue(before)
  await page.getByText(/contact: yours is “never sent”; the backup that was put back has/i).waitFor()
  await expect(page.getByLabel('Contact')).not.toHaveValue('never sent')
  await page.getByRole('button', { name: 'Use mine' }).click()
  await saved(page)
  await expect(second.getByLabel('Contact')).toHaveValue('never sent')
  await page.reload()
  await expect(page.getByLabel('Contact')).toHaveValue('never sent')
})

test('signed out in the middle of work: sign-in again sends it', async ({ page, server }) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/crosswind/brief`)
  await page.getByLabel('Country').waitFor()
  // As another tab does.
  await page.evaluate(async () => {
    const { csrf } = await (await fetch('/api/session')).json()
    await fetch('/api/session', { method: 'DELETE', headers: { 'x-csrf-token': csrf } })
  })
  await type(page, 'Country', 'after the session')
  await page.getByRole('heading', { name: 'Your session has ended' }).waitFor()
  await page.getByLabel('Sign-in name').fill('maren')
  await page.getByLabel('Password').fill('brass-and-light')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Country')).toHaveValue('after the session')
})

// Only a browser that keeps pages of its own can open them without a server.
test.describe('in a browser of its own', () => {
  test.use({ firstVisit: true })
  test('the server is stopped: the open commission and the filming view are opened again, and work waits for it', async ({
    page,
    server,
  }) => {
    await signIn(page, server.url)
    await page.goto(`${server.url}/film/reed-warden/rw`)
    await page.getByRole('timer').waitFor()
    await page.goto(`${server.url}/commission/reed-warden/brief`)
    await page.getByLabel('Country').waitFor()
    // The worker that keeps the page is told of what was loaded before it was there.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await page.waitForTimeout(3500)
    await server.kill()
    await page.reload()
    await page.getByLabel('Country').waitFor()
    await page.getByText(/no connection/).waitFor()
    await type(page, 'Country', 'while it was away')
    await page.getByText(/no connection · 1 kept here/).waitFor()
    await page.goto(`${server.url}/film/reed-warden/rw`)
    await page.getByRole('timer').waitFor()
    await page.goto(`${server.url}/commission/reed-warden/brief`)
    await expect(page.getByLabel('Country')).toHaveValue('while it was away')
    await server.start()
    await saved(page)
    await page.reload()
    await expect(page.getByLabel('Country')).toHaveValue('while it was away')
    await saved(page)
  })
})
