import { atRack, expect, test } from './bench'

test('page, server and what the server writes go by one clock', async ({ page, server, clock }) => {
  await atRack(page, server.url)
  const shown = await page.evaluate(() => ({ now: Date.now(), zone: Intl.DateTimeFormat().resolvedOptions().timeZone }))
  expect(Math.abs(shown.now - Date.now() - clock.shift)).toBeLessThan(60_000)
  expect(shown.zone).toBe(clock.zone)
  const made = await page.request.get(`${server.url}/api/rack`)
  const rows = ((await made.json()) as { commissions: { savedAt: string }[] }).commissions
  expect(Math.abs(Date.parse(rows[0]!.savedAt) - Date.now() - clock.shift)).toBeLessThan(30 * 60_000)
})
