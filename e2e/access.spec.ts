import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { drawn } from '../core/test/drawn'
import { expect, test } from './bench'

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** Screens of which there are many of a kind: a drawn share of them is looked at, in the long run all; each station is opened. */
const MANY = [
  ...['brief', 'hilt', 'fit', 'power', 'voice', 'controls', 'access', 'proof', 'walkthrough', 'handoff'],
  ...['desk facts', 'desk to-do', 'desk ledger', 'desk saber', 'fit, Layouts', 'fit, Blades', 'fit, Balance'],
  ...['controls, The map', 'controls, What could go wrong', 'controls, The card'],
  ...['handoff, The box', 'handoff, Read it', 'handoff, Afterwards'],
]
const looked = new Set(
  drawn(MANY, 1 / 3, (s) => [s.startsWith('desk') ? 'desk' : s.includes(',') ? 'bench' : 'station']),
)

test('axe finds nothing on any screen; 1024 px and 200 % hold', async ({ page, server }) => {
  const check = async (where: string) => {
    if (MANY.includes(where) && !looked.has(where)) return
    await page.waitForTimeout(350)
    await page.evaluate(axeSource)
    const found = (await page.evaluate('axe.run({ resultTypes: ["violations"] })')) as {
      violations: { id: string; nodes: { html: string; failureSummary: string }[] }[]
    }
    expect(
      !found.violations.length,
      `${where}: ${found.violations.map((v) => `${v.id} ${v.nodes[0]?.html.slice(0, 160)} ${v.nodes[0]?.failureSummary.slice(0, 200)}`).join(' | ')}`,
    ).toBeTruthy()
  }
  await page.goto(server.url)
  await page.getByLabel('Password').waitFor()
  await check('door')
  await page.getByLabel('Sign-in name').fill('maren')
  await page.getByLabel('Password').fill('brass-and-light')
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name: 'On the rack' }).waitFor()
  await check('rack')
  // What a station is for stands in its first view at 1280 × 800; nothing has to be scrolled for it.
  const mainAct = {
    brief: page.getByLabel('a wish, one per line'),
    hilt: page.getByLabel('length', { exact: true }).first(),
    fit: page.locator('[data-select="Kind of part"]'),
    power: page.locator('[data-select="Power is cut by"]'),
    voice: page.getByLabel('name of a preset'),
    controls: page.getByRole('region', { name: 'Hands' }).getByRole('button', { name: /front button/ }),
    access: page.getByRole('button', { name: 'next act' }),
    proof: page.getByRole('button', { name: 'passes' }).first(),
    walkthrough: page.getByRole('button', { name: /^compose/ }),
    handoff: page.getByRole('button', { name: /hand it over|make the link|issue/i }).first(),
  }
  for (const [s, act] of Object.entries(mainAct)) {
    await page.goto(`${server.url}/commission/reed-warden/${s}`)
    await page.locator('main section').first().waitFor()
    await expect(act, `${s}: its main act`).toBeInViewport({ ratio: 1 })
    await check(s)
  }
  // An order with something of everything on its desks.
  for (const d of ['facts', 'to-do', 'ledger', 'saber'].filter((x) => looked.has(`desk ${x}`))) {
    await page.goto(`${server.url}/commission/cinder-oath/${d}`)
    await page.locator('main section').first().waitFor()
    await check(`desk ${d}`)
  }
  for (const bench of ['Layouts', 'Blades', 'Balance'].filter((b) => looked.has(`fit, ${b}`))) {
    await page.goto(`${server.url}/commission/reed-warden/fit`)
    await page.getByRole('tab', { name: bench }).click()
    await check(`fit, ${bench}`)
  }
  for (const bench of ['The map', 'What could go wrong', 'The card'].filter((b) => looked.has(`controls, ${b}`))) {
    await page.goto(`${server.url}/commission/reed-warden/controls`)
    await page.getByRole('tab', { name: bench }).click()
    await check(`controls, ${bench}`)
  }
  for (const bench of ['The box', 'Read it', 'Afterwards'].filter((b) => looked.has(`handoff, ${b}`))) {
    await page.goto(`${server.url}/commission/reed-warden/handoff`)
    await page.getByRole('tab', { name: bench }).click()
    await page.locator('main [role=tabpanel] section').first().waitFor()
    if (bench === 'The box')
      await page
        .getByRole('button', { name: /^More on/ })
        .first()
        .click()
    await check(`handoff, ${bench}`)
  }
  await page.goto(`${server.url}/to-dos`)
  await page.locator('main section').first().waitFor()
  await check('the work of the whole shop')
  await page.goto(`${server.url}/shelf`)
  await page.locator('main li').first().waitFor()
  await check('shelf')
  // Every piece of the kit, in each of its states.
  await page.goto(`${server.url}/kit`)
  await page.getByRole('heading', { name: 'The kit' }).waitFor()
  await check('kit')
  await page.getByRole('button', { name: 'open a sheet' }).click()
  await check('a sheet of the kit')
  await page.goto(`${server.url}/film/reed-warden/rw`)
  await page.getByTestId('say').waitFor()
  await check('film')
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
  await page.keyboard.press('Escape')
  await page.getByRole('heading', { name: /a take of/ }).waitFor()
  await check('what became of a take')
  const link = await page.evaluate(async () => {
    const { csrf } = await (await fetch('/api/session')).json()
    const headers = { 'x-csrf-token': csrf }
    return (await (await fetch('/api/commissions/reed-warden/handoffs', { method: 'POST', headers })).json()).link
  })
  await page.goto(server.url + link)
  await page.getByRole('button', { name: 'open it step by step' }).waitFor()
  await page.getByRole('heading', { name: 'Start here' }).waitFor()
  await page.evaluate(() => {
    for (const d of document.querySelectorAll('details')) d.open = true
  })
  await page.getByText('Follow the numbers in order').waitFor()
  await check('the client’s page, unfolded')
  // As wide as a small phone, and as a large screen at four times its size.
  await page.setViewportSize({ width: 320, height: 800 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320)
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.getByRole('button', { name: 'open it step by step' }).click()
  await page.getByRole('button', { name: /^Swap the cell/ }).click()
  await check('opened with the client')
  for (const width of [1024, 640]) {
    await page.setViewportSize({ width, height: 800 })
    await page.goto(`${server.url}/commission/reed-warden/brief`)
    await page.locator('main section').first().waitFor()
    expect(
      (await page.evaluate(() => document.documentElement.scrollWidth)) <= width,
      `${width} px does not scroll sideways`,
    ).toBeTruthy()
  }
})
