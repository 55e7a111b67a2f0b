import type { Page } from 'playwright-core'

/** What a maker does at the bench, by the words on the screen. */
export const type = async (page: Page, label: string, text: string, nth = 0) => {
  const field = page.getByLabel(label, { exact: true }).nth(nth)
  await field.fill(text)
  await field.press('Enter')
  await field.blur()
}
export const choose = (page: Page, label: string, value: string) =>
  page.getByLabel(label, { exact: true }).first().selectOption(value)
export const station = async (page: Page, key: string, heading: string) => {
  await page.locator('h1').click()
  await page.keyboard.press(key)
  await page.locator(`nav[aria-label=Stations] a[aria-current=page]:has-text("${heading}")`).waitFor()
}
export const add = async (page: Page, label: string, text: string) => {
  await page.getByLabel(label, { exact: true }).fill(text)
  await page.keyboard.press('Enter')
}
