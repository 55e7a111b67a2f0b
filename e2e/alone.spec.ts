import { expect, issued, signIn, test } from './bench'

interface Errand {
  saber: string
  title: string
  cannot?: string
  acts: { waits?: string }[]
}

for (const id of ['reed-warden', 'crosswind', 'ember-fair'])
  test(`${id}: left alone, the phone goes through each errand act by act, and waits where a skipped act would hurt`, async ({
    page,
    server,
  }) => {
    await signIn(page, server.url)
    const link = await issued(page, server.url, id)
    const asked = await page.request.get(`${server.url}/api/client/${link.split('/').pop()}`)
    const { document: d, sabers } = await asked.json()
    const errands = (d.procedures as Errand[]).filter((p) => p.saber === sabers[0].id && !p.cannot)
    expect(errands.length).toBeGreaterThan(4)
    await page.clock.install()
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(server.url + link)
    await page.getByRole('button', { name: /^(open it step by step|Mit mir öffnen)$/i }).click()
    const sheet = page.getByRole('dialog')
    const act = sheet.locator('[data-act]')
    const now = () => act.getAttribute('data-act')
    const tap = sheet.locator('button.btn-main')
    for (const { title, acts } of errands) {
      await sheet.getByRole('button', { name: title, exact: true }).click()
      const seen: string[] = []
      for (const [i, { waits }] of acts.entries()) {
        await expect(act).toHaveAttribute('data-act', `${i + 1}`)
        seen.push((await act.locator('p').first().textContent())!)
        if (i === acts.length - 1) break
        if (waits) {
          // As long as one likes.
          await page.clock.runFor(30_000)
          await expect(act).toHaveAttribute('data-act', `${i + 1}`)
          await tap.click()
        } else for (let s = 0; s < 8 && (await now()) === `${i + 1}`; s++) await page.clock.runFor(4000)
      }
      expect(seen).toEqual(acts.map((x) => (x as { text: string }).text.trim()))
      await page.clock.runFor(30_000)
      await expect(act).toHaveAttribute('data-act', `${acts.length}`)
      await tap.click()
    }
  })
