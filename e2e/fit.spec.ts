import type { Page } from '@playwright/test'
import { atRack, expect, open, saved, signIn, startFilm, test } from './bench'
import { choose, restate, type } from './hands'

const middle = async (page: Page, ref: string) => {
  const box = (await page.locator(`section[aria-label=Drawing] [data-ref="${ref}"]`).first().boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

/** What a figure comes to on the screen, as a number. */
async function figure(page: Page, name: RegExp): Promise<number> {
  const text = (await page.getByRole('button', { name }).first().textContent()) ?? ''
  return Number(
    /(-?[\d.,]+)(?=\s*(?:mm|g|A|V|h|W|min|%|N·cm|hours|days|months|years|$))/.exec(text.replace(',', ''))?.[1],
  )
}
test('will the bigger speaker go in, and what do I lose? filmed, from the rack', async ({ page, server, folder }) => {
  await atRack(page, server.url)
  const film = await startFilm(page, folder)
  // Four moves: the commission, its Fit, the speaker, the larger one.
  await page.getByRole('link', { name: /Crosswind/ }).click()
  await page.locator('nav[aria-label=Stations]').waitFor()
  await page.keyboard.press('3')
  await page
    .getByRole('button', { name: /^Speaker/ })
    .first()
    .click()
  const larger = page.locator('section[aria-label=Catalogue] li', { hasText: 'Speaker 36 mm, 4 Ω 3 W' })
  await larger.getByText(/✕ [\d.]+ mm too big at \d+/).waitFor()
  await larger.getByRole('button', { name: 'Swap in Speaker 36 mm, 4 Ω 3 W' }).click()
  await page.getByText(/Speaker 36 mm, 4 Ω 3 W does not go in/).waitFor()
  await page.getByText(/It cannot be bored out: .* would be left/).waitFor()
  const frames = await film.stop()
  expect(frames > 3, 'the film shows it').toBeTruthy()
  await page.keyboard.press('Control+z')
  await expect
    .poll(async () => (await page.getByText(/Speaker 36 mm, 4 Ω 3 W does not go in/).count()) === 0, {
      message: 'undone',
    })
    .toBeTruthy()
  await saved(page)
})

test('a layout is searched, chosen and kept with the keyboard alone, and a later fact breaks it', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/crosswind/brief`)
  await page.locator('nav[aria-label=Stations]').waitFor()
  await page.keyboard.press('3')
  const focusOn = async (what: () => Promise<unknown>) => {
    for (let i = 0; i < 80; i++) {
      if (await what()) return
      await page.keyboard.press('Tab')
    }
    throw new Error('the keyboard does not reach it')
  }
  const focused = (selector: string) => () => page.evaluate((q) => document.activeElement?.matches(q), selector)
  await page.getByRole('tab', { name: 'Parts' }).waitFor()
  await focusOn(focused('[role=tab]'))
  await page.keyboard.press('ArrowRight')
  await page.getByText(/unbeaten/).waitFor()
  await focusOn(focused('input[aria-label="Walk the layouts by runtime"]'))
  const walk = page.getByLabel('Walk the layouts by runtime')
  const first = await walk.getAttribute('aria-valuetext')
  await page.keyboard.press('Home')
  await page.keyboard.press('ArrowRight')
  await expect
    .poll(async () => (await walk.getAttribute('aria-valuetext')) !== first, {
      message: 'the next layout is considered',
    })
    .toBeTruthy()
  await page.getByText('considered, not chosen yet').waitFor()
  await focusOn(focused('section[aria-label="What may vary"] [role=checkbox]'))
  await page.keyboard.press('Space')
  await page.getByText(/^with (a spacer|spacers) of [\d.]+/).waitFor()
  await focusOn(focused('input[aria-label="Why this layout"]'))
  await page.keyboard.press('Enter')
  await page.getByText(/Say why, in a few words/).waitFor()
  await page.keyboard.type('the room is needed for the switch board')
  await page.keyboard.press('Enter')
  await page.getByText(/Chosen by Maren.*the room is needed for the switch board/).waitFor()
  await saved(page)
  await page.getByRole('tab', { name: 'Parts' }).click()
  await page
    .getByRole('button', { name: /^Spacer, cut to/ })
    .first()
    .waitFor()
  await page.getByRole('tab', { name: 'Balance' }).click()
  await page.getByRole('img', { name: /^What weighs where: .*cross block \d+ g at \d+ mm/ }).waitFor()
  // A bore is measured anew, and the choice is held against it.
  await page.goto(`${server.url}/commission/crosswind/hilt`)
  await page.getByLabel('Name of section 2').waitFor()
  await restate(page, 'bore', '19', 1)
  await saved(page)
  await page.goto(`${server.url}/commission/crosswind/fit`)
  await page.getByText('The chosen layout no longer holds').waitFor()
  await page.getByText(/It was chosen for: “the room is needed for the switch board”/).waitFor()
})

test('a part dragged on the drawing moves its figure, the balance and what stands against it', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/fit`)
  const place = page.getByLabel('Cell 18650, protected, 15 A, rear face from the pommel', { exact: true })
  await place.waitFor()
  expect((await place.inputValue()) === '30', 'the cell stands at 30').toBeTruthy()
  await page.getByRole('tab', { name: 'Balance' }).click()
  const before = await figure(page, /^centre from the pommel/)
  const at = await middle(page, 'part:rw-p2')
  await page.mouse.move(at.x, at.y)
  await page.mouse.down()
  await page.mouse.move(at.x - 60, at.y, { steps: 6 })
  await page.getByText(/^-\d+(\.\d)? mm/).waitFor()
  await page.mouse.up()
  await expect
    .poll(async () => (await figure(page, /^centre from the pommel/)) < before, { message: 'further back' })
    .toBeTruthy()
  await page.getByRole('tab', { name: 'Parts' }).click()
  const moved = Number(await place.inputValue())
  expect(moved < 20, `the cell went back, to ${moved}`).toBeTruthy()
  await page
    .locator('aside')
    .getByText(/share .* mm|overlap/i)
    .first()
    .waitFor()
  // The same by keyboard, and back again by undo.
  await type(page, 'Cell 18650, protected, 15 A, rear face from the pommel', '31')
  await expect
    .poll(
      async () =>
        (await page
          .locator('aside')
          .getByText(/share .* mm/i)
          .count()) === 0,
      { message: 'free again' },
    )
    .toBeTruthy()
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect.poll(async () => (await place.inputValue()) === '30', { message: 'as it was' }).toBeTruthy()
  await saved(page)
})

test('the cut is walked with the keyboard; the drawing, the section and the wires follow', async ({ page, server }) => {
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
  await expect.poll(async () => (await cut.count()) === 0, { message: 'the cut is away' }).toBeTruthy()
})

test('blades: what to take off, what adapter, what is left to do, and what the client has to buy', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/fit`)
  await page.getByRole('tab', { name: 'Blades' }).click()
  await restate(page, 'tube outside', '25.7')
  await page.getByText('Take 0.15 mm off per side.').waitFor()
  await page
    .getByText(/will not enter/)
    .first()
    .waitFor()
  await type(page, 'tube outside', '7/8 in')
  await page.getByText(/^An adapter: /).waitFor()
  expect(
    (await page.getByLabel('tube outside', { exact: true }).inputValue()) === '22.23',
    'inches are read',
  ).toBeTruthy()
  await type(page, 'tube outside', '25.4')
  const shown = await figure(page, /^outside the hilt/)
  expect(shown === 874, `920 in a seat of 46 leaves 874, not ${shown}`).toBeTruthy()
  await page.getByLabel('drill the tip, roll in the film…').fill('roll in the film')
  await page.keyboard.press('Enter')
  await page
    .locator('aside')
    .getByText(/roll in the film/)
    .waitFor()
  await page
    .getByRole('checkbox', { name: /roll in the film$/ })
    .first()
    .check()
  await expect
    .poll(
      async () =>
        (await page
          .locator('aside')
          .getByText(/roll in the film/)
          .count()) === 0,
      { message: 'done' },
    )
    .toBeTruthy()
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
