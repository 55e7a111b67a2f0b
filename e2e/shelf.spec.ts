import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { atRack, expect, open, signIn, test } from './bench'
import { type } from './hands'

test('the shelf takes a list in, names each wrong cell, and answers a recall', async ({ page, server, folder }) => {
  await atRack(page, server.url)
  await page.keyboard.press('s')
  await page.getByRole('heading', { name: 'The shelf' }).waitFor()
  const list = join(folder, 'list.csv')
  writeFileSync(
    list,
    '\uFEFFkind;name;length (mm);diameter;stock\nspeaker;Marsh cone;6,2;26;3\nspeaker;Torn cone;wide;26;1\n',
  )
  await page.getByRole('button', { name: 'import' }).click()
  await page.locator('input[type=file]').setInputFiles(list)
  await page.getByText('1 cell is wrong; nothing was taken in.').waitFor()
  await page.getByText('row 3, length (mm): is not a number (wide)').waitFor()
  await page.getByRole('button', { name: 'import the one valid row' }).click()
  await page.getByLabel('Find a part, a lot, a supplier').fill('marsh')
  await page.getByRole('button', { name: /^Marsh cone/ }).click()
  await page.getByText('None on record.').waitFor()
  await type(page, 'left', '-2')
  await page.getByText(/is not a whole number from 0/).waitFor()
  await page.getByRole('button', { name: 'Remove Marsh cone' }).click()
  await page.getByText('Nothing on the shelf matches “marsh”').waitFor()
  await page.getByLabel('Find a part, a lot, a supplier').fill('L-2609')
  await page.getByRole('button', { name: 'recall lot L-2609' }).click()
  await page.getByRole('link', { name: 'Reed Warden' }).click()
  await page.locator('nav[aria-label=Stations] a[aria-current=page]:has-text("Fit")').waitFor()
})

test('the cavity leaves as SVG and CSV; the shelf leaves as JSON and comes back', async ({ page, server, folder }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/hilt`)
  const take = async (what: string) => {
    await page.getByRole('button', { name: 'more' }).click()
    const [d] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: `Cavity and keep-outs for CAD (${what})` }).click(),
    ])
    return readFileSync(await d.path(), 'utf8')
  }
  const svg = await take('SVG, 1:1')
  expect(
    /width="[\d.]+mm"/.test(svg) && svg.includes('KEEPOUT'),
    'the SVG is in millimetres, with its layers',
  ).toBeTruthy()
  const csv = await take('CSV')
  expect(csv.split('\n').length).toBeGreaterThan(8)
  expect(csv).toMatch(/[,;]31(\.0+)?[,;\n]/)
  await page.goto(`${server.url}/shelf`)
  const [d] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'JSON' }).click()])
  const shelf = JSON.parse(readFileSync(await d.path(), 'utf8'))
  const rows: { id: string; stock?: number }[] = Array.isArray(shelf) ? shelf : shelf.parts
  expect(rows.length > 80, `${rows.length} parts on the shelf`).toBeTruthy()
  rows.find((r) => r.id === 'speaker-28-8-2')!.stock = 41
  const back = join(folder, 'shelf.json')
  writeFileSync(back, JSON.stringify(shelf))
  await page.getByRole('button', { name: 'import' }).click()
  await page.locator('input[type=file]').setInputFiles(back)
  await expect.poll(async () => (await page.getByRole('dialog').count()) === 0, { message: 'taken in' }).toBeTruthy()
  await page.getByLabel('Find a part, a lot, a supplier').fill('Speaker 28 mm, 8')
  await page.getByText('41 left').waitFor()
})
