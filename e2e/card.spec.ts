import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { CONFIGURATION_FILES } from '@nubrin/core/card'
import { entries, zip } from '../server/test/harness'
import { expect, open, saved, signIn, test } from './bench'

test('a card is written, comes back changed, and what differs is found, settled or refused', async ({
  page,
  server,
  folder,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/cinder-oath/voice`)
  await page.getByRole('tab', { name: 'Card' }).click()
  await page.getByLabel('name of a card').fill('the card in it')
  await page.keyboard.press('Enter')
  const sheet = page.getByRole('region', { name: 'Card the card in it' })
  await sheet.getByText('put “copy it first” on the list').click()
  await expect(sheet.getByText(/^To copy it is on the list, by/)).toBeVisible()
  await saved(page)

  const coming = page.waitForEvent('download')
  await sheet.getByRole('button', { name: 'write as a ZIP' }).click()
  const file = join(folder, 'card.zip')
  await (await coming).saveAs(file)
  await expect(sheet.getByText(/^Written .* with its configuration/)).toBeVisible()
  const files = await entries(readFileSync(file))
  expect(files.size).toBe(13 + CONFIGURATION_FILES.length)

  await sheet.getByText('every file, with the beginning of its sum').click()
  await expect(sheet.getByText('configuration copy.json')).toBeVisible()
  const read = async (name: string, content: Buffer) => {
    writeFileSync(join(folder, name), content)
    await sheet.locator('input[type=file]').first().setInputFiles(join(folder, name))
  }
  await read('same.zip', readFileSync(file))
  await expect(sheet.getByText(/^✓ as it was written/)).toBeVisible()

  // One sound edited, one gone, one that nobody knows, and the board turned down.
  const [hum, other] = [...files.keys()].filter((p) => p.endsWith('.wav'))
  const changed = new Map(files)
  changed.set(hum!, Buffer.concat([files.get(hum!)!, Buffer.from([0, 0])]))
  changed.delete(other!)
  changed.set('old voice/hum.wav', files.get(hum!)!)
  const configuration = JSON.parse(files.get('configuration.json')!.toString())
  configuration.presets[0].extendMs = 450
  changed.set('configuration.json', Buffer.from(JSON.stringify(configuration)))
  await read('changed.zip', await zip([...changed]))
  await expect(sheet.getByText(/^✕ since .*: 2 files changed, 1 file added, 1 file gone$/)).toBeVisible()
  await sheet.getByText('1 setting changed since then').click()
  await expect(sheet.getByText('preset 1, extendMs: 600, now 450')).toBeVisible()
  await sheet.getByText('1 file that nothing uses').click()
  await expect(sheet.getByText('old voice/hum.wav: its folder is no font of this saber')).toBeVisible()
  const against = sheet.getByRole('region', { name: 'Card against record' })
  await expect(against.getByText('preset 1, extendMs: 600 in the record')).toBeVisible()
  await against.getByRole('button').click()
  await expect(page.getByText('1 value stands beside the record’s')).toBeVisible()
  await saved(page)

  // What is no archive, and a configuration that is none, are said; nothing is lost.
  await read('torn.zip', readFileSync(file).subarray(0, 500))
  await expect(sheet.getByRole('alert')).toContainText('cannot be read')
  changed.set('configuration.json', Buffer.from(JSON.stringify({ ...configuration, volume: 'loud' })))
  await read('odd.zip', await zip([...changed]))
  await expect(sheet.getByRole('alert')).toContainText('configuration.json: volume: ')
  await saved(page)
  await page.reload()
  await page.getByRole('tab', { name: 'Card' }).click()
  await page.getByRole('button', { name: /^the card in it/ }).click()
  await expect(sheet.getByText(/without a configuration/)).toBeVisible()
})

test('the whole saber is seen preset by event, and set cell by cell', async ({ page, server }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/cinder-oath/voice`)
  await page.getByRole('tab', { name: 'Light by event' }).click()
  await page.getByRole('button', { name: 'Oath, lock: not recorded, no sound' }).click()
  const cell = page.getByRole('region', { name: 'The cell' })
  await cell.locator('[data-select="What lock is"]').click()
  await page.getByRole('option', { name: 'not there' }).click()
  await expect(page.getByRole('button', { name: 'Oath, lock: not there' })).toBeVisible()
  await page.getByRole('button', { name: 'Collier’s lamp, lock: pale yellow, flickers' }).click()
  await expect(page.getByText('times slower: it flashes 7 times a second')).toBeVisible()
  await saved(page)
})
