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
  await page.getByText(/saved this commission meanwhile and changed .*country/i).waitFor()
  await page.getByRole('button', { name: 'Put mine on top of theirs' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Country')).toHaveValue('the near islands')
  await expect(page.getByLabel('Contact')).toHaveValue('by the ferry')
  await other.close()
})
