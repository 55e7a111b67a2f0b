import { atRack, saved, test } from './bench'
import { choose } from './hands'
test('zz', async ({ page, server }) => {
  await atRack(page, server.url)
  await page.goto(`${server.url}/commission/reed-warden/brief`)
  await choose(page, 'Language', 'de')
  await saved(page)
  await page.goto(`${server.url}/commission/reed-warden/translation`)
  await page.waitForTimeout(1500)
  await page.screenshot({ path: '/tmp/pp/t1.png' })
  await page.getByLabel(/^In German: The largest speaker/).fill('Der größte Lautsprecher, der passt')
  await page.keyboard.press('Enter')
  await page.getByLabel(/^In German: 28 mm/).fill('27 mm, Knauf aufgebohrt')
  await page.keyboard.press('Tab')
  await page.waitForTimeout(800)
  await page.screenshot({ path: '/tmp/pp/t2.png', fullPage: true })
})
