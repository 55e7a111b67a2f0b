// npm run shots: one current picture of each main view, from the running demo shop (PORT as for npm start).
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from 'playwright-core'
import { CHROMIUM } from './lib/chromium.mjs'

const url = `http://127.0.0.1:${process.env.PORT ?? 4310}`
const folder = join(dirname(dirname(fileURLToPath(import.meta.url))), 'docs', 'screenshots')
const browser = await chromium.launch(CHROMIUM)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(url)
await page.getByLabel('Sign-in name').fill('maren')
await page.getByLabel('Password').fill('brass-and-light')
await page.keyboard.press('Enter')
await page.getByRole('heading', { name: 'On the rack' }).waitFor()
const views = {
  rack: '/',
  week: '/week',
  orders: '/orders',
  learning: '/learning',
  hilt: '/commission/cinder-oath/hilt',
  fit: '/commission/cinder-oath/fit',
  shelf: '/shelf',
  power: '/commission/reed-warden/power',
  voice: '/commission/cinder-oath/voice',
  light: '/commission/cinder-oath/voice',
  card: '/commission/cinder-oath/voice',
  controls: '/commission/reed-warden/controls',
  access: '/commission/reed-warden/access',
  proof: '/commission/ember-fair/proof',
  walkthrough: '/commission/reed-warden/walkthrough',
  film: '/film/reed-warden/rw',
  handoff: '/commission/reed-warden/handoff',
}
for (const [name, path] of Object.entries(views)) {
  await page.goto(url + path)
  await page.waitForTimeout(900)
  // What is worked out beside the page comes a moment after it.
  if (['rack', 'week', 'learning'].includes(name)) await page.waitForTimeout(4000)
  if (name === 'fit') await page.locator('main button', { hasText: 'Speaker 28 mm' }).first().click()
  if (name === 'access') {
    await page.getByRole('button', { name: /^Swap the cell/ }).click()
    for (let n = 0; n < 2; n++) await page.getByRole('button', { name: 'next act' }).click()
  }
  if (name === 'controls') {
    await page.keyboard.press('z')
    await page.waitForTimeout(1200)
    await page.keyboard.down('x')
    await page.waitForTimeout(900)
  }
  if (name === 'walkthrough') await page.getByRole('button', { name: /^With the blade lit, press the rear/ }).click()
  if (name === 'handoff') {
    await page.getByRole('tab', { name: 'Read it' }).click()
    await page.getByRole('button', { name: 'Specification' }).click()
    await page.getByRole('button', { name: /^Length of the hilt/ }).click()
  }
  if (name === 'voice') {
    await page.getByRole('tab', { name: 'Fonts' }).click()
    await page.getByRole('button', { name: 'look and listen' }).first().click()
    await page.getByRole('img', { name: /^Waveform of/ }).waitFor()
  }
  if (name === 'light') {
    await page.getByRole('tab', { name: 'Light by event' }).click()
    await page.getByRole('button', { name: /^Collier’s lamp, shines/ }).click()
    await page.getByRole('tab', { name: 'Light by event' }).scrollIntoViewIfNeeded()
    await page.waitForTimeout(900)
  }
  if (name === 'card') {
    await page.getByRole('tab', { name: 'Card' }).click()
    await page.getByLabel('name of a card').fill('the card in it')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'write as a ZIP' }).click()
    await page.getByText('with its configuration').waitFor()
  }
  if (name === 'film') for (let i = 0; i < 12; i++) await page.keyboard.press('PageDown')
  await page.waitForTimeout(300)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  if (name === 'controls') await page.keyboard.up('x')
}
const token = await page.evaluate(async () => {
  const { csrf } = await (await fetch('/api/session')).json()
  return (
    await (
      await fetch('/api/commissions/reed-warden/handoffs', { method: 'POST', headers: { 'x-csrf-token': csrf } })
    ).json()
  ).link
})
await page.setViewportSize({ width: 420, height: 900 })
await page.goto(url + token)
await page.waitForTimeout(1200)
await page.getByRole('button', { name: 'front button', exact: true }).click()
await page.waitForTimeout(900)
await page.screenshot({ path: join(folder, 'client.png') })
const pdf = join(mkdtempSync(join(tmpdir(), 'nubrin-')), 'h.pdf')
writeFileSync(pdf, Buffer.from(await (await page.request.get(`${url}/api/commissions/reed-warden/handoff.pdf`)).body()))
// The cover and the saber taken apart, beside each other as they lie on a table.
const sheets = execFileSync('pdftotext', [pdf, '-']).toString().split('\f')
const apart = sheets.findIndex((t) => t.includes('Follow the numbers in order'))
const pages = [1, apart + 1].map((n, i) => {
  const to = join(dirname(pdf), `p${i}`)
  execFileSync('pdftoppm', ['-png', '-r', '75', '-f', `${n}`, '-l', `${n}`, '-singlefile', pdf, to])
  return `data:image/png;base64,${readFileSync(`${to}.png`).toString('base64')}`
})
await page.setViewportSize({ width: 1280, height: 900 })
const imgs = pages.map((src) => `<img src="${src}" style="height:860px;box-shadow:0 2px 12px #0003">`).join('')
await page.setContent(
  `<body style="margin:0;height:900px;display:flex;gap:24px;align-items:center;justify-content:center;background:#cfc6b2">${imgs}</body>`,
)
await page.screenshot({ path: join(folder, 'pdf.png') })
await browser.close()
