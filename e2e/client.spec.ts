import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, issued, open, saved, signIn, test } from './bench'
import { choose } from './hands'

test('the client’s page is their saber: pressed, opened step by step, practised, read', async ({ page, server }) => {
  await signIn(page, server.url)
  const link = await issued(page, server.url, 'reed-warden')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(server.url + link)
  const page1 = page.getByLabel('Try it here: press it, hold it, turn it')
  await expect(page1.getByText('It is on, blade off.')).toBeVisible()
  await expect(page1.getByText(/press the front button once/)).toBeVisible()
  await page1.getByRole('button', { name: 'front button', exact: true }).click()
  await expect(page1.getByText('Its blade is lit.')).toBeVisible()
  await page1.getByRole('button', { name: 'Harbour fire' }).click()
  await expect(page1.getByRole('button', { name: 'Harbour fire' })).toHaveAttribute('aria-pressed', 'true')
  // Held for two seconds it goes dark, as the card says; held shorter it does not.
  const key = (await page1.getByRole('button', { name: 'front button', exact: true }).boundingBox())!
  await page.mouse.move(key.x + 20, key.y + 20)
  await page.mouse.down()
  await page.waitForTimeout(2300)
  await page.mouse.up()
  await expect(page1.getByText('It is on, blade off.')).toBeVisible()
  // Opened with both hands: it goes on by itself or waits, and comes back to where one was.
  await page.getByRole('button', { name: 'open it step by step' }).click()
  const sheet = page.getByRole('dialog', { name: 'open it step by step' })
  await sheet.getByRole('button', { name: /^Swap the cell/ }).click()
  // Power waits for a hand that says it is cut.
  await expect(sheet.getByText('Check that it’s so, then go on.')).toBeVisible()
  await sheet.getByRole('button', { name: 'done – next step' }).click()
  await expect(sheet.getByText('Unscrew the pommel')).toBeVisible()
  await expect(sheet.getByText(/Next step in \d+ s/)).toBeVisible()
  await sheet.getByRole('button', { name: 'wait for me' }).click()
  await sheet.getByRole('button', { name: 'done – next step' }).click()
  await expect(sheet.getByText('Draw the chassis out by its ring')).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'open it step by step' }).click()
  await expect(sheet.getByText('Draw the chassis out by its ring')).toBeVisible()
  await page.keyboard.press('Escape')
  // The controls are asked for, one after the other.
  await page.getByRole('button', { name: 'try the controls' }).click()
  await expect(page.getByRole('dialog', { name: 'try the controls' }).getByText(/try this/)).toBeVisible()
  await page.getByRole('dialog', { name: 'try the controls' }).getByRole('button', { name: 'close' }).click()
  // What was asked, what may be odd, and the cautions stand open; that they were read is kept.
  await expect(page.getByText('It sounds muffled')).toBeVisible()
  await page.getByRole('button', { name: 'I have read this' }).click()
  await page.reload()
  await expect(page.getByText(/✓ read on/)).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('the page as one file opens from a disk, with no server and no network', async ({ page, server, folder }) => {
  await signIn(page, server.url)
  const link = await issued(page, server.url, 'reed-warden')
  const answer = await page.request.get(`${server.url}/api${link.replace('/c/', '/client/')}/saber.html`)
  expect(answer.headers()['content-disposition']).toMatch(/^attachment; filename=".*-handoff\.html"$/)
  const html = await answer.text()
  const words = html.replace(/data:(image|audio)\/[^"]*/g, '')
  expect(words.length).toBeLessThan(720_000)
  // Nothing of the shop's is in it, and nothing in it ends the script.
  const carried = html.slice(html.indexOf('id="carried">'), html.indexOf('</script>'))
  expect(carried).toContain('Ilsabet Vorne')
  expect(/"(shopNote|trail|history)"/.test(carried)).toBe(false)
  expect(html.split('</script>')).toHaveLength(3)
  const file = join(folder, 'saber.html')
  writeFileSync(file, html)
  await server.kill()
  await page.context().setOffline(true)
  await page.goto(`file://${file}`)
  // The sounds whose licence allows it came along, pressed, and are as long as they were recorded.
  const heard = await page.evaluate(async () => {
    const { photos, sabers } = JSON.parse(document.getElementById('carried')!.textContent!) as {
      photos: Record<string, string>
      sabers: { fonts: { sounds: { event: string; media?: string }[] }[] }[]
    }
    const ignite = sabers[0]!.fonts[0]!.sounds.find((s) => s.event === 'ignite')!
    const url = photos[ignite.media!]!
    const bytes = await (await fetch(url)).arrayBuffer()
    const long = (await new OfflineAudioContext(1, 1, 44_100).decodeAudioData(bytes)).duration
    const all = Object.values(photos).filter((u) => u.startsWith('data:audio/ogg'))
    return { url: url.slice(0, 15), long, bytes: all.reduce((n, u) => n + u.length, 0) }
  })
  expect(heard.url).toBe('data:audio/ogg;')
  expect(heard.long).toBeGreaterThan(0.2)
  expect(heard.bytes).toBeLessThan(1.4 * 1024 * 1024)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Reed Warden')
  await page.getByRole('button', { name: 'front button', exact: true }).click()
  await expect(page.getByText('Its blade is lit.')).toBeVisible()
  await page.getByRole('button', { name: 'open it step by step' }).click()
  await page.getByRole('button', { name: /^Swap the cell/ }).click()
  await expect(page.getByRole('button', { name: 'done – next step' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.locator('summary', { hasText: 'In the box' }).click()
  await expect(page.getByText('The saber', { exact: true }).first()).toBeVisible()
  await page.context().setOffline(false)
  await server.start()
})

test('the client asks and says what he has read; both lie at the bench, and a reply from the file comes in by hand', async ({
  page,
  server,
  folder,
  browser,
}) => {
  await signIn(page, server.url)
  const link = await issued(page, server.url, 'reed-warden')
  const client = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await client.goto(server.url + link)
  await expect(client.getByRole('heading', { name: 'Start here' })).toBeVisible()
  await expect(client.getByText('And out again: hold the front button for two seconds')).toBeVisible()
  await client
    .getByRole('button', { name: /^Put the blade in/ })
    .first()
    .click()
  await client.getByRole('button', { name: 'done – next step' }).click()
  await expect(client.locator('[data-act]').getByText('Back the upper blade screw out', { exact: false })).toBeVisible()
  await client.keyboard.press('Escape')
  // The line is cut: what is asked waits here, and goes out by itself when it is back, once.
  await client.context().setOffline(true)
  await client.getByLabel('What would you like to know?').fill('Which oil for the thread?')
  await client.getByRole('button', { name: 'ask', exact: true }).click()
  await expect(client.getByText(/on its way/)).toBeVisible()
  await client.reload().catch(() => undefined)
  await client.context().setOffline(false)
  await client.goto(server.url + link)
  await expect(client.getByText(/we have it/)).toBeVisible()
  await client.getByRole('button', { name: 'I have read this' }).click()
  await expect(client.getByText(/✓ read on/)).toBeVisible()
  await open(page, `${server.url}/commission/reed-warden/handoff`)
  await page.getByRole('tab', { name: 'Afterwards' }).click()
  const back = page.getByRole('region', { name: 'What came back' })
  await expect(back.getByText('“Which oil for the thread?”')).toHaveCount(1)
  await expect(back.getByText(/cautions of record no\./).last()).toBeVisible()
  await back.getByLabel('Our answer to “Which oil for the thread?”').fill('A drop of clock oil.')
  await page.keyboard.press('Tab')
  await saved(page)
  // From the file: saved as a small file, and taken in once, however often it is given.
  const html = await (await page.request.get(`${server.url}/api${link.replace('/c/', '/client/')}/saber.html`)).text()
  const file = join(folder, 'reply.html')
  writeFileSync(file, html)
  const disk = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await disk.goto(`file://${file}`)
  await disk.getByLabel('What would you like to know?').fill('May it hang in the sun?')
  await disk.getByRole('button', { name: 'add to my message' }).click()
  const saving = disk.waitForEvent('download')
  await disk.getByRole('button', { name: 'save my reply' }).click()
  const reply = join(folder, 'reply.json')
  await (await saving).saveAs(reply)
  expect(JSON.parse(readFileSync(reply, 'utf8'))).toMatchObject({
    of: 'reed-warden',
    says: [{ asks: 'May it hang in the sun?' }],
  })
  const bring = page.getByText('import a reply').locator('input')
  await bring.setInputFiles(reply)
  await expect(back.getByText('1 imported.')).toBeVisible()
  await expect(back.getByText('“May it hang in the sun?”')).toBeVisible()
  await bring.setInputFiles(reply)
  await expect(back.getByText('0 imported, 1 there already.')).toBeVisible()
  writeFileSync(reply, '{"format":"nubrin-reply"')
  await bring.setInputFiles(reply)
  await expect(back.getByRole('alert')).toContainText('This is not JSON')
  await saved(page)
})

test('a film beside the page as a file is played there; its address is a way to it', async ({
  page,
  server,
  folder,
}) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/handoff`)
  await page.getByLabel('Address of film 1').fill('https://films.example/reed')
  await page.keyboard.press('Tab')
  await saved(page)
  const link = await issued(page, server.url, 'reed-warden')
  await page.goto(server.url + link)
  await expect(page.getByRole('link', { name: 'watch the film' })).toHaveAttribute('href', 'https://films.example/reed')
  expect(await page.locator('video').count()).toBe(0)
  const html = await (await page.request.get(`${server.url}/api${link.replace('/c/', '/client/')}/saber.html`)).text()
  writeFileSync(join(folder, 'film.html'), html)
  // A film of one frame, made by the browser itself.
  const film = await page.evaluate(async () => {
    const canvas = document.createElement('canvas')
    canvas.getContext('2d')!.fillRect(0, 0, 10, 10)
    const rec = new MediaRecorder(canvas.captureStream(10), { mimeType: 'video/webm' })
    const parts: Blob[] = []
    rec.ondataavailable = (e) => parts.push(e.data)
    const done = new Promise((r) => (rec.onstop = r))
    rec.start()
    await new Promise((r) => setTimeout(r, 500))
    rec.stop()
    await done
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())]
  })
  writeFileSync(join(folder, 'reed-warden.webm'), Buffer.from(film))
  await page.goto(`file://${join(folder, 'film.html')}`)
  await expect.poll(() => page.locator('video').evaluate((v: HTMLVideoElement) => v.readyState)).toBeGreaterThan(0)
})

test('on paper all of the page is unfolded, and nothing stands there that can only be pressed', async ({
  page,
  server,
  folder,
}) => {
  await signIn(page, server.url)
  const link = await issued(page, server.url, 'reed-warden')
  await page.goto(server.url + link)
  await expect(page.getByRole('heading', { name: 'Start here' })).toBeVisible()
  const file = join(folder, 'page.pdf')
  await page.pdf({ path: file, format: 'A4' })
  const text = execFileSync('pdftotext', [file, '-']).toString().replace(/\s+/g, ' ')
  for (const t of [
    'Reed Warden',
    'Never a cell with a damaged wrap',
    'Charger for one round cell',
    'upper blade screw',
  ])
    expect(text).toContain(t)
  for (const t of ['try the controls', 'I have read this', 'Ask us']) expect(text).not.toContain(t)
})

// The last one: it leaves the order in another language.
test('a client who reads German gets all of it in German', async ({ page, server }) => {
  await signIn(page, server.url)
  await open(page, `${server.url}/commission/reed-warden/brief`)
  await choose(page, 'Language', 'de')
  await saved(page)
  // His words are put beside the shop's own; what is left is printed in quotes, as the maker chooses.
  await page.getByRole('link', { name: 'Translation' }).click()
  await page.getByLabel('In German: The colour of the marsh at dawn').fill('Die Farbe der Marsch im Morgengrauen')
  await page.keyboard.press('Enter')
  await page.getByRole('radio', { name: 'print in quotes' }).click()
  await saved(page)
  await page.goto(`${server.url}/commission/reed-warden/walkthrough`)
  await page.getByRole('button', { name: 'compose again' }).click()
  await expect(page.getByRole('button', { name: /^Hallo Ilsabet Vorne\. Das ist Reed Warden/ })).toBeVisible()
  await saved(page)
  const link = await issued(page, server.url, 'reed-warden')
  await page.goto(server.url + link)
  await expect(page.getByText('Die Farbe der Marsch im Morgengrauen').first()).toBeAttached()
  await expect(page.getByText('„No visible screws“').first()).toBeAttached()
  await expect(page.getByText('The colour of the marsh at dawn')).toHaveCount(0)
  await expect(page.getByText('Eingeschaltet, Klinge aus.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Schritt für Schritt öffnen' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Wenn etwas nicht stimmt' })).toBeVisible()
  await expect(page.locator('main')).toHaveAttribute('lang', 'de')
  const pdf = await page.request.get(`${server.url}/api${link.replace('/c/', '/client/')}/handoff.pdf`, {
    timeout: 60_000,
  })
  expect(pdf.status()).toBe(200)
})
