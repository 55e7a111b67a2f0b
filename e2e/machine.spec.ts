import { expect, signIn, test } from './bench'

test('the saber is opened and closed act by act with the keyboard, and what cannot be done says why', async ({
  page,
  server,
}) => {
  await signIn(page, server.url)
  await page.goto(`${server.url}/commission/reed-warden/access`)
  await page.getByRole('button', { name: /^Swap the cell/ }).click()
  const lying = page.getByRole('region', { name: 'As it lies on the bench' })
  await expect(lying).toContainText('everything else closed')
  const pommel = page.locator('[data-ref="section:rw-pommel"]').first()
  const closed = (await pommel.boundingBox())!
  const next = page.getByRole('button', { name: 'next act' })
  await next.focus()
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight')
  for (let i = 0; i < 2; i++) await page.keyboard.press('PageDown')
  await expect(lying).toContainText('pommel off')
  await expect(lying).toContainText('Cell 18650, protected, 15 A off')
  await expect(page.locator('[aria-current=step]')).toContainText('Lift the cell at its plus end with the ribbon')
  const apart = (await pommel.boundingBox())!
  const cell = (await page.locator('[data-ref="part:rw-p2"]').first().boundingBox())!
  // The pommel lies apart, and the cell between it and the hilt.
  expect(apart.x + apart.width).toBeLessThan(cell.x)
  expect(Math.abs(apart.x - closed.x)).toBeGreaterThan(20)
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight')
  await expect(lying).toContainText('everything else closed')
  await expect(next).toBeDisabled()

  // What the maker says of a joint stands before the draft.
  await page.getByRole('button', { name: /^pommel is unscrewed/ }).click()
  await page.locator('[data-select="How pommel comes off"]').click()
  await page.locator('[role=option][data-value=turnPull]').click()
  await page.getByRole('button', { name: /^Take it all apart/ }).click()
  await expect(page.getByRole('region', { name: 'Take it all apart' })).toContainText('Unscrew the pommel')
  // His words stand; that the way of the hand is another asks him to go through it again.
  await page.getByRole('button', { name: /^Swap the cell/ }).click()
  await expect(page.getByRole('region', { name: 'Swap the cell' })).toContainText('Changed since Maren went through it')

  // On the drawing: the pommel is drawn away to the rear, a screw onto what it holds.
  await page.goto(`${server.url}/commission/reed-warden/access`)
  const drawTo = async (ref: string, to: { x: number; y: number }) => {
    const box = (await page.locator(`[data-ref="${ref}"]`).first().boundingBox())!
    // By its edge: in its middle lies what is inside it.
    await page.mouse.move(box.x + box.width / 2, box.y + 3)
    await page.mouse.down()
    await page.mouse.move(to.x, to.y, { steps: 6 })
    await page.mouse.up()
  }
  const neck = (await page.locator('[data-ref="section:rw-neck"]').first().boundingBox())!
  await drawTo('section:rw-pommel', { x: 4, y: neck.y + 40 })
  const sheet = page.getByRole('group', { name: 'Joint of pommel' })
  await expect(sheet.locator('[data-select="Where pommel goes"]')).toContainText('pommel')
  await drawTo('fastener:rw-f1', { x: neck.x + neck.width / 2, y: neck.y + neck.height / 2 })
  await expect(page.getByRole('group', { name: /^Joint of/ })).toContainText('loosened')

  await page.goto(`${server.url}/commission/cinder-oath/access`)
  await expect(page.getByRole('button', { name: /^Charge it/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Swap the cell/ })).toHaveCount(0)
})
