import { readFileSync } from 'node:fs'
import { expect, signIn, test } from './bench'
import { tapKey, tapOn } from './hands'

test('the drawn saber is pressed, lit, held and killed; practice says what was different', async ({ page, server }) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/reed-warden/controls`)
  const now = page.getByRole('region', { name: 'What it is in' })
  const came = page.getByRole('region', { name: 'What happened' })
  await expect(now).toContainText('blade off')
  /** How bright the middle of the blade is, as it is drawn: its alpha. */
  const shines = () =>
    page.evaluate(() => {
      const c = document.querySelector<HTMLCanvasElement>('canvas[data-leds]')!
      const at = c.getContext('2d')!.getImageData(Math.round(c.width * 0.7), 133, 1, 1).data
      return at[3]
    })
  await expect(page.locator('canvas[data-leds]')).toHaveAttribute('data-leds', /^1\d\d$/)
  expect(await shines()).toBe(0)

  // The button on the drawing, with the pointer.
  await tapOn(page.getByRole('button', { name: 'press front button on the drawing' }))
  await expect(now).toContainText('blade lit')
  await expect(came).toContainText('ignite')
  await expect.poll(shines).toBeGreaterThan(200)

  // Held by its key: the lock lasts as long.
  await page.keyboard.down('x')
  await expect(came).toContainText('lock, for as long as it is held')
  await page.keyboard.up('x')
  await expect(came).toContainText('lock: released')

  // The blade is struck with the pointer; the pose is taken by a key.
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('radio', { name: 'blade up' })).toBeChecked()
  await expect(page.getByRole('region', { name: 'Possible from here' })).toContainText('play a track')
  await page.keyboard.press('ArrowDown')

  // Without its cell no power and dark, and says why.
  await page.getByRole('checkbox', { name: /^Cell 18650/ }).click()
  await expect(now).toContainText('dead')
  await expect.poll(shines).toBe(0)
  await page.keyboard.press('z')
  await expect(came).toContainText('No power: the Cell 18650, protected, 15 A is out.')
  await page.getByRole('checkbox', { name: /^Cell 18650/ }).click()
  await expect(now).toContainText('blade off')

  // Into the volume menu and out again by itself is not waited for: it is closed by what keeps the volume.
  await page.getByRole('button', { name: /^open the volume menu/ }).click()
  await expect(now).toContainText('volume menu')
  // What was held to open it is let go with the next picture; a button that is down cannot be tapped.
  await expect(page.getByRole('button', { name: /(front|rear) button$/, pressed: true })).toHaveCount(0)
  await tapKey(page, 'x')
  await expect(now).toContainText('volume is at 4')
  await page.getByRole('button', { name: /^keep that volume/ }).click()
  await expect(came).toContainText('volume kept')
  await expect(now).toContainText('blade off')

  await page.getByRole('button', { name: 'practise' }).click()
  const practice = page.getByRole('region', { name: 'Practice' })
  await expect(practice).toContainText('With the blade off, try this: ignite.')
  await tapKey(page, 'z')
  await expect(practice).toContainText('That was it.')
  await practice.getByRole('button', { name: 'next' }).click()
  await expect(practice).toContainText('retract')
  await page.keyboard.down('z')
  await page.waitForTimeout(700)
  await page.keyboard.up('z')
  await expect(practice).toContainText(/Let go too soon, after [01](\.\d)? seconds?: hold it for two seconds\./)
  await practice.getByRole('button', { name: 'show me' }).click()
  await expect(practice).toContainText('That was it.', { timeout: 8000 })
})

test('a map is kept as a file and brought in again; a broken one names the field and the rule', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/reed-warden/controls`)
  await page.getByRole('tab', { name: 'The map' }).click()
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'keep this map' }).click()
  const path = await (await coming).path()
  const sheet = JSON.parse(readFileSync(path, 'utf8'))
  expect(sheet).toMatchObject({ format: 'nubrin-controls', version: 1, name: 'Reed Warden' })

  await page.goto(`${server.url}/commission/cinder-oath/controls`)
  await page.getByRole('tab', { name: 'The map' }).click()
  const bring = async (doc: unknown) => {
    await page.locator('main input[type=file]').setInputFiles({
      ...{ name: 'house.json', mimeType: 'application/json' },
      buffer: Buffer.from(JSON.stringify(doc)),
    })
  }
  const rows = sheet.controls as { gesture: string }[]
  await bring({ ...sheet, controls: [{ ...rows[0], gesture: 'whistle' }, ...rows.slice(1)] })
  await expect(page.getByRole('alert')).toContainText('/controls/0/gesture: must be one of')
  await bring({ ...sheet, name: 'House map' })
  await page.getByRole('button', { name: 'Replace it' }).click()
  await expect(page.getByText('from “House map”, as it is')).toBeVisible()
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved')
  await page.reload()
  await page.getByRole('tab', { name: 'The map' }).click()
  await expect(page.getByText('from “House map”, as it is')).toBeVisible()
  // The card comes as a PDF of two sides.
  await page.getByRole('tab', { name: 'The card' }).click()
  const href = await page.getByRole('link', { name: 'PDF, both sides' }).getAttribute('href')
  const pdf = await page.request.get(`${server.url}${href}`)
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
})
