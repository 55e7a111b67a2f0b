import type { Commission } from '@nubrin/core/record'
import type { Page } from '@playwright/test'
import { expect, saved, signIn, test } from './bench'
import { choose, chooseWords, type } from './hands'

const record = async (page: Page, id: string): Promise<Commission> =>
  page.evaluate(async (c) => (await (await fetch(`/api/commissions/${c}`)).json()).record, id)
const told = async (page: Page, id = 'reed-warden') => (await record(page, id)).sabers[0]!

test('the script is put into own words, with a fact that lives in them', async ({ page, server }) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/reed-warden/walkthrough`)
  await page.getByRole('button', { name: /^Hello Ilsabet/ }).click()
  const say = page.getByLabel('Say, beat 1')
  await say.fill('It runs on ')
  await say.press('End')
  await say.pressSequentially('@')
  await page.getByLabel('Which fact').pressSequentially('cell cap')
  await page.keyboard.press('Enter')
  await expect(say).toHaveValue(/It runs on \[\[.*capacity\]\]/)
  await expect(page.getByText('It runs on 3000 mAh').first()).toBeVisible()
  // Split after its first sentence, joined again, and back to the words as composed.
  await say.fill('First this. Then that.')
  await say.blur()
  const before = (await told(page)).beats.length
  await page.getByRole('button', { name: /^split/ }).click()
  await expect(page.getByText(`${before + 1} beats`)).toBeVisible()
  await page.getByRole('button', { name: 'join with 2' }).click()
  await expect(say).toHaveValue('First this. Then that.')
  await page.getByRole('button', { name: 'its composed words' }).click()
  await expect(say).toHaveValue(/^Hello Ilsabet/)
  // Undone, step by step.
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await expect(say).toHaveValue('First this. Then that.')
  await page.keyboard.press('Control+Shift+z')
  await saved(page)
  expect((await told(page)).beats[0]).toMatchObject({ by: 'composed', covers: ['welcome'] })
})

test('a saber is told in German, short, to somebody who duels; what is left goes to paper', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/reed-warden/brief`)
  await choose(page, 'Language', 'de')
  await choose(page, 'Measures', 'mm')
  await saved(page)
  await page.goto(`${server.url}/commission/reed-warden/walkthrough`)
  await page.getByRole('checkbox', { name: 'duels with it' }).check()
  await choose(page, 'How much is told', 'short')
  await page.getByRole('button', { name: 'compose again' }).click()
  await expect(page.getByRole('button', { name: /^Hallo Ilsabet Vorne\. Das ist Reed Warden/ })).toBeVisible()
  await expect(page.getByText('on paper', { exact: true }).first()).toBeVisible()
  await expect(page.getByText('all of it can be done, in this order').or(page.getByText(/too long/))).toBeVisible()
  await saved(page)
  const s = await told(page)
  expect(s.telling).toMatchObject({ length: 'short', readers: ['duels'] })
  expect(s.beats.some((b) => b.covers.includes('duel') && /^Fühl vor jedem Gang/.test(b.say))).toBe(true)
  expect(s.beats.filter((b) => b.leftTo === 'paper').length).toBeGreaterThan(5)
  // A name for speaking, with its article, stands in every gesture from then on.
  await page.getByRole('button', { name: '+ a spoken name' }).click()
  await type(page, 'Spoken name 1', 'kupferner Knopf')
  await chooseWords(page, 'Article, spoken name 1', 'der')
  await page.getByRole('button', { name: 'compose again' }).click()
  await expect(page.getByRole('button', { name: /den kupfernen Knopf/i }).first()).toBeVisible()
})

test('a film is driven by the pedal: slips, a retake, something new; what became of it', async ({ page, server }) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/film/ember-fair/ef2`)
  await page.getByTestId('say').waitFor()
  const first = await page.getByTestId('say').textContent()
  // Nothing is noted before the clock runs; the first press only starts it.
  await page.keyboard.press('s')
  await page.keyboard.press('PageDown')
  await expect(page.getByTestId('say')).toHaveText(first!)
  await page.keyboard.press('PageDown')
  await expect(page.getByTestId('say')).not.toHaveText(first!)
  await page.keyboard.press('s')
  await page.keyboard.press('r')
  await page.keyboard.press('PageDown')
  await page.keyboard.press('n')
  const here = await page.getByTestId('say').textContent()
  // The tab is loaded again: the take goes on where it was.
  await page.reload()
  await expect(page.getByTestId('say')).toHaveText(here!)
  // A touch anywhere on the words goes on as the pedal does.
  await page.getByTestId('say').click()
  await expect(page.getByTestId('say')).not.toHaveText(here!)
  await page.keyboard.press('Escape')
  await page.getByRole('heading', { name: /a take of/ }).waitFor()
  await expect(page.getByText('To cut out: 2')).toBeVisible()
  await type(page, 'What it was, mark 3', 'the pommel is new brass')
  await page.getByRole('button', { name: 'to settle' }).click()
  await expect
    .poll(async () => (await record(page, 'ember-fair')).toDos.map((t) => t.text))
    .toContain('Said on film: the pommel is new brass')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'chapters (WebVTT)' }).click(),
  ])
  const { readFile } = await import('node:fs/promises')
  expect(await readFile(await download.path(), 'utf8')).toMatch(/^WEBVTT\n\n00:00:00\.000 --> /)
  // The next saber of the order is one step away.
  await expect(page.getByRole('link', { name: /^next: / })).toBeVisible()
})
