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

/** What was done with the keyboard so far: fields filled, choices made, buttons pressed. */
export const made = { acts: 0 }

/** Goes to a field, link or button with the Tab key alone, the way that is shorter on the page. */
async function reach(page: Page, target: Locator, most = 400) {
  made.acts++
  const at = target.first()
  await at.waitFor()
  for (let i = 0; i < most; i++) {
    const way = await at.evaluate((el) => {
      const now = document.activeElement
      if (el === now) return 'there'
      if (!now || now === document.body) return 'on'
      return el.compareDocumentPosition(now) & Node.DOCUMENT_POSITION_FOLLOWING ? 'back' : 'on'
    })
    if (way === 'there') return
    await page.keyboard.press(way === 'back' ? 'Shift+Tab' : 'Tab')
  }
  throw new Error(`${target} is not reached with ${most} presses of Tab`)
}
/** Types into a field that was reached with the keyboard, in place of what stood there. */
export async function enter(page: Page, label: string, text: string) {
  await reach(page, page.getByLabel(label, { exact: true }))
  await page.keyboard.press('Control+A')
  await page.keyboard.insertText(text)
  await page.keyboard.press('Enter')
}
/** The same in a field of several lines, where Enter is a line. */
export async function write(page: Page, label: string, text: string) {
  await reach(page, page.getByLabel(label, { exact: true }))
  await page.keyboard.insertText(text)
  await page.keyboard.press('Tab')
}
/** Chooses from a list by the words shown, with the arrow keys. */
export async function pick(page: Page, label: string, words: string | RegExp) {
  await reach(page, page.locator(`${selector(label)}, ${selector(label)} button`))
  await page.keyboard.press('ArrowDown')
  const wanted = page.getByRole('option', { name: words }).first()
  await wanted.waitFor()
  await page.keyboard.press('Home')
  for (let i = 0; i < 80; i++) {
    if ((await wanted.getAttribute('data-focus')) !== null) break
    await page.keyboard.press('ArrowDown')
  }
  await page.keyboard.press('Enter')
  await wanted.waitFor({ state: 'detached' })
}
export async function hit(page: Page, target: Locator) {
  await reach(page, target)
  await page.keyboard.press('Enter')
}
export async function check(page: Page, label: string | RegExp) {
  await reach(page, page.getByRole('checkbox', { name: label }))
  await page.keyboard.press('Space')
}
/** Another station or desk, by its link. */
export const turnTo = (page: Page, name: RegExp) => hit(page, page.locator('nav a').filter({ hasText: name }))

/** A key down and up in one breath: a slow machine between the two would make a hold of it. */
export const tapKey = (page: Page, key: string) =>
  page.evaluate((k) => {
    for (const type of ['keydown', 'keyup'])
      document.body.dispatchEvent(new KeyboardEvent(type, { key: k, bubbles: true }))
  }, key)
/** The same with a finger on something drawn. */
export const tapOn = (what: Locator) =>
  what.evaluate((el) => {
    el.setPointerCapture = () => undefined
    for (const type of ['pointerdown', 'pointerup'])
      el.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1 }))
  })
