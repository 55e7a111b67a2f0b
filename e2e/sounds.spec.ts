import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { SoundEvent } from '@nubrin/core/record'
import { makeSounds } from '@nubrin/demo'
import yazl from 'yazl'
import { expect, open, saved, signIn, test } from './bench'

const EVENTS: readonly SoundEvent[] = ['hum', 'ignite', 'retract', 'swing', 'clash', 'lock', 'deflect']
const made = (pitch: number, events = EVENTS) => makeSounds(pitch, [...events]).map((m) => Buffer.from(m.bytes))

/** The same archive made to hurt: one path leads out of its folder, one file says that it is shorter than it is. */
function tricked(zip: Buffer): Buffer {
  const all = (what: string) => {
    const at: number[] = []
    for (let i = zip.indexOf(what); i >= 0; i = zip.indexOf(what, i + 1)) at.push(i)
    return at
  }
  for (const i of all('xx/outside.wav')) zip.write('../', i)
  // Its size stands 8 bytes before the name where it lies, and 22 before it in the list at the end.
  const [bomb, inList] = all('Bells/Dry Reed/swing bomb.wav')
  zip.writeUInt32LE(5000, bomb! - 8)
  zip.writeUInt32LE(5000, inList! - 22)
  return zip
}

/** A library as a stranger packs it: two fonts of many files, and among them what cannot be taken. */
function library(): Promise<Buffer> {
  const zip = new yazl.ZipFile()
  const words = ['steady hum', 'powering up', 'powering down', 'swing', 'blade hit', 'blades locked', 'deflecting']
  for (let n = 0; n < 20; n++)
    for (const [i, bytes] of made(60 + n).entries()) zip.addBuffer(bytes, `Bells/Slow Water/${words[i]} ${n}.wav`)
  const [one, two] = made(200, ['lock', 'clash'])
  zip.addBuffer(one!, 'Bells/Slow Water/untitled 1.wav')
  zip.addBuffer(two!, 'Bells/Slow Water/untitled 2.wav')
  for (const [i, bytes] of made(90).entries()) zip.addBuffer(bytes, `Bells/Dry Reed/${words[i]}.wav`)
  zip.addBuffer(one!.subarray(0, 4000), 'Bells/Dry Reed/swing cut.wav')
  zip.addBuffer(Buffer.from('ID3 and no more'), 'Bells/Dry Reed/theme.mp3')
  zip.addBuffer(Buffer.from('notes'), 'Bells/Dry Reed/readme.txt')
  zip.addBuffer(one!, 'Bells/Dry Reed/STEADY HUM.wav')
  zip.addBuffer(one!, 'xx/outside.wav')
  zip.addBuffer(Buffer.alloc(8_000_000), 'Bells/Dry Reed/swing bomb.wav')
  zip.addBuffer(Buffer.from('x'), '__MACOSX/Bells/Dry Reed/._swing.wav')
  zip.end()
  const parts: Buffer[] = []
  return new Promise((done) =>
    zip.outputStream.on('data', (b: Buffer) => parts.push(b)).on('end', () => done(tricked(Buffer.concat(parts)))),
  )
}

test('a library that is dropped in finds its fonts and events beside the page; what cannot be taken is named', async ({
  page,
  server,
  folder,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/crosswind/voice`)
  await page.getByRole('tab', { name: 'Fonts' }).click()
  const card = page.getByRole('region', { name: 'Fonts on the card' })
  await card.getByText('Gale').waitFor()
  const file = join(folder, 'bells.zip')
  writeFileSync(file, await library())
  await page.evaluate(() => {
    const long: number[] = []
    Object.assign(window, { long })
    new PerformanceObserver((l) => long.push(...l.getEntries().map((e) => e.duration))).observe({ type: 'longtask' })
  })
  await card.getByLabel('choose files').setInputFiles(file)
  await expect(card.getByText(/of 152 read and stored/)).toBeVisible()
  // The page goes on meanwhile: another font is opened.
  await card.getByRole('button', { name: /^Gale/ }).click()
  await expect(page.getByRole('region', { name: 'Font Gale' })).toBeVisible()
  await expect(card.getByText('2 sounds do not say what they are for')).toBeVisible({ timeout: 60_000 })
  await expect(card.getByRole('button', { name: /^Slow Water/ })).toContainText('140 sounds')
  await expect(card.getByRole('button', { name: /^Dry Reed/ })).toContainText('7 sounds')
  await expect(card.getByText('Not taken: 5')).toBeVisible()
  for (const why of [
    'The file is cut short',
    'it is an MP3 or AAC file',
    'a card cannot tell it from',
    'leads out of its folder',
    'cannot be unpacked',
  ])
    await expect(card.getByText(why)).toBeVisible()
  await expect(card.getByText('2 files are not sounds and were left out.')).toBeVisible()
  for (const n of [1, 2]) await card.getByRole('checkbox', { name: `untitled ${n}.wav` }).check()
  await card.locator('[data-select="Place the chosen sounds as"]').click()
  await page.locator('[role=option][data-value=surge]').click()
  await expect(card.getByRole('button', { name: /^Slow Water/ })).toContainText('142 sounds')
  await saved(page)
  // Seen and heard: measured as it is stored, and still so after another look.
  await card.getByRole('button', { name: /^Dry Reed/ }).click()
  const sheet = page.getByRole('region', { name: 'Font Dry Reed' })
  await sheet.getByRole('button', { name: 'look and listen' }).first().click()
  await expect(sheet.getByRole('img', { name: /^Waveform of powering up.wav, 0.9 s/ })).toBeVisible()
  await expect(sheet.getByText('22.05 kHz, 16 bits, one channel')).toBeVisible()
  await sheet.getByRole('button', { name: 'play', exact: true }).click()
  await expect(sheet.getByRole('button', { name: 'stop' })).toBeVisible()
  await expect(sheet.getByRole('button', { name: 'play', exact: true })).toBeVisible()
  const long = await page.evaluate(() => (window as unknown as { long: number[] }).long)
  test.info().annotations.push({ type: 'longest task of the page, ms', description: String(Math.max(0, ...long)) })
  await page.reload()
  await page.getByRole('tab', { name: 'Fonts' }).click()
  await expect(card.getByRole('button', { name: /^Slow Water/ })).toContainText('142 sounds')
})

test('what is given up stops at once, and what has come stays', async ({ page, server, folder }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/crosswind/voice`)
  await page.getByRole('tab', { name: 'Fonts' }).click()
  const card = page.getByRole('region', { name: 'Fonts on the card' })
  const file = join(folder, 'bells.zip')
  writeFileSync(file, await library())
  await card.getByLabel('choose files').setInputFiles(file)
  await expect(card.getByText(/^[1-9]\d* of 152 read and stored/)).toBeVisible()
  await card.getByRole('button', { name: 'stop here' }).click()
  await expect(card.getByRole('button', { name: /^Slow Water/ })).toBeVisible()
  const count = () => card.getByRole('button', { name: /^Slow Water/ }).textContent()
  const then = await count()
  await page.waitForTimeout(700)
  expect(await count()).toBe(then)
  // An archive that is none says so.
  const broken = join(folder, 'broken.zip')
  writeFileSync(broken, Buffer.from('PK and nothing of an archive'))
  await card.getByLabel('choose files').setInputFiles(broken)
  await expect(card.getByText(/The archive cannot be read/)).toBeVisible()
})
