import type { Page } from '@playwright/test'
import { expect, open, saved, signIn, test } from './bench'
import { choose, chooseWords, restate } from './hands'

/** What a figure comes to on the screen, as a number. */
async function figure(page: Page, name: RegExp): Promise<number> {
  const text = (await page.getByRole('button', { name }).first().textContent()) ?? ''
  return Number(
    /(-?[\d.,]+)(?=\s*(?:mm|g|A|V|h|W|min|%|N·cm|hours|days|months|years|$))/.exec(text.replace(',', ''))?.[1],
  )
}
test('power: the use changes the runtime, a figure opens to its inputs, and what is missing is named', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/power`)
  const runtime = /^runtime in use/
  const before = await figure(page, runtime)
  await restate(page, 'lit share', '30')
  await expect
    .poll(async () => (await figure(page, runtime)) > 1.6 * before, { message: 'about twice as long' })
    .toBeTruthy()
  await page.getByRole('img', { name: /^Discharge: \d+ minutes to cut-off/ }).waitFor()
  await page.getByRole('button', { name: runtime }).click()
  await page.getByText('∫ dSoC until OCV(soc) − I·R = cut-off').waitFor()
  await page.getByText('internal resistance', { exact: true }).waitFor()
  await page.getByText('3000 mAh').waitFor()
  // The look is chosen, and the light table and the whole follow.
  const steady = await figure(page, /^whole saber in Reed at dawn/)
  await chooseWords(page, 'Preset', 'Warden’s watch')
  await expect
    .poll(async () => (await figure(page, /^whole saber in Warden’s watch/)) !== steady, { message: 'another look' })
    .toBeTruthy()
  // Every way to put it away, its own marked.
  for (const way of ['left on, blade off', 'asleep', 'in deep sleep', 'cell taken out'])
    expect((await page.getByRole('button', { name: new RegExp(way) }).count()) > 0, `${way} is told`).toBeTruthy()
  expect((await page.getByRole('button', { name: /→ ?power cut/ }).count()) === 1, 'its own way is marked').toBeTruthy()
  await choose(page, 'Power is cut by', 'cellOut')
  await page.getByRole('button', { name: /→ ?cell taken out/ }).waitFor()
  await page.getByText(/A way to cut power is fitted but not named/).waitFor()
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await saved(page)
  // Without a cell nothing is guessed.
  await open(page, `${server.url}/commission/first-lantern/power`)
  await page
    .getByText(/cannot be calculated without .*cell/i)
    .first()
    .waitFor()
})
