import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from 'playwright-core'
import { eventually, job, must, saved, signIn } from './cases'
import { choose, type } from './hands'

/** What a figure comes to on the screen, as a number. */
async function figure(page: Page, name: RegExp): Promise<number> {
  const text = (await page.getByRole('button', { name }).first().textContent()) ?? ''
  return Number(
    /(-?[\d.,]+)(?=\s*(?:mm|g|A|V|h|W|min|%|N·cm|hours|days|months|years|$))/.exec(text.replace(',', ''))?.[1],
  )
}
const open = async (page: Page, path: string) => {
  await page.goto(path)
  await page.locator('nav[aria-label=Stations]').waitFor()
}
const middle = async (page: Page, ref: string) => {
  const box = (await page.locator(`section[aria-label=Drawing] [data-ref="${ref}"]`).first().boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

job('a part dragged on the drawing moves its figure, the balance and what stands against it', async (bench) => {
  const { page, server } = bench
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/fit`)
  const place = page.getByLabel('Cell 18650, protected, 15 A, rear face from the pommel', { exact: true })
  await place.waitFor()
  must((await place.inputValue()) === '30', 'the cell stands at 30')
  await page.getByRole('tab', { name: 'Balance' }).click()
  const before = await figure(page, /^centre from the pommel/)
  const at = await middle(page, 'part:rw-p2')
  await page.mouse.move(at.x, at.y)
  await page.mouse.down()
  await page.mouse.move(at.x - 60, at.y, { steps: 6 })
  await page.getByText(/^-\d+(\.\d)? mm/).waitFor()
  await page.mouse.up()
  await eventually('further back', async () => (await figure(page, /^centre from the pommel/)) < before)
  await page.getByRole('tab', { name: 'Parts' }).click()
  const moved = Number(await place.inputValue())
  must(moved < 20, `the cell went back, to ${moved}`)
  await page
    .locator('aside')
    .getByText(/share .* mm|overlap/i)
    .first()
    .waitFor()
  // The same by keyboard, and back again by undo.
  await type(page, 'Cell 18650, protected, 15 A, rear face from the pommel', '31')
  await eventually(
    'free again',
    async () =>
      (await page
        .locator('aside')
        .getByText(/share .* mm/i)
        .count()) === 0,
  )
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await eventually('as it was', async () => (await place.inputValue()) === '30')
  await saved(page)
})

job('the cut is walked with the keyboard; the drawing, the section and the wires follow', async ({ page, server }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/fit`)
  const cut = page.getByLabel('Where the cross-section is cut, mm from the pommel')
  await cut.focus()
  await page.keyboard.press('Home')
  await page.getByRole('heading', { name: 'Cut at 0 mm' }).waitFor()
  await cut.fill('60')
  await page.getByRole('img', { name: /^Cross-section at 60 mm: bore 31 mm, .*Cell 18650.*Sound board/ }).waitFor()
  await page.keyboard.press('ArrowRight')
  await page.getByRole('heading', { name: 'Cut at 60.5 mm' }).waitFor()
  await page.getByRole('button', { name: /^\d+ wires/ }).click()
  await page.getByText(/against a free circle of/).waitFor()
  // Where no part is judged there is no cut to show.
  await page.getByRole('tab', { name: 'Balance' }).click()
  await eventually('the cut is away', async () => (await cut.count()) === 0)
})

job('power: the use changes the runtime, a figure opens to its inputs, and what is missing is named', async (bench) => {
  const { page, server } = bench
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/power`)
  const runtime = /^runtime in use/
  const before = await figure(page, runtime)
  await type(page, 'share of time lit', '30')
  await eventually('about twice as long', async () => (await figure(page, runtime)) > 1.6 * before)
  await page.getByRole('img', { name: /^Discharge: \d+ minutes to cut-off/ }).waitFor()
  await page.getByRole('button', { name: runtime }).click()
  await page.getByText('∫ dSoC until OCV(soc) − I·R = cut-off').waitFor()
  await page.getByText('internal resistance', { exact: true }).waitFor()
  await page.getByText('3000 mAh').waitFor()
  // The look is chosen, and the light table and the whole follow.
  const steady = await figure(page, /^whole saber in Reed at dawn/)
  await page
    .getByRole('combobox', { name: /preset|look/i })
    .first()
    .selectOption({ label: 'Warden’s watch' })
  await eventually('another look', async () => (await figure(page, /^whole saber in Warden’s watch/)) !== steady)
  // Every way to put it away, its own marked.
  for (const way of ['left on, blade off', 'asleep', 'in deep sleep', 'cell taken out'])
    must((await page.getByRole('button', { name: new RegExp(way) }).count()) > 0, `${way} is told`)
  must((await page.getByRole('button', { name: /→ ?switch off, or key in/ }).count()) === 1, 'its own way is marked')
  await choose(page, 'Power is cut by', 'cellOut')
  await page.getByRole('button', { name: /→ ?cell taken out/ }).waitFor()
  await page.getByText(/A way to cut power is fitted but not named/).waitFor()
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await saved(page)
  // Without a cell nothing is guessed.
  await open(page, `${server.url}/commission/first-lantern/power`)
  await page
    .getByText(/not calculable, needs .*cell/i)
    .first()
    .waitFor()
})

job('blades: what to take off, what adapter, what is left to do, and what the client has to buy', async (bench) => {
  const { page, server } = bench
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/fit`)
  await page.getByRole('tab', { name: 'Blades' }).click()
  await type(page, 'tube outside', '25.7')
  await page.getByText('Take 0.15 mm off per side.').waitFor()
  await page
    .getByText(/will not enter/)
    .first()
    .waitFor()
  await type(page, 'tube outside', '7/8 in')
  await page.getByText(/^An adapter: /).waitFor()
  must((await page.getByLabel('tube outside', { exact: true }).inputValue()) === '22.23', 'inches are read')
  await type(page, 'tube outside', '25.4')
  const shown = await figure(page, /^outside the hilt/)
  must(shown === 874, `920 in a seat of 46 leaves 874, not ${shown}`)
  await page.getByLabel('drill the tip, roll in the film…').fill('roll in the film')
  await page.keyboard.press('Enter')
  await page
    .locator('aside')
    .getByText(/roll in the film/)
    .waitFor()
  await page.getByRole('checkbox', { name: 'roll in the film' }).check()
  await eventually(
    'done',
    async () =>
      (await page
        .locator('aside')
        .getByText(/roll in the film/)
        .count()) === 0,
  )
  await choose(page, 'Use of the blade', 'toBuy')
  await page.getByRole('heading', { name: 'The client buys' }).waitFor()
  await page.getByText(/tube 25\.4 mm · 1 in outside; wall 2 mm; 920 mm/).waitFor()
  // A string says when its groups do not add up.
  await choose(page, 'Kind of blade', 'string')
  await type(page, 'groups', '6')
  await type(page, 'LEDs in each', '21')
  await type(page, 'LEDs, as stated', '128')
  await page.getByText('✕ stated 128').waitFor()
  await type(page, 'LEDs, as stated', '126')
  await page.getByText('✓ agrees with the stated total').waitFor()
  await saved(page)
})

job('absurd sizes are asked back or named, and what was there is not lost', async ({ page, server }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/ember-fair/hilt`)
  await page.getByLabel('Name of section 2').waitFor()
  const length = page.getByLabel('length', { exact: true }).nth(1)
  const was = await length.inputValue()
  await length.fill('-5')
  await length.press('Enter')
  await page.getByText('cannot be negative').waitFor()
  await length.fill('12 apples')
  await length.press('Enter')
  await page.getByText(/unit “apples”\? one of mm/).waitFor()
  await length.fill('1/0')
  await length.press('Enter')
  await page.getByText('divides by zero').waitFor()
  await length.press('Escape')
  must((await length.inputValue()) === was, 'the old length stands')
  await type(page, 'length', '90000', 1)
  await page.getByText(/usually 2 to 260/).waitFor()
  await type(page, 'length', '0', 1)
  await page
    .locator('aside')
    .getByText(/length 0 mm/)
    .waitFor()
  await type(page, 'bore', '60', 1)
  await page
    .locator('aside')
    .getByText(/the bore is wider than the outside/)
    .waitFor()
  await saved(page)
  await page.reload()
  await page
    .locator('aside')
    .getByText(/the bore is wider than the outside/)
    .waitFor()
})

job('the cavity leaves as SVG and CSV; the shelf leaves as JSON and comes back', async ({ page, server, folder }) => {
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
  must(/width="[\d.]+mm"/.test(svg) && svg.includes('KEEPOUT'), 'the SVG is in millimetres, with its layers')
  const csv = await take('CSV')
  must(csv.split('\n').length > 8 && /,31(\.0+)?,|;31;|31/.test(csv), 'the CSV has the bores')
  await page.goto(`${server.url}/shelf`)
  const [d] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'JSON' }).click()])
  const shelf = JSON.parse(readFileSync(await d.path(), 'utf8'))
  const rows: { id: string; stock?: number }[] = Array.isArray(shelf) ? shelf : shelf.parts
  must(rows.length > 80, `${rows.length} parts on the shelf`)
  rows.find((r) => r.id === 'speaker-28-8-2')!.stock = 41
  const back = join(folder, 'shelf.json')
  writeFileSync(back, JSON.stringify(shelf))
  await page.getByRole('button', { name: 'bring in' }).click()
  await page.locator('input[type=file]').setInputFiles(back)
  await eventually('taken in', async () => (await page.getByRole('dialog').count()) === 0)
  await page.getByLabel('Find a part, a lot, a supplier').fill('Speaker 28 mm, 8')
  await page.getByText('41 left').waitFor()
})
