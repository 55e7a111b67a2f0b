import type { Locator, Page } from '@playwright/test'

/** What a maker does at the bench, by the words on the screen. */
export const type = async (page: Page, label: string, text: string, nth = 0) => {
  const field = page.getByLabel(label, { exact: true }).nth(nth)
  await field.fill(text)
  await field.press('Enter')
  await field.blur()
}
/** Types another value for what was stated before, and settles for it: Enter writes it down, a second Enter says that it holds. */
export const restate = async (page: Page, label: string, text: string, nth = 0) => {
  const field = page.getByLabel(label, { exact: true }).nth(nth)
  await field.fill(text)
  await field.press('Enter')
  const choice = page.getByRole('group', { name: `Two values for ${label}` })
  await choice.waitFor()
  await page.keyboard.press('Enter')
  await choice.waitFor({ state: 'detached' })
}
const selector = (label: string) => `[data-select=${JSON.stringify(label)}]`
/** Chooses by the stored value. */
export const choose = async (page: Page, label: string, value: string, within: Page | Locator = page) => {
  await within.locator(selector(label)).first().click()
  await page.locator(`[role=option][data-value=${JSON.stringify(value)}]`).click()
}
/** Chooses by the words shown. */
export const chooseWords = async (page: Page, label: string, words: string | RegExp) => {
  await page.locator(selector(label)).first().click()
  await page.getByRole('option', { name: words }).first().click()
}
export const station = async (page: Page, key: string, heading: string) => {
  await page.locator('h1').click()
  await page.keyboard.press(key)
  await page.locator(`nav[aria-label=Stations] a[aria-current=page]:has-text("${heading}")`).waitFor()
}
export const add = async (page: Page, label: string, text: string) => {
  await page.getByLabel(label, { exact: true }).fill(text)
  await page.keyboard.press('Enter')
}
